import { get as plainGet } from 'node:http'
import { get as secureGet } from 'node:https'
import { setTimeout as sleep } from 'node:timers/promises'
import { StopWithWords } from './say.mjs'

/** A database that has just been started on a busy machine may be slow once or twice, ms. */
const PATIENCE_MS = 60_000

/**
 * Waits until the server is ready. Migrations and the demo may take as long as they like; a database that does not
 * answer is waited for a minute.
 */
export async function waitReady(ask, patienceMs = PATIENCE_MS) {
  let lateSince = null
  for (;;) {
    const { ok, code, title } = await ask()
    if (ok) return
    if (code === 'starting') lateSince = null
    else if (code !== 'late') throw new StopWithWords(title)
    else if (Date.now() - (lateSince ??= Date.now()) > patienceMs) throw new StopWithWords(title)
    await sleep(200)
  }
}

/**
 * Asks a server of our own on this computer.
 * @param secure over TLS; whether others trust its certificate does not matter here
 * @returns `ok`, and the `body` of its answer
 */
export const askOwn =
  ({ host, port, secure }) =>
  path =>
    new Promise((done, fail) => {
      const own = { '0.0.0.0': '127.0.0.1', '::': '::1' }[host] ?? host
      const options = { host: own, port, path, rejectUnauthorized: false, headers: { connection: 'close' } }
      const asked = (secure ? secureGet : plainGet)(options, async answer => {
        let text = ''
        for await (const part of answer) text += part
        done({ ok: answer.statusCode < 400, body: JSON.parse(text) })
      })
      asked.once('error', fail)
    })

/** @param ask see `askOwn` */
export const askReady = ask => async () => {
  const { ok, body } = await ask('/api/health/ready')
  return { ...body, ok }
}
