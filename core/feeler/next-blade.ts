import type { Clearance } from '../engine'
import { snapMm } from '../units'
import { clearanceInterval, latestTrials } from './interval'
import { judge, type JudgeOptions, limitsOf, targetOf } from './judge'
import { type Feel, FEELS, type HandBands, thickness, type Trial, USUAL_HAND, went } from './trial'

/** What is expected of a clearance before it is measured: a bell about the last as-left reading, or broad about the target. mm. */
export interface ClearancePrior { meanMm: number, sigmaMm: number }
const BROAD_SIGMA_MM = 0.05
/** A valve that is out is measured to an interval no wider than this, or as narrow as the set allows. */
export const OUT_READING_WIDTH_MM = 0.03
/** So many thicknesses near the limits are enough to choose from. */
const CANDIDATES = 24
const GRID_MM = 0.0025

export const broadPrior = (clearance: Clearance): ClearancePrior => ({ meanMm: targetOf(clearance), sigmaMm: BROAD_SIGMA_MM })

export interface BladeAdvice {
  bladesMm: number[]
  /** Trials still expected to a verdict, this one included. */
  expectedTrials: number
}

/** The state a verdict rests on: thickest blade that went, thinnest refused, as candidate indices; −1 none. */
interface State { goes: number, goesDrag: boolean, refused: number, refusedPinch: boolean }

/** What to try next on any state of one valve, worked out once for a set, a spec and an expectation. */
export type BladePolicy = (trials: Trial[]) => BladeAdvice | null

const outcomeAt = (clearanceMm: number, t: number, hand: HandBands): Feel =>
  clearanceMm < t - hand.pinchMm ? 'no-go' : clearanceMm < t ? 'pinched' : clearanceMm < t + hand.dragMm ? 'drag' : 'free'

/**
 * The blade that settles a verdict in the fewest expected trials from this set: dynamic programming over what the thickest
 * blade that went and the thinnest that was refused leave possible. A tie goes to the thicker blade.
 * @param bladesMm the set, mm on the grid, thinnest first, at least one
 * @returns a policy; it answers null when nothing is left to settle
 */
