import { wrap } from './angle'
import { firingAngle, UnknownPartError, valveById } from './names'
import type { Engine } from './parts'
import { angleForDrop } from './piston'
import type { Place, ValveSight } from './place-schema'
import { valveEvents } from './valve-timing'

/**
 * The arc over which a valve is seen so, by local angle `[from, to)`, and the angle a person stops at for it. “Just
 * closed” is the end of the closing ramp, where play comes back. Widths from memory.
 */
export function valveSightArc(
  engine: Pick<Engine, 'cam'>,
  role: 'intake' | 'exhaust',
  sight: ValveSight,
): { fromDeg: number; toDeg: number; atDeg: number } {
  const { opensDeg, closesDeg, rampDeg } = valveEvents(engine, role)
  const middle = (opensDeg + closesDeg) / 2
  switch (sight) {
    case 'starts to open':
      return { fromDeg: opensDeg - rampDeg, toDeg: opensDeg + 12, atDeg: opensDeg }
    case 'fully open':
      return { fromDeg: middle - 30, toDeg: middle + 30, atDeg: middle }
    case 'just closed':
      return { fromDeg: closesDeg, toDeg: closesDeg + rampDeg + 20, atDeg: closesDeg + rampDeg }
    case 'open':
      return { fromDeg: opensDeg - rampDeg / 2, toDeg: closesDeg + rampDeg / 2, atDeg: middle }
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
    case 'piston-top':
      return wrap(firingAngle(engine, place.cylinderId), 360)
    case 'rod-drop':
      return wrap(firingAngle(engine, place.cylinderId) + angleForDrop(engine, place.dropMm), 360)
  }
}

/**
 * How far short of its angle, and past it, somebody may stop who was told to stop at a place: what a valve is seen
 * doing spreads over an arc, lines and rod are exact.
 */
export function placeReach(engine: Engine, place: Place): { beforeDeg: number; afterDeg: number } {
  if (place.kind !== 'valve') return { beforeDeg: 0, afterDeg: 0 }
  const { fromDeg, toDeg, atDeg } = valveSightArc(engine, valveById(engine, place.valveId).role, place.sight)
  return { beforeDeg: atDeg - fromDeg, afterDeg: toDeg - atDeg }
}
