import { closedArcsOf, type Engine, firingAngle, inArc, UnknownPartError, valveEvents, wrap } from '../engine'
import { CELL_DEG, CELLS } from './grid'
import { type Likelihood, type Pair, type PositionModel, SLACK_CHANCE } from './model'
import type { Observation } from './observation'
import { placeLikelihood } from './places'

/** A blade that went strikes out “no clearance” for its valve, but for this. From memory. */
const STRUCK_OUT = 0.01
/** Chance that a closed valve with clearance refuses even the thinnest blade of a set. From memory. */
export const UNDER_THINNEST_CHANCE = 0.15
/**
 * The same, of a valve that refused it at an earlier place too: a thin gap lasts, so it is hardly news. From memory.
 */
export const UNDER_THINNEST_AGAIN_CHANCE = 0.6
/** Chance that push-rod ends look level: both valves down, both raised alike in overlap, or neither. */
const LEVEL_CHANCE = { closed: 0.95, overlap: 0.25, else: 0.05 }
/** Chance that neither valve stirs when the crank is rocked. */
const STILL_CHANCE = { closed: 0.95, else: 0.05 }
/** Chance of pressure at the plug hole, by whether the last half turn held the compression. */
const PRESSURE_CHANCE = { compression: 0.9, decompressed: 0.5, else: 0.05 }
/**
 * Compression is felt from this much before TDC on, and was part of the last half turn until so much after it. From
 * memory.
 */
const COMPRESSION_FELT = { fromDeg: -20, sweepDeg: 170 }

const indexOfValve = (engine: Engine, id: string): number => {
  const index = engine.valves.findIndex(v => v.id === id)
  if (index < 0) throw new UnknownPartError('valve', id)
  return index
}

const cells = (at: (deg: number) => number): Float64Array =>
  Float64Array.from({ length: CELLS }, (_, i) => at(i * CELL_DEG))
/** A table with each entry changed: a plain loop, for this runs at every answer. */
function each(table: Float64Array, of: (chance: number) => number): Float64Array {
  const changed = new Float64Array(CELLS)
  for (let i = 0; i < CELLS; i++) changed[i] = of(table[i]!)
  return changed
}
const either = (yes: boolean, chance: number): number => (yes ? chance : 1 - chance)
const bothWays = (table: Float64Array): Pair<Float64Array> => [table, table]

function feelLikelihood(model: PositionModel, o: Extract<Observation, { kind: 'rocker' | 'blade' }>): Likelihood {
  const valve = indexOfValve(model.engine, o.valveId)
  const tables = model.slackChance[valve]!
  const slack = o.kind === 'rocker' ? o.slack : o.went
  const thin = o.kind === 'blade' && o.again ? UNDER_THINNEST_AGAIN_CHANCE : UNDER_THINNEST_CHANCE
  const of = (chance: number) => (slack ? chance : o.kind === 'blade' ? 1 - chance * (1 - thin) : 1 - chance)
  const struck = o.kind === 'blade' && slack ? STRUCK_OUT : 1
  return { valve, usual: [each(tables[0], of), each(tables[1], of)], none: of(SLACK_CHANCE.noClearance) * struck }
}

/** Both valves of a cylinder closed, both raised alike, or neither, as tables over the grid. */
function cylinderTable(
  model: PositionModel,
  cylinderId: string,
  of: { closed: number; overlap: number; else: number },
): Pair<Float64Array> {
  const { engine } = model
  firingAngle(engine, cylinderId)
  const own = engine.valves.filter(v => v.cylinderId === cylinderId)
  const table = (decompressor: boolean) => {
    const arcs = own.map(valve => closedArcsOf(engine, valve, decompressor))
    const raised = own.map(valve => {
      const { opensDeg, closesDeg, rampDeg } = valveEvents(engine, valve.role)
      return {
        startDeg: wrap(firingAngle(engine, cylinderId) + opensDeg - rampDeg),
        sweepDeg: closesDeg - opensDeg + 2 * rampDeg,
      }
    })
    return cells(deg => {
      if (arcs.every(a => a.some(arc => inArc(arc, deg)))) return of.closed
      return raised.every(arc => inArc(arc, deg)) ? of.overlap : of.else
    })
  }
  return [table(false), table(true)]
}

/** An observation's likelihood, worked out. */
function fitting(model: PositionModel, o: Observation): Likelihood | null {
  switch (o.kind) {
    case 'rocker':
    case 'blade':
      return feelLikelihood(model, o)
    case 'seen':
      return { valve: -1, usual: bothWays(placeLikelihood(model.engine, o.place)), none: 0 }
    case 'push-rods': {
      const [a, b] = cylinderTable(model, o.cylinderId, LEVEL_CHANCE)
      return { valve: -1, usual: [a.map(c => either(o.level, c)), b.map(c => either(o.level, c))], none: 0 }
    }
    case 'rocked': {
      const [a, b] = cylinderTable(model, o.cylinderId, { ...STILL_CHANCE, overlap: STILL_CHANCE.else })
      return { valve: -1, usual: [a.map(c => either(o.still, c)), b.map(c => either(o.still, c))], none: 0 }
    }
    case 'thumb': {
      const firing = firingAngle(model.engine, o.cylinderId)
      const held = { startDeg: wrap(firing + COMPRESSION_FELT.fromDeg), sweepDeg: COMPRESSION_FELT.sweepDeg }
      const table = (chance: number) =>
        cells(deg => either(o.pressure, inArc(held, deg) ? chance : PRESSURE_CHANCE.else))
      return { valve: -1, usual: [table(PRESSURE_CHANCE.compression), table(PRESSURE_CHANCE.decompressed)], none: 0 }
    }
    default:
      return null
  }
}

/**
 * How well an observation fits each place of the crank, or null when it turned the crank or a screw.
 * @throws UnknownPartError for a valve, cylinder or mark that this engine does not have Source: error rates from memory
 *   or common practice, named above.
 */
export function likelihoodOf(model: PositionModel, o: Observation): Likelihood | null {
  const key = JSON.stringify(o)
  let known = model.likelihoods.get(key)
  if (known === undefined) model.likelihoods.set(key, (known = fitting(model, o)))
  return known
}
