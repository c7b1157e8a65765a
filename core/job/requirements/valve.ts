import { knownEnough } from '../../feeler'
import { say } from '../../said'
import { presentReading, readingIn, type ValveState } from '../state'
import { tellsApart } from '../two-places'
import { expectedPolicy, isShimmed, type JobView, judgeReading, latestVerdict, verdictIn } from '../view'
import { ask, type Asked, gateOf, nameOf, passedFor } from './requirement'

/** Whether a valve is to be set: out, chosen, or in the middle of it. */
export function needsSetting(view: JobView, valve: ValveState): boolean {
  if (valve.nut !== 'locked' || valve.spins || valve.leftAtPlace === view.state.places) return true
  const latest = latestVerdict(view.pin, valve).verdict
  if (latest === 'tight' || latest === 'loose') return true
  if (valve.phase === 'torqued') return verdictIn(view.pin, valve, 'torqued').verdict !== 'in'
  return valve.setChosen && valve.round === 0
}

/**
 * As found is done when the verdict is proved, or cannot be with this set and the valve is to be set; and for a valve
 * that is out, as narrowly as serves the screw and the history.
 */
export function asFoundDone(view: JobView, valve: ValveState): boolean {
  if (valve.round > 0) return true
  const { verdict, reading } = verdictIn(view.pin, valve, 'as found')
  if (verdict === 'unproved' && !valve.setChosen) return false
  if (verdict === 'in' || knownEnough(reading, isShimmed(view.pin, valve.valveId))) return true
  return expectedPolicy(view, valve)(readingIn(valve, 'as found')?.trials ?? []) === null
}

/** Whether a valve was measured in spec after its lock and two turns of the crank, in its present round. */
export const isProved = (view: JobView, valve: ValveState): boolean =>
  valve.phase === 'proved' &&
  verdictIn(view.pin, valve, 'proved').verdict === 'in' &&
  valve.readings.some(r => r.phase === 'proved' && r.round === valve.round && r.trials.length > 0)

/** That a valve was measured as it was found. */
export const measure = (view: JobView, valve: ValveState): Asked =>
  ask(
    { kind: 'as-found', valveId: valve.valveId },
    say('missing.as-found', { valve: nameOf(view, valve) }),
    asFoundDone(view, valve),
  )
/** That a valve which is out is set, and its nut locked. */
export const set = (view: JobView, valve: ValveState): Asked =>
  ask(
    { kind: 'set', valveId: valve.valveId },
    say(valve.nut === 'locked' ? 'missing.set' : 'missing.locknut', { valve: nameOf(view, valve) }),
    !needsSetting(view, valve),
  )
/** Tight here and in elsewhere: how far apart the two are is known before its nut is loosened. */
export const apart = (view: JobView, valve: ValveState): Asked[] =>
  tellsApart(view, valve)
    ? [ask({ kind: 'apart', valveId: valve.valveId }, say('missing.apart', { valve: nameOf(view, valve) }), false)]
    : []
/**
 * A screw is seldom set further from where it was found than this: each time again it wants a reason. Degrees, from
 * memory
 */
const FAR_DEG = 540
/** That a screw which was turned very far is looked at: each turn and a half asks once more. */
export function far(view: JobView, valve: ValveState): Asked[] {
  const times = Math.floor(Math.abs(valve.screwDeg) / FAR_DEG)
  return valve.nut === 'locked' || times === 0
    ? []
    : [
        ask(
          { kind: 'far', valveId: valve.valveId, times },
          say('missing.far', { valve: nameOf(view, valve), turns: Math.abs(valve.screwDeg) / 360 }),
          false,
        ),
      ]
}

/** That a valve is proved by blades after its lock and two turns. */
export const prove = (view: JobView, valve: ValveState): Asked[] => [
  ask(
    { kind: 'proved', valveId: valve.valveId },
    say('missing.proved', { valve: nameOf(view, valve) }),
    isProved(view, valve),
  ),
  ask(
    { kind: 'look-again', valveId: valve.valveId },
    say('missing.look-again', { valve: nameOf(view, valve) }),
    !valve.lookAgain,
  ),
]

/** A shimmed valve is out of the crank's hands until its new shim is in and the cam is back. */
export const awaitsShim = (view: JobView, valve: ValveState): boolean =>
  isShimmed(view.pin, valve.valveId) &&
  asFoundDone(view, valve) &&
  needsSetting(view, valve) &&
  (view.state.camOut ||
    valve.phase !== 'torqued' ||
    judgeReading(view.pin, presentReading(valve), valve.valveId).verdict !== 'unproved')

/** Whether a valve has something to be done before the engine is turned over. A gate passed for it counts as done. */
export const toMeasureOrSet =
  (view: JobView) =>
  (valve: ValveState): boolean =>
    [measure(view, valve), set(view, valve)].some(asked => !asked.met && !passedFor(view, gateOf(asked.what)))
/** Whether a valve still has to be proved, no reason having been given. */
export const toProve =
  (view: JobView) =>
  (valve: ValveState): boolean =>
    prove(view, valve).some(asked => !asked.met && !passedFor(view, gateOf(asked.what)))
