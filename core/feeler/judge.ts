import type { Clearance, Role } from '../engine'
import { type Said, say } from '../said'
import { formatLength, snapMm } from '../units'
import type { BladeSet } from './blade'
import { BARE_FIGURE_NEAR_MM, countedAsIn, limitsOf } from './clearance'
import { clearanceInterval, type ClearanceReading, latestTrials } from './interval'
import { type HandBands, thickness, type Trial, trialErrorMm, USUAL_HAND, went } from './trial'

export type Verdict = 'in' | 'tight' | 'loose' | 'unproved'

/** How “in” is proved: by one that goes and one that does not, by a drag, or because all that is left lies inside. */
export type Proof = 'pair' | 'drag' | 'interval'

export interface Judgement {
  verdict: Verdict
  proof: Proof | null
  reading: ClearanceReading
  /** What is proved or still possible. */
  reason: Said
  /** Thickness of the trial that would settle an unproved reading, where one is known. */
  settleWithMm: number | null
  /**
   * What stands beside the verdict and is no part of it: blade error near a limit, a bent blade, an exhaust at its
   * tight limit.
   */
  cautions: Said[]
}

export interface JudgeOptions {
  hand?: HandBands
  /** A shop may demand a go and a no-go; a drag alone then proves nothing. */
  pairDemanded?: boolean
  /** The set in hand: its next blade up ends what counts as in for a bare figure. */
  set?: Pick<BladeSet, 'blades'>
  /** Which valve it is: an exhaust at its tight limit is remarked. */
  role?: Role
  /** The shop's favourite unit, in which reasons are written. */
  unit?: 'mm' | 'thou'
}

/** Further than this it is called coarse. From memory. */
const BARE_COARSE_MM = 0.03

/** A trial's blades as they are engraved, else as thick as they are. */
const nameOf = (trial: Trial): string => trial.name ?? formatLength(thickness(trial), 'mm')

/** The interval in words: "0.08–0.13 mm", "under 0.05 mm", "over 0.14 mm". */
export const intervalWords = (
  { loMm, hiMm }: { loMm: number; hiMm: number | null },
  unit: 'mm' | 'thou' = 'mm',
): Said => say('gap', { loMm, hiMm, unit })

/** A trial as it is told: its blades, and how they felt. */
export const trialWords = (trial: Trial): Said => say('trial', { blade: nameOf(trial), feel: trial.feel })

interface Extremes {
  latest: Trial[]
  goes: Trial | null
  refused: Trial | null
  goesMm: number
  refusedMm: number
}

/** The thickest blade that went and the thinnest that was refused: all that a verdict rests on. */
function extremes(trials: Trial[]): Extremes {
  const latest = latestTrials(trials)
  const goes = latest
    .filter(went)
    .reduce<Trial | null>((a, b) => (a === null || thickness(b) > thickness(a) ? b : a), null)
  const refused = latest
    .filter(t => !went(t))
    .reduce<Trial | null>((a, b) => (a === null || thickness(b) < thickness(a) ? b : a), null)
  return {
    latest,
    goes,
    refused,
    goesMm: goes ? thickness(goes) : 0,
    refusedMm: refused ? thickness(refused) : Infinity,
  }
}

/** What trials decide, with the reason still to be worded: the next blade is sought over thousands of states. */
interface Decision {
  verdict: Verdict
  proof: Proof | null
  reason: () => Said
  settleWithMm: number | null
}
const unproved = (reason: () => Said, settleWithMm: number | null): Decision => ({
  verdict: 'unproved',
  proof: null,
  reason,
  settleWithMm,
})
const proved = (verdict: Verdict, reason: () => Said, proof: Decision['proof'] = null): Decision => ({
  verdict,
  proof,
  reason,
  settleWithMm: null,
})

function decide(
  trials: Trial[],
  clearance: Clearance,
  reading: ClearanceReading,
  seen: Extremes,
  options: JudgeOptions,
): Decision {
  if (reading.contradiction) return contradictory(reading.contradiction)
  if (trials.length === 0) return unproved(() => say('verdict.none-yet'), null)
  const limits = limitsOf(clearance)
  return limits ? byLimits(reading, seen, limits, options) : byFigure(reading, seen, clearance as BareFigure, options)
}

/** The bare verdict and interval, without words: as `judge`, and as fast as a search needs it. */
export function verdictOf(
  trials: Trial[],
  clearance: Clearance,
  options: JudgeOptions = {},
): Pick<Judgement, 'verdict' | 'proof' | 'reading'> {
  const reading = clearanceInterval(trials, options.hand ?? USUAL_HAND)
  const { verdict, proof } = decide(trials, clearance, reading, extremes(trials), options)
  return { verdict, proof, reading }
}

