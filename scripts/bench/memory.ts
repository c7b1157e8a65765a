import { monitorEventLoopDelay } from 'node:perf_hooks'
import { databaseSettings, openPool } from '../../server/database/pool'
import { one, type Pool } from '../../server/database/query'
import { refreshStale } from '../../server/services/machines/outlooks'
import { Client } from '../../tests/support/server'
import { ratio, row, times } from './measure'

const MACHINES = 10_000
const VISITS = 13
const [SMALL, LARGE] = [1000, 1_000_000]

/**
 * Machines with visits every hundred days or so, four valves each, found and left: written straight into the tables.
 */
async function fill(
  pool: Pool,
  shopId: number,
  models: number[],
  from: number,
  machines: number,
  visits: number,
): Promise<void> {
  const run = (sql: string, values: unknown[] = []) => pool.query(sql, values)
  const seq = `seq_${from}_to_${from + machines - 1}`
  const model = `ELT(1 + s.seq % ${models.length}, ${models.join(', ')})`
  await run(
    `INSERT INTO machines (id, shop_id, customer_id, model_id, name, tag, meter_unit, created_at)
    SELECT 1000000 + s.seq, ?, (SELECT MIN(id) FROM customers WHERE shop_id = ?), ${model}, CONCAT('Bench ', s.seq), CONCAT('BM-', s.seq), 'km', UTC_TIMESTAMP() - INTERVAL 1500 DAY FROM ${seq} s`,
    [shopId, shopId],
  )
  await run(
    `INSERT INTO jobs (id, shop_id, number, machine_id, spec_revision_id, meter, pin, status, opened_at, closed_at)
    SELECT 10000000 + s.seq * 20 + v.seq, ?, 1000000 + s.seq * 20 + v.seq, 1000000 + s.seq, (SELECT in_force_id FROM engine_models WHERE id = ${model}), v.seq * 900, '{}', 'closed', UTC_TIMESTAMP() - INTERVAL (1400 - v.seq * 100 - s.seq % 60) DAY, UTC_TIMESTAMP() - INTERVAL (1400 - v.seq * 100 - s.seq % 60) DAY
    FROM ${seq} s JOIN seq_1_to_${visits} v`,
    [shopId],
  )
  await run(
    `INSERT INTO meter_readings (shop_id, machine_id, source, source_id, at, meter) SELECT shop_id, machine_id, 'job', id, opened_at, meter FROM jobs WHERE shop_id = ? AND machine_id BETWEEN ? AND ?`,
    [shopId, 1_000_000 + from, 1_000_000 + from + machines - 1],
  )
  await run(
    `INSERT INTO readings (shop_id, job_id, valve_id, phase, round, clearance_lo_mm, clearance_hi_mm, verdict, proof)
    SELECT j.shop_id, j.id, ELT(k.seq, 'left-intake', 'left-exhaust', 'right-intake', 'right-exhaust'), ELT(p.seq, 'as found', 'proved'), 0, 0.100 - (2 - p.seq) * 0.004 + (j.id * 7 + k.seq) % 5 * 0.001, 0.115 - (2 - p.seq) * 0.004 + (j.id * 7 + k.seq) % 5 * 0.001, 'in', 'pair'
    FROM jobs j JOIN seq_1_to_4 k JOIN seq_1_to_2 p WHERE j.shop_id = ? AND j.machine_id BETWEEN ? AND ?`,
    [shopId, 1_000_000 + from, 1_000_000 + from + machines - 1],
  )
}

const PAGES = 60
/**
 * A machine's page and the list of what is due, with a thousand readings in the database and with a million; then ten
 * thousand forecasts beside other work.
 */
export async function benchMemory(): Promise<void> {
  const pool = openPool(databaseSettings(process.env, 'app'))
  const ines = await new Client().signIn('ines')
  const { shopId } = await one<{ shopId: number }>(pool, 'SELECT shop_id AS shopId FROM people WHERE id = ?', [
    ines.personId,
  ])
  const found = (await ines.get<{ rows: { id: number; model: string }[] }>('/api/models?limit=50')).body.rows
  const twins = ['Duet 405', 'Switch 470', 'Fallow V22'].map(name => found.find(m => m.model === name)!.id)
  const get = async (path: string) => {
    const { status } = await ines.get(path)
    if (status !== 200) throw new Error(`${path} answered ${status}`)
  }
  const measure = async (machines: number) => ({
    page: await times(PAGES, i => get(`/api/machines/${1_000_001 + ((Math.abs(i) * 7) % machines)}`)),
    due: await times(PAGES, () => get('/api/due?weeks=60&most=20')),
  })
  const few = Math.ceil(SMALL / (VISITS * 8))
  await fill(pool, shopId, twins, 1, few, VISITS)
  await refreshStale(pool)
  const small = await measure(few)
  const readings = async () => (await one<{ n: number }>(pool, 'SELECT COUNT(*) AS n FROM readings')).n
  const smallCount = await readings()
  await fill(pool, shopId, twins, few + 1, MACHINES - few, VISITS)
  await pool.query('ANALYZE TABLE machines, jobs, readings, meter_readings').catch(() => {})
  const delay = monitorEventLoopDelay({ resolution: 5 })
  delay.enable()
  const start = performance.now()
  const done = await refreshStale(pool)
  delay.disable()
  const seconds = (performance.now() - start) / 1000
  const large = await measure(MACHINES)
  const largeCount = await readings()
  row(`machine page, ${smallCount} readings`, small.page)
  row(`machine page, ${largeCount} readings`, large.page)
  ratio('machine page: many readings / few', large.page, small.page, { atMost: 1.3 })
  row(`due list, ${smallCount} readings`, small.due)
  row(`due list, ${largeCount} readings`, large.due)
  ratio('due list: many readings / few', large.due, small.due, { atMost: 1.3 })
  console.warn(
    `${`forecasts of ${done} machines in the other thread`.padEnd(52)} ${seconds.toFixed(1)} s, ${((seconds / done) * 1000).toFixed(1)} ms each; event loop late by p50 ${(delay.percentile(50) / 1e6 - 5).toFixed(1)}, p99 ${(delay.percentile(99) / 1e6 - 5).toFixed(1)}, at most ${(delay.max / 1e6 - 5).toFixed(1)} ms`,
  )
  if (largeCount < LARGE) console.warn(`(${largeCount} readings: fewer than a million)`)
  await pool.end()
}
