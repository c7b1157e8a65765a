import { predictive, predictiveAnywhere } from './apply'
import { folded, type LocateMemory, segments } from './fold'
import type { PositionModel } from './model'
import { isCamSide, movesCrank, type Noted } from './observation'

/** Two things that can hardly both be so: the newest observation, and the smallest set of earlier ones that it clashes with. */
export interface Clash { newest: Noted, against: Noted[] }

/** A new observation clashes when it is this much less likely than it would be with the crank anywhere. */
const CLASH_RATIO = 0.05
/** One culprit is looked for among so many earlier observations, two among the latest of them. */
const SUSPECTS_MOST = 12
const PAIRED_MOST = 6

function surprise(model: PositionModel, earlier: Noted[], newest: Noted, memory?: LocateMemory): boolean {
  const { belief, lashDeg } = folded(model, earlier, memory)
  if (lashDeg > 0 && isCamSide(newest.observation)) return false
  return predictive(model, belief, newest.observation) < CLASH_RATIO * predictiveAnywhere(model, newest.observation)
}

/** The observations without the chosen ones. A movement is not taken out: it becomes one of unknown size. */
const without = (noted: Noted[], chosen: Noted[]): Noted[] => noted.flatMap((entry) => {
  if (!chosen.includes(entry)) return [entry]
  return movesCrank(entry.observation) ? [{ id: `${entry.id}-lost`, observation: { kind: 'lost' as const } }] : []
})

/**
 * Whether the newest answer contradicts what went before, and what with.
 * Any first mark is improbable in itself, so the newest is held against what a belief without position would have given.
 * @returns null when nothing clashes or the newest entry turned the crank; at most two earlier observations are named
 */
export function findClash(model: PositionModel, noted: Noted[], memory?: LocateMemory): Clash | null {
  const kept = segments(noted).flatMap(s => s.move ? [s.move, ...s.answers] : s.answers)
  const newest = kept.at(-1)
  if (!newest || movesCrank(newest.observation) || newest.observation.kind === 'screw-set') return null
  const earlier = kept.slice(0, -1)
  if (earlier.length === 0 || !surprise(model, earlier, newest, memory)) return null
  const suspects = earlier.filter(e => e.observation.kind !== 'lost' && e.observation.kind !== 'screw-set').slice(-SUSPECTS_MOST).reverse()
  const explains = (chosen: Noted[]) => !surprise(model, without(earlier, chosen), newest, memory)
  const one = suspects.find(s => explains([s]))
  if (one) return { newest, against: [one] }
  const recent = suspects.slice(0, PAIRED_MOST)
  for (const [i, a] of recent.entries()) {
    const b = recent.slice(i + 1).find(s => explains([a, s]))
    if (b) return { newest, against: [a, b] }
  }
  return { newest, against: suspects }
}
