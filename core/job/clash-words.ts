import { answersHere, type Noted, type Observation } from '../position'
import { type Said, say } from '../said'
import { eventIdOf, notedWords, observationWords } from './event-words'
import type { JobView } from './view'

/**
 * Two things that cannot both be so: the newest answer and what it does not fit, each in words, the one that costs
 * least to look at again, or null where none can be, and what to do.
 */
export interface ClashWords {
  newest: Said
  newestId: string
  against: { id: string; words: Said }[]
  lookAgain: Said | null
  advice: Said
}

/** Feeling again costs least, then looking; a turn cannot be looked at again. */
const COST: Partial<Record<Observation['kind'], number>> = {
  'rocker': 1,
  'blade': 1,
  'push-rods': 1,
  'rocked': 1,
  'seen': 2,
  'thumb': 4,
}

/**
 * Of two answers that cannot both be so, the one that costs least to look at again without turning; null where none
 * clash, or none can be.
 */
export function cheapestToLookAtAgain({
  position: { clash },
  state,
}: Pick<JobView, 'position' | 'state'>): Noted | null {
  if (!clash) return null
  // by their ids: what was located before is kept, with the facts as they were then
  const here = new Set(answersHere(state.noted).map(n => n.id))
  const can = [...clash.newest, ...clash.against].filter(n => here.has(n.id) && COST[n.observation.kind] !== undefined)
  return can.sort((a, b) => COST[a.observation.kind]! - COST[b.observation.kind]!)[0] ?? null
}

/** Each thing once. */
const once = (said: Said[]): Said[] => [...new Map(said.map(s => [JSON.stringify(s), s])).values()]

/** The present clash as facts, or null. */
export function clashWords(view: JobView): ClashWords | null {
  const { clash } = view.position
  if (!clash) return null
  const { engine } = view.pin.spec
  const again = cheapestToLookAtAgain(view)
  return {
    // one thing may have been noted twice: felt, and told by a blade that was refused
    newest: say('said.all', {
      of: once(clash.newest.map(n => observationWords(engine, n.observation))),
      joint: ' and ',
    }),
    newestId: eventIdOf(clash.newest.at(-1)!.id),
    against: clash.against.map(n => ({ id: eventIdOf(n.id), words: notedWords(engine, n.observation) })),
    lookAgain: again ? observationWords(engine, again.observation) : null,
    advice: again ? say('clash.look-or-undo') : say('clash.undo-one'),
  }
}
