import { wrap } from '../engine'
import type { Stop } from '../stops'
import { addInto, arcsOf, type BeliefArc, crankChance } from './arcs'
import { type Belief, hypothesisChances } from './belief'
import { type Clash, findClash } from './clash'
import { folded, type LocateMemory, locateMemory } from './fold'
import { CELL_DEG, CELLS } from './grid'
import type { Pair, PositionModel } from './model'
import { isCamSide, type Noted } from './observation'
import { segments } from './segments'

/** A stop is settled, or known to lie elsewhere, at this probability. */
export const SETTLED_AT = 0.99
/**
 * Where nothing of the cam was felt at this place, and the intake was not watched on the way, as much more is asked:
 * else a feel comes first. Because two valves of one cylinder without clearance feel like the overlap, and the turn on
 * from there was settled unfelt at the wrong top: 16 of 10,000 drawn engines.
 */
const SETTLED_UNFELT_AT = 0.995
/** Nearer than this ahead, a place is the one the crank stands on, and the next is a cycle on. */
const STANDING_ON_DEG = 7

/** A turn is given in degrees when the crank is within so much of one angle at this probability. */
const NEAR_DEG = 30
const NEAR_AT = 0.85

/** A planned stop, and the chance that all its valves may be measured here, jointly. */
export interface StopHere {
  stop: Stop
  probability: number
}

/**
 * A whole move to a planned stop: whole `turns` back to its place, or on until it shows for the `times`-th time; how
 * far that is, null while nobody knows; and how sure it is to end well.
 */
export interface WayAhead {
  stop: Stop
  turns: 1 | null
  times: 1 | 2
  turnDeg: number | null
  probability: number
}

/** Where the crank is, as far as it is known. `turnDeg` is how far it is to the stop in the running direction. */
export type Standing =
  { kind: 'settled'; stop: Stop; probability: number } | ({ kind: 'elsewhere' } & WayAhead) | { kind: 'open' }

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
  /** Each planned stop, the likeliest first. */
  here: StopHere[]
  /** Sure ways to planned stops, the shortest first. */
  ahead: WayAhead[]
  /** Toward any stop of the plan. */
  standing: Standing
  /** A mark, rod or feel was answered since the crank last moved. */
  answeredHere: boolean
  /** A rocker, blade or valve was answered since the crank last moved, or the intake watched on the way here. */
  feltHere: boolean
  /** How much must still be turned forward, after a backward turn, until cam and valves can be believed. */
  lashDeg: number
  clash: Clash | null
}

/** Chance of each cell without and with a decompressor, whatever the valves: all that stops ask about. */
function byDecompressor(model: PositionModel, { mass }: Belief): Pair<Float64Array> {
  const sums: Pair<Float64Array> = [new Float64Array(CELLS), new Float64Array(CELLS)]
  model.hypotheses.forEach(({ decompressor }, h) => addInto(sums[decompressor], mass, h * CELLS))
  return sums
}

function dot(a: Float64Array, b: Float64Array | Uint8Array): number {
  let sum = 0
  for (let i = 0; i < CELLS; i++) sum += a[i]! * b[i]!
  return sum
}
const over = (chance: Pair<Float64Array>, table: Pair<Float64Array | Uint8Array>): number =>
  dot(chance[0], table[0]) + dot(chance[1], table[1])

function likeliest(chance: Float64Array): number {
  let best = 0
  for (let i = 1; i < CELLS; i++) if (chance[i]! > chance[best]!) best = i
  return best
}

/** Whether the crank is known to be so near its likeliest angle that a turn from there can be given in degrees. */
function isNear(crank: Float64Array, peakDeg: number): boolean {
  let sum = 0
  for (let off = -NEAR_DEG / CELL_DEG; off <= NEAR_DEG / CELL_DEG; off++)
    sum += crank[(peakDeg / CELL_DEG + off + CELLS) % CELLS]!
  return sum >= NEAR_AT
}

function waysAhead(model: PositionModel, chance: Pair<Float64Array>, crank: Float64Array, peakDeg: number): WayAhead[] {
  const near = isNear(crank, peakDeg)
  return model.ways
    .map(({ stop, turns, times, chance: ends }) => {
      const far = wrap(stop.crankDeg - peakDeg)
      return { stop, turns, times, turnDeg: far < STANDING_ON_DEG ? far + 720 : far, probability: over(chance, ends) }
    })
    .filter(way => way.probability >= SETTLED_AT)
    .sort((a, b) => a.turnDeg - b.turnDeg || a.times - b.times || b.probability - a.probability)
    .map(way => (near ? way : { ...way, turnDeg: null }))
}

