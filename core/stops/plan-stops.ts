import { angleForDrop, CYCLE_DEG, closedArcs, forwardTo, pistonDrop, signedWay, spareInArc, wrap, type Engine } from '../engine'

/** A valve may be measured at a stop that has this much to spare to every end of its closed arc. */
export const STOP_MARGIN_DEG = 10
/** Drops past top that a mechanic can be asked for, the usual one first. 6 mm is about the ¼ in of one maker's rule: common practice. */
export const PAST_TOP_DROPS_MM = [6, 8, 10, 12, 15, 20]
/** A top mark belongs to a cylinder when it stands at the pointer within this of the cylinder's TDC. */
const MARK_AT_TOP_DEG = 3

/** How a place of the crank is recognised. Mark and piston top look the same on both strokes. */
export type Place
  = | { kind: 'mark', markIndex: number }
    | { kind: 'piston-top', cylinderId: string }
    | { kind: 'rod-drop', cylinderId: string, dropMm: number }

/** A crank position with the valves that may be measured there, and what each has to spare before and after it. */
export interface Stop {
  crankDeg: number
  place: Place
  valves: { valveId: string, beforeDeg: number, afterDeg: number }[]
  /** Turn to the next stop of the plan in the running direction, round to the first again: (0, 720]. */
  turnToNextDeg: number
}
export interface StopPlan { stops: Stop[], pastTop: boolean, unserved: string[] }

/** The angle after 0 at which a place is first met, in [0, 360): every place repeats each turn of the crank. */
export function placeAngle(engine: Engine, place: Place): number {
  if (place.kind === 'mark') return wrap(engine.marks[place.markIndex]?.angleDeg ?? 0, 360)
  const firing = engine.cylinders.find(c => c.id === place.cylinderId)?.firingAngleDeg ?? 0
  return wrap(firing + (place.kind === 'rod-drop' ? angleForDrop(engine, place.dropMm) : 0), 360)
}

/** The place at which a cylinder's piston is at its top: its own mark where the flywheel has one, else the piston itself. */
export function topPlace(engine: Engine, cylinderId: string): Place {
  const firing = engine.cylinders.find(c => c.id === cylinderId)?.firingAngleDeg ?? 0
  const markIndex = engine.marks.findIndex(mark => mark.kind === 'top' && Math.abs(signedWay(mark.angleDeg, firing, 360)) <= MARK_AT_TOP_DEG)
  return markIndex >= 0 ? { kind: 'mark', markIndex } : { kind: 'piston-top', cylinderId }
}

/** What a stop at this angle serves: each valve whose closed arc holds it with the margin, decompressor edges too. */
function served(engine: Engine, crankDeg: number): Stop['valves'] {
  const arcs = closedArcs(engine)
  return engine.valves.flatMap((valve) => {
    const spare = (arcs[valve.id] ?? []).map(arc => spareInArc(arc, crankDeg)).find(s => s.beforeDeg >= STOP_MARGIN_DEG && s.afterDeg >= STOP_MARGIN_DEG)
    return spare ? [{ valveId: valve.id, ...spare }] : []
  })
}

function candidates(engine: Engine, places: Place[]): Stop[] {
  return places
    .flatMap(place => [0, 360].map(turn => ({ place, crankDeg: wrap(placeAngle(engine, place) + turn) })))
    .map(({ place, crankDeg }) => ({ place, crankDeg, valves: served(engine, crankDeg), turnToNextDeg: CYCLE_DEG }))
    .filter(stop => stop.valves.length > 0)
}

const leastMargin = (stops: Stop[]): number => Math.min(...stops.flatMap(s => s.valves.map(v => Math.min(v.beforeDeg, v.afterDeg))))

/** Best cover first: most valves, fewest stops, largest least margin. */
function better(a: Stop[], b: Stop[] | null): boolean {
  if (!b) return true
  const count = (stops: Stop[]) => new Set(stops.flatMap(s => s.valves.map(v => v.valveId))).size
  if (count(a) !== count(b)) return count(a) > count(b)
  if (a.length !== b.length) return a.length < b.length
  return leastMargin(a) > leastMargin(b) + 1e-9
}

function bestCover(all: Stop[], valves: number): Stop[] {
  let best: Stop[] | null = null
  const grow = (chosen: Stop[], from: number): void => {
    if (chosen.length && better(chosen, best)) best = chosen
    if (chosen.length >= valves) return
    for (let i = from; i < all.length; i++) grow([...chosen, all[i] as Stop], i + 1)
  }
  grow([], 0)
  return best ?? []
}

/** The least asked-for drop that clears the decompressor on this cylinder's valves, or none. */
function pastTopPlace(engine: Engine, cylinderId: string): Place[] {
  const own = engine.valves.filter(v => v.cylinderId === cylinderId)
  const firing = engine.cylinders.find(c => c.id === cylinderId)?.firingAngleDeg ?? 0
  const dropMm = PAST_TOP_DROPS_MM.filter(drop => drop < pistonDrop(engine, 90)).find((drop) => {
    const here = served(engine, wrap(firing + angleForDrop(engine, drop))).map(v => v.valveId)
    return own.every(v => here.includes(v.id))
  })
  return dropMm === undefined ? [] : [{ kind: 'rod-drop', cylinderId, dropMm }]
}

/**
 * The fewest crank positions at which all valves can be measured.
 * Candidates are the piston tops, by their marks where there are any; where those cannot serve every valve (a decompressor
 * holds one open there), positions past top are added and the whole is minimised again.
 * @returns stops in running order from 0°; `pastTop` says that tops alone would not do; `unserved` valves have no stop
 * Source: judgement over `closedArcs`; the past-top rule is common practice.
 */
export function planStops(engine: Engine): StopPlan {
  const tops = engine.cylinders.map(c => topPlace(engine, c.id))
  const byTops = bestCover(candidates(engine, tops), engine.valves.length)
  const servedBy = (stops: Stop[]) => new Set(stops.flatMap(s => s.valves.map(v => v.valveId)))
  const pastTop = servedBy(byTops).size < engine.valves.length
  const stops = pastTop
    ? bestCover(candidates(engine, [...tops, ...engine.cylinders.flatMap(c => pastTopPlace(engine, c.id))]), engine.valves.length)
    : byTops
  const ordered = [...stops].sort((a, b) => a.crankDeg - b.crankDeg)
  return {
    stops: ordered.map((stop, i) => ({ ...stop, turnToNextDeg: forwardTo(stop.crankDeg, (ordered[i + 1] ?? ordered[0] ?? stop).crankDeg) || CYCLE_DEG })),
    pastTop,
    unserved: engine.valves.map(v => v.id).filter(id => !servedBy(stops).has(id)),
  }
}
