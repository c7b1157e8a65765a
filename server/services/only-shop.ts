import { say } from '../../core/said'
import type { Db } from '../database/query'
import { countShops } from '../repositories/shops'
import { Problem } from '../problem'

/**
 * What concerns the whole installation is a lead's where it has one shop. @throws Problem not-allowed where others have
 * their records here too
 */
export async function checkOnlyShop(db: Db): Promise<void> {
  if ((await countShops(db)) > 1) throw new Problem('not-allowed', say('refused.not-the-only-shop'))
}
