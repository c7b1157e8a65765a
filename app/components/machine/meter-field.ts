import { numberOf, numberProblem, readNumber } from '~~/core/units'
import { tell } from '../../words'

const isTenth = (value: number): boolean => value >= 0 && Math.round(value * 10) / 10 === value
/** A meter is read to the tenth, and does not go back: “12,400” after 10,900 is no 12.4. */
const canBe = (last: number | null) => (value: number) => isTenth(value) && (last === null || value >= last)

/**
 * A meter as people type it, to the tenth. Null for nothing, undefined for what is no figure, or may be either of two.
 * @param last what it was read as last, where it is the same meter
 */
export function meterOf(typed: string, last: number | null): number | null | undefined {
  const value = numberOf(typed, canBe(last))
  return value === null || isTenth(value) ? value : undefined
}
/** Asks which is meant where a typed meter can mean two things; nothing otherwise. */
export const meterEither = (typed: string, last: number | null): string =>
  readNumber(typed).kind === 'either' && meterOf(typed, last) === undefined ? tell(numberProblem(typed) ?? '') : ''
