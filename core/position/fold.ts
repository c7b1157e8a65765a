import { observe } from './apply'
import { type Belief, meanWay, openBelief } from './belief'
import type { PositionModel } from './model'
import { isCamSide, movesCrank, type Noted } from './observation'
import { markRepeats, type Weighed } from './repeats'
import { segments } from './segments'

/** After a backward turn the cam lags behind the crank until so much forward has been turned. From memory. */
export const LASH_DEG = 30

/** A belief, and how much must still be turned forward until cam and valves can be believed again. */
export interface Folded {
  belief: Belief
  lashDeg: number
}

/**
 * Snapshots of the belief, and which answers did not fit, so that one answer more, or one less, does not fold the whole
 * job again; and the last place found with each model, for most answers of a job say nothing of the crank. Snapshots
 * and surprises go by what was seen, not by who saw it when: an answer that was foreseen is found again once it is
 * given. `names` has a short name for each thing that was seen.
 */
export interface LocateMemory<Found = unknown> {
  snapshots: Map<string, Folded>
  surprises: Map<string, boolean>
  last: Map<PositionModel, { key: string; found: Found }>
  names: Map<string, string>
}
/** An empty memory of beliefs, for one job. */
export const locateMemory = (): LocateMemory => ({
  snapshots: new Map(),
  surprises: new Map(),
  last: new Map(),
  names: new Map(),
})

/** The name of what was seen or felt: the same for the same. */
export function nameOf(memory: LocateMemory, { observation, again }: Weighed): string {
  const content = JSON.stringify([observation, again])
  const known = memory.names.get(content)
  if (known !== undefined) return known
  const name = memory.names.size.toString(36)
  memory.names.set(content, name)
  return name
}

function lashAfter(model: PositionModel, { belief, lashDeg }: Folded, { observation }: Noted): number {
  if (!movesCrank(observation)) return lashDeg
  if (observation.kind === 'turn' && observation.deg < 0) return LASH_DEG
  return lashDeg === 0 ? 0 : Math.max(0, lashDeg - meanWay(model, belief, observation))
}

/** One observation more. What hangs on the cam says nothing while the cam lags behind. */
function step(model: PositionModel, folded: Folded, entry: Weighed): Folded {
  if (folded.lashDeg > 0 && isCamSide(entry.observation)) return folded
  return {
    belief: observe(model, folded.belief, entry.observation, entry.again),
    lashDeg: lashAfter(model, folded, entry),
  }
}

/** As many as two long jobs have: a twin's belief takes some 0.4 MB. */
const MOST_SNAPSHOTS = 120

/** What the job now stands on is forgotten last: after what was only foreseen, or was undone. */
function touch({ snapshots }: LocateMemory, keys: string[]): void {
  for (const key of keys) {
    const snapshot = snapshots.get(key)
    if (!snapshot) continue
    snapshots.delete(key)
    snapshots.set(key, snapshot)
  }
}

/** The belief after all observations, from the nearest snapshot. */
export function folded(model: PositionModel, noted: Noted[], memory = locateMemory()): Folded {
  const pieces = markRepeats(model.engine, segments(noted))
  const entries: Weighed[] = pieces.flatMap(s => (s.move ? [s.move, ...s.answers] : s.answers))
  const keys: string[] = []
  for (const entry of entries) keys.push(`${keys.at(-1) ?? ''}|${nameOf(memory, entry)}`)
  let known = entries.length
  while (known > 0 && !memory.snapshots.has(keys[known - 1]!)) known--
  touch(memory, keys.slice(0, known))
  let now = known > 0 ? memory.snapshots.get(keys[known - 1]!)! : { belief: openBelief(model), lashDeg: 0 }
  for (let i = known; i < entries.length; i++) {
    now = step(model, now, entries[i]!)
    memory.snapshots.set(keys[i]!, now)
  }
  forget(memory)
  return now
}

/** A flag each: more than a job ever asks for. */
const MOST_SURPRISES = 2000

/** Drops the oldest of what is kept. */
function forget({ snapshots, surprises }: LocateMemory): void {
  for (const key of surprises.keys()) {
    if (surprises.size <= MOST_SURPRISES) break
    surprises.delete(key)
  }
  for (const key of snapshots.keys()) {
    if (snapshots.size <= MOST_SNAPSHOTS) return
    snapshots.delete(key)
  }
}

/**
 * What is believed of the crank after all that was noted, in its order.
 * @param memory what was worked out for earlier answers is not worked out again
 */
export const beliefAfter = (model: PositionModel, noted: Noted[], memory?: LocateMemory): Belief =>
  folded(model, noted, memory).belief
