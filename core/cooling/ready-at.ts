import { normalUnder } from '../chance'
import type { CoolingCurve } from './cooling-curve'

/** When a head is cold enough: with such a confidence, or never while the air is as warm as the limit. */
export type Readiness = { kind: 'at'; atMs: number; soonestMs: number } | { kind: 'air too warm' }

/** As sure as this that it is under the limit. From memory. */
export const READY_AT = 0.9
const HOUR_MS = 3_600_000
const MOST_HOURS = 72
const STEP_HOURS = 1 / 60

/** The chance that the head is under a limit at a time. */
export function coldChance({ ways, airC, fromMs }: CoolingCurve, limitC: number, atMs: number): number {
  const hours = (atMs - fromMs) / HOUR_MS
  return ways.reduce((sum, { perHour, startC, startSigmaC, weight }) => {
    const fall = Math.exp(-perHour * hours)
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
  const first = (chance: number): number => {
    for (let hours = 0; hours < MOST_HOURS; hours += STEP_HOURS)
      if (coldChance(curve, limitC, curve.fromMs + hours * HOUR_MS) >= chance) return curve.fromMs + hours * HOUR_MS
    return curve.fromMs + MOST_HOURS * HOUR_MS
  }
  return { kind: 'at', atMs: first(confidence), soonestMs: first(1 - confidence) }
}
