import { placeSchema } from '../engine'
import { wrong } from '../wrong'
import { z } from '../zod'

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
