import { type Said, say } from '../said'

/** What a figure with commas and points can mean: one number, either of two, or none. */
export type NumberRead =
  { kind: 'number'; value: number } | { kind: 'either'; values: [number, number] } | { kind: 'none' }

const SPACES = /[\s\u00A0\u202F]/g
const number = (text: string): NumberRead => ({ kind: 'number', value: Number(text) })

/**
 * Reads a number as people of several countries type it: “12,5” and “12.5”, “14 060”, “14,060.5” and “14.060,5”. Three
 * digits after a single comma or point may be thousands or parts of one: then it is either.
 * @param text what was typed
 */
export function readNumber(text: string): NumberRead {
  const plain = text.replace(SPACES, '').replace(/^[‐‑–−]/, '-')
  if (/^-?\d+$/.test(plain)) return number(plain)
  if (!/^-?\d*([.,]\d+)+$/.test(plain)) return { kind: 'none' }
  const marks = plain.match(/[.,]/g)!
  const last = marks.at(-1)!
  const grouped = /^-?\d{1,3}([.,]\d{3})+$/.test(plain)
  const asDecimal = (mark: string) => {
    const at = plain.lastIndexOf(mark)
    return `${plain.slice(0, at).replace(/[.,]/g, '')}.${plain.slice(at + 1)}`
  }
  if (new Set(marks).size === 2) {
    const [whole] = plain.split(last)
    return marks.filter(m => m === last).length === 1 && /^-?\d{1,3}([.,]\d{3})+$/.test(whole!)
      ? number(asDecimal(last))
      : { kind: 'none' }
  }
  if (marks.length > 1) return grouped ? number(plain.replace(/[.,]/g, '')) : { kind: 'none' }
  if (!grouped || /^-?0/.test(plain)) return number(asDecimal(last))
  return { kind: 'either', values: [Number(plain.replace(last, '')), Number(asDecimal(last))] }
}

/** Why a typed figure is no number to go on with, and what to type instead; null where it is one, or is empty. */
export function numberProblem(text: string): Said | null {
  if (text.trim() === '') return null
  const read = readNumber(text)
  if (read.kind === 'number') return null
  return read.kind === 'none'
    ? say('figure.not-a-number', { typed: text.trim() })
    : say('figure.either', { typed: text.trim(), values: read.values })
}
/**
 * A typed figure; null for none, NaN for one that is no number, or either of two.
 * @param can whether it can be so large or small: 2.375 is no shim of 2375 mm, and 1,034 no pressure of 1.034 kPa
 */
export function numberOf(text: string, can: (value: number) => boolean = () => true): number | null {
  if (text.trim() === '') return null
  const read = readNumber(text)
  if (read.kind === 'number') return read.value
  const [value, another] = read.kind === 'either' ? read.values.filter(can) : []
  return value !== undefined && another === undefined ? value : Number.NaN
}