/**
 * The verdict on a valve from its trials, the first that fits of: contradiction, tight, loose, in by pair, in by drag,
 * unproved.
 * Touching a limit exactly is in. One blade that merely goes never proves in.
 * @param trials since the gap could last have changed, in working order
 * @param clearance the spec as its source gives it
 */
export function judge(trials: Trial[], clearance: Clearance, options: JudgeOptions = {}): Judgement {
  const reading = clearanceInterval(trials, options.hand ?? USUAL_HAND)
  const seen = extremes(trials)
  const { verdict, proof, reason, settleWithMm } = decide(trials, clearance, reading, seen, options)
  return {
    verdict,
    proof,
    reason: reason(),
    settleWithMm,
    reading,
    cautions: cautionsOf({ verdict, proof }, seen, reading, limitsOf(clearance) ?? figureSpan(clearance), options),
  }
}

type BareFigure = Extract<Clearance, { form: 'bare' }>

/** A bare figure's span of blades that count as it. */
const figureSpan = (clearance: Clearance): { minMm: number; maxMm: number } => {
  const figureMm = (clearance as { figureMm: number }).figureMm
  return { minMm: snapMm(figureMm - BARE_FIGURE_NEAR_MM), maxMm: snapMm(figureMm + BARE_FIGURE_NEAR_MM) }
}

/** The blades that a verdict rests on may be off by their error: said beside it where that could change it. */
function cautionsOf(
  { verdict, proof }: Pick<Judgement, 'verdict' | 'proof'>,
  { goes, refused, goesMm, refusedMm }: Extremes,
  reading: ClearanceReading,
  { minMm, maxMm }: { minMm: number; maxMm: number },
  { role, unit = 'mm' }: JudgeOptions,
): Said[] {
  const off = (trial: Trial | null) => (trial ? trialErrorMm(trial) : 0)
  const by = (trial: Trial | null, could: 'tight' | 'loose' | 'in') =>
    say('beside.blade-error', { blade: nameOf(trial!), could, mm: off(trial), unit })
  const near: Said[] = []
  const tightest = goes ?? refused
  if (verdict === 'in' && reading.loMm - off(tightest) < minMm) near.push(by(tightest, 'tight'))
  else if (verdict === 'in' && refused && refusedMm <= maxMm && refusedMm + off(refused) > maxMm)
    near.push(by(refused, 'loose'))
  if (verdict === 'tight' && refused && (reading.hiMm ?? 0) + off(refused) > minMm) near.push(by(refused, 'in'))
  if (verdict === 'loose' && goes && goesMm - off(goes) < maxMm) near.push(by(goes, 'in'))
  if (verdict === 'in' && proof === 'drag' && maxMm > minMm + 2 * BARE_FIGURE_NEAR_MM && (reading.hiMm ?? 0) > maxMm)
    near.push(say('beside.loose-limit'))
  if (reading.withinBladeError) near.push(say('beside.disagree'))
  const doubtful = [goes, refused].find(t => t?.doubt)
  if (doubtful?.doubt) near.push(say('beside.doubtful', { blade: nameOf(doubtful), doubt: doubtful.doubt }))
  if (
    verdict === 'in' &&
    role === 'exhaust' &&
    goes &&
    goesMm <= minMm + BARE_FIGURE_NEAR_MM &&
    (goes.feel === 'drag' || (reading.hiMm ?? Infinity) <= minMm + USUAL_HAND.dragMm)
  )
    near.push(say('beside.tight-exhaust'))
  return near
}

/**
 * Whether a pinch alone proves that a gap is not under a limit: hands differ in how far under a blade they still call
 * it a pinch, and some say so over twice the usual band. From memory.
 */
const heldAbove = (pinchedMm: number, minMm: number, { pinchMm }: HandBands): boolean =>
  snapMm(pinchedMm - 2 * pinchMm) >= minMm

function contradictory([a, b]: [Trial, Trial]): Decision {
  return unproved(() => say('verdict.contradiction', { first: trialWords(a), second: trialWords(b) }), thickness(b))
}

