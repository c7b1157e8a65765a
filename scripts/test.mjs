#!/usr/bin/env node
// npm test: from a fresh clone to every check. Stops at the first that fails. --only=browser and the like run one part.
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { command } from './setup/commands.mjs'
import { ensurePrograms, ensureRoom } from './setup/machine.mjs'
import { ensureBuild, ensurePackages } from './setup/packages.mjs'
import { run, say } from './setup/say.mjs'
import { startServer } from './setup/server.mjs'

const root = dirname(dirname(fileURLToPath(import.meta.url)))
const only = process.argv.find(a => a.startsWith('--only='))?.slice(7)
const screenshots = process.argv.includes('--screenshots')
const npx = (args, env = {}) =>
  command('npx', args, { cwd: root, env: { ...process.env, ...env, NUXT_TELEMETRY_DISABLED: '1' } })

/** A server of its own, with the demo, on a free port and in a folder that is thrown away. */
async function withServer(work) {
  const data = mkdtempSync(join(tmpdir(), 'wembric-test-'))
  const server = await startServer({ root, data })
  try {
    await work(server)
  } finally {
    await server.stop()
    rmSync(data, { recursive: true, force: true })
  }
}

const PARTS = {
  'lint': () => npx(['eslint', '.', '--max-warnings', '0']),
  'types': async () => {
    await npx(['tsc', '-p', 'core'])
    await npx(['vue-tsc', '-b', '--noEmit'])
    await npx(['tsc', '-p', 'tests'])
  },
  'imports': () => npx(['depcruise', '--config', '.dependency-cruiser.cjs', 'core', 'shared', 'server', 'app']),
  'dead-code': () => npx(['knip']),
  'core': () => npx(['vitest', 'run', '--project', 'core', '--project', 'app']),
  'server': () => withServer(server => npx(['vitest', 'run', '--project', 'server'], server.env)),
  'browser': () =>
    withServer(server =>
      npx(['playwright', 'test', ...(screenshots ? ['--project', 'screenshots'] : ['--project', 'browser'])], {
        ...server.env,
        WEMBRIC_TEST_DATA: server.data,
      }),
    ),
}

run(async () => {
  ensureRoom(root)
  await ensurePrograms(['mariadbd', 'mariadb-install-db', 'chromium', 'pdftotext'])
  await ensurePackages(root)
  await npx(['nuxt', 'prepare', '--logLevel', 'silent'])
  const parts = screenshots ? ['browser'] : only ? [only] : Object.keys(PARTS)
  for (const part of parts) {
    if (part === 'server' || part === 'browser') await ensureBuild(root)
    const start = Date.now()
    say(`${part} …`)
    await PARTS[part]()
    say(`${part} passed, ${Math.round((Date.now() - start) / 1000)} s`)
  }
  say(`${parts.length} of ${parts.length} parts passed`)
})