/**
 * Where the crank stands toward some of the planned stops: at one of them, a known way from one, or neither.
 * @param wanted which stops are looked for; all by default. A job wants those that still have work.
 */
export function standingToward(
  {
    here,
    ahead,
    answeredHere,
    feltHere,
    lashDeg,
  }: Pick<Position, 'here' | 'ahead' | 'answeredHere' | 'feltHere' | 'lashDeg'>,
  wanted: (stop: Stop) => boolean = () => true,
): Standing {
  const best = here.find(h => wanted(h.stop))
  if (best && best.probability >= SETTLED_AT && answeredHere && lashDeg === 0)
    return feltHere || best.probability >= SETTLED_UNFELT_AT ? { kind: 'settled', ...best } : { kind: 'open' }
  const way = lashDeg === 0 ? ahead.find(a => wanted(a.stop)) : undefined
  return way ? { kind: 'elsewhere', ...way } : { kind: 'open' }
}

/** Whether a mark, rod or feel was answered since the crank last moved: only then does the place count as looked at. */
function wasAnsweredHere(noted: Noted[], lashDeg: number): boolean {
  const last = segments(noted).at(-1)!
  const arrived = last.move !== null && last.move.observation.kind !== 'turn' && last.move.observation.kind !== 'lost'
  return (
    arrived || last.answers.some(a => a.observation.kind !== 'screw-set' && !(lashDeg > 0 && isCamSide(a.observation)))
  )
}

const wasFeltHere = (noted: Noted[]): boolean => {
  const last = segments(noted).at(-1)!
  return last.move?.observation.kind === 'watched' || last.answers.some(a => isCamSide(a.observation))
}

/**
 * Where the crank is, from everything that was seen, felt and turned.
 *
 * The belief runs over the crank's angle (half degrees of the 720° cycle) jointly with which valves have no clearance
 * and
 * whether an unknown decompressor is there. *Settled* is a decision, not an angle: all valves of one planned stop may
 * be
 * measured here, with the stop's margin, at 0.99 or more, and something was answered since the crank last moved.
 *
 * @param noted observations in working order, each with the id of its event
 * @param options.level share of probability that `arcs` cover, 0.95 by default
 * @param options.memory snapshots from earlier calls for the same model
 * @throws UnknownPartError for a valve, cylinder or mark that this engine does not have
 */
export function locate(
  model: PositionModel,
  noted: Noted[],
  options: { level?: number; memory?: LocateMemory } = {},
): Position {
  const memory = options.memory ?? locateMemory()
  const key = `${options.level}|${noted.map(n => n.id).join('|')}`
  const last = memory.last.get(model)
  if (last?.key === key) return last.found as Position
  const found = located(model, noted, options.level, memory)
  memory.last.set(model, { key, found })
  return found
}

function located(model: PositionModel, noted: Noted[], level: number | undefined, memory: LocateMemory): Position {
  const { belief, lashDeg } = folded(model, noted, memory)
  const chance = byDecompressor(model, belief)
  const crank = crankChance(belief)
  const peakDeg = likeliest(crank) * CELL_DEG
  const hypotheses = hypothesisChances(model, belief)
  const where = {
    here: model.plan.stops
      .map((stop, i) => ({ stop, probability: over(chance, model.allClosed[i]!) }))
      .sort((a, b) => b.probability - a.probability),
    ahead: waysAhead(model, chance, crank, peakDeg),
    answeredHere: wasAnsweredHere(noted, lashDeg),
    feltHere: wasFeltHere(noted),
    lashDeg,
  }
  const sumWhere = (holds: (h: number) => boolean) => hypotheses.reduce((sum, p, h) => (holds(h) ? sum + p : sum), 0)
  return {
    ...where,
    belief,
    peakDeg,
    arcs: arcsOf(model.engine, crank, level),
    closed: Object.fromEntries(model.engine.valves.map((valve, v) => [valve.id, over(chance, model.closed[v]!)])),
    noClearance: Object.fromEntries(
      model.engine.valves.map((valve, v) => [valve.id, sumWhere(h => model.hypotheses[h]!.noClearance.includes(v))]),
    ),
    decompressor: sumWhere(h => model.hypotheses[h]!.decompressor === 1),
    standing: standingToward(where),
    clash: findClash(model, noted, memory),
  }
}
