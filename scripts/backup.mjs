#!/usr/bin/env node
// npm run backup: one file with everything, whether the server runs or not. npm run backup -- /folder --password
import { existsSync } from 'node:fs'
import { dirname, join, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'
import { errand } from './setup/commands.mjs'
import { databasePrograms, startDatabase } from './setup/database.mjs'
import { ensurePrograms } from './setup/machine.mjs'
import { ensurePackages } from './setup/packages.mjs'
import { backupPassword } from './setup/password.mjs'
import { run, StopWithWords } from './setup/say.mjs'

const root = dirname(dirname(fileURLToPath(import.meta.url)))
const data = resolve(root, process.env.WEMBRIC_DATA ?? '.data')
const folder = process.argv.slice(2).find(word => !word.startsWith('--'))

run(async () => {
  if (!process.env.WEMBRIC_DB_URL && !existsSync(join(data, 'mariadb')))
    throw new StopWithWords(`there are no data in ${data}. Say where they are: WEMBRIC_DATA=/path npm run backup`)
  await ensurePrograms(databasePrograms())
  await ensurePackages(root)
  const asked = process.argv.includes('--password')
  const password = asked ? await backupPassword('Password for this backup:') : process.env.WEMBRIC_BACKUP_PASSWORD
  const database = await startDatabase(data, false)
  try {
    await errand(root, 'backup/make.ts', {
      ...database.env,
      WEMBRIC_ROOT: root,
      WEMBRIC_DATA: data,
      WEMBRIC_OUTBOX: process.env.WEMBRIC_OUTBOX ?? join(data, 'outbox'),
      ...(folder ? { WEMBRIC_BACKUPS: resolve(folder) } : {}),
      WEMBRIC_BACKUP_PASSWORD: password ?? '',
    })
  } finally {
    // one that a server uses goes on
    if (!database.found) await database.stop()
  }
})
