import { wrap } from '../engine'
import type { Stop } from '../stops'
import { type BeliefArc, crankChance, likelyArcs } from './arcs'
import type { Belief } from './belief'
import { type Clash, findClash } from './clash'
import { beliefAfter, type LocateMemory, segments } from './fold'
import { CELL_DEG, CELLS } from './grid'
import type { PositionModel, Way } from './model'
import type { Noted } from './observation'

/** A stop is settled, or known to lie elsewhere, at this probability. */
export const SETTLED_AT = 0.99

/** Where the crank is, as far as it is known. `turnDeg` is how far it is to the stop in the running direction. */
export type Standing
  = | { kind: 'settled', stop: Stop, probability: number }
    | { kind: 'elsewhere', stop: Stop, turns: 1 | null, turnDeg: number, probability: number }
    | { kind: 'open' }

export interface Position {
  belief: Belief
  arcs: BeliefArc[]
  /** The single likeliest angle, for the hand on the wheel. */
  peakDeg: number
  /** Chance that each valve may be measured here, by valve id. */
  closed: Record<string, number>
  /** Chance that each valve has no clearance. */
  noClearance: Record<string, number>
  /** Chance that a decompressor is there; 0 or 1 where it is on record. */
  decompressor: number
  standing: Standing
  /** A mark, rod or feel was answered since the crank last moved. */
  answeredHere: boolean
  clash: Clash | null
}

/** Chance that all valves of a stop may be measured here, jointly. */
function chanceAllClosed(model: PositionModel, { mass }: Belief, stop: Stop): number {
  const valves = stop.valves.map(v => model.engine.valves.findIndex(e => e.id === v.valveId))
  let sum = 0
  model.hypotheses.forEach((hypothesis, h) => {
    const tables = valves.map(v => model.closed[v]![hypothesis.decompressor ? 1 : 0])
    for (let i = 0; i < CELLS; i++) if (tables.every(table => table[i])) sum += mass[h * CELLS + i]!
  })
  return sum
}

/** Chance that a whole move ends with all the stop's valves closed. The move itself is looked at, not only its angle: going on to a place also mends a little error. */
function chanceOfWay(model: PositionModel, { mass }: Belief, { chance }: Way): number {
  let sum = 0
  model.hypotheses.forEach((hypothesis, h) => {
    const table = chance[hypothesis.decompressor ? 1 : 0]
    for (let i = 0; i < CELLS; i++) sum += mass[h * CELLS + i]! * table[i]!
  })
  return sum
}

function standingOf(model: PositionModel, belief: Belief, peakDeg: number, answeredHere: boolean): Standing {
  const here = model.plan.stops
    .map(stop => ({ stop, probability: chanceAllClosed(model, belief, stop) }))
    .sort((a, b) => b.probability - a.probability)[0]
  if (here && here.probability >= SETTLED_AT && answeredHere) return { kind: 'settled', ...here }
  const way = model.ways
    .map(w => ({ stop: w.stop, turns: w.turns, turnDeg: wrap(w.stop.crankDeg - peakDeg), probability: chanceOfWay(model, belief, w) }))
    .filter(w => w.probability >= SETTLED_AT)
    .sort((a, b) => a.turnDeg - b.turnDeg || b.probability - a.probability)[0]
  return way ? { kind: 'elsewhere', ...way } : { kind: 'open' }
}

function closedChances(model: PositionModel, { mass }: Belief): Record<string, number> {
  return Object.fromEntries(model.engine.valves.map((valve, v) => {
    let sum = 0
    model.hypotheses.forEach((hypothesis, h) => {
      const table = model.closed[v]![hypothesis.decompressor ? 1 : 0]
      for (let i = 0; i < CELLS; i++) if (table[i]) sum += mass[h * CELLS + i]!
    })
    return [valve.id, sum]
  }))
}

function hypothesisChance(model: PositionModel, { mass }: Belief, holds: (h: number) => boolean): number {
  let sum = 0
  for (let i = 0; i < mass.length; i++) if (holds(Math.floor(i / CELLS))) sum += mass[i]!
  return sum
}

/**
 * Where the crank is, from everything that was seen, felt and turned.
 *
 * The belief runs over the crank's angle (half degrees of the 720° cycle) jointly with which valves have no clearance and
 * whether an unknown decompressor is there. *Settled* is a decision, not an angle: all valves of one planned stop may be
 * measured here, with the stop's margin, at 0.99 or more, and something was answered since the crank last moved.
 *
 * @param noted observations in working order, each with the id of its event
 * @param options.level share of probability that `arcs` cover, 0.95 by default
 * @param options.memory snapshots from earlier calls for the same model
 * @throws UnknownPartError for a valve or mark that this engine does not have
 */
export function locate(model: PositionModel, noted: Noted[], options: { level?: number, memory?: LocateMemory } = {}): Position {
  const belief = beliefAfter(model, noted, options.memory)
  const last = segments(noted).at(-1)!
  const arrived = last.move !== null && (['move', 'turns', 'watched'] as string[]).includes(last.move.observation.kind)
  const answeredHere = arrived || last.answers.some(a => a.observation.kind !== 'screw-set')
  const chance = crankChance(belief)
  const peakDeg = chance.indexOf(Math.max(...chance)) * CELL_DEG
  return {
    belief, peakDeg, answeredHere,
    arcs: likelyArcs(model.engine, belief, options.level),
    closed: closedChances(model, belief),
    noClearance: Object.fromEntries(model.engine.valves.map((valve, v) => [valve.id, hypothesisChance(model, belief, h => model.hypotheses[h]!.noClearance.includes(v))])),
    decompressor: hypothesisChance(model, belief, h => model.hypotheses[h]!.decompressor),
    standing: standingOf(model, belief, peakDeg, answeredHere),
    clash: findClash(model, noted, options.memory),
  }
}
