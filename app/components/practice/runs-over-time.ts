import type { Slip } from '~~/core/practice'
import type { RunOverTime } from '~~/shared/practice'

/** Who has runs on record, by name. */
export const peopleOf = (runs: readonly RunOverTime[]): { id: number; name: string }[] =>
  [...new Map(runs.map(r => [r.personId, { id: r.personId, name: r.person }])).values()].sort((a, b) =>
    a.name.localeCompare(b.name),
  )

/** How often each kind of mistake was made, the commonest first; runs that did not keep it count for none. */
export function slipCounts(runs: readonly RunOverTime[], most: number): { slip: Slip; runs: number }[] {
  const counts = new Map<Slip, number>()
  for (const slip of runs.flatMap(r => r.slips ?? [])) counts.set(slip, (counts.get(slip) ?? 0) + 1)
  return [...counts]
    .map(([slip, n]) => ({ slip, runs: n }))
    .sort((a, b) => b.runs - a.runs)
    .slice(0, most)
}

/** The middle score of the first and of the last few runs: one lucky run is no progress. Null for too few runs. */
export function progressOf(runs: readonly RunOverTime[], few = 3): { first: number; last: number } | null {
  if (runs.length < 2 * few) return null
  const middle = (some: readonly RunOverTime[]) => some.map(r => r.score).sort((a, b) => a - b)[Math.floor(few / 2)]!
  return { first: middle(runs.slice(0, few)), last: middle(runs.slice(-few)) }
}