function byLimits(
  reading: ClearanceReading,
  { goes, refused, goesMm, refusedMm }: Extremes,
  { minMm, maxMm }: { minMm: number; maxMm: number },
  { pairDemanded, unit = 'mm', hand = USUAL_HAND }: JudgeOptions,
): Decision {
  const { loMm, hiMm } = reading
  const gap = { loMm, hiMm, unit }
  const limits = { minMm, maxMm, unit }
  if (hiMm !== null && hiMm <= minMm) return proved('tight', () => say('verdict.under-least', { ...gap, least: minMm }))
  if (loMm > maxMm || (goes?.feel === 'free' && goesMm >= maxMm) || (goes && goesMm > maxMm))
    return proved('loose', () =>
      goes && goesMm >= maxMm
        ? say('verdict.goes-over-most', { blade: nameOf(goes), most: maxMm, unit })
        : say('verdict.over-most', { ...gap, most: maxMm }),
    )
  const refusedUnderMin = refusedMm <= minMm
  if (goes && refused && goesMm >= minMm && refusedMm <= maxMm && !refusedUnderMin)
    return proved('in', () => say('verdict.pair', { blade: nameOf(goes), refused: nameOf(refused), ...limits }), 'pair')
  if (goes?.feel === 'drag' && goesMm >= minMm && goesMm <= maxMm && !refusedUnderMin && !pairDemanded)
    return proved('in', () => say('verdict.drags', { blade: nameOf(goes), ...limits }), 'drag')
  if (loMm >= minMm && hiMm !== null && hiMm <= maxMm && !pairDemanded && heldAbove(refusedMm, minMm, hand))
    return proved('in', () => say('verdict.all-within', { ...gap, ...limits }), 'interval')
  return unproved(
    () => stillPossible(gap, minMm, maxMm),
    settlingThickness({ goes, refused, goesMm, refusedMm }, minMm, maxMm),
  )
}

function stillPossible(
  gap: { loMm: number; hiMm: number | null; unit: 'mm' | 'thou' },
  minMm: number,
  maxMm: number,
): Said {
  const may = [
    ...(gap.loMm < minMm ? (['tight'] as const) : []),
    'in' as const,
    ...(gap.hiMm === null || gap.hiMm > maxMm ? (['loose'] as const) : []),
  ]
  return say('verdict.still', { ...gap, may })
}

/** The limit that is still open, the tight side first: tight is the dangerous direction. */
function settlingThickness(
  { goes, goesMm, refused, refusedMm }: Omit<Extremes, 'latest'>,
  minMm: number,
  maxMm: number,
): number {
  if (refused && refusedMm <= minMm) return refusedMm
  return !goes || goesMm < minMm ? minMm : maxMm
}

function byFigure(
  { loMm, hiMm }: ClearanceReading,
  { latest, goes, refused, goesMm, refusedMm }: Extremes,
  clearance: BareFigure,
  { pairDemanded, unit = 'mm', set, hand = USUAL_HAND }: JudgeOptions,
): Decision {
  const { figureMm } = clearance
  const band = countedAsIn(clearance, set, hand)
  const near = (t: number) => Math.abs(snapMm(t - figureMm)) <= BARE_FIGURE_NEAR_MM
  const figure = { mm: figureMm, unit }
  // leaves on each other add up their errors: a stack under the figure is not taken for it
  const own = latest.find(t => near(thickness(t)) && (t.bladesMm.length === 1 || thickness(t) >= band.minMm))
  if (refused && (refusedMm <= band.minMm || (near(refusedMm) && goesMm < band.minMm)))
    return proved('tight', () => say('verdict.figure.refused', { blade: nameOf(refused), ...figure }))
  const runsFree = latest.some(t => t.feel === 'free' && thickness(t) >= snapMm(band.maxMm - hand.dragMm))
  if (goes && (goesMm >= band.maxMm || runsFree))
    return proved('loose', () => say('verdict.figure.goes', { blade: nameOf(goes), ...figure }))
  // a blade little over the figure may go where the figure itself still drags, and that drag is in
  if (own?.feel === 'drag' && !pairDemanded)
    return proved('in', () => say('verdict.figure.drags', { blade: nameOf(own), ...figure }), 'drag')
  if (goes && refused && goesMm >= band.minMm && refusedMm <= band.maxMm) {
    const coarse = snapMm(refusedMm - figureMm) > BARE_COARSE_MM
    return proved(
      'in',
      () => say('verdict.figure.pair', { blade: nameOf(goes), next: nameOf(refused), coarse }),
      'pair',
    )
  }
  if (
    loMm >= band.minMm &&
    hiMm !== null &&
    hiMm <= band.maxMm &&
    !pairDemanded &&
    heldAbove(refusedMm, band.minMm, hand)
  )
    return proved('in', () => say('verdict.figure.within', { loMm, hiMm, ...figure }), 'interval')
  if (!goes || goesMm < band.minMm) return unproved(() => say('verdict.figure.try', figure), figureMm)
  return unproved(() => say('verdict.figure.next-up', { blade: nameOf(goes), ...figure }), band.maxMm)
}
