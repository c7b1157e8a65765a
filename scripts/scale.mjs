#!/usr/bin/env node
// npm run scale: what a job weighs, what a server takes, and a simulation of the busiest installation with it.
// docs/scale.md has the arithmetic. -- --shops=5000 --servers=3
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { command } from './setup/commands.mjs'
import { databasePrograms } from './setup/database.mjs'
import { ensurePrograms } from './setup/machine.mjs'
import { ensureBuild, ensurePackages } from './setup/packages.mjs'
import { run } from './setup/say.mjs'
import { startServer } from './setup/server.mjs'

const root = dirname(dirname(fileURLToPath(import.meta.url)))
const given = (name, other) => Number(process.argv.find(a => a.startsWith(`--${name}=`))?.split('=')[1] ?? other)

run(async () => {
  await ensurePrograms(databasePrograms())
  await ensurePackages(root)
  await ensureBuild(root)
  const data = mkdtempSync(join(tmpdir(), 'wembric-scale-'))
  const server = await startServer({ root, data })
  try {
    await command('node', [join(root, 'node_modules/tsx/dist/cli.mjs'), join(root, 'scripts/scale/index.ts')], {
      cwd: root,
      env: {
        ...process.env,
        ...server.env,
        WEMBRIC_SCALE: JSON.stringify({
          shops: given('shops', 5000),
          servers: given('servers', 3),
        }),
      },
    })
  } finally {
    await server.stop()
    rmSync(data, { recursive: true, force: true })
  }
})
