import type { Clearance } from '../engine'
import { BARE_FIGURE_NEAR_MM, limitsOf, USUAL_HAND, type Verdict } from '../feeler'
import { snapMm } from '../units'

export interface LeftReading {
  loMm: number
  hiMm: number | null
}

/** A bare figure and the next blade up: further apart, the pair says little. As `judge` has it. */
const NEXT_UP_WITHIN_MM = 0.05
/**
 * What an earlier as-left reading would be by another spec. Only the interval is on record, so that a drag shows as a
 * width of one drag.
 * Touching a limit is in, as with `judge`.
 */
export function rejudge({ loMm, hiMm }: LeftReading, clearance: Clearance): Verdict {
  const limits = limitsOf(clearance)
  if (limits) {
    const { minMm, maxMm } = limits
    if (hiMm !== null && hiMm <= minMm) return 'tight'
    if (loMm > maxMm) return 'loose'
    const drag = hiMm !== null && snapMm(hiMm - loMm) <= USUAL_HAND.dragMm
    return loMm >= minMm && hiMm !== null && (hiMm <= maxMm || drag) ? 'in' : 'unproved'
  }
  const figureMm = (clearance as { figureMm: number }).figureMm
  if (hiMm !== null && hiMm <= snapMm(figureMm + BARE_FIGURE_NEAR_MM) && loMm < snapMm(figureMm - BARE_FIGURE_NEAR_MM))
    return 'tight'
  if (loMm >= snapMm(figureMm + USUAL_HAND.dragMm)) return 'loose'
  return Math.abs(snapMm(loMm - figureMm)) <= BARE_FIGURE_NEAR_MM &&
    hiMm !== null &&
    hiMm <= snapMm(figureMm + NEXT_UP_WITHIN_MM)
    ? 'in'
    : 'unproved'
}
