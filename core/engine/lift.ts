import { wrap } from './angle'
import type { Role } from './clearance'
import type { Engine } from './parts'
import { ASSUMED_CAM, eventLiftMm, type ValveEvents, valveEvents } from './valve-timing'

/** Greatest lift as a share of the stroke, for drawing and for what a gap does to lift. From memory, always assumed. */
const LIFT_PER_STROKE = 0.11

/** The most that a valve of such an engine lifts, by its stroke. mm; assumed */
export const greatestLiftMm = (engine: Pick<Engine, 'strokeMm'>): number => engine.strokeMm * LIFT_PER_STROKE

/**
 * Lift of the cam follower above its base circle, without clearance.
 * Parabolic ramps from the base circle to the check lift; between the events an even polynomial c + M(1 − u²)(1 − ku²)
 * over u ∈ [−1, 1], with k such that slope and height join the ramps.
 * @param localDeg degrees after the cylinder's compression TDC, any value
 * @returns mm, 0 on the base circle
 */
export function valveLift(engine: Pick<Engine, 'cam' | 'strokeMm'>, role: Role, localDeg: number): number {
  const cam = engine.cam ?? ASSUMED_CAM
  const checkMm = eventLiftMm(cam)
  const events = valveEvents(engine, role)
  const sinceSeat = wrap(localDeg - (events.opensDeg - events.rampDeg))
  return liftAfterSeat(events, checkMm, Math.max(greatestLiftMm(engine), checkMm * 1.5), sinceSeat)
}

function liftAfterSeat(
  { opensDeg, closesDeg, rampDeg }: ValveEvents,
  checkMm: number,
  greatestMm: number,
  deg: number,
): number {
  const duration = closesDeg - opensDeg
  if (deg >= duration + 2 * rampDeg) return 0
  if (deg < rampDeg) return checkMm * (deg / rampDeg) ** 2
  if (deg > duration + rampDeg) return checkMm * ((duration + 2 * rampDeg - deg) / rampDeg) ** 2
  const half = duration / 2
  const rise = greatestMm - checkMm
  const k = Math.min(1, Math.max(-1, 1 - (checkMm * half) / (rise * rampDeg)))
  const u2 = ((deg - rampDeg) / half - 1) ** 2
  return checkMm + rise * (1 - u2) * (1 - k * u2)
}
