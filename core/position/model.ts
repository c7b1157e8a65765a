import {
  type Arc,
  baseCircle,
  closedArcsOf,
  decompressorArc,
  decompressorPrior,
  type Engine,
  inArc,
  type Place,
  placeAngle,
  placePeriod,
  spareInArc,
  type Valve,
  valveEvents,
  wrap,
} from '../engine'
import { planStops, type School, type Stop, STOP_MARGIN_DEG, type StopPlan } from '../stops'
import { CELL_DEG, cellOf, CELLS } from './grid'
import { type Arrival, arrivalShape, wayByTurns, wayToNext } from './places'

/** Chance that a valve has no clearance, before anything was felt. From memory. */
export const NO_CLEARANCE_PRIOR = { intake: 0.04, exhaust: 0.08 }
/** A decompressor lets go and takes hold gradually over this much of each edge of its arc. From memory. */
const DECOMPRESSOR_EDGE_DEG = 20

/** Chance of feeling slack, by where the valve is on its cam. From memory. */
export const SLACK_CHANCE = { closed: 0.97, ramp: 0.5, open: 0.01, held: 0.01, heldEdge: 0.5, noClearance: 0.02 }

/**
 * One way the engine may be: which valves have no clearance (indices), and whether a decompressor is there (0 or 1).
 */
export interface Hypothesis {
  noClearance: readonly number[]
  decompressor: 0 | 1
  prior: number
}

/** A table over the grid without, and with, a decompressor at work. */
export type Pair<T> = [T, T]

/**
 * How well an observation made without turning fits each cell, without and with a decompressor. `valve` is the index of
 * the valve whose clearance matters, −1 when none; `none` then holds where that valve has no clearance.
 */
export interface Likelihood {
  valve: number
  usual: Pair<Float64Array>
  none: number
}

/**
 * A whole move to a stop's place, and from each cell the chance that all the stop's valves may be measured where it
 * ends.
 */
export interface Way {
  stop: Stop
  turns: 1 | null
  times: 1 | 2
  chance: Pair<Float64Array>
}

/** An engine prepared for inference: hypotheses, and tables over the grid that do not change during a job. */
export interface PositionModel {
  engine: Engine
  plan: StopPlan
  /** How many times likelier a complaint makes a valve without clearance. */
  tightBy: number
  hypotheses: Hypothesis[]
  /** slackChance[valve]: for a valve with clearance. */
  slackChance: Pair<Float64Array>[]
  /** closed[valve]: 1 where the valve may be measured with the stop margin to spare. */
  closed: Pair<Uint8Array>[]
  /**
   * allClosed[stop]: 1 where all valves of the planned stop may be measured at once, with the margin that the stop asks
   * for.
   */
  allClosed: Pair<Uint8Array>[]
  /** For each planned stop, the whole moves that could lead there. */
  ways: Way[]
  /**
   * Worked out once and kept: shapes of arrivals by place, how well an observation fits each cell, and how probable it
   * is with the crank anywhere.
   */
  arrivals: Map<string, Arrival>
  likelihoods: Map<string, Likelihood | null>
  anywhere: Map<string, number>
}

function* valveSets(valves: Valve[]): Generator<number[]> {
  yield []
  for (let i = 0; i < valves.length; i++) yield [i]
  for (let i = 0; i < valves.length; i++) for (let j = i + 1; j < valves.length; j++) yield [i, j]
}

/** A chance whose odds are so many times what they were. */
const likelier = (chance: number, by: number): number => (by * chance) / (1 - chance + by * chance)

function hypothesesOf(engine: Engine, tightBy: number): Hypothesis[] {
  const there = decompressorPrior(engine)
  const present = (
    [
      [0, 1 - there],
      [1, there],
    ] as const
  ).filter(([, chance]) => chance > 0)
  const all = [...valveSets(engine.valves)].flatMap(noClearance =>
    present.map(([decompressor, chance]) => ({
      noClearance,
      decompressor,
      prior:
        chance *
        engine.valves.reduce((p, valve, i) => {
          const zero = likelier(NO_CLEARANCE_PRIOR[valve.role], tightBy)
          return p * (noClearance.includes(i) ? zero : 1 - zero)
        }, 1),
    })),
  )
  const total = all.reduce((sum, h) => sum + h.prior, 0)
  return all.map(h => ({ ...h, prior: h.prior / total }))
}

const floats = (at: (deg: number) => number) => Float64Array.from({ length: CELLS }, (_, i) => at(i * CELL_DEG))
const flags = (at: (deg: number) => boolean) => Uint8Array.from({ length: CELLS }, (_, i) => (at(i * CELL_DEG) ? 1 : 0))
const pair = <T>(of: (decompressor: 0 | 1) => T): Pair<T> => [of(0), of(1)]

