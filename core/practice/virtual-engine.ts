import { degreesFor } from '../adjuster'
import {
  ASSUMED_DECOMPRESSOR,
  cylinderById,
  type Engine,
  firingAngle,
  type Role,
  ROLES,
  type Valve,
  valveById,
  wrap,
} from '../engine'
import { snapMm } from '../units'
import { camLiftMm, type TrueCam, trueCam } from './motion'

/**
 * A decompressor at work: over a local arc of its valve it holds it open by `liftMm`, letting go and taking hold over
 * the edges.
 */
export interface Held {
  role: Role
  fromDeg: number
  toDeg: number
  cylinderId: string | null
  liftMm: number
}

/** What an engine is really like, and nobody at the bench can look up. */
export interface Nature {
  cams: Record<Role, TrueCam>
  held: Held | null
  /** How far the cam may lag behind a crank that is turned back, in crank degrees. */
  chainSlackDeg: number
  /** What locking does to a gap: by so much, give or take half the scatter. mm, negative closes. */
  creepMm: number
  creepScatterMm: number
  /** What nipping the nut does before it is locked, likewise. mm */
  nipMm: number
  nipScatterMm: number
  /** How far a screw turns back before its thread takes hold. Degrees */
  backlashDeg: number
  /** Valves whose nut turns the stud, so that the screw does nothing. */
  spinning: readonly string[]
  /** How far each blade is off what is believed of it, by its engraving in mm. */
  bladeOffMm: Record<string, number>
  /** What each degree of warmth over the air does to a gap, mm per °C. */
  growthMm: Record<Role, number>
  airC: number
}

/** A virtual engine: its data, its nature, and how it stands. It is changed by what is done to it. */
export interface VirtualEngine {
  readonly engine: Engine
  readonly nature: Nature
  /** Cycle angle of the crank, in [0, 720), and how far ahead of it the cam was left by a backward turn. */
  crankDeg: number
  camAheadDeg: number
  /** Clearance on the base circle, cold, by valve id, mm: below zero the valve is held open. */
  gapMm: Record<string, number>
  shimMm: Record<string, number>
  nuts: Record<string, 'locked' | 'loose' | 'nipped'>
  /**
   * Cumulative angle of each screw since the start, clockwise positive, and how far it stands from the anticlockwise
   * end of its thread's play.
   */
  screwDeg: Record<string, number>
  screwPlayDeg: Record<string, number>
  headC: number
}

/**
 * What may be told of a virtual engine; the rest is as its data say, in spec, cold, true. `held` is where a
 * decompressor works, by local angle.
 */
export interface Setup {
  crankDeg?: number
  gapMm?: Record<string, number>
  shimMm?: Record<string, number>
  headC?: number
  held?: readonly [number, number] | Held | null
  camLateDeg?: Partial<Record<Role, number>>
  nature?: Partial<Omit<Nature, 'cams' | 'held'>>
}

/** How far a decompressor holds its valve open; it lets go over the last degrees of its arc. From memory. */
const USUAL_HELD_MM = 0.5
const LETS_GO_OVER_DEG = 20
/** From memory: a warm exhaust stem takes up room that a warm head does not give back. */
const GROWTH_MM: Record<Role, number> = { intake: -0.0004, exhaust: -0.0009 }
/** A cool shop. */
const AIR_C = 18
/** In the middle of what is sold. From memory. */
const USUAL_SHIM_MM = 2.4

const middleOf = (engine: Engine, role: Role): number => {
  const c = engine.clearance[role]
  return c.form === 'limits' ? (c.minMm + c.maxMm) / 2 : c.figureMm + (c.form === 'bare' ? 0.004 : 0)
}

/** By its data, where they name one; unknown stands for none, so that a setup must say that it is there. */
function heldOf(engine: Engine, told: Setup['held']): Held | null {
  const { decompressor } = engine
  if (told === null || (told === undefined && decompressor.kind !== 'arc')) return null
  const [known, isArc] = decompressor.kind === 'arc' ? [decompressor, true] : [ASSUMED_DECOMPRESSOR, false]
  const base: Held = {
    role: known.role,
    cylinderId: isArc ? known.cylinderId : null,
    fromDeg: known.fromDeg,
    toDeg: known.toDeg,
    liftMm: USUAL_HELD_MM,
  }
  if (told === undefined) return base
  return 'liftMm' in told ? told : { ...base, fromDeg: told[0], toDeg: told[1] }
}

/**
 * A virtual engine of any layout: hidden crank position and clearances, with whatever else is told of its nature.
 * @param setup angles in degrees, lengths in mm, temperatures in °C
 */
