import { type Blade, type BladeSet, upcastBladeSet } from '../../core/feeler'
import type { BladeSetRow } from '../../shared/shelf'
import { change, type Db, many, maybeOne } from '../database/query'

type Raw = { id: number; name: string; unit: 'mm' | 'thou'; bladesMm: string; blades: string | null }
const SELECT = 'SELECT id, name, unit, blades_mm AS bladesMm, blades FROM blade_sets'
const read = ({ id, name, unit, bladesMm, blades }: Raw): BladeSetRow => ({
  id,
  ...upcastBladeSet({
    name,
    unit,
    bladesMm: JSON.parse(bladesMm) as number[],
    ...(blades === null ? {} : { blades: JSON.parse(blades) as Blade[] }),
  }),
})
/** The sizes are kept beside the blades, as sets were stored before. */
const sizes = (set: BladeSet): string => JSON.stringify(set.blades.map(b => b.mm))

export const bladeSetsOfShop = async (db: Db, shopId: number): Promise<BladeSetRow[]> =>
  (await many<Raw>(db, `${SELECT} WHERE shop_id = ? ORDER BY id`, [shopId])).map(read)
export const bladeSetById = async (db: Db, shopId: number, id: number): Promise<BladeSetRow | null> => {
  const row = await maybeOne<Raw>(db, `${SELECT} WHERE shop_id = ? AND id = ?`, [shopId, id])
  return row && read(row)
}
/** A set, held until the transaction ends. */
export const holdBladeSet = async (db: Db, shopId: number, id: number): Promise<BladeSetRow | null> => {
  const row = await maybeOne<Raw>(db, `${SELECT} WHERE shop_id = ? AND id = ? FOR UPDATE`, [shopId, id])
  return row && read(row)
}
export const insertBladeSet = async (db: Db, shopId: number, set: BladeSet): Promise<number> =>
  (
    await change(db, 'INSERT INTO blade_sets (shop_id, name, unit, blades_mm, blades) VALUES (?, ?, ?, ?, ?)', [
      shopId,
      set.name,
      set.unit,
      sizes(set),
      JSON.stringify(set.blades),
    ])
  ).id
export const updateBladeSet = (db: Db, shopId: number, id: number, set: BladeSet) =>
  change(db, 'UPDATE blade_sets SET name = ?, unit = ?, blades_mm = ?, blades = ? WHERE shop_id = ? AND id = ?', [
    set.name,
    set.unit,
    sizes(set),
    JSON.stringify(set.blades),
    shopId,
    id,
  ])
export const deleteBladeSet = (db: Db, shopId: number, id: number) =>
  change(db, 'DELETE FROM blade_sets WHERE shop_id = ? AND id = ?', [shopId, id])
