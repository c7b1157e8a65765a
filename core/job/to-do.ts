import type { JobState } from './job-state'
import type { EarlierFinding, JobPin } from './pin'

/**
 * What a job leaves to be done: what it found and nobody did, and what earlier visits left of which nobody said
 * anything. It is asked about at the machine's next visit.
 */
export function toDoAfter(pin: JobPin, state: JobState): EarlierFinding[] {
  const found = state.findings.flatMap(({ text, at, part, end, about, suspect, since }): EarlierFinding[] =>
    end === 'to do' || end === 'not to be had'
      ? [since ?? { jobNumber: pin.number, date: at.slice(0, 10), text, part, end, about, suspect }]
      : [],
  )
  const unsaid = pin.toDo.filter((_, i) => state.earlier[i] === undefined)
  return [...unsaid, ...found]
}
