import { change, type Db, maybeOne, one } from '../database/query'

/** What a shop may have at most; null: as much as it likes. */
export interface ShopLimits {
  mostPeople: number | null
  mostPhotoMb: number | null
}
export const limitsOfShop = (db: Db, shopId: number): Promise<ShopLimits> =>
  one(db, 'SELECT most_people AS mostPeople, most_photo_mb AS mostPhotoMb FROM shops WHERE id = ?', [shopId])
/** How many people work in a shop. */
export const countPeople = async (db: Db, shopId: number): Promise<number> =>
  (await one<{ n: number }>(db, 'SELECT COUNT(*) AS n FROM people WHERE shop_id = ? AND ended_at IS NULL', [shopId])).n
/** How many bytes a shop's photos have, those of pages among them: from keys, no picture is read. */
export const photoBytesOf = async (db: Db, shopId: number): Promise<number> =>
  Number(
    (
      await maybeOne<{ bytes: number | string | null }>(
        db,
        `SELECT (SELECT COALESCE(SUM(bytes), 0) FROM photos WHERE shop_id = ?)
          + (SELECT COALESCE(SUM(bytes), 0) FROM page_photos WHERE shop_id = ?) AS bytes`,
        [shopId, shopId],
      )
    )?.bytes ?? 0,
  )
/** By what a shop is asked for at the door, and what it may have. */
export const setShopLimits = (
  db: Db,
  shopId: number,
  s: { shortName: string | null; host: string | null } & ShopLimits,
) =>
  change(db, 'UPDATE shops SET short_name = ?, host = ?, most_people = ?, most_photo_mb = ? WHERE id = ?', [
    ...[s.shortName, s.host, s.mostPeople, s.mostPhotoMb],
    shopId,
  ])
