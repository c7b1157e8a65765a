// npm run scale, once its server is up.
import { many } from '../../server/database/query'
import { boardVersions } from '../../server/repositories/board'
import { lastSeqs } from '../../server/repositories/jobs'
import { pool } from '../../tests/support/database'
import { random } from '../../tests/support/faults/random'
import { Client } from '../../tests/support/server'
import { newMachine, openJob, workJob } from '../../tests/support/shop-work'
import { percentile } from '../percentile'
import { peakAnswersASecond, simulate } from './queue'

const given = JSON.parse(process.env.WEMBRIC_SCALE ?? '{}') as { shops: number; servers: number; pid: number }
const say = (text: string) => console.log(text)

const ines = await new Client().signIn('ines')

/** Rows and bytes that one whole job adds, by table: a single with both valves found out and set. */
async function weighJob(): Promise<{ answers: number; bytes: number }> {
  const machine = await newMachine(ines)
  const job = (await openJob(ines, machine, 10)).body.id
  await workJob(ines, job, { intake: 0.06, exhaust: 0.21 })
  const tables: [string, string][] = [
    ['jobs', 'id'],
    ['events', 'job_id'],
    ['readings', 'job_id'],
    ['sheets', 'job_id'],
    ['meter_readings', 'source_id'],
  ]
  let bytes = 0
  let answers = 0
  const told: string[] = []
  for (const [table, key] of tables) {
    const rows = await many<Record<string, unknown>>(pool, `SELECT * FROM ${table} WHERE ${key} = ?`, [job])
    const size = rows.flatMap(row => Object.values(row)).reduce<number>((sum, cell) => sum + String(cell).length, 0)
    told.push(`${table} ${rows.length} (${(size / 1000).toFixed(1)} kB)`)
    bytes += size
    if (table === 'events') answers = rows.length
  }
  say(`one whole job: ${told.join(', ')}; ${(bytes / 1000).toFixed(0)} kB in all, before indexes`)
  return { answers, bytes }
}

/** How many answers a second one server takes from so many hands that pause for nothing. */
async function saturate(hands: number, seconds: number): Promise<{ aSecond: number; ms: number[] }> {
  const jobs: number[] = []
  for (let n = 0; n < hands; n++) jobs.push((await openJob(ines, await newMachine(ines), null)).body.id)
  const took: number[] = []
  const until = performance.now() + seconds * 1000
  const from = performance.now()
  await Promise.all(
    jobs.map(async job => {
      while (performance.now() < until) {
        const before = performance.now()
        const { status } = await ines.answer(job, { type: 'note', payload: { text: 'as fast as it goes' } })
        if (status !== 200) throw new Error(`refused with ${status}`)
        took.push(performance.now() - before)
      }
    }),
  )
  return { aSecond: took.length / ((performance.now() - from) / 1000), ms: took }
}

/** How long one look for news takes that asks about so many shops at once, ms. */
async function newsLook(shops: number): Promise<number> {
  const ids = Array.from({ length: shops }, (_, n) => n + 1)
  const took: number[] = []
  for (let n = 0; n < 30; n++) {
    const from = performance.now()
    await lastSeqs(pool, ids)
    await boardVersions(pool, ids)
    took.push(performance.now() - from)
  }
  return percentile(took, 50)
}

const { answers } = await weighJob()
await saturate(4, 3)
const single = await saturate(1, 8)
const busy = await saturate(16, 15)
const [p50, p99] = [percentile(busy.ms, 50).toFixed(0), percentile(busy.ms, 99).toFixed(0)]
say('one server with its database, on the same processors as its load:')
say(`  one hand, ${percentile(single.ms, 50).toFixed(1)} ms an answer`)
say(`  16 hands, ${busy.aSecond.toFixed(0)} answers a second, p50 ${p50} ms, p99 ${p99} ms`)
say(`a look for news about 200 shops at once: ${(await newsLook(200)).toFixed(1)} ms at the median, twice a second`)

const peak = peakAnswersASecond(given.shops, answers)
const serviceMs = 1000 / busy.aSecond
const load = (peak * serviceMs) / 1000 / given.servers
const by = `${given.servers} servers at ${serviceMs.toFixed(1)} ms each`
say(`${given.shops} shops: ${peak.toFixed(0)} answers a second in the busiest hour`)
say(`  by arithmetic, ${by} are busy ${(load * 100).toFixed(0)} % of it`)
const draw = random(1)
const seen = simulate({
  shops: given.shops,
  servers: given.servers,
  answersAJob: answers,
  service: () => serviceMs * (0.5 + draw()),
  minutes: 20,
  seed: 1,
})
const waits = `p50 ${seen.p50.toFixed(1)} ms, p99 ${seen.p99.toFixed(1)} ms, the longest ${seen.longest.toFixed(0)} ms`
say(`  simulated, ${seen.answers} answers of 20 minutes: busy ${(seen.busy * 100).toFixed(0)} %, waits ${waits}`)
await pool.end()
process.exit()
