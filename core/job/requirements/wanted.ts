import { standingToward } from '../../position'
import type { Stop } from '../../stops'
import type { JobView } from '../view'
import { awaitsShim, toMeasureOrSet, toProve } from './valve'

/**
 * Which stops are looked for now: those of a valve whose nut is loose, else those with a valve still to be measured or
 * set, and after that those still to be proved.
 */
export function wantedStops(view: JobView): (stop: Stop) => boolean {
  const open = toMeasureOrSet(view)
  const first = view.state.valves.filter(v => open(v) && !awaitsShim(view, v))
  const loose = first.filter(v => v.nut !== 'locked' && !view.model.plan.unserved.includes(v.valveId))
  const todo = [loose, first].find(valves => valves.length > 0) ?? view.state.valves.filter(toProve(view))
  const ids = new Set(todo.map(v => v.valveId))
  return ids.size === 0 ? () => true : stop => stop.valves.some(v => ids.has(v.valveId))
}

/**
 * The stop that is looked for now: the one stood at, else the nearest known way on, else the first that still has work.
 */
export function nearestStop(view: JobView): Stop | null {
  const wanted = wantedStops(view)
  const standing = standingToward(view.position, wanted)
  return standing.kind === 'open'
    ? (view.model.plan.stops.find(wanted) ?? view.model.plan.stops[0] ?? null)
    : standing.stop
}
