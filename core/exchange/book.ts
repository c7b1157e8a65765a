import { type Engine, engineSchema } from '../engine'
import { say, type Text } from '../said'
import {
  type Doubt,
  doubtsOf,
  type Identity,
  identityParts,
  identitySchema,
  keyOf,
  readSpec,
  SPEC_FIELDS,
  type SpecField,
  writeSpec,
  YEARS_WRONG,
  yearsInOrder,
} from '../spec-book'
import { numberOf } from '../units'
import { heard } from '../wrong'
import { z } from '../zod'
import { barred, cellIn, cellOut, cellProblem, figureOut } from './cells'
import { type Column, COLUMNS, FIGURE_COLUMNS, type IDENTITY_FIELDS } from './columns'
import { type DayOrder, isBareDay, readDay } from './days'

export const BOOK_FORMAT = 'wembric spec book'
/** One model of a book: what it is called and found by, and the engine data of the revision in force. */
export const bookModelSchema = identityParts.extend({ engine: engineSchema }).refine(yearsInOrder, YEARS_WRONG)
/** The JSON file. Its published schema is made from this one. */
export const bookSchema = z.object({
  format: z.literal(BOOK_FORMAT),
  version: z.literal(1),
  models: z.array(bookModelSchema),
})
export type BookModel = Identity & { key: string; engine: Engine }

/** Something that keeps a row from being taken, or a doubt that must be answered; `column` as the file has it. */
export interface RowNote {
  column: string
  says: Text
  doubt?: string
}
export interface ReadRow {
  title: string
  model: BookModel | null
  notes: RowNote[]
}

/** A figure as the fields have it, whatever decimal mark its file has; what is none stays as it is. */
function figureIn(cell: string): string {
  const value = numberOf(cell)
  return value === null || Number.isNaN(value) ? cellIn(cell) : String(value)
}

/** Columns of text in which a bare day is most likely a page or a name that a spreadsheet took for a day. */
const NO_DAYS: readonly Column[] = ['model', 'code', 'source']

const figure = (v: number | null): string => (v === null ? '' : String(v))
/** A model as texts, in the order of `COLUMNS`. */
function modelTexts({ engine, ...m }: BookModel): string[] {
  const { text, exact } = writeSpec(engine)
  const identity: Record<(typeof IDENTITY_FIELDS)[number], string> = {
    ...m,
    displacementCc: figure(m.displacementCc),
    yearFrom: figure(m.yearFrom),
    yearTo: figure(m.yearTo),
  }
  const cells: Record<Column, string> = {
    ...identity,
    ...text,
    exact: Object.keys(exact).length ? JSON.stringify(exact) : '',
  }
  return COLUMNS.map(c => cells[c])
}
/**
 * A model as the cells of a CSV row, in the order of `COLUMNS`. `rowModel` gives the same model back, also after a
 * spreadsheet has had the file.
 */
export const modelRow = (model: BookModel, delimiter = ','): string[] =>
  modelTexts(model).map((text, i) => {
    const column = COLUMNS[i]!
    return column === 'exact' ? text : FIGURE_COLUMNS.has(column) ? figureOut(text, delimiter) : cellOut(text)
  })

/** A model as the cells of a workbook, where a text stays a text and a figure is a number. `rowModel` gives it back. */
export const modelCells = (model: BookModel): (string | number)[] =>
  modelTexts(model).map((text, i) => {
    const column = COLUMNS[i]!
    if (FIGURE_COLUMNS.has(column) && text !== '' && String(Number(text)) === text) return Number(text)
    return column === 'exact' ? text : NO_DAYS.includes(column) && isBareDay(text) ? cellOut(text) : barred(text)
  })

/** The day of a cell, in the order of its file; or what is wrong with it. */
function dayIn(text: string, order: DayOrder | null): { text: string; says?: Text } {
  const days = readDay(text)
  const one = days.length === 1 ? days[0] : days.find(d => d.order === order)
  if (one) return { text: one.iso }
  return days.length > 1
    ? { text, says: say('cell.either-day', { typed: text, days: days.map(d => d.iso) }) }
    : { text }
}

const doubtNotes = (engine: Engine, nameOf: (field: SpecField) => string): RowNote[] =>
  doubtsOf(engine).map((d: Doubt) => ({ column: nameOf(d.field), says: d.says, doubt: d.id }))

