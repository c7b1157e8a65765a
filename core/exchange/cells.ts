import { type Said, say } from '../said'

/** A cell that a spreadsheet would take for a formula. */
const FORMULA = /^[=+\-@\t\r]/
const NUMBER = /^[+-]?\d+([.,]\d+)?$/
/** A figure that every spreadsheet gives back letter by letter: whole, or a plain part of one. */
const PLAIN_FIGURE = /^-?(0|[1-9]\d{0,14})$|^-?0\.\d*[1-9]$/

const MONTHS = 'jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec|ene|abr|ago|dic|mai|mrz|okt|dez|avr|aou|fev'
/**
 * What spreadsheets make something else of: days, times, fractions, figures with idle zeros or exponents, money, yes
 * and no. Source: seen with two spreadsheets of Debian 12, and from memory of others.
 */
const REWRITTEN = [
  /^[\d.,:/+\-\s%$€£()]*\d[\d.,:/+\-\s%$€£()]*$/,
  /^[+-]?\d*[.,]?\d+e[+-]?\d+$/i,
  new RegExp(`^[\\d.,/\\-\\s]*\\b(${MONTHS})[a-zé]*\\.?[\\d.,/\\-\\s]*$`, 'i'),
  new RegExp(`^(${MONTHS})[a-z]*[\\-\\s]?\\d+$`, 'i'),
  /^\d{1,2}(:\d{2})*\s*[ap]m?$/i,
  /^(eur|usd|gbp|chf)\s?[\d.,]+$|^[\d.,]+\s?(eur|usd|gbp|chf)$/i,
  /^(true|false|wahr|falsch|verdadero|falso|vrai|faux)$/i,
]
/** Whether a spreadsheet would run this text, or give it back in another way; quotes put around it aside. */
function isUnsafe(text: string): boolean {
  const bare = unquoted(text)
  if (bare !== text) return isUnsafe(bare)
  return FORMULA.test(text) ? !PLAIN_FIGURE.test(text) : !PLAIN_FIGURE.test(text.trim()) && isRewritten(text.trim())
}
const isRewritten = (text: string): boolean => REWRITTEN.some(shape => shape.test(text))
/**
 * Quotes of print keep a spreadsheet from reading more into a cell. A straight one in front does so too, and earlier
 * exports had it: but one spreadsheet then takes it for what parts the cells.
 */
const QUOTED = /^(?:“(.*)”|'(.*))$/s
const unquoted = (text: string): string => {
  const inside = QUOTED.exec(text)
  return inside ? (inside[1] ?? inside[2]!) : text
}

/** Lines of a cell stand on one line in a file: spreadsheets part cells at line breaks. A bar of its own doubles. */
export const barred = (text: string): string => text.replaceAll(/ (\|+) /g, ' |$1 ').replaceAll(/\r?\n/g, ' | ')
const unbarred = (text: string): string =>
  text.replaceAll(/ (\|+)(?: |$)/g, (_, bars: string) => (bars.length === 1 ? '\n' : ` ${bars.slice(1)} `))

/**
 * Text as it is written to a CSV: what a spreadsheet would run, or write in another way, goes in quotes of print; lines
 * become one with bars between. `cellIn` takes both away again.
 */
export const cellOut = (text: string): string => barred(isUnsafe(text) ? `“${text}”` : text)
/**
 * Cells that stand in a file’s own quotes even where they need none: behind another quoted cell, one spreadsheet takes
 * a quote of print for what parts the cells (seen with ssconvert 1.12.55).
 */
export const QUOTED_CELL = /^“|[\r\n]/
/** A cell as it was typed: quotes that kept a spreadsheet from reading more into it go, and lines are lines. */
export function cellIn(text: string): string {
  const lines = unbarred(text)
  return isUnsafe(unquoted(lines)) ? unquoted(lines) : lines
}
/** A figure as it is written to a CSV: with the decimal mark of the countries whose spreadsheets part by semicolons. */
export const figureOut = (text: string, delimiter: string): string =>
  NUMBER.test(text) ? (delimiter === ';' ? text.replace('.', ',') : text) : cellOut(text)

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
