import { type Place, placePeriod, samePlace } from '../engine'
import { type Stop, topPlace } from '../stops'
import { type Advice, cylindersAt, feltOf, moveOn, unfeltOf, type Visit, visits } from './advice'
import type { Position } from './locate'
import { SETTLED_AT, standingToward } from './locate'
import type { PositionModel } from './model'
import type { Noted } from './observation'

/** Drop at which a decompressor has let go, to feel again. About the ¼ in of one maker's rule: common practice. */
export const CLEAR_OF_DECOMPRESSOR_MM = 6
/**
 * So many moves without settling, and the intake is watched instead: it tells the stroke whatever the valves feel like.
 */
const MOVES_BEFORE_WATCHING = 4

/** What a school does while the place is not known, or null where it has nothing of its own to say. */
function bySchool(model: PositionModel, all: Visit[], wanted: (stop: Stop) => boolean): Advice | null {
  const { plan, engine } = model
  const stop = plan.stops.find(wanted) ?? plan.stops[0]
  if (!stop) return null
  if (plan.school === 'watching' && !all.some(v => v.move?.kind === 'watched')) {
    const cylinderId = cylindersAt(model, stop.place)[0] ?? engine.cylinders[0]!.id
    return { kind: 'watch', cylinderId, to: topPlace(engine, cylinderId), why: 'by school' }
  }
  // a sign or a valve that shows once a cycle tells the stroke by itself; twice in vain, and the rockers are asked
  const tried = all.filter(v => v.place !== null && placePeriod(v.place) === 720).length
  return placePeriod(stop.place) === 720 && tried < 2 ? moveOn(stop.place, 'by school') : null
}

const movesSinceWatch = (all: Visit[]): number =>
  all.length -
  1 -
  Math.max(
    all.findLastIndex(v => v.move?.kind === 'watched' || v.move?.kind === 'lost'),
    0,
  )

/**
 * The order of moves for one cylinder, on which mechanics would agree.
 *
 * One slack and one without play at the top has three causes: the other stroke, a decompressor, a valve without
 * clearance.
 * Unless the model is known to have no decompressor, it is excluded first, by feeling again past top; taking a
 * decompressor
 * for a valve without clearance gets its screw backed off far too loose.
 */
function forSingle(model: PositionModel, all: Visit[]): Advice {
  const { engine } = model
  const cylinderId = engine.cylinders[0]!.id
  const top = topPlace(engine, cylinderId)
  const drop: Place = { kind: 'rod-drop', cylinderId, dropMm: CLEAR_OF_DECOMPRESSOR_MM }
  const here = all.at(-1)!
  const before = all.at(-2)
  const watch = (why: 'no play anywhere' | 'still open'): Advice => ({ kind: 'watch', cylinderId, to: top, why })
  if (here.place === null) return moveOn(top, 'start')
  const felt = feltOf(engine, cylinderId, here)
  if (felt === 'unfelt')
    return {
      kind: 'feel',
      valveIds: unfeltOf(engine, cylinderId, here),
      why: here.place.kind === 'rod-drop' ? 'decompressor or clearance' : 'which stroke',
    }
  if (movesSinceWatch(all) >= MOVES_BEFORE_WATCHING) return watch('still open')
  if (!samePlace(here.place, top)) return moveOn(top, 'try the other top')
  if (felt === 'one of each' && engine.decompressor.kind !== 'none') return moveOn(drop, 'one has play')
  const beforeFelt = before ? feltOf(engine, cylinderId, before) : 'unfelt'
  if (felt === 'no play' && here.move?.kind === 'turns' && beforeFelt === 'no play' && samePlace(before!.place, top))
    return watch('no play anywhere')
  if (here.move?.kind === 'turns' && beforeFelt !== 'unfelt') return watch('still open')
  return {
    kind: 'move',
    to: top,
    turns: 1,
    times: 1,
    turnDeg: 360,
    why: felt === 'no play' ? 'neither has play' : 'one has play',
  }
}

/**
 * On several cylinders: nothing known, on to the school's first place; a top that is not yet felt is felt, unless
 * another cylinder's stop is settled here already. The rest is weighed.
 */
function forSeveral(
  model: PositionModel,
  position: Position,
  here: Visit,
  wanted: (stop: Stop) => boolean,
): Advice | null {
  const first = model.plan.stops.find(wanted) ?? model.plan.stops[0]
  if (here.place === null) return moveOn(first?.place ?? topPlace(model.engine, model.engine.cylinders[0]!.id), 'start')
  if (position.here.some(h => h.probability >= SETTLED_AT)) return null
  const cylinderId = cylindersAt(model, here.place).find(id => feltOf(model.engine, id, here) === 'unfelt')
  const feltSome = cylindersAt(model, here.place).some(id => feltOf(model.engine, id, here) !== 'unfelt')
  if (!cylinderId || feltSome) return null
  return {
    kind: 'feel',
    valveIds: unfeltOf(model.engine, cylinderId, here),
    why: here.place.kind === 'rod-drop' ? 'decompressor or clearance' : 'which stroke',
  }
}

/** A stop that is most likely here, and at which nothing was felt yet: one feel settles it. */
function likelyButUnfelt(
  { engine }: PositionModel,
  { here, feltHere, answeredHere }: Position,
  visit: Visit,
  wanted: (stop: Stop) => boolean,
): Advice | null {
  const best = here.find(h => wanted(h.stop))
  if (!best || best.probability < SETTLED_AT || feltHere || !answeredHere) return null
  const cylinders = best.stop.valves.map(v => engine.valves.find(o => o.id === v.valveId)!.cylinderId)
  const cylinderId = cylinders.find((id, i) => cylinders.indexOf(id) !== i) ?? cylinders[0]!
  const valveIds = unfeltOf(engine, cylinderId, visit)
  return valveIds.length ? { kind: 'feel', valveIds, why: 'which stroke' } : null
}

/** A place to go round to after the crank was turned back: where it last stood, else a top. */
function roundAgain(model: PositionModel, all: Visit[]): Advice {
  const last = all.findLast(v => v.place !== null)?.place
  return moveOn(last ?? topPlace(model.engine, model.engine.cylinders[0]!.id), 'turned back')
}

/**
 * The next move or feel where a rule settles it, or null where the moves must be weighed against one another.
 * @param wanted which stops are looked for
 */
export function adviseByTable(
  model: PositionModel,
  position: Position,
  noted: Noted[],
  wanted: (stop: Stop) => boolean = () => true,
): Advice | null {
  const standing = standingToward(position, wanted)
  if (standing.kind === 'settled') return { kind: 'settled' }
  if (standing.kind === 'elsewhere') {
    const { stop, turns, times, turnDeg } = standing
    return { kind: 'move', to: stop.place, turns, times, turnDeg, why: 'stop is elsewhere' }
  }
  const all = visits(noted)
  if (position.lashDeg > 0) return roundAgain(model, all)
  const unfelt = likelyButUnfelt(model, position, all.at(-1)!, wanted)
  if (unfelt) return unfelt
  const own = bySchool(model, all, wanted)
  if (own) return own
  return model.engine.cylinders.length === 1 ? forSingle(model, all) : forSeveral(model, position, all.at(-1)!, wanted)
}
