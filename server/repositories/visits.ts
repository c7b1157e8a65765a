import type { Engine } from '../../core/engine'
import { upcastEngine } from '../../core/engine'
import type { Interval } from '../../core/feeler'
import { change, type Db, many } from '../database/query'

const marks = (ids: readonly unknown[]): string => ids.map(() => '?').join(', ')

/** A closed job of a machine, with the spec revision that it went by at its end. */
export interface JobVisitRow {
  id: number
  number: number
  openedAt: Date
  closedAt: Date
  revision: number
  engine: Engine
  person: string | null
}
export const jobVisits = async (db: Db, shopId: number, machineId: number): Promise<JobVisitRow[]> =>
  (
    await many<Omit<JobVisitRow, 'engine'> & { engine: string }>(
      db,
      `
    SELECT j.id, j.number, j.opened_at AS openedAt, j.closed_at AS closedAt, r.revision, r.engine,
      (SELECT e.person_name FROM events e WHERE e.shop_id = j.shop_id AND e.job_id = j.id
        AND e.seq = j.last_seq) AS person
    FROM jobs j FORCE INDEX (jobs_machine) JOIN spec_revisions r ON r.shop_id = j.shop_id AND r.id = j.spec_revision_id
    WHERE j.shop_id = ? AND j.machine_id = ? AND j.status = 'closed' ORDER BY j.opened_at, j.id`,
      [shopId, machineId],
    )
  ).map(row => ({ ...row, engine: upcastEngine(JSON.parse(row.engine)) }))

export const closedJobsOf = (
  db: Db,
  shopId: number,
  machineIds: readonly number[],
): Promise<{ id: number; machineId: number; openedAt: Date }[]> =>
  machineIds.length === 0
    ? Promise.resolve([])
    : many(
        db,
        `SELECT id, machine_id AS machineId, opened_at AS openedAt FROM jobs FORCE INDEX (jobs_machine)
          WHERE shop_id = ? AND machine_id IN (${marks(machineIds)}) AND status = 'closed'
          ORDER BY machine_id, opened_at, id`,
        [shopId, ...machineIds],
      )

/** The last visit of each of some machines: a closed job, or one from paper. */
export const lastVisitsOf = (
  db: Db,
  shopId: number,
  machineIds: readonly number[],
): Promise<{ machineId: number; at: Date; jobId: number | null }[]> =>
  machineIds.length === 0
    ? Promise.resolve([])
    : many(
        db,
        `SELECT machineId, at, jobId FROM (
      SELECT v.*, ROW_NUMBER() OVER (PARTITION BY machineId ORDER BY at DESC, jobId DESC) AS n FROM (
        SELECT machine_id AS machineId, opened_at AS at, id AS jobId FROM jobs FORCE INDEX (jobs_machine)
        WHERE shop_id = ? AND machine_id IN (${marks(machineIds)}) AND status = 'closed'
        UNION ALL
        SELECT machine_id, at, NULL FROM past_visits WHERE shop_id = ? AND machine_id IN (${marks(machineIds)})
      ) v
    ) numbered WHERE n = 1`,
        [shopId, ...machineIds, shopId, ...machineIds],
      )

/** What was found and left of each valve by jobs: a row a valve, phase and round. */
export interface VisitReading {
  jobId: number
  valveId: string
  phase: 'as found' | 'proved'
  round: number
  loMm: number
  hiMm: number | null
  verdict: 'in' | 'tight' | 'loose' | 'unproved'
}
export const readingsOfJobs = (db: Db, shopId: number, jobIds: readonly number[]): Promise<VisitReading[]> =>
  jobIds.length === 0
    ? Promise.resolve([])
    : many(
        db,
        `SELECT job_id AS jobId, valve_id AS valveId, phase, round, clearance_lo_mm AS loMm,
            clearance_hi_mm AS hiMm, verdict
          FROM readings
    WHERE shop_id = ? AND job_id IN (${marks(jobIds)}) AND phase IN ('as found', 'proved')
    ORDER BY job_id, valve_id, round`,
        [shopId, ...jobIds],
      )

/** A visit that was entered late: each valve with what was found and left, as far as the paper says. */
export interface PastVisitRow {
  id: number
  machineId: number
  at: Date
  words: string
  person: string
  valves: Record<string, { foundMm: Interval | null; leftMm: Interval | null; touched: boolean }>
}
export const pastVisitsOf = async (db: Db, shopId: number, machineIds: readonly number[]): Promise<PastVisitRow[]> =>
  machineIds.length === 0
    ? []
    : (
        await many<Omit<PastVisitRow, 'valves'> & { valves: string }>(
          db,
          `
      SELECT v.id, v.machine_id AS machineId, v.at, v.words, p.name AS person, v.valves FROM past_visits v
      JOIN people p ON p.shop_id = v.shop_id AND p.id = v.person_id
      WHERE v.shop_id = ? AND v.machine_id IN (${marks(machineIds)}) ORDER BY v.machine_id, v.at, v.id`,
          [shopId, ...machineIds],
        )
      ).map(row => ({ ...row, valves: JSON.parse(row.valves) as PastVisitRow['valves'] }))
export const insertPastVisit = async (
  db: Db,
  shopId: number,
  v: { machineId: number; at: Date; valves: PastVisitRow['valves']; words: string; personId: number },
): Promise<number> =>
  (
    await change(
      db,
      `INSERT INTO past_visits (shop_id, machine_id, at, valves, words, person_id, made_at)
        VALUES (?, ?, ?, ?, ?, ?, UTC_TIMESTAMP(3))`,
      [shopId, v.machineId, v.at, JSON.stringify(v.valves), v.words, v.personId],
    )
  ).id

/** When each machine was given the engine that is in it now; none for those that have their first. */
export const enginesPutIn = (
  db: Db,
  shopId: number,
  machineIds: readonly number[],
): Promise<{ machineId: number; at: Date }[]> =>
  machineIds.length === 0
    ? Promise.resolve([])
    : many(
        db,
        `SELECT machine_id AS machineId, MAX(at) AS at FROM machine_records
          WHERE shop_id = ? AND kind = 'engine' AND machine_id IN (${marks(machineIds)}) GROUP BY machine_id`,
        [shopId, ...machineIds],
      )