export function bladePolicy(bladesMm: number[], clearance: Clearance, options: JudgeOptions & { prior?: ClearancePrior } = {}): BladePolicy {
  const hand = options.hand ?? USUAL_HAND
  const prior = options.prior ?? broadPrior(clearance)
  const centreMm = targetOf(clearance)
  const candidates = [...bladesMm].sort((a, b) => Math.abs(a - centreMm) - Math.abs(b - centreMm)).slice(0, CANDIDATES).sort((a, b) => a - b)
  const topMm = Math.max(...candidates, limitsOf(clearance)?.maxMm ?? centreMm) + 0.1
  const gaps = Array.from({ length: Math.ceil(topMm / GRID_MM) }, (_, i) => snapMm((i + 0.5) * GRID_MM))
  // a floor under the bell: a gap may be anywhere, however the last visit left it
  const weights = gaps.map(gap => Math.exp(-0.5 * ((gap - prior.meanMm) / prior.sigmaMm) ** 2) + 0.02)
  const outcomes = candidates.map(t => gaps.map(gap => FEELS.indexOf(outcomeAt(gap, t, hand))))

  const trialsOf = (state: State): Trial[] => [
    ...state.goes >= 0 ? [{ id: '', bladesMm: [candidates[state.goes]!], feel: state.goesDrag ? 'drag' as const : 'free' as const }] : [],
    ...state.refused >= 0 ? [{ id: '', bladesMm: [candidates[state.refused]!], feel: state.refusedPinch ? 'pinched' as const : 'no-go' as const }] : [],
  ]
  const after = (state: State, blade: number, feel: Feel): State => feel === 'free' || feel === 'drag'
    ? blade > state.goes ? { ...state, goes: blade, goesDrag: feel === 'drag' } : state
    : state.refused < 0 || blade < state.refused ? { ...state, refused: blade, refusedPinch: feel === 'pinched' } : state
  const tellsMore = (state: State, blade: number): boolean => blade > state.goes && (state.refused < 0 || blade < state.refused)

  const settled = (state: State): boolean => {
    const trials = trialsOf(state)
    const { verdict, reading } = judge(trials, clearance, options)
    if (verdict === 'in') return true
    if (!candidates.some((_, blade) => tellsMore(state, blade))) return true
    if (verdict === 'unproved') return false
    return reading.hiMm !== null && snapMm(reading.hiMm - reading.loMm) <= OUT_READING_WIDTH_MM
  }

  const memory = new Map<string, { trials: number, blade: number }>()
  const best = (state: State): { trials: number, blade: number } => {
    const key = `${state.goes}${state.goesDrag ? 'd' : 'f'}${state.refused}${state.refusedPinch ? 'p' : 'n'}`
    const known = memory.get(key)
    if (known) return known
    let choice = { trials: 0, blade: -1 }
    if (!settled(state)) {
      const { loMm, hiMm } = clearanceInterval(trialsOf(state), hand)
      const possible = gaps.map((_, i) => i).filter(i => gaps[i]! >= loMm && (hiMm === null || gaps[i]! < hiMm))
      const total = possible.reduce((sum, i) => sum + weights[i]!, 0)
      choice = { trials: Infinity, blade: -1 }
      candidates.forEach((_, blade) => {
        if (!tellsMore(state, blade)) return
        const chance = [0, 0, 0, 0]
        for (const i of possible) chance[outcomes[blade]![i]!]! += weights[i]!
        let expected = 1
        for (const [o, weight] of chance.entries()) if (weight > 0) expected += weight / total * best(after(state, blade, FEELS[o]!)).trials
        if (expected <= choice.trials + 1e-9) choice = { trials: expected, blade }
      })
      if (choice.blade < 0) choice = { trials: 0, blade: -1 }
    }
    memory.set(key, choice)
    return choice
  }

  return (trials) => {
    const judgement = judge(trials, clearance, options)
    const doubted = judgement.reading.contradiction?.[1]
    if (doubted) return { bladesMm: doubted.bladesMm, expectedTrials: 1 }
    const state = latestTrials(trials).reduce<State>((s, trial) => {
      const t = thickness(trial)
      // a blade that is no candidate counts as the nearest one that proves no more than it
      const index = went(trial) ? candidates.findLastIndex(c => c <= t) : candidates.findIndex(c => c >= t)
      return index < 0 ? s : after(s, index, candidates[index] === t ? trial.feel : went(trial) ? 'free' : 'no-go')
    }, { goes: -1, goesDrag: false, refused: -1, refusedPinch: false })
    if (judgement.verdict === 'in') return null
    const { trials: expectedTrials, blade } = best(state)
    return blade < 0 ? null : { bladesMm: [candidates[blade]!], expectedTrials }
  }
}

/** The next blade for trials already made; for several valves of a job keep a `bladePolicy` instead. */
export const nextBlade = (bladesMm: number[], trials: Trial[], clearance: Clearance, options: JudgeOptions & { prior?: ClearancePrior } = {}): BladeAdvice | null =>
  bladePolicy(bladesMm, clearance, options)(trials)

/**
 * The blade to set a valve with: the one whose light drag ends nearest the target and lies inside the spec.
 * @returns its thickness in mm, or null when the set has no such blade and the setting could not be proved with it
 */
export function settingBlade(bladesMm: number[], clearance: Clearance, hand: HandBands = USUAL_HAND): number | null {
  const limits = limitsOf(clearance)
  const targetMm = targetOf(clearance)
  const fits = bladesMm.filter(t => limits ? t >= limits.minMm && t <= limits.maxMm : Math.abs(snapMm(t - targetMm)) <= 0.005)
  // a drag leaves 0 to 0.015 more than the blade; for a bare figure the drag at the figure is the spec itself
  const ends = (t: number) => Math.abs(t + (limits ? hand.dragMm / 2 : 0) - targetMm)
  return fits.sort((a, b) => ends(a) - ends(b) || b - a)[0] ?? null
}
