import { wrap } from '../engine'
import type { Stop } from '../stops'
import { observe } from './apply'
import { type BeliefArc, crankChance, likelyArcs } from './arcs'
import { type Belief, openBelief } from './belief'
import { type Clash, findClash, type Noted } from './clash'
import { CELL_DEG, CELLS, type PositionModel } from './model'
import { movesCrank, observationKey } from './observation'

/** A stop is settled, or known to lie elsewhere, at this probability. */
export const SETTLED_AT = 0.99

/** Where the crank is, as far as it is known. `turnDeg` is how far it is to the stop in the running direction. */
export type Standing =
  | { kind: 'settled', stop: Stop, probability: number }
  | { kind: 'elsewhere', stop: Stop, turnDeg: number, probability: number }
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

/** Snapshots of the belief at crank movements, so that one answer more, or one less, does not fold the whole job again. */
export interface LocateMemory { snapshots: Map<string, Belief> }
export const locateMemory = (): LocateMemory => ({ snapshots: new Map() })

/** One crank place: the movement that led to it, and the answers given there, the last of each kind. */
interface Segment { move: Noted | null, answers: Noted[] }

/** Splits a job's observations at its crank movements; in each piece a later answer takes the place of the same earlier one. */
export function segments(noted: Noted[]): Segment[] {
  const all: Segment[] = [{ move: null, answers: [] }]
  for (const entry of noted) {
    if (movesCrank(entry.observation)) all.push({ move: entry, answers: [] })
    else {
      const here = all.at(-1)!
      const key = observationKey(entry.observation)
      here.answers = [...here.answers.filter(a => observationKey(a.observation) !== key || a.observation.kind === 'screw-set'), entry]
    }
  }
  return all
}

/** The belief after all observations, from the nearest snapshot. */
export function beliefAfter(model: PositionModel, noted: Noted[], memory?: LocateMemory): Belief {
  let belief = openBelief(model)
  let key = ''
  for (const segment of segments(noted)) {
    if (segment.move) {
      key += `|${segment.move.id}`
      belief = memory?.snapshots.get(key) ?? observe(model, belief, segment.move.observation)
      memory?.snapshots.set(key, belief)
    }
    for (const answer of segment.answers) {
      key += `,${answer.id}`
      const known = memory?.snapshots.get(key)
      belief = known ?? observe(model, belief, answer.observation)
      if (!known) memory?.snapshots.set(key, belief)
    }
  }
  if (memory && memory.snapshots.size > 400) memory.snapshots.clear()
  return belief
}

/** Chance that all valves of a stop may be measured if the crank were turned on by `byDeg`, jointly. */
function chanceAllClosed(model: PositionModel, { mass }: Belief, stop: Stop, byDeg: number): number {
  const shift = Math.round(byDeg / CELL_DEG)
  const valves = stop.valves.map(v => model.engine.valves.findIndex(e => e.id === v.valveId))
  let sum = 0
  model.hypotheses.forEach((hypothesis, h) => {
    const tables = valves.map(v => model.closed[v]![hypothesis.decompressor ? 1 : 0])
    for (let i = 0; i < CELLS; i++) {
      const cell = (i + shift) % CELLS
      if (tables.every(table => table[cell])) sum += mass[h * CELLS + i]!
    }
  })
  return sum
}

function standingOf(model: PositionModel, belief: Belief, peakDeg: number, answeredHere: boolean): Standing {
  const stops = model.plan.stops
    .map(stop => ({ stop, probability: chanceAllClosed(model, belief, stop, 0) }))
    .sort((a, b) => b.probability - a.probability)
  const here = stops[0]
  if (here && here.probability >= SETTLED_AT && answeredHere) return { kind: 'settled', ...here }
  const ways = model.plan.stops
    .map((stop) => {
      const turnDeg = wrap(stop.crankDeg - peakDeg)
      return { stop, turnDeg, probability: chanceAllClosed(model, belief, stop, turnDeg) }
    })
    .filter(way => way.probability >= SETTLED_AT)
    .sort((a, b) => a.turnDeg - b.turnDeg)
  return ways[0] ? { kind: 'elsewhere', ...ways[0] } : { kind: 'open' }
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
