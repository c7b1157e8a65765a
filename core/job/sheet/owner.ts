import { pointsTo } from '../../complaint'
import { say, type Said, type Text } from '../../said'
import { foundWords } from '../event-words'
import type { JobPin } from '../pin'
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
export const findingWords = (found: Found): Text =>
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

/** Two plain sentences for the owner: what was found and done, and whether it helped. */
export function forOwner(view: JobView): Said[] {
  const { pin, state } = view
  const names = valveNames(pin.spec.engine)
  const measured = state.valves.filter(v => readingIn(v, 'as found'))
  if (measured.length === 0) return []
  const as = (verdict: 'tight' | 'loose') =>
    measured.filter(v => verdictIn(pin, v, 'as found').verdict === verdict).map((v: ValveState) => names[v.valveId]!)
  const set = state.valves.filter(v => v.round > 0).length
  const asked = pin.complaints.filter(c => c !== 'due')
  const results = asked.map(c => state.complaintsAfter[c])
  return [
    say('owner.found', { tight: as('tight'), loose: as('loose'), set, of: pin.spec.engine.valves.length }),
    ...(asked.length === 0 || results.every(r => r === undefined)
      ? []
      : [
          say('owner.helped', {
            results: asked.flatMap(complaint => {
              const result = state.complaintsAfter[complaint]
              return result ? [{ complaint, result, valves: pointsTo(complaint).length > 0 }] : []
            }),
          }),
        ]),
  ]
}
