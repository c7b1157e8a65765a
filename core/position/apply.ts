import { UnknownPartError } from '../engine'
import { type Belief, giveClearance, losePlace, moveTo, normal, turnBy, turnTo, watchThen } from './belief'
import { CELLS } from './grid'
import { type PositionModel, SLACK_CHANCE, UNDER_THINNEST_AGAIN_CHANCE, UNDER_THINNEST_CHANCE } from './model'
import type { Observation } from './observation'
import { placeLikelihood } from './places'

/** A blade that went strikes out “no clearance” for its valve, but for this. From memory. */
const STRUCK_OUT = 0.01

const indexOfValve = (model: PositionModel, id: string): number => {
  const index = model.engine.valves.findIndex(v => v.id === id)
  if (index < 0) throw new UnknownPartError('valve', id)
  return index
}

/** The likelihood of an observation made without turning, for one hypothesis at one cell; null for observations that turn. */
function likelihoodOf(model: PositionModel, observation: Observation): ((hypothesis: number, cell: number) => number) | null {
  if (observation.kind === 'seen') {
    const table = placeLikelihood(model.engine, observation.place)
    return (_, cell) => table[cell % (CELLS / 2)]!
  }
  if (observation.kind !== 'rocker' && observation.kind !== 'blade') return null
  const valve = indexOfValve(model, observation.valveId)
  const slack = observation.kind === 'rocker' ? observation.slack : observation.went
  const tables = model.slackChance[valve]!
  const refused = observation.kind === 'blade' && !slack
  return (h, cell) => {
    const hypothesis = model.hypotheses[h]!
    const none = hypothesis.noClearance.includes(valve)
    const chance = none ? SLACK_CHANCE.noClearance : tables[hypothesis.decompressor ? 1 : 0][cell]!
    if (refused) return 1 - chance * (1 - (observation.again ? UNDER_THINNEST_AGAIN_CHANCE : UNDER_THINNEST_CHANCE))
    const struck = observation.kind === 'blade' && none ? STRUCK_OUT : 1
    return (slack ? chance : 1 - chance) * struck
  }
}

/** Probability of an observation under a belief; 1 for observations that turn the crank. */
export function predictive(model: PositionModel, { mass }: Belief, observation: Observation): number {
  const likelihood = likelihoodOf(model, observation)
  if (!likelihood) return 1
  let sum = 0
  for (let h = 0; h < model.hypotheses.length; h++) for (let i = 0; i < CELLS; i++) sum += mass[h * CELLS + i]! * likelihood(h, i)
  return sum
}

/**
 * The belief after one observation more.
 * @throws UnknownPartError for a valve that this engine does not have
 */
export function observe(model: PositionModel, belief: Belief, observation: Observation): Belief {
  switch (observation.kind) {
    case 'move': return moveTo(model, belief, observation.to)
    case 'turns': return turnTo(model, belief, observation.turns, observation.to)
    case 'turn': return turnBy(model, belief, observation.deg)
    case 'watched': return watchThen(model, belief, observation.cylinderId, observation.to)
    case 'lost': return losePlace(model, belief)
    case 'screw-set': return giveClearance(model, belief, indexOfValve(model, observation.valveId))
    default: {
      const likelihood = likelihoodOf(model, observation)!
      const next = new Float64Array(belief.mass.length)
      for (let h = 0; h < model.hypotheses.length; h++) for (let i = 0; i < CELLS; i++) next[h * CELLS + i] = belief.mass[h * CELLS + i]! * likelihood(h, i)
      return normal(next)
    }
  }
}
