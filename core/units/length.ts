import { say } from '../said'
import { FigureError } from './errors'

/**
 * Every length in the core is a number of millimetres that lies on a grid of 0.1 µm.
 * A number on the grid is the double nearest to a decimal with four places, so two of them compare exactly:
 * `snapMm(0.05 + 0.07) === 0.12`, while `0.05 + 0.07` is not.
 */
export const GRID_PER_MM = 10_000

/** 1 in = 25.4 mm exactly (NIST SP 811, appendix B), so a thou is 0.0254 mm: 254 steps of the grid. */
export const MM_PER_INCH = 25.4

export type LengthUnit = 'mm' | 'thou' | 'in'

/**
 * Puts a length on the 0.1 µm grid.
 * @param mm millimetres, any finite number
 * @returns millimetres; −0 becomes 0
 */
export const snapMm = (mm: number): number => Math.round(mm * GRID_PER_MM) / GRID_PER_MM + 0

/** Millimetres, on the grid, of a number of thousandths of an inch. Exact for whole thou. */
export const mmFromThou = (thou: number): number => snapMm((thou * MM_PER_INCH) / 1000)

/** Thousandths of an inch of a length in millimetres; not rounded. */
export const thouFromMm = (mm: number): number => (mm * 1000) / MM_PER_INCH

/** A length as somebody wrote it: the value inside, and the text and unit that it came from. */
export interface ParsedLength {
  mm: number
  text: string
  unit: LengthUnit
}

const UNIT_WORDS: Record<string, LengthUnit> = {
  'mm': 'mm',
  'millimetre': 'mm',
  'millimetres': 'mm',
  'thou': 'thou',
  'th': 'thou',
  'mil': 'thou',
  'mils': 'thou',
  'in': 'in',
  'inch': 'in',
  'inches': 'in',
  '"': 'in',
  '″': 'in',
}
const LENGTH = /^([+-]?)(\d+(?:[.,]\d*)?|[.,]\d+)\s*([a-z"″]*)\.?$/i

/**
 * Reads a length as a mechanic types it: "0.10", "0,1 mm", "4 thou", ".004 in".
 * @param text what was typed
 * @param bareUnit the unit of a figure without one
 * @returns millimetres on the 0.1 µm grid, with text and unit kept
 * @throws FigureError when it is no figure, has an unknown unit, is negative, or is over 1 m
 */
export function parseLength(text: string, bareUnit: LengthUnit = 'mm'): ParsedLength {
  const trimmed = text.trim()
  const match = LENGTH.exec(trimmed)
  if (!match) throw new FigureError(text, say('figure.is-not-a-length-type'))
  const [, sign, digits = '', word = ''] = match
  const unit = word === '' ? bareUnit : UNIT_WORDS[word.toLowerCase()]
  if (!unit) throw new FigureError(text, say('figure.unknown-unit', { unit: word }))
  if (sign === '-') throw new FigureError(text, say('figure.is-below-zero-a-length'))
  const value = Number(digits.replace(',', '.'))
  const mm = unit === 'mm' ? snapMm(value) : unit === 'thou' ? mmFromThou(value) : snapMm(value * MM_PER_INCH)
  if (mm > 1000) throw new FigureError(text, say('figure.is-over-a-metre-look'))
  return { mm, text: trimmed, unit }
}

/** The least decimals, two or three, that show a clearance in mm faithfully: 0.10, 0.135. */
const decimalsOf = (mm: number): number => (Math.abs(mm * 100 - Math.round(mm * 100)) < 1e-6 ? 2 : 3)

/**
 * A length for the screen, without its unit: mm to two places, or three where two would lie; thou to one.
 * @param mm millimetres
 * @param unit the unit to show it in
 */
export function formatLength(mm: number, unit: LengthUnit): string {
  if (unit === 'mm') return mm.toFixed(decimalsOf(mm))
  return unit === 'thou' ? thouFromMm(mm).toFixed(1) : (mm / MM_PER_INCH).toFixed(4)
}
