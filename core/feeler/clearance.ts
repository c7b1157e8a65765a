import type { Clearance, Role } from '../engine'
import { formatLength, snapMm, thouFromMm } from '../units'
import { type BladeSet, leavesOf } from './blade'
import { type HandBands, USUAL_HAND } from './trial'

/**
 * Where inside its limits a valve is set: the middle, the figure that the source prints, or an exhaust at its loose
 * end, for it tightens with use. Common practice.
 */
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

/** A clearance in both units: “0.08–0.12 mm”, “3.1–4.7 thou”. */
export const spanWords = (c: Clearance): { value: string; more: string } => {
  const { minMm, maxMm } = spanOf(c)
  const thou = (mm: number) => thouFromMm(mm).toFixed(1)
  return minMm === maxMm
    ? { value: `${formatLength(minMm, 'mm')} mm`, more: `${thou(minMm)} thou` }
    : {
        value: `${formatLength(minMm, 'mm')}–${formatLength(maxMm, 'mm')} mm`,
        more: `${thou(minMm)}–${thou(maxMm)} thou`,
      }
}

/**
 * Where a valve is set to, in mm: inside its limits by any school, a bare figure by all of them. “At the loose end” is
 * half a drag inside the limit, so that the setting can still be proved, and never on the tight side of the middle.
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

/** A blade this near to a bare figure counts as the figure: 0.1016 (4 thou) for 0.10. */
export const BARE_FIGURE_NEAR_MM = 0.005
/** What counts as in for a bare figure ends no further on than this. */
const BARE_NEXT_WITHIN_MM = 0.05

/**
 * As thick as the blade that counts as a bare figure: the nearest of the set, or the figure itself where none is near.
 */
export function bladeOfFigure(figureMm: number, set?: Pick<BladeSet, 'blades'>): number {
  const off = (mm: number) => Math.abs(snapMm(mm - figureMm))
  const near = set ? leavesOf(set).filter(l => l.condition === 'good' && off(l.mm) <= BARE_FIGURE_NEAR_MM) : []
  return [...near].sort((a, b) => off(a.mm) - off(b.mm))[0]?.mm ?? figureMm
}

/** Gaps that count as in: from `minMm` on, up to `maxMm`. */
export interface Band {
  minMm: number
  maxMm: number
  /** Whether `maxMm` itself counts: a printed limit does, the next blade up does not. */
  topCounts: boolean
}

/**
 * What counts as in, the same for every trial, rule and sheet: the printed limits; for a bare figure from the drag of
 * its own blade to the next blade of the set, where that is at most 0.05 mm on, and at least to the end of that drag.
 * @param set the set in hand; without one the band is a drag wide
 */
export function countedAsIn(
  clearance: Clearance,
  set?: Pick<BladeSet, 'blades'>,
  { dragMm }: HandBands = USUAL_HAND,
): Band {
  const limits = limitsOf(clearance)
  if (limits) return { ...limits, topCounts: true }
  const figureMm = targetOf(clearance)
  const leaves = set ? leavesOf(set).filter(l => l.condition === 'good') : []
  const ownMm = bladeOfFigure(figureMm, set)
  const dragEndMm = snapMm(ownMm + dragMm)
  const next = leaves.find(l => l.mm > ownMm)
  const nextMm = next && next.mm <= snapMm(figureMm + BARE_NEXT_WITHIN_MM) ? next.mm : 0
  return { minMm: Math.min(ownMm, figureMm), maxMm: Math.max(nextMm, dragEndMm), topCounts: false }
}
