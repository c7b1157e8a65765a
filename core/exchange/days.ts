import { DAY_MS } from '../units'

/** Which of two figures of a day comes first where a file does not name the month. */
export type DayOrder = 'day-first' | 'month-first'

/** The first letters of months, English and Spanish. */
const MONTHS = [
  ['jan', 'ene'],
  ['feb'],
  ['mar'],
  ['apr', 'abr'],
  ['may'],
  ['jun'],
  ['jul'],
  ['aug', 'ago'],
  ['sep', 'set'],
  ['oct'],
  ['nov'],
  ['dec', 'dic'],
]
const monthOf = (word: string): number =>
  MONTHS.findIndex(m => m.some(first => word.toLowerCase().startsWith(first))) + 1

/** Years of two figures are of this century until then: no page is printed later. From memory of spreadsheets. */
const LAST_SHORT_YEAR = 69
const yearOf = (digits: string): number =>
  digits.length > 2 ? Number(digits) : Number(digits) + (Number(digits) <= LAST_SHORT_YEAR ? 2000 : 1900)

function iso(year: number, month: number, day: number): string | null {
  const at = new Date(Date.UTC(year, month - 1, day))
  // the 31st of a month of thirty days is the first of the next
  return at.getUTCMonth() === month - 1 && at.getUTCDate() === day ? at.toISOString().slice(0, 10) : null
}

/** Days since the last of 1899, as workbooks count them; four figures are a year, and six are no day of a page. */
const SERIAL = /^[2-6]\d{4}$/
const SERIAL_ZERO = Date.UTC(1899, 11, 30)

/**
 * The days that a cell can mean, as year-month-day: one, two where day and month may be either, or none. Takes the
 * shapes that spreadsheets write: 2024/08/12, 12.08.2024, 8/12/24, 12 Aug 2024, Aug 12, 2024, with a time of day
 * behind, and days counted from 1900 (ECMA-376 part 1, 18.17.4.1).
 */
export function readDay(text: string): { iso: string; order: DayOrder | null }[] {
  const plain = text.trim().replace(/[T ]\d{1,2}:\d{2}(:\d{2}(\.\d+)?)?(\s*[ap]m)?(Z|[+-]\d\d:?\d\d)?$/i, '')
  if (SERIAL.test(plain))
    return [{ iso: new Date(SERIAL_ZERO + Number(plain) * DAY_MS).toISOString().slice(0, 10), order: null }]
  const one = (day: string | null) => (day === null ? [] : [{ iso: day, order: null }])
  const yearFirst = /^(\d{4})[-/.‐‑–](\d{1,2})[-/.‐‑–](\d{1,2})$/.exec(plain)
  if (yearFirst) return one(iso(Number(yearFirst[1]), Number(yearFirst[2]), Number(yearFirst[3])))
  const named =
    /^(\d{1,2})\.?[\s\-/]+(?:de\s+)?(\p{L}{3,})\.?[\s\-/,]+(?:de\s+)?(\d{4}|\d{2})$/u.exec(plain) ??
    /^(?<month>\p{L}{3,})\.?\s+(\d{1,2})(?:st|nd|rd|th)?,?\s+(\d{4})$/u.exec(plain)
  if (named) {
    const [day, word] = named.groups?.month ? [named[2]!, named[1]!] : [named[1]!, named[2]!]
    return one(iso(yearOf(named[3]!), monthOf(word), Number(day)))
  }
  const dotted = /^(\d{1,2})\.\s?(\d{1,2})\.\s?(\d{4}|\d{2})$/.exec(plain)
  if (dotted) return one(iso(yearOf(dotted[3]!), Number(dotted[2]), Number(dotted[1])))
  const slashed = /^(\d{1,2})[-/](\d{1,2})[-/](\d{4}|\d{2})$/.exec(plain)
  if (!slashed) return []
  const [, a, b] = slashed.map(Number) as [number, number, number]
  const year = yearOf(slashed[3]!)
  const dayFirst = iso(year, b, a)
  const monthFirst = iso(year, a, b)
  if (dayFirst && dayFirst === monthFirst) return one(dayFirst)
  return [
    ...(dayFirst ? [{ iso: dayFirst, order: 'day-first' as const }] : []),
    ...(monthFirst ? [{ iso: monthFirst, order: 'month-first' as const }] : []),
  ]
}

/** The order of day and month in a column: what each of its cells allows; null where they leave it open. */
export function dayOrderOf(cells: Iterable<string>): DayOrder | null {
  const seen = new Set<DayOrder>()
  for (const cell of cells) {
    const read = readDay(cell)
    if (read.length === 1 && read[0]!.order) seen.add(read[0]!.order)
  }
  return seen.size === 1 ? [...seen][0]! : null
}

/** Whether a text is nothing but a day: as a name or a source, what a spreadsheet made of a page such as 4-12. */
export function isBareDay(text: string): boolean {
  const plain = text.trim()
  if (!SERIAL.test(plain) && readDay(plain).length > 0) return true
  const named = /^\d{1,2}[-\s](\p{L}{3})\.?$|^(\p{L}{3})[-\s]\d{1,2}$/u.exec(plain)
  return named !== null && monthOf(named[1] ?? named[2]!) > 0
}
