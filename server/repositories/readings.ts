import type { ReadingRow } from '../../core/job'
import { change, type Db, many } from '../database/query'

/** The readings of a job, in the projection's own order. */
export const readingsOfJob = (db: Db, shopId: number, jobId: number): Promise<ReadingRow[]> =>
  many(db, 'SELECT valve_id AS valveId, phase, round, clearance_lo_mm AS loMm, clearance_hi_mm AS hiMm, verdict, proof FROM readings WHERE shop_id = ? AND job_id = ? ORDER BY valve_id, phase, round', [shopId, jobId])

export const replaceReadings = async (db: Db, shopId: number, jobId: number, rows: ReadingRow[]): Promise<void> => {
  await change(db, 'DELETE FROM readings WHERE shop_id = ? AND job_id = ?', [shopId, jobId])
  if (rows.length === 0) return
  await change(db, `INSERT INTO readings (shop_id, job_id, valve_id, phase, round, clearance_lo_mm, clearance_hi_mm, verdict, proof) VALUES ${rows.map(() => '(?, ?, ?, ?, ?, ?, ?, ?, ?)').join(', ')}`,
    rows.flatMap(r => [shopId, jobId, r.valveId, r.phase, r.round, r.loMm, r.hiMm, r.verdict, r.proof]))
}

/** The last proved reading of each valve of a job. */
export const asLeftOfJob = async (db: Db, shopId: number, jobId: number): Promise<Record<string, { loMm: number, hiMm: number | null }>> => {
  const rows = (await readingsOfJob(db, shopId, jobId)).filter(r => r.phase === 'proved').sort((a, b) => a.round - b.round)
  return Object.fromEntries(rows.map(r => [r.valveId, { loMm: r.loMm, hiMm: r.hiMm }]))
}
