import { valveById } from '../../engine'
import { thickness, type Trial } from '../../feeler'
import { type Said, say } from '../../said'
import { eventWords } from '../event-words'
import type { Phase, ValveState } from '../state'
import type { JobView } from '../view'
import { phaseWords } from '../words'
import { nameOf } from './trials'

/** Trials that speak of one gap: those before a lock are kept by the angle of the screw. */
const setsOfTrials = ({ readings, elsewhere, tries }: ValveState): { phase: Phase; trials: Trial[] }[] => [
  ...[...readings, ...elsewhere].filter(r => r.phase !== 'before lock'),
  ...tries.map(({ trials }) => ({ phase: 'before lock' as const, trials })),
]

/** What was corrected: blades that felt otherwise when tried again, and answers taken back. */
export function correctionsOf({ pin, state }: JobView): Said[] {
  const { engine } = pin.spec
  const again = state.valves.flatMap(valve => {
    const { name } = valveById(engine, valve.valveId)
    return setsOfTrials(valve).flatMap(({ phase, trials }) => {
      const last = new Map(trials.map(t => [thickness(t), t.feel]))
      return trials
        .filter(t => last.get(thickness(t)) !== t.feel)
        .map(t =>
          say('sheet.again', {
            valve: name,
            phase: phaseWords(phase),
            blade: nameOf(t),
            first: t.feel,
            last: last.get(thickness(t))!,
          }),
        )
    })
  })
  const back = state.takenBack.map(({ event, by, how }) =>
    say('sheet.undone', { answer: eventWords(pin, event), by, mistake: how === 'recorded wrongly' }),
  )
  return [...again, ...back]
}
