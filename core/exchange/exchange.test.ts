import { parse } from 'csv-parse/sync'
import { stringify } from 'csv-stringify/sync'
import fc from 'fast-check'
import Papa from 'papaparse'
import { describe, expect, it } from 'vitest'
import * as singles from '../../server/demo/models/singles'
import * as twins from '../../server/demo/models/twins'
import { fourOf, fourValveSingle } from '../../tests/support/engines'
import {
  type BookModel,
  cellIn,
  cellOut,
  columnFor,
  COLUMNS,
  delimiterOf,
  headingOf,
  jsonModel,
  modelRow,
  rowModel,
} from './index'
import { tellEnglish } from '../../words'

const identity = (maker: string, model: string, more: Partial<BookModel> = {}) => ({
  key: `${maker}-${model}`.toLowerCase().replaceAll(' ', '-'),
  maker,
  model,
  code: '',
  kind: '',
  family: '',
  displacementCc: null,
  yearFrom: null,
  yearTo: null,
  ...more,
})
const BOOK: BookModel[] = [
  ...[...Object.values(singles), ...Object.values(twins)].map(({ maker, model, code, kind, engine }) => ({
    ...identity(maker, model, { code, kind }),
    engine,
  })),
  {
    ...identity('Odd', 'Four', { family: '=1+1', displacementCc: 499.5, yearFrom: 2001, yearTo: 2009 }),
    engine: fourOf([1, 2, 4, 3], { tools: '@SUM(A1)', gasket: '-two, "new"\nand oiled', plugGap: "'quoted" }),
  },
  {
    ...identity('Odd', 'Plus', { code: '+49' }),
    engine: fourValveSingle({ stripDown: ['Seat; left', 'Tank, with tap'], source: 'Ümlaut; “book”, p. 3\t' }),
  },
]
const headings = COLUMNS.map(headingOf)
const read = (cells: string[]) => rowModel(cells, [...COLUMNS], headings)

describe('a book written as CSV and read again is the same book', () => {
  for (const delimiter of [',', ';', '\t', '|'])
    it(`parted by ${JSON.stringify(delimiter)}, through two other readers`, () => {
      const text = stringify([headings, ...BOOK.map(modelRow)], { delimiter, bom: true })
      for (const rows of [
        parse(text, { delimiter, bom: true }) as string[][],
        Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { delimiter, skipEmptyLines: true }).data,
      ]) {
        expect(rows[0]).toEqual(headings)
        expect(rows.slice(1).map(r => read(r).model)).toEqual(BOOK)
      }
      expect(delimiterOf(text.split('\n')[0]!)).toBe(delimiter)
    })
  it('what another program writes is read', () => {
    const text = Papa.unparse([headings, ...BOOK.map(modelRow)], { newline: '\r\n' })
    expect((parse(text) as string[][]).slice(1).map(r => read(r).model)).toEqual(BOOK)
  })
  it('and as JSON', () =>
    expect((JSON.parse(JSON.stringify(BOOK)) as unknown[]).map(m => jsonModel(m).model)).toEqual(BOOK))
})

describe('cells that a spreadsheet would run', () => {
  it.each(['=1+1', '+49', '-a', '@SUM(A1)', '\t=x', '\r=x', "'=1", "''=1"])(
    '%j is made harmless and comes back',
    text => {
      expect(cellOut(text)[0] === "'" || /^[+-]?\d+$/.test(text)).toBe(true)
      expect(cellIn(cellOut(text))).toBe(text)
    },
  )
  it('any text comes back, and none begins a formula', () =>
    fc.assert(
      fc.property(fc.string(), text => {
        const out = cellOut(text)
        return (
          cellIn(out) === text && !/^[=@\t\r]/.test(out) && (!/^[+-]/.test(out) || /^[+-]?\d+([.,]\d+)?$/.test(out))
        )
      }),
    ))
  it('a figure stays a figure: a valve that closes 5° before', () => expect(cellOut('-5')).toBe('-5'))
})

describe('foreign headings', () => {
  it.each([
    ['Maker', 'maker'],
    ['MAKE', 'maker'],
    ['Model name', 'model'],
    ['Exhaust clearance', 'exhaust'],
    ['Inlet', 'intake'],
    ['Displacement (cc)', 'displacementCc'],
    ['source-date', 'sourceDate'],
    ['cc', 'displacementCc'],
    ['Color', null],
    ['', null],
  ] as const)('“%s” is %s', (heading, column) => expect(columnFor(heading)).toBe(column))
  it('each export heading is its own column', () => expect(headings.map(columnFor)).toEqual([...COLUMNS]))
})

describe('a row that cannot be taken names its column', () => {
  const good = modelRow(BOOK[0]!)
  const withCell = (column: (typeof COLUMNS)[number], text: string) =>
    good.map((c, i) => (COLUMNS[i] === column ? text : c))
  it.each([
    ['intake', 'ten', /not a length/],
    ['stroke', '', /mm/],
    ['maker', '', /Give the maker/],
    ['yearTo', '20x4', /four digits/],
    ['sourceDate', '9.11.2024', /year-month-day/],
    ['tools', '<b>wrench</b>', /markup/],
    ['gasket', 'caf\uFFFD', /UTF-8/],
    ['exact', '{not', /JSON/],
    ['source', 'x'.repeat(9000), /limit/],
    ['model', 'a\u0000b', /control/],
    ['key', 'two words', /key has letters/],
    ['unit', 'cm', /mm, thou or in/],
  ] as const)('%s “%s”', (column, text, says) => {
    const { model, notes } = read(withCell(column, text))
    expect(model).toBeNull()
    expect(tellEnglish(notes.find(n => n.column === headingOf(column))?.says ?? JSON.stringify(notes))).toMatch(says)
  })
  it('a ragged row says how many cells it has', () =>
    expect(read(good.slice(0, 5)).notes[0]).toMatchObject({ says: { say: 'cell.count', cells: 5 } }))
  it('an odd figure is a doubt, not a refusal', () => {
    const { model, notes } = read(withCell('plug', '200'))
    expect(model?.engine.torques.plugNm).toBe(200)
    expect(notes).toEqual([
      { column: 'plug', says: expect.objectContaining({ say: 'doubt.torque', nm: '200' }), doubt: expect.any(String) },
    ])
  })
  it('JSON names the place', () =>
    expect(jsonModel({ ...BOOK[0]!, engine: { ...BOOK[0]!.engine, strokeMm: 0 } }).notes[0]).toMatchObject({
      column: 'engine.strokeMm',
    }))
})
