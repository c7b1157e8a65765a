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

export const askReady = address => async () => {
  const answer = await fetch(`${address}/api/health/ready`)
  return { ok: answer.ok, ...(await answer.json()) }
}
