import {
  CYCLE_DEG,
  type Engine,
  firingAngle,
  pistonDrop,
  type Place,
  placeAngle,
  placePeriod,
  signedWay,
  valveById,
  valveSightArc,
  wrap,
} from '../engine'
import { CELL_DEG, cellOf, CELLS } from './grid'

/** How sharply each thing is seen. From memory. */
const MARK_SIGMA_DEG = 2
const CAM_MARK_SIGMA_DEG = 6
const OTHER_MARK_CHANCE = 0.03
const OTHER_MARK_WITHIN_DEG = 40
const ANYWHERE_CHANCE = 0.01
const ANYWHERE_WITHIN_DEG = 45
const TOP_SIGMA_MM = 0.1
const DROP_SIGMA_MM = 0.5
/** The edges of what a valve is seen doing are softened by this much. */
const SIGHT_EDGE_DEG = 8
/** How far from its place an arrival is looked for. */
const ARRIVAL_REACH_DEG = 80

/** An unnormalised bell. */
export const bell = (x: number, sigma: number): number => Math.exp(-0.5 * (x / sigma) ** 2)
/** 1 well inside an interval, 0 well outside it, a half at its ends. */
const softly = (x: number, from: number, to: number): number =>
  1 / (1 + Math.exp((from - x) / (SIGHT_EDGE_DEG / 4))) / (1 + Math.exp((x - to) / (SIGHT_EDGE_DEG / 4)))

/** Height of a place's shape at a cycle angle, 0 to about 1: how well “the place shows here” fits. */
export function placeHeight(engine: Engine, place: Place): (deg: number) => number {
  const at = placeAngle(engine, place)
  switch (place.kind) {
    case 'mark': {
      const away = (mark: { angleDeg: number }) => Math.abs(signedWay(at, mark.angleDeg, 360))
      const others = engine.marks
        .filter((mark, i) => i !== place.markIndex && away(mark) <= OTHER_MARK_WITHIN_DEG && away(mark) > 0)
        .sort((a, b) => away(a) - away(b))
      const near = [
        others.find(m => signedWay(at, m.angleDeg, 360) < 0),
        others.find(m => signedWay(at, m.angleDeg, 360) > 0),
      ].filter(m => m !== undefined)
      const share = near.length ? OTHER_MARK_CHANCE / near.length : 0
      return deg =>
        near.reduce(
          (sum, mark) => sum + share * bell(signedWay(mark.angleDeg, deg, 360), MARK_SIGMA_DEG),
          (1 - share * near.length) * bell(signedWay(at, deg, 360), MARK_SIGMA_DEG),
        )
    }
    case 'cam-mark':
      return deg => bell(signedWay(at, deg), CAM_MARK_SIGMA_DEG)
    case 'valve': {
      const valve = valveById(engine, place.valveId)
      const { fromDeg, toDeg } = valveSightArc(engine, valve.role, place.sight)
      const middle = firingAngle(engine, valve.cylinderId) + (fromDeg + toDeg) / 2
      return deg => softly(signedWay(middle, deg), (fromDeg - toDeg) / 2, (toDeg - fromDeg) / 2)
    }
    default: {
      const firing = firingAngle(engine, place.cylinderId)
      const [wantedMm, sigmaMm] = place.kind === 'piston-top' ? [0, TOP_SIGMA_MM] : [place.dropMm, DROP_SIGMA_MM]
      return deg => {
        const past = signedWay(firing, deg, 360)
        return place.kind === 'rod-drop' && past < 0 ? 0 : bell(pistonDrop(engine, past) - wantedMm, sigmaMm)
      }
    }
  }
}

/**
 * Chance of standing at each cell when a place is reported, over the whole cycle; over one period it sums to 1 −
 * “anywhere”.
 */
function placeShape(engine: Engine, place: Place): Float64Array {
  const height = placeHeight(engine, place)
  const shape = Float64Array.from({ length: CELLS }, (_, i) => height(i * CELL_DEG))
  const total = (shape.reduce((a, b) => a + b, 0) * placePeriod(place)) / CYCLE_DEG
  return total > 0 ? shape.map(v => (v * (1 - ANYWHERE_CHANCE)) / total) : shape
}

/** Likelihood of seeing a place, over the cycle: its shape, and a little chance of being anywhere. */
export function placeLikelihood(engine: Engine, place: Place): Float64Array {
  const anywhere = ANYWHERE_CHANCE / (placePeriod(place) / CELL_DEG)
  return placeShape(engine, place).map(v => v + anywhere)
}

export interface Arrival {
  offset: Int32Array
  chance: Float64Array
}

/**
 * The shape of an arrival about its place, in cells from it; the 1 % “anywhere” stays near and never reaches the other
 * stroke.
 */
export function arrivalShape(engine: Engine, place: Place): Arrival {
  const shape = placeShape(engine, place)
  const at = placeAngle(engine, place)
  const reach = ARRIVAL_REACH_DEG / CELL_DEG
  const wide = ANYWHERE_WITHIN_DEG / CELL_DEG
  const offset: number[] = []
  const chance: number[] = []
  for (let o = -reach; o <= reach; o++) {
    const near = shape[cellOf(at + o * CELL_DEG)]!
    const here = (near > 1e-9 ? near : 0) + (Math.abs(o) <= wide ? ANYWHERE_CHANCE / (2 * wide + 1) : 0)
    if (here > 0) {
      offset.push(o)
      chance.push(here)
    }
  }
  return { offset: Int32Array.from(offset), chance: Float64Array.from(chance) }
}

/** “The next one” is at least this far on: nobody calls the mark he stands on the next. */
const NEXT_PLACE_DEG = 7

/**
 * How far it is on until a place shows for the `times`-th time, in degrees: the first at least 7° ahead, so the stroke
 * is kept.
 */
export const wayToNext = (atDeg: number, fromDeg: number, period: 360 | 720, times = 1): number =>
  NEXT_PLACE_DEG + wrap(atDeg - fromDeg - NEXT_PLACE_DEG, period) + (times - 1) * period

/**
 * How far whole turns back to a place are: to where it shows nearest to where those turns end.
 * Not “the next place, n times”: somebody who stood on F and took it for T would then lose a turn that his hand did
 * make.
 */
export const wayByTurns = (atDeg: number, fromDeg: number, period: 360 | 720, turns: number): number =>
  360 * turns + signedWay(wrap(fromDeg + 360 * turns, period), atDeg, period)

/** How far it is on to a place after the intake of a cylinder was watched shutting, as a cycle angle. */
export const placeAfterWatch = (atDeg: number, intakeShutsDeg: number, period: 360 | 720): number =>
  wrap(intakeShutsDeg + wrap(atDeg - intakeShutsDeg, period))
