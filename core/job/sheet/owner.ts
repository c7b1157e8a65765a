import type { Verdict } from '../../feeler'
import { type Said, say, type Text } from '../../said'
import { foundWords } from '../event-words'
import type { JobPin } from '../pin'
import { isProved } from '../requirements'
import type { Found, ValveState } from '../state'
import { readingIn } from '../state'
import { type JobView, verdictIn } from '../view'
import { valveNames } from '../words'

/** What it came for: what was chosen, then in its owner’s own words. */
export const complaintWords = ({ complaint, complaints }: Pick<JobPin, 'complaint' | 'complaints'>): Text =>
  complaints.length === 0 ? complaint : say('sheet.complaint', { complaints, words: complaint })

/** What became of each complaint. */
export const complaintLines = ({ pin, state }: JobView): Said[] =>
  pin.complaints
    .filter(c => c !== 'due')
    .map(complaint => say('sheet.cured', { complaint, result: state.complaintsAfter[complaint] ?? null }))

/** What was found, with its part and what is to become of it. */
export const findingWords = (found: Pick<Found, 'text' | 'part' | 'end' | 'about' | 'suspect'>): Text =>
  found.part === null && found.end === null
    ? foundWords(found)
    : say('sheet.finding', { part: found.part, words: foundWords(found), end: found.suspect ? null : found.end })

/** What the gauges said, before and after. */
export const pressureLines = ({ pin, state }: JobView): Said[] =>
  state.pressures.map(({ at: _, ...read }) =>
    say('sheet.pressure', {
      ...read,
      cylinder:
        pin.spec.engine.cylinders.length > 1
          ? (pin.spec.engine.cylinders.find(c => c.id === read.cylinderId)?.name ?? null)
          : null,
    }),
  )

/**
 * Two plain sentences for the owner: what was found and done, and whether it helped. What was not measured, or proves
 * nothing, is not claimed.
 */
export function forOwner(view: JobView): Said[] {
  const { pin, state } = view
  const names = valveNames(pin.spec.engine)
  const measured = state.valves.filter(v => readingIn(v, 'as found'))
  if (measured.length === 0) return []
  const as = (verdict: Verdict) =>
    measured.filter(v => verdictIn(pin, v, 'as found').verdict === verdict).map((v: ValveState) => names[v.valveId]!)
  const set = state.valves.filter(v => v.round > 0)
  const proved = (valve: ValveState) => isProved(view, valve)
  const asked = pin.complaints.filter(c => c !== 'due')
  const results = asked.map(c => state.complaintsAfter[c])
  return [
    say('owner.found', {
      measured: measured.length,
      of: pin.spec.engine.valves.length,
      tight: as('tight'),
      loose: as('loose'),
      unproved: as('unproved').length,
      set: set.length,
      setAndProved: set.filter(proved).length,
    }),
    ...(asked.length === 0 || results.every(r => r === undefined)
      ? []
      : [
          say('owner.helped', {
            valvesIn: state.valves.every(proved),
            results: asked.flatMap(complaint => {
              const result = state.complaintsAfter[complaint]
              return result ? [{ complaint, result }] : []
            }),
          }),
        ]),
  ]
}
