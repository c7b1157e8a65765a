import { readFileSync } from 'node:fs'
import { Validator } from '@seriousme/openapi-schema-validator'
import Ajv2020 from 'ajv/dist/2020'
import addFormats from 'ajv-formats'
import Papa from 'papaparse'
import { PNG } from 'pngjs'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { workbookOf } from '../../server/workers/workbook'
import { API } from '../../shared/api'
import { bookJsonSchema } from '../../shared/openapi'
import type {
  Affected,
  ImportResponse,
  ImportRow,
  ModelResponse,
  ModelRow,
  RevisionRow,
  SearchResponse,
} from '../../shared/spec-book'
import { tellEnglish } from '../../words'
import { engineOf } from '../support/builders'
import { pool } from '../support/database'
import { Client } from '../support/server'

const ines = new Client()
const tam = new Client()
const unique = () => Math.random().toString(36).slice(2, 9)
beforeAll(async () => {
  await ines.signIn('ines')
  await tam.signIn('tam')
})
afterAll(() => pool.end())

const limits = (minMm: number, maxMm: number) => ({
  form: 'limits' as const,
  minMm,
  maxMm,
  text: `${minMm}–${maxMm}`,
  unit: 'mm' as const,
})
const wider = () => engineOf({ clearance: { ...engineOf().clearance, exhaust: limits(0.12, 0.16) } })
async function newModel(client = ines, changes: Record<string, unknown> = {}): Promise<ModelRow> {
  const { status, body } = await client.post<ModelRow>('/api/models', {
    maker: 'Specs',
    model: `S ${unique()}`,
    engine: engineOf(),
    approveBecause: 'only lead',
    ...changes,
  })
  expect(status, JSON.stringify(body)).toBe(200)
  return body
}
const read = async (id: number) => (await ines.get<ModelResponse>(`/api/models/${id}`)).body
const draft = (client: Client, model: ModelRow, changes: Record<string, unknown> = {}) =>
  client.post<RevisionRow>(`/api/models/${model.id}/drafts`, {
    engine: wider(),
    reason: 'Bulletin',
    basedOn: model.revisionId,
    ...changes,
  })

