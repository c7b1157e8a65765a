import { execFileSync } from 'node:child_process'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import sharp from 'sharp'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { jobSheetPdf } from '../../server/services/pdf/job-sheet'
import type { BayResponse } from '../../shared/board'
import type { JobResponse, SheetResponse } from '../../shared/jobs'
import type { MachineResponse, MachineRow, PhotoRow } from '../../shared/machines'
import { pool } from '../support/database'
import { Client } from '../support/server'
import { newMachine, openJob, visit } from '../support/shop-work'

const ines = new Client()
let machine: MachineRow
let jobId = 0
beforeAll(async () => {
  await ines.signIn('ines')
  machine = await newMachine(ines, undefined, { name: 'Mähdrescher Łódź “2”', customer: { name: 'Ø. Žižka' } })
  jobId = await visit(ines, machine, 1000, 0, { intake: 0.1, exhaust: 0.05 })
})
afterAll(() => pool.end())

const folder = mkdtempSync(join(tmpdir(), 'pdf-'))
afterAll(() => rmSync(folder, { recursive: true, force: true }))
/** A PDF as another program reads it: its words, its fonts, its pages. */
function read(bytes: Uint8Array): { text: string; fonts: string[]; pages: number; size: string } {
  const file = join(folder, 'a.pdf')
  writeFileSync(file, bytes)
  const run = (name: string, ...args: string[]) => execFileSync(name, args, { encoding: 'utf8' })
  const info = run('pdfinfo', file)
  return {
    text: run('pdftotext', '-layout', file, '-').replaceAll(/\s+/g, ' '),
    fonts: run('pdffonts', file).split('\n').slice(2).filter(Boolean),
    pages: Number(/Pages:\s+(\d+)/.exec(info)![1]),
    size: /Page size:\s+(.*)/.exec(info)![1]!,
  }
}

describe('a name in another script', () => {
  it.each([
    ['Дмитрий Ковалёв', 'Дмитрий Ковалёв'],
    ['Ελένη Παππά', 'Ελένη Παππά'],
    ['王小明', 'WangXiaoMing'],
    ['سلمى', 'slma'],
  ])('%s is set in letters that a font has, never in empty boxes', async (name, printed) => {
    const owner = (await ines.post<{ id: number }>('/api/customers', { name })).body
    const { text, fonts } = read(await ines.bytes(`/api/customers/${owner.id}/summary.pdf?year=2026&paper=A4`))
    expect(text.replaceAll(' ', '')).toContain(printed.replaceAll(' ', ''))
    for (const font of fonts) expect(font).toMatch(/\byes\s+yes\b/)
  })
})

describe('the sheet as PDF', () => {
  it.each([
    ['A4', '595.28 x 841.89 pts (A4)'],
    ['Letter', '612 x 792 pts (letter)'],
  ])('%s: one page, every font embedded, and all that the sheet says', async (paper, size) => {
    const { sheet } = (await ines.get<SheetResponse>(`/api/jobs/${jobId}/sheet`)).body
    const pdf = read(await ines.bytes(`/api/jobs/${jobId}/sheet.pdf?paper=${paper}`))
    expect([pdf.pages, pdf.size]).toEqual([1, size])
    expect(pdf.fonts.length).toBeGreaterThan(0)
    // pdffonts: columns emb and sub
    for (const font of pdf.fonts) expect(font).toMatch(/\byes\s+yes\b/)
    const said = [
      `Job sheet ${sheet.number}`,
      sheet.machine.name,
      sheet.machine.owner,
      sheet.machine.tag,
      sheet.machine.meter,
      sheet.nextDue,
      sheet.caution,
      sheet.spec.source,
      ...sheet.people,
      ...sheet.valves.flatMap(v => [
        v.name,
        v.asFound?.words,
        v.asLeft?.words,
        v.proof?.went,
        v.proof?.refused,
        v.spec.words,
      ]),
      ...sheet.torques.map(t => t.what),
    ]
    for (const part of said) if (part) for (const word of part.split(/\s+/)) expect(pdf.text, word).toContain(word)
  })
  it('says how the other tasks of the visit stand', async () => {
    for (const name of ['Oil change', 'Air filter'])
      await ines.post(`/api/jobs/${jobId}/tasks`, { name, needs: 'warm' })
    const [oil] = (await ines.get<BayResponse>('/api/bay')).body.cards.find(c => c.jobId === jobId)!.tasks
    await ines.call('PUT', `/api/tasks/${oil!.id}`, { done: true })
    const given = (await ines.get<SheetResponse>(`/api/jobs/${jobId}/sheet`)).body
    expect(given.tasks).toEqual([
      { name: 'Oil change', words: 'done by Ines' },
      { name: 'Air filter', words: 'to do' },
    ])
    expect(read(await ines.bytes(`/api/jobs/${jobId}/sheet.pdf`)).text).toContain(
      'Oil change: done by Ines; Air filter: to do',
    )
  })
  it('a new job knows its machine’s past, so that Close offers the sooner date before anything is signed', async () => {
    const fast = await newMachine(ines)
    await visit(ines, fast, 1000, 300, { exhaust: 0.2 })
    const last = await visit(ines, fast, 3000, 100, { exhaust: 0.04 })
    const due = (await ines.get<MachineResponse>(`/api/machines/${fast.id}`)).body.due!
    expect(due.first.cause).toBe('forecast')
    const { pin } = (await ines.get<JobResponse>(`/api/jobs/${last}`)).body
    expect(pin.past).toMatchObject({ visits: [{ use: 0 }], uses: [{ use: 0 }] })
    // what was signed is the only date on its sheet
    expect(read(await ines.bytes(`/api/jobs/${last}/sheet.pdf`)).text).not.toMatch(/forecast/i)
  })
  it('a twin with rounds for each valve still stands on one page; eight valves take what they take', async () => {
    const given = (await ines.get<SheetResponse>(`/api/jobs/${jobId}/sheet`)).body
    const busy = {
      ...given.sheet.valves[1]!,
      rounds: Array.from({ length: 3 }, (_, i) => ({
        round: i + 1,
        screwDeg: 10,
        turnedDeg: -12,
        beforeLock: '0.10 drag, 0.13 no-go',
        nipped: '0.10 drag',
        torqued: '0.08 drag, 0.10 no-go',
        verdict: 'tight' as const,
      })),
    }
    const of = (n: number) => ({
      ...given,
      timeZone: 'UTC',
      sheet: { ...given.sheet, valves: Array.from({ length: n }, () => busy) },
    })
    expect(read(await jobSheetPdf('Letter', of(4))).pages).toBe(1)
    const eight = read(await jobSheetPdf('A4', of(8)))
    expect(eight.pages).toBeGreaterThan(1)
    expect(eight.text).toContain(`page ${eight.pages} of ${eight.pages}`)
  })
  it('a paper that is none, and a job of nobody’s, are refused in words', async () => {
    expect((await ines.get(`/api/jobs/${jobId}/sheet.pdf?paper=A3`)).body.title).toMatch(/A4 or Letter/)
    expect((await ines.get('/api/jobs/99999999/sheet.pdf')).status).toBe(404)
  })
  it('a year of an owner: the visits of that year and what comes next', async () => {
    const year = new Date().getUTCFullYear()
    const pdf = read(await ines.bytes(`/api/customers/${machine.customerId}/summary.pdf?year=${year}&paper=A4`))
    for (const part of ['Ø. Žižka', String(year), machine.tag, '1,000 km', 'Exhaust set', 'Next due'])
      expect(pdf.text).toContain(part)
    expect(read(await ines.bytes(`/api/customers/${machine.customerId}/summary.pdf?year=${year - 3}`)).text).toContain(
      `Not here in ${year - 3}`,
    )
    expect((await ines.get(`/api/customers/${machine.customerId}/summary?year=soon`)).body.title).toMatch(
      /Give the year/,
    )
  })
})

