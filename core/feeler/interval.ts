import { snapMm } from '../units'
import { type HandBands, thickness, type Trial, trialErrorMm, USUAL_HAND } from './trial'

/**
 * A clearance lies in `[loMm, hiMm)`; `hiMm` null is open: no blade was refused yet. lo 0 also stands for “held open”.
 */
export interface Interval {
  loMm: number
  hiMm: number | null
}

export interface ClearanceReading extends Interval {
  /** Two trials that cannot both be right, even allowing for their blades' errors. */
  contradiction: [Trial, Trial] | null
  /** They disagree by no more than their blades may be off: the interval is the gap between them. */
  withinBladeError: boolean
}

/** What one trial proves: no-go c < t; pinched t − 0.010 ≤ c < t; drag t ≤ c < t + 0.015; free c ≥ t. */
export function provedBy(trial: Trial, hand: HandBands = USUAL_HAND): Interval {
  const t = thickness(trial)
  switch (trial.feel) {
    case 'free':
      return { loMm: t, hiMm: null }
    case 'drag':
      return { loMm: t, hiMm: snapMm(t + hand.dragMm) }
    case 'pinched':
      return { loMm: Math.max(0, snapMm(t - hand.pinchMm)), hiMm: t }
    case 'no-go':
      return { loMm: 0, hiMm: t }
  }
}

/** The trials that count: a blade tried again replaces what it felt like before. */
export function latestTrials(trials: Trial[]): Trial[] {
  const byThickness = new Map<number, Trial>()
  for (const trial of trials) {
    byThickness.delete(thickness(trial))
    byThickness.set(thickness(trial), trial)
  }
  return [...byThickness.values()]
}

/**
 * Where a clearance must lie, from the trials made since anything could have changed it.
 * @param trials in working order; thicknesses in mm on the 0.1 µm grid
 * @returns `[loMm, hiMm)`, `[0, ∞)` when nothing was tried; with a contradiction named where there is one
 */
export function clearanceInterval(trials: Trial[], hand: HandBands = USUAL_HAND): ClearanceReading {
  const proofs = latestTrials(trials).map(trial => ({ trial, ...provedBy(trial, hand) }))
  const lowest = proofs.reduce<(typeof proofs)[number] | null>(
    (best, p) => (best === null || p.loMm > best.loMm ? p : best),
    null,
  )
  const highest = proofs.reduce<(typeof proofs)[number] | null>(
    (best, p) => (p.hiMm !== null && (best === null || p.hiMm < (best.hiMm ?? Infinity)) ? p : best),
    null,
  )
  if (!lowest) return { loMm: 0, hiMm: null, contradiction: null, withinBladeError: false }
  const { loMm } = lowest
  const hiMm = highest?.hiMm ?? null
  if (hiMm === null || loMm < hiMm) return { loMm, hiMm, contradiction: null, withinBladeError: false }
  const slackMm = trialErrorMm(lowest.trial) + trialErrorMm(highest!.trial)
  const disjoint = snapMm(loMm - slackMm) >= hiMm
  return {
    loMm: hiMm,
    hiMm: snapMm(Math.max(loMm, hiMm + 0.0001)),
    contradiction: disjoint ? [lowest.trial, highest!.trial] : null,
    withinBladeError: !disjoint,
  }
}
