import { EVENT_TYPES, EVENTS, type JobEvent } from '../core/job'
import { wrong } from '../core/wrong'
import { z } from '../core/zod'

/** What the database's columns hold. */
const MOST = 2 ** 32 - 1

/** One answer as a browser sends it. The id is its own, so that it may arrive any number of times and counts once. */
export const eventRequestSchema = z
  .object({
    id: z.uuid({ version: 'v7', error: wrong('wrong.an-events-id-is-a') }),
    type: z.enum(EVENT_TYPES, { error: wrong('wrong.this-kind-of-event-is') }),
    version: z.literal(1, { error: wrong('wrong.this-version-of-the-event') }),
    payload: z.unknown(),
    personId: z.number().int().positive(),
    deviceId: z.string().min(1).max(40),
    deviceSeq: z.number().int().positive().max(MOST),
    seenSeq: z.number().int().min(0).max(MOST),
    seenDeviceSeq: z.number().int().min(0).max(MOST).optional(),
    at: z.iso
      .datetime({ offset: true, error: wrong('wrong.the-time-must-be-iso') })
      .max(35, { error: wrong('wrong.the-time-must-be-iso-8601') }),
  })
  .transform((event, context) => {
    const parsed = EVENTS[event.type].payload.safeParse(event.payload)
    for (const issue of parsed.error?.issues ?? [])
      context.addIssue({ code: 'custom', path: ['payload', ...issue.path], message: issue.message })
    return parsed.success ? { ...event, payload: parsed.data } : z.NEVER
  })
export type EventRequest = z.infer<typeof eventRequestSchema>

/** What the server answers: the event with its place in the log. */
export interface EventResponse {
  event: JobEvent
  lastSeq: number
  now: string
}
