import { say } from '../../core/said'
import type { PersonRole } from '../../shared/people'
import type { Db } from '../database/query'
import { Problem } from '../problem'
import { countShops } from '../repositories/shops'

/** Of somebody, what says whether they run the server. */
interface Standing {
  role: PersonRole
  byPin?: boolean
  runsServer?: boolean
}

/** Whether somebody runs the server: a PIN is not enough to be known as that. */
export const runsServer = (person: Standing): boolean =>
  person.role === 'lead' && !person.byPin && person.runsServer === true
/** @throws Problem not-allowed for anybody but whoever runs the server */
export function checkRunsServer(person: Standing): void {
  if (!runsServer(person)) throw new Problem('not-allowed', say('refused.only-who-runs-the-server'))
}
/**
 * What concerns the whole installation is a lead's where it has one shop.
 * @throws Problem not-allowed where others have their records here too, and somebody else runs the server
 */
export async function checkOwnHouse(db: Db, person: Standing): Promise<void> {
  if (!runsServer(person) && (await countShops(db)) > 1)
    throw new Problem('not-allowed', say('refused.not-the-only-shop'))
}
