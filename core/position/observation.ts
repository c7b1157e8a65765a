import { z } from '../zod'
import { type Place, placeSchema } from '../engine'
import { wrong } from '../wrong'

const id = z.string().min(1).max(30)

/**
 * What a mechanic saw, felt or did with the crank.
 * - `move` turn on until the place shows (for the `times`-th time), the next one at least 7° ahead
 * - `turns` whole turns, back to the place
 * - `turn` by a number of degrees, backward when negative
 * - `watched` the intake of a cylinder open and shut, then on to the place
 * - `lost` the crank moved and nobody watched
 * - `seen` a place, without turning
 * - `rocker` slack or no play; `blade` the same said by a blade (`again`: refused at an earlier place already);
 *   `screw-set` the valve's clearance was made
 * - `push-rods` of a cylinder level or not; `rocked` the crank a little, both valves of the cylinder still or not
 * - `thumb` pressure at the plug hole while coming up to here, or none
 */
export const observationSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('move'), to: placeSchema, times: z.number().int().min(1).max(4).optional() }),
  z.object({ kind: z.literal('turns'), turns: z.number().int().min(1).max(4), to: placeSchema }),
  z.object({
    kind: z.literal('turn'),
    deg: z
      .number()
      .min(-720, { error: wrong('wrong.give-720-to-1440-degrees') })
      .max(1440, { error: wrong('wrong.give-720-to-1440-degrees') }),
  }),
  z.object({ kind: z.literal('watched'), cylinderId: id, to: placeSchema }),
  z.object({ kind: z.literal('lost') }),
  z.object({ kind: z.literal('seen'), place: placeSchema }),
  z.object({ kind: z.literal('rocker'), valveId: id, slack: z.boolean() }),
  z.object({ kind: z.literal('blade'), valveId: id, went: z.boolean(), again: z.boolean().optional() }),
  z.object({ kind: z.literal('screw-set'), valveId: id }),
  z.object({ kind: z.literal('push-rods'), cylinderId: id, level: z.boolean() }),
  z.object({ kind: z.literal('rocked'), cylinderId: id, still: z.boolean() }),
  z.object({ kind: z.literal('thumb'), cylinderId: id, pressure: z.boolean() }),
])
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
