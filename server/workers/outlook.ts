import { parentPort } from 'node:worker_threads'
import { outlook, type OutlookFacts } from '../../core/history'

/** The other thread: facts come in, outlooks go back, by number. */
parentPort?.on('message', ({ n, facts }: { n: number; facts: OutlookFacts[] }) =>
  parentPort!.postMessage({ n, outlooks: facts.map(outlook) }),
)
