import { lastMigration } from '../../database/migrate'
import { databaseSettings } from '../../database/pool'
import type { Db } from '../../database/query'
import type { SignedIn } from '../people'
import { noteInLog } from '../shop-log'
import { knownShop, noteThere } from '../shops'
import { ownVersion } from '../version'
import { shopFiles } from './write'

/** A shop's open files, as a zip. */
export async function filesOf(shopId: number, now: Date): Promise<AsyncGenerator<Uint8Array>> {
  return shopFiles(databaseSettings(process.env, 'app'), shopId, {
    version: ownVersion(),
    migration: await lastMigration(databaseSettings(process.env, 'migration')),
    madeAt: now,
  })
}
/** The open files of a person's shop; that they were fetched is written down. */
export async function* fetchShopFiles(db: Db, person: SignedIn, now: Date): AsyncGenerator<Uint8Array> {
  await noteInLog(db, person, 'files-fetched')
  yield* await filesOf(person.shopId, now)
}
/** Those of any shop, for whoever runs the server; the shop's own log says so. @throws Problem not-found */
export async function* fetchFilesOfShop(db: Db, runner: SignedIn, id: number, now: Date): AsyncGenerator<Uint8Array> {
  const { name } = await knownShop(db, id)
  await noteInLog(db, runner, 'files-fetched', name)
  if (id !== runner.shopId) await noteThere(db, id, runner, 'files-fetched', name)
  yield* await filesOf(id, now)
}
