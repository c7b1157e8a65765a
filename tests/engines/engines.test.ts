import { spawnSync } from 'node:child_process'
import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, it, onTestFailed } from 'vitest'
import { Client } from '../support/server'
import { firefox, type Screen, webkit } from './browsers'
import { Hand } from './hand'
import { Line } from './line'

const SERVER = process.env.WEMBRIC_TEST_URL!
const PHONE = { width: 390, height: 844 }
const BENCH = { width: 1280, height: 800 }

const shop = new Client()
beforeAll(() => shop.signIn('ines'))

/** A new job on a demo model, its machine ready. */
async function newJob(model: string): Promise<number> {
  const { rows } = (await shop.get<{ rows: { id: number; model: string }[] }>(`/api/models?q=${model}`)).body
  const tag = `N-${Date.now() % 1e8}`
  const machine = (
    await shop.post<{ id: number }>('/api/machines', {
      name: `${model}, ${tag}`,
      tag,
      modelId: rows.find(m => m.model === model)!.id,
      meterUnit: 'h',
      customer: { name: 'N. Owner' },
    })
  ).body
  const [set] = (await shop.get<{ id: number }[]>('/api/blade-sets')).body
  const job = { machineId: machine.id, bladeSetId: set!.id, meter: 12, complaint: 'due' }
  return (await shop.post<{ id: number }>('/api/jobs', job)).body.id
}

/** Of a page that does not show what it should: where it is, what it says, and what it asked for without an answer. */
const whatStandsThere = () => ({
  at: location.href,
  state: document.readyState,
  says: document.body.innerText.slice(0, 600),
  controlled: navigator.serviceWorker?.controller?.state ?? 'no',
  asked: performance
    .getEntriesByType('resource')
    .slice(-12)
    .map(entry => `${new URL(entry.name).pathname} ${Math.round(entry.duration)} ms`),
})

/** Whether what a page keeps in its browser is to be had. */
const storeAnswers = () =>
  new Promise<boolean>(done => {
    const opening = indexedDB.open('wembric')
    opening.onsuccess = () => {
      opening.result.close()
      done(true)
    }
    opening.onerror = () => done(true)
    setTimeout(() => done(false), 6000)
  })

