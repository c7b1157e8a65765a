import { createReadStream } from 'node:fs'
import { mkdir, rm } from 'node:fs/promises'
import { join, resolve } from 'node:path'
import { say, type Text } from '../../core/said'
import { DAY_MS, daysIn, HOUR_MS } from '../../core/units'
import type { BackupAge, BackupKind, BackupsResponse } from '../../shared/backups'
import { backupsIn, isNameOfBackup, nameOf, surplus } from '../backup/kept'
import type { BackupTask } from '../backup/make'
import { isDiskFull } from '../database/errors'
import { lastMigration } from '../database/migrate'
import { databaseSettings } from '../database/pool'
import type { Db, Pool } from '../database/query'
import { bytesOfTables } from '../database/tables'
import { Problem } from '../problem'
import { countShops, oldestShop } from '../repositories/shops'
import { tellFailure } from '../telling/log'
import { tell } from '../words'
import { backupElsewhere } from '../workers/backup-thread'
import type { SignedIn } from './people'
import { checkOwnHouse, runsServer } from './server-runner'
import { noteInLog } from './shop-log'
import { ownVersion } from './version'

/** Where backups lie: a folder of the owner's, or one beside the data. */
export const backupsFolder = (): string =>
  resolve(process.env.WEMBRIC_BACKUPS ?? join(process.env.WEMBRIC_DATA ?? '.data', 'backups'))
const isNightly = (): boolean => process.env.WEMBRIC_NIGHTLY !== 'off'

/** The one that is being made, and what became of the last. */
let running: { kind: BackupKind; read: number; of: number } | null = null
let failed: Text | null = null

/**
 * Makes a backup into the folder, and lets nightly ones go that are kept no longer.
 * @param password encrypts it; null leaves it open
 * @param make by whom: in a thread of its own, so that no answer waits, or here
 * @returns its name
 * @throws Problem backup-running while another is made, disk-full, no-program, backup-failed; nothing is left then
 */
export async function backUp(
  kind: BackupKind,
  password: string | null,
  now: Date,
  make: (task: BackupTask, onBytes: (bytes: number) => void) => Promise<void> = backupElsewhere,
): Promise<string> {
  if (running) throw new Problem('backup-running', say('backup.running'))
  running = { kind, read: 0, of: 1 }
  failed = null
  const folder = backupsFolder()
  const name = nameOf(kind, now, password !== null)
  const settings = databaseSettings(process.env, 'app')
  try {
    await mkdir(folder, { recursive: true, mode: 0o700 })
    running.of = await bytesOfTables(settings)
    await make(
      {
        settings,
        version: ownVersion(),
        migration: await lastMigration(databaseSettings(process.env, 'migration')),
        madeAt: now.toISOString(),
        letters: process.env.WEMBRIC_OUTBOX ?? null,
        path: join(folder, name),
        password,
      },
      read => {
        if (running) running.read = read
      },
    )
    for (const old of surplus(await backupsIn(folder))) await rm(join(folder, old.name))
    return name
  } catch (error) {
    const problem =
      error instanceof Problem
        ? error
        : isDiskFull(error)
          ? new Problem('disk-full', say('backup.disk-full', { path: folder }))
          : null
    failed = problem?.title ?? say('backup.failed')
    if (!problem) tellFailure(error)
    throw problem ?? new Problem('backup-failed', say('backup.failed'))
  } finally {
    running = null
  }
}

/** Begins one that a lead asked for; how it goes is read from `readBackups`. */
export function beginBackup(password: string, now: Date): void {
  if (running) throw new Problem('backup-running', say('backup.running'))
  // it says itself what became of it
  backUp('asked', password || null, now).catch(() => {})
}

export async function readBackups(): Promise<BackupsResponse> {
  return {
    folder: backupsFolder(),
    files: await backupsIn(backupsFolder()),
    // a dump is a little larger or smaller than its tables
    running: running && { kind: running.kind, part: Math.min(running.read / Math.max(running.of, 1), 0.99) },
    failed: failed && tell(failed),
    nightly: isNightly(),
  }
}

/** A backup's bytes; that it was fetched is written down. @throws Problem not-found, not-allowed */
export async function* fetchBackup(pool: Pool, person: SignedIn, name: string): AsyncGenerator<Uint8Array> {
  await checkOwnHouse(pool, person)
  const gone = new Problem('not-found', say('refused.there-is-nothing-at-this'))
  if (!isNameOfBackup(name)) throw gone
  await noteInLog(pool, person, 'backup-fetched', name)
  try {
    yield* createReadStream(join(backupsFolder(), name)) as AsyncIterable<Uint8Array>
  } catch (error) {
    if ((error as { code?: string }).code === 'ENOENT') throw gone
    throw error
  }
}

/** An older one than this is worth a word, days. */
const OLD_DAYS = 3

/** What a lead hears of the newest backup; null where all is well. A shop of the last days needs none yet. */
export async function backupAge(db: Db, person: SignedIn, now: Date): Promise<BackupAge | null> {
  const shop = await oldestShop(db)
  // with several shops, whoever runs the server looks after it
  if (!runsServer(person) && (await countShops(db)) > 1) return null
  if (!shop || now.getTime() - shop.createdAt.getTime() < OLD_DAYS * DAY_MS) return null
  const [newest] = await backupsIn(backupsFolder())
  if (!newest) return { none: true }
  const days = Math.floor((now.getTime() - Date.parse(newest.madeAt)) / DAY_MS)
  if (days < -1) return { future: true }
  return days > OLD_DAYS ? { days } : null
}

const LOOK_EVERY_MS = 600_000
/** A backup's day begins when nobody works, h. */
const NIGHT_BEGINS_H = 2

/** Whether the night's backup is still to be made: none is of this day, by the shop's clock. */
export async function isNightDue(folder: string, timeZone: string, now: Date): Promise<boolean> {
  const nightOf = (ms: number) => daysIn(timeZone)(new Date(ms - NIGHT_BEGINS_H * HOUR_MS))
  const nights = (await backupsIn(folder)).filter(f => f.kind === 'nightly').map(f => nightOf(Date.parse(f.madeAt)))
  return !nights.includes(nightOf(now.getTime()))
}

/**
 * Makes a backup each night, or as soon as the server runs again after one that it slept through. One that fails is
 * tried again ten minutes later, and said on the Shop page.
 */
export function keepNightly(pool: Pool): void {
  if (!isNightly()) return
  const look = async () => {
    const shop = await oldestShop(pool)
    const now = new Date()
    if (shop && !running && (await isNightDue(backupsFolder(), shop.timeZone, now)))
      await backUp('nightly', process.env.WEMBRIC_BACKUP_PASSWORD || null, now)
  }
  setInterval(
    () => void look().catch((error: Error) => tellFailure(error, { doing: 'the nightly backup' })),
    LOOK_EVERY_MS,
  ).unref()
}
