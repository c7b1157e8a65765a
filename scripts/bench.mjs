#!/usr/bin/env node
// npm run bench: starts a server of its own with the demo, and measures against it.
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { command } from './setup/commands.mjs'
import { ensurePrograms } from './setup/machine.mjs'
import { ensureBuild, ensurePackages } from './setup/packages.mjs'
import { run } from './setup/say.mjs'
import { startServer } from './setup/server.mjs'

const root = dirname(dirname(fileURLToPath(import.meta.url)))
run(async () => {
  await ensurePrograms(['mariadbd', 'mariadb-install-db', 'chromium-headless-shell'])
  await ensurePackages(root)
  await ensureBuild(root)
  const data = mkdtempSync(join(tmpdir(), 'wembric-bench-'))
  const server = await startServer({ root, data })
  try {
    await command('npx', ['tsx', 'scripts/bench/index.ts', ...process.argv.slice(2)], {
      cwd: root,
      env: { ...process.env, ...server.env, WEMBRIC_BENCH_PID: String(server.child.pid) },
    })
  } finally {
    await server.stop()
    rmSync(data, { recursive: true, force: true })
  }
})
