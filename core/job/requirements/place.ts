import { movesCrank } from '../../position'
import { say } from '../../said'
import type { ValveState } from '../state'
import { stopHere, type StopWork } from '../stop-work'
import { differsHere } from '../two-places'
import type { JobView } from '../view'
import { ask, type Asked, gateOf, nameOf, passedFor, type What } from './requirement'
import { asFoundDone, isProved, needsSetting } from './valve'

/**
 * A screw opened here by more than any valve lacks, and the blade still refused: whatever the belief says, the valve is
 * not closed here.
 */
function openedInVain({ state }: JobView, valveId: string): boolean {
  // it was turned back since, and is left alone here
  if (state.valves.some(v => v.valveId === valveId && v.leftAtPlace === state.places)) return false
  const since = state.noted.slice(state.noted.findLastIndex(n => movesCrank(n.observation)) + 1)
  const vain = since.findLastIndex(
    ({ id, observation: o }) => id.endsWith(':vain') && o.kind === 'rocker' && o.valveId === valveId,
  )
  return (
    vain >= 0 && !since.slice(vain).some(({ observation: o }) => o.kind === 'blade' && o.went && o.valveId === valveId)
  )
}

const differing = ({ state }: JobView, { valveId }: ValveState): What => ({
  kind: 'differs',
  valveId,
  place: state.places,
})
const differencePassed = (view: JobView, valve: ValveState): boolean =>
  passedFor(view, gateOf(differing(view, valve))) !== null

/**
 * The position of a stop is asked for while a valve there has something to be done. A reason given counts for this
 * place only.
 */
export function find(view: JobView, { stop, index, valves }: StopWork, todo: (valve: ValveState) => boolean): Asked {
  const vain = valves.find(v => openedInVain(view, v.valveId))
  if (vain)
    return ask(
      { kind: 'vain', valveId: vain.valveId, place: view.state.places },
      say('missing.vain', { valve: nameOf(view, vain) }),
      false,
    )
  // what is not quite closed reads tighter, never looser: where it reads looser, it is the earlier place that was false
  const differs = valves.find(v => !differencePassed(view, v) && differsHere(view, v)?.tighterHere)
  if (differs) return ask(differing(view, differs), say('missing.differs', { valve: nameOf(view, differs) }), false)
  const number = view.model.plan.stops.length > 1 ? index + 1 : null
  return ask(
    { kind: 'place', stop: number, place: view.state.places },
    say('missing.place'),
    !valves.some(todo) || stopHere(view, s => s === stop) !== null,
  )
}

/** Valves that no stop of this school serves: measured only with a reason. */
export const unserved = (view: JobView): ValveState[] =>
  view.state.valves.filter(v => view.model.plan.unserved.includes(v.valveId))
/** No stop of the way chosen serves this valve. */
export const noStop = (view: JobView, valve: ValveState): Asked =>
  ask(
    {
      kind: openedInVain(view, valve.valveId) ? 'vain' : 'no-stop',
      valveId: valve.valveId,
      place: view.state.places,
    },
    say('missing.no-stop', { valve: nameOf(view, valve) }),
    asFoundDone(view, valve) && !needsSetting(view, valve) && isProved(view, valve),
  )
