import { firingAngle, type Place, placeAngle, placePeriod, valveEvents } from '../engine'
import { CELL_DEG, cellOf, CELLS } from './grid'
import { arrivalAt, type PositionModel } from './model'
import type { Movement } from './observation'
import { bell, placeAfterWatch, wayByTurns, wayToNext } from './places'

/**
 * What is believed of the crank and of the valves, jointly: `mass[h * CELLS + cell]` sums to 1.
 * Joint, because a valve without clearance and the wrong stroke feel alike, and a turn tells them apart.
 */
export interface Belief {
  mass: Float64Array
}

/** A hand’s whole turn ends this near to where it was meant to. From memory. */
const TURN_SIGMA_DEG = 3
/** A watched intake tells the stroke but for this. From memory. */
const WATCH_ERROR = 0.003

/** Nothing known of the crank; of the valves only the priors. */
export function openBelief(model: PositionModel): Belief {
  const mass = new Float64Array(model.hypotheses.length * CELLS)
  model.hypotheses.forEach((h, i) => mass.fill(h.prior / CELLS, i * CELLS, (i + 1) * CELLS))
  return { mass }
}

/**
 * What is believed of the valves and the decompressor, wherever the crank is: one chance a hypothesis, summing to 1.
 */
export function hypothesisChances(model: PositionModel, { mass }: Belief): Float64Array {
  const chances = new Float64Array(model.hypotheses.length)
  for (let h = 0; h < chances.length; h++) {
    let sum = 0
    for (let i = h * CELLS; i < (h + 1) * CELLS; i++) sum += mass[i]!
    chances[h] = sum
  }
  return chances
}

/** The crank was moved out of sight: its place is lost, what is known of the valves is not. */
function losePlace(model: PositionModel, belief: Belief): Belief {
  const next = new Float64Array(belief.mass.length)
  hypothesisChances(model, belief).forEach((chance, h) => next.fill(chance / CELLS, h * CELLS, (h + 1) * CELLS))
  return { mass: next }
}

/**
 * Gathers each hypothesis's mass at the cells a move ends at, then spreads each as an arrival at that place is spread.
 */
function arrive(model: PositionModel, { mass }: Belief, place: Place, endOf: (fromDeg: number) => number): Belief {
  const { offset, chance } = arrivalAt(model, place)
  const next = new Float64Array(mass.length)
  const ends = Int32Array.from({ length: CELLS }, (_, i) => cellOf(endOf(i * CELL_DEG)))
  const gathered = new Float64Array(CELLS)
  for (let h = 0; h < model.hypotheses.length; h++) {
    gathered.fill(0)
    for (let i = 0; i < CELLS; i++) gathered[ends[i]!]! += mass[h * CELLS + i]!
    for (let end = 0; end < CELLS; end++) {
      const weight = gathered[end]!
      if (weight === 0) continue
      for (let k = 0; k < offset.length; k++)
        next[h * CELLS + ((end + offset[k]! + CELLS) % CELLS)]! += weight * chance[k]!
    }
  }
  return normal(next)
}

/**
 * The intake was watched opening and shutting, then the crank came on to the place: its first after the valve has shut.
 */
function watchThen(model: PositionModel, belief: Belief, cylinderId: string, place: Place): Belief {
  const shuts = firingAngle(model.engine, cylinderId) + valveEvents(model.engine, 'intake').closesDeg
  const period = placePeriod(place)
  const stop = placeAfterWatch(placeAngle(model.engine, place), shuts, period)
  const onStop = arrive(model, belief, place, () => stop)
  if (period === 720) return onStop
  const onOther = arrive(model, belief, place, () => stop + 360)
  return { mass: onStop.mass.map((v, i) => (1 - WATCH_ERROR) * v + WATCH_ERROR * onOther.mass[i]!) }
}

/**
 * A turn by so many degrees: shifted, then blurred by 3° a turn. The blur works on the joint, one hypothesis at a time.
 */
function turnBy(model: PositionModel, { mass }: Belief, deg: number): Belief {
  const sigma = (TURN_SIGMA_DEG * Math.sqrt(Math.max(Math.abs(deg), 30) / 360)) / CELL_DEG
  const reach = Math.ceil(4 * sigma)
  const kernel = Float64Array.from({ length: 2 * reach + 1 }, (_, i) => bell(i - reach, sigma))
  const shift = (((Math.round(deg / CELL_DEG) - reach) % CELLS) + CELLS) % CELLS
  const next = new Float64Array(mass.length)
  const spread = new Float64Array(CELLS + kernel.length)
  for (let h = 0; h < model.hypotheses.length; h++) {
    spread.fill(0)
    for (let i = 0; i < CELLS; i++) {
      const weight = mass[h * CELLS + i]!
      if (weight < 1e-15) continue
      for (let k = 0; k < kernel.length; k++) spread[i + k]! += weight * kernel[k]!
    }
    for (let j = 0; j < spread.length; j++) next[h * CELLS + ((j + shift) % CELLS)]! += spread[j]!
  }
  return normal(next)
}

/** How far a movement turned the crank from an angle; null when nobody knows. */
function wayOf(model: PositionModel, movement: Movement): ((fromDeg: number) => number) | null {
  switch (movement.kind) {
    case 'lost':
    case 'watched':
      return null
    case 'turn':
      return () => movement.deg
    case 'move': {
      const [at, period] = [placeAngle(model.engine, movement.to), placePeriod(movement.to)]
      return from => wayToNext(at, from, period, movement.times)
    }
    case 'turns': {
      const [at, period] = [placeAngle(model.engine, movement.to), placePeriod(movement.to)]
      return from => wayByTurns(at, from, period, movement.turns)
    }
  }
}

/**
 * The belief after the crank was moved. A whole move carries each cell to where that move would have ended from there,
 * so the stroke is kept.
 */
export function moved(model: PositionModel, belief: Belief, movement: Movement): Belief {
  if (movement.kind === 'lost') return losePlace(model, belief)
  if (movement.kind === 'turn') return turnBy(model, belief, movement.deg)
  if (movement.kind === 'watched') return watchThen(model, belief, movement.cylinderId, movement.to)
  const way = wayOf(model, movement)!
  return arrive(model, belief, movement.to, from => from + way(from))
}

/**
 * How far a movement turned the crank, on average over where it may have stood; 360° for a watched one, 0 for a lost
 * one.
 */
export function meanWay(model: PositionModel, { mass }: Belief, movement: Movement): number {
  const way = wayOf(model, movement)
  if (!way) return movement.kind === 'watched' ? 360 : 0
  let sum = 0
  for (let i = 0; i < CELLS; i++) {
    const far = way(i * CELL_DEG)
    for (let h = 0; h < model.hypotheses.length; h++) sum += mass[h * CELLS + i]! * far
  }
  return sum
}

/**
 * A valve's clearance was made with the screw: the sets in which it has none hand their mass to the sets without it.
 */
export function giveClearance(model: PositionModel, { mass }: Belief, valve: number): Belief {
  const next = Float64Array.from(mass)
  model.hypotheses.forEach((from, h) => {
    if (!from.noClearance.includes(valve)) return
    const left = from.noClearance.filter(v => v !== valve)
    const to = model.hypotheses.findIndex(
      o =>
        o.decompressor === from.decompressor &&
        o.noClearance.length === left.length &&
        left.every(v => o.noClearance.includes(v)),
    )
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
  const scale = 1 / sum
  for (let i = 0; i < mass.length; i++) mass[i]! *= scale
  return { mass }
}