describe('revisions', () => {
  it('a draft changes nothing until a lead approves it; then it is in force and the old one stays readable', async () => {
    const model = await newModel()
    const made = (await draft(tam, model)).body
    expect(made).toMatchObject({ revision: 2, author: 'Tam', approvedAt: null })
    expect((await read(model.id)).model.engine.clearance.exhaust).toEqual(engineOf().clearance.exhaust)
    expect((await tam.post(`/api/revisions/${made.id}/approve`)).status).toBe(403)
    expect((await ines.post<RevisionRow>(`/api/revisions/${made.id}/approve`)).body.approvedBy).toBe('Ines')
    const after = await read(model.id)
    expect(after.model).toMatchObject({ revision: 2, status: 'approved' })
    expect(after.revisions.map(r => [r.revision, r.engine.clearance.exhaust])).toEqual([
      [1, engineOf().clearance.exhaust],
      [2, wider().clearance.exhaust],
    ])
  })
  it('the only lead may approve their own, but not without a reason', async () => {
    const model = await newModel()
    const made = (await draft(ines, model)).body
    expect((await ines.post(`/api/revisions/${made.id}/approve`)).body).toMatchObject({
      status: 422,
      code: 'reason-missing',
    })
    expect(
      (await ines.post<RevisionRow>(`/api/revisions/${made.id}/approve`, { reason: 'nobody else' })).body
        .approvalReason,
    ).toBe('nobody else')
  })
  it('a mechanic’s own “because” approves nothing', async () => expect((await newModel(tam)).status).toBe('draft'))
  it('who saves over another’s revision is told of it first, and loses nothing by it', async () => {
    const model = await newModel()
    const first = (await draft(tam, model)).body
    const second = await draft(ines, model, { reason: 'Another page' })
    expect(second.body).toMatchObject({ status: 409, code: 'newer-revision', detail: String(first.id) })
    expect((await draft(ines, model, { basedOn: first.id })).body).toMatchObject({ revision: 3 })
  })
  it('a draft that was overtaken or sent back is not approved any more', async () => {
    const model = await newModel()
    const old = (await draft(tam, model)).body
    const next = (await draft(tam, model, { basedOn: old.id })).body
    await ines.post(`/api/revisions/${next.id}/approve`)
    expect((await ines.post(`/api/revisions/${old.id}/approve`)).body.title).toMatch(/came into force after/)
    const third = (await draft(tam, model, { basedOn: next.id })).body
    expect((await ines.post(`/api/revisions/${third.id}/send-back`, {})).status).toBe(422)
    expect(
      (await ines.post<RevisionRow>(`/api/revisions/${third.id}/send-back`, { reason: 'wrong page' })).body,
    ).toMatchObject({ sentBackBy: 'Ines', sentBackReason: 'wrong page' })
    expect((await ines.post(`/api/revisions/${third.id}/approve`)).body.title).toMatch(/sent this draft back/)
  })
  it('figures that may be slips are asked about, and the answer is kept', async () => {
    const odd = { ...engineOf(), torques: { ...engineOf().torques, plugNm: 120 } }
    const asked = await ines.post('/api/models', { maker: 'Specs', model: `Odd ${unique()}`, engine: odd })
    expect(asked.body).toMatchObject({ status: 422, code: 'doubts', fields: [{ field: 'plug' }] })
    const model = await newModel(ines, { engine: odd, answered: asked.body.doubts!.map(d => d.id) })
    expect(tellEnglish((await read(model.id)).revisions[0]!.answered[0]!.says)).toMatch(/Was 12 N·m/)
  })
  it('what a draft would do: the valves as last left, by both', async () => {
    const found = (await ines.get<SearchResponse>('/api/models?q=hedgerow')).body.rows[0]!
    const waiting = (await read(found.id)).revisions.find(r => r.approvedAt === null)!
    const effect = (await ines.get<Affected[]>(`/api/revisions/${waiting.id}/effect`)).body
    expect(effect.length).toBeGreaterThanOrEqual(4)
    expect(effect.every(e => e.before === 'in')).toBe(true)
  })
  it('another shop’s models and revisions are not there', async () => {
    expect((await ines.get('/api/models/999999')).status).toBe(404)
    expect((await ines.post('/api/revisions/999999/approve')).status).toBe(404)
  })
})

describe('an open job whose spec was superseded', () => {
  async function openJob(model: ModelRow): Promise<number> {
    const machine = await ines.post<{ id: number }>('/api/machines', {
      name: model.model,
      tag: unique(),
      modelId: model.id,
      meterUnit: 'h',
      customer: { name: 'T' },
    })
    const bladeSetId = (await ines.get<{ id: number }[]>('/api/blade-sets')).body[0]!.id
    return (await ines.post<{ id: number }>('/api/jobs', { machineId: machine.body.id, bladeSetId, meter: null })).body
      .id
  }
  const supersede = async (model: ModelRow, engine = wider()) => {
    const made = (await draft(tam, model, { engine })).body
    await ines.post(`/api/revisions/${made.id}/approve`)
    return made
  }
  it('keeps the one it began with, is offered the new one, and takes it as the book has it', async () => {
    const model = await newModel()
    const job = await openJob(model)
    const made = await supersede(model)
    expect((await ines.get<{ pin: { spec: { revision: number } } }>(`/api/jobs/${job}`)).body.pin.spec.revision).toBe(1)
    const { newer } = (await ines.get<{ newer: RevisionRow }>(`/api/jobs/${job}/newer-spec`)).body
    expect(newer).toMatchObject({ id: made.id, revision: 2 })
    expect((await read(model.id)).openJobs).toMatchObject([{ id: job, revision: 1 }])
    const forged = await ines.answer(job, {
      type: 'spec-taken',
      payload: { revisionId: made.id, revision: 2, engine: { ...newer.engine, coldLimitC: 50 } },
    })
    expect(forged.body.title).toMatch(/not the figures of this revision/)
    expect(
      (
        await ines.answer(job, {
          type: 'spec-taken',
          payload: { revisionId: made.id, revision: 2, engine: newer.engine },
        })
      ).status,
    ).toBe(200)
    expect((await ines.get<{ newer: null }>(`/api/jobs/${job}/newer-spec`)).body.newer).toBeNull()
    const { sheet } = (
      await ines.get<{ sheet: { spec: { revision: number }; figures: string[] } }>(`/api/jobs/${job}/sheet`)
    ).body
    expect(sheet.spec.revision).toBe(2)
    expect(sheet.figures[0]).toMatch(/Started with revision 1; Ines switched to revision 2/)
  })
  it('cannot take one that moves the marks: what was seen rests on them', async () => {
    const model = await newModel()
    const job = await openJob(model)
    const made = await supersede(model, engineOf({ marks: [{ letter: 'T', angleDeg: 10, kind: 'top' }] }))
    const { newer } = (await ines.get<{ newer: RevisionRow }>(`/api/jobs/${job}/newer-spec`)).body
    expect(
      (
        await ines.answer(job, {
          type: 'spec-taken',
          payload: { revisionId: made.id, revision: 2, engine: newer.engine },
        })
      ).body.title,
    ).toMatch(/open a new one/)
  })
})

