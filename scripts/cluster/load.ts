import { setTimeout as sleep } from 'node:timers/promises'
import { v7 as uuidv7 } from 'uuid'

/** A server as a writer sees it. */
export interface Door {
  name: string
  url: string
}
export interface Writer {
  jobId: number
  cookie: string
  personId: number
  doors: Door[]
}
/** What was answered to whom, and how. */
export interface LoadCounts {
  sent: number
  acknowledged: Map<string, { jobId: number; seq: number }>
  /** Replies by status; `0` is a connection that broke. */
  byStatus: Record<string, number>
  /** Replies that are neither taken nor a 503 that says when to come again. */
  odd: string[]
  /** How long an answer took that was taken at once, ms. */
  took: number[]
  /** The longest time that somebody waited until an answer was taken, ms. */
  longestMs: number
}
export const noCounts = (): LoadCounts => ({
  ...{ sent: 0, acknowledged: new Map(), byStatus: {}, odd: [], took: [], longestMs: 0 },
})

/** As long as a browser of ours waits. */
const PATIENCE_MS = 8000
const PAUSE_MS = 150

/**
 * One hand at a bench: an answer after the other, each under its own id until it is taken, at the one server or the
 * other, as a balancer that looks who is ready would send it.
 */
export async function write(writer: Writer, counts: LoadCounts, go: () => boolean): Promise<void> {
  const deviceId = `c-${uuidv7().slice(-8)}`
  let door = 0
  let seen = 0
  for (let n = 1; go(); n++) {
    const event = {
      ...{ id: uuidv7(), type: 'note', version: 1, payload: { text: `answer ${n}` } },
      ...{ personId: writer.personId, deviceId, deviceSeq: n, seenSeq: seen, at: new Date().toISOString() },
    }
    counts.sent++
    const from = performance.now()
    for (let tries = 0; ; tries++) {
      const { name, url } = writer.doors[door % writer.doors.length]!
      const answer = await fetch(`${url}/api/jobs/${writer.jobId}/events`, {
        ...{ method: 'POST', body: JSON.stringify(event), signal: AbortSignal.timeout(PATIENCE_MS) },
        headers: { 'content-type': 'application/json', 'origin': url, 'cookie': writer.cookie },
      }).catch(() => null)
      const status = answer?.status ?? 0
      counts.byStatus[status] = (counts.byStatus[status] ?? 0) + 1
      const body = (await answer?.json().catch(() => null)) as { event: { seq: number } } | null | undefined
      if (status === 200 && body) {
        seen = body.event.seq
        counts.acknowledged.set(event.id, { jobId: writer.jobId, seq: seen })
        const ms = performance.now() - from
        if (tries === 0) counts.took.push(ms)
        counts.longestMs = Math.max(counts.longestMs, ms)
        break
      }
      if (status !== 0 && (status !== 503 || !answer!.headers.get('retry-after')))
        counts.odd.push(`${name}: ${status} ${JSON.stringify(body)}`)
      door++
      await sleep(PAUSE_MS)
    }
  }
}
