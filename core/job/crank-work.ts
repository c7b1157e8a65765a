import type { Place } from '../engine'
import type { Trial } from '../feeler'
import { movesCrank, type Noted, type Observation } from '../position'
import { presentReading, type ValveState, type WorkState } from './state'

/** Takes an observation up for `locate`. A moved crank starts every reading that is under way again. */
export function note(state: WorkState, id: string, observation: Observation): void {
  state.noted.push({ id, observation })
  if (movesCrank(observation)) {
    state.places++
    for (const valve of state.valves) restart(valve)
  }
  if (observation.kind !== 'blade' && observation.kind !== 'screw-set') state.mayHaveMoved = false
}

/**
 * The trials made so far no longer speak of the present gap. A verdict that was reached stays on record; a half-made
 * one is dropped.
 */
function restart(valve: ValveState): void {
  const reading = presentReading(valve)
  if (!reading || readingStands(reading.trials)) return
  if (reading.trials.length) valve.elsewhere.push(reading)
  valve.readings = valve.readings.filter(r => r !== reading)
}
/**
 * Whether trials bound the gap from above, so that they are a reading and not a beginning: a valve that refuses even
 * the thinnest blade has been read.
 */
export const readingStands = (trials: Trial[]): boolean => trials.some(t => t.feel !== 'free')

/** Whether a place is a piston’s top: there a decompressor may hold its valve. */
export const isTop = (place: Place): boolean => place.kind === 'mark' || place.kind === 'piston-top'

/** What the crank was last said to stand at, or null. */
export function lastPlaceIn(noted: Noted[]): Place | null {
  const last = noted.findLast(
    ({ observation: o }) => o.kind === 'move' || o.kind === 'turns' || o.kind === 'watched' || o.kind === 'seen',
  )?.observation
  return last?.kind === 'seen' ? last.place : last && 'to' in last ? last.to : null
}
