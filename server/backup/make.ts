import { readdir, readFile, stat } from 'node:fs/promises'
import { join } from 'node:path'
import type { DatabaseSettings } from '../database/pool'
import { type End, type Entry, writeBackup } from './file'
import { piecesOf } from './pieces'
import { dump } from './programs'
import { sumBy } from './sum'

/** What goes into a backup, and where it goes. */
export interface BackupTask {
  settings: DatabaseSettings
  version: string
  migration: number
  madeAt: string
  /** The folder of the letters; they are files, not rows. */
  letters: string | null
  path: string
  password: string | null
}

async function* lettersIn(folder: string | null): AsyncGenerator<Entry> {
  if (folder === null) return
  for (const name of await readdir(folder).catch(() => [])) {
    const path = join(folder, name)
    if ((await stat(path)).isFile()) yield { name: `letters/${name}`, bytes: await readFile(path) }
  }
}

/**
 * Makes a backup of the whole installation while it runs.
 * @param onBytes told how many bytes of statements were read so far
 * @throws Problem no-program, backup-failed, disk-full; then there is no file
 */
export async function makeBackup(task: BackupTask, onBytes: (bytes: number) => void = () => {}): Promise<void> {
  const sum = sumBy('crc32')
  const end: End = { pieces: 0, bytes: 0, sum: '' }
  const dumping = dump(task.settings)
  // it is asked about after its last byte: until then a failure waits
  dumping.ended.catch(() => {})
  async function* entries(): AsyncGenerator<Entry> {
    yield* lettersIn(task.letters)
    const read = (bytes: Buffer) => {
      sum.add(bytes)
      end.bytes += bytes.length
      onBytes(end.bytes)
    }
    for await (const { bytes, gzipped } of piecesOf(dumping.out, read)) {
      end.pieces++
      yield { name: `database/${String(end.pieces).padStart(6, '0')}.sql${gzipped ? '.gz' : ''}`, bytes }
    }
    await dumping.ended
    end.sum = sum.total()
  }
  const { version, migration, madeAt } = task
  try {
    await writeBackup(
      task.path,
      { wembricBackup: 1, version, migration, madeAt, sum: 'crc32' },
      entries(),
      () => end,
      task.password,
    )
  } finally {
    dumping.stop()
  }
}