describe('photos', () => {
  const send = (bytes: Uint8Array, query = '') =>
    ines.upload<PhotoRow>(`/api/machines/${machine.id}/photos${query}`, bytes)
  const picture = (width = 2400, height = 1200) => sharp({ create: { width, height, channels: 3, background: '#b33' } })
  const GPS = {
    IFD0: { Make: 'A camera', Copyright: 'the owner' },
    IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '50/1 4/1 0/1' },
  }
  it.each(['jpeg', 'png', 'webp'] as const)(
    '%s is kept upright, smaller, with a small one, and without its place',
    async format => {
      const given = await picture().withExif(GPS).withMetadata({ orientation: 6 }).toFormat(format).toBuffer()
      expect(given.includes('A camera')).toBe(true)
      const { status, body } = await send(given, `?job=${jobId}&caption=Before`)
      expect([status, body.jobId, body.caption, body.width, body.height]).toEqual([200, jobId, 'Before', 800, 1600])
      for (const [size, longest] of [
        ['', 1600],
        ['?size=small', 360],
      ] as const) {
        const bytes = await ines.bytes(`/api/photos/${body.id}${size}`)
        const meta = await sharp(bytes).metadata()
        expect([meta.format, Math.max(meta.width, meta.height), meta.exif, meta.orientation]).toEqual([
          'webp',
          longest,
          undefined,
          undefined,
        ])
        expect(Buffer.from(bytes).includes('GPS')).toBe(false)
      }
    },
  )
  it.each<[string, () => Promise<Uint8Array> | Uint8Array, number, RegExp]>([
    ['a PDF with a picture’s name', () => Buffer.from('%PDF-1.7 not a picture'), 422, /not a JPEG, PNG or WebP/],
    ['nothing', () => Buffer.alloc(0), 422, /empty/],
    ['a picture that was cut off', async () => (await picture().jpeg().toBuffer()).subarray(0, 900), 422, /damaged/],
    ['more than 5 MB', () => Buffer.alloc(5 * 1024 * 1024 + 1, 1), 413, /5 MB/],
    [
      'an animated drawing in letters',
      () => Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"/>'),
      422,
      /not a JPEG/,
    ],
  ])('%s is refused with what to do, and nothing is kept', async (_, bytes, status, words) => {
    const before = (await ines.get<PhotoRow[]>(`/api/machines/${machine.id}/photos`)).body.length
    const answer = await send(await bytes())
    expect([answer.status, answer.body.title]).toEqual([status, expect.stringMatching(words)])
    expect((await ines.get<PhotoRow[]>(`/api/machines/${machine.id}/photos`)).body).toHaveLength(before)
  })
  it('a photo of another machine’s job is refused; one that is removed is gone', async () => {
    const other = (await openJob(ines, await newMachine(ines), 5)).body.id
    const bytes = await picture(40, 30).png().toBuffer()
    expect((await send(bytes, `?job=${other}`)).status).toBe(404)
    const { id } = (await send(bytes)).body
    expect((await ines.call('DELETE', `/api/photos/${id}`)).status).toBe(200)
    expect((await ines.get(`/api/photos/${id}`)).status).toBe(404)
    expect((await new Client().get(`/api/photos/${id}`)).status).toBe(401)
  })
})
