import { CYCLE_DEG, type Engine, signedWay, wrap } from '../engine'
import { type Said, say } from '../said'
import type { Belief } from './belief'
import { CELL_DEG, CELLS } from './grid'

/**
 * An arc `[startDeg, startDeg + sweepDeg)` of the cycle that the crank may be in, with its probability and likeliest
 * angle.
 */
export interface BeliefArc {
  startDeg: number
  sweepDeg: number
  peakDeg: number
  probability: number
  name: Said
}

/** So near a top it is called by the top’s name. Degrees, from memory */
const AT_TOP_DEG = 3

/** Chance of the crank being at each cell, whatever the valves: sums to 1. */
export function crankChance({ mass }: Belief): Float64Array {
  const chance = new Float64Array(CELLS)
  for (let start = 0; start < mass.length; start += CELLS) addInto(chance, mass, start)
  return chance
}

/** Adds the cells of one hypothesis to a sum. */
export function addInto(sum: Float64Array, mass: Float64Array, start: number): void {
  for (let i = 0; i < CELLS; i++) sum[i]! += mass[start + i]!
}

/**
 * What people call a place of the cycle, by the compression where two cylinders are at top together: “compression TDC”,
 * “34° past compression TDC”, “exhaust TDC”.
 */
export function nameOfAngle(engine: Engine, crankDeg: number): Said {
  const nearest = engine.cylinders
    .flatMap(c =>
      [0, 360].map(turn => ({
        turn,
        way: signedWay(c.firingAngleDeg + turn, crankDeg),
        stroke: turn ? ('exhaust' as const) : ('compression' as const),
        cylinder: c.name,
      })),
    )
    .sort((a, b) => Math.abs(a.way) - Math.abs(b.way) || a.turn - b.turn)[0]!
  const pastDeg = Math.round(nearest.way)
  return say('place.of-cycle', {
    stroke: nearest.stroke,
    cylinder: engine.cylinders.length > 1 ? nearest.cylinder : null,
    pastDeg: Math.abs(pastDeg) <= AT_TOP_DEG ? 0 : pastDeg,
  })
}

/** All cells under this together hold less than a millionth. */
const WORTH_SORTING = 1e-6 / CELLS
/**
 * The fewest cells that hold `level` of the chance: all above a height, and of those at that height as many as it
 * takes.
 */
function mostLikely(chance: Float64Array, level: number): Uint8Array {
  // most cells of a belief that knows something hold next to nothing: they are not worth sorting
  const worth = chance.filter(v => v > WORTH_SORTING)
  const falling = (worth.length > 0 && worth.reduce((a, b) => a + b, 0) >= level ? worth : Float64Array.from(chance))
    .sort()
    .reverse()
  let covered = 0
  let count = 0
  while (count < falling.length && covered < level - 1e-12) covered += falling[count++]!
  const height = falling[Math.max(0, count - 1)]!
  let atHeight = count - falling.findIndex(v => v <= height)
  return Uint8Array.from(chance, v => (v > height || (v === height && atHeight-- > 0) ? 1 : 0))
}

/**
 * The highest-density region of the crank's place, as arcs in falling probability.
 * @param level share of the probability to cover, in (0, 1)
 * @returns arcs whose probabilities sum to `level` or a little more; one whole circle when nothing is known
 */
export const likelyArcs = (engine: Engine, belief: Belief, level?: number): BeliefArc[] =>
  arcsOf(engine, crankChance(belief), level)

/** The same, from the chance of each cell. */
export function arcsOf(engine: Engine, chance: Float64Array, level = 0.95): BeliefArc[] {
  const inside = mostLikely(chance, level)
  const first = inside.indexOf(0)
  if (first < 0 || chance.reduce((a, b) => Math.max(a, b), 0) < 1.5 / CELLS)
    return [{ startDeg: 0, sweepDeg: CYCLE_DEG, peakDeg: 0, probability: 1, name: say('likely.anywhere') }]
  const arcs: BeliefArc[] = []
  for (let step = 1; step <= CELLS; step++) {
    const cell = (first + step) % CELLS
    if (!inside[cell]) continue
    const start = cell
    let probability = 0
    let peak = cell
    let length = 0
    for (let i = cell; inside[i % CELLS]; i++, length++) {
      probability += chance[i % CELLS]!
      if (chance[i % CELLS]! > chance[peak]!) peak = i % CELLS
    }
    step += length
    arcs.push({
      startDeg: wrap(start * CELL_DEG),
      sweepDeg: length * CELL_DEG,
      peakDeg: peak * CELL_DEG,
      probability,
      name: nameOfAngle(engine, peak * CELL_DEG),
    })
  }
  return arcs.sort((a, b) => b.probability - a.probability)
}
