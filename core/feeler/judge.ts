import type { Clearance } from '../engine'
import { formatLength, snapMm } from '../units'
import { clearanceInterval, latestTrials, type ClearanceReading } from './interval'
import { type HandBands, thickness, type Trial, USUAL_HAND, went } from './trial'

export type Verdict = 'in' | 'tight' | 'loose' | 'unproved'

export interface Judgement {
  verdict: Verdict
  /** How “in” is proved. */
  proof: 'pair' | 'drag' | null
  reading: ClearanceReading
  /** What is proved or still possible, as a sentence. */
  reason: string
  /** Thickness of the trial that would settle an unproved reading, where one is known. */
  settleWithMm: number | null
}

export interface JudgeOptions {
  hand?: HandBands
  /** A shop may demand a go and a no-go; a drag alone then proves nothing. */
  pairDemanded?: boolean
}

/** A blade this near to a bare figure counts as the figure: 0.1016 (4 thou) for 0.10. */
export const BARE_FIGURE_NEAR_MM = 0.005
/** The next blade up must be this near for “drags, and the next one will not go”. */
const BARE_NEXT_WITHIN_MM = 0.05
/** Further than this it is called coarse. From memory. */
const BARE_COARSE_MM = 0.03

/** A spec's clearance as limits `[minMm, maxMm]`; a bare figure has none of its own. */
export function limitsOf(clearance: Clearance): { minMm: number, maxMm: number } | null {
  switch (clearance.form) {
    case 'limits': return { minMm: clearance.minMm, maxMm: clearance.maxMm }
    case 'tolerance': return { minMm: snapMm(clearance.figureMm - clearance.toleranceMm), maxMm: snapMm(clearance.figureMm + clearance.toleranceMm) }
    case 'bare': return null
  }
}

/** Where a valve is set to: the middle of its limits, or the bare figure. mm. */
export function targetOf(clearance: Clearance): number {
  const limits = limitsOf(clearance)
  return limits ? snapMm((limits.minMm + limits.maxMm) / 2) : (clearance as { figureMm: number }).figureMm
}

const mm = (value: number): string => `${formatLength(value, 'mm')} mm`

/** The interval in words: "0.08–0.13 mm", "under 0.05 mm", "over 0.14 mm". */
export function intervalWords({ loMm, hiMm }: { loMm: number, hiMm: number | null }): string {
  if (hiMm === null) return loMm > 0 ? `${mm(loMm)} or more` : 'not measured'
  return loMm > 0 ? `${formatLength(loMm, 'mm')}–${mm(hiMm)}` : `under ${mm(hiMm)}`
}

interface Extremes { goes: Trial | null, refused: Trial | null, goesMm: number, refusedMm: number }

/** The thickest blade that went and the thinnest that was refused: all that a verdict rests on. */
function extremes(trials: Trial[]): Extremes {
  const latest = latestTrials(trials)
  const goes = latest.filter(went).reduce<Trial | null>((a, b) => a === null || thickness(b) > thickness(a) ? b : a, null)
  const refused = latest.filter(t => !went(t)).reduce<Trial | null>((a, b) => a === null || thickness(b) < thickness(a) ? b : a, null)
  return { goes, refused, goesMm: goes ? thickness(goes) : 0, refusedMm: refused ? thickness(refused) : Infinity }
}

/**
 * The verdict on a valve from its trials, the first that fits of: contradiction, tight, loose, in by pair, in by drag, unproved.
 * Touching a limit exactly is in. One blade that merely goes never proves in.
 * @param trials since the gap could last have changed, in working order
 * @param clearance the spec as its source gives it
 */
export function judge(trials: Trial[], clearance: Clearance, options: JudgeOptions = {}): Judgement {
  const reading = clearanceInterval(trials, options.hand ?? USUAL_HAND)
  const seen = extremes(trials)
  const limits = limitsOf(clearance)
  const outcome = reading.contradiction
    ? contradictory(reading.contradiction)
    : trials.length === 0
      ? unproved('Not measured yet.', null)
      : limits ? byLimits(reading, seen, limits, options) : byFigure(seen, (clearance as { figureMm: number }).figureMm, options)
  return { ...outcome, reading }
}

