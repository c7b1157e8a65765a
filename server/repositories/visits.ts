import type { Engine } from '../../core/engine'
import { upcastEngine } from '../../core/engine'
import { type Db, many } from '../database/query'

/** A closed job of a machine, with the spec revision that it went by at its end. */
export interface VisitRow { jobId: number, number: number, openedAt: Date, closedAt: Date, meter: number | null, revision: number, engine: Engine, person: string }
export const visitsOfMachine = async (db: Db, shopId: number, machineId: number): Promise<VisitRow[]> =>
  (await many<Omit<VisitRow, 'engine'> & { engine: string }>(db, `
    SELECT j.id AS jobId, j.number, j.opened_at AS openedAt, j.closed_at AS closedAt, j.meter, r.revision, r.engine,
      (SELECT e.person_name FROM events e WHERE e.shop_id = j.shop_id AND e.job_id = j.id AND e.seq = j.last_seq) AS person
    FROM jobs j JOIN spec_revisions r ON r.shop_id = j.shop_id AND r.id = j.spec_revision_id
    WHERE j.shop_id = ? AND j.machine_id = ? AND j.status = 'closed' ORDER BY j.opened_at, j.id`, [shopId, machineId])).map(row => ({ ...row, engine: upcastEngine(JSON.parse(row.engine)) }))

/** What was found and left of each valve by closed jobs: a row a valve, phase and round. */
export interface VisitReading { machineId: number, jobId: number, valveId: string, phase: 'as found' | 'proved', round: number, loMm: number, hiMm: number | null, verdict: 'in' | 'tight' | 'loose' | 'unproved' }
const READINGS = `
  SELECT j.machine_id AS machineId, j.id AS jobId, r.valve_id AS valveId, r.phase, r.round, r.clearance_lo_mm AS loMm, r.clearance_hi_mm AS hiMm, r.verdict
  FROM jobs j JOIN readings r ON r.shop_id = j.shop_id AND r.job_id = j.id AND r.phase IN ('as found', 'proved')`

export const readingsOfMachine = (db: Db, shopId: number, machineId: number): Promise<VisitReading[]> =>
  many(db, `${READINGS} WHERE j.shop_id = ? AND j.machine_id = ? AND j.status = 'closed' ORDER BY j.opened_at, j.id, r.round`, [shopId, machineId])

/** How many jobs of a model are looked through for how its family drifts: the newest. */
const FAMILY_JOBS = 200
/** The readings of a model's newest closed jobs, but for one machine, with when and at what meter. */
export const readingsOfFamily = (db: Db, shopId: number, modelId: number, butMachineId: number): Promise<(VisitReading & { openedAt: Date, meter: number | null })[]> => many(db, `
  SELECT f.machine_id AS machineId, f.id AS jobId, f.opened_at AS openedAt, f.meter, r.valve_id AS valveId, r.phase, r.round, r.clearance_lo_mm AS loMm, r.clearance_hi_mm AS hiMm, r.verdict
  FROM (SELECT j.id, j.machine_id, j.opened_at, j.meter FROM machines m JOIN jobs j ON j.shop_id = m.shop_id AND j.machine_id = m.id
    WHERE m.shop_id = ? AND m.model_id = ? AND m.id <> ? AND j.status = 'closed' ORDER BY j.opened_at DESC LIMIT ?) f
  JOIN readings r ON r.shop_id = ? AND r.job_id = f.id AND r.phase IN ('as found', 'proved') ORDER BY f.opened_at, f.id, r.round`, [shopId, modelId, butMachineId, FAMILY_JOBS, shopId])
