import { say } from '../../said'
import { valveOf, type ValveState } from '../state'
import { stopHere, stopsInOrder } from '../stop-work'
import { secondPlace } from '../two-places'
import type { JobView } from '../view'
import { find, noStop, unserved } from './place'
import { ask, type Asked, type AskedAt, at, gateOf, passedFor } from './requirement'
import { apart, asFoundDone, awaitsShim, far, measure, set, toMeasureOrSet } from './valve'

/** Whether nothing more is asked of a valve as found: it was measured, or was passed with a reason. */
const isDone = (view: JobView, valveId: string): boolean =>
  asFoundDone(view, valveOf(view.state, valveId)!) || passedFor(view, gateOf({ kind: 'as-found', valveId })) !== null

/**
 * An exhaust that may be held at its top is read past it before any nut is loosened, once all that can be read here has
 * been: for the crank goes on from here.
 */
function beforeLoosening(view: JobView): Asked[] {
  const second = view.state.proving ? null : secondPlace(view)
  if (!second || view.state.valves.some(v => v.nut !== 'locked')) return []
  const here = stopHere(view)?.valves ?? []
  if (here.some(({ valveId }) => !isDone(view, valveId))) return []
  return [ask({ kind: 'second-place' }, say('missing.second-place', { valve: second.valve.name }), false)]
}

/**
 * Stop by stop: find it, measure as found, set what is out. Shims come after all stops, for the cam comes out for them
 * once.
 */
export function measuring(view: JobView): AskedAt[] {
  const open = toMeasureOrSet(view)
  const byShim = view.state.valves.filter(v => awaitsShim(view, v))
  const todo = (valve: ValveState) => !byShim.includes(valve) && open(valve)
  return [
    ...at('measure', beforeLoosening(view)),
    ...stopsInOrder(view, todo).flatMap(work => [
      ...at('find', [find(view, work, todo)]),
      ...at(
        'measure',
        work.valves.flatMap(v => [measure(view, v), ...apart(view, v)]),
      ),
      ...at(
        'set',
        work.valves.filter(v => !byShim.includes(v)).flatMap(v => [...far(view, v), set(view, v)]),
      ),
    ]),
    ...unserved(view).flatMap(v => [
      ...at('find', [noStop(view, v)]),
      ...at('measure', [measure(view, v), ...apart(view, v)]),
      ...(byShim.includes(v) ? [] : at('set', [...far(view, v), set(view, v)])),
    ]),
    ...at(
      'set',
      byShim.map(v => set(view, v)),
    ),
  ]
}
