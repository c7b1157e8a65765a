import { readFileSync } from 'node:fs'
import { Agent, request } from 'node:http'
import { join } from 'node:path'
import { v7 as uuidv7 } from 'uuid'
import { type Happening, inWorkingOrder, type JobEvent, jobTools, readingRows, viewJob } from '../../../core/job'
// @ts-expect-error a plain script, shared with the start command
import { startServer } from '../../../scripts/setup/server.mjs'
import { databaseSettings, openPool } from '../../../server/database/pool'
import { many } from '../../../server/database/query'
import { jobById } from '../../../server/repositories/jobs'
import { readingsOfJob } from '../../../server/repositories/readings'
import { pick, random } from './random'
import { Wire, type WireFault } from './wire'

interface RunningServer {
  port: number
  child: { kill: (signal: string) => void; once: (what: string, work: () => void) => void }
  env: Record<string, string>
  stop: () => Promise<void>
}

/** What was done to answers on their way, and what came of them. */
export interface AnswerCounts {
  faults: Record<string, number>
  answered: number
  inLog: number
  lost: number
  doubled: number
  outOfOrder: number
  holes: number
  readingsAstray: number
}

const T = { kind: 'mark', markIndex: 0 } as const
/** Answers of every kind that matters here: movements, feels, blades, screws, words, and ones that are taken back. */
function someAnswer(draw: () => number, own: readonly string[]): Happening {
  const valveId = pick(draw, ['intake', 'exhaust'])
  return pick<() => Happening>(draw, [
    () => ({ type: 'crank', payload: { observations: [{ kind: 'move', to: T }] } }),
    () => ({ type: 'crank', payload: { observations: [{ kind: 'rocker', valveId, slack: draw() < 0.8 }] } }),
    () => ({
      type: 'trial',
      payload: {
        valveId,
        bladesMm: [pick(draw, [0.08, 0.1, 0.12, 0.14])],
        feel: pick(draw, ['free', 'drag', 'no-go']),
        after: null,
      },
    }),
    () => ({
      type: 'trial',
      payload: { valveId, bladesMm: [0.1], feel: 'drag', after: { kind: 'screw', deg: Math.round(draw() * 20 - 10) } },
    }),
    () => ({ type: 'nut-loosened', payload: { valveId } }),
    () => ({ type: 'note', payload: { text: `said ${Math.floor(draw() * 1e6)}` } }),
    () =>
      own.length
        ? { type: 'retracted', payload: { eventId: pick(draw, own), how: 'recorded wrongly' } }
        : { type: 'note', payload: { text: 'nothing to take back' } },
  ])()
}

/** A browser that answers on one job: what it has said in its order, and what of that the shop has taken. */
class Browser {
  readonly said: { event: Record<string, unknown>; taken: boolean; refused: boolean }[] = []
  private page = uuidv7().slice(-6)
  private seen = 0
  constructor(
    readonly name: string,
    readonly jobId: number,
    readonly personId: number,
    readonly cookie: string,
    private readonly draw: () => number,
  ) {}

  say(): void {
    // now and then the tab is closed and opened again
    if (this.draw() < 0.05) {
      this.page = uuidv7().slice(-6)
      this.seen = this.said.length
    }
    const own = this.said.map(s => s.event.id as string)
    this.said.push({
      taken: false,
      refused: false,
      event: {
        ...someAnswer(this.draw, own),
        id: uuidv7(),
        version: 1,
        personId: this.personId,
        deviceId: `${this.name}.${this.page}`,
        deviceSeq: this.said.length + 1,
        seenSeq: 0,
        seenDeviceSeq: this.seen,
        // a clock that is hours wrong changes nothing
        at: new Date(Date.now() + (this.draw() < 0.1 ? (this.draw() - 0.5) * 4e7 : 0)).toISOString(),
      },
    })
  }
}

/** Runs `work` and stops what it started, whatever happens. */
async function stopping<T>(work: (started: { server?: RunningServer }) => Promise<T>): Promise<T> {
  const started: { server?: RunningServer } = {}
  try {
    return await work(started)
  } finally {
    await started.server?.stop()
  }
}

/**
 * Injects faults into answers that are sent through a failing wire to a server that is killed, and says what came of
 * it.
 */
export const answersUnderFaults = (given: FaultPlan): Promise<AnswerCounts> =>
  stopping(started => injectFaults(given, started))

