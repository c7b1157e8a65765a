import type { Feel } from '../../core/feeler'
import type { Tell, Text } from '../../core/said'
import { formatLength } from '../../core/units'
import { capital, count } from './grammar'

export type Unit = 'mm' | 'thou'
/** A length and the shop’s favourite unit. */
export interface Length {
  mm: number
  unit: Unit
}
/** Two limits, and the shop’s favourite unit. */
export interface Span {
  minMm: number
  maxMm: number
  unit: Unit
}
/** What a gap may be; null is no end. */
export interface Gap {
  loMm: number
  hiMm: number | null
  unit: Unit
}
interface Blade {
  /** As it is engraved, or as thick as it is. */
  blade: string
}

/** A length with its unit: mm, or thou to a tenth. */
export const length = ({ mm, unit }: Length): string => `${formatLength(mm, unit)} ${unit}`
const span = ({ minMm, maxMm, unit }: Span): string => `${formatLength(minMm, unit)}–${length({ mm: maxMm, unit })}`

/** “0.08–0.13 mm”, “under 0.05 mm”, “0.14 mm or bigger”. */
export function gap({ loMm, hiMm, unit }: Gap): string {
  if (hiMm === null) return loMm > 0 ? `${length({ mm: loMm, unit })} or bigger` : 'not measured'
  return loMm > 0 ? span({ minMm: loMm, maxMm: hiMm, unit }) : `under ${length({ mm: hiMm, unit })}`
}

const MAY_BE = { tight: 'too tight', in: 'in', loose: 'too loose' }
function still({ may, ...rest }: Gap & { may: readonly (keyof typeof MAY_BE)[] }): string {
  const words = may.map(m => MAY_BE[m])
  return `${capital(gap(rest))}: ${words.length > 2 ? 'too tight, in, or too loose' : words.join(', or ')}.`
}

const trial = ({ blade, feel }: Blade & { feel: Feel }): string => `${blade} ${feel}`

/** What blades tell: a gap, a verdict and its reason, and what is to be thought of beside it. */
export const readings = {
  'gap': gap,
  'gap.not-measured': 'not measured',
  'trial': trial,

  'verdict.none-yet': 'Not measured yet.',
  'verdict.contradiction': ({ first, second }: { first: Text; second: Text }, tell: Tell) =>
    `${tell(first)} and ${tell(second)} can’t both be right. Try one of them again, or undo one.`,
  'verdict.under-least': ({ least, ...rest }: Gap & { least: number }) =>
    `The gap is ${gap(rest)}; the least allowed is ${length({ mm: least, unit: rest.unit })}.`,
  'verdict.over-most': ({ most, ...rest }: Gap & { most: number }) =>
    `The gap is ${gap(rest)}; the most allowed is ${length({ mm: most, unit: rest.unit })}.`,
  'verdict.goes-over-most': ({ blade, most, unit }: Blade & { most: number; unit: Unit }) =>
    `${blade} goes; the most allowed is ${length({ mm: most, unit })}.`,
  'verdict.pair': ({ blade, refused, ...limits }: Blade & Span & { refused: string }) =>
    `${blade} goes and ${refused} does not: within ${span(limits)}.`,
  'verdict.drags': ({ blade, ...limits }: Blade & Span) => `${blade} drags: within ${span(limits)}.`,
  'verdict.all-within': ({ minMm, maxMm, ...rest }: Gap & Span) =>
    `The gap is ${gap(rest)}, all of it within ${span({ minMm, maxMm, unit: rest.unit })}.`,
  'verdict.still': still,
  'verdict.figure.refused': ({ blade, ...figure }: Blade & Length) => `${blade} won’t go; ${length(figure)} is wanted.`,
  'verdict.figure.goes': ({ blade, ...figure }: Blade & Length) => `${blade} goes; ${length(figure)} is wanted.`,
  'verdict.figure.drags': ({ blade, ...figure }: Blade & Length) => `${blade} drags; ${length(figure)} is wanted.`,
  'verdict.figure.pair': ({ blade, next, coarse }: Blade & { next: string; coarse: boolean }) =>
    `${blade} goes and ${next}, the next up, does not.${coarse ? ' The step between them is coarse.' : ''}`,
  'verdict.figure.within': ({ mm, ...rest }: Gap & Length) =>
    `The gap is ${gap(rest)}; ${length({ mm, unit: rest.unit })} is wanted.`,
  'verdict.figure.try': (figure: Length) => `Try a blade of ${length(figure)}.`,
  'verdict.figure.next-up': ({ blade, ...figure }: Blade & Length) =>
    `${blade} goes: ${length(figure)} or more. The next blade up will tell.`,

  'beside.blade-error': ({ blade, could, ...off }: Blade & Length & { could: 'tight' | 'loose' | 'in' }) =>
    `Could be ${could} by blade error: ${blade} may be ${length(off)} off.`,
  'beside.loose-limit': 'At its loose limit: a drag leaves a little more than the blade.',
  'beside.disagree': 'The trials disagree, but by no more than the blades’ error.',
  'beside.doubtful': ({ blade, doubt }: Blade & { doubt: 'bent' | 'worn' }) => `${blade} is ${doubt}: try another.`,
  'beside.tight-exhaust': 'At its tight limit, and exhausts tend to tighten.',

  /** What locking the nut does to the gap, and whose locks that rests on. */
  'lock.leaves': ({ spreadMm }: { spreadMm: number }) => `locking leaves it, ± ${spreadMm.toFixed(3)} mm`,
  'lock.moves': ({ shiftMm, spreadMm }: { shiftMm: number; spreadMm: number }) =>
    `locking ${shiftMm < 0 ? 'closes' : 'opens'} it by ${Math.abs(shiftMm).toFixed(3)} ± ${spreadMm.toFixed(3)} mm`,
  'lock.and-whose': ({ shift, by }: { shift: Text; by: Text }, tell: Tell) => `${capital(tell(shift))}: ${tell(by)}`,
  'lock.whose-and-what': ({ shift, by }: { shift: Text; by: Text }, tell: Tell) =>
    `${capital(tell(by))}: ${tell(shift)}.`,
  'lock.of-this-nut': ({ rounds }: { rounds: number }) => `this nut, ${count(rounds, 'round')}`,
  'lock.of-this-job': 'said for this job',
  'lock.of-the-other-nuts': 'the other nuts of this job',
  'lock.of-person': ({ person, locks }: { person: string; locks: number }) =>
    `${person}, this model, ${count(locks, 'lock')}`,
  'lock.of-model': ({ model, locks }: { model: string; locks: number }) => `${model}, ${count(locks, 'lock')}`,
  'lock.of-shop': ({ locks }: { locks: number }) => `this shop, ${count(locks, 'lock')}`,
}
