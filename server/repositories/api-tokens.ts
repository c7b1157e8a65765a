import type { ApiTokenRow } from '../../shared/tokens'
import { change, type Db, many, maybeOne } from '../database/query'

export const tokensOfShop = async (db: Db, shopId: number): Promise<ApiTokenRow[]> =>
  (
    await many<
      Omit<ApiTokenRow, 'madeAt' | 'usedAt' | 'revokedAt'> & {
        madeAt: Date
        usedAt: Date | null
        revokedAt: Date | null
      }
    >(
      db,
      `
    SELECT t.id, t.name, p.name AS madeBy, t.made_at AS madeAt, t.used_at AS usedAt, t.revoked_at AS revokedAt
    FROM api_tokens t
    JOIN people p ON p.shop_id = t.shop_id AND p.id = t.made_by WHERE t.shop_id = ? ORDER BY t.id DESC`,
      [shopId],
    )
  ).map(t => ({
    ...t,
    madeAt: t.madeAt.toISOString(),
    usedAt: t.usedAt?.toISOString() ?? null,
    revokedAt: t.revokedAt?.toISOString() ?? null,
  }))
export const insertToken = async (
  db: Db,
  shopId: number,
  t: { name: string; hash: string; madeBy: number },
): Promise<number> =>
  (
    await change(
      db,
      'INSERT INTO api_tokens (shop_id, name, hash, made_by, made_at) VALUES (?, ?, ?, ?, UTC_TIMESTAMP(3))',
      [shopId, t.name, t.hash, t.madeBy],
    )
  ).id
export const revokeToken = async (db: Db, shopId: number, id: number): Promise<boolean> =>
  (
    await change(
      db,
      'UPDATE api_tokens SET revoked_at = UTC_TIMESTAMP(3) WHERE shop_id = ? AND id = ? AND revoked_at IS NULL',
      [shopId, id],
    )
  ).affected === 1
/** The shop that a token is of, unless it is closed. The token names the shop: this is the one query that has none. */
export const shopOfToken = (db: Db, hash: string): Promise<{ id: number; shopId: number } | null> =>
  maybeOne(
    db,
    `SELECT t.id, t.shop_id AS shopId FROM api_tokens t JOIN shops s ON s.id = t.shop_id AND s.closed_at IS NULL
     WHERE t.hash = ? AND t.revoked_at IS NULL`,
    [hash],
  )
/** When it was last used, to the minute: a read does not write each time. */
export const markUsed = (db: Db, shopId: number, id: number) =>
  change(
    db,
    `UPDATE api_tokens SET used_at = UTC_TIMESTAMP(3)
      WHERE shop_id = ? AND id = ? AND (used_at IS NULL OR used_at < UTC_TIMESTAMP(3) - INTERVAL 1 MINUTE)`,
    [shopId, id],
  )
