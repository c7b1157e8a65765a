import { z } from '../core/zod'
import { bladeSetSchema } from '../core/feeler'
import { quickSchema } from '../core/quick'
import { text } from '../core/text-field'
import { wrong } from '../core/wrong'
import { machineEditSchema, owner } from './requests'

/** As far below zero as a number is exact: ids that a device gives to the jobs that begin on it. */
const LOWEST_ID = -(2 ** 52)
/**
 * An id for a job that begins on this device, below zero. Two devices that draw the same of 2^52 are not expected in the
 * life of a shop; the server refuses the second.
 */
export const deviceJobId = (random: () => number = Math.random): number =>
  -1 - Math.floor(random() * 2 ** 26) * 2 ** 26 - Math.floor(random() * 2 ** 26)

/** What opens a quick job. It may come hours after the job began, and more than once. */
export const quickJobSchema = z.object({
  id: z.int().min(LOWEST_ID).max(-1),
  quick: quickSchema,
  /** Words of the device's language, kept as they were said. */
  called: z.object({ machine: text(80, 'machine'), model: text(60, 'model'), source: z.string().trim().min(1).max(160) }),
  /** The blades in hand: one set of the shelf, or what somebody said is in the drawer. */
  bladeSet: bladeSetSchema,
  openedAt: z.iso.datetime({ offset: true }),
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