type Outcome = Omit<Judgement, 'reading'>
const unproved = (reason: string, settleWithMm: number | null): Outcome => ({ verdict: 'unproved', proof: null, reason, settleWithMm })
const proved = (verdict: Verdict, reason: string, proof: Outcome['proof'] = null): Outcome => ({ verdict, proof, reason, settleWithMm: null })

function contradictory([a, b]: [Trial, Trial]): Outcome {
  const say = (t: Trial) => `${formatLength(thickness(t), 'mm')} ${t.feel}`
  return unproved(`${say(a)} and ${say(b)} cannot both be right. Try one of them again, or take one back.`, thickness(b))
}

function byLimits(reading: ClearanceReading, { goes, refused, goesMm, refusedMm }: Extremes, { minMm, maxMm }: { minMm: number, maxMm: number }, { pairDemanded }: JudgeOptions): Outcome {
  const { loMm, hiMm } = reading
  const limits = `${formatLength(minMm, 'mm')}–${mm(maxMm)}`
  if (hiMm !== null && hiMm <= minMm) return proved('tight', `The gap is ${intervalWords(reading)}; the least allowed is ${mm(minMm)}.`)
  if (loMm > maxMm || (goes?.feel === 'free' && goesMm >= maxMm) || (goes && goesMm > maxMm))
    return proved('loose', `${formatLength(goesMm, 'mm')} goes; the most allowed is ${mm(maxMm)}.`)
  const refusedUnderMin = refusedMm <= minMm
  if (goes && refused && goesMm >= minMm && refusedMm <= maxMm && !refusedUnderMin)
    return proved('in', `${formatLength(goesMm, 'mm')} goes and ${formatLength(refusedMm, 'mm')} does not: inside ${limits}.`, 'pair')
  if (goes?.feel === 'drag' && goesMm >= minMm && goesMm <= maxMm && !refusedUnderMin && !pairDemanded)
    return proved('in', `${formatLength(goesMm, 'mm')} drags, inside ${limits}.`, 'drag')
  return unproved(stillPossible(reading, minMm, maxMm), settlingThickness({ goes, refused, goesMm, refusedMm }, minMm, maxMm))
}

function stillPossible({ loMm, hiMm }: ClearanceReading, minMm: number, maxMm: number): string {
  const may = [loMm < minMm && 'tight', 'in', (hiMm === null || hiMm > maxMm) && 'loose'].filter(Boolean)
  return `${intervalWords({ loMm, hiMm })}: it may be ${may.join(' or ')}.`
}

/** The limit that is still open, the tight side first: tight is the dangerous direction. */
function settlingThickness({ goes, goesMm, refused, refusedMm }: Extremes, minMm: number, maxMm: number): number {
  if (refused && refusedMm <= minMm) return refusedMm
  return !goes || goesMm < minMm ? minMm : maxMm
}

function byFigure({ goes, refused, goesMm, refusedMm }: Extremes, figureMm: number, { pairDemanded }: JudgeOptions): Outcome {
  const near = (t: number) => Math.abs(snapMm(t - figureMm)) <= BARE_FIGURE_NEAR_MM
  const figure = mm(figureMm)
  if (refused && (near(refusedMm) || refusedMm < figureMm)) return proved('tight', `${formatLength(refusedMm, 'mm')} does not go; ${figure} is wanted.`)
  if (goes && goesMm > figureMm && !near(goesMm)) return proved('loose', `${formatLength(goesMm, 'mm')} goes; ${figure} is wanted.`)
  if (!goes || !near(goesMm)) return unproved(`Try a blade of ${figure}.`, figureMm)
  if (goes.feel === 'drag' && !pairDemanded) return proved('in', `${formatLength(goesMm, 'mm')} drags; ${figure} is wanted.`, 'drag')
  const stepMm = snapMm(refusedMm - figureMm)
  if (refused && stepMm <= BARE_NEXT_WITHIN_MM) {
    const coarse = stepMm > BARE_COARSE_MM ? ' The step between them is coarse.' : ''
    return proved('in', `${formatLength(goesMm, 'mm')} goes and ${formatLength(refusedMm, 'mm')}, the next up, does not.${coarse}`, 'pair')
  }
  return unproved(`${formatLength(goesMm, 'mm')} goes: ${figure} or more. The next blade up will tell.`, null)
}
