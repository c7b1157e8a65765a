import type { MachineRow } from '../../shared/machines'
import { type Db, many } from '../database/query'
import { MACHINE } from './machines'

/** No device keeps more machines than this. */
const MOST_MACHINES = 5000

/** Machines on record, those first that were in the shop last. */
export const machinesForDevice = (db: Db, shopId: number): Promise<MachineRow[]> =>
  many(
    db,
    `SELECT ${MACHINE}
     FROM machines m
     JOIN customers c ON c.shop_id = m.shop_id AND c.id = m.customer_id
     JOIN engine_models e ON e.shop_id = m.shop_id AND e.id = m.model_id
     LEFT JOIN spec_revisions r ON r.shop_id = e.shop_id AND r.id = e.in_force_id
     LEFT JOIN (SELECT machine_id, MAX(opened_at) AS at FROM jobs WHERE shop_id = ? GROUP BY machine_id) v
       ON v.machine_id = m.id
     WHERE m.shop_id = ? AND NOT m.quick ORDER BY v.at DESC, m.id LIMIT ${MOST_MACHINES}`,
    [shopId, shopId],
  )

export interface LeftValve {
  machineId: number
  closedAt: Date
  valveId: string
  loMm: number
  hiMm: number | null
}
/** How each machine was left by its last closed job, valve by valve: the last proved reading of each. */
export const lastLeftOfMachines = (db: Db, shopId: number): Promise<LeftValve[]> =>
  many(
    db,
    `SELECT j.machine_id AS machineId, j.closed_at AS closedAt, g.valve_id AS valveId,
       g.clearance_lo_mm AS loMm, g.clearance_hi_mm AS hiMm
     FROM (SELECT id, shop_id, machine_id, closed_at,
             ROW_NUMBER() OVER (PARTITION BY machine_id ORDER BY closed_at DESC, id DESC) AS nth
           FROM jobs WHERE shop_id = ? AND status = 'closed') j
     JOIN readings g ON g.shop_id = j.shop_id AND g.job_id = j.id AND g.phase = 'proved'
     WHERE j.nth = 1 ORDER BY j.machine_id, g.valve_id, g.round`,
    [shopId],
  )
