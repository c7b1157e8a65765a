import { CYCLE_DEG, type Engine, signedWay, wrap } from '../engine'
import type { Belief } from './belief'
import { CELL_DEG, CELLS } from './grid'

/** An arc `[startDeg, startDeg + sweepDeg)` of the cycle that the crank may be in, with its probability and likeliest angle. */
export interface BeliefArc { startDeg: number, sweepDeg: number, peakDeg: number, probability: number, name: string }

/** Chance of the crank being at each cell, whatever the valves: sums to 1. */
export function crankChance({ mass }: Belief): Float64Array {
  const chance = new Float64Array(CELLS)
  for (let i = 0; i < mass.length; i++) chance[i % CELLS]! += mass[i]!
  return chance
}

/** What people call a place of the cycle: “compression TDC”, “34° past compression TDC”, “exhaust TDC”. */
export function nameOfAngle(engine: Engine, crankDeg: number): string {
  const nearest = engine.cylinders
    .flatMap(c => [0, 360].map(turn => ({ way: signedWay(c.firingAngleDeg + turn, crankDeg), stroke: turn ? 'exhaust TDC' : 'compression TDC', cylinder: c.name })))
    .sort((a, b) => Math.abs(a.way) - Math.abs(b.way))[0]!
  const place = engine.cylinders.length > 1 ? `${nearest.cylinder}, ${nearest.stroke}` : nearest.stroke
  const off = Math.round(Math.abs(nearest.way))
  return off <= 3 ? place : `${off}° ${nearest.way > 0 ? 'past' : 'before'} ${place}`
}

/**
 * The highest-density region of the crank's place, as arcs in falling probability.
 * @param level share of the probability to cover, in (0, 1)
 * @returns arcs whose probabilities sum to `level` or a little more; one whole circle when nothing is known
 */
export function likelyArcs(engine: Engine, belief: Belief, level = 0.95): BeliefArc[] {
  const chance = crankChance(belief)
  const inside = new Uint8Array(CELLS)
  let covered = 0
  for (const cell of [...chance.keys()].sort((a, b) => chance[b]! - chance[a]!)) {
    if (covered >= level - 1e-12) break
    inside[cell] = 1
    covered += chance[cell]!
  }
  const first = inside.indexOf(0)
  if (first < 0 || Math.max(...chance) < 1.5 / CELLS) return [{ startDeg: 0, sweepDeg: CYCLE_DEG, peakDeg: 0, probability: 1, name: 'anywhere' }]
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
    arcs.push({ startDeg: wrap(start * CELL_DEG), sweepDeg: length * CELL_DEG, peakDeg: peak * CELL_DEG, probability, name: nameOfAngle(engine, peak * CELL_DEG) })
  }
  return arcs.sort((a, b) => b.probability - a.probability)
}
