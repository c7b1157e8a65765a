import { UnknownPartError } from '../engine'
import { type Belief, giveClearance, moved, normal } from './belief'
import { type Likelihood, likelihoodOf } from './evidence'
import { CELLS } from './grid'
import type { PositionModel } from './model'
import { movesCrank, type Observation } from './observation'

/** The likelihood's chance under one hypothesis at one cell, summed over a belief's mass: how probable the observation is. */
function weighed(model: PositionModel, mass: Float64Array, { valve, usual, none }: Likelihood): number {
  let sum = 0
  for (let h = 0; h < model.hypotheses.length; h++) {
    const { noClearance, decompressor } = model.hypotheses[h]!
    const table = usual[decompressor]
    const start = h * CELLS
    if (valve >= 0 && noClearance.includes(valve)) for (let i = 0; i < CELLS; i++) sum += mass[start + i]! * none
    else for (let i = 0; i < CELLS; i++) sum += mass[start + i]! * table[i]!
  }
  return sum
}

/** Probability of an observation under a belief; 1 for observations that turn the crank or a screw. */
export function predictive(model: PositionModel, { mass }: Belief, observation: Observation): number {
  const likelihood = likelihoodOf(model, observation)
  return likelihood ? weighed(model, mass, likelihood) : 1
}

const meanOf = (table: Float64Array): number => {
  let sum = 0
  for (let i = 0; i < CELLS; i++) sum += table[i]!
  return sum / CELLS
}

/** Probability of an observation with the crank anywhere, under the priors of valves and decompressor. */
export function predictiveAnywhere(model: PositionModel, observation: Observation): number {
  const likelihood = likelihoodOf(model, observation)
  if (!likelihood) return 1
  const { valve, usual, none } = likelihood
  const mean = [meanOf(usual[0]), meanOf(usual[1])]
  return model.hypotheses.reduce((sum, h) => sum + h.prior * (valve >= 0 && h.noClearance.includes(valve) ? none : mean[h.decompressor]!), 0)
}

/** The belief weighed by how well an observation fits. */
function weigh(model: PositionModel, { mass }: Belief, { valve, usual, none }: Likelihood): Belief {
  const next = new Float64Array(mass.length)
  for (let h = 0; h < model.hypotheses.length; h++) {
    const { noClearance, decompressor } = model.hypotheses[h]!
    const table = usual[decompressor]
    const start = h * CELLS
    if (valve >= 0 && noClearance.includes(valve)) for (let i = 0; i < CELLS; i++) next[start + i] = mass[start + i]! * none
    else for (let i = 0; i < CELLS; i++) next[start + i] = mass[start + i]! * table[i]!
  }
  return normal(next)
}

/**
 * The belief after one observation more.
 * @throws UnknownPartError for a valve, cylinder or mark that this engine does not have
 */
export function observe(model: PositionModel, belief: Belief, observation: Observation): Belief {
  if (movesCrank(observation)) return moved(model, belief, observation)
  const likelihood = likelihoodOf(model, observation)
  if (likelihood) return weigh(model, belief, likelihood)
  const valve = observation.kind === 'screw-set' ? model.engine.valves.findIndex(v => v.id === observation.valveId) : -1
  if (valve < 0) throw new UnknownPartError('valve', observation.kind === 'screw-set' ? observation.valveId : '')
  return giveClearance(model, belief, valve)
}

