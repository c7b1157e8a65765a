import type { ShopRequest } from '../../shared/requests'
import type { Db } from '../database/query'
import { shopById, updateShopWays } from '../repositories/shops'

/** What a lead may settle for the whole shop; what is not named stays. Jobs that are open keep what they were opened with. */
export async function settleShop(db: Db, shopId: number, ways: ShopRequest): Promise<void> {
  await updateShopWays(db, shopId, { ...await shopById(db, shopId), ...ways })
}
