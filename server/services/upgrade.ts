import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { say } from '../../core/said'
import { bringBack } from '../backup/bring-back'
import { lastMigration, migrate, newestMigration } from '../database/migrate'
import { databaseSettings } from '../database/pool'
import type { Pool } from '../database/query'
import { isHalfRestored } from '../database/tables'
import { Problem } from '../problem'
import { note, noted } from '../repositories/installation'
import { tellFailure, tellNews } from '../telling/log'
import { backUp, backupsFolder } from './backups'
import { ownVersion, root } from './version'

/**
 * Brings the tables to what this version wants. Data of an earlier version are backed up first, and put back as they
 * were where the upgrade fails: the former version can start on them again.
 * @throws Problem data-newer, half-restored, upgrade-failed, and what a backup refuses; nothing is changed then
 */
export async function upgrade(pool: Pool, now: Date): Promise<void> {
  const settings = databaseSettings(process.env, 'migration')
  if (await isHalfRestored(settings)) throw new Problem('half-restored', say('upgrade.half-restored'))
  const [last, newest] = [await lastMigration(settings), newestMigration(root())]
  if (last > newest) {
    const version = (await noted(pool, 'version').catch(() => null))?.value ?? `${last}`
    throw new Problem('data-newer', say('upgrade.data-newer', { version }))
  }
  if (last > 0 && last < newest) await upgradeTables(last, now)
  else await migrate(settings, root())
  await noteVersion(pool)
}

async function upgradeTables(last: number, now: Date): Promise<void> {
  const settings = databaseSettings(process.env, 'migration')
  tellNews('An older version has used these data. Making a backup before the upgrade …')
  const password = process.env.WEMBRIC_BACKUP_PASSWORD || null
  const backup = join(backupsFolder(), await backUp('upgrade', password, now))
  tellNews(`Backup made: ${backup}`)
  try {
    const applied = await migrate(settings, root())
    tellNews(`The tables are up to date: ${applied.join(', ')}.`)
  } catch (error) {
    const words = (error as Error).message
    tellFailure(error)
    // somebody else has brought them further meanwhile
    if ((await lastMigration(settings)) !== last) throw error
    try {
      await bringBack({ settings, root: root(), path: backup, password, letters: null, upToDate: false, giveUp: true })
    } catch (failed) {
      tellFailure(failed)
      throw new Problem('upgrade-failed', say('upgrade.failed-and-not-put-back', { backup, words }))
    }
    throw new Problem('upgrade-failed', say('upgrade.failed', { version: ownVersion(), words }))
  }
}

/** Notes which version runs, and says what is new in it where another ran before. */
async function noteVersion(pool: Pool): Promise<void> {
  const own = ownVersion()
  const before = (await noted(pool, 'version'))?.value ?? null
  if (before === own) return
  await note(pool, 'version', own)
  if (before === null) return
  await note(pool, 'version-before', before)
  tellNews(`Upgraded from ${before} to ${own}. What changed:\n${changesOf(own)}`)
}

/** What the changelog says of a version. */
function changesOf(version: string): string {
  const sections = readFileSync(join(root(), 'CHANGELOG.md'), 'utf8').split(/^## /m)
  const section = sections.find(s => s.startsWith(version))
  return section ? section.slice(section.indexOf('\n')).trim() : 'see CHANGELOG.md.'
}
