import { type DBSchema, type IDBPDatabase, openDB } from 'idb'
import type { EventRequest } from '~~/shared/event-request'
import type { JobResponse, SessionResponse } from '~~/shared/responses'

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

interface Schema extends DBSchema {
  waiting: { key: string; value: Waiting }
  jobs: { key: string; value: KnownJob }
  device: { key: string; value: unknown }
}

let opened: Promise<IDBPDatabase<Schema>> | null = null

/** The browser's own store: answers first, then what is needed to go on without a server. */
export const localDatabase = (): Promise<IDBPDatabase<Schema>> =>
  (opened ??= openDB<Schema>('wembric', 1, {
    upgrade(db) {
      db.createObjectStore('waiting', { keyPath: 'id' })
      db.createObjectStore('jobs', { keyPath: 'key' })
      db.createObjectStore('device')
    },
  }))

export const jobKey = (shopId: number, jobId: number): string => `${shopId}/${jobId}`

/** The last session on this device, to carry on with when no server answers. */
export const rememberSession = async (session: SessionResponse | null): Promise<void> => {
  const db = await localDatabase()
  if (session) await db.put('device', JSON.parse(JSON.stringify(session)), 'session')
  else await db.delete('device', 'session')
}
export const rememberedSession = async (): Promise<SessionResponse | null> =>
  ((await (await localDatabase()).get('device', 'session')) as SessionResponse | undefined) ?? null
