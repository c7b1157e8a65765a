import { valveById } from '../../engine'
import { thickness, type Trial } from '../../feeler'
import { eventWords } from '../event-words'
import type { ValveState } from '../state'
import type { JobView } from '../view'
import { nameOf } from './trials'

/** Trials that speak of one gap: those before a lock are kept by the angle of the screw. */
const setsOfTrials = ({ readings, elsewhere, tries }: ValveState): { phase: string; trials: Trial[] }[] => [
  ...[...readings, ...elsewhere].filter(r => r.phase !== 'before lock'),
  ...tries.map(({ trials }) => ({ phase: 'before lock', trials })),
]

/** What was corrected: blades that felt otherwise when tried again, and answers taken back. */
export function correctionsOf({ pin, state }: JobView): string[] {
  const { engine } = pin.spec
  const again = state.valves.flatMap(valve => {
    const { name } = valveById(engine, valve.valveId)
    return setsOfTrials(valve).flatMap(({ phase, trials }) => {
      const last = new Map(trials.map(t => [thickness(t), t.feel]))
      return trials
        .filter(t => last.get(thickness(t)) !== t.feel)
        .map(t => `${name}, ${phase}: ${nameOf(t)} ${t.feel} at first, ${last.get(thickness(t))} when tried again.`)
    })
  })
  const back = state.takenBack.map(
    ({ event, by, how }) =>
      `${eventWords(pin, event)}: ${how === 'recorded wrongly' ? 'entered by mistake' : 'turned back on the engine'}, undone by ${by}.`,
  )
  return [...again, ...back]
}
