/** A cell that a spreadsheet would take for a formula, however many quotes were put before it. */
const FORMULA = /^'*[=+\-@\t\r]/
const NUMBER = /^[+-]?\d+([.,]\d+)?$/

/**
 * Text as it is written to a CSV: what a spreadsheet would run is given a quote in front, which reading takes away
 * again.
 */
export const cellOut = (text: string): string => (FORMULA.test(text) && !NUMBER.test(text) ? `'${text}` : text)
export const cellIn = (text: string): string => (text.startsWith("'") && FORMULA.test(text) ? text.slice(1) : text)

/** No cell of a spec is longer; one that is has swallowed others. */
export const MOST_CELL = 8000
/**
 * What is wrong with a cell whatever its column, or null: bytes that are no UTF-8, markup, control characters, a size
 * that is no cell's.
 */
export function cellProblem(text: string): string | null {
  if (text.length > MOST_CELL)
    return `holds ${text.length.toLocaleString('en')} characters; ${MOST_CELL.toLocaleString('en')} is the limit. A quote may not be closed.`
  if (text.includes('\uFFFD')) return 'has letters that are not UTF-8. Save the file as UTF-8 and take it in again.'
  if (/(?![\t\r\n])\p{Cc}/u.test(text)) return 'has control characters: this is not plain text.'
  if (/<\/?[a-z!][^>]*>/i.test(text)) return 'has markup. Only plain text is taken.'
  return null
}
