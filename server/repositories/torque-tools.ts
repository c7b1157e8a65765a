import type { Adapter, Wrench } from '../../core/torque'
import type { AdapterRow, WrenchRow } from '../../shared/shelf'
import { change, type Db, many } from '../database/query'

export const wrenchesOfShop = (db: Db, shopId: number): Promise<WrenchRow[]> =>
  many(
    db,
    `SELECT id, name, unit, least_nm AS leastNm, most_nm AS mostNm, length_mm AS lengthMm,
        DATE_FORMAT(calibration_due, '%Y-%m-%d') AS calibrationDue
      FROM wrenches WHERE shop_id = ? ORDER BY name`,
    [shopId],
  )
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

export const adaptersOfShop = (db: Db, shopId: number): Promise<AdapterRow[]> =>
  many(
    db,
    'SELECT id, name, length_mm AS lengthMm, angle_deg AS angleDeg FROM adapters WHERE shop_id = ? ORDER BY name',
    [shopId],
  )
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
