#!/usr/bin/env node
// Runs a command with Wembric's own MariaDB up: node scripts/with-database.mjs tsx scripts/rebuild.ts
import { dirname, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'
import { command } from './setup/commands.mjs'
import { databasePrograms, startDatabase } from './setup/database.mjs'
import { ensurePrograms } from './setup/machine.mjs'
import { ensurePackages } from './setup/packages.mjs'
import { run } from './setup/say.mjs'

const root = dirname(dirname(fileURLToPath(import.meta.url)))
run(async () => {
  await ensurePrograms(databasePrograms())
  await ensurePackages(root)
  const database = await startDatabase(resolve(root, process.env.WEMBRIC_DATA ?? '.data'))
  const [name, ...args] = process.argv.slice(2)
  try {
    await command('npx', [name, ...args], { cwd: root, env: { ...process.env, ...database.env, WEMBRIC_ROOT: root } })
  } finally {
    if (process.env.WEMBRIC_KEEP_DATABASE !== '1') await database.stop()
  }
})
