import { createWriteStream } from 'node:fs'
import { open, rm } from 'node:fs/promises'
import { join } from 'node:path'
import type { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { say } from '../../core/said'
import type { RestoreResponse } from '../../shared/backups'
import { bringBack } from '../backup/bring-back'
import { isDiskFull } from '../database/errors'
import { databaseSettings } from '../database/pool'
import type { Pool } from '../database/query'
import { Problem } from '../problem'
import { countShops } from '../repositories/shops'
import { heldFor, startedUp } from '../startup'
import { tellFailure } from '../telling/log'
import { tell } from '../words'
import { takeShopIn } from './shop-files/read'
import { root } from './version'

/** How the one restore goes that an empty server does. */
let state: RestoreResponse = { state: 'none' }
const file = (): string => join(process.env.WEMBRIC_DATA ?? '.data', 'coming-back')

export const readRestore = (): RestoreResponse => state

/** @throws Problem shop-there where the server has a shop: nothing is restored over it */
async function checkEmpty(pool: Pool): Promise<void> {
  if (state.state === 'running') throw new Problem('backup-running', say('backup.restoring'))
  await startedUp()
  if ((await countShops(pool)) > 0) throw new Problem('shop-there', say('refused.there-is-a-shop-already'))
}

/** Takes the file in, as it comes. @throws Problem shop-there, disk-full */
export async function takeBackup(pool: Pool, bytes: Readable): Promise<void> {
  await checkEmpty(pool)
  try {
    await pipeline(bytes, createWriteStream(file(), { mode: 0o600 }))
  } catch (error) {
    await rm(file(), { force: true })
    if (isDiskFull(error)) throw new Problem('disk-full', say('backup.disk-full', { path: file() }))
    throw error
  }
}

/** Whether the file is the open files of a shop: a zip begins with “PK”. */
async function isShopFiles(): Promise<boolean> {
  const handle = await open(file(), 'r')
  const { buffer } = await handle.read(Buffer.alloc(2), 0, 2, 0).finally(() => handle.close())
  return buffer.toString('latin1') === 'PK'
}

async function restore(pool: Pool, password: string | null, now: Date): Promise<RestoreResponse> {
  const settings = databaseSettings(process.env, 'migration')
  if (await isShopFiles()) {
    const { signIn, code } = await takeShopIn(pool, settings, file(), now)
    return { state: 'done', madeAt: null, lead: { signIn, code } }
  }
  const task = {
    giveUp: true,
    settings,
    root: root(),
    path: file(),
    password,
    letters: process.env.WEMBRIC_OUTBOX ?? null,
  }
  // about how much there is: what is packed unfolds to three times as much, and photos do not
  const { size } = await open(file(), 'r').then(handle => handle.stat().finally(() => handle.close()))
  const madeAt = await bringBack(task, bytes => {
    state = { state: 'running', part: Math.min(bytes / (size * 2), 0.99) }
  })
  return { state: 'done', madeAt: madeAt.toISOString(), lead: null }
}

/**
 * Begins to bring back what was taken in; requests wait until it is done. What fails leaves an empty server, and is told
 * by `readRestore`.
 */
export async function beginRestore(pool: Pool, password: string, now: Date): Promise<void> {
  await checkEmpty(pool)
  state = { state: 'running', part: 0 }
  const work = restore(pool, password || null, now)
    .then(done => {
      state = done
    })
    .catch((error: unknown) => {
      if (!(error instanceof Problem)) tellFailure(error, { doing: 'restoring a backup' })
      state = { state: 'failed', why: tell(error instanceof Problem ? error.title : say('backup.failed-to-restore')) }
    })
    .finally(() => rm(file(), { force: true }))
  heldFor(work)
}
