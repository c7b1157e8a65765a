import { baseCircle, closedArcs, decompressorArc, type Engine, inArc, shiftArc, spareInArc, valveEvents, wrap, type Arc, type Valve } from '../engine'
import { placeAngle, planStops, type Stop, STOP_MARGIN_DEG, type StopPlan } from '../stops'
import { CELL_DEG, cellOf, CELLS } from './grid'
import { arrivalShape, nextPlace, placeAfterTurns } from './places'

/** Chance that a valve has no clearance, before anything was felt. From memory. */
export const NO_CLEARANCE_PRIOR = { intake: 0.04, exhaust: 0.08 }
/** Chance that an unknown decompressor is there, on an engine with a pull or electric start. From memory. */
export const UNKNOWN_DECOMPRESSOR_PRIOR = 0.3
/** A decompressor lets go and takes hold gradually over this much of each edge of its arc. From memory. */
const DECOMPRESSOR_EDGE_DEG = 20

/** Chance of feeling slack, by where the valve is on its cam. From memory. */
export const SLACK_CHANCE = { closed: 0.97, ramp: 0.5, open: 0.01, held: 0.01, heldEdge: 0.5, noClearance: 0.02 }
/** Chance that a closed valve with clearance refuses even the thinnest blade of a set. From memory. */
export const UNDER_THINNEST_CHANCE = 0.15
/** The same, of a valve that refused it at an earlier place too: a thin gap lasts, so it is hardly news. From memory. */
export const UNDER_THINNEST_AGAIN_CHANCE = 0.6

/** One way the engine may be: which valves have no clearance (indices), and whether a decompressor is there. */
export interface Hypothesis { noClearance: readonly number[], decompressor: boolean, prior: number }

/** An engine prepared for inference: hypotheses, and tables over the grid that do not change during a job. */
export interface PositionModel {
  engine: Engine
  plan: StopPlan
  hypotheses: Hypothesis[]
  /** slackChance[valve][decompressor 0/1][cell] for a valve with clearance. */
  slackChance: [Float64Array, Float64Array][]
  /** closed[valve][decompressor 0/1][cell]: 1 where the valve may be measured with the stop margin to spare. */
  closed: [Uint8Array, Uint8Array][]
  /** For each planned stop, the whole moves that could lead there. */
  ways: Way[]
}

/** A whole move to a stop's place, and from each cell the chance that all the stop's valves may be measured where it ends. */
export interface Way { stop: Stop, turns: 1 | null, chance: [Float64Array, Float64Array] }

function* valveSets(valves: Valve[]): Generator<number[]> {
  yield []
  for (let i = 0; i < valves.length; i++) yield [i]
  for (let i = 0; i < valves.length; i++) for (let j = i + 1; j < valves.length; j++) yield [i, j]
}

function hypothesesOf(engine: Engine): Hypothesis[] {
  const present = engine.decompressor.kind === 'none'
    ? [[false, 1]] as const
    : engine.decompressor.kind === 'arc'
      ? [[true, 1]] as const
      : [[false, 1 - UNKNOWN_DECOMPRESSOR_PRIOR], [true, UNKNOWN_DECOMPRESSOR_PRIOR]] as const
  const all = [...valveSets(engine.valves)].flatMap(noClearance => present.map(([decompressor, chance]) => ({
    noClearance, decompressor,
    prior: chance * engine.valves.reduce((p, valve, i) => {
      const zero = NO_CLEARANCE_PRIOR[valve.role]
      return p * (noClearance.includes(i) ? zero : 1 - zero)
    }, 1),
  })))
  const total = all.reduce((sum, h) => sum + h.prior, 0)
  return all.map(h => ({ ...h, prior: h.prior / total }))
}

const cells = <T extends Float64Array | Uint8Array>(table: T, at: (deg: number) => number): T => {
  for (let i = 0; i < CELLS; i++) table[i] = at(i * CELL_DEG)
  return table
}

function slackTable(engine: Engine, valve: Valve, held: Arc | null): Float64Array {
  const base = baseCircle(engine, valve)
  const { rampDeg } = valveEvents(engine, valve.role)
  const withRamps: Arc = { startDeg: wrap(base.startDeg - rampDeg), sweepDeg: base.sweepDeg + 2 * rampDeg }
  return cells(new Float64Array(CELLS), (deg) => {
    if (held && inArc(held, deg)) {
      const spare = spareInArc(held, deg)
      return Math.min(spare.beforeDeg, spare.afterDeg) <= DECOMPRESSOR_EDGE_DEG ? SLACK_CHANCE.heldEdge : SLACK_CHANCE.held
    }
    return inArc(base, deg) ? SLACK_CHANCE.closed : inArc(withRamps, deg) ? SLACK_CHANCE.ramp : SLACK_CHANCE.open
  })
}

const closedTable = (arcs: Arc[]): Uint8Array => cells(new Uint8Array(CELLS), deg =>
  arcs.some((arc) => {
    const spare = spareInArc(arc, deg)
    return spare.beforeDeg >= STOP_MARGIN_DEG && spare.afterDeg >= STOP_MARGIN_DEG
  })
    ? 1
    : 0)

/** How surely each whole move to a stop ends with its valves closed, by the cell it starts from. */
function waysTo(engine: Engine, stop: Stop, closed: PositionModel['closed']): Way[] {
  const at = placeAngle(engine, stop.place)
  const arrival = arrivalShape(engine, stop.place)
  const valves = stop.valves.map(v => engine.valves.findIndex(e => e.id === v.valveId))
  const endsWell = ([0, 1] as const).map(held => new Map([at, at + 360].map((end) => {
    const cell = cellOf(end)
    const chance = arrival.reduce((sum, a) => sum + (valves.every(v => closed[v]![held][(cell + a.offset + CELLS) % CELLS]) ? a.chance : 0), 0)
    return [cell, chance / arrival.reduce((sum, a) => sum + a.chance, 0)]
  })))
  const table = (held: 0 | 1, end: (deg: number) => number) => cells(new Float64Array(CELLS), deg => endsWell[held]!.get(cellOf(end(deg))) ?? 0)
  const way = (turns: 1 | null, end: (deg: number) => number): Way => ({ stop, turns, chance: [table(0, end), table(1, end)] })
  return [way(null, deg => nextPlace(at, deg)), way(1, deg => placeAfterTurns(at, deg, 1))]
}

/** Prepares an engine for `locate`. Costs a millisecond or so; one model serves a whole job. */
export function positionModel(engine: Engine): PositionModel {
  const withArcs = closedArcs(engine)
  const firing = (valve: Valve) => engine.cylinders.find(c => c.id === valve.cylinderId)?.firingAngleDeg ?? 0
  const plan = planStops(engine)
  const closed = engine.valves.map((valve): [Uint8Array, Uint8Array] => [closedTable([baseCircle(engine, valve)]), closedTable(withArcs[valve.id] ?? [])])
  return {
    engine, plan, closed,
    ways: plan.stops.flatMap(stop => waysTo(engine, stop, closed)),
    hypotheses: hypothesesOf(engine),
    slackChance: engine.valves.map((valve) => {
      const held = decompressorArc(engine.decompressor, valve.role)
      return [slackTable(engine, valve, null), slackTable(engine, valve, held && shiftArc(held, firing(valve)))]
    }),
  }
}
