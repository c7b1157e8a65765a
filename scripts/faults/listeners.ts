import { Agent, get } from 'node:http'
import type { Client } from '../../tests/support/server'
import { newMachine, openJob } from '../../tests/support/shop-work'
import { percentile } from '../percentile'

const WRITERS = 4
const ANSWERS = 100

/** Four people answer while so many listen: how long an answer takes, and how late the listeners hear. */
export async function listenersBesideWriters(client: Client, listeners: number): Promise<string> {
  const base = process.env.WEMBRIC_TEST_URL!
  const agent = new Agent({ keepAlive: true, maxSockets: Infinity })
  let heard = 0
  const lines = await Promise.all(
    Array.from(
      { length: listeners },
      () =>
        new Promise<() => void>((done, fail) => {
          const asked = get(`${base}/api/live`, { agent, headers: { cookie: client.cookie } }, reply => {
            reply.on('data', (piece: Buffer) => {
              if (piece.includes('jobId')) heard++
            })
            reply.on('error', () => {})
            done(() => reply.destroy())
          })
          asked.on('error', fail)
        }),
    ),
  )
  const jobs = await Promise.all(
    Array.from({ length: WRITERS }, async () => (await openJob(client, await newMachine(client), 1)).body.id),
  )
  const took: number[] = []
  await Promise.all(
    jobs.map(async job => {
      for (let i = 0; i < ANSWERS; i++) {
        const from = performance.now()
        const { status } = await client.answer(job, { type: 'note', payload: { text: `n ${i}` } })
        if (status !== 200) throw new Error(`an answer was refused with ${status}`)
        took.push(performance.now() - from)
      }
    }),
  )
  await new Promise(done => setTimeout(done, 1500))
  for (const close of lines) close()
  const [p50, p99] = [percentile(took, 50), percentile(took, 99)].map(ms => ms.toFixed(0))
  const answered = `${took.length} answers: p50 ${p50} ms, p99 ${p99} ms (goal 250)`
  return `listeners: ${listeners} beside ${WRITERS} writers, ${answered}; ${heard} pieces of news heard`
}