function slackTable(engine: Engine, valve: Valve, held: Arc | null): Float64Array {
  const base = baseCircle(engine, valve)
  const { rampDeg } = valveEvents(engine, valve.role)
  const withRamps: Arc = { startDeg: wrap(base.startDeg - rampDeg), sweepDeg: base.sweepDeg + 2 * rampDeg }
  return floats(deg => {
    if (held && inArc(held, deg)) {
      const spare = spareInArc(held, deg)
      return Math.min(spare.beforeDeg, spare.afterDeg) <= DECOMPRESSOR_EDGE_DEG
        ? SLACK_CHANCE.heldEdge
        : SLACK_CHANCE.held
    }
    return inArc(base, deg) ? SLACK_CHANCE.closed : inArc(withRamps, deg) ? SLACK_CHANCE.ramp : SLACK_CHANCE.open
  })
}

const closedTable = (arcs: Arc[], marginDeg: number): Uint8Array =>
  flags(deg =>
    arcs.some(arc => {
      const spare = spareInArc(arc, deg)
      return spare.beforeDeg >= marginDeg && spare.afterDeg >= marginDeg
    }),
  )

const indexOf = (engine: Engine, valveId: string) => engine.valves.findIndex(v => v.id === valveId)

function allClosedTable(engine: Engine, stop: Stop): Pair<Uint8Array> {
  return pair(decompressor => {
    const own = stop.valves.map(v =>
      closedTable(closedArcsOf(engine, engine.valves[indexOf(engine, v.valveId)]!, decompressor === 1), stop.marginDeg),
    )
    return Uint8Array.from({ length: CELLS }, (_, i) => (own.length > 0 && own.every(table => table[i]) ? 1 : 0))
  })
}

/** How surely each whole move to a stop ends with its valves closed, by the cell it starts from. */
function waysTo(engine: Engine, stop: Stop, allClosed: Pair<Uint8Array>): Way[] {
  const at = placeAngle(engine, stop.place)
  const period = placePeriod(stop.place)
  const { offset, chance } = arrivalShape(engine, stop.place)
  const total = chance.reduce((a, b) => a + b, 0)
  const endsWell = pair(
    held =>
      new Map(
        [at, at + 360].map(end => {
          const cell = cellOf(end)
          let sum = 0
          for (let k = 0; k < offset.length; k++)
            if (allClosed[held][(cell + offset[k]! + CELLS) % CELLS]) sum += chance[k]!
          return [cell, sum / total]
        }),
      ),
  )
  const way = (turns: 1 | null, times: 1 | 2, far: (deg: number) => number): Way => ({
    stop,
    turns,
    times,
    chance: pair(held => floats(deg => endsWell[held].get(cellOf(deg + far(deg))) ?? 0)),
  })
  const once = way(null, 1, deg => wayToNext(at, deg, period))
  return period === 720
    ? [once]
    : [once, way(null, 2, deg => wayToNext(at, deg, period, 2)), way(1, 1, deg => wayByTurns(at, deg, period, 1))]
}

/** The shape of an arrival at a place, worked out once. */
export function arrivalAt(model: PositionModel, place: Place): Arrival {
  const key = JSON.stringify(place)
  let arrival = model.arrivals.get(key)
  if (!arrival) model.arrivals.set(key, (arrival = arrivalShape(model.engine, place)))
  return arrival
}

/**
 * Prepares an engine for `locate`. Costs a few milliseconds; one model serves a whole job.
 * @param school by which the stops are planned; default as for `planStops`
 * @param oneAtATime as for `planStops`
 * @param tightBy how many times likelier a complaint makes a valve without clearance, as odds
 */
export function positionModel(
  engine: Engine,
  school?: School,
  oneAtATime: boolean | null = null,
  tightBy = 1,
): PositionModel {
  const plan = planStops(engine, school, oneAtATime)
  const allClosed = plan.stops.map(stop => allClosedTable(engine, stop))
  return {
    engine,
    plan,
    allClosed,
    arrivals: new Map(),
    likelihoods: new Map(),
    anywhere: new Map(),
    closed: engine.valves.map(valve =>
      pair(held => closedTable(closedArcsOf(engine, valve, held === 1), STOP_MARGIN_DEG)),
    ),
    ways: plan.stops.flatMap((stop, i) => waysTo(engine, stop, allClosed[i]!)),
    tightBy,
    hypotheses: hypothesesOf(engine, tightBy),
    slackChance: engine.valves.map(valve =>
      pair(held => slackTable(engine, valve, held ? decompressorArc(engine, valve) : null)),
    ),
  }
}
