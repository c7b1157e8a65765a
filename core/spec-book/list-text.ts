import { say } from '../said'
import { FigureError } from '../units'

/** Between items of a list: a comma before a digit is a decimal comma. */
export const BETWEEN = /[;\n]|,(?!\d)/
/** The items of a list as typed, empty ones left out. */
export const parts = (text: string, at: RegExp): string[] =>
  text
    .split(at)
    .map(part => part.trim())
    .filter(Boolean)

/**
 * Words and an angle at their end: “T L 180”.
 * @throws FigureError with an example of the kind of list
 */
export function wordsAndAngle(part: string, example: 'mark' | 'cylinder' | 'sign'): { words: string; deg: number } {
  const match = /^(.+?)\s+(-?\d+(?:[.,]\d+)?)°?$/.exec(part)
  if (!match) throw new FigureError(part, say('figure.cannot-be-read', { example }))
  return { words: match[1]!, deg: Number(match[2]!.replace(',', '.')) }
}

/** Figures of a list, without an exponent or idle zeros. */
export const figure = (value: number): string => String(Number(value.toFixed(4)))