/**
 * Reads one row of a CSV.
 * @param cells as the file has them
 * @param mapping which column each cell is; null is left out
 * @param headings the file's own names, used to say where a problem is
 * @param order whether day or month comes first in this file, where its cells tell (`dayOrderOf`)
 */
export function rowModel(
  cells: string[],
  mapping: (Column | null)[],
  headings: string[],
  order: DayOrder | null = null,
): ReadRow {
  const notes: RowNote[] = []
  const at = (column: Column) => headings[mapping.indexOf(column)] ?? column
  const given = Object.fromEntries(
    mapping.flatMap((column, i) => {
      const cell = (cells[i] ?? '').trim()
      if (!column) return []
      return [[column, column === 'exact' ? cell : FIGURE_COLUMNS.has(column) ? figureIn(cell) : cellIn(cell)]]
    }),
  ) as Partial<Record<Column, string>>
  const title = [given.maker, given.model].filter(Boolean).join(' ').slice(0, 130) || (given.key ?? '')
  if (cells.length !== headings.length)
    notes.push({
      column: headings[Math.min(cells.length, headings.length) - 1] ?? '',
      says: say('cell.count', { cells: cells.length, headings: headings.length }),
    })
  cells.forEach((cell, i) => {
    const problem = cellProblem(cell)
    if (problem) notes.push({ column: headings[i] ?? `cell ${i + 1}`, says: say('cell.of', { problem }) })
  })
  if (notes.length) return { title, model: null, notes }
  mapping.forEach((column, i) => {
    if (!column || !NO_DAYS.includes(column) || !isBareDay((cells[i] ?? '').trim())) return
    notes.push({ column: at(column), says: say('cell.bare-day', { typed: given[column]! }) })
  })
  if (given.sourceDate) {
    const { text, says } = dayIn(given.sourceDate, order)
    given.sourceDate = text
    if (says) notes.push({ column: at('sourceDate'), says })
  }
  const number = (text: string | undefined) => numberOf(text ?? '')
  const identity = identitySchema.safeParse({
    ...given,
    key: given.key || undefined,
    code: given.code ?? '',
    kind: given.kind ?? '',
    family: given.family ?? '',
    maker: given.maker ?? '',
    model: given.model ?? '',
    displacementCc: number(given.displacementCc),
    yearFrom: number(given.yearFrom),
    yearTo: number(given.yearTo),
  })
  for (const issue of identity.error?.issues ?? [])
    notes.push({ column: at(issue.path[0] as Column), says: heard(issue.message) })
  let exact: object = {}
  try {
    exact = given.exact ? (JSON.parse(given.exact) as object) : {}
  } catch {
    notes.push({
      column: at('exact'),
      says: say('cell.not-json'),
    })
  }
  const { engine, wrong } = readSpec(Object.fromEntries(SPEC_FIELDS.map(f => [f, given[f] ?? ''])), exact)
  for (const [field, says] of Object.entries(wrong)) notes.push({ column: at(field as SpecField), says })
  if (notes.length || !engine || !identity.success) return { title, model: null, notes }
  return {
    title,
    model: { ...identity.data, key: identity.data.key ?? keyOf(identity.data), engine },
    notes: doubtNotes(engine, at),
  }
}

/** Reads one model of a JSON file. Problems name the place in the file. */
export function jsonModel(value: unknown): ReadRow {
  const said = value as { maker?: unknown; model?: unknown } | null
  const title = [said?.maker, said?.model]
    .filter(v => typeof v === 'string')
    .join(' ')
    .slice(0, 130)
  const parsed = bookModelSchema.safeParse(value)
  if (!parsed.success)
    return {
      title,
      model: null,
      notes: parsed.error.issues.map(i => ({ column: i.path.join('.') || 'model', says: heard(i.message) })),
    }
  const problems = Object.entries(parsed.data)
    .filter(([, v]) => typeof v === 'string')
    .flatMap(([column, v]) => {
      const problem = cellProblem(v as string)
      return problem ? [{ column, says: say('cell.text', { problem }) }] : []
    })
  if (problems.length) return { title, model: null, notes: problems }
  return {
    title,
    model: { ...parsed.data, key: parsed.data.key ?? keyOf(parsed.data) },
    notes: doubtNotes(parsed.data.engine, f => f),
  }
}
