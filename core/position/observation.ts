import { z } from 'zod'

export const placeSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('mark'), markIndex: z.number().int().min(0).max(11) }),
  z.object({ kind: z.literal('piston-top'), cylinderId: z.string().max(30) }),
  z.object({ kind: z.literal('rod-drop'), cylinderId: z.string().max(30), dropMm: z.number().positive().max(60) }),
])

/**
 * What a mechanic saw, felt or did with the crank.
 * - `move` turn on until the place shows, the next one at least 7° ahead
 * - `turns` whole turns, back to the place
 * - `turn` on by a number of degrees, forward
 * - `watched` the intake of a cylinder open and shut, then on to the place
 * - `lost` the crank moved and nobody watched
 * - `seen` a place, without turning
 * - `rocker` slack or no play; `blade` the same said by a blade (`again`: refused at an earlier place already); `screw-set` the valve's clearance was made
 */
export const observationSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('move'), to: placeSchema }),
  z.object({ kind: z.literal('turns'), turns: z.number().int().min(1).max(4), to: placeSchema }),
  z.object({ kind: z.literal('turn'), deg: z.number().min(-720).max(1440) }),
  z.object({ kind: z.literal('watched'), cylinderId: z.string().max(30), to: placeSchema }),
  z.object({ kind: z.literal('lost') }),
  z.object({ kind: z.literal('seen'), place: placeSchema }),
  z.object({ kind: z.literal('rocker'), valveId: z.string().max(30), slack: z.boolean() }),
  z.object({ kind: z.literal('blade'), valveId: z.string().max(30), went: z.boolean(), again: z.boolean().optional() }),
  z.object({ kind: z.literal('screw-set'), valveId: z.string().max(30) }),
])
export type Observation = z.infer<typeof observationSchema>

/** An observation with the id of the event that brought it. */
export interface Noted { id: string, observation: Observation }

const MOVES: ReadonlySet<Observation['kind']> = new Set(['move', 'turns', 'turn', 'watched', 'lost'])

/** Whether an observation moved the crank, so that what was felt before it was felt somewhere else. */
export const movesCrank = (observation: Observation): boolean => MOVES.has(observation.kind)

/** The valve that a feel speaks of, or null. */
const feltValve = (o: Observation): string | null => o.kind === 'rocker' || o.kind === 'blade' ? o.valveId : null

/**
 * Whether a later answer at the same place takes the place of an earlier one, so that none counts twice.
 * A blade that goes says what a slack rocker says, and more surely. A thinnest blade that is refused does not unsay
 * a rocker that clicks: the gap may be thinner than the blade.
 */
export function replaces(later: Observation, earlier: Observation): boolean {
  const valve = feltValve(later)
  if (valve !== null && valve === feltValve(earlier)) return later.kind === earlier.kind || (later.kind === 'blade' && later.went)
  return later.kind === 'seen' && earlier.kind === 'seen'
}

/** Whether an earlier blade that went makes a later rocker answer needless. */
export const saidAlready = (later: Observation, earlier: Observation): boolean =>
  later.kind === 'rocker' && earlier.kind === 'blade' && earlier.went && earlier.valveId === later.valveId
