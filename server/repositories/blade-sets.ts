import type { BladeSet } from '../../core/feeler'
import type { BladeSetRow } from '../../shared/responses'
import { change, type Db, many, maybeOne } from '../database/query'

type Raw = { id: number, name: string, unit: 'mm' | 'thou', bladesMm: string }
const SELECT = 'SELECT id, name, unit, blades_mm AS bladesMm FROM blade_sets'
const read = (row: Raw): BladeSetRow => ({ ...row, bladesMm: JSON.parse(row.bladesMm) as number[] })

export const bladeSetsOfShop = async (db: Db, shopId: number): Promise<BladeSetRow[]> => (await many<Raw>(db, `${SELECT} WHERE shop_id = ? ORDER BY id`, [shopId])).map(read)
export const bladeSetById = async (db: Db, shopId: number, id: number): Promise<BladeSetRow | null> => {
  const row = await maybeOne<Raw>(db, `${SELECT} WHERE shop_id = ? AND id = ?`, [shopId, id])
  return row && read(row)
}
export const insertBladeSet = async (db: Db, shopId: number, set: BladeSet): Promise<number> =>
  (await change(db, 'INSERT INTO blade_sets (shop_id, name, unit, blades_mm) VALUES (?, ?, ?, ?)', [shopId, set.name, set.unit, JSON.stringify(set.bladesMm)])).id
