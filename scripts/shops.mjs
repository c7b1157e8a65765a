#!/usr/bin/env node
// npm run shops: the shops of this server, from the command line. npm run shops -- help
import { existsSync } from 'node:fs'
import { dirname, join, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'
import { errand } from './setup/commands.mjs'
import { databasePrograms, startDatabase } from './setup/database.mjs'
import { ensurePrograms } from './setup/machine.mjs'
import { ensurePackages } from './setup/packages.mjs'
import { run, StopWithWords } from './setup/say.mjs'

const root = dirname(dirname(fileURLToPath(import.meta.url)))
const data = resolve(root, process.env.WEMBRIC_DATA ?? '.data')

run(async () => {
  if (!process.env.WEMBRIC_DB_URL && !existsSync(join(data, 'mariadb')))
    throw new StopWithWords(`there are no data in ${data}. Say where they are: WEMBRIC_DATA=/path npm run shops`)
  await ensurePrograms(databasePrograms())
  await ensurePackages(root)
  const database = await startDatabase(data, false)
  try {
    await errand(root, 'several-shops/shops.ts', {
      ...database.env,
      WEMBRIC_ROOT: root,
      WEMBRIC_DATA: data,
      WEMBRIC_OUTBOX: process.env.WEMBRIC_OUTBOX ?? join(data, 'outbox'),
      WEMBRIC_ASKED: JSON.stringify(process.argv.slice(2)),
    })
  } finally {
    // one that a server uses goes on
    if (!database.found) await database.stop()
  }
})
