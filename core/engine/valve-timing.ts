import { type Arc, arcBetween, shiftArc, subtractArc, wrap } from './angle'
import type { Role } from './clearance'
import { firingAngle } from './names'
import type { Cam, Engine, Valve } from './parts'

/** Timing taken when a model has none on record. From memory; marked assumed wherever it matters. */
export const ASSUMED_CAM: Cam = {
  checkLiftMm: 1,
  intakeOpensBeforeTdcDeg: 10,
  intakeClosesAfterBdcDeg: 45,
  exhaustOpensBeforeBdcDeg: 45,
  exhaustClosesAfterTdcDeg: 10,
}
/** Where an automatic decompressor holds the exhaust open when only its presence is suspected. From memory. */
export const ASSUMED_DECOMPRESSOR = {
  kind: 'arc',
  role: 'exhaust',
  fromDeg: -120,
  toDeg: 10,
  cylinderId: null,
} as const
/** Ramp outside seat timing given without a lift. From memory. */
const SEAT_RAMP_DEG = 10
const RAMP_DEG_AT_1_MM = 30

/** A cam's ramp, the crank degrees between the base circle and the check lift: 30°·√(lift / 1 mm). From memory. */
export const rampDeg = (cam: Cam): number =>
  cam.checkLiftMm === null ? SEAT_RAMP_DEG : RAMP_DEG_AT_1_MM * Math.sqrt(cam.checkLiftMm)

/** The lift at which the events of a cam are given; for seat timing the lift whose ramp is 10°. */
export const eventLiftMm = (cam: Cam): number => cam.checkLiftMm ?? (SEAT_RAMP_DEG / RAMP_DEG_AT_1_MM) ** 2

/** Opening and closing of a valve by local angle, in degrees after its cylinder's compression TDC; close > open. */
export interface ValveEvents {
  opensDeg: number
  closesDeg: number
  rampDeg: number
}

/** Where a valve of a role opens and closes in its cylinder’s cycle, by the cam data or by what is assumed. ° */
export function valveEvents(engine: Pick<Engine, 'cam'>, role: Role): ValveEvents {
  const cam = engine.cam ?? ASSUMED_CAM
  return role === 'intake'
    ? {
        opensDeg: 360 - cam.intakeOpensBeforeTdcDeg,
        closesDeg: 540 + cam.intakeClosesAfterBdcDeg,
        rampDeg: rampDeg(cam),
      }
    : {
        opensDeg: 180 - cam.exhaustOpensBeforeBdcDeg,
        closesDeg: 360 + cam.exhaustClosesAfterTdcDeg,
        rampDeg: rampDeg(cam),
      }
}

/**
 * Chance that an unknown decompressor is there: singles have one to be started by hand or by a small motor; others
 * seldom. From memory.
 */
export const UNKNOWN_DECOMPRESSOR_PRIOR = { single: 0.3, several: 0.05 }

/** Chance that this engine has a decompressor, before anything is felt: 0 or 1 where it is on record. */
export function decompressorPrior({ decompressor, cylinders }: Pick<Engine, 'decompressor' | 'cylinders'>): number {
  if (decompressor.kind !== 'unknown') return decompressor.kind === 'arc' ? 1 : 0
  return cylinders.length === 1 ? UNKNOWN_DECOMPRESSOR_PRIOR.single : UNKNOWN_DECOMPRESSOR_PRIOR.several
}

/**
 * The arc of the cycle over which a decompressor holds this valve where there is one, or null. Unknown counts as the
 * assumed arc.
 */
export function decompressorArc(engine: Engine, valve: Valve): Arc | null {
  const { decompressor } = engine
  if (decompressor.kind === 'none') return null
  const held = decompressor.kind === 'unknown' ? ASSUMED_DECOMPRESSOR : decompressor
  if (held.role !== valve.role || (held.cylinderId !== null && held.cylinderId !== valve.cylinderId)) return null
  return shiftArc(arcBetween(held.fromDeg, held.toDeg), firingAngle(engine, valve.cylinderId))
}

/** A valve's local angle at a cycle angle: 0 at its cylinder's compression TDC, in [0, 720). */
export const localAngle = (engine: Engine, valve: Valve, crankDeg: number): number =>
  wrap(crankDeg - firingAngle(engine, valve.cylinderId))

/** The base circle of a valve as an arc of the cycle, outside both ramps, decompressor not yet considered. */
export function baseCircle(engine: Engine, valve: Valve): Arc {
  const { opensDeg, closesDeg, rampDeg: ramp } = valveEvents(engine, valve.role)
  return shiftArc(arcBetween(closesDeg + ramp, opensDeg - ramp), firingAngle(engine, valve.cylinderId))
}

/** Where one valve may be measured, with and without its decompressor at work: none, one or two arcs. */
export function closedArcsOf(engine: Engine, valve: Valve, decompressorThere: boolean): Arc[] {
  const held = decompressorThere ? decompressorArc(engine, valve) : null
  const base = baseCircle(engine, valve)
  return held ? subtractArc(base, held) : [base]
}

/**
 * Where each valve may be measured: its base circle less the decompressor's arc, as arcs of the cycle `[start, start +
 * sweep)`.
 * An unknown decompressor is taken out too, however unlikely: what is possible must not be measured on.
 * @returns per valve id, none, one or two arcs
 */
export function closedArcs(
  engine: Engine,
  decompressorThere = engine.decompressor.kind !== 'none',
): Record<string, Arc[]> {
  return Object.fromEntries(engine.valves.map(valve => [valve.id, closedArcsOf(engine, valve, decompressorThere)]))
}

/** What a job or an earlier one found out about a decompressor that is not on record. */
export type DecompressorFound = 'none' | 'there'

/**
 * The engine with what is known of its decompressor: what a test found stands over the record's silence, and over its
 * “none” where one was found. Where the source itself says that valves are measured at the top, or at the maker's
 * stops, its own places are believed: a decompressor that nobody recorded does not hold a valve there.
 */
export function withDecompressor(engine: Engine, found: DecompressorFound | null): Engine {
  const { decompressor, measuredAt } = engine
  if (decompressor.kind === 'arc') return engine
  if (found === 'there') return { ...engine, decompressor: { ...ASSUMED_DECOMPRESSOR, kind: 'arc', cylinderId: null } }
  const believed =
    measuredAt.kind === 'top' ||
    measuredAt.kind === 'makers stops' ||
    (measuredAt.kind === 'not said' && engine.makersStops.length > 0)
  return decompressor.kind === 'unknown' && (found === 'none' || believed)
    ? { ...engine, decompressor: { kind: 'none' } }
    : engine
}
