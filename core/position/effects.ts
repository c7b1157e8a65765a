import type { Said } from '../said'
import { crankChance, nameOfAngle } from './arcs'
import { openBelief } from './belief'
import { findClash } from './clash'
import { folded, type LocateMemory } from './fold'
import { CELL_DEG, CELLS } from './grid'
import { locate, type Position } from './locate'
import type { PositionModel } from './model'
import { isCamSide, movesCrank, type Noted } from './observation'
import { segments } from './segments'

/** Where the crank most likely stands, as people call it, and how sure that is; null while it may be anywhere. */
export type Likeliest = { name: Said; probability: number } | null

/** What one answer did to the belief. */
export interface Effect {
  noted: Noted
  /** Where the crank most likely stood before and after it. */
  before: Likeliest
  after: Likeliest
  /** Information gained about the crank's place, in bits; 0 for a turn, which carries the belief along. */
  bits: number
  /** It counts for nothing: replaced by a later answer of the same thing, or said while the cam lagged. */
  idle: 'replaced' | 'turned back' | null
  clashes: boolean
}

/**
 * How far one belief about the crank lies from another, in bits: the Kullback–Leibler divergence of after from before.
 */
function gain(before: Float64Array, after: Float64Array): number {
  let bits = 0
  for (let i = 0; i < CELLS; i++)
    if (after[i]! > 1e-12) bits += after[i]! * Math.log2(after[i]! / Math.max(before[i]!, 1e-12))
  return Math.max(0, bits)
}

/** The chance counted with the likeliest angle reaches so far to each side. */
const NEAR_DEG = 30

function likeliestOf(model: PositionModel, chance: Float64Array): Likeliest {
  let peak = 0
  for (let i = 1; i < CELLS; i++) if (chance[i]! > chance[peak]!) peak = i
  if (chance[peak]! < 1.5 / CELLS) return null
  let probability = 0
  for (let off = -NEAR_DEG / CELL_DEG; off <= NEAR_DEG / CELL_DEG; off++)
    probability += chance[(peak + off + CELLS) % CELLS]!
  return { name: nameOfAngle(model.engine, peak * CELL_DEG), probability: Math.min(1, probability) }
}

/**
 * What each answer did to the belief, in working order: the reasons for where the crank is said to be.
 * @param noted all observations of the job Source: Kullback and Leibler, On information and sufficiency (1951), for the
 *   size of a step.
 */
export function effectsOf(model: PositionModel, noted: Noted[], memory?: LocateMemory): Effect[] {
  const kept = new Set(segments(noted).flatMap(s => (s.move ? [s.move, ...s.answers] : s.answers)))
  const before = { crank: crankChance(openBelief(model)), lashDeg: 0 }
  return noted.map((entry, i) => {
    const earlier = likeliestOf(model, before.crank)
    if (!kept.has(entry))
      return { noted: entry, before: earlier, after: earlier, bits: 0, idle: 'replaced', clashes: false }
    const lags = before.lashDeg > 0 && isCamSide(entry.observation)
    const upTo = noted.slice(0, i + 1).filter(n => kept.has(n))
    const now = folded(model, upTo, memory)
    const crank = crankChance(now.belief)
    const effect: Effect = {
      noted: entry,
      before: earlier,
      after: likeliestOf(model, crank),
      bits: movesCrank(entry.observation) ? 0 : gain(before.crank, crank),
      idle: lags ? 'turned back' : null,
      clashes: findClash(model, upTo, memory) !== null,
    }
    Object.assign(before, { crank, lashDeg: now.lashDeg })
    return effect
  })
}

/**
 * Where the crank would be said to be without some of the answers; a movement left out becomes one that nobody watched.
 */
export const locateWithout = (model: PositionModel, noted: Noted[], left: (entry: Noted) => boolean): Position =>
  locate(
    model,
    noted.flatMap(entry => {
      if (!left(entry)) return [entry]
      return movesCrank(entry.observation)
        ? [{ id: `${entry.id}-left-out`, observation: { kind: 'lost' as const } }]
        : []
    }),
  )
