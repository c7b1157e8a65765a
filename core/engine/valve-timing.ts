import { arcBetween, type Arc, shiftArc, subtractArc, wrap } from './angle'
import type { Cam, Decompressor, Engine, Role, Valve } from './schema'

/** Timing taken when a model has none on record. From memory; marked assumed wherever it matters. */
export const ASSUMED_CAM: Cam = {
  checkLiftMm: 1,
  intakeOpensBeforeTdcDeg: 10, intakeClosesAfterBdcDeg: 45,
  exhaustOpensBeforeBdcDeg: 45, exhaustClosesAfterTdcDeg: 10,
}
/** Where an automatic decompressor holds the exhaust open when only its presence is suspected. From memory. */
export const ASSUMED_DECOMPRESSOR = { kind: 'arc', role: 'exhaust', fromDeg: -120, toDeg: 10 } as const
/** Ramp outside seat timing given without a lift. From memory. */
const SEAT_RAMP_DEG = 10
const RAMP_DEG_AT_1_MM = 30

/** A cam's ramp, the crank degrees between the base circle and the check lift: 30°·√(lift / 1 mm). From memory. */
export const rampDeg = (cam: Cam): number => cam.checkLiftMm === null ? SEAT_RAMP_DEG : RAMP_DEG_AT_1_MM * Math.sqrt(cam.checkLiftMm)

/** The lift at which the events of a cam are given; for seat timing the lift whose ramp is 10°. */
export const eventLiftMm = (cam: Cam): number => cam.checkLiftMm ?? (SEAT_RAMP_DEG / RAMP_DEG_AT_1_MM) ** 2

/** Opening and closing of a valve by local angle, in degrees after its cylinder's compression TDC; close > open. */
export interface ValveEvents { opensDeg: number, closesDeg: number, rampDeg: number }

export function valveEvents(engine: Pick<Engine, 'cam'>, role: Role): ValveEvents {
  const cam = engine.cam ?? ASSUMED_CAM
  return role === 'intake'
    ? { opensDeg: 360 - cam.intakeOpensBeforeTdcDeg, closesDeg: 540 + cam.intakeClosesAfterBdcDeg, rampDeg: rampDeg(cam) }
    : { opensDeg: 180 - cam.exhaustOpensBeforeBdcDeg, closesDeg: 360 + cam.exhaustClosesAfterTdcDeg, rampDeg: rampDeg(cam) }
}

/** The arc over which a decompressor holds a valve of this role, by local angle, or null. Unknown counts as the assumed arc. */
export function decompressorArc(decompressor: Decompressor, role: Role): Arc | null {
  if (decompressor.kind === 'none') return null
  const held = decompressor.kind === 'unknown' ? ASSUMED_DECOMPRESSOR : decompressor
  return held.role === role ? arcBetween(held.fromDeg, held.toDeg) : null
}

const firingAngle = (engine: Engine, valve: Valve): number =>
  engine.cylinders.find(c => c.id === valve.cylinderId)?.firingAngleDeg ?? 0

/** A valve's local angle at a cycle angle: 0 at its cylinder's compression TDC, in [0, 720). */
export const localAngle = (engine: Engine, valve: Valve, crankDeg: number): number => wrap(crankDeg - firingAngle(engine, valve))

/** The base circle of a valve as an arc of the cycle, outside both ramps, decompressor not yet considered. */
export function baseCircle(engine: Engine, valve: Valve): Arc {
  const { opensDeg, closesDeg, rampDeg: ramp } = valveEvents(engine, valve.role)
  return shiftArc(arcBetween(closesDeg + ramp, opensDeg - ramp), firingAngle(engine, valve))
}

/**
 * Where a valve may be measured: its base circle less the decompressor's arc, as arcs of the cycle `[start, start + sweep)`.
 * An unknown decompressor is taken out too (what is possible must not be measured on).
 * @returns per valve id, none, one or two arcs
 */
export function closedArcs(engine: Engine): Record<string, Arc[]> {
  return Object.fromEntries(engine.valves.map((valve) => {
    const held = decompressorArc(engine.decompressor, valve.role)
    const base = baseCircle(engine, valve)
    return [valve.id, held ? subtractArc(base, shiftArc(held, firingAngle(engine, valve))) : [base]]
  }))
}