describe.each([
  ['Firefox', firefox],
  ['WebKit', webkit],
] as const)('%s', (_, begin) => {
  let screen: Screen
  let line: Line
  let closedJob = 0
  let isNew = true
  const at = (path: string) => `${line.address}${path}`
  const text = (selector: string) => screen.run(s => document.querySelector(s)?.textContent ?? '', selector)
  const box = (selector: string) =>
    screen.run(s => {
      const element = document.querySelector(s)!
      element.scrollIntoView({ block: 'center' })
      const { x, y, width, height } = element.getBoundingClientRect()
      return { x, y, width, height }
    }, selector)
  const shows = (selector: string) =>
    expect.poll(() => screen.run(s => document.querySelectorAll(s).length, selector)).toBeGreaterThan(0)

  /** The page with its rules for paper in force, as wide as A4 between its margins. */
  async function laidOutForPaper() {
    await screen.size(718, 1000)
    return screen.run(() => {
      const apply = (rules: CSSRuleList) => {
        for (const rule of rules) {
          if (rule instanceof CSSMediaRule && /print/.test(rule.media.mediaText)) rule.media.mediaText = 'all'
          if (rule instanceof CSSMediaRule && /screen/.test(rule.media.mediaText)) rule.media.mediaText = 'not all'
          if ('cssRules' in rule) apply(rule.cssRules as CSSRuleList)
        }
      }
      for (const sheet of document.styleSheets) apply(sheet.cssRules)
      const A4_MM = 297 - 2 * 8
      const height = document.querySelector('article.sheet')!.getBoundingClientRect().height
      return {
        buttons: [...document.querySelectorAll('button')].filter(b => b.checkVisibility()).map(b => b.textContent),
        pages: Math.ceil(height / ((A4_MM / 25.4) * 96)),
      }
    })
  }

  async function signIn() {
    await screen.size(PHONE.width, PHONE.height)
    await screen.open(at('/sign-in'))
    await screen.type('input[autocomplete="username"]', 'ines')
    await screen.type('input[type="password"]', 'quillbrook')
    await screen.click('button[type="submit"]')
    await shows('[data-job]')
  }

  beforeAll(async () => {
    line = await Line.to(SERVER)
    screen = await begin()
  })
  // a browser whose own store has stopped is of no use for what comes: that the page bears it is tested elsewhere
  beforeEach(async () => {
    if (isNew || (await screen.run(storeAnswers).catch(() => false))) return
    console.warn(`${screen.name}’s store does not answer: it is begun anew`)
    await screen.close()
    screen = await begin()
    await signIn()
  })
  // the next hand is told what stood there instead
  beforeEach(() => {
    onTestFailed(async () => console.warn(`${screen.name} showed`, await screen.run(whatStandsThere).catch(String)))
  })
  afterEach(() => line.mend())
  afterAll(async () => {
    await screen?.close()
    line?.end()
  })

  it('signs in by the form, and the Bay comes up with nothing wider than the screen', async () => {
    await signIn()
    isNew = false
    expect(await screen.run(() => document.documentElement.scrollWidth - window.innerWidth)).toBeLessThanOrEqual(0)
  })

  it('the main job on a phone: the line is cut, answers are kept, and they are sent when it is back', async () => {
    const jobId = await newJob('Minnow 125')
    const hand = await Hand.at(screen, shop, jobId, { intake: 0.1, exhaust: 0.105 })
    await hand.ready()
    await screen.open(at(`/jobs/${jobId}`))
    await hand.step()
    line.cut()
    await hand.step(true)
    await hand.step(true)
    await expect.poll(() => text('[data-testid=saved]')).not.toBe('Saved')
    line.mend()
    await screen.run(() => void window.dispatchEvent(new Event('online')))
    await hand.saved()
    await screen.reload()
    await shows('[data-testid=instruction]')
    await hand.until(next => next.stage.kind === 'sign')
    await hand.step()
    closedJob = jobId
    await screen.open(at(`/jobs/${jobId}/sheet`))
    await expect.poll(() => text('article.sheet')).toContain('signed by Ines')
  })

  it('reloads the page while the line is cut, and goes on', async () => {
    const jobId = await newJob('Minnow 125')
    const hand = await Hand.at(screen, shop, jobId, { intake: 0.1, exhaust: 0.105 })
    await hand.ready()
    await screen.open(at(`/jobs/${jobId}`))
    await hand.step()
    const isKept = await screen.run(async () => {
      if (!('serviceWorker' in navigator)) return false
      await Promise.race([navigator.serviceWorker.ready, new Promise(done => setTimeout(done, 8000))])
      return Boolean(navigator.serviceWorker.controller)
    })
    // a browser that keeps nothing for the next time, as a private window, has nothing to open without its shop
    if (!isKept) return console.warn(`${screen.name} keeps nothing for the next time`)
    line.cut()
    await screen.reload()
    await hand.step(true)
    line.mend()
    await screen.run(() => void window.dispatchEvent(new Event('online')))
    await hand.saved()
  })

  it('on a bench screen a card is dragged to another person, and keys answer', async () => {
    await screen.size(BENCH.width, BENCH.height)
    const jobId = await newJob('G30')
    await screen.open(at('/'))
    await shows(`[data-job="${jobId}"]`)
    await screen.run(() =>
      [...document.querySelectorAll('button')].find(b => b.textContent?.trim() === 'By person')!.click(),
    )
    await shows('[data-lane="Tam"]')
    const from = await box(`[data-job="${jobId}"] .grip`)
    const to = await screen.run(() => {
      const { x, y } = document.querySelector('[data-lane="Tam"]')!.getBoundingClientRect()
      return { x, y }
    })
    const start = { x: from.x + 20, y: from.y + 20 }
    await screen.drag(
      start,
      { x: start.x - 20, y: start.y - 6 },
      { x: (start.x + to.x) / 2, y: (start.y + to.y) / 2 },
      { x: to.x + 50, y: to.y + 24 },
      { x: to.x + 60, y: to.y + 28 },
    )
    await expect
      .poll(() => screen.run(id => document.querySelector(`[data-job="${id}"]`)?.getAttribute('data-person'), jobId))
      .toBe('Tam')
    await screen.open(at(`/jobs/${jobId}`))
    await shows('[data-testid=instruction]')
    const asked = await text('[data-testid=instruction]')
    await expect
      .poll(() => screen.run(() => document.querySelector('[data-key="1"]')?.getAttribute('aria-disabled')))
      .toBe('false')
    await screen.key('1')
    await expect.poll(() => text('[data-testid=instruction]')).not.toBe(asked)
  })

  it('a sheet is laid out for paper: without the page’s own parts, and on one page', async () => {
    await screen.open(at(`/jobs/${closedJob}/sheet`))
    await shows('article.sheet')
    const pdf = await screen.print()
    if (!pdf) return expect(await laidOutForPaper()).toEqual({ buttons: [], pages: 1 })
    const { stdout } = spawnSync('pdftotext', ['-', '-'], { input: pdf, encoding: 'utf8' })
    expect(stdout).toContain('Minnow 125')
    // the page's own header stays on the screen
    expect(stdout).not.toContain('Spec book')
    expect(stdout.match(/\f/g)).toHaveLength(1)
  })
})
