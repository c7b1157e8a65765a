#!/usr/bin/env node
// npm run restore -- FILE: a backup into a new data folder (WEMBRIC_DATA), or an empty database (WEMBRIC_DB_URL).
import { existsSync, mkdirSync, readdirSync, renameSync, rmSync, writeFileSync } from 'node:fs'
import { dirname, join, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'
import { errand } from './setup/commands.mjs'
import { databasePrograms, startDatabase } from './setup/database.mjs'
import { ensurePrograms, ensureRoom } from './setup/machine.mjs'
import { ensurePackages } from './setup/packages.mjs'
import { backupPassword } from './setup/password.mjs'
import { run, say, StopWithWords } from './setup/say.mjs'

const root = dirname(dirname(fileURLToPath(import.meta.url)))
const data = resolve(root, process.env.WEMBRIC_DATA ?? '.data')
const file = process.argv.slice(2).find(word => !word.startsWith('--'))

/** Nothing of a shop lies there: a folder that holds nothing but backups may be restored into. */
const isFree = folder => !existsSync(folder) || readdirSync(folder).every(name => name === 'backups')

/** No demo is put beside a shop that was restored. */
function noteRestored(folder) {
  mkdirSync(folder, { recursive: true })
  writeFileSync(join(folder, 'empty'), 'This shop was restored from a backup.\n')
}

/** Runs the restore itself, its database up. */
const bringBack = (folder, database, password) =>
  errand(root, 'backup/restore.ts', {
    ...database.env,
    WEMBRIC_ROOT: root,
    WEMBRIC_BACKUP_FILE: resolve(file),
    WEMBRIC_BACKUP_PASSWORD: password,
    WEMBRIC_OUTBOX: process.env.WEMBRIC_OUTBOX ?? join(folder, 'outbox'),
  })

/** Into a folder under another name, which gets its own once all is in it. */
async function intoFolder(password) {
  if (!isFree(data))
    throw new StopWithWords(
      `there are data in ${data} already; nothing was changed. Restore into a new folder: WEMBRIC_DATA=/new/folder npm run restore -- ${file}`,
    )
  const making = `${data}.restoring`
  rmSync(making, { recursive: true, force: true })
  ensureRoom(making)
  const database = await startDatabase(making, false)
  try {
    await bringBack(making, database, password)
  } catch (error) {
    await database.stop()
    rmSync(making, { recursive: true, force: true })
    throw error
  }
  await database.stop()
  noteRestored(making)
  if (existsSync(join(data, 'backups'))) renameSync(join(data, 'backups'), join(making, 'backups'))
  rmSync(data, { recursive: true, force: true })
  mkdirSync(dirname(data), { recursive: true })
  renameSync(making, data)
  say(`restored into ${data}. Start it: ${process.env.WEMBRIC_DATA ? `WEMBRIC_DATA=${data} ` : ''}npm start`)
}

run(async () => {
  if (!file)
    throw new StopWithWords('say which backup: WEMBRIC_DATA=/new/folder npm run restore -- /path/to/wembric-….tar')
  await ensurePrograms(databasePrograms())
  await ensurePackages(root)
  const password = file.endsWith('.age') ? await backupPassword('Password of this backup:') : ''
  if (!process.env.WEMBRIC_DB_URL) return intoFolder(password)
  await bringBack(data, await startDatabase(data, false), password)
  noteRestored(data)
  say('restored into the database of WEMBRIC_DB_URL. Start it with the same WEMBRIC_DB_URL: npm start')
})
