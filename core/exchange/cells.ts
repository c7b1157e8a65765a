import { say, type Said } from '../said'

/** A cell that a spreadsheet would take for a formula, however many quotes were put before it. */
const FORMULA = /^'*[=+\-@\t\r]/
const NUMBER = /^[+-]?\d+([.,]\d+)?$/

/**
 * Text as it is written to a CSV: what a spreadsheet would run is given a quote in front, which reading takes away
 * again.
 */
export const cellOut = (text: string): string => (FORMULA.test(text) && !NUMBER.test(text) ? `'${text}` : text)
/** A cell as it was typed: the apostrophe that kept a spreadsheet from reading a formula goes. */
export const cellIn = (text: string): string => (text.startsWith("'") && FORMULA.test(text) ? text.slice(1) : text)

/** No cell of a spec is longer; one that is has swallowed others. */
export const MOST_CELL = 8000
/**
 * What is wrong with a cell whatever its column, or null: bytes that are no UTF-8, markup, control characters, a size
 * that is no cell's.
 */
export function cellProblem(text: string): Said | null {
  if (text.length > MOST_CELL) return say('cell.too-long', { length: text.length, most: MOST_CELL })
  if (text.includes('\uFFFD')) return say('cell.not-utf-8')
  if (/(?![\t\r\n])\p{Cc}/u.test(text)) return say('cell.control')
  if (/<\/?[a-z!][^>]*>/i.test(text)) return say('cell.markup')
  return null
}
