import { observe } from './apply'
import { type Belief, openBelief } from './belief'
import type { PositionModel } from './model'
import { movesCrank, type Noted, replaces, saidAlready } from './observation'

/** Snapshots of the belief at crank movements, so that one answer more, or one less, does not fold the whole job again. */
export interface LocateMemory { snapshots: Map<string, Belief> }
export const locateMemory = (): LocateMemory => ({ snapshots: new Map() })

/** One crank place: the movement that led to it, and the answers given there, the last of each kind. */
interface Segment { move: Noted | null, answers: Noted[] }

/** Splits a job's observations at its crank movements; in each piece a later answer takes the place of the same earlier one. */
export function segments(noted: Noted[]): Segment[] {
  const all: Segment[] = [{ move: null, answers: [] }]
  for (const entry of noted) {
    if (movesCrank(entry.observation)) all.push({ move: entry, answers: [] })
    else {
      const here = all.at(-1)!
      if (here.answers.some(a => saidAlready(entry.observation, a.observation))) continue
      here.answers = [...here.answers.filter(a => !replaces(entry.observation, a.observation)), entry]
    }
  }
  return all
}

/** The belief after all observations, from the nearest snapshot. */
export function beliefAfter(model: PositionModel, noted: Noted[], memory?: LocateMemory): Belief {
  let belief = openBelief(model)
  let key = ''
  for (const segment of segments(noted)) {
    if (segment.move) {
      key += `|${segment.move.id}`
      belief = memory?.snapshots.get(key) ?? observe(model, belief, segment.move.observation)
      memory?.snapshots.set(key, belief)
    }
    for (const answer of segment.answers) {
      key += `,${answer.id}`
      const known = memory?.snapshots.get(key)
      belief = known ?? observe(model, belief, answer.observation)
      if (!known) memory?.snapshots.set(key, belief)
    }
  }
  if (memory && memory.snapshots.size > 400) memory.snapshots.clear()
  return belief
}
