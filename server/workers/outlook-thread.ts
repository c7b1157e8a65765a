import { existsSync } from 'node:fs'
import { join } from 'node:path'
import { Worker } from 'node:worker_threads'
import { type Outlook, outlook, type OutlookFacts } from '../../core/history'

/** The bundle of `outlook.ts`, which the build puts beside the server. */
const bundle = (): string => join(process.env.WEMBRIC_ROOT ?? process.cwd(), '.output/server/workers/outlook.mjs')

let worker: Worker | null = null
let count = 0
const waiting = new Map<number, { done: (outlooks: Outlook[]) => void; fail: (error: Error) => void }>()

function thread(): Worker | null {
  if (worker || !existsSync(bundle())) return worker
  const made = new Worker(bundle())
  // between its tasks it holds up nobody who wants to stop
  made.unref()
  made.on('message', ({ n, outlooks }: { n: number; outlooks: Outlook[] }) => {
    waiting.get(n)?.done(outlooks)
    waiting.delete(n)
    if (waiting.size === 0) made.unref()
  })
  made.on('error', error => {
    worker = null
    for (const w of waiting.values()) w.fail(error)
    waiting.clear()
  })
  return (worker = made)
}

/**
 * Outlooks of many machines, worked out in a thread of their own, so that requests are not held up. Without the bundle,
 * here.
 */
export function outlooksElsewhere(facts: OutlookFacts[]): Promise<Outlook[]> {
  const other = thread()
  if (!other) return Promise.resolve(facts.map(outlook))
  return new Promise((done, fail) => {
    const n = ++count
    waiting.set(n, { done, fail })
    other.ref()
    other.postMessage({ n, facts })
  })
}
