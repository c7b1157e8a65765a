import { TZDate } from '@date-fns/tz'
import { parse } from 'csv-parse/sync'
import { stringify } from 'csv-stringify/sync'
import { format } from 'date-fns'
import fc from 'fast-check'
import Papa from 'papaparse'
import { describe, expect, it } from 'vitest'
import * as singles from '../../server/demo/models/singles'
import * as twins from '../../server/demo/models/twins'
import { fourOf, fourValveSingle } from '../../tests/support/engines'
import { tellEnglish } from '../../words'
import {
  type BookModel,
  cellIn,
  cellOut,
  columnFor,
  COLUMNS,
  dayOrderOf,
  delimiterOf,
  headingOf,
  inNotationOf,
  jsonModel,
  modelRow,
  readDay,
  rowModel,
} from './index'

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
      const text = stringify([headings, ...BOOK.map(m => modelRow(m, delimiter))], { delimiter, bom: true })
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
    const text = Papa.unparse([headings, ...BOOK.map(m => modelRow(m))], { newline: '\r\n' })
    expect((parse(text) as string[][]).slice(1).map(r => read(r).model)).toEqual(BOOK)
  })
  it('and as JSON', () =>
    expect((JSON.parse(JSON.stringify(BOOK)) as unknown[]).map(m => jsonModel(m).model)).toEqual(BOOK))
})

describe('cells that a spreadsheet would run', () => {
  it.each(['=1+1', '+49', '-a', '@SUM(A1)', '\t=x', '\r=x', "'=1", "''=1"])(
    '%j is made harmless and comes back',
    text => {
      expect(cellOut(text)).toBe(`“${text}”`)
      expect(cellIn(cellOut(text))).toBe(text)
    },
  )
  it('any text comes back on one line, and none begins a formula', () =>
    fc.assert(
      fc.property(fc.string(), typed => {
        const text = typed.trim()
        const out = cellOut(text)
        return (
          cellIn(out) === text &&
          !out.includes('\n') &&
          !/^[=@\t\r]/.test(out) &&
          (!/^[+-]/.test(out) || /^[+-]?\d+([.,]\d+)?$/.test(out))
        )
      }),
    ))
  it('a figure stays a figure: a valve that closes 5° before', () => expect(cellOut('-5')).toBe('-5'))
})

describe('what a spreadsheet would write in another way is kept as it is', () => {
  it.each(['4-12', '1/4', '0.10', '.004', '007', '1E5', '3 May', 'DEC12', '10:30', 'TRUE', '12 %', '1234567890123456'])(
    '%s goes with a quote and comes back',
    text => {
      expect(cellOut(text)).toBe(`“${text}”`)
      expect(cellIn(cellOut(text))).toBe(text)
    },
  )
  it.each(['0.14', '0.08–0.12', '250', 'Plover 200-4', '0.7 mm', 'T 0, F 347', 'M6×0.75'])('%s is safe', text =>
    expect(cellOut(text)).toBe(text),
  )
  it('lines stand on one line, and a bar of their own stays a bar', () => {
    expect(cellOut('Seat\nTank, with tap')).toBe('Seat | Tank, with tap')
    expect(cellIn(cellOut('Seat | left\nTank'))).toBe('Seat | left\nTank')
  })
  it('figures have commas where semicolons part the cells', () => {
    const at = (delimiter: string) => modelRow(BOOK[0]!, delimiter)[COLUMNS.indexOf('ratio')]
    expect([at(','), at(';')]).toEqual(['1.3', '1,3'])
  })
})

describe('a day in the shapes that spreadsheets write', () => {
  it.each([
    ['2024-08-12', '2024-08-12'],
    ['2024/08/12', '2024-08-12'],
    ['12.08.2024', '2024-08-12'],
    ['12.8.24', '2024-08-12'],
    ['8/25/24', '2024-08-25'],
    ['25/08/2024', '2024-08-25'],
    ['12-Aug-2024', '2024-08-12'],
    ['12 de agosto de 2024', '2024-08-12'],
    ['12-ago-24', '2024-08-12'],
    ['August 12, 2024', '2024-08-12'],
    ['2024-08-12 00:00:00', '2024-08-12'],
    ['2024-08-12T00:00:00Z', '2024-08-12'],
    ['6/6/2024', '2024-06-06'],
    // ECMA-376 part 1, 18.17.4.1: serial 45516 of the 1900 system, worked out with ssconvert
    ['45516', '2024-08-12'],
  ])('%s', (typed, iso) => expect(readDay(typed).map(d => d.iso)).toEqual([iso]))
  it.each(['4-12', '2024-13-40', 'p. 4-12', '31/31/2024', '30.02.2024', 'Smarch 5, 2024', ''])('%j is none', typed =>
    expect(readDay(typed)).toEqual([]),
  )
  it('8/12/24 is either, until another row tells', () => {
    expect(readDay('8/12/24').map(d => d.iso)).toEqual(['2024-12-08', '2024-08-12'])
    expect(dayOrderOf(['8/12/24', '8/25/24'])).toBe('month-first')
    expect(dayOrderOf(['8/12/24', '25/8/24'])).toBe('day-first')
    expect(dayOrderOf(['8/12/24', '2024-01-02'])).toBeNull()
    expect(dayOrderOf(['25/8/24', '8/25/24'])).toBeNull()
  })
  it('agrees with a package that parses dates, over every fifth day of eight years', () => {
    for (let at = Date.UTC(2019, 0, 1); at < Date.UTC(2027, 0, 1); at += 5 * 86_400_000) {
      const day = new Date(at)
      const wanted = day.toISOString().slice(0, 10)
      for (const shape of ['yyyy/MM/dd', 'd.M.yyyy', 'd-MMM-yyyy', 'MMMM d, yyyy', 'd MMM yy'])
        expect(readDay(format(new TZDate(at, 'UTC'), shape)).map(d => d.iso)).toEqual([wanted])
      for (const shape of ['M/d/yy', 'dd/MM/yyyy'])
        expect(readDay(format(new TZDate(at, 'UTC'), shape)).map(d => d.iso)).toContain(wanted)
    }
  })
})

describe('a book that the same shop takes back', () => {
  it('keeps the nought of 0.10 where the figure is the same', () => {
    const { engine } = BOOK[2]!
    const shorter = {
      ...engine,
      clearance: { ...engine.clearance, exhaust: { ...engine.clearance.exhaust, text: '.14' } },
    }
    expect(inNotationOf(engine, shorter)).toEqual(engine)
  })
  it('and takes another figure as it is', () => {
    const { engine } = BOOK[2]!
    const other = { ...engine, clearance: { ...engine.clearance, exhaust: engine.clearance.intake } }
    expect(inNotationOf(engine, other)).toEqual(other)
  })
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
    ['stroke', 'x', /not a length/],
    ['maker', '', /Give the maker/],
    ['yearTo', '20x4', /four digits/],
    ['sourceDate', '9.31.2024', /year-month-day/],
    ['sourceDate', '9/11/2024', /2024-11-09 or 2024-09-11/],
    ['source', '2024/04/12', /is a day.*such as 4-12/],
    ['model', '12-Apr', /is a day/],
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
