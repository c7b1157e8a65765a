import type { Db } from '../database/query'
import { boardVersions } from '../repositories/board'
import { lastSeqs } from '../repositories/jobs'
import { listeners } from '../telling/metrics'

/** Others see a change within a second: half of it is for asking. */
const POLL_MS = 500
/** So many shops are asked about at once: the list is part of the statement. */
const SHOPS_AT_ONCE = 200
/** A job is at a number of its log, or the board has changed. */
export type News = { jobId: number; seq: number } | { board: number }
/** Takes news as they go over the line: worded once, however many listen. */
type Listener = (lines: string) => void

/** One shop's listeners on this node, and what they have heard so far. */
interface Watch {
  listeners: Set<Listener>
  /** Null until the first look: what stands then is no news. */
  seen: Map<number, number> | null
  board: number
}
const watches = new Map<number, Watch>()
let timer: NodeJS.Timeout | null = null
/** Shops that are being asked about: a slow database is not asked again before it has answered. */
const asking = new Set<number>()

/** What is new in a shop since the last look. */
function newsOf(watch: Watch, jobs: { id: number; lastSeq: number }[], board: number): News[] {
  const first = watch.seen === null
  const seen = (watch.seen ??= new Map<number, number>())
  const news: News[] = []
  for (const { id, lastSeq } of jobs) {
    if (seen.get(id) === lastSeq) continue
    seen.set(id, lastSeq)
    news.push({ jobId: id, seq: lastSeq })
  }
  if (board !== watch.board) news.push({ board })
  watch.board = board
  return first ? [] : news
}

/** Looks at some shops with two questions, and tells those who listen there. */
async function look(db: Db, shopIds: number[]): Promise<void> {
  const asked = shopIds.filter(id => watches.has(id) && !asking.has(id))
  if (asked.length === 0) return
  for (const id of asked) asking.add(id)
  try {
    const jobs = new Map<number, { id: number; lastSeq: number }[]>(asked.map(id => [id, []]))
    for (const row of await lastSeqs(db, asked)) jobs.get(row.shopId)!.push(row)
    const boards = new Map((await boardVersions(db, asked)).map(row => [row.shopId, row.version]))
    for (const id of asked) {
      const watch = watches.get(id)
      if (!watch) continue
      const news = newsOf(watch, jobs.get(id)!, boards.get(id) ?? 0)
      if (news.length === 0) continue
      const lines = news.map(n => `data: ${JSON.stringify(n)}\n\n`).join('')
      for (const listener of watch.listeners) listener(lines)
    }
  } finally {
    for (const id of asked) asking.delete(id)
  }
}
function lookAtAll(db: Db): void {
  const all = [...watches.keys()]
  for (let from = 0; from < all.length; from += SHOPS_AT_ONCE)
    look(db, all.slice(from, from + SHOPS_AT_ONCE)).catch(() => {})
}

/**
 * Tells when any job of a shop has moved on, or its board: that it did and no more; the client fetches the rest. While
 * anybody listens the database is asked twice a second, about all shops that are listened to together.
 * @returns how to stop
 */
export function listen(db: Db, shopId: number, listener: Listener): () => void {
  const watch = watches.get(shopId) ?? { listeners: new Set<Listener>(), seen: null, board: 0 }
  watches.set(shopId, watch)
  watch.listeners.add(listener)
  listeners.inc()
  if (watch.listeners.size === 1) look(db, [shopId]).catch(() => {})
  timer ??= setInterval(() => lookAtAll(db), POLL_MS)
  return () => {
    if (watch.listeners.delete(listener)) listeners.dec()
    if (watch.listeners.size === 0) watches.delete(shopId)
    if (watches.size > 0 || !timer) return
    clearInterval(timer)
    timer = null
  }
}

/** Those on this node need not wait to be asked. */
export function tellBoard(db: Db, shopId: number): void {
  look(db, [shopId]).catch(() => {})
}
