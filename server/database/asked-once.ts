import { AsyncLocalStorage } from 'node:async_hooks'
import type { PoolConnection, ResultSetHeader } from 'mysql2/promise'

/** A request that makes something, by the id that its browser gave it. */
export interface Asked {
  shopId: number
  id: string
  requestHash: string
  /** Written down, in the same transaction as what it made. */
  claimed: boolean
}
const asking = new AsyncLocalStorage<Asked>()

/** Does work for a request: the first transaction in it also writes down that the request was answered. */
export const askedBy = <T>(asked: Asked, work: () => Promise<T>): Promise<T> => asking.run(asked, work)

/** A request that still has to be written down with the next change, or null. */
export const unclaimed = (): Asked | null => {
  const asked = asking.getStore()
  return asked && !asked.claimed ? asked : null
}

/**
 * Writes the request down on this connection, inside its transaction. @throws ER_DUP_ENTRY where it was answered before
 */
export async function claim(connection: PoolConnection): Promise<Asked | null> {
  const asked = unclaimed()
  if (!asked) return null
  await connection.execute<ResultSetHeader>(
    'INSERT INTO asked_once (shop_id, id, request_hash, asked_at) VALUES (?, ?, ?, UTC_TIMESTAMP(3))',
    [asked.shopId, asked.id, asked.requestHash],
  )
  return asked
}
