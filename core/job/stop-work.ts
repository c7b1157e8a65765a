import { standingToward } from '../position'
import type { Stop } from '../stops'
import type { ValveState } from './state'
import type { JobView } from './view'

/** The stop the crank stands at, settled, or null. */
export function stopHere({ position }: Pick<JobView, 'position'>, wanted?: (stop: Stop) => boolean): Stop | null {
  const standing = standingToward(position, wanted)
  return standing.kind === 'settled' ? standing.stop : null
}

/** Whether a valve is shut at a stop, with its margin. */
export const serves = (stop: Stop, valveId: string): boolean => stop.valves.some(v => v.valveId === valveId)

/** The valves of a job that a stop serves, those that an earlier stop in the order serves as well left to that one. */
const valvesAt = (view: JobView, stop: Stop, taken: ReadonlySet<string>): ValveState[] =>
  view.state.valves.filter(v => serves(stop, v.valveId) && !taken.has(v.valveId))

/** A stop and the valves that are done there. */
export interface StopWork {
  stop: Stop
  index: number
  valves: ValveState[]
}

/**
 * The planned stops in the order in which this job takes them: the one the crank stands at first, then the nearest
 * known ahead, then as planned. A valve that several serve is done at the first of them that is reached.
 * @param todo whether a valve still has something to be done in this pass
 */
export function stopsInOrder(view: JobView, todo: (valve: ValveState) => boolean): StopWork[] {
  const { plan } = view.model
  const hasWork = (stop: Stop) => view.state.valves.some(v => serves(stop, v.valveId) && todo(v))
  const here = stopHere(view, hasWork)
  const nearness = (stop: Stop): number => {
    if (stop === here) return -1
    const way = view.position.ahead.findIndex(a => a.stop === stop)
    return way < 0 ? Infinity : way
  }
  // a nut that is loose is locked before anything else is begun, and only where its valve is closed
  const hasLooseNut = (stop: Stop) =>
    view.state.valves.some(v => v.nut !== 'locked' && serves(stop, v.valveId) && todo(v))
  const order = plan.stops
    .map((stop, index) => ({ stop, index }))
    .sort(
      (a, b) =>
        Number(hasLooseNut(b.stop)) - Number(hasLooseNut(a.stop)) ||
        Number(hasWork(b.stop)) - Number(hasWork(a.stop)) ||
        nearness(a.stop) - nearness(b.stop) ||
        a.index - b.index,
    )
  const taken = new Set<string>()
  return order.map(({ stop, index }) => {
    const valves = valvesAt(view, stop, taken)
    for (const valve of valves) taken.add(valve.valveId)
    return { stop, index, valves }
  })
}
