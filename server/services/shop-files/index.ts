import { lastMigration } from '../../database/migrate'
import { databaseSettings } from '../../database/pool'
import type { Db } from '../../database/query'
import type { SignedIn } from '../people'
import { noteInLog } from '../shop-log'
import { ownVersion } from '../version'
import { shopFiles } from './write'

/** The open files of a person's shop; that they were fetched is written down. */
export async function* fetchShopFiles(db: Db, person: SignedIn, now: Date): AsyncGenerator<Uint8Array> {
  await noteInLog(db, person, 'files-fetched')
  yield* shopFiles(databaseSettings(process.env, 'app'), person.shopId, {
    version: ownVersion(),
    migration: await lastMigration(databaseSettings(process.env, 'migration')),
    madeAt: now,
  })
}
