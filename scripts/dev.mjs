#!/usr/bin/env node
// npm run dev: database, demo and the framework's dev server; a change of a page shows at once, state kept.
import { spawn } from 'node:child_process'
import { dirname, join, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'
import { databasePrograms, startDatabase } from './setup/database.mjs'
import { ensurePrograms, ensureRoom } from './setup/machine.mjs'
import { ensurePackages } from './setup/packages.mjs'
import { run, say } from './setup/say.mjs'

const root = dirname(dirname(fileURLToPath(import.meta.url)))
const host = process.env.HOST ?? '127.0.0.1'
const port = process.env.PORT ?? '3000'
// a folder of its own: what is tried here touches no shop's data
const data = resolve(root, process.env.WEMBRIC_DATA ?? '.data/dev')

run(async () => {
  ensureRoom(root)
  await ensurePrograms(databasePrograms())
  await ensurePackages(root)
  const database = await startDatabase(data)
  say(`the dev server opens http://${host}:${port} in about ten seconds; sign in as ines, password quillbrook`)
  // started directly: through npx it outlives SIGTERM
  const nuxt = spawn('node', [join(root, 'node_modules/nuxt/bin/nuxt.mjs'), 'dev', '--host', host, '--port', port], {
    cwd: root,
    stdio: 'inherit',
    env: {
      ...process.env,
      ...database.env,
      WEMBRIC_ROOT: root,
      WEMBRIC_DEMO: '1',
      WEMBRIC_OUTBOX: join(data, 'outbox'),
      NUXT_TELEMETRY_DISABLED: '1',
    },
  })
  const stop = () => nuxt.kill('SIGTERM')
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, stop)
  const code = await new Promise(done => nuxt.once('exit', done))
  await database.stop()
  process.exit(code ?? 0)
})
