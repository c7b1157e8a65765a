import { predictive, predictiveAnywhere } from './apply'
import { folded, type LocateMemory, locateMemory, nameOf } from './fold'
import type { PositionModel } from './model'
import { isCamSide, movesCrank, type Noted } from './observation'
import { segments } from './segments'

/**
 * Things that can hardly all be so: the newest answer, with others of one breath where only together they do not fit,
 * and the smallest set of earlier ones that they clash with.
 */
export interface Clash {
  newest: Noted[]
  against: Noted[]
}

/** A new observation clashes when it is this much less likely than it would be with the crank anywhere. */
const CLASH_RATIO = 0.05
/** One culprit is looked for among so many earlier observations, two among the latest of them. */
const SUSPECTS_MOST = 12
const PAIRED_MOST = 6

/** Whether answers given one after the other at one place do not fit what went before. */
function surprise(model: PositionModel, earlier: Noted[], newest: Noted[], memory: LocateMemory): boolean {
  const named = (noted: Noted[]) => noted.map(n => nameOf(memory, n)).join('|')
  const key = `${named(earlier)}>${named(newest)}`
  let known = memory.surprises.get(key)
  if (known === undefined) {
    known = surprising(model, earlier, newest, memory)
    memory.surprises.set(key, known)
  }
  return known
}

function surprising(model: PositionModel, earlier: Noted[], newest: Noted[], memory: LocateMemory): boolean {
  let chance = 1
  for (const [i, { observation }] of newest.entries()) {
    const { belief, lashDeg } = folded(model, [...earlier, ...newest.slice(0, i)], memory)
    if (lashDeg > 0 && isCamSide(observation)) return false
    chance *= predictive(model, belief, observation)
  }
  return (
    chance <
    CLASH_RATIO *
      predictiveAnywhere(
        model,
        newest.map(n => n.observation),
      )
  )
}

/** The observations without the chosen ones. A movement is not taken out: it becomes one of unknown size. */
const without = (noted: Noted[], chosen: Noted[]): Noted[] =>
  noted.flatMap(entry => {
    if (!chosen.includes(entry)) return [entry]
    return movesCrank(entry.observation) ? [{ id: `${entry.id}-lost`, observation: { kind: 'lost' as const } }] : []
  })

/** The earlier observations that explain a surprise: the fewest whose removal ends it, at most two. */
function culprits(model: PositionModel, earlier: Noted[], newest: Noted[], memory: LocateMemory): Noted[] {
  const suspects = earlier
    .filter(e => e.observation.kind !== 'lost' && e.observation.kind !== 'screw-set')
    .slice(-SUSPECTS_MOST)
    .reverse()
  const explains = (chosen: Noted[]) => !surprise(model, without(earlier, chosen), newest, memory)
  const one = suspects.find(s => explains([s]))
  if (one) return [one]
  const recent = suspects.slice(0, PAIRED_MOST)
  for (const [i, a] of recent.entries()) {
    const b = recent.slice(i + 1).find(s => explains([a, s]))
    if (b) return [a, b]
  }
  return suspects
}

/**
 * Whether an answer given since the crank last moved contradicts what went before it, and what with; the latest such.
 * Any first mark is improbable in itself, so an answer is held against what a belief without position would have given.
 * Two rockers are felt in one breath: each may pass for a slip of the hand, and both together may not; and the second
 * must not hide that the first did not fit.
 * @returns null when nothing clashes; at most two earlier observations are named where so few explain it
 */
export function findClash(model: PositionModel, noted: Noted[], memory = locateMemory()): Clash | null {
  const kept = segments(noted).flatMap(s => (s.move ? [s.move, ...s.answers] : s.answers))
  const first = kept.findLastIndex(n => movesCrank(n.observation)) + 1
  const clashFrom = (from: number, newest: Noted[]): Clash | null => {
    const earlier = kept.slice(0, from)
    return from > 0 && newest.length > 0 && surprise(model, earlier, newest, memory)
      ? { newest, against: culprits(model, earlier, newest, memory) }
      : null
  }
  for (let i = kept.length - 1; i >= first; i--) {
    const found = kept[i]!.observation.kind === 'screw-set' ? null : clashFrom(i, [kept[i]!])
    if (found) return found
  }
  const screw = kept.findLastIndex(n => n.observation.kind === 'screw-set') + 1
  return clashFrom(Math.max(first, screw), kept.slice(Math.max(first, screw)))
}
