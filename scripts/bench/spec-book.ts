import { readFileSync } from 'node:fs'
import { chromium } from '@playwright/test'
import { readQuery } from '../../core/spec-book'
import { databaseSettings, openPool } from '../../server/database/pool'
import type { ImportResponse, SearchResponse } from '../../shared/spec-book'
import { Client } from '../../tests/support/server'
import { ratio, rising, row, times } from './measure'

const SYLLABLES = [
  'bar',
  'len',
  'tor',
  'vis',
  'quar',
  'mel',
  'sond',
  'rik',
  'hal',
  'ged',
  'pru',
  'wyn',
  'dal',
  'fex',
  'jor',
  'kes',
  'lum',
  'nev',
  'osk',
  'zan',
]
const name = (n: number, parts: number) =>
  Array.from({ length: parts }, (_, i) => SYLLABLES[Math.floor(n / 20 ** i) % 20]!)
    .join('')
    .replace(/^./, c => c.toUpperCase())
/** Invented models: two hundred makers, names of three syllables with a displacement, a code each. */
const modelOf = (i: number) => ({
  maker: name(i % 200, 2),
  model: `${name(Math.floor(i / 13) * 7 + i, 3)} ${50 + ((i * 37) % 900)}`,
  code: `${name(i, 1).slice(0, 2).toUpperCase()}${i}`,
})
const HEAD =
  'maker,model,code,kind,displacement_cc,year_from,year_to,source,source_date,unit,intake,exhaust,stroke,seen_from,means,locknut,plug,pitch\n'
const line = (i: number): string => {
  const { maker, model, code } = modelOf(i)
  return `${maker},${model},${code},Mower,${50 + ((i * 37) % 900)},${1990 + (i % 30)},${1995 + (i % 30)},"${maker} manual, p. ${i % 300}",2024-0${1 + (i % 9)}-11,mm,0.0${6 + (i % 3)}–0.1${i % 3},0.1${i % 3}–0.1${4 + (i % 3)},${40 + (i % 50)},left,the nut,8,12,M5×0.5\n`
}
const memoryMb = (pid: string): number =>
  Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0) / 1024

const SETTLES_MS = 60_000
/** Takes so many rows in as a person would, and says how fast and in how much memory. */
async function importRows(ines: Client, from: number, count: number, pid: string): Promise<void> {
  const before = memoryMb(pid)
  let peak = before
  const look = setInterval(() => {
    peak = Math.max(peak, memoryMb(pid))
  }, 50)
  const text = HEAD + Array.from({ length: count }, (_, i) => line(from + i)).join('')
  const start = performance.now()
  const { id } = (await ines.upload<{ id: number }>('/api/spec-imports?name=many.csv', text)).body
  const sent = performance.now()
  const at = `/api/spec-imports/${id}`
  const settled = async (): Promise<ImportResponse> => {
    for (;;) {
      const now = (await ines.get<ImportResponse>(at)).body
      if (now.state !== 'reading' && now.state !== 'writing') return now
      await new Promise(done => setTimeout(done, 100))
    }
  }
  const { settings } = (await ines.get<ImportResponse>(at)).body
  await ines.post(`${at}/read`, { delimiter: settings.delimiter, mapping: settings.mapping })
  const preview = await settled()
  const looked = performance.now()
  await ines.post(`${at}/accept`, { approveBecause: 'bench' })
  const done = await settled()
  const end = performance.now()
  clearInterval(look)
  const rate = (ms: number) => Math.round((count / ms) * 1000).toLocaleString('en')
  console.warn(
    `import of ${count.toLocaleString('en')} rows (${(text.length / 1e6).toFixed(1)} MB): sent in ${((sent - start) / 1000).toFixed(1)} s, looked at ${rate(looked - sent)} rows/s, written ${rate(end - looked)} rows/s; memory ${before.toFixed(0)} → peak ${peak.toFixed(0)} MB; ${done.state}, ${preview.counts.problem} problems`,
  )
}

/** One letter left out, or two exchanged: what fingers do. */
const slip = (text: string, i: number) =>
  i % 3 === 0
    ? text
    : i % 3 === 1
      ? text.slice(0, 3) + text.slice(4)
      : text.slice(0, 2) + (text[3] ?? '') + (text[2] ?? '') + text.slice(4)

