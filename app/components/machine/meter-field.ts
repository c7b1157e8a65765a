import { numberOf, numberProblem, readNumber } from '~~/core/units'
import { tell } from '../../words'

/** A meter as people type it, to the tenth. Null for nothing, undefined for what is no figure, or may be either of two. */
export function meterOf(typed: string): number | null | undefined {
  const value = numberOf(typed)
  return value === null || (value >= 0 && Math.round(value * 10) / 10 === value) ? value : undefined
}
/** Asks which is meant where a typed meter can mean two things; nothing otherwise. */
export const meterEither = (typed: string): string =>
  readNumber(typed).kind === 'either' ? tell(numberProblem(typed) ?? '') : ''