describe('finding', () => {
  it('tolerates case, hyphens, spaces and slips; years and displacement count', async () => {
    const name = `Brimstone ${unique()}`
    const model = await newModel(ines, {
      model: name,
      code: 'BX-24/P',
      family: 'Lark',
      displacementCc: 613,
      yearFrom: 1988,
      yearTo: 1991,
    })
    for (const q of [
      name.toLowerCase(),
      name.replace('Brimstone', 'brimston'),
      'bx24p',
      'specs lark',
      'brimstone 613cc',
      'brimstone 1990',
    ])
      expect(
        (await ines.get<SearchResponse>(`/api/models?q=${encodeURIComponent(q)}&limit=100`)).body.rows.map(r => r.id),
        q,
      ).toContain(model.id)
  })
  it('puts the machine’s own model first, and what was used last before the rest', async () => {
    const machine = (await ines.get<{ id: number; modelId: number }[]>('/api/machines?q=Span')).body[0]!
    const {
      recent,
      rows: [first],
    } = (await ines.get<SearchResponse>(`/api/models?machine=${machine.id}`)).body
    expect([recent, first?.id]).toEqual([true, machine.modelId])
  })
  it('finds by the new name after it was renamed, and not by the old', async () => {
    const model = await newModel(ines, { model: `Quill ${unique()}` })
    const renamed = `Zwick ${unique()}`
    expect((await tam.call('PUT', `/api/models/${model.id}`, { maker: 'Specs', model: renamed })).status).toBe(403)
    expect(
      (
        await ines.call('PUT', `/api/models/${model.id}`, {
          maker: 'Specs',
          model: renamed,
          yearFrom: 2001,
          yearTo: 1999,
        })
      ).body.fields?.[0]?.message,
    ).toMatch(/before the first/)
    expect((await ines.call('PUT', `/api/models/${model.id}`, { maker: 'Specs', model: renamed })).status).toBe(200)
    expect((await ines.get<SearchResponse>(`/api/models?q=${encodeURIComponent(renamed)}`)).body.rows[0]?.id).toBe(
      model.id,
    )
    expect(
      (await ines.get<SearchResponse>(`/api/models?q=${encodeURIComponent(model.model)}`)).body.rows.map(r => r.id),
    ).not.toContain(model.id)
  })
})

/** The file as a browser sends it, read with the mapping that is suggested, until the preview stands. */
async function taken(name: string, bytes: string | Uint8Array, client = ines): Promise<ImportResponse> {
  const { body, status } = await client.upload<{ id: number }>(
    `/api/spec-imports?name=${encodeURIComponent(name)}`,
    bytes,
  )
  expect(status, JSON.stringify(body)).toBe(200)
  const at = `/api/spec-imports/${body.id}`
  const before = (await client.get<ImportResponse>(at)).body
  const begun = await client.post<ImportResponse>(`${at}/read`, {
    delimiter: before.settings.delimiter,
    mapping: before.settings.mapping,
  })
  expect(begun.status, JSON.stringify(begun.body)).toBe(200)
  return settled(body.id, client)
}
async function settled(id: number, client = ines): Promise<ImportResponse> {
  const until = Date.now() + 25_000
  for (;;) {
    const now = (await client.get<ImportResponse>(`/api/spec-imports/${id}`)).body
    if (now.state !== 'reading' && now.state !== 'writing') return now
    if (Date.now() > until) throw new Error(`import ${id} stands still: ${JSON.stringify(now)}`)
    await new Promise(done => setTimeout(done, 50))
  }
}
const rows = async (id: number, state: string) =>
  (await ines.get<ImportRow[]>(`/api/spec-imports/${id}/rows?state=${state}`)).body
