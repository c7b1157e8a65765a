import { type Engine, pistonDrop, signedWay, wrap } from '../engine'
import { placeAngle, type Place } from '../stops'
import { CELL_DEG, cellOf, CELLS } from './grid'

/** How sharply each thing is seen. From memory. */
const MARK_SIGMA_DEG = 2
const OTHER_MARK_CHANCE = 0.03
const OTHER_MARK_WITHIN_DEG = 40
const ANYWHERE_CHANCE = 0.01
const ANYWHERE_WITHIN_DEG = 45
const TOP_SIGMA_MM = 0.1
const DROP_SIGMA_MM = 0.5
/** An unnormalised bell. */
export const bell = (x: number, sigma: number): number => Math.exp(-0.5 * (x / sigma) ** 2)
const normalised = (kernel: Float64Array, total: number): Float64Array => {
  const sum = kernel.reduce((a, b) => a + b, 0)
  return sum > 0 ? kernel.map(v => v * total / sum) : kernel
}

/** Chance of standing at each cell of one turn when a place is reported: 720 cells, [0°, 360°), summing to 1 − “anywhere”. */
function placeShape(engine: Engine, place: Place): Float64Array {
  const turn = new Float64Array(CELLS / 2)
  const at = placeAngle(engine, place)
  if (place.kind === 'mark') {
    const away = (mark: { angleDeg: number }) => Math.abs(signedWay(at, mark.angleDeg, 360))
    const others = engine.marks.filter((mark, i) => i !== place.markIndex && away(mark) <= OTHER_MARK_WITHIN_DEG).sort((a, b) => away(a) - away(b))
    const near = [others.find(m => signedWay(at, m.angleDeg, 360) < 0), others.find(m => signedWay(at, m.angleDeg, 360) > 0)].filter(m => m !== undefined)
    const share = near.length ? OTHER_MARK_CHANCE / near.length : 0
    for (let i = 0; i < turn.length; i++) {
      turn[i] = (1 - share * near.length) * bell(signedWay(at, i * CELL_DEG, 360), MARK_SIGMA_DEG)
      for (const mark of near) turn[i]! += share * bell(signedWay(mark.angleDeg, i * CELL_DEG, 360), MARK_SIGMA_DEG)
    }
  }
  else {
    const firing = engine.cylinders.find(c => c.id === place.cylinderId)?.firingAngleDeg ?? 0
    const [wantedMm, sigmaMm] = place.kind === 'piston-top' ? [0, TOP_SIGMA_MM] : [place.dropMm, DROP_SIGMA_MM]
    for (let i = 0; i < turn.length; i++) {
      const past = signedWay(firing, i * CELL_DEG, 360)
      if (place.kind === 'rod-drop' && past < 0) continue
      turn[i] = bell(pistonDrop(engine, past) - wantedMm, sigmaMm)
    }
  }
  return normalised(turn, 1 - ANYWHERE_CHANCE)
}

/** Likelihood of seeing a place, over one turn: its shape, and a little chance of being anywhere. */
export function placeLikelihood(engine: Engine, place: Place): Float64Array {
  const anywhere = ANYWHERE_CHANCE / (CELLS / 2)
  return placeShape(engine, place).map(v => v + anywhere)
}

/** The shape of an arrival about its place: cells −90°…+90° from the place; the 1 % “anywhere” stays near and never reaches the other stroke. */
export function arrivalShape(engine: Engine, place: Place): { offset: number, chance: number }[] {
  const shape = placeShape(engine, place)
  const at = placeAngle(engine, place)
  const reach = 2 * OTHER_MARK_WITHIN_DEG / CELL_DEG
  const wide = ANYWHERE_WITHIN_DEG / CELL_DEG
  const arrival: { offset: number, chance: number }[] = []
  for (let offset = -reach; offset <= reach; offset++) {
    const near = shape[cellOf(wrap(at + offset * CELL_DEG, 360)) % (CELLS / 2)] ?? 0
    const chance = (near > 1e-9 ? near : 0) + (Math.abs(offset) <= wide ? ANYWHERE_CHANCE / (2 * wide + 1) : 0)
    if (chance > 0) arrival.push({ offset, chance })
  }
  return arrival
}

/** Where turning on until a place shows ends: the next one at least 7° ahead, so the stroke is kept. */
export const nextPlace = (atDeg: number, fromDeg: number): number => wrap(fromDeg + NEXT_PLACE_DEG + wrap(atDeg - fromDeg - NEXT_PLACE_DEG, 360))
/** “The next one” is at least this far on: nobody calls the mark he stands on the next. */
const NEXT_PLACE_DEG = 7

/**
 * Where whole turns back to a place end: the one nearest to where those turns end.
 * Not “the next place, n times”: somebody who stood on F and took it for T would then lose a turn that his hand did make.
 */
export const placeAfterTurns = (atDeg: number, fromDeg: number, turns: number): number => wrap(fromDeg + 360 * turns + signedWay(wrap(fromDeg, 360), atDeg, 360))
