#!/usr/bin/env node
// npm start: everything from a fresh clone to a running Wembric. Built-ins only until the packages are there.
import { existsSync, mkdirSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:http'
import { dirname, join, resolve } from 'node:path'
import { fileURLToPath, pathToFileURL } from 'node:url'
import { databasePrograms, startDatabase } from './setup/database.mjs'
import { keepingIdle } from './setup/idle.mjs'
import { ensurePrograms, ensureRoom } from './setup/machine.mjs'
import { guardConsole } from './setup/output.mjs'
import { ensureBuild, ensurePackages } from './setup/packages.mjs'
import { askOwn, askReady, waitReady } from './setup/ready.mjs'
import { run, say, STARTED, StopWithWords } from './setup/say.mjs'

const root = dirname(dirname(fileURLToPath(import.meta.url)))
/** Open to the phones of the house, over TLS; else to this computer alone. */
const lan = process.argv.includes('--lan')
const host = process.env.HOST ?? (lan ? '0.0.0.0' : '127.0.0.1')
const port = Number(process.env.PORT ?? 3000)
const trustPort = Number(process.env.WEMBRIC_TRUST_PORT ?? port + 80)
const data = resolve(root, process.env.WEMBRIC_DATA ?? '.data')

/** Whether the port is free, tried before anything slow is begun. */
const ensurePort = port =>
  new Promise((done, fail) => {
    const probe = createServer().once('error', error =>
      fail(
        new StopWithWords(
          error.code === 'EADDRINUSE'
            ? `port ${port} is in use by another program. Stop that program, or choose a different port: PORT=${port + 1} npm start`
            : `cannot listen on ${host}:${port} (${error.code}). Set HOST and PORT to an address this machine has.`,
        ),
      ),
    )
    probe.listen(port, host, () => probe.close(done))
  })

/** An empty shop stays empty: the choice is made at the first start of a data folder. */
function wantsDemo() {
  const note = join(data, 'empty')
  if (process.argv.includes('--empty')) {
    mkdirSync(data, { recursive: true })
    writeFileSync(note, 'This shop was started without the demo.\n')
  }
  return !existsSync(note)
}

async function serve() {
  process.env.NODE_ENV = 'production'
  const { listener } = await import(pathToFileURL(join(root, '.output/server/index.mjs')))
  if (lan) {
    const { serveHouse } = await import('./lan/serve.mjs')
    return serveHouse({ listener, host, port, trustPort, data })
  }
  const server = keepingIdle(createServer(listener))
  await new Promise((done, fail) => {
    server.once('error', fail)
    server.listen(port, host, done)
  })
  return () =>
    new Promise(done => {
      server.close(done)
      setTimeout(() => server.closeAllConnections(), 300)
    })
}

run(async () => {
  guardConsole()
  ensureRoom(root)
  ensureRoom(data)
  await ensurePort(port)
  if (lan) await ensurePort(trustPort)
  await ensurePrograms(databasePrograms())
  await ensurePackages(root)
  await ensureBuild(root)
  const demo = wantsDemo()
  const database = await startDatabase(data)
  Object.assign(process.env, database.env, {
    WEMBRIC_ROOT: root,
    WEMBRIC_DEMO: demo ? '1' : '0',
    WEMBRIC_DATA: data,
    WEMBRIC_OUTBOX: process.env.WEMBRIC_OUTBOX ?? join(data, 'outbox'),
  })

  let stopServer = async () => {}
  let stopping = false
  const stop = async () => {
    if (stopping) return
    stopping = true
    await stopServer()
    await database.stop()
    process.exit(0)
  }
  // a closed terminal hangs up: server and database end together
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, stop)

  try {
    stopServer = await serve()
    const { app, trust } = process.env.WEMBRIC_LAN ? JSON.parse(process.env.WEMBRIC_LAN) : {}
    const address = `${lan ? 'https' : 'http'}://${host.includes(':') ? `[${host}]` : host}:${port}`
    const ask = askOwn({ host, port, secure: lan })
    await waitReady(askReady(ask))
    say(`open ${app?.[0] ?? address}`)
    if (trust)
      say(`on each phone, and once on this computer, open ${trust} first: it says how a device comes to trust it`)
    const { needed } = (await ask('/api/setup')).body
    if (demo) say('sign in as ines (lead), tam or jory (mechanics), password quillbrook')
    else if (needed) say('an empty shop: the first page sets up your shop and its first lead')
    say(STARTED)
  } catch (error) {
    await database.stop()
    throw error
  }
})