const accept = async (id: number, approveBecause = '') => {
  expect((await ines.post(`/api/spec-imports/${id}/accept`, { approveBecause })).status).toBe(200)
  return settled(id)
}
const exported = (query: string) => ines.text(`/api/spec-export?${query}`)

describe('a book as a file', () => {
  it('what is exported and taken in again is the same, as CSV with any delimiter and as JSON', async () => {
    for (const query of ['format=csv', 'format=csv&delimiter=%3B', 'format=csv&delimiter=%09', 'format=json']) {
      const text = await exported(query)
      const { counts, state } = await taken(query.includes('json') ? 'book.json' : 'book.csv', text)
      expect({ state, new: counts.new, changed: counts.changed, problem: counts.problem }, query).toEqual({
        state: 'preview',
        new: 0,
        changed: 0,
        problem: 0,
      })
      expect(counts.same).toBe((await ines.get<SearchResponse>('/api/models')).body.total)
    }
  })
  it.each(['xlsx', 'ods'])('and as a workbook, .%s', async format => {
    const { counts, state } = await taken(`book.${format}`, await ines.bytes(`/api/spec-export?format=${format}`))
    expect({ state, new: counts.new, changed: counts.changed, problem: counts.problem }).toEqual({
      state: 'preview',
      new: 0,
      changed: 0,
      problem: 0,
    })
  })
  it('days of a file that do not tell which comes first are asked for, one that does tells of all', async () => {
    const head = 'maker,model,stroke,intake,exhaust,source,source_date,seen_from,means\n'
    const row = (day: string) => `Specs,Days ${unique()},50,0.1,0.12,Manual,${day},left,nut\n`
    const open = await taken('days.csv', head + row('8/12/24'))
    expect(tellEnglish((await rows(open.id, 'problem'))[0]!.notes[0]!.says)).toMatch(/2024-12-08 or 2024-08-12/)
    const told = await taken('days.csv', head + row('8/12/24') + row('8/25/24'))
    expect(told.counts).toMatchObject({ new: 2, problem: 0 })
  })
  it('is read by another CSV package, and holds the published schema', async () => {
    const csv = Papa.parse<Record<string, string>>((await exported('format=csv')).replace(/^\uFEFF/, ''), {
      header: true,
      skipEmptyLines: true,
    })
    expect(csv.errors).toEqual([])
    const book = JSON.parse(await exported('format=json')) as { models: { key: string }[] }
    expect(csv.data.map(r => r.key)).toEqual(book.models.map(m => m.key))
    const ajv = new Ajv2020({ strict: false })
    addFormats(ajv)
    const fits = ajv.compile(JSON.parse(readFileSync('docs/formats/spec-book.schema.json', 'utf8')) as object)
    expect(JSON.parse(readFileSync('docs/formats/spec-book.schema.json', 'utf8'))).toEqual(
      JSON.parse(JSON.stringify(bookJsonSchema())),
    )
    expect(fits(book), JSON.stringify(fits.errors)).toBe(true)
    expect(fits({ ...book, models: [{ ...book.models[0], maker: 7 }] })).toBe(false)
  })
  it('a selection holds these alone', async () => {
    const {
      rows: [a, b],
    } = (await ines.get<SearchResponse>('/api/models')).body
    expect(
      (JSON.parse(await exported(`format=json&ids=${a!.id},${b!.id}`)) as { models: unknown[] }).models,
    ).toHaveLength(2)
    expect((await ines.get('/api/spec-export?format=xml')).body.title).toMatch(/csv, json, xlsx or ods/)
  })
  it('rows are new, changed or the same; accepted, they are written together, as drafts or approved', async () => {
    const name = `Import ${unique()}`
    const head = 'maker;model;stroke;intake;exhaust;source;source date;seen from;turned by\n'
    const row = (model: string, exhaust: string) =>
      `Specs;${model};50,5;0,08–0,12;${exhaust};Manual;2024-01-02;left;nut\n`
    const first = await taken('a.csv', head + row(`${name} a`, '0,10–0,14') + row(`${name} b`, '0,10–0,14'))
    expect(first.counts).toMatchObject({ new: 2, problem: 0 })
    expect(
      (await ines.get<SearchResponse>(`/api/models?q=${name}`)).body.rows.some(r => r.model.startsWith(name)),
    ).toBe(false)
    expect(await accept(first.id, 'the only lead')).toMatchObject({
      state: 'done',
      message: expect.stringContaining('2 new and 0 changed, approved'),
    })
    const second = await taken(
      'b.csv',
      head + row(`${name} a`, '0,10–0,14') + row(`${name} b`, '0,12–0,16') + row(`${name} c`, '0,10–0,14'),
    )
    expect(second.counts).toEqual({ new: 1, changed: 1, same: 1, problem: 0 })
    expect((await rows(second.id, 'changed'))[0]!.changes.map(tellEnglish)).toEqual([
      'Exhaust: 0.10–0.14 mm → 0.12–0.16 mm',
    ])
    await accept(second.id)
    const found = (await ines.get<SearchResponse>(`/api/models?q=${encodeURIComponent(`${name} b`)}`)).body.rows[0]!
    expect((await read(found.id)).revisions.map(r => [r.revision, r.approvedAt !== null, r.reason])).toEqual([
      [1, true, 'From a.csv'],
      [2, false, 'From b.csv'],
    ])
  })
  it('what changes of the model itself is named in words, not by its column', async () => {
    const model = `Import ${unique()}`
    const head = 'maker,model,stroke,intake,exhaust,source,source date,seen from,turned by,year to,family\n'
    const row = (own: string) => `Specs,${model},50,0.08–0.12,0.10–0.14,Manual,2024-01-02,left,nut,${own}\n`
    await accept((await taken('a.csv', head + row(',Old'))).id, 'the only lead')
    const { id } = await taken('b.csv', head + row('2012,New'))
    expect((await rows(id, 'changed'))[0]!.changes.map(tellEnglish).sort()).toEqual([
      'Built until: none → 2012',
      'Family: Old → New',
    ])
  })
  it('each mistake is named by row and column, and the good rows can be taken', async () => {
    const name = unique()
    const good = (model: string) => `Specs,${model} ${name},50,0.08–0.12,0.10–0.14,Manual,2024-01-02,left,nut,12`
    const file = [
      'Maker,Model,Stroke,Inlet,Exhaust,Manual,Date,Seen from,Turned by,Plug',
      good('one'),
      good('two').replace('0.08–0.12', 'ten'),
      `${good('three')},extra`,
      good('one'),
      good('four').replace(',12', ',120'),
      good('five').replace('nut', '<b>nut</b>'),
      '',
      good('six'),
    ].join('\r\n')
    const bytes = new Uint8Array([
      ...new TextEncoder().encode(file),
      13,
      10,
      ...new TextEncoder().encode(good('seven').replace('Manual', 'Caf')).slice(0, -3),
      0xe9,
      44,
      49,
      50,
    ])
    const preview = await taken('mistakes.csv', bytes)
    expect(preview.counts).toMatchObject({ new: 2, problem: 6 })
    expect(
      (await rows(preview.id, 'problem')).map(r => [
        r.rowNo,
        r.notes[0]!.column,
        tellEnglish(r.notes[0]!.says).slice(0, 40),
      ]),
    ).toEqual([
      [3, 'Inlet', expect.stringContaining('“ten” is not a length')],
      [4, 'Plug', expect.stringContaining('The row has 11 cells')],
      [5, 'Model', expect.stringContaining('The same model as row 2')],
      [6, 'Plug', expect.stringContaining('120 N·m')],
      [7, 'Turned by', expect.stringContaining('markup')],
      [10, 'Turned by', expect.stringContaining('not UTF-8')],
    ])
    expect((await ines.post<ImportRow>(`/api/spec-imports/${preview.id}/answer`, { rowNo: 6 })).body.state).toBe('new')
    expect((await ines.post(`/api/spec-imports/${preview.id}/answer`, { rowNo: 3 })).status).toBe(422)
    expect((await accept(preview.id)).message).toMatch(/^3 new/)
    const odd = (await ines.get<SearchResponse>(`/api/models?q=${encodeURIComponent(`four ${name}`)}`)).body.rows[0]!
    expect((await read(odd.id)).revisions[0]!.answered).toHaveLength(1)
  })
  it.each<[string, Uint8Array | string, RegExp]>([
    ['zip.csv', new Uint8Array([0x50, 0x4b, 3, 4, 9, 9]), /zip archive/],
    ['image.csv', PNG.sync.write(new PNG({ width: 2, height: 2 })), /PNG image/],
    ['wide.csv', new Uint8Array([0xff, 0xfe, 65, 0]), /UTF-16/],
    ['zeros.csv', new Uint8Array([65, 0, 66]), /not a table/],
    [
      'cut.xlsx',
      workbookOf(
        [
          ['maker', 'model'],
          ['A', 'B'],
        ],
        'xlsx',
      ).slice(0, 900),
      /can’t be read/,
    ],
    ['bare.ods', workbookOf([['maker', 'model']], 'ods'), /no rows/],
    ['empty.csv', '', /empty/],
  ])('%s is refused with what to do, and nothing is kept of it', async (name, bytes, words) => {
    const { status, body } = await ines.upload(`/api/spec-imports?name=${name}`, bytes)
    expect([status, body.title]).toEqual([422, expect.stringMatching(words)])
  })
  it('an open quote, a broken JSON and one that is no book are said, and the rows before are kept', async () => {
    const head = 'maker,model,stroke,intake,exhaust,source,source_date,seen_from,means\n'
    const open = await taken(
      'quote.csv',
      `${head}Specs,Q ${unique()},50,0.1,0.12,Manual,2024-01-02,left,nut\nSpecs,"never closed,50\n`,
    )
    expect(open.counts).toMatchObject({ new: 1, problem: 1 })
    expect(tellEnglish((await rows(open.id, 'problem'))[0]!.notes[0]!.says)).toMatch(/quote/)
    const broken = await taken('cut.json', '{"format":"wembric spec book","version":1,"models":[{"maker":')
    expect(tellEnglish((await rows(broken.id, 'problem'))[0]!.notes[0]!.says)).toMatch(/not readable JSON/)
    const other = await taken('other.json', '{"hello":"world"}')
    expect(tellEnglish((await rows(other.id, 'problem'))[0]!.notes[0]!.says)).toMatch(/no models in this file/)
  })
  it('headings once said are remembered', async () => {
    const heading = `Spiel ${unique()}`
    const text = `maker,model,${heading}\nA,B,0.1\n`
    const first = (await ines.upload<{ id: number }>('/api/spec-imports?name=h.csv', text)).body.id
    expect((await ines.get<ImportResponse>(`/api/spec-imports/${first}`)).body.settings.mapping).toEqual([
      'maker',
      'model',
      null,
    ])
    expect(
      (await ines.post(`/api/spec-imports/${first}/read`, { delimiter: ',', mapping: ['maker', 'maker', 'intake'] }))
        .body.title,
    ).toMatch(/Two columns/)
    await ines.post(`/api/spec-imports/${first}/read`, { delimiter: ',', mapping: ['maker', 'model', 'intake'] })
    const second = (await ines.upload<{ id: number }>('/api/spec-imports?name=h.csv', text)).body.id
    expect((await ines.get<ImportResponse>(`/api/spec-imports/${second}`)).body.settings.mapping[2]).toBe('intake')
  })
  it('one whose server was stopped in the middle says so', async () => {
    const { id } = await taken(
      'cut.csv',
      'maker,model,stroke,intake,exhaust,source,source_date,seen_from,means\nSpecs,Cut,50,0.1,0.12,Manual,2024-01-02,left,nut\n',
    )
    await pool.query(
      "UPDATE spec_imports SET state = 'writing', moved_at = UTC_TIMESTAMP(3) - INTERVAL 5 MINUTE WHERE id = ?",
      [id],
    )
    expect((await ines.get<ImportResponse>(`/api/spec-imports/${id}`)).body).toMatchObject({
      state: 'failed',
      message: expect.stringContaining('Nothing in this file was saved'),
    })
  })
  it('one that is cancelled while it is written leaves nothing behind', async () => {
    const name = `Cancelled ${unique()}`
    const many = Array.from(
      { length: 3000 },
      (_, i) => `Specs,${name} ${i},50,0.08–0.12,0.10–0.14,Manual,2024-01-02,left,nut`,
    )
    const preview = await taken(
      'many.csv',
      ['maker,model,stroke,intake,exhaust,source,source_date,seen_from,means', ...many].join('\n'),
    )
    expect(preview.counts.new).toBe(3000)
    const total = (await ines.get<SearchResponse>('/api/models')).body.total
    await ines.post(`/api/spec-imports/${preview.id}/accept`, {})
    expect((await ines.post<ImportResponse>(`/api/spec-imports/${preview.id}/cancel`)).body.state).toBe('cancelled')
    await new Promise(done => setTimeout(done, 1500))
    expect((await ines.get<SearchResponse>('/api/models')).body.total).toBe(total)
    expect((await ines.post(`/api/spec-imports/${preview.id}/accept`, {})).status).toBe(409)
  })
})

