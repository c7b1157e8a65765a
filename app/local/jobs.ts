import { type JobEvent, upcastPin } from '~~/core/job'
import type { JobResponse } from '~~/shared/jobs'
import { inStore, jobKey, type KnownJob, plain } from './database'

/** Adds events that came from the server to those that are known, once each, in the log's order. */
export function mergeEvents(known: readonly JobEvent[], more: readonly JobEvent[]): JobEvent[] {
  const byId = new Map(known.map(e => [e.id, e]))
  for (const event of more) byId.set(event.id, event)
  return [...byId.values()].sort((a, b) => (a.seq ?? 0) - (b.seq ?? 0))
}

/** A job as this device last saw it, perhaps under an earlier version. */
export async function knownJob(shopId: number, jobId: number): Promise<KnownJob | null> {
  const job = await inStore(db => db.get('jobs', jobKey(shopId, jobId)))
  return job ? { ...job, pin: upcastPin(job.pin) } : null
}

/** Writes down what a page knows of a job, beside what other pages of this browser have written of it. */
export const rememberJob = (
  shopId: number,
  { pin, events, lastSeq }: Pick<JobResponse, 'pin' | 'events' | 'lastSeq'>,
): Promise<void> =>
  inStore(async db => {
    const transaction = db.transaction('jobs', 'readwrite')
    const key = jobKey(shopId, pin.jobId)
    const known = await transaction.store.get(key)
    await transaction.store.put({
      key,
      shopId,
      pin: plain(pin),
      events: mergeEvents(known?.events ?? [], plain(events)),
      lastSeq: Math.max(lastSeq, known?.lastSeq ?? 0),
    })
    await transaction.done
  })
