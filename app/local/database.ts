import { type DBSchema, type IDBPDatabase, openDB } from 'idb'
import type { EventRequest } from '~~/shared/event-request'
import type { JobResponse, OpenJobRequest } from '~~/shared/jobs'
import type { ProblemBody } from '~~/shared/problem'
import type { QuickJobRequest } from '~~/shared/quick-jobs'
import type { SessionResponse } from '~~/shared/session'

/** An answer that the server has not taken yet. It belongs to a shop and a person: nobody else sends it. */
export interface Waiting {
  id: string
  shopId: number
  personId: number
  personName: string
  jobId: number
  deviceSeq: number
  request: EventRequest
  /** The server's words when it refused; the answer stays until a person discards it. */
  refused: string | null
}

/** A job as this browser knows it. */
export interface KnownJob extends Omit<JobResponse, 'now'> {
  key: string
  shopId: number
}

/** A photo that the shop has not taken yet. */
export interface WaitingPhoto {
  id: string
  shopId: number
  personId: number
  machineId: number
  jobId: number | null
  takenAt: number
  bytes: ArrayBuffer
  type: string
  /** The server's words when it refused. */
  refused: string | null
}

/** What opens a job that began on this device; its answers wait behind it. */
export type Opening = {
  jobId: number
  /** What its machine is called. */
  name: string
  openedAt: string
  shopId: number
  personId: number
  /** The server's words when it refused. */
  refused: string | null
  /** Which refusal that was, and of an open job which. */
  refusedAs?: Pick<ProblemBody, 'code' | 'detail'> | null
} & ({ kind: 'quick'; request: QuickJobRequest } | { kind: 'job'; request: OpenJobRequest })

interface Schema extends DBSchema {
  openings: { key: number; value: Opening }
  waiting: { key: string; value: Waiting }
  jobs: { key: string; value: KnownJob }
  device: { key: string; value: unknown }
  photos: { key: string; value: WaitingPhoto }
}

type Store = IDBPDatabase<Schema>
let opened: Promise<Store> | null = null
/** When the store last failed to answer in time, ms since the page began; null while it answers. */
let silentSince: number | null = null
const lost = new Set<() => void>()

/** A store that has not opened by then is taken for one that does not answer, ms. From memory: phones need 1 s. */
const OPENS_MS = 4000
/** A photo or a whole shop is written for longer by a slow phone: it does not count as silent for that. From memory. */
const WORKS_MS = 10_000
/** So long after it did not answer, whoever asks is told at once; then it is tried again, ms. */
const REST_MS = 15_000
/** Pauses before work in a store that failed is tried again, ms. */
const AGAIN_AFTER_MS = [50, 250]

/** Some browsers' stores neither open nor fail: no hand may wait for that. */
class StoreSilent extends Error {
  override readonly name = 'StoreSilent'
  constructor() {
    super('The browser’s store does not answer.')
  }
}
/** @throws StoreSilent where the store does not answer in time */
async function answered<T>(work: Promise<T>, ms: number): Promise<T> {
  let timer: ReturnType<typeof setTimeout> | undefined
  const silent = new Promise<never>((_, fail) => {
    timer = setTimeout(() => fail(new StoreSilent()), ms)
  })
  return Promise.race([work, silent]).finally(() => clearTimeout(timer))
}

/** Tells when the browser has closed the store, as it does when its data are cleared. Returns how to stop. */
export function onStoreLost(listener: () => void): () => void {
  lost.add(listener)
  return () => lost.delete(listener)
}

/** Lets the store go: the next who asks opens it anew. */
export function forgetStore(): void {
  opened = null
  silentSince = null
}

/**
 * Work in the store; where it fails, the store is opened anew and the work is done again.
 * @param work is given a signal by which it ends what would come too late: by then somebody was told that it failed
 * @throws the last error, or StoreSilent where the store does not answer: that is not waited for twice
 */
export async function inStore<T>(work: (db: Store, tooLate: AbortSignal) => Promise<T>): Promise<T> {
  if (silentSince !== null && performance.now() - silentSince < REST_MS) throw new StoreSilent()
  for (let attempt = 0; ; attempt++) {
    const tooLate = new AbortController()
    try {
      const db = await answered(localDatabase(), OPENS_MS)
      const done = await answered(work(db, tooLate.signal), WORKS_MS)
      silentSince = null
      return done
    } catch (error) {
      const pause = AGAIN_AFTER_MS[attempt]
      forgetStore()
      if (error instanceof StoreSilent) {
        silentSince = performance.now()
        tooLate.abort()
      }
      if (pause === undefined || error instanceof StoreSilent) throw error
      await new Promise(done => setTimeout(done, pause))
    }
  }
}

/** The browser's own store: answers first, then what is needed to go on without a server. */
export function localDatabase(): Promise<Store> {
  if (opened) return opened
  const opening = openDB<Schema>('wembric', 3, {
    upgrade(db, from) {
      if (from < 1) {
        db.createObjectStore('waiting', { keyPath: 'id' })
        db.createObjectStore('jobs', { keyPath: 'key' })
        db.createObjectStore('device')
      }
      if (from < 2) db.createObjectStore('photos', { keyPath: 'id' })
      if (from < 3) db.createObjectStore('openings', { keyPath: 'jobId' })
    },
    // a page with a later version wants to change the store: it goes on without us, and the next who asks opens it anew
    blocking(_, __, event) {
      ;(event.target as IDBDatabase).close()
      if (opened === opening) forgetStore()
    },
    terminated() {
      if (opened === opening) forgetStore()
      for (const listener of lost) listener()
    },
  })
  opened = opening
  // one that did not open is tried again by the next who asks
  opening.catch(() => {
    if (opened === opening) forgetStore()
  })
  return opening
}

export const jobKey = (shopId: number, jobId: number): string => `${shopId}/${jobId}`

/** Data without the proxies of a screen, which a store cannot take. */
export const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T

/** The last session on this device, to carry on with when no server answers. */
export const rememberSession = (session: SessionResponse | null): Promise<void> =>
  inStore(async db => {
    if (session) await db.put('device', plain(session), 'session')
    else await db.delete('device', 'session')
  })
export const rememberedSession = (): Promise<SessionResponse | null> =>
  inStore(async db => ((await db.get('device', 'session')) as SessionResponse | undefined) ?? null)
