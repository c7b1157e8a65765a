import { change, type Db, maybeOne } from '../database/query'

/** A request that was answered before: what it was, and the answer, null where that was not kept. */
export const askedBefore = (
  db: Db,
  shopId: number,
  id: string,
): Promise<{ requestHash: string; answer: string | null } | null> =>
  maybeOne(db, 'SELECT request_hash AS requestHash, answer FROM asked_once WHERE shop_id = ? AND id = ?', [shopId, id])

/** A request that was worked outside a transaction of ours. */
export const noteAsked = (db: Db, shopId: number, id: string, requestHash: string) =>
  change(db, 'INSERT IGNORE INTO asked_once (shop_id, id, request_hash, asked_at) VALUES (?, ?, ?, UTC_TIMESTAMP(3))', [
    shopId,
    id,
    requestHash,
  ])

export const keepAnswer = (db: Db, shopId: number, id: string, answer: string) =>
  change(db, 'UPDATE asked_once SET answer = ? WHERE shop_id = ? AND id = ?', [answer, shopId, id])

export const removeOldAnswers = (db: Db) =>
  change(db, 'DELETE FROM asked_once WHERE asked_at < UTC_TIMESTAMP(3) - INTERVAL 7 DAY')
