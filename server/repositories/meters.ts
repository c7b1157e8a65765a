import { change, type Db, many } from '../database/query'

export type MeterSource = 'job' | 'past visit' | 'record'
export interface MeterRow {
  machineId: number
  source: MeterSource
  sourceId: number
  at: Date
  meter: number
  replaced: number
}

export const insertMeter = (
  db: Db,
  shopId: number,
  m: { machineId: number; source: MeterSource; sourceId: number; at: Date; meter: number; replaced: boolean },
) =>
  change(
    db,
    `INSERT INTO meter_readings (shop_id, machine_id, source, source_id, at, meter, replaced)
      VALUES (?, ?, ?, ?, ?, ?, ?)`,
    [shopId, m.machineId, m.source, m.sourceId, m.at, m.meter, m.replaced],
  )

/** Every reading of the meters of some machines, in order. */
export const metersOf = (db: Db, shopId: number, machineIds: readonly number[]): Promise<MeterRow[]> =>
  machineIds.length === 0
    ? Promise.resolve([])
    : many(
        db,
        `SELECT machine_id AS machineId, source, source_id AS sourceId, at, meter, replaced FROM meter_readings
    WHERE shop_id = ? AND machine_id IN (${machineIds.map(() => '?').join(', ')})
    ORDER BY machine_id, at, replaced, meter`,
        [shopId, ...machineIds],
      )
