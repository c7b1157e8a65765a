import { type Lock, lockOf } from '../../core/adjuster'
import type { ReadingRow } from '../../core/job'
import { change, type Db, many } from '../database/query'

/** The readings of a job, in the projection's own order. */
export const readingsOfJob = (db: Db, shopId: number, jobId: number): Promise<ReadingRow[]> =>
  many(
    db,
    `SELECT valve_id AS valveId, phase, round, clearance_lo_mm AS loMm, clearance_hi_mm AS hiMm, verdict, proof,
        person_id AS personId
      FROM readings WHERE shop_id = ? AND job_id = ? ORDER BY valve_id, phase, round`,
    [shopId, jobId],
  )

export const replaceReadings = async (db: Db, shopId: number, jobId: number, rows: ReadingRow[]): Promise<void> => {
  await change(db, 'DELETE FROM readings WHERE shop_id = ? AND job_id = ?', [shopId, jobId])
  if (rows.length === 0) return
  await change(
    db,
    `INSERT INTO readings (shop_id, job_id, valve_id, phase, round, clearance_lo_mm, clearance_hi_mm, verdict,
        proof, person_id)
      VALUES ${rows.map(() => '(?, ?, ?, ?, ?, ?, ?, ?, ?, ?)').join(', ')}`,
    rows.flatMap(r => [shopId, jobId, r.valveId, r.phase, r.round, r.loMm, r.hiMm, r.verdict, r.proof, r.personId]),
  )
}

/** The last proved reading of each valve of a job. */
export const asLeftOfJob = async (
  db: Db,
  shopId: number,
  jobId: number,
): Promise<Record<string, { loMm: number; hiMm: number | null }>> => {
  const rows = (await readingsOfJob(db, shopId, jobId))
    .filter(r => r.phase === 'proved')
    .sort((a, b) => a.round - b.round)
  return Object.fromEntries(rows.map(r => [r.valveId, { loMm: r.loMm, hiMm: r.hiMm }]))
}

/** Jobs that are looked through for locks: so many of the model, and so many of the shop, newest first. */
const JOBS_LOOKED_AT = 60
/**
 * What locking a nut did in this shop's last jobs, those of one engine model before all: the last reading before each
 * lock, and the one after.
 */
export async function locksOfShop(db: Db, shopId: number, modelId: number): Promise<Lock[]> {
  const jobs = (where: string) =>
    `(SELECT j.id, m.model_id AS modelId FROM jobs j JOIN machines m ON m.shop_id = j.shop_id AND m.id = j.machine_id
      WHERE j.shop_id = ? ${where} ORDER BY j.opened_at DESC, j.id DESC LIMIT ${JOBS_LOOKED_AT})`
  const rows = await many<{
    modelId: number
    personId: number | null
    fromLo: number
    fromHi: number | null
    toLo: number
    toHi: number | null
  }>(
    db,
    `
    SELECT recent.modelId, t.person_id AS personId, b.clearance_lo_mm AS fromLo, b.clearance_hi_mm AS fromHi,
      t.clearance_lo_mm AS toLo, t.clearance_hi_mm AS toHi
    FROM (${jobs('AND m.model_id = ?')} UNION ${jobs('')}) recent
    JOIN readings t ON t.shop_id = ? AND t.job_id = recent.id AND t.phase = 'torqued'
    JOIN readings b ON b.shop_id = t.shop_id AND b.job_id = t.job_id AND b.valve_id = t.valve_id AND b.round = t.round
      AND b.phase = 'before lock'
    ORDER BY recent.id, t.valve_id, t.round`,
    [shopId, modelId, shopId, shopId],
  )
  return rows.flatMap(({ modelId: model, personId, fromLo, fromHi, toLo, toHi }) => {
    const shiftMm = lockOf({ loMm: fromLo, hiMm: fromHi }, { loMm: toLo, hiMm: toHi })
    return shiftMm === null ? [] : [{ shiftMm, personId, modelId: model }]
  })
}
