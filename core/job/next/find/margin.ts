import { cylinderById, decompressorArc, type Engine, forwardTo } from '../../../engine'
import { say, type Text } from '../../../said'
import type { Stop } from '../../../stops'
import { placeWords } from '../../words'

/** From so much to spare on, a finger's width on the flywheel does not matter. From memory. */
const FINGERS_WIDTH_DEG = 30

/** What is to spare short of a stop and past it, whole degrees; null while cam or decompressor are not on record. */
export function marginOf(engine: Engine, stop: Stop): { beforeDeg: number; afterDeg: number; easy: boolean } | null {
  if (engine.cam === null || engine.decompressor.kind === 'unknown' || stop.valves.length === 0) return null
  const beforeDeg = Math.floor(Math.min(...stop.valves.map(v => v.beforeDeg)))
  const afterDeg = Math.floor(Math.min(...stop.valves.map(v => v.afterDeg)))
  return { beforeDeg, afterDeg, easy: Math.min(beforeDeg, afterDeg) >= FINGERS_WIDTH_DEG }
}

/** How exact the crank must be at a stop, or nothing while cam or decompressor are not on record. */
export function marginWords(engine: Engine, stop: Stop): Text {
  const margin = marginOf(engine, stop)
  if (!margin) return ''
  const { beforeDeg: before, afterDeg: after, easy } = margin
  return easy
    ? say('margin.easy', { deg: Math.min(before, after), place: placeWords(engine, stop.place) })
    : say('margin.with-care', { before, after })
}

/** Why a stop lies past top, and how far the rod should drop. */
export function pastTopWords(engine: Engine, stop: Stop): Text {
  if (stop.place.kind !== 'rod-drop') return ''
  const { cylinderId, dropMm } = stop.place
  const held = engine.valves
    .filter(v => v.cylinderId === cylinderId)
    .map(v => decompressorArc(engine, v))
    .find(arc => arc !== null)
  const firing = cylinderById(engine, cylinderId).firingAngleDeg
  const at = Math.round(forwardTo(firing, stop.crankDeg))
  const why = held
    ? say('past-top.held', {
        sure: engine.decompressor.kind !== 'unknown',
        until: Math.round(forwardTo(firing, held.startDeg + held.sweepDeg)),
        at,
      })
    : say('past-top.not-closed', { at })
  return [why, say('past-top.piston', { dropMm, assumed: engine.rodMm === null })]
}
