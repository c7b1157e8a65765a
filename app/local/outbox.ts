import { v7 as uuidv7 } from 'uuid'
import type { Happening, JobEvent } from '~~/core/job'
import { MINUTE_MS } from '~~/core/units'
import type { EventRequest } from '~~/shared/event-request'
import { inStore, jobKey, plain, type Waiting } from './database'
import { mergeEvents } from './jobs'

const STRICT = { durability: 'strict' } as const

/** The name of a browser that has none yet; while its store cannot be had, of this page alone. */
const newName = `d-${uuidv7().slice(-12)}`
/** This browser's name among devices, made once: two parts of a page that ask at the same time get the same. */
export const deviceId = (): Promise<string> =>
  inStore(async db => {
    const { store, done } = db.transaction('device', 'readwrite', STRICT)
    let id = (await store.get('id')) as string | undefined
    if (!id) await store.put((id = newName), 'id')
    await done
    return id
  }).catch(() => newName)

const page = uuidv7().slice(-8)
/**
 * The name under which this page sends. Each page counts as a device of its own from its loading on, so that one that
 * is reloaded, duplicated or opened again never passes for another; the browser's name in front says whose they are.
 */
export const pageDeviceId = async (): Promise<string> => `${await deviceId()}.${page}`

/** A time with the offset of the place, as the device's (corrected) clock has it. */
export function isoWithOffset(ms: number): string {
  const minutes = -new Date(ms).getTimezoneOffset()
  const local = new Date(ms + minutes * MINUTE_MS).toISOString().slice(0, -1)
  const pad = (n: number) => String(Math.abs(n)).padStart(2, '0')
  return `${local}${minutes < 0 ? '-' : '+'}${pad(Math.trunc(minutes / 60))}:${pad(minutes % 60)}`
}

export interface Author {
  shopId: number
  personId: number
  personName: string
}
/**
 * What was on the screen when an answer was given: the shop's log up to a number, and this browser's own up to another.
 */
export interface Seen {
  seenSeq: number
  seenDeviceSeq: number
}
/** An answer as it is painted, before it is written down: its number is the next as far as this page knows. */
export function draftAnswer(
  author: Author,
  device: { id: string; seq: number },
  jobId: number,
  happening: Happening,
  seen: Seen,
  atMs: number,
): Waiting {
  const id = uuidv7()
  const request = plain({
    ...happening,
    ...seen,
    id,
    version: 1,
    personId: author.personId,
    deviceId: device.id,
    deviceSeq: device.seq,
    at: isoWithOffset(atMs),
  }) as EventRequest
  return { id, ...author, jobId, deviceSeq: device.seq, request, refused: null }
}

/** One that is through cannot be ended: it was written down. */
function endIfItCan(transaction: { abort: () => void }): void {
  try {
    transaction.abort()
  } catch {
    // through already
  }
}

/**
 * Writes an answer down in one strictly durable transaction, with the next number of this device, whatever other pages
 * took meanwhile.
 * @throws DOMException where the browser cannot write: no room, or its data were cleared and cannot be made again
 */
export const keep = (draft: Waiting): Promise<Waiting> =>
  inStore(async (db, tooLate) => {
    const transaction = db.transaction(['waiting', 'device'], 'readwrite', STRICT)
    transaction.done.catch(() => {})
    // an answer that somebody was told does not count is not found here later
    tooLate.addEventListener('abort', () => endIfItCan(transaction))
    // never lower than what this page has given already: the store may have been cleared under it
    const deviceSeq = Math.max((await lastNumber(transaction.objectStore('device'))) + 1, draft.deviceSeq)
    const kept: Waiting = { ...draft, deviceSeq, request: { ...draft.request, deviceSeq } }
    await transaction.objectStore('device').put(deviceSeq, 'seq')
    await transaction.objectStore('waiting').put(kept)
    await transaction.done
    return kept
  })

/** Writes an answer down again as it is: the store was cleared, and it may be on its way already under its number. */
export const keepAgain = (entry: Waiting): Promise<void> =>
  inStore(async db => {
    const transaction = db.transaction(['waiting', 'device'], 'readwrite', STRICT)
    transaction.done.catch(() => {})
    const last = await lastNumber(transaction.objectStore('device'))
    await transaction.objectStore('device').put(Math.max(last, entry.deviceSeq), 'seq')
    await transaction.objectStore('waiting').put(plain(entry))
    await transaction.done
  })

const lastNumber = async (store: { get: (key: string) => Promise<unknown> }): Promise<number> =>
  ((await store.get('seq')) as number | undefined) ?? 0

/** All that waits, in the order in which it was answered, and the last number that this device has given. */
export const waitingAnswers = (): Promise<{ waiting: Waiting[]; lastNumber: number }> =>
  inStore(async db => {
    const transaction = db.transaction(['waiting', 'device'])
    const waiting = await transaction.objectStore('waiting').getAll()
    return {
      waiting: waiting.sort((a, b) => a.deviceSeq - b.deviceSeq),
      lastNumber: await lastNumber(transaction.objectStore('device')),
    }
  })

export const markRefused = (waiting: Waiting, words: string): Promise<unknown> =>
  inStore(db => db.put('waiting', { ...plain(waiting), refused: words }))

export const letGo = (id: string): Promise<void> => inStore(db => db.delete('waiting', id))

/**
 * An answer that the shop has taken goes over from those that wait to the job's log, so that it is always in one of
 * them.
 */
export const settle = (entry: Waiting, event: JobEvent): Promise<void> =>
  inStore(async db => {
    const transaction = db.transaction(['waiting', 'jobs'], 'readwrite')
    const jobs = transaction.objectStore('jobs')
    const known = await jobs.get(jobKey(entry.shopId, entry.jobId))
    if (known)
      await jobs.put({
        ...known,
        events: mergeEvents(known.events, [plain(event)]),
        lastSeq: event.seq === known.lastSeq + 1 ? event.seq : known.lastSeq,
      })
    await transaction.objectStore('waiting').delete(entry.id)
    await transaction.done
  })

/** A waiting answer as an event that has no place in the log yet. */
export const asEvent = ({ request, personName }: Waiting): JobEvent => ({
  ...(request as unknown as JobEvent),
  seq: null,
  personName,
})
