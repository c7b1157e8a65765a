import { EVENT_TYPES, type EventType, type Happening, parseHappening } from '../job'
import { wrong } from '../wrong'
import { z } from '../zod'

const valveId = z.string().min(1).max(30)
const deg = z.number().min(-7200).max(7200)

/** What may be said into the log of a practice run: what is seen, felt and measured. */
const SAYABLE: ReadonlySet<EventType> = new Set([
  'crank',
  'trial',
  'mark-checked',
  'nut-loosened',
  'prove-turned',
  'temperature',
  'rested',
  'shim-read',
  'shim-fitted',
  'cam-back',
  'set-chosen',
  'school-chosen',
  'gate-passed',
  'decompressor-tested',
  'screw-checked',
])

/**
 * One thing that somebody does at a virtual engine.
 * - `turn` the crank, degrees, backward when negative; `wiggle` a rocker; `lower` the rod; `slide` blades into a gap;
 *   these are felt, not said
 * - `screw`, `nut` turned; `shim` put in; `wait` hours; `warmth` felt with the thermometer
 * - `said` an answer to the Bench or of one’s own; `verdict` on a valve in one’s own words; `hint` asked for
 */
export const actSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('turn'), deg }),
  z.object({ kind: z.literal('wiggle'), valveId }),
  z.object({ kind: z.literal('lower'), cylinderId: valveId }),
  z.object({ kind: z.literal('slide'), valveId, bladesMm: z.array(z.number().positive().max(2)).min(1).max(3) }),
  z.object({ kind: z.literal('screw'), valveId, deg }),
  z.object({ kind: z.literal('nut'), valveId, to: z.enum(['loose', 'nipped', 'locked']) }),
  z.object({ kind: z.literal('wait'), hours: z.number().min(0.25).max(48) }),
  z.object({ kind: z.literal('warmth') }),
  z
    .object({ kind: z.literal('said'), type: z.enum(EVENT_TYPES), payload: z.unknown() })
    .superRefine(({ type, payload }, context) => {
      if (!SAYABLE.has(type))
        context.addIssue({ code: 'custom', message: wrong('wrong.not-said-in-practice', { type }) })
      else
        try {
          parseHappening(type, payload)
        } catch {
          context.addIssue({ code: 'custom', path: ['payload'], message: wrong('wrong.no-such-answer', { type }) })
        }
    }),
  z.object({ kind: z.literal('verdict'), valveId, verdict: z.enum(['in', 'tight', 'loose']) }),
  z.object({ kind: z.literal('hint') }),
])
export type Act = z.infer<typeof actSchema>

/** The happening of something said. @throws ZodError for a payload that is not of its type */
export const happeningOf = ({ type, payload }: Extract<Act, { kind: 'said' }>): Happening =>
  parseHappening(type, payload)
