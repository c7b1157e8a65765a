import type { Place } from '../engine'
import type { z } from '../zod'
import type { observationSchema } from './observation-schema'

export type Observation = z.infer<typeof observationSchema>

/** An observation with the id of the event that brought it. */
export interface Noted {
  id: string
  observation: Observation
}

/** A movement of the crank. */
export type Movement = Extract<Observation, { kind: 'move' | 'turns' | 'turn' | 'watched' | 'lost' }>

const MOVES: ReadonlySet<Observation['kind']> = new Set(['move', 'turns', 'turn', 'watched', 'lost'])

/** Whether an observation moved the crank, so that what was felt before it was felt somewhere else. */
export const movesCrank = (observation: Observation): observation is Movement => MOVES.has(observation.kind)

/** Whether what is seen or felt hangs on the cam, which lags behind a crank that was turned backward. */
export const isCamSide = (o: Observation): boolean =>
  o.kind === 'rocker' ||
  o.kind === 'blade' ||
  o.kind === 'push-rods' ||
  o.kind === 'rocked' ||
  (o.kind === 'seen' && (o.place.kind === 'cam-mark' || o.place.kind === 'valve'))

/** The valve that a feel speaks of, or null. */
const feltValve = (o: Observation): string | null => (o.kind === 'rocker' || o.kind === 'blade' ? o.valveId : null)

const whatIsSeen = (place: Place): string =>
  place.kind === 'valve'
    ? `valve ${place.valveId}`
    : place.kind === 'piston-top' || place.kind === 'rod-drop'
      ? `rod ${place.cylinderId}`
      : place.kind

/** What an observation without a turn speaks of; a later one of the same thing takes the earlier's place. */
function subjectOf(o: Observation): string | null {
  switch (o.kind) {
    case 'seen':
      return `seen ${whatIsSeen(o.place)}`
    case 'push-rods':
    case 'rocked':
    case 'thumb':
      return `${o.kind} ${o.cylinderId}`
    default:
      return null
  }
}

/**
 * Whether a later answer at the same place takes the place of an earlier one, so that none counts twice. A blade that
 * goes says what a slack rocker says, and more surely. A thinnest blade that is refused does not unsay a rocker that
 * clicks: the gap may be thinner than the blade.
 */
export function replaces(later: Observation, earlier: Observation): boolean {
  const valve = feltValve(later)
  if (valve !== null && valve === feltValve(earlier))
    return later.kind === earlier.kind || (later.kind === 'blade' && later.went)
  const subject = subjectOf(later)
  return subject !== null && subject === subjectOf(earlier)
}

/** Whether an earlier blade that went makes a later rocker answer needless. */
export const saidAlready = (later: Observation, earlier: Observation): boolean =>
  later.kind === 'rocker' && earlier.kind === 'blade' && earlier.went && earlier.valveId === later.valveId
