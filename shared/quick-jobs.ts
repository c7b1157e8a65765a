import { COMPLAINTS } from '../core/complaint'
import { bladeSetSchema } from '../core/feeler'
import { quickSchema } from '../core/quick'
import { text } from '../core/text-field'
import { wrong } from '../core/wrong'
import { z } from '../core/zod'
import { owner } from './customers'
import { deviceJobIdSchema, openedAtSchema } from './device-job'
import { machineEditSchema } from './machines'

/** What opens a quick job. It may come hours after the job began, and more than once. */
export const quickJobSchema = z.object({
  id: deviceJobIdSchema,
  quick: quickSchema,
  /** Words of the device's language, kept as they were said. */
  called: z.object({
    machine: text(80, 'machine'),
    model: text(60, 'model'),
    source: z.string().trim().min(1).max(160),
  }),
  /** The blades in hand: one set of the shelf, or what somebody said is in the drawer. */
  bladeSet: bladeSetSchema,
  complaints: z.array(z.enum(COMPLAINTS)).max(COMPLAINTS.length).default([]),
  openedAt: openedAtSchema,
})
export type QuickJobRequest = z.infer<typeof quickJobSchema>

/** What a quick job becomes when it is kept: a machine, its owner, and a draft of its model. */
export const keepJobSchema = machineEditSchema.extend({
  customer: owner,
  maker: text(60, 'maker'),
  model: text(60, 'model'),
})
export type KeepJobRequest = z.infer<typeof keepJobSchema>

export const handsSchema = z.object({
  hands: z.enum(['guided', 'practiced'], { error: wrong('wrong.choose-guided-or-practiced') }),
})
