import type { Clearance, Role } from '../engine'
import { snapMm } from '../units'
import { USUAL_HAND } from './trial'

/** Where inside its limits a valve is set: the middle, the figure that the source prints, or an exhaust at its loose end, for it tightens with use. Common practice. */
export const TARGET_SCHOOLS = ['middle', 'figure', 'loose-exhaust'] as const
export type TargetSchool = (typeof TARGET_SCHOOLS)[number]

/** A spec's clearance as limits `[minMm, maxMm]`; a bare figure has none of its own. */
export function limitsOf(clearance: Clearance): { minMm: number; maxMm: number } | null {
  switch (clearance.form) {
    case 'limits':
      return { minMm: clearance.minMm, maxMm: clearance.maxMm }
    case 'tolerance':
      return {
        minMm: snapMm(clearance.figureMm - clearance.toleranceMm),
        maxMm: snapMm(clearance.figureMm + clearance.toleranceMm),
      }
    case 'bare':
      return null
  }
}

/** The limits, a bare figure standing for both: for rules and tables. mm. */
export const spanOf = (clearance: Clearance): { minMm: number; maxMm: number } =>
  limitsOf(clearance) ?? { minMm: targetOf(clearance), maxMm: targetOf(clearance) }

/**
 * Where a valve is set to, in mm: inside its limits by any school, a bare figure by all of them. “At the loose end” is half a
 * drag inside the limit, so that the setting can still be proved, and never on the tight side of the middle.
 */
export function targetOf(clearance: Clearance, school: TargetSchool = 'middle', role: Role = 'intake'): number {
  if (clearance.form === 'bare') return clearance.figureMm
  const { minMm, maxMm } = limitsOf(clearance)!
  const middle = snapMm((minMm + maxMm) / 2)
  if (school === 'figure') return clearance.figureMm ?? middle
  return school === 'loose-exhaust' && role === 'exhaust'
    ? Math.max(middle, snapMm(maxMm - USUAL_HAND.dragMm / 2))
    : middle
}
