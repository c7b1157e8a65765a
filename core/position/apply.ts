import { signedWay, UnknownPartError } from '../engine'
import { type Belief, giveClearance, moved, normal } from './belief'
import { likelihoodOf } from './evidence'
import { CELL_DEG, CELLS } from './grid'
import type { Likelihood, PositionModel } from './model'
import { movesCrank, type Observation } from './observation'
import { ONE_PLACE_DEG, type Weighed } from './repeats'

/**
 * The likelihood's chance under one hypothesis at one cell, summed over a belief's mass: how probable the observation
 * is.
 */
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

/**
 * Probability of several observations together with the crank anywhere, under the priors of valves and decompressor.
 */
export function predictiveAnywhere(model: PositionModel, observations: Observation[]): number {
  const key = JSON.stringify(observations)
  let known = model.anywhere.get(key)
  if (known === undefined) model.anywhere.set(key, (known = meanFit(model, observations)))
  return known
}

function meanFit(model: PositionModel, observations: Observation[]): number {
  const said = observations.map(o => likelihoodOf(model, o)).filter(l => l !== null)
  const fits = new Float64Array(CELLS)
  return model.hypotheses.reduce((sum, { noClearance, decompressor, prior }) => {
    fits.fill(1)
    for (const { valve, usual, none } of said) {
      const table = valve >= 0 && noClearance.includes(valve) ? null : usual[decompressor]
      for (let i = 0; i < CELLS; i++) fits[i]! *= table ? table[i]! : none
    }
    let mean = 0
    for (let i = 0; i < CELLS; i++) mean += fits[i]!
    return sum + (prior * mean) / CELLS
  }, 0)
}

/** The belief weighed by how well an observation fits. */
function weigh(model: PositionModel, { mass }: Belief, { valve, usual, none }: Likelihood): Belief {
  const next = new Float64Array(mass.length)
  for (let h = 0; h < model.hypotheses.length; h++) {
    const { noClearance, decompressor } = model.hypotheses[h]!
    const table = usual[decompressor]
    const start = h * CELLS
    if (valve >= 0 && noClearance.includes(valve))
      for (let i = 0; i < CELLS; i++) next[start + i] = mass[start + i]! * none
    else for (let i = 0; i < CELLS; i++) next[start + i] = mass[start + i]! * table[i]!
  }
  return normal(next)
}

/**
 * What is felt again where it was felt so before, is felt so again: so often, whatever the valve is like. From memory.
 */
const AGAIN_ALIKE = 0.97

/**
 * A feel that was given alike before says nothing new of valve and hand within that place; elsewhere what it always
 * says.
 */
function weighAgain(
  model: PositionModel,
  before: Belief,
  likelihood: Likelihood,
  { atDeg, period }: NonNullable<Weighed['again']>,
): Belief {
  const { valve, usual, none } = likelihood
  const within = Array.from(
    { length: CELLS },
    (_, i) => Math.abs(signedWay(atDeg, i * CELL_DEG, period)) <= ONE_PLACE_DEG,
  )
  const next = before.mass.map((mass, at) => {
    const i = at % CELLS
    const { noClearance, decompressor } = model.hypotheses[(at - i) / CELLS]!
    return mass * (within[i] ? AGAIN_ALIKE : valve >= 0 && noClearance.includes(valve) ? none : usual[decompressor][i]!)
  })
  return normal(next)
}

/**
 * The belief after one observation more.
 * @param again where it was given alike before
 * @throws UnknownPartError for a valve, cylinder or mark that this engine does not have
 */
export function observe(
  model: PositionModel,
  belief: Belief,
  observation: Observation,
  again?: Weighed['again'],
): Belief {
  if (movesCrank(observation)) return moved(model, belief, observation)
  const likelihood = likelihoodOf(model, observation)
  if (likelihood && again) return weighAgain(model, belief, likelihood, again)
  if (likelihood) return weigh(model, belief, likelihood)
  const valve = observation.kind === 'screw-set' ? model.engine.valves.findIndex(v => v.id === observation.valveId) : -1
  if (valve < 0) throw new UnknownPartError('valve', observation.kind === 'screw-set' ? observation.valveId : '')
  return giveClearance(model, belief, valve)
}
