import { v7 as uuidv7 } from 'uuid'
import type { Happening, JobEvent } from '~~/core/job'
import type { EventRequest } from '~~/shared/event-request'
import { localDatabase, type Waiting } from './database'

const STRICT = { durability: 'strict' } as const

/** This browser's name among devices, made once: two parts of a page that ask at the same time get the same. */
export async function deviceId(): Promise<string> {
  const { store, done } = (await localDatabase()).transaction('device', 'readwrite', STRICT)
  let id = (await store.get('id')) as string | undefined
  if (!id) await store.put((id = `d-${uuidv7().slice(-12)}`), 'id')
  await done
  return id
}

/**
 * The name under which this page sends. Each page of a browser counts as a device of its own, so that the order of its
 * answers is kept whichever page sends first; the browser's name in front says whose they are.
 */
export async function pageDeviceId(): Promise<string> {
  let page = sessionStorage.getItem('wembric-page')
  if (!page) sessionStorage.setItem('wembric-page', (page = uuidv7().slice(-8)))
  return `${await deviceId()}.${page}`
}

/** A time with the offset of the place, as the device's (corrected) clock has it. */
export function isoWithOffset(ms: number): string {
  const minutes = -new Date(ms).getTimezoneOffset()
  const local = new Date(ms + minutes * 60_000).toISOString().slice(0, -1)
  const pad = (n: number) => String(Math.abs(n)).padStart(2, '0')
  return `${local}${minutes < 0 ? '-' : '+'}${pad(Math.trunc(minutes / 60))}:${pad(minutes % 60)}`
}

export interface Author {
  shopId: number
  personId: number
  personName: string
}

/** An answer as it is painted, before it is written down: its number is the next as far as this page knows. */
export function draftAnswer(
  author: Author,
  device: string,
  deviceSeq: number,
  jobId: number,
  happening: Happening,
  seenSeq: number,
  atMs: number,
): Waiting {
  const id = uuidv7()
  const request = JSON.parse(
    JSON.stringify({
      ...happening,
      id,
      version: 1,
      personId: author.personId,
      deviceId: device,
      deviceSeq,
      seenSeq,
      at: isoWithOffset(atMs),
    }),
  ) as EventRequest
  return { id, ...author, jobId, deviceSeq, request, refused: null }
}

/** Writes an answer down in one strictly durable transaction, with the next number of this device, whatever other pages took meanwhile. */
export async function keep(draft: Waiting): Promise<Waiting> {
  const transaction = (await localDatabase()).transaction(['waiting', 'device'], 'readwrite', STRICT)
  const deviceSeq = (await lastNumber(transaction.objectStore('device'))) + 1
  const kept: Waiting = { ...draft, deviceSeq, request: { ...draft.request, deviceSeq } }
  await transaction.objectStore('device').put(deviceSeq, 'seq')
  await transaction.objectStore('waiting').put(kept)
  await transaction.done
  return kept
}

const lastNumber = async (store: { get: (key: string) => Promise<unknown> }): Promise<number> =>
  ((await store.get('seq')) as number | undefined) ?? 0
/** The last number that this device has given. */
export const lastDeviceNumber = async (): Promise<number> =>
  ((await (await localDatabase()).get('device', 'seq')) as number | undefined) ?? 0

/** All that waits, in the order in which it was answered. */
export const waitingAnswers = async (): Promise<Waiting[]> =>
  (await (await localDatabase()).getAll('waiting')).sort((a, b) => a.deviceSeq - b.deviceSeq)

export const markRefused = async (waiting: Waiting, words: string): Promise<void> => {
  const db = await localDatabase()
  await db.put('waiting', { ...(JSON.parse(JSON.stringify(waiting)) as Waiting), refused: words })
}
export const letGo = async (id: string): Promise<void> => (await localDatabase()).delete('waiting', id)

/** A waiting answer as an event that has no place in the log yet. */
export const asEvent = ({ request, personName }: Waiting): JobEvent => ({
  ...(request as unknown as JobEvent),
  seq: null,
  personName,
})
