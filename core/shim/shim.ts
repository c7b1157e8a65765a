import type { Clearance } from '../engine'
import { limitsOf, targetOf } from '../feeler'
import { say } from '../said'
import { FigureError, formatLength, snapMm } from '../units'

/** A shim is between these, in mm; more is a slip of the unit. From memory. */
const THINNEST_MM = 0.8
const THICKEST_MM = 4

/**
 * The shim that would give the wanted clearance: fitted + measured − wanted, all in mm.
 * Source: common practice; 2.47 fitted with 0.11 measured and 0.15 wanted asks for 2.43.
 */
export const wantedShim = (fittedMm: number, measuredMm: number, wantedMm: number): number =>
  snapMm(fittedMm + measuredMm - wantedMm)

/** The clearance that another shim would give in place of the fitted one. mm. */
export const clearanceWith = (fittedMm: number, measuredMm: number, shimMm: number): number =>
  snapMm(fittedMm + measuredMm - shimMm)

/** Engravings are rounded to 0.01: 2.425 reads 2.43. */
const ENGRAVING_MM = 0.0051

/**
 * The size that an engraved figure stands for.
 * @param stepMm the steps in which this model's shims come, such as 0.05 or 0.025
 * @returns mm on the step
 * @throws FigureError when it is no shim's size, or lies between two steps: both are named
 */
export function engravedShim(engravedMm: number, stepMm: number): number {
  const text = formatLength(engravedMm, 'mm')
  if (!(engravedMm >= THINNEST_MM && engravedMm <= THICKEST_MM)) {
    const tenfold = [engravedMm / 10, engravedMm * 10, engravedMm / 100].find(v => v >= THINNEST_MM && v <= THICKEST_MM)
    throw new FigureError(
      text,
      say('figure.no-shim', {
        thinnestMm: THINNEST_MM,
        thickestMm: THICKEST_MM,
        meantMm: tenfold === undefined ? null : formatLength(snapMm(tenfold), 'mm'),
      }),
    )
  }
  const below = snapMm(Math.floor(engravedMm / stepMm + 1e-9) * stepMm)
  const near = [below, snapMm(below + stepMm)].find(v => Math.abs(v - engravedMm) <= ENGRAVING_MM)
  if (near === undefined)
    throw new FigureError(
      text,
      say('figure.between-steps', {
        stepMm,
        belowMm: formatLength(below, 'mm'),
        aboveMm: formatLength(snapMm(below + stepMm), 'mm'),
      }),
    )
  return near
}

/** A shim that is on the shelf, or would have to be bought. */
export interface ShimChoice {
  mm: number
  clearanceMm: number
  from: 'stock' | 'bought'
}

/**
 * Whether a clearance is in, for a shim that cannot be felt before it is fitted: inside the limits; a bare figure
 * within half a step.
 */
export function wouldBeIn(clearance: Clearance, clearanceMm: number, stepMm: number): boolean {
  const { minMm, maxMm } = limitsOf(clearance) ?? {
    minMm: snapMm(targetOf(clearance) - stepMm / 2),
    maxMm: snapMm(targetOf(clearance) + stepMm / 2),
  }
  return clearanceMm >= minMm && clearanceMm <= maxMm
}

export interface ShimValve {
  valveId: string
  /** The shim that is in it, by micrometer where that was taken. */
  fittedMm: number
  /** The clearance measured with it: the middle of the reading. */
  measuredMm: number
  clearance: Clearance
  /** Where it is set to, mm. */
  targetMm: number
}

/** Sizes on the steps about a wanted one, that would be in. */
export function stepsAbout(valve: ShimValve, stepMm: number): number[] {
  const wanted = wantedShim(valve.fittedMm, valve.measuredMm, valve.targetMm)
  const nearest = Math.round(wanted / stepMm)
  return [-2, -1, 0, 1, 2]
    .map(i => snapMm((nearest + i) * stepMm))
    .filter(
      mm =>
        mm >= THINNEST_MM &&
        mm <= THICKEST_MM &&
        wouldBeIn(valve.clearance, clearanceWith(valve.fittedMm, valve.measuredMm, mm), stepMm),
    )
}

/**
 * The shim for one valve: the one whose result is in and nearest the target, from the stock before a purchase.
 * @param stockMm sizes on the shelf
 * @returns null when no size of stock or steps would be in: the steps are too coarse for the limits, or the seat is
 *   gone
 */
export function chooseShim(valve: ShimValve, stockMm: readonly number[], stepMm: number): ShimChoice | null {
  const choices = (sizes: readonly number[], from: ShimChoice['from']): ShimChoice[] =>
    sizes
      .map(mm => ({ mm, clearanceMm: clearanceWith(valve.fittedMm, valve.measuredMm, mm), from }))
      .filter(c => wouldBeIn(valve.clearance, c.clearanceMm, stepMm))
  const off = (c: ShimChoice) => Math.abs(c.clearanceMm - valve.targetMm)
  const nearest = (list: ShimChoice[]) => [...list].sort((a, b) => off(a) - off(b) || a.mm - b.mm)[0]
  return nearest(choices(stockMm, 'stock')) ?? nearest(choices(stepsAbout(valve, stepMm), 'bought')) ?? null
}
