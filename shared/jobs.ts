import { COMPLAINTS } from '../core/complaint'
import type { JobEvent, JobPin, Sheet } from '../core/job'
import { optionalText } from '../core/text-field'
import { wrong } from '../core/wrong'
import { z } from '../core/zod'
import { taskSchema } from './board'
import { deviceJobIdSchema, openedAtSchema } from './device-job'
import { meter } from './machines'

export const openJobSchema = z.object({
  /** Given by the device where the job began without a server, with when that was. */
  id: deviceJobIdSchema.optional(),
  openedAt: openedAtSchema.optional(),
  machineId: z
    .number({ error: wrong('wrong.choose-the-machine') })
    .int()
    .positive(),
  bladeSetId: z
    .number({ error: wrong('wrong.choose-the-blade-set') })
    .int()
    .positive(),
  meter: meter.nullable(),
  meterReplaced: z.boolean().default(false),
  tasks: z
    .array(taskSchema)
    .max(20, { error: wrong('wrong.twenty-other-things-are-enough') })
    .default([]),
  complaints: z.array(z.enum(COMPLAINTS)).max(COMPLAINTS.length).default([]),
  complaint: optionalText(200),
})
export type OpenJobRequest = z.infer<typeof openJobSchema>

/** Events of a job after a number: what the browser has seen is left out. */
export const afterSchema = z.object({ after: z.coerce.number().int().min(0).catch(0).default(0) })

export interface JobResponse {
  pin: JobPin
  events: JobEvent[]
  lastSeq: number
  now: string
}

/** Another task of the visit, and how it stands: “done by Tam”, “to do”. */
export interface SheetTask {
  name: string
  words: string
}

/** A job's sheet with what stands beside it and is not signed. */
export interface SheetResponse {
  shop: string
  sheet: Sheet
  signed: { at: string; by: string } | null
  earlier: { seq: number; at: string }[]
  tasks: SheetTask[]
}
