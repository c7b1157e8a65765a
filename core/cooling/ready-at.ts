import { normalUnder } from '../chance'
import { HOUR_MS } from '../units'
import { type CoolingCurve, leftOver } from './cooling-curve'

/** When a head is cold enough: with such a confidence, or never while the air is as warm as the limit. */
export type Readiness = { kind: 'at'; atMs: number; soonestMs: number } | { kind: 'air too warm' }

/** As sure as this that it is under the limit. From memory. */
export const READY_AT = 0.9
/** Looked for over three days, to the minute: nothing that cools takes longer, and nobody waits by the second. */
const MOST_HOURS = 72
const STEP_HOURS = 1 / 60

/** The chance that the head is under a limit at a time. */
export function coldChance({ ways, fromMs }: CoolingCurve, limitC: number, atMs: number): number {
  const hours = (atMs - fromMs) / HOUR_MS
  return ways.reduce((sum, { airC, startC, startSigmaC, weight, ...way }) => {
    const fall = leftOver(way, hours)
    return sum + weight * normalUnder((limitC - airC - (startC - airC) * fall) / (startSigmaC * fall))
  }, 0)
}

/**
 * When the head is under the limit with 90 % confidence, to the minute, and the soonest it may be (10 %).
 * @param limitC the maker's limit for “cold”
 * @returns “air too warm” where the air is at the limit or over: then only a long rest counts
 */
export function readyAt(curve: CoolingCurve, limitC: number, confidence = READY_AT): Readiness {
  if (curve.airC >= limitC) return { kind: 'air too warm' }
  // the chance only grows while it cools, so the minute is halved for
  const first = (chance: number): number => {
    let [from, to] = [-1, MOST_HOURS / STEP_HOURS]
    while (to - from > 1) {
      const middle = Math.floor((from + to) / 2)
      if (coldChance(curve, limitC, curve.fromMs + middle * STEP_HOURS * HOUR_MS) >= chance) to = middle
      else from = middle
    }
    return curve.fromMs + to * STEP_HOURS * HOUR_MS
  }
  return { kind: 'at', atMs: first(confidence), soonestMs: first(1 - confidence) }
}
