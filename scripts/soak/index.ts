// npm run soak, once its server is up.
import { readFileSync } from 'node:fs'
import { Agent, get } from 'node:http'
import { setTimeout as sleep } from 'node:timers/promises'
import { pool } from '../../tests/support/database'
import { Client } from '../../tests/support/server'
import { newMachine, openJob } from '../../tests/support/shop-work'

const { minutes, pid } = JSON.parse(process.env.WEMBRIC_SOAK ?? '{}') as { minutes: number; pid: number }
const LISTENERS = 100
const ANSWERS_A_SECOND = 2
const JOBS = 20
/** Caches and compiled code fill up first: what comes after is looked at. */
const WARM_SHARE = 1 / 6
const SAMPLE_MS = 10_000
const PAGE_BYTES = 4096

/** What the server's process holds of the computer's memory, MB. */
const residentMb = (): number => (Number(readFileSync(`/proc/${pid}/statm`, 'utf8').split(' ')[1]) * PAGE_BYTES) / 1e6

const ines = await new Client().signIn('ines')
const agent = new Agent({ keepAlive: true, maxSockets: Infinity })
let heard = 0
for (let n = 0; n < LISTENERS; n++)
  get(`${process.env.WEMBRIC_TEST_URL}/api/live`, { agent, headers: { cookie: ines.cookie } }, reply => {
    reply.on('data', () => heard++)
    reply.on('error', () => {})
  })
const jobs: number[] = []
for (let n = 0; n < JOBS; n++) jobs.push((await openJob(ines, await newMachine(ines), 1)).body.id)

const samples: { minute: number; mb: number }[] = []
const from = Date.now()
const minute = () => (Date.now() - from) / 60_000
let answers = 0
let next = from
let sampled = 0
while (minute() < minutes) {
  const { status } = await ines.answer(jobs[answers % JOBS]!, { type: 'note', payload: { text: `answer ${answers}` } })
  if (status !== 200) throw new Error(`an answer was refused with ${status}`)
  answers++
  if (Date.now() - sampled > SAMPLE_MS) {
    sampled = Date.now()
    samples.push({ minute: minute(), mb: residentMb() })
  }
  // a browser fetches what it heard of; the board is looked at now and then
  if (answers % 10 === 0) await ines.get(`/api/jobs/${jobs[answers % JOBS]}?after=0`)
  if (answers % 60 === 0) await ines.get('/api/bay')
  next += 1000 / ANSWERS_A_SECOND
  await sleep(Math.max(0, next - Date.now()))
}

const later = samples.filter(s => s.minute > minutes * WARM_SHARE)
const mean = (list: number[]) => list.reduce((sum, x) => sum + x, 0) / list.length
const [mx, my] = [mean(later.map(s => s.minute)), mean(later.map(s => s.mb))]
const slope =
  later.reduce((sum, s) => sum + (s.minute - mx) * (s.mb - my), 0) /
  later.reduce((sum, s) => sum + (s.minute - mx) ** 2, 0)
const tenth = Math.max(1, Math.floor(later.length / 10))
const mb = (some: typeof samples) => `${mean(some.map(s => s.mb)).toFixed(0)} MB`
const most = Math.max(...samples.map(s => s.mb)).toFixed(0)
console.log(`${minutes} min, ${LISTENERS} listeners, ${answers} answers, ${heard} pieces heard`)
console.log(`${mb(later.slice(0, tenth))} after warming up, ${mb(later.slice(-tenth))} at the end, most ${most} MB`)
console.log(`${(slope * 60).toFixed(1)} MB an hour by a line through it`)
await pool.end()
process.exit()
