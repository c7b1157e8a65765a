import type { Adjuster } from '../engine'
import type { Interval } from '../feeler'

/**
 * How far the gap closes for each mm that the screw or nut travels: 1 at the valve end, ρ at the push-rod end, 1 + ρ
 * for a pivot nut.
 */
export function gapPerTravel({ kind, rockerRatio }: Pick<Adjuster, 'kind' | 'rockerRatio'>): number {
  return kind === 'valve-end' ? 1 : kind === 'pushrod-end' ? rockerRatio : 1 + rockerRatio
}

/** Screw degrees that change the gap by a given length. */
export const degreesFor = (adjuster: Adjuster, gapMm: number): number =>
  (gapMm / (gapPerTravel(adjuster) * adjuster.pitchMm)) * 360

/** A turn of the screw; clockwise is positive and closes the gap. */
export type ScrewTurn =
  | { kind: 'turn'; deg: number; leastDeg: number; mostDeg: number; flats: number }
  /**
   * No blade was refused, or the thinnest was: only the direction and the least turn are known; another blade first.
   */
  | { kind: 'at-least'; deg: number; direction: 'clockwise' | 'anticlockwise' }
  /** Even the thinnest blade is refused: the true gap may be below zero, so open until that blade goes. */
  | { kind: 'open-until'; bladeMm: number }

/**
 * How far to turn the adjusting screw.
 * @param measured the clearance interval in mm; its midpoint is used, its width shown as `leastDeg`…`mostDeg`
 * @param wantedMm the clearance to end at
 * @param thinnestMm the thinnest blade of the set
 * @returns degrees, clockwise positive, and flats of 60° Source: screw kinematics; pitches ISO 261 and ASME B1.1.
 */
export function screwTurn(adjuster: Adjuster, measured: Interval, wantedMm: number, thinnestMm: number): ScrewTurn {
  if (measured.loMm <= 0 && measured.hiMm !== null && measured.hiMm <= thinnestMm)
    return { kind: 'open-until', bladeMm: thinnestMm }
  if (measured.hiMm === null) {
    const deg = degreesFor(adjuster, measured.loMm - wantedMm)
    return { kind: 'at-least', deg: Math.max(0, deg), direction: 'clockwise' }
  }
  if (measured.loMm <= 0)
    return {
      kind: 'at-least',
      deg: Math.max(0, degreesFor(adjuster, wantedMm - measured.hiMm)),
      direction: 'anticlockwise',
    }
  const deg = degreesFor(adjuster, (measured.loMm + measured.hiMm) / 2 - wantedMm)
  return {
    kind: 'turn',
    deg,
    flats: deg / 60,
    leastDeg: degreesFor(adjuster, measured.loMm - wantedMm),
    mostDeg: degreesFor(adjuster, measured.hiMm - wantedMm),
  }
}

/** The same turn as a minute hand would show it, for words: 15° is 2½ minutes. */
export const clockMinutes = (deg: number): number => Math.round(Math.abs(deg) / 3) / 2
