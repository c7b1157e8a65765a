import { createHash } from 'node:crypto'
import { Agent, request } from 'node:http'
import { v7 as uuidv7 } from 'uuid'
import type { Happening, JobEvent } from '../../core/job'
import { databaseSettings, openPool } from '../../server/database/pool'
import { one } from '../../server/database/query'
import { engineOf } from '../../tests/support/builders'
import { Client } from '../../tests/support/server'
import { wholeJob } from '../../tests/support/whole-job'
import { ratio, rising, row, times } from './measure'

/** Posts as lean as can be: what is measured is the server, not what a test checks of its answer. */
const lean = (ines: Client, agent: Agent) => (path: string, body: unknown) =>
  new Promise<void>((done, failed) => {
    const base = process.env.WEMBRIC_TEST_URL!
    const headers = { 'content-type': 'application/json', 'origin': base, 'cookie': ines.cookie }
    request(base + path, { method: 'POST', agent, headers }, answer => {
      answer.resume()
      answer.on('end', () => (answer.statusCode === 200 ? done() : failed(new Error(`answered ${answer.statusCode}`))))
    })
      .on('error', failed)
      .end(JSON.stringify(body))
  })

/** So many whole jobs are posted, answer by answer, to either side. */
const JOBS = 6

/** One answer through the server against the same statements sent bare through mysql2, turn about, in one run. */
export async function benchPosting(): Promise<void> {
  const pool = openPool(databaseSettings(process.env, 'app'))
  const ines = await new Client().signIn('ines')
  const models = (await ines.get<{ rows: { id: number }[] }>('/api/models')).body.rows
  const [set] = (await ines.get<{ id: number }[]>('/api/blade-sets')).body
  const { log } = await wholeJob(engineOf(), { gapMm: { intake: 0.1, exhaust: 0.05 } })
  const answers = log.events.filter(e => e.type !== 'closed')
  let machines = 0
  const newJob = async (): Promise<number> => {
    const tag = `B-${++machines}-${Date.now() % 1e6}`
    const machine = (
      await ines.post<{ id: number }>('/api/machines', {
        name: tag,
        tag,
        modelId: models[0]!.id,
        meterUnit: 'h',
        customer: { name: 'B' },
      })
    ).body
    return (await ines.post<{ id: number }>('/api/jobs', { machineId: machine.id, bladeSetId: set!.id, meter: 1 })).body
      .id
  }
  const shopId = (
    await one<{ shopId: number }>(pool, 'SELECT shop_id AS shopId FROM people WHERE id = ?', [ines.personId])
  ).shopId

  const bareTransaction = async (job: number, answer: JobEvent, seq: number) => {
    const id = uuidv7()
    const connection = await pool.getConnection()
    await connection.beginTransaction()
    await connection.execute(
      'SELECT id, number, status, last_seq, closed_at, pin FROM jobs WHERE shop_id = ? AND id = ? FOR UPDATE',
      [shopId, job],
    )
    await connection.execute('SELECT seq, job_id, body_hash FROM events WHERE shop_id = ? AND id = ?', [shopId, id])
    await connection.execute(
      'SELECT seq, id, type, version, payload, person_id, person_name, device_id, device_seq, seen_seq, at FROM events WHERE shop_id = ? AND job_id = ? AND seq > 0 ORDER BY seq',
      [shopId, job],
    )
    await connection.execute(
      'SELECT MAX(device_seq) AS n FROM events WHERE shop_id = ? AND job_id = ? AND device_id = ?',
      [shopId, job, 'bench'],
    )
    await connection.execute(
      'INSERT INTO events (shop_id, job_id, seq, id, type, version, payload, person_id, person_name, device_id, device_seq, seen_seq, at, server_at, body_hash) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)',
      [
        shopId,
        job,
        seq,
        id,
        answer.type,
        1,
        JSON.stringify(answer.payload),
        ines.personId,
        'Ines',
        'bench',
        seq,
        seq - 1,
        answer.at,
        new Date(),
        createHash('sha256').update(id).digest('hex'),
      ],
    )
    await connection.execute(
      'SELECT valve_id, phase, round, clearance_lo_mm, clearance_hi_mm, verdict, proof FROM readings WHERE shop_id = ? AND job_id = ?',
      [shopId, job],
    )
    if (answer.type === 'trial') {
      await connection.execute('DELETE FROM readings WHERE shop_id = ? AND job_id = ?', [shopId, job])
      await connection.execute(
        'INSERT INTO readings (shop_id, job_id, valve_id, phase, round, clearance_lo_mm, clearance_hi_mm, verdict, proof) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)',
        [shopId, job, answer.payload.valveId, 'as found', 0, 0.1, 0.12, 'in', 'pair'],
      )
    }
    await connection.execute('UPDATE jobs SET status = ?, last_seq = ?, closed_at = ? WHERE shop_id = ? AND id = ?', [
      'open',
      seq,
      null,
      shopId,
      job,
    ])
    await connection.commit()
    connection.release()
  }
  const agent = new Agent({ keepAlive: true })
  const post = lean(ines, agent)
  const throughServer = (job: number, { type, payload }: JobEvent) =>
    post(`/api/jobs/${job}/events`, ines.event({ type, payload } as Happening))
  const [a, b]: [number[], number[]] = [[], []]
  for (let run = 0; run < JOBS; run++) {
    const [served, bare] = [await newJob(), await newJob()]
    for (const [i, answer] of answers.entries()) {
      const [one] = await times(1, () => throughServer(served, answer), 0)
      const [other] = await times(1, () => bareTransaction(bare, answer, i + 1), 0)
      if (run > 0) {
        a.push(one!)
        b.push(other!)
      }
    }
  }
  const [served, bare] = [rising(a), rising(b)]
  row('one answer through the server', served)
  row('the same transaction bare', bare)
  ratio('one answer: through the server / bare', served, bare, { atMost: 1.5 })
  ratio('one answer: through the server / bare', served, bare, { atMost: 3, p: 99 })
  agent.destroy()
  await pool.end()
}
