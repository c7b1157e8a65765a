import { valveById } from '../../engine'
import { thickness } from '../../feeler'
import { eventWords } from '../event-words'
import type { JobView } from '../view'
import { nameOf } from './trials'

/** What was corrected: blades that felt otherwise when tried again, and answers taken back. */
export function correctionsOf({ pin, state }: JobView): string[] {
  const { engine } = pin.spec
  const again = state.valves.flatMap(valve =>
    [...valve.readings, ...valve.elsewhere].flatMap(({ phase, trials }) => {
      const last = new Map(trials.map(t => [thickness(t), t]))
      return trials
        .filter(t => last.get(thickness(t))!.feel !== t.feel)
        .map(
          t =>
            `${valveById(engine, valve.valveId).name}, ${phase}: ${nameOf(t)} ${t.feel} at first, ${last.get(thickness(t))!.feel} when tried again.`,
        )
    }),
  )
  const back = state.takenBack.map(
    ({ event, by, how }) =>
      `${eventWords(pin, event)}: ${how === 'recorded wrongly' ? 'recorded wrongly, taken back' : 'turned back on the engine'}, ${by}.`,
  )
  return [...again, ...back]
}