describe('other software', () => {
  it('reads the figures in force with a token, until it is ended; only its hash is kept', async () => {
    expect((await tam.post('/api/tokens', { name: 'Mine' })).status).toBe(403)
    const { id, token } = (await ines.post<{ id: number; token: string }>('/api/tokens', { name: 'Counter' })).body
    const guest = new Client()
    const bearer = { authorization: `Bearer ${token}` }
    const page = await guest.call<{
      models: { key: string; engine: unknown; revision: { number: number } }[]
      next: string | null
    }>('GET', '/api/v1/models', undefined, bearer)
    expect(page.status).toBe(200)
    const duet = await guest.call<{ engine: object; revision: object }>(
      'GET',
      '/api/v1/models/vossel-duet-405-vd405-p',
      undefined,
      bearer,
    )
    expect(duet.body.revision).toMatchObject({ number: 3, status: 'approved' })
    const own = (await ines.get<SearchResponse>('/api/models?q=duet')).body.rows[0]!
    expect((await read(own.id)).model.engine).toEqual(duet.body.engine)
    expect((await guest.call('GET', '/api/v1/models/none-such', undefined, bearer)).status).toBe(404)
    const [kept] = await pool.query('SELECT * FROM api_tokens WHERE id = ?', [id])
    expect(JSON.stringify(kept)).not.toContain(token.slice(8))
    expect((await ines.call('DELETE', `/api/tokens/${id}`)).status).toBe(200)
    expect((await guest.call('GET', '/api/v1/models', undefined, bearer)).status).toBe(401)
    expect((await guest.call('GET', '/api/v1/models')).status).toBe(401)
  })
  it('all pages hold all models once', async () => {
    const { token } = (await ines.post<{ token: string }>('/api/tokens', { name: 'Pages' })).body
    const guest = new Client()
    const keys: string[] = []
    for (let after: string | null = ''; after !== null;) {
      const { body }: { body: { models: { key: string }[]; next: string | null } } = await guest.call(
        'GET',
        `/api/v1/models${after ? `?after=${after}` : ''}`,
        undefined,
        { authorization: `Bearer ${token}` },
      )
      keys.push(...body.models.map(m => m.key))
      after = body.next
    }
    expect(new Set(keys).size).toBe(keys.length)
    expect(keys.length).toBe((await ines.get<SearchResponse>('/api/models')).body.total)
  })
  it('its description is valid OpenAPI, and the one that is published', async () => {
    const guest = new Client()
    const { body } = await guest.get<object>('/api/v1/openapi.json')
    expect(await new Validator().validate(structuredClone(body))).toMatchObject({ valid: true })
    expect(body).toEqual(JSON.parse(readFileSync('docs/formats/openapi.json', 'utf8')))
  })
  it('all that pages and server say is described too: every line of the API, valid', async () => {
    const whole = JSON.parse(readFileSync('docs/formats/whole-api.openapi.json', 'utf8')) as {
      paths: Record<string, object>
    }
    expect(await new Validator().validate(structuredClone(whole))).toMatchObject({ valid: true })
    const lines = Object.entries(whole.paths).flatMap(([path, methods]) =>
      Object.keys(methods).map(method => `${method.toUpperCase()} ${path.replace(/\{(\w+)\}/g, ':$1')}`),
    )
    expect(new Set(lines)).toEqual(new Set(Object.keys(API)))
  })
})
