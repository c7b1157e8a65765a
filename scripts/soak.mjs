#!/usr/bin/env node
// npm run soak: an hour of a busy shop (100 devices that listen, two answers a second), and what it does to the
// server's memory. -- --minutes=60
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
const minutes = Number(process.argv.find(a => a.startsWith('--minutes='))?.split('=')[1] ?? 60)

run(async () => {
  await ensurePrograms(databasePrograms())
  await ensurePackages(root)
  await ensureBuild(root)
  const data = mkdtempSync(join(tmpdir(), 'wembric-soak-'))
  const server = await startServer({ root, data })
  try {
    await command('node', [join(root, 'node_modules/tsx/dist/cli.mjs'), join(root, 'scripts/soak/index.ts')], {
      cwd: root,
      env: {
        ...process.env,
        ...server.env,
        WEMBRIC_SOAK: JSON.stringify({ minutes, pid: server.child.pid }),
      },
    })
  } finally {
    await server.stop()
    rmSync(data, { recursive: true, force: true })
  }
})
