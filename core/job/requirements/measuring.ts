import type { ValveState } from '../state'
import { stopsInOrder } from '../stop-work'
import type { JobView } from '../view'
import { find, noStop, unserved } from './place'
import { at, type AskedAt } from './requirement'
import { apart, awaitsShim, far, measure, set, toMeasureOrSet } from './valve'

/**
 * Stop by stop: find it, measure as found, set what is out. Shims come after all stops, for the cam comes out for them
 * once.
 */
export function measuring(view: JobView): AskedAt[] {
  const open = toMeasureOrSet(view)
  const byShim = view.state.valves.filter(v => awaitsShim(view, v))
  const todo = (valve: ValveState) => !byShim.includes(valve) && open(valve)
  return [
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
