import type { Place } from '../../../engine'
import { cylindersAt, type Observation } from '../../../position'
import { lastPlaceIn } from '../../crank-work'
import { eventIdOf } from '../../event-words'
import type { Happening } from '../../events'
import type { JobView } from '../../view'

/** An answer about the crank. */
export const crank = (...observations: Observation[]): Happening => ({ type: 'crank', payload: { observations } })

/** The place the crank was last brought to, for asking whether it is still there. */
export const lastPlace = ({ state }: JobView): Place | null => lastPlaceIn(state.noted)

/** The cylinder that a place is about, for the picture; null leaves it to the picture. */
export const cylinderFor = (view: JobView, place: Place | null): string | null =>
  place ? (cylindersAt(view.model, place)[0] ?? null) : null

/** Whether the last answer was of going past a place and coming round to it once more. */
export function wentRound({ state }: JobView): boolean {
  const [a, b] = [state.noted.at(-2), state.noted.at(-1)]
  return (
    a !== undefined &&
    b?.observation.kind === 'turns' &&
    a.observation.kind === 'move' &&
    eventIdOf(a.id) === eventIdOf(b.id)
  )
}
/** How often on this job a place was passed and come round to again. */
export const timesRound = ({ state }: JobView): number =>
  state.noted.filter((n, i) => {
    const before = state.noted[i - 1]
    return (
      n.observation.kind === 'turns' && before?.observation.kind === 'move' && eventIdOf(before.id) === eventIdOf(n.id)
    )
  }).length
