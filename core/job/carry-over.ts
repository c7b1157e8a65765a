import sameData from 'fast-deep-equal'
import { type Said, say } from '../said'
import type { JobEvent } from './event'
import type { Happening } from './events'
import { type JobPin, setNamed } from './pin'

/** What may stand in a job that nobody has begun to work on. */
const SAYS_NOTHING: ReadonlySet<JobEvent['type']> = new Set(['note', 'held', 'resumed', 'taken-over', 'retracted'])

/** Blades by which something was measured in a job: those of each trial, and those that were taken in hand. */
function setsUsed(pin: JobPin, answers: readonly Happening[]): Set<string> {
  const used = new Set<string>()
  for (const { type, payload } of answers) {
    if (type === 'trial') used.add(payload.set ?? pin.bladeSet.name)
    if (type === 'blades-taken') used.add(payload.set)
  }
  return used
}

/**
 * Why answers that were given in one job of a machine may not be carried over into another that is open on it; null
 * where they mean the same there: nobody has worked in it, and it goes by the same figures and has the same blades.
 * Two hands' work on one engine is never laid over each other.
 * @param log of the job that is open
 */
export function carryRefused(
  here: JobPin,
  answers: readonly Happening[],
  there: JobPin,
  log: readonly JobEvent[],
): Said | null {
  const worked = log.find(event => !SAYS_NOTHING.has(event.type))
  if (worked) return say('carry.answered-there', { person: worked.personName })
  if (here.spec.revisionId !== there.spec.revisionId)
    return say('carry.other-spec', { own: here.spec.revision, theirs: there.spec.revision })
  for (const set of setsUsed(here, answers))
    if (!sameData(setNamed(there, set), setNamed(here, set))) return say('carry.other-blades', { set })
  return null
}

/** The set that was in hand last. */
export const lastInHand = (pin: JobPin, answers: readonly Happening[]): string =>
  answers.reduce((inHand, { type, payload }) => (type === 'blades-taken' ? payload.set : inHand), pin.bladeSet.name)
