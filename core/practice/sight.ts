import { type Engine, firingAngle, type Mark, type Place, placePeriod, signedWay } from '../engine'
import { trueAngle } from './crank'
import { camDeg, liftedMm, type VirtualEngine } from './virtual-engine'

/** A window shows so much of the flywheel each side of its pointer. From memory. */
export const WINDOW_HALF_DEG = 22
/** A line counts as at the pointer within its own width. From memory. */
export const AT_POINTER_DEG = 3
/** A cam sign counts as right within a tooth's half. From memory. */
const SIGN_RIGHT_DEG = 10

/** A line in the window: `offDeg` is how far it is still to come, negative once it has passed. */
export interface MarkSeen {
  markIndex: number
  letter: string
  kind: Mark['kind']
  offDeg: number
  atPointer: boolean
}

/** What an eye sees in the mark window, in the order in which the lines come by. */
export function marksSeen({ engine, crankDeg }: Pick<VirtualEngine, 'engine' | 'crankDeg'>): MarkSeen[] {
  return engine.marks
    .map(({ letter, kind, angleDeg }, markIndex) => ({
      markIndex,
      letter,
      kind,
      offDeg: signedWay(crankDeg, angleDeg, 360),
    }))
    .filter(m => Math.abs(m.offDeg) <= WINDOW_HALF_DEG)
    .map(m => ({ ...m, atPointer: Math.abs(m.offDeg) <= AT_POINTER_DEG }))
    .sort((a, b) => b.offDeg - a.offDeg)
}

/** Which way a valve moves as the crank goes on: shut, going down, down, or coming back. */
export type ValveMotion = 'shut' | 'going down' | 'down' | 'coming back'

/** What an eye sees of each valve at the head, where its cover is off: lift under a tenth of a mm does not show. */
export function valveSeen(v: VirtualEngine, valveId: string): ValveMotion {
  const [before, now, after] = [-4, 0, 4].map(off => liftedMm({ ...v, crankDeg: v.crankDeg + off }, valveId)) as [
    number,
    number,
    number,
  ]
  if (now < 0.1) return after > 0.3 ? 'going down' : 'shut'
  if (Math.abs(after - before) < 0.12) return 'down'
  return after > before ? 'going down' : 'coming back'
}

/** The cam signs that stand as their words say. */
export const camSignsSeen = (v: VirtualEngine): number[] =>
  v.engine.camMarks.flatMap((sign, i) => (Math.abs(signedWay(camDeg(v), sign.angleDeg)) <= SIGN_RIGHT_DEG ? [i] : []))

/** How far the crank is from a place at which it was said to stand, degrees. */
export const awayFromPlace = (v: VirtualEngine, place: Place): number =>
  Math.abs(signedWay(v.crankDeg, trueAngle(v, place), placePeriod(place)))

export type Stroke = 'intake' | 'compression' | 'power' | 'exhaust'
/** The stroke that a cylinder is on. */
export function strokeOf(engine: Engine, cylinderId: string, crankDeg: number): Stroke {
  const local = signedWay(firingAngle(engine, cylinderId), crankDeg)
  return local < -180 ? 'intake' : local < 0 ? 'compression' : local < 180 ? 'power' : 'exhaust'
}
