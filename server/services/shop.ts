import type { ShopChange, ShopRequest } from '../../shared/shop'
import { type Pool, transaction } from '../database/query'
import { lockShop, shopById, updateShop } from '../repositories/shops'
import { boardChanged } from './board'
import { laidOver } from './laid-over'

/**
 * What a lead may settle for the whole shop; what is not named stays. Jobs that are open keep what they were opened
 * with.
 */
export async function settleShop(pool: Pool, shopId: number, settled: ShopChange): Promise<void> {
  await transaction(pool, async db => {
    await lockShop(db, shopId)
    const now = await shopById(db, shopId)
    await updateShop(db, shopId, { ...now, ...laidOver<ShopRequest>(now, settled) })
  })
  // how long work takes, and by which clock, orders the day
  await boardChanged(pool, shopId)
}
