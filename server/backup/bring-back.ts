import { once } from 'node:events'
import { mkdir, writeFile } from 'node:fs/promises'
import { basename, join } from 'node:path'
import { promisify } from 'node:util'
import { gunzip } from 'node:zlib'
import { say } from '../../core/said'
import { migrate, newestMigration } from '../database/migrate'
import type { DatabaseSettings } from '../database/pool'
import { clearTables, giveUpTables, leaveRestore, takeForRestore } from '../database/tables'
import { Problem } from '../problem'
import { type OpenBackup, openBackup } from './file'
import { load } from './programs'
import { sumBy } from './sum'

const unzip = promisify(gunzip)

/** What is brought back, and where it goes. */
export interface RestoreTask {
  /** An account that may make tables. */
  settings: DatabaseSettings
  root: string
  path: string
  password: string | null
  /** Where its letters go. */
  letters: string | null
  /** Whether its tables are brought up to date; they are not where an upgrade has failed. */
  upToDate?: boolean
  /** The tables that are there may go: of an empty installation, or of an upgrade that has failed. */
  giveUp?: boolean
}

/**
 * Brings a backup back into a database without tables, and its tables up to date.
 * @param onBytes told how many bytes of statements were taken in so far
 * @returns when the backup was made
 * @throws Problem backup-broken, backup-password, backup-newer, not-empty, no-program, backup-failed; then the database
 *   is without tables again
 */
export async function bringBack(task: RestoreTask, onBytes: (bytes: number) => void = () => {}): Promise<Date> {
  const backup = await openBackup(task.path, task.password)
  const { about } = backup
  if (about.migration > newestMigration(task.root))
    throw new Problem('backup-newer', say('backup.newer', { path: task.path, version: about.version }))
  // not before the file is known to be one, and its password right
  if (task.giveUp) await giveUpTables(task.settings)
  await takeForRestore(task.settings)
  try {
    await takeIn(task, backup, onBytes)
    if (task.upToDate ?? true) await migrate(task.settings, task.root)
    await leaveRestore(task.settings)
  } catch (error) {
    await clearTables(task.settings)
    throw error
  }
  return new Date(about.madeAt)
}

async function takeIn(
  task: RestoreTask,
  { about, entries }: OpenBackup,
  onBytes: (bytes: number) => void,
): Promise<void> {
  const loading = load(task.settings)
  let failed: Error | null = null
  loading.ended.catch((error: Error) => (failed = error))
  const sum = sumBy(about.sum)
  let pieces = 0
  let bytes = 0
  const broken = () => new Problem('backup-broken', say('backup.broken', { path: task.path }))
  try {
    for (let next = await entries.next(); ; next = await entries.next()) {
      if (next.done) {
        const end = next.value
        if (pieces !== end.pieces || bytes !== end.bytes || sum.total() !== end.sum) throw broken()
        break
      }
      const { name, bytes: content } = next.value
      if (name.startsWith('letters/')) await keepLetter(task.letters, name, content)
      if (!name.startsWith('database/')) continue
      const statements = name.endsWith('.gz')
        ? await unzip(content).catch(() => {
            throw broken()
          })
        : content
      pieces++
      bytes += statements.length
      sum.add(statements)
      if (failed) throw failed
      if (!loading.take.write(statements)) await Promise.race([once(loading.take, 'drain'), loading.ended])
      onBytes(bytes)
    }
  } catch (error) {
    loading.stop()
    throw failed ?? error
  }
  loading.take.end()
  await loading.ended
}

async function keepLetter(folder: string | null, name: string, content: Buffer): Promise<void> {
  if (folder === null) return
  await mkdir(folder, { recursive: true })
  await writeFile(join(folder, basename(name)), content)
}
