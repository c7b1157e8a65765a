import type { DueReason, KnownDrift } from '../../core/history'
import type { MeterUnit } from '../../core/units'
import { change, type Db, many } from '../database/query'

const marks = (n: number, group: string): string => Array.from({ length: n }, () => group).join(', ')

/** So many machines of a model stand for its family: one more would hardly move their mean. */
export const FAMILY_MACHINES = 60
type DriftRow = KnownDrift & { machineId: number; valveId: string }
const DRIFT = 'SELECT machine_id AS machineId, valve_id AS valveId, per_use AS perUse, sigma FROM valve_drifts'
/** The drifts of a model's newest machines, by valve. */
export const familyDrifts = (
  db: Db,
  shopId: number,
  modelId: number,
  valveIds: readonly string[],
): Promise<DriftRow[]> =>
  many(
    db,
    valveIds
      .map(
        () =>
          `(${DRIFT} WHERE shop_id = ? AND model_id = ? AND valve_id = ? ORDER BY machine_id DESC LIMIT ${FAMILY_MACHINES + 1})`,
      )
      .join(' UNION ALL '),
    valveIds.flatMap(id => [shopId, modelId, id]),
  )
/** What is kept of some machines' own drifts. */
export const keptDrifts = (db: Db, shopId: number, machineIds: readonly number[]): Promise<DriftRow[]> =>
  many(db, `${DRIFT} WHERE shop_id = ? AND machine_id IN (${marks(machineIds.length, '?')})`, [shopId, ...machineIds])

export interface StoredOutlook {
  machineId: number
  modelId: number
  dueAt: Date | null
  reasons: DueReason[]
  firstMeter: number | null
  usePerDay: number | null
  drifts: ({ valveId: string } & KnownDrift)[]
}
/** Writes what was worked out of some machines in place of what stood there. */
export async function storeOutlooks(db: Db, shopId: number, rows: readonly StoredOutlook[]): Promise<void> {
  if (rows.length === 0) return
  await change(db, `DELETE FROM valve_drifts WHERE shop_id = ? AND machine_id IN (${marks(rows.length, '?')})`, [
    shopId,
    ...rows.map(r => r.machineId),
  ])
  const drifts = rows.flatMap(r => r.drifts.map(d => [shopId, r.machineId, d.valveId, r.modelId, d.perUse, d.sigma]))
  if (drifts.length)
    await change(
      db,
      `REPLACE INTO valve_drifts (shop_id, machine_id, valve_id, model_id, per_use, sigma) VALUES ${marks(drifts.length, '(?, ?, ?, ?, ?, ?)')}`,
      drifts.flat(),
    )
  await change(
    db,
    `REPLACE INTO machine_due (shop_id, machine_id, due_at, reasons, first_meter, use_per_day, stale) VALUES ${marks(rows.length, '(?, ?, ?, ?, ?, ?, FALSE)')}`,
    rows.flatMap(r => [shopId, r.machineId, r.dueAt, JSON.stringify(r.reasons), r.firstMeter, r.usePerDay]),
  )
}

/** What the machines of a model are worked out from has changed: a drift of one of them, or the spec. */
export const markFamilyStale = (db: Db, shopId: number, modelId: number, butMachineId = 0) =>
  change(
    db,
    `
  UPDATE machine_due d JOIN machines m ON m.shop_id = d.shop_id AND m.id = d.machine_id SET d.stale = TRUE
  WHERE d.shop_id = ? AND m.model_id = ? AND m.id <> ?`,
    [shopId, modelId, butMachineId],
  )

/** One machine is to be worked out anew. */
export const markStale = (db: Db, shopId: number, machineId: number) =>
  change(db, 'UPDATE machine_due SET stale = TRUE WHERE shop_id = ? AND machine_id = ?', [shopId, machineId])

/**
 * Machines that were never worked out, or not since something changed: of one shop and model at a time, so that they
 * share a family.
 */
export const staleMachines = async (
  db: Db,
  most: number,
): Promise<{ id: number; shopId: number; modelId: number }[]> => {
  const never = await many<{ id: number; shopId: number; modelId: number }>(
    db,
    `
    SELECT m.id, m.shop_id AS shopId, m.model_id AS modelId FROM machines m
    LEFT JOIN machine_due d ON d.shop_id = m.shop_id AND d.machine_id = m.id WHERE d.machine_id IS NULL
    ORDER BY m.shop_id, m.model_id LIMIT ${most}`,
  )
  return never.length
    ? never
    : many(
        db,
        `
    SELECT m.id, m.shop_id AS shopId, m.model_id AS modelId FROM machine_due d
    JOIN machines m ON m.shop_id = d.shop_id AND m.id = d.machine_id WHERE d.stale ORDER BY m.shop_id, m.model_id
    LIMIT ${most}`,
      )
}

/** Whether a round of a shop is still to come or under way. */
export const anyStale = async (db: Db, shopId: number): Promise<boolean> =>
  (await many(db, 'SELECT 1 FROM machine_due WHERE shop_id = ? AND stale = TRUE LIMIT 1', [shopId])).length > 0

/** A machine on the list of what is due. */
export interface DueRow {
  machineId: number
  name: string
  tag: string
  meterUnit: MeterUnit
  modelId: number
  customerId: number
  owner: string
  email: string
  dueAt: Date
  reasons: DueReason[]
  firstMeter: number | null
  openJobId: number | null
  toldAt: Date | null
}
/** Machines that are due until a moment, those that are over first. */
export const dueUntil = async (db: Db, shopId: number, until: Date, most: number): Promise<DueRow[]> =>
  (
    await many<Omit<DueRow, 'reasons'> & { reasons: string }>(
      db,
      `
  SELECT m.id AS machineId, m.name, m.tag, m.meter_unit AS meterUnit, m.model_id AS modelId, c.id AS customerId,
    c.name AS owner, c.email, d.due_at AS dueAt, d.reasons, d.first_meter AS firstMeter,
    (SELECT MAX(j.id) FROM jobs j FORCE INDEX (jobs_machine) WHERE j.shop_id = m.shop_id AND j.machine_id = m.id
      AND j.status IN ('open', 'held')) AS openJobId,
    (SELECT MAX(t.told_at) FROM reminders t WHERE t.shop_id = c.shop_id AND t.customer_id = c.id
      AND JSON_CONTAINS(t.machine_ids, CAST(m.id AS CHAR))) AS toldAt
  FROM (SELECT q.* FROM machine_due q JOIN machines k ON k.shop_id = q.shop_id AND k.id = q.machine_id AND NOT k.quick
    WHERE q.shop_id = ? AND q.due_at < ? ORDER BY q.due_at LIMIT ${most}) d
  JOIN machines m ON m.shop_id = d.shop_id AND m.id = d.machine_id
  JOIN customers c ON c.shop_id = m.shop_id AND c.id = m.customer_id ORDER BY d.due_at, m.id`,
      [shopId, until],
    )
  ).map(row => ({ ...row, reasons: JSON.parse(row.reasons) as DueReason[] }))