export function virtualEngine(engine: Engine, setup: Setup = {}): VirtualEngine {
  const every = <T>(of: (valve: Valve, i: number) => T): Record<string, T> =>
    Object.fromEntries(engine.valves.map((v, i) => [v.id, of(v, i)]))
  return {
    engine,
    crankDeg: setup.crankDeg ?? 430,
    camAheadDeg: 0,
    headC: setup.headC ?? AIR_C,
    gapMm: { ...every(v => middleOf(engine, v.role)), ...setup.gapMm },
    shimMm: { ...every((v, i) => (v.adjuster === 'shim' ? snapMm(USUAL_SHIM_MM - i * 0.05) : 0)), ...setup.shimMm },
    nuts: every(() => 'locked'),
    screwDeg: every(() => 0),
    screwPlayDeg: every(() => (setup.nature?.backlashDeg ?? 0) / 2),
    nature: {
      cams: Object.fromEntries(
        ROLES.map(role => [role, trueCam(engine, role, setup.camLateDeg?.[role])]),
      ) as Nature['cams'],
      held: heldOf(engine, setup.held),
      chainSlackDeg: 0,
      creepMm: 0,
      creepScatterMm: 0,
      nipMm: 0,
      nipScatterMm: 0,
      backlashDeg: 0,
      spinning: [],
      bladeOffMm: {},
      growthMm: GROWTH_MM,
      airC: AIR_C,
      ...setup.nature,
    },
  }
}

/** Where the cam is, in crank degrees of the cycle. */
export const camDeg = (v: VirtualEngine): number => wrap(v.crankDeg + v.camAheadDeg)

/** By how much a decompressor holds a valve open now, mm. */
export function heldMm({ nature: { held }, engine, ...v }: VirtualEngine, valve: Valve): number {
  if (!held || held.role !== valve.role || (held.cylinderId !== null && held.cylinderId !== valve.cylinderId)) return 0
  const local = wrap(v.crankDeg + v.camAheadDeg - firingAngle(engine, valve.cylinderId) - held.fromDeg)
  const sweep = held.toDeg - held.fromDeg
  if (local >= sweep) return 0
  return held.liftMm * Math.min(1, Math.min(local, sweep - local) / LETS_GO_OVER_DEG) ** 2
}

/** How far a valve is lifted now by cam and decompressor, mm. */
export function liftedMm(v: VirtualEngine, valveId: string): number {
  const valve = valveById(v.engine, valveId)
  return camLiftMm(v.nature.cams[valve.role], camDeg(v) - firingAngle(v.engine, valve.cylinderId)) + heldMm(v, valve)
}

/** The room that a blade meets now, mm: the clearance, less what lifts the valve, as warm as the head is. */
export const roomMm = (v: VirtualEngine, valveId: string): number =>
  v.gapMm[valveId]! -
  liftedMm(v, valveId) +
  v.nature.growthMm[valveById(v.engine, valveId).role] * Math.max(0, v.headC - v.nature.airC)

/** Less lift than a hand can tell from none. mm, from memory. */
const NOT_FELT_MM = 0.002
/** Whether a valve rests on its base circle now, free of its decompressor: only there does a reading mean anything. */
export const isTrulyClosed = (v: VirtualEngine, valveId: string): boolean => liftedMm(v, valveId) < NOT_FELT_MM

/** The piston of a cylinder's own angle, 0 at compression TDC, in [0, 720). */
export const localDeg = (v: VirtualEngine, cylinderId: string): number =>
  wrap(v.crankDeg - cylinderById(v.engine, cylinderId).firingAngleDeg)

/** Turns a screw; clockwise closes. A locked nut lets nothing turn. @returns whether it turned */
export function turnScrew(v: VirtualEngine, valveId: string, deg: number): boolean {
  if (v.nuts[valveId] === 'locked' || v.nature.spinning.includes(valveId)) return false
  const play = v.screwPlayDeg[valveId]!
  const inPlay = deg > 0 ? Math.min(v.nature.backlashDeg - play, deg) : -Math.min(play, -deg)
  v.screwPlayDeg[valveId] = play + inPlay
  v.gapMm[valveId]! -= (deg - inPlay) / degreesFor(v.engine.adjuster, 1)
  v.screwDeg[valveId]! += deg
  return true
}

/**
 * Loosens a nut, nips it, or locks it to torque, which moves the setting. @param dice even in [0, 1): where in its
 * scatter this lock falls
 */
export function workNut(v: VirtualEngine, valveId: string, to: 'locked' | 'loose' | 'nipped', dice = 0.5): void {
  const { creepMm, creepScatterMm, nipMm, nipScatterMm } = v.nature
  if (to === 'locked' && v.nuts[valveId] !== 'locked') v.gapMm[valveId]! += creepMm + (dice - 0.5) * creepScatterMm
  if (to === 'nipped' && v.nuts[valveId] === 'loose') v.gapMm[valveId]! += nipMm + (dice - 0.5) * nipScatterMm
  v.nuts[valveId] = to
}

/** Puts another shim in: a thicker one takes up as much of the gap. */
export function fitShim(v: VirtualEngine, valveId: string, mm: number): void {
  v.gapMm[valveId]! += v.shimMm[valveId]! - mm
  v.shimMm[valveId] = mm
}