export async function benchSpecBook(): Promise<void> {
  const ines = await new Client().signIn('ines')
  const pid = process.env.WEMBRIC_BENCH_PID!
  await importRows(ines, 0, 50_000, pid)
  await importRows(ines, 50_000, 50_000, pid)
  // the database goes on writing its pages for a while after as much
  await new Promise(done => setTimeout(done, SETTLES_MS))

  const pool = openPool(databaseSettings(process.env, 'app'))
  const [[{ shopId }]] = (await pool.query('SELECT shop_id AS shopId FROM people WHERE id = ?', [
    ines.personId,
  ])) as unknown as [[{ shopId: number }]]
  const queries = Array.from({ length: 300 }, (_, i) => {
    const m = modelOf((i * 331) % 100_000)
    return slip(
      [m.model, `${m.maker} ${m.model}`, m.code, m.model.split(' ')[0]!, m.model.toLowerCase().replace(' ', '')][
        i % 5
      ]!,
      i,
    )
  })
  let found = 0
  const served = await times(queries.length, async i => {
    const { rows } = (await ines.get<SearchResponse>(`/api/models?q=${encodeURIComponent(queries[(i + 300) % 300]!)}`))
      .body
    if (
      i >= 0 &&
      rows.some(r => r.model === modelOf((i * 331) % 100_000).model || r.code === modelOf((i * 331) % 100_000).code)
    )
      found++
  })
  const marks = (list: unknown[]) => list.map(() => '?').join(', ')
  const bare = await times(queries.length, async i => {
    const { grams } = readQuery(queries[(i + 300) % 300]!)
    await pool.execute('SELECT n FROM gram_counts WHERE shop_id = ? AND gram = ?', [shopId, '***'])
    const [counts] = (await pool.execute(
      `SELECT gram, n FROM gram_counts WHERE shop_id = ? AND n > 0 AND gram IN (${marks(grams)}) ORDER BY n`,
      [shopId, ...grams],
    )) as unknown as [{ gram: string; n: number }[]]
    let rows = 0
    const rarest = counts.filter(({ n }, k) => k === 0 || (rows += n) <= 12_000).map(c => c.gram)
    if (rarest.length === 0) return
    const [ids] = (await pool.execute(
      `SELECT e.id, e.maker, e.model, e.code, e.kind, e.family FROM (SELECT model_id FROM model_grams WHERE shop_id = ? AND gram IN (${marks(rarest)}) GROUP BY model_id ORDER BY COUNT(*) DESC, model_id LIMIT 80) g JOIN engine_models e ON e.shop_id = ? AND e.id = g.model_id`,
      [shopId, ...rarest, shopId],
    )) as unknown as [{ id: number }[]]
    const shown = ids.slice(0, 20).map(r => r.id)
    if (shown.length)
      await pool.execute(
        `SELECT e.id, e.maker, e.model, r.id, r.revision, r.engine, p.name FROM engine_models e JOIN spec_revisions r ON r.shop_id = e.shop_id AND r.id = e.in_force_id JOIN people p ON p.shop_id = r.shop_id AND p.id = r.author_id WHERE e.shop_id = ? AND e.id IN (${marks(shown)})`,
        [shopId, ...shown],
      )
  })
  row('search over 100,000 models, at the server', served, { atMost: 50, p: 95 })
  row('the same SQL bare', bare)
  ratio('search: at the server / bare', served, bare, { atMost: 2 })
  ratio('search: at the server / bare', served, bare, { atMost: 2, p: 95 })
  console.warn(`found among the first twenty: ${found} of ${queries.length}`)
  await pool.end()
  await benchModelPage()
}

/** From the address to the painted wheel, the program already in the browser's cache. */
async function benchModelPage(): Promise<void> {
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium-headless-shell',
    args: [
      '--no-sandbox',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
      '--no-first-run',
    ],
  })
  const page = await (
    await browser.newContext({ baseURL: process.env.WEMBRIC_TEST_URL, viewport: { width: 1280, height: 800 } })
  ).newPage()
  await page.goto('/sign-in')
  await page.getByLabel('Name').fill('ines')
  await page.getByLabel('Password').fill('quillbrook')
  await page.getByRole('button', { name: 'Sign in' }).click()
  await page.waitForURL('**/')
  const clicks: number[] = []
  for (let i = 0; i < 15; i++) {
    await page.goto('/spec-book')
    await page.getByLabel('Find a model').fill('duet 405')
    const link = page.getByRole('link', { name: 'Vossel Duet 405', exact: true })
    await link.waitFor()
    const start = performance.now()
    await link.click()
    await page.locator('svg.wheel').waitFor()
    await page.evaluate(() => new Promise(done => requestAnimationFrame(() => requestAnimationFrame(done))))
    clicks.push(performance.now() - start)
  }
  row('model page, from the click to painted', rising(clicks))
  await browser.close()
}
