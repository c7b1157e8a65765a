import type { Adjuster } from '../engine'
import type { Interval } from '../feeler'
import { snapMm } from '../units'
import type { SlotTried } from './bracket-slot'
import { degreesFor } from './screw-turn'

/**
 * A hand reads a screw's turn no better than this, with the thread's play, and a pitch may be off by such a share. From
 * memory.
 */
const READ_DEG = 4
const PITCH_OFF = 0.05

/**
 * Where the gap stands by what was felt at earlier angles of the same screw: a screw is a micrometer. Each reading is
 * carried to the present angle by the pitch, a little wider for what a turn is read by; the latest count where they do
 * not agree.
 * @param tried in working order, all since the nut was last loosened
 * @param nowDeg the screw's present angle, cumulative
 * @returns mm; `loMm` 0 where nothing bounds it below Source: screw kinematics; pitches ISO 261.
 */
export function gapByAngle(adjuster: Adjuster, tried: readonly SlotTried[], nowDeg: number): Interval {
  const perMm = degreesFor(adjuster, 1)
  let [lo, hi] = [-Infinity, Infinity]
  for (const { screwDeg, reading } of [...tried].reverse()) {
    const turned = nowDeg - screwDeg
    const closes = turned / perMm
    const wider = turned === 0 ? 0 : (READ_DEG + PITCH_OFF * Math.abs(turned)) / perMm
    const from = reading.loMm <= 0 ? -Infinity : reading.loMm - closes - wider
    const to = reading.hiMm === null ? Infinity : reading.hiMm - closes + wider
    if (Math.max(lo, from) >= Math.min(hi, to)) break
    lo = Math.max(lo, from)
    hi = Math.min(hi, to)
  }
  return { loMm: snapMm(Math.max(0, lo)), hiMm: hi === Infinity ? null : snapMm(Math.max(0.0001, hi)) }
}
