import { pistonDrop, signedWay, wrap } from '../engine'
import { placeAngle, type Place } from '../stops'
import { CELL_DEG, CELLS, type PositionModel } from './model'

/**
 * What is believed of the crank and of the valves, jointly: `mass[h * CELLS + cell]` sums to 1.
 * Joint, because a valve without clearance and the wrong stroke feel alike, and a turn tells them apart.
 */
export interface Belief { mass: Float64Array }

/** How sharply each thing is seen. From memory. */
const MARK_SIGMA_DEG = 2
const OTHER_MARK_CHANCE = 0.03
const OTHER_MARK_WITHIN_DEG = 40
const ANYWHERE_CHANCE = 0.01
const ANYWHERE_WITHIN_DEG = 45
const TOP_SIGMA_MM = 0.1
const DROP_SIGMA_MM = 0.5
/** “The next one” is at least this far on: nobody calls the mark he stands on the next. */
const NEXT_PLACE_DEG = 7
const TURN_SIGMA_DEG = 3
/** A watched intake tells the stroke but for this. From memory. */
const WATCH_ERROR = 0.003

const bell = (x: number, sigma: number): number => Math.exp(-0.5 * (x / sigma) ** 2)
const cellOf = (deg: number): number => Math.round(wrap(deg) / CELL_DEG) % CELLS
const normalised = (kernel: Float64Array, total: number): Float64Array => {
  const sum = kernel.reduce((a, b) => a + b, 0)
  return sum > 0 ? kernel.map(v => v * total / sum) : kernel
}

/** Chance of standing at each cell of one turn when a place is reported: 720 cells, [0°, 360°), summing to 1 − “anywhere”. */
function placeShape({ engine }: PositionModel, place: Place): Float64Array {
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
export function placeLikelihood(model: PositionModel, place: Place): Float64Array {
  const anywhere = ANYWHERE_CHANCE / (CELLS / 2)
  return placeShape(model, place).map(v => v + anywhere)
}

/** The shape of an arrival about 0: cells −90°…+90° from the place; the 1 % “anywhere” stays near and never reaches the other stroke. */
function arrivalShape(model: PositionModel, place: Place): { offset: number, chance: number }[] {
  const shape = placeShape(model, place)
  const at = placeAngle(model.engine, place)
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

/** Nothing known of the crank; of the valves only the priors. */
export function openBelief(model: PositionModel): Belief {
  const mass = new Float64Array(model.hypotheses.length * CELLS)
  model.hypotheses.forEach((h, i) => mass.fill(h.prior / CELLS, i * CELLS, (i + 1) * CELLS))
  return { mass }
}

/** The crank was moved out of sight: its place is lost, what is known of the valves is not. */
export function losePlace(model: PositionModel, { mass }: Belief): Belief {
  const next = new Float64Array(mass.length)
  model.hypotheses.forEach((_, h) => next.fill(sumOf(mass, h) / CELLS, h * CELLS, (h + 1) * CELLS))
  return { mass: next }
}

const sumOf = (mass: Float64Array, h: number): number => {
  let sum = 0
  for (let i = h * CELLS; i < (h + 1) * CELLS; i++) sum += mass[i]!
  return sum
}

/** Gathers each hypothesis's mass at the cells a move ends at, then spreads each as an arrival at that place is spread. */
function arrive(model: PositionModel, { mass }: Belief, place: Place, destination: (fromDeg: number) => number): Belief {
  const arrival = arrivalShape(model, place)
  const next = new Float64Array(mass.length)
  const ends = Int32Array.from({ length: CELLS }, (_, i) => cellOf(destination(i * CELL_DEG)))
  model.hypotheses.forEach((_, h) => {
    const gathered = new Map<number, number>()
    for (let i = 0; i < CELLS; i++) gathered.set(ends[i]!, (gathered.get(ends[i]!) ?? 0) + mass[h * CELLS + i]!)
    for (const [end, weight] of gathered) {
      if (weight === 0) continue
      for (const { offset, chance } of arrival) next[h * CELLS + (end + offset + CELLS) % CELLS]! += weight * chance
    }
  })
  return normal(next)
}

/** On until a place shows: each cell goes to its next such place at least 7° ahead, so the stroke is kept. */
export function moveTo(model: PositionModel, belief: Belief, place: Place): Belief {
  const at = placeAngle(model.engine, place)
  return arrive(model, belief, place, from => from + NEXT_PLACE_DEG + wrap(at - from - NEXT_PLACE_DEG, 360))
}

/**
 * Whole turns on, back to a place: each cell goes to the place nearest to where those turns end.
 * Not “the next place, n times”: somebody who stood on F and took it for T would then lose a turn that his hand did make.
 */
export function turnTo(model: PositionModel, belief: Belief, turns: number, place: Place): Belief {
  const at = placeAngle(model.engine, place)
  return arrive(model, belief, place, from => from + 360 * turns + signedWay(wrap(from, 360), at, 360))
}

/** The intake was watched opening and shutting, then the crank came on to the place: its first after the valve has shut. */
export function watchThen(model: PositionModel, belief: Belief, cylinderId: string, place: Place): Belief {
  const firing = model.engine.cylinders.find(c => c.id === cylinderId)?.firingAngleDeg ?? 0
  const at = placeAngle(model.engine, place)
  const stop = firing - 180 + wrap(at - firing + 180, 360)
  const onStop = arrive(model, belief, place, () => stop)
  const onOther = arrive(model, belief, place, () => stop + 360)
  return { mass: onStop.mass.map((v, i) => (1 - WATCH_ERROR) * v + WATCH_ERROR * onOther.mass[i]!) }
}

/** A turn by so many degrees: shifted, then blurred by 3° a turn. The blur works on the joint, one hypothesis at a time. */
export function turnBy(model: PositionModel, { mass }: Belief, deg: number): Belief {
  const sigma = TURN_SIGMA_DEG * Math.sqrt(Math.max(Math.abs(deg), 30) / 360) / CELL_DEG
  const reach = Math.ceil(4 * sigma)
  const kernel = Float64Array.from({ length: 2 * reach + 1 }, (_, i) => bell(i - reach, sigma))
  const shift = Math.round(deg / CELL_DEG)
  const next = new Float64Array(mass.length)
  model.hypotheses.forEach((_, h) => {
    for (let i = 0; i < CELLS; i++) {
      const weight = mass[h * CELLS + i]!
      if (weight < 1e-15) continue
      for (let k = 0; k < kernel.length; k++) next[h * CELLS + ((i + shift + k - reach) % CELLS + CELLS) % CELLS]! += weight * kernel[k]!
    }
  })
  return normal(next)
}

/** A valve's clearance was made with the screw: the sets in which it has none hand their mass to the sets without it. */
export function giveClearance(model: PositionModel, { mass }: Belief, valve: number): Belief {
  const next = Float64Array.from(mass)
  model.hypotheses.forEach((from, h) => {
    if (!from.noClearance.includes(valve)) return
    const left = from.noClearance.filter(v => v !== valve)
    const to = model.hypotheses.findIndex(o => o.decompressor === from.decompressor && o.noClearance.length === left.length && left.every(v => o.noClearance.includes(v)))
    for (let i = 0; i < CELLS; i++) {
      next[to * CELLS + i]! += mass[h * CELLS + i]!
      next[h * CELLS + i] = 0
    }
  })
  return { mass: next }
}

/** A mass brought back to a sum of 1. */
export function normal(mass: Float64Array): Belief {
  let sum = 0
  for (let i = 0; i < mass.length; i++) sum += mass[i]!
  for (let i = 0; i < mass.length; i++) mass[i]! /= sum
  return { mass }
}

