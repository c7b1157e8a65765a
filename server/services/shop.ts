import type { ShopRequest } from '../../shared/requests'
import type { Pool } from '../database/query'
import { shopById, updateShopWays } from '../repositories/shops'
import { boardChanged } from './board'

/**
 * What a lead may settle for the whole shop; what is not named stays. Jobs that are open keep what they were opened
 * with.
 */
export async function settleShop(pool: Pool, shopId: number, ways: ShopRequest): Promise<void> {
  await updateShopWays(pool, shopId, { ...(await shopById(pool, shopId)), ...ways })
  // how long work takes orders the day
  await boardChanged(pool, shopId)
}
