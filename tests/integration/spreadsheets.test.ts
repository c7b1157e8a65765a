import { execFile } from 'node:child_process'
import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { promisify } from 'node:util'
import { parse } from 'csv-parse/sync'
import { stringify } from 'csv-stringify/sync'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import {
  type BookModel,
  columnFor,
  COLUMNS,
  delimiterOf,
  headingOf,
  modelCells,
  modelRow,
  QUOTED_CELL,
  rowModel,
} from '../../core/exchange'
import * as singles from '../../server/demo/models/singles'
import * as twins from '../../server/demo/models/twins'
import { rowsOfWorkbook, workbookOf } from '../../server/workers/workbook'
import { tellEnglish } from '../../words'
import { fourOf, fourValveSingle } from '../support/engines'

/**
 * The book, saved by Wembric, opened and saved again by spreadsheets of Debian, and read: the same models. What a
 * shop's bookkeeper does with a list, without a hand.
 */
const run = promisify(execFile)
let folder: string
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'wembric-sheets-'))
})
afterAll(() => rm(folder, { recursive: true, force: true }))

const named = (maker: string, model: string, more: Partial<BookModel> = {}) => ({
  ...{ key: `${maker}-${model}`.toLowerCase().replaceAll(/[^a-z0-9]+/g, '-'), maker, model, code: '', kind: '' },
  ...{ family: '', displacementCc: null, yearFrom: null, yearTo: null },
  ...more,
})
const BOOK: BookModel[] = [
  ...[...Object.values(singles), ...Object.values(twins)].map(({ maker, model, code, kind, engine }) => ({
    ...named(maker, model, { code, kind }),
    engine,
  })),
  // what lists of figures are full of, and spreadsheets read more into
  {
    ...named('Odd', '12-4', { code: '1E5', displacementCc: 499.5, yearFrom: 2001, yearTo: 2009 }),
    engine: fourOf([1, 2, 4, 3], { source: '4-12', plugGap: '0.70', gasket: 'new, "thin"\noiled', tools: '=SUM(A1)' }),
  },
  {
    ...named('Odd', '007', { code: 'DEC12', family: 'TRUE' }),
    engine: fourValveSingle({ source: '1/4', stripDown: ['Seat | left', 'Tank, with tap'], coverPattern: '+1' }),
  },
]
const HEADINGS = COLUMNS.map(headingOf)

/** The models of a file, or what is said of a row that is none. */
function models(rows: string[][]): (BookModel | string[])[] {
  const [headings, ...others] = rows as [string[], ...string[][]]
  const mapping = headings.map(columnFor)
  return others.map(cells => {
    const { model, notes } = rowModel(cells, mapping, headings)
    return model ?? notes.map(n => `${n.column}: ${tellEnglish(n.says)}`)
  })
}
const csvModels = async (file: string) => {
  const text = (await readFile(join(folder, file), 'utf8')).replace(/^\uFEFF/, '')
  return models(parse(text, { delimiter: delimiterOf(text.split('\n')[0]!) }) as string[][])
}
const workbookModels = async (file: string) => models(rowsOfWorkbook(await readFile(join(folder, file))))

/** A first spreadsheet: how a file is opened and saved, by the locale of its owner. */
const FILTERS: Record<string, string> = {
  csv: 'csv:Text - txt - csv (StarCalc):44,34,76,1',
  german: 'csv:Text - txt - csv (StarCalc):59,34,76,1,,1031',
  xlsx: 'xlsx',
  ods: 'ods',
}
/** Cells as text marks, UTF-8, first row 1, columns by themselves, then the language (1031 German, 1033 American). */
const OPENED: Record<string, string> = { ',': 'CSV:44,34,76,1,,1033', ';': 'CSV:59,34,76,1,,1031' }
async function office(from: string, to: string, delimiter?: string): Promise<string> {
  const out = `${from.replace(/\..*/, '')}-office`
  await run(
    'soffice',
    [
      ...['--headless', `-env:UserInstallation=file://${join(folder, 'profile')}`],
      ...(delimiter ? [`--infilter=${OPENED[delimiter]!}`] : []),
      ...['--convert-to', FILTERS[to]!, '--outdir', join(folder, out), join(folder, from)],
    ],
    { timeout: 200_000 },
  )
  return join(out, `${from.replace(/\.[^.]*$/, '')}.${to === 'german' ? 'csv' : to}`)
}
/** A second one. */
async function sheet(from: string, to: string, locale = 'en_US.UTF-8'): Promise<string> {
  const out = `${from.replaceAll(/[./]/g, '-')}-sheet.${to}`
  await run('ssconvert', [join(folder, from), join(folder, out)], {
    timeout: 200_000,
    env: { ...process.env, LC_ALL: locale },
  })
  return out
}

const csvFile = async (name: string, delimiter = ',') => {
  const rows = [HEADINGS, ...BOOK.map(m => modelRow(m, delimiter))]
  await writeFile(
    join(folder, name),
    `\uFEFF${stringify(rows, { delimiter, record_delimiter: '\r\n', quoted_match: QUOTED_CELL })}`,
  )
  return name
}
const bookFile = async (name: string, kind: 'xlsx' | 'ods') => {
  await writeFile(join(folder, name), workbookOf([HEADINGS, ...BOOK.map(modelCells)], kind))
  return name
}

describe('a list opened and saved again by a spreadsheet is the same list', () => {
  it('as CSV', async () => expect(await csvModels(await office(await csvFile('a.csv'), 'csv', ','))).toEqual(BOOK))
  it('as CSV with semicolons and decimal commas', async () =>
    expect(await csvModels(await office(await csvFile('b.csv', ';'), 'german', ';'))).toEqual(BOOK))
  it('as CSV that comes back as a workbook', async () =>
    expect(await workbookModels(await office(await csvFile('c.csv'), 'xlsx', ','))).toEqual(BOOK))
  it.each(['xlsx', 'ods'] as const)('as .%s', async kind => {
    expect(await workbookModels(await bookFile(`d.${kind}`, kind))).toEqual(BOOK)
    expect(await workbookModels(await office(`d.${kind}`, kind))).toEqual(BOOK)
    expect(await csvModels(await office(`d.${kind}`, 'csv'))).toEqual(BOOK)
  })
  it('as CSV by another one', async () =>
    expect(await csvModels(await sheet(await csvFile('e.csv'), 'csv'))).toEqual(BOOK))
  it.each(['xlsx', 'ods'] as const)('as .%s by another one', async kind => {
    await bookFile(`f.${kind}`, kind)
    expect(await workbookModels(await sheet(`f.${kind}`, kind))).toEqual(BOOK)
    expect(await csvModels(await sheet(`f.${kind}`, 'csv'))).toEqual(BOOK)
  })
  it('from one to the other and back', async () => {
    await bookFile('g.ods', 'ods')
    const there = await office(await sheet('g.ods', 'xlsx'), 'ods')
    expect(await workbookModels(there)).toEqual(BOOK)
  })
})

describe('an older list, saved before days and lists were kept from spreadsheets', () => {
  it('is read with its days in the shape that the spreadsheet wrote', async () => {
    const plain = BOOK.slice(0, 3).map(m => modelRow(m).map(cell => cell.replace(/^“(.*)”$/, '$1')))
    await writeFile(join(folder, 'h.csv'), stringify([HEADINGS, ...plain]))
    const file = await sheet('h.csv', 'csv')
    expect(await readFile(join(folder, file), 'utf8')).toMatch(/\d{4}\/\d\d\/\d\d/)
    expect(await csvModels(file)).toEqual(BOOK.slice(0, 3))
  })
})
