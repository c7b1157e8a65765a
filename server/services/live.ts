import type { Db } from '../database/query'
import { listeners } from '../telling/metrics'
import { boardVersion } from '../repositories/board'
import { lastSeqs } from '../repositories/jobs'

/** Others see a change within a second: half of it is for asking. */
const POLL_MS = 500
/** A job is at a number of its log, or the board has changed. */
export type News = { jobId: number; seq: number } | { board: number }
/** Takes news as they go over the line: worded once, however many listen. */
type Listener = (lines: string) => void

/**
 * One shop's listeners on this node; the database is asked twice a second while there are any, however many there are.
 */
interface Watch {
  listeners: Set<Listener>
  seen: Map<number, number>
  board: number
  timer: NodeJS.Timeout
  asking: boolean
}
const watches = new Map<number, Watch>()

async function poll(db: Db, shopId: number, watch: Watch, first: boolean): Promise<void> {
  // one question at a time: a slow database is not asked again before it has answered
  if (watch.asking) return
  watch.asking = true
  const news: News[] = []
  try {
    for (const { id, lastSeq } of await lastSeqs(db, shopId)) {
      if (watch.seen.get(id) === lastSeq) continue
      watch.seen.set(id, lastSeq)
      news.push({ jobId: id, seq: lastSeq })
    }
    const board = await boardVersion(db, shopId)
    if (board !== watch.board) {
      watch.board = board
      news.push({ board })
    }
  } finally {
    watch.asking = false
  }
  if (first || news.length === 0) return
  const lines = news.map(n => `data: ${JSON.stringify(n)}\n\n`).join('')
  for (const listener of watch.listeners) listener(lines)
}

/**
 * Tells when any job of a shop has moved on, or its board: that it did and no more; the client fetches the rest.
 * Returns how to stop.
 */
export function listen(db: Db, shopId: number, listener: Listener): () => void {
  let watch = watches.get(shopId)
  if (!watch) {
    const made: Watch = {
      listeners: new Set(),
      seen: new Map(),
      board: 0,
      asking: false,
      timer: setInterval(() => {
        poll(db, shopId, made, false).catch(() => {})
      }, POLL_MS),
    }
    watch = made
    watches.set(shopId, made)
    poll(db, shopId, made, true).catch(() => {})
  }
  watch.listeners.add(listener)
  listeners.inc()
  return () => {
    if (watch.listeners.delete(listener)) listeners.dec()
    if (watch.listeners.size > 0) return
    clearInterval(watch.timer)
    watches.delete(shopId)
  }
}

/** Those on this node need not wait to be asked. */
export function tellBoard(db: Db, shopId: number): void {
  const watch = watches.get(shopId)
  if (watch) poll(db, shopId, watch, false).catch(() => {})
}
