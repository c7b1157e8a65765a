import { readdir, stat } from 'node:fs/promises'
import { join } from 'node:path'
import { DAY_MS } from '../../core/units'
import type { BackupFile, BackupKind } from '../../shared/backups'

const NAME = /^wembric-(\d{4})(\d\d)(\d\d)T(\d\d)(\d\d)(\d\d)Z-(nightly|asked|upgrade)\.tar(\.age)?$/
/** Those of the last nights that are kept, and how many older weeks one each is kept of. */
const NIGHTS = 7
const WEEKS = 4
/** The first of January 1970 was a Thursday: weeks begin on Mondays. */
const weekOf = (iso: string): number => Math.floor((Date.parse(iso) / DAY_MS + 3) / 7)

/** The name of a backup: when it was made, in UTC, and why. */
export const nameOf = (kind: BackupKind, madeAt: Date, encrypted: boolean): string =>
  `wembric-${madeAt.toISOString().replaceAll(/[-:]|\.\d+/g, '')}-${kind}.tar${encrypted ? '.age' : ''}`

/** Whether a name is one of a backup, and nothing else: no path leads out of the folder. */
export const isNameOfBackup = (name: string): boolean => NAME.test(name)

/** The backups in a folder, the newest first. */
export async function backupsIn(folder: string): Promise<BackupFile[]> {
  const files: BackupFile[] = []
  for (const name of await readdir(folder).catch(() => [])) {
    const [, year, month, day, hour, minute, second, kind, age] = NAME.exec(name) ?? []
    if (!kind) continue
    const madeAt = `${year}-${month}-${day}T${hour}:${minute}:${second}.000Z`
    const { size } = await stat(join(folder, name))
    files.push({ name, kind: kind as BackupKind, madeAt, bytes: size, encrypted: age !== undefined })
  }
  return files.sort((a, b) => b.madeAt.localeCompare(a.madeAt))
}

/**
 * The nightly ones that need not be kept any longer: neither of the last seven, nor the last of one of four weeks
 * before. They go by their order, not by the clock: one that jumped takes none with it.
 */
export function surplus(files: BackupFile[]): BackupFile[] {
  const older = files.filter(f => f.kind === 'nightly').slice(NIGHTS)
  const weeks = new Set<number>()
  return older.filter(({ madeAt }) => {
    const week = weekOf(madeAt)
    if (weeks.has(week) || weeks.size === WEEKS) return true
    weeks.add(week)
    return false
  })
}