interface FaultPlan {
  root: string
  data: string
  faults: number
  kills: number
  seed: number
}

async function injectFaults(given: FaultPlan, started: { server?: RunningServer }): Promise<AnswerCounts> {
  const draw = random(given.seed)
  const start = async (options: object = {}): Promise<RunningServer> =>
    (started.server = (await startServer({ root: given.root, data: given.data, ...options })) as RunningServer)
  let server = await start()
  const { port } = server
  const wire = await new Wire(port).listen()
  const counts: AnswerCounts = {
    faults: {},
    answered: 0,
    inLog: 0,
    lost: 0,
    doubled: 0,
    outOfOrder: 0,
    holes: 0,
    readingsAstray: 0,
  }
  const count = (kind: string) => {
    counts.faults[kind] = (counts.faults[kind] ?? 0) + 1
  }
  // a connection of its own for each request: each can meet a fault
  const agent = new Agent({ keepAlive: false })

  /** Sends one request. Status 0 where nobody answered. */
  const send = (path: string, body: object, cookie: string, to = wire.port) =>
    new Promise<{ status: number; body: Record<string, unknown>; cookie: string }>(done => {
      const text = JSON.stringify(body)
      const nobody = () => done({ status: 0, body: {}, cookie: '' })
      const asked = request(
        {
          host: '127.0.0.1',
          port: to,
          path,
          method: 'POST',
          agent,
          timeout: 4000,
          headers: {
            'content-type': 'application/json',
            'content-length': Buffer.byteLength(text),
            ...(cookie ? { cookie } : {}),
          },
        },
        reply => {
          let said = ''
          reply.on('data', piece => (said += piece))
          reply.on('error', nobody)
          reply.on('aborted', nobody)
          reply.on('end', () => {
            try {
              done({
                status: reply.statusCode ?? 0,
                body: JSON.parse(said) as Record<string, unknown>,
                cookie: (reply.headers['set-cookie'] ?? []).map(c => c.split(';')[0]).join('; '),
              })
            } catch {
              nobody()
            }
          })
        },
      )
      asked.on('error', nobody)
      asked.on('timeout', () => asked.destroy())
      asked.end(text)
    })

  const pool = openPool(databaseSettings(server.env as unknown as NodeJS.ProcessEnv, 'app'))
  // three people on three devices each at six jobs
  const people = []
  for (const signIn of ['ines', 'tam', 'jory']) {
    const { body, cookie } = await send('/api/session', { signIn, password: 'quillbrook' }, '', port)
    people.push({ id: (body.person as { id: number }).id, cookie })
  }
  const [model] = await many<{ id: number }>(pool, "SELECT id FROM engine_models WHERE model = 'Minnow 125'")
  const [set] = await many<{ id: number }>(pool, 'SELECT id FROM blade_sets ORDER BY id LIMIT 1')
  const browsers: Browser[] = []
  for (let j = 0; j < 6; j++) {
    const lead = people[0]!
    const machine = await send(
      '/api/machines',
      { name: `F ${j}`, tag: `F-${uuidv7().slice(-8)}`, modelId: model!.id, meterUnit: 'h', customer: { name: 'F' } },
      lead.cookie,
      port,
    )
    const job = await send(
      '/api/jobs',
      { machineId: machine.body.id, bladeSetId: set!.id, meter: 1, complaint: 'due' },
      lead.cookie,
      port,
    )
    for (const person of people)
      browsers.push(new Browser(`d-${uuidv7().slice(-8)}`, job.body.id as number, person.id, person.cookie, draw))
  }

  const post = (browser: Browser, n: number) =>
    send(`/api/jobs/${browser.jobId}/events`, browser.said[n]!.event, browser.cookie)
  /** Sends one answer until the shop has spoken, whatever happens to it on the way; nine in ten meet a fault. */
  async function deliver(browser: Browser, n: number): Promise<void> {
    const entry = browser.said[n]!
    const until = Date.now() + 60_000
    let last = 'nothing'
    for (let attempt = 0; !entry.taken && !entry.refused; attempt++) {
      if (Date.now() > until) throw new Error(`the shop never answers: ${last}`)
      const fault = attempt < 4 && draw() < 0.9 ? pick(draw, FAULTS) : 'none'
      if (fault !== 'none') count(fault)
      wire.fail(WIRE.has(fault as WireFault) ? (fault as WireFault) : 'none')
      const [reply] = await Promise.all([
        post(browser, n),
        ...(fault === 'sent twice at once' ? [post(browser, n)] : []),
      ])
      last = `${reply.status} ${String(reply.body.title)}`
      if (reply.status === 200) entry.taken = true
      else if (reply.status >= 400 && reply.status < 500 && reply.status !== 429) entry.refused = true
      else if (attempt > 3) await new Promise(done => setTimeout(done, 50))
      if (fault === 'sent again later' && n > 0) await post(browser, Math.floor(draw() * n))
    }
  }

  async function killServer(): Promise<void> {
    count('server killed')
    const gone = new Promise<void>(done => server.child.once('exit', () => done()))
    server.child.kill('SIGKILL')
    await gone
    server = await start({ port })
  }
  function killDatabase(): void {
    count('database killed')
    const { pid } = JSON.parse(readFileSync(join(given.data, 'mariadb.json'), 'utf8')) as { pid: number }
    process.kill(pid, 'SIGKILL')
  }

  const total = () => Object.values(counts.faults).reduce((a, b) => a + b, 0)
  let kills = 0
  while (total() < given.faults || kills < given.kills) {
    // a kill falls while answers are under way
    const due = kills < given.kills && total() >= ((kills + 1) * given.faults) / (given.kills + 1)
    const killing = due ? (kills++ % 2 === 0 ? killServer() : Promise.resolve(killDatabase())) : Promise.resolve()
    const working = browsers.map(async browser => {
      const from = browser.said.length
      const many = 1 + Math.floor(draw() * 3)
      for (let i = 0; i < many; i++) browser.say()
      // some arrive before those that were said before them
      const order = Array.from({ length: many }, (_, i) => from + i)
      if (many > 1 && draw() < 0.3) {
        count('out of order')
        order.reverse()
      }
      for (const n of order) await deliver(browser, n)
    })
    await Promise.all([killing, ...working])
  }
  await wire.close()

  for (const browser of browsers) counts.answered += browser.said.filter(s => s.taken).length
  for (const jobId of new Set(browsers.map(b => b.jobId))) {
    const rows = await many<{ id: string; seq: number }>(pool, 'SELECT id, seq FROM events WHERE job_id = ?', [jobId])
    const [{ shopId } = { shopId: 0 }] = await many<{ shopId: number }>(
      pool,
      'SELECT shop_id AS shopId FROM jobs WHERE id = ?',
      [jobId],
    )
    const ids = rows.map(r => r.id)
    counts.inLog += rows.length
    counts.doubled += ids.length - new Set(ids).size
    if (rows.some((_, i) => !rows.some(r => r.seq === i + 1))) counts.holes++
    const log = (
      (await (
        await fetch(`http://127.0.0.1:${port}/api/jobs/${jobId}?after=0`, { headers: { cookie: people[0]!.cookie } })
      ).json()) as { events: JobEvent[] }
    ).events
    const worked = inWorkingOrder(log)
    for (const browser of browsers.filter(b => b.jobId === jobId)) {
      const taken = browser.said.filter(s => s.taken).map(s => s.event.id as string)
      counts.lost += taken.filter(id => !ids.includes(id)).length
      const here = worked.filter(e => e.deviceId.startsWith(`${browser.name}.`)).map(e => e.id)
      if (
        JSON.stringify(here) !==
        JSON.stringify(browser.said.map(s => s.event.id).filter(id => here.includes(id as string)))
      )
        counts.outOfOrder++
    }
    // the readings that were kept beside the log are those that the log gives
    const job = (await jobById(pool, shopId, jobId))!
    const key = (r: { valveId: string; phase: string; round: number; loMm: number; hiMm: number | null }) =>
      JSON.stringify([r.valveId, r.phase, r.round, r.loMm, r.hiMm])
    const { state } = viewJob(jobTools(job.pin), log, Date.now())
    const wanted = readingRows({ pin: job.pin, state }).map(key).sort()
    const kept = (await readingsOfJob(pool, shopId, jobId)).map(key).sort()
    if (JSON.stringify(wanted) !== JSON.stringify(kept)) counts.readingsAstray++
  }
  await pool.end()
  return counts
}

const WIRE = new Set<WireFault>(['cut before', 'cut after', 'cut in the reply', 'slow'])
const FAULTS = [
  'cut before',
  'cut after',
  'cut in the reply',
  'slow',
  'sent twice at once',
  'sent again later',
] as const
