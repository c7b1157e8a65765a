import type { ShimStockRow } from '../../shared/shelf'
import { change, type Db, many, maybeOne } from '../database/query'

export const shimsOfShop = (db: Db, shopId: number): Promise<ShimStockRow[]> =>
  many(
    db,
    `SELECT diameter_mm AS diameterMm, size_mm AS sizeMm, count FROM shim_stock WHERE shop_id = ?
      ORDER BY diameter_mm, size_mm`,
    [shopId],
  )

/** Shims of one diameter on the shelf, one entry a piece, thinnest first. */
export const shimPieces = async (db: Db, shopId: number, diameterMm: number): Promise<number[]> =>
  (
    await many<{ sizeMm: number; count: number }>(
      db,
      `SELECT size_mm AS sizeMm, count FROM shim_stock WHERE shop_id = ? AND diameter_mm = ? AND count > 0
        ORDER BY size_mm`,
      [shopId, diameterMm],
    )
  ).flatMap(({ sizeMm, count }) => Array.from({ length: count }, () => sizeMm))

/** How many of one size are there, held until the transaction ends: none where it was never counted. */
export const holdShimCount = async (db: Db, shopId: number, diameterMm: number, sizeMm: number): Promise<number> => {
  const row = await maybeOne<{ count: number }>(
    db,
    'SELECT count FROM shim_stock WHERE shop_id = ? AND diameter_mm = ? AND size_mm = ? FOR UPDATE',
    [shopId, diameterMm, sizeMm],
  )
  return row?.count ?? 0
}

export const setShimCount = (db: Db, shopId: number, { diameterMm, sizeMm, count }: ShimStockRow) =>
  count === 0
    ? change(db, 'DELETE FROM shim_stock WHERE shop_id = ? AND diameter_mm = ? AND size_mm = ?', [
        shopId,
        diameterMm,
        sizeMm,
      ])
    : change(
        db,
        `INSERT INTO shim_stock (shop_id, diameter_mm, size_mm, count) VALUES (?, ?, ?, ?)
          ON DUPLICATE KEY UPDATE count = VALUES(count)`,
        [shopId, diameterMm, sizeMm, count],
      )

/** Takes a shim off the shelf; a count never falls below none. */
export const takeShim = (db: Db, shopId: number, diameterMm: number, sizeMm: number) =>
  change(
    db,
    'UPDATE shim_stock SET count = count - 1 WHERE shop_id = ? AND diameter_mm = ? AND size_mm = ? AND count > 0',
    [shopId, diameterMm, sizeMm],
  )
