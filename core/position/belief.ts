import { wrap } from '../engine'
import { placeAngle, type Place } from '../stops'
import { CELL_DEG, cellOf, CELLS } from './grid'
import type { PositionModel } from './model'
import { arrivalShape, bell, nextPlace, placeAfterTurns } from './places'

/**
 * What is believed of the crank and of the valves, jointly: `mass[h * CELLS + cell]` sums to 1.
 * Joint, because a valve without clearance and the wrong stroke feel alike, and a turn tells them apart.
 */
export interface Belief { mass: Float64Array }

const TURN_SIGMA_DEG = 3
/** A watched intake tells the stroke but for this. From memory. */
const WATCH_ERROR = 0.003

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
  const arrival = arrivalShape(model.engine, place)
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
  return arrive(model, belief, place, from => nextPlace(at, from))
}

/** Whole turns on, back to a place: each cell goes to the place nearest to where those turns end. */
export function turnTo(model: PositionModel, belief: Belief, turns: number, place: Place): Belief {
  const at = placeAngle(model.engine, place)
  return arrive(model, belief, place, from => placeAfterTurns(at, from, turns))
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
