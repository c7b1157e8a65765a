import { v7 } from 'uuid'
import { insertPerson } from '../../server/repositories/people'
import { insertShop } from '../../server/repositories/shops'
import type { SignedIn } from '../../server/services/people'
import { pool } from './database'

/** Somebody of another shop: what is the demo’s is not theirs. */
export async function otherShop(): Promise<{ person: SignedIn }> {
  const shopId = await insertShop(pool, { name: 'Elsewhere', timeZone: 'Etc/UTC', unit: 'mm', demo: 'no' })
  const id = await insertPerson(pool, shopId, { signIn: v7(), name: 'Ada', role: 'lead', passwordHash: 'x' })
  return { person: { id, shopId, name: 'Ada', role: 'lead' } }
}
