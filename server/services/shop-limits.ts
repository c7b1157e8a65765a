import { say } from '../../core/said'
import { type Db, type Pool, transaction } from '../database/query'
import { Problem } from '../problem'
import { countPeople, limitsOfShop, photoBytesOf } from '../repositories/shop-limits'
import { lockShop } from '../repositories/shops'

const MB = 1_000_000

/**
 * Locks the shop before anything is read, so that two at once do not take the same place: what is read first fixes what
 * a transaction sees. Its first statement. @throws Problem limit-reached
 */
export async function checkRoomForOne(db: Db, shopId: number): Promise<void> {
  await lockShop(db, shopId)
  const { mostPeople } = await limitsOfShop(db, shopId)
  if (mostPeople === null) return
  if ((await countPeople(db, shopId)) >= mostPeople)
    throw new Problem('limit-reached', say('refused.no-room-for-people', { most: mostPeople }))
}

/** Keeps a picture where there is room for it in the shop. @throws Problem limit-reached */
export async function withRoomForPhoto<T>(
  pool: Pool,
  shopId: number,
  { picture, small }: { picture: Buffer; small: Buffer },
  keep: (db: Db) => Promise<T>,
): Promise<T> {
  const { mostPhotoMb } = await limitsOfShop(pool, shopId)
  if (mostPhotoMb === null) return keep(pool)
  return transaction(pool, async db => {
    await lockShop(db, shopId)
    if ((await photoBytesOf(db, shopId)) + picture.length + small.length > mostPhotoMb * MB)
      throw new Problem('limit-reached', say('refused.no-room-for-photos', { most: mostPhotoMb }))
    return keep(db)
  })
}
