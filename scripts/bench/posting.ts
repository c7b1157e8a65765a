import { createHash } from 'node:crypto'
import { v7 as uuidv7 } from 'uuid'
import { openPool, databaseSettings } from '../../server/database/pool'
import { one } from '../../server/database/query'
import { Client } from '../../tests/support/server'
import { percentile, row, times } from './measure'

/** A long job has about so many answers. */
const RUNS = 120

/** One answer through the server against the same statements sent bare through mysql2, turn about, in one run. */
export async function benchPosting(): Promise<void> {
  const pool = openPool(databaseSettings(process.env, 'app'))
  const ines = await new Client().signIn('ines')
  const jobs: number[] = []
  const models = (await ines.get<{ id: number }[]>('/api/models')).body
  const [set] = (await ines.get<{ id: number }[]>('/api/blade-sets')).body
  for (const name of ['served', 'bare']) {
    const machine = (await ines.post<{ id: number }>('/api/machines', { name, tag: `B-${name}-${Date.now() % 1e6}`, modelId: models[0]!.id, meterUnit: 'h', customer: { name: 'B' } })).body
    jobs.push((await ines.post<{ id: number }>('/api/jobs', { machineId: machine.id, bladeSetId: set!.id, meter: 1 })).body.id)
  }
  const [served, bare] = jobs as [number, number]
  const { shopId } = await one<{ shopId: number }>(pool, 'SELECT shop_id AS shopId FROM jobs WHERE id = ?', [bare])
  const payload = { valveId: 'intake', bladesMm: [0.1], feel: 'drag' as const, after: null }

  let seq = 0
  const bareTransaction = async () => {
    const id = uuidv7()
    const connection = await pool.getConnection()
    await connection.beginTransaction()
    await connection.execute('SELECT id, number, status, last_seq, closed_at, pin FROM jobs WHERE shop_id = ? AND id = ? FOR UPDATE', [shopId, bare])
    await connection.execute('SELECT seq, job_id, body_hash FROM events WHERE shop_id = ? AND id = ?', [shopId, id])
    await connection.execute('SELECT seq, id, type, version, payload, person_id, person_name, device_id, device_seq, seen_seq, at FROM events WHERE shop_id = ? AND job_id = ? AND seq > 0 ORDER BY seq', [shopId, bare])
    await connection.execute('SELECT MAX(device_seq) AS n FROM events WHERE shop_id = ? AND job_id = ? AND device_id = ?', [shopId, bare, 'bench'])
    await connection.execute('INSERT INTO events (shop_id, job_id, seq, id, type, version, payload, person_id, person_name, device_id, device_seq, seen_seq, at, server_at, body_hash) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)',
      [shopId, bare, ++seq, id, 'trial', 1, JSON.stringify(payload), ines.personId, 'Ines', 'bench', seq, seq - 1, new Date().toISOString(), new Date(), createHash('sha256').update(id).digest('hex')])
    await connection.execute('UPDATE jobs SET status = ?, last_seq = ?, closed_at = ? WHERE shop_id = ? AND id = ?', ['open', seq, null, shopId, bare])
    await connection.commit()
    connection.release()
  }
  const throughServer = async () => {
    const { status } = await ines.answer(served, { type: 'trial', payload })
    if (status !== 200) throw new Error(`The server answered ${status}.`)
  }
  const [a, b]: [number[], number[]] = [[], []]
  for (let i = 0; i < RUNS / 10; i++) {
    a.push(...await times(10, throughServer, i === 0 ? 10 : 0))
    b.push(...await times(10, bareTransaction, i === 0 ? 10 : 0))
  }
  for (const list of [a, b]) list.sort((x, y) => x - y)
  row('one answer through the server', a, '')
  row('the same transaction bare', b, '')
  console.warn(`${'ratio'.padEnd(52)} p50 ${(percentile(a, 50) / percentile(b, 50)).toFixed(2)} (goal ≤ 1.5)   p99 ${(percentile(a, 99) / percentile(b, 99)).toFixed(2)} (goal ≤ 3)`)
  await pool.end()
}
