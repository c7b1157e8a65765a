import { movesCrank, type Noted, replaces, saidAlready } from './observation'

/** One crank place: the movement that led to it, and the answers given there, the last of each kind. */
export interface Segment {
  move: Noted | null
  answers: Noted[]
}

/**
 * Splits a job's observations at its crank movements; in each piece a later answer takes the place of the same earlier
 * one.
 */
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

/** The answers given since the crank last moved. */
export const answersHere = (noted: Noted[]): Noted[] => segments(noted).at(-1)!.answers
