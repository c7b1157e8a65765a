import type { Db } from '../database/query'
import { lastSeqs } from '../repositories/jobs'

const POLL_MS = 1000
type Listener = (changed: { jobId: number, seq: number }) => void

/** One shop's listeners on this node; the database is asked once a second while there are any. */
interface Watch { listeners: Set<Listener>, seen: Map<number, number>, timer: NodeJS.Timeout }
const watches = new Map<number, Watch>()

async function poll(db: Db, shopId: number, watch: Watch, first: boolean): Promise<void> {
  for (const { id, lastSeq } of await lastSeqs(db, shopId)) {
    if (watch.seen.get(id) === lastSeq) continue
    watch.seen.set(id, lastSeq)
    if (!first) for (const listener of watch.listeners) listener({ jobId: id, seq: lastSeq })
  }
}

/** Tells when any job of a shop has moved on: job and number only; the client fetches the rest. Returns how to stop. */
export function listen(db: Db, shopId: number, listener: Listener): () => void {
  let watch = watches.get(shopId)
  if (!watch) {
    const made: Watch = { listeners: new Set(), seen: new Map(), timer: setInterval(() => { poll(db, shopId, made, false).catch(() => {}) }, POLL_MS) }
    watch = made
    watches.set(shopId, made)
    poll(db, shopId, made, true).catch(() => {})
  }
  watch.listeners.add(listener)
  return () => {
    watch.listeners.delete(listener)
    if (watch.listeners.size > 0) return
    clearInterval(watch.timer)
    watches.delete(shopId)
  }
}
