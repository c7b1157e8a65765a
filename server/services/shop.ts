import type { ShopRequest } from '../../shared/requests'
import type { Db } from '../database/query'
import { updateFavouriteSchool } from '../repositories/shops'

/** What a lead may settle for the whole shop. Jobs that are open keep what they were opened with. */
export async function settleShop(db: Db, shopId: number, { favouriteSchool }: ShopRequest): Promise<void> {
  await updateFavouriteSchool(db, shopId, favouriteSchool)
}
