import type { Adapter, Wrench } from '../../core/torque'
import type { AdapterRow, WrenchRow } from '../../shared/shelf'
import { change, type Db, many, maybeOne } from '../database/query'

const WRENCHES = `
  SELECT id, name, unit, least_nm AS leastNm, most_nm AS mostNm, length_mm AS lengthMm,
    DATE_FORMAT(calibration_due, '%Y-%m-%d') AS calibrationDue
  FROM wrenches WHERE shop_id = ?`
export const wrenchesOfShop = (db: Db, shopId: number): Promise<WrenchRow[]> =>
  many(db, `${WRENCHES} ORDER BY name`, [shopId])
/** A wrench, held until the transaction ends. */
export const holdWrench = (db: Db, shopId: number, id: number): Promise<WrenchRow | null> =>
  maybeOne(db, `${WRENCHES} AND id = ? FOR UPDATE`, [shopId, id])
export const insertWrench = async (db: Db, shopId: number, w: Wrench): Promise<number> =>
  (
    await change(
      db,
      `INSERT INTO wrenches (shop_id, name, unit, least_nm, most_nm, length_mm, calibration_due)
        VALUES (?, ?, ?, ?, ?, ?, ?)`,
      [shopId, w.name, w.unit, w.leastNm, w.mostNm, w.lengthMm, w.calibrationDue],
    )
  ).id
export const updateWrench = (db: Db, shopId: number, id: number, w: Wrench) =>
  change(
    db,
    `UPDATE wrenches SET name = ?, unit = ?, least_nm = ?, most_nm = ?, length_mm = ?, calibration_due = ?
      WHERE shop_id = ? AND id = ?`,
    [w.name, w.unit, w.leastNm, w.mostNm, w.lengthMm, w.calibrationDue, shopId, id],
  )
export const deleteWrench = (db: Db, shopId: number, id: number) =>
  change(db, 'DELETE FROM wrenches WHERE shop_id = ? AND id = ?', [shopId, id])

const ADAPTERS = 'SELECT id, name, length_mm AS lengthMm, angle_deg AS angleDeg FROM adapters WHERE shop_id = ?'
export const adaptersOfShop = (db: Db, shopId: number): Promise<AdapterRow[]> =>
  many(db, `${ADAPTERS} ORDER BY name`, [shopId])
/** An adapter, held until the transaction ends. */
export const holdAdapter = (db: Db, shopId: number, id: number): Promise<AdapterRow | null> =>
  maybeOne(db, `${ADAPTERS} AND id = ? FOR UPDATE`, [shopId, id])
export const insertAdapter = async (db: Db, shopId: number, a: Adapter): Promise<number> =>
  (
    await change(db, 'INSERT INTO adapters (shop_id, name, length_mm, angle_deg) VALUES (?, ?, ?, ?)', [
      shopId,
      a.name,
      a.lengthMm,
      a.angleDeg,
    ])
  ).id
export const updateAdapter = (db: Db, shopId: number, id: number, a: Adapter) =>
  change(db, 'UPDATE adapters SET name = ?, length_mm = ?, angle_deg = ? WHERE shop_id = ? AND id = ?', [
    a.name,
    a.lengthMm,
    a.angleDeg,
    shopId,
    id,
  ])
export const deleteAdapter = (db: Db, shopId: number, id: number) =>
  change(db, 'DELETE FROM adapters WHERE shop_id = ? AND id = ?', [shopId, id])
