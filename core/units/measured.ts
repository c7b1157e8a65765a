import { say } from '../said'
import { FigureError } from './errors'
import { numberOf } from './number'
import { type UnitKind, WRITTEN_UNITS } from './written-units'

/** A figure with its unit, as a page prints it: one, or limits whose middle counts. */
export interface Measured {
  value: number
  lo: number
  hi: number
}
const FRACTION = /^(?:(\d+)[\s-])?(\d+)\/(\d+)$/
const DASHES = /[‐‑‒–—―−~]/g

/** A number as it is written, a fraction among them: 57.8, 1/4, 2 1/4. NaN for none. */
function written(text: string): number {
  const fraction = FRACTION.exec(text.trim())
  if (fraction) return Number(fraction[1] ?? 0) + Number(fraction[2]) / Number(fraction[3])
  return numberOf(text) ?? Number.NaN
}

/**
 * Reads a figure in any usual unit of its kind: “12 lbf·ft”, “8–10 N·m”, “95 F”, “1/4 in”.
 * @param kind what it measures
 * @param bare the unit of a figure without one, by its name in `WRITTEN_UNITS`
 * @returns value and limits in N·m, °C or mm; of limits the middle
 * @throws FigureError for no figure, or a unit of something else
 */
function readMeasured(text: string, kind: UnitKind, bare: string): Measured {
  const trimmed = text.trim()
  const plain = kind === 'temperature' ? trimmed.replace(/(\d)\s*(?:degrees?|[°º])?\s*([CF])\b/i, '$1 °$2') : trimmed
  const unit = WRITTEN_UNITS.find(
    u => u.kind === kind && new RegExp(`(?<=[\\d\\s])(?:${u.shape})\\s*$`, 'i').test(plain),
  )
  const figures = unit ? plain.replace(new RegExp(`(?:${unit.shape})\\s*$`, 'i'), '') : plain
  const of = (unit ?? WRITTEN_UNITS.find(u => u.name === bare)!).of
  const parts = figures
    .replaceAll(DASHES, '–')
    .replace(/(\d)\s+to\s+(\d)/i, '$1–$2')
    .replace(/(?<=\d)\s*-\s*(?=[\d.,])/, '–')
    .split('–')
  const values = FRACTION.test(figures.trim()) ? [written(figures)] : parts.map(written)
  if (values.length > 2 || values.some(Number.isNaN))
    throw new FigureError(text, say('figure.no-measure', { kind: kind as 'length' | 'torque' | 'temperature' }))
  const [lo, hi = lo] = values as [number, number?]
  return { value: round(of((lo + hi) / 2)), lo: round(of(lo)), hi: round(of(hi)) }
}
/** Four decimals are more than any page prints, and keep a converted figure from trailing off. */
const round = (value: number): number => Number(value.toFixed(4))

/** A torque in N·m, or in the unit behind it. @throws FigureError */
export const readTorque = (text: string): Measured => readMeasured(text, 'torque', 'N·m')
/** A temperature in °C, or in the unit behind it. @throws FigureError */
export const readTemperature = (text: string): Measured => readMeasured(text, 'temperature', '°C')
/** A length in mm, or in the unit behind it, fractions of an inch among them. @throws FigureError */
export const readLength = (text: string): Measured => readMeasured(text, 'length', 'mm')

const READERS = { length: readLength, temperature: readTemperature, torque: readTorque }
/** The figure of a text in mm, °C or N·m, by what it measures. @throws FigureError */
export const measuredValue = (kind: keyof typeof READERS, text: string): number => READERS[kind](text).value
