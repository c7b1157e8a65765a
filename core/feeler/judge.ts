import type { Clearance, Role } from '../engine'
import { formatLength, snapMm } from '../units'
import type { BladeSet } from './blade'
import { BARE_FIGURE_NEAR_MM, countedAsIn, limitsOf } from './clearance'
import { clearanceInterval, latestTrials, type ClearanceReading } from './interval'
import { type HandBands, thickness, type Trial, trialErrorMm, USUAL_HAND, went } from './trial'

export type Verdict = 'in' | 'tight' | 'loose' | 'unproved'

/** How “in” is proved: by one that goes and one that does not, by a drag, or because all that is left lies inside. */
export type Proof = 'pair' | 'drag' | 'interval'

export interface Judgement {
  verdict: Verdict
  proof: Proof | null
  reading: ClearanceReading
  /** What is proved or still possible, as a sentence. */
  reason: string
  /** Thickness of the trial that would settle an unproved reading, where one is known. */
  settleWithMm: number | null
  /**
   * What stands beside the verdict and is no part of it: blade error near a limit, a bent blade, an exhaust at its
   * tight limit.
   */
  cautions: string[]
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

/** A length with its unit, in reasons: mm, or thou to a tenth. */
const length = (mm: number, unit: 'mm' | 'thou' = 'mm'): string => `${formatLength(mm, unit)} ${unit}`
/** A trial's blades as they are engraved, else as thick as they are. */
const nameOf = (trial: Trial): string => trial.name ?? formatLength(thickness(trial), 'mm')

/** The interval in words: "0.08–0.13 mm", "under 0.05 mm", "over 0.14 mm". */
export function intervalWords(
  { loMm, hiMm }: { loMm: number; hiMm: number | null },
  unit: 'mm' | 'thou' = 'mm',
): string {
  if (hiMm === null) return loMm > 0 ? `${length(loMm, unit)} or bigger` : 'not measured'
  return loMm > 0 ? `${formatLength(loMm, unit)}–${length(hiMm, unit)}` : `under ${length(hiMm, unit)}`
}

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
  reason: () => string
  settleWithMm: number | null
}
const unproved = (reason: () => string, settleWithMm: number | null): Decision => ({
  verdict: 'unproved',
  proof: null,
  reason,
  settleWithMm,
})
const proved = (verdict: Verdict, reason: () => string, proof: Decision['proof'] = null): Decision => ({
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
  if (trials.length === 0) return unproved(() => 'Not measured yet.', null)
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
  { role, unit }: JudgeOptions,
): string[] {
  const off = (trial: Trial | null) => (trial ? trialErrorMm(trial) : 0)
  const by = (trial: Trial | null, what: string) =>
    `Could be ${what} by blade error: ${nameOf(trial!)} may be ${length(off(trial), unit)} off.`
  const near: string[] = []
  const tightest = goes ?? refused
  if (verdict === 'in' && reading.loMm - off(tightest) < minMm) near.push(by(tightest, 'tight'))
  else if (verdict === 'in' && refused && refusedMm <= maxMm && refusedMm + off(refused) > maxMm)
    near.push(by(refused, 'loose'))
  if (verdict === 'tight' && refused && (reading.hiMm ?? 0) + off(refused) > minMm) near.push(by(refused, 'in'))
  if (verdict === 'loose' && goes && goesMm - off(goes) < maxMm) near.push(by(goes, 'in'))
  if (verdict === 'in' && proof === 'drag' && maxMm > minMm + 2 * BARE_FIGURE_NEAR_MM && (reading.hiMm ?? 0) > maxMm)
    near.push('At its loose limit: a drag leaves a little more than the blade.')
  if (reading.withinBladeError) near.push('The trials disagree, but by no more than the blades’ error.')
  const doubtful = [goes, refused].find(t => t?.doubt)
  if (doubtful) near.push(`${nameOf(doubtful)} is ${doubtful.doubt}: try another.`)
  if (
    verdict === 'in' &&
    role === 'exhaust' &&
    goes &&
    goesMm <= minMm + BARE_FIGURE_NEAR_MM &&
    (goes.feel === 'drag' || (reading.hiMm ?? Infinity) <= minMm + USUAL_HAND.dragMm)
  )
    near.push('At its tight limit, and exhausts tend to tighten.')
  return near
}

function contradictory([a, b]: [Trial, Trial]): Decision {
  const say = (t: Trial) => `${nameOf(t)} ${t.feel}`
  return unproved(
    () => `${say(a)} and ${say(b)} can’t both be right. Try one of them again, or undo one.`,
    thickness(b),
  )
}

function byLimits(
  reading: ClearanceReading,
  { goes, refused, goesMm, refusedMm }: Extremes,
  { minMm, maxMm }: { minMm: number; maxMm: number },
  { pairDemanded, unit }: JudgeOptions,
): Decision {
  const { loMm, hiMm } = reading
  const limits = () => `${formatLength(minMm, unit ?? 'mm')}–${length(maxMm, unit)}`
  const gap = () => intervalWords(reading, unit)
  if (hiMm !== null && hiMm <= minMm)
    return proved('tight', () => `The gap is ${gap()}; the least allowed is ${length(minMm, unit)}.`)
  if (loMm > maxMm || (goes?.feel === 'free' && goesMm >= maxMm) || (goes && goesMm > maxMm))
    return proved('loose', () =>
      goes && goesMm >= maxMm
        ? `${nameOf(goes)} goes; the most allowed is ${length(maxMm, unit)}.`
        : `The gap is ${gap()}; the most allowed is ${length(maxMm, unit)}.`,
    )
  const refusedUnderMin = refusedMm <= minMm
  if (goes && refused && goesMm >= minMm && refusedMm <= maxMm && !refusedUnderMin)
    return proved('in', () => `${nameOf(goes)} goes and ${nameOf(refused)} does not: within ${limits()}.`, 'pair')
  if (goes?.feel === 'drag' && goesMm >= minMm && goesMm <= maxMm && !refusedUnderMin && !pairDemanded)
    return proved('in', () => `${nameOf(goes)} drags: within ${limits()}.`, 'drag')
  if (loMm >= minMm && hiMm !== null && hiMm <= maxMm && !pairDemanded)
    return proved('in', () => `The gap is ${gap()}, all of it within ${limits()}.`, 'interval')
  return unproved(
    () => stillPossible(reading, minMm, maxMm, unit),
    settlingThickness({ goes, refused, goesMm, refusedMm }, minMm, maxMm),
  )
}

function stillPossible(
  { loMm, hiMm }: ClearanceReading,
  minMm: number,
  maxMm: number,
  unit: JudgeOptions['unit'],
): string {
  const may = [loMm < minMm && 'too tight', 'in', (hiMm === null || hiMm > maxMm) && 'too loose'].filter(Boolean)
  const gap = intervalWords({ loMm, hiMm }, unit).replace(/^[a-z]/, letter => letter.toUpperCase())
  return `${gap}: ${may.length > 2 ? 'too tight, in, or too loose' : may.join(', or ')}.`
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
  { pairDemanded, unit, set, hand = USUAL_HAND }: JudgeOptions,
): Decision {
  const { figureMm } = clearance
  const band = countedAsIn(clearance, set, hand)
  const near = (t: number) => Math.abs(snapMm(t - figureMm)) <= BARE_FIGURE_NEAR_MM
  const figure = length(figureMm, unit)
  const own = latest.find(t => near(thickness(t)))
  if (refused && (refusedMm <= band.minMm || (near(refusedMm) && goesMm < band.minMm)))
    return proved('tight', () => `${nameOf(refused)} won’t go; ${figure} is wanted.`)
  const runsFree = latest.some(t => t.feel === 'free' && thickness(t) >= snapMm(band.maxMm - hand.dragMm))
  if (goes && (goesMm >= band.maxMm || runsFree))
    return proved('loose', () => `${nameOf(goes)} goes; ${figure} is wanted.`)
  // a blade little over the figure may go where the figure itself still drags, and that drag is in
  if (own?.feel === 'drag' && !pairDemanded)
    return proved('in', () => `${nameOf(own)} drags; ${figure} is wanted.`, 'drag')
  if (goes && refused && goesMm >= band.minMm && refusedMm <= band.maxMm) {
    const coarse = snapMm(refusedMm - figureMm) > BARE_COARSE_MM ? ' The step between them is coarse.' : ''
    return proved('in', () => `${nameOf(goes)} goes and ${nameOf(refused)}, the next up, does not.${coarse}`, 'pair')
  }
  if (loMm >= band.minMm && hiMm !== null && hiMm <= band.maxMm && !pairDemanded)
    return proved('in', () => `The gap is ${intervalWords({ loMm, hiMm }, unit)}; ${figure} is wanted.`, 'interval')
  if (!goes || goesMm < band.minMm) return unproved(() => `Try a blade of ${figure}.`, figureMm)
  return unproved(() => `${nameOf(goes)} goes: ${figure} or more. The next blade up will tell.`, band.maxMm)
}
