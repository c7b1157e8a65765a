import type { UnkeptJob } from '../../shared/board'
import { change, type Db, many, maybeOne } from '../database/query'
import type { MachineGiven } from './machines'

/** A model that stands in no list: it has no trigrams to be found by, and its key is its job's. */
export const insertQuickModel = async (
  db: Db,
  shopId: number,
  { jobId, name }: { jobId: number; name: string },
): Promise<number> =>
  (
    await change(
      db,
      'INSERT INTO engine_models (shop_id, model_key, maker, model, code, quick) VALUES (?, ?, ?, ?, ?, TRUE)',
      [shopId, `quick${jobId}`, '', name, `quick${jobId}`],
    )
  ).id

/** The owner of all machines of the shop that nobody has kept: stands in no list. */
export async function quickOwner(db: Db, shopId: number): Promise<number> {
  const known = await maybeOne<{ id: number }>(db, 'SELECT id FROM customers WHERE shop_id = ? AND quick LIMIT 1', [
    shopId,
  ])
  return (
    known?.id ??
    (await change(db, "INSERT INTO customers (shop_id, name, contact, quick) VALUES (?, '', '', TRUE)", [shopId])).id
  )
}

/** @returns whether it was a quick job's machine, and is one on record now */
export const keepMachine = async (
  db: Db,
  shopId: number,
  id: number,
  m: Required<MachineGiven> & { customerId: number },
): Promise<boolean> =>
  (
    await change(
      db,
      `UPDATE machines SET name = ?, tag = ?, serial = ?, plate = ?, meter_unit = ?, customer_id = ?, quick = FALSE
       WHERE shop_id = ? AND id = ? AND quick`,
      [m.name, m.tag, m.serial, m.plate, m.meterUnit, m.customerId, shopId, id],
    )
  ).affected > 0

/** What a job's pin calls its machine, by the names on record from now on. */
export const renamePin = (
  db: Db,
  shopId: number,
  jobId: number,
  called: Pick<MachineGiven, 'name' | 'tag' | 'meterUnit'> & { ownerId: number; modelName: string },
) =>
  change(
    db,
    `UPDATE jobs SET pin = JSON_SET(pin, '$.machine.name', ?, '$.machine.tag', ?, '$.machine.meterUnit', ?,
       '$.machine.owner', (SELECT c.name FROM customers c WHERE c.shop_id = ? AND c.id = ?), '$.modelName', ?)
     WHERE shop_id = ? AND id = ?`,
    [called.name, called.tag, called.meterUnit, shopId, called.ownerId, called.modelName, shopId, jobId],
  )

/** Quick jobs since a moment whose machine nobody has kept. */
export const unkeptJobs = (
  db: Db,
  shopId: number,
  since: Date,
): Promise<(Omit<UnkeptJob, 'openedAt'> & { openedAt: Date })[]> =>
  many(
    db,
    `SELECT j.id AS jobId, j.number, m.name AS machine, j.status, j.opened_at AS openedAt
     FROM machines m JOIN jobs j ON j.shop_id = m.shop_id AND j.machine_id = m.id
     WHERE m.shop_id = ? AND m.quick AND j.opened_at >= ? ORDER BY j.opened_at DESC LIMIT 60`,
    [shopId, since],
  )
