import { z } from 'zod'
import { CYCLE_DEG, wrap } from './angle'
import { firingAngle, UnknownPartError, valveById } from './names'
import { angleForDrop } from './piston'
import type { Engine } from './schema'
import { valveEvents } from './valve-timing'

export const VALVE_SIGHTS = ['starts to open', 'fully open', 'just closed', 'open'] as const
export type ValveSight = typeof VALVE_SIGHTS[number]

const id = z.string().min(1).max(30)
/**
 * How a place of the crank is recognised.
 * - `mark` a line on flywheel or rotor at the pointer; `piston-top` by rod; `rod-drop` so far past top by rod: alike on both strokes
 * - `cam-mark` a sign on cam or sprocket; `valve` what one valve is seen doing: once a cycle, so they tell the stroke
 */
export const placeSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('mark'), markIndex: z.number().int().min(0).max(11) }),
  z.object({ kind: z.literal('piston-top'), cylinderId: id }),
  z.object({ kind: z.literal('rod-drop'), cylinderId: id, dropMm: z.number().positive().max(60) }),
  z.object({ kind: z.literal('cam-mark'), camMarkIndex: z.number().int().min(0).max(5) }),
  z.object({ kind: z.literal('valve'), valveId: id, sight: z.enum(VALVE_SIGHTS) }),
])
export type Place = z.infer<typeof placeSchema>

export const samePlace = (a: Place | null, b: Place | null): boolean => JSON.stringify(a) === JSON.stringify(b)

/** After how many crank degrees a place shows again: flywheel and piston each turn, cam and valves each cycle. */
export const placePeriod = (place: Place): 360 | 720 => place.kind === 'cam-mark' || place.kind === 'valve' ? CYCLE_DEG : 360

/**
 * The arc over which a valve is seen so, by local angle `[from, to)`, and the angle a person stops at for it.
 * “Just closed” is the end of the closing ramp, where play comes back. Widths from memory.
 */
export function valveSightArc(engine: Pick<Engine, 'cam'>, role: 'intake' | 'exhaust', sight: ValveSight): { fromDeg: number, toDeg: number, atDeg: number } {
  const { opensDeg, closesDeg, rampDeg } = valveEvents(engine, role)
  const middle = (opensDeg + closesDeg) / 2
  switch (sight) {
    case 'starts to open': return { fromDeg: opensDeg - rampDeg, toDeg: opensDeg + 12, atDeg: opensDeg }
    case 'fully open': return { fromDeg: middle - 30, toDeg: middle + 30, atDeg: middle }
    case 'just closed': return { fromDeg: closesDeg, toDeg: closesDeg + rampDeg + 20, atDeg: closesDeg + rampDeg }
    case 'open': return { fromDeg: opensDeg - rampDeg / 2, toDeg: closesDeg + rampDeg / 2, atDeg: middle }
  }
}

/**
 * The angle at which a place is first met from 0, in [0, its period).
 * @throws UnknownPartError for a mark, sign, valve or cylinder that this engine does not have
 * @throws RangeError for a drop of more than the stroke
 */
export function placeAngle(engine: Engine, place: Place): number {
  switch (place.kind) {
    case 'mark': {
      const mark = engine.marks[place.markIndex]
      if (!mark) throw new UnknownPartError('mark', String(place.markIndex))
      return wrap(mark.angleDeg, 360)
    }
    case 'cam-mark': {
      const sign = engine.camMarks[place.camMarkIndex]
      if (!sign) throw new UnknownPartError('cam sign', String(place.camMarkIndex))
      return wrap(sign.angleDeg)
    }
    case 'valve': {
      const valve = valveById(engine, place.valveId)
      return wrap(firingAngle(engine, valve.cylinderId) + valveSightArc(engine, valve.role, place.sight).atDeg)
    }
    case 'piston-top': return wrap(firingAngle(engine, place.cylinderId), 360)
    case 'rod-drop': return wrap(firingAngle(engine, place.cylinderId) + angleForDrop(engine, place.dropMm), 360)
  }
}

/** How far short of its angle, and past it, somebody may stop who was told to stop at a place: what a valve is seen doing spreads over an arc, lines and rod are exact. */
export function placeReach(engine: Engine, place: Place): { beforeDeg: number, afterDeg: number } {
  if (place.kind !== 'valve') return { beforeDeg: 0, afterDeg: 0 }
  const { fromDeg, toDeg, atDeg } = valveSightArc(engine, valveById(engine, place.valveId).role, place.sight)
  return { beforeDeg: atDeg - fromDeg, afterDeg: toDeg - atDeg }
}
