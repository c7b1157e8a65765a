import type { ShopRequest } from '../../shared/shop'
import type { Pool } from '../database/query'
import { shopById, updateShop } from '../repositories/shops'
import { boardChanged } from './board'

/**
 * What a lead may settle for the whole shop; what is not named stays. Jobs that are open keep what they were opened
 * with.
 */
export async function settleShop(pool: Pool, shopId: number, settled: ShopRequest): Promise<void> {
  await updateShop(pool, shopId, { ...(await shopById(pool, shopId)), ...settled })
  // how long work takes, and by which clock, orders the day
  await boardChanged(pool, shopId)
}
