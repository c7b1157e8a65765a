import type { School } from '../../core/stops'
import { change, type Db, maybeOne, one } from '../database/query'

export interface ShopRow { id: number, name: string, timeZone: string, unit: 'mm' | 'thou', favouriteSchool: School | null, demo: 'no' | 'loading' | 'ready' }

export const countShops = async (db: Db): Promise<number> => (await one<{ n: number }>(db, 'SELECT COUNT(*) AS n FROM shops')).n

export const insertShop = async (db: Db, shop: { name: string, timeZone: string, unit: 'mm' | 'thou', demo: 'no' | 'loading' }): Promise<number> =>
  (await change(db, 'INSERT INTO shops (name, time_zone, unit, demo, created_at) VALUES (?, ?, ?, ?, UTC_TIMESTAMP(3))', [shop.name, shop.timeZone, shop.unit, shop.demo])).id

export const shopById = (db: Db, shopId: number): Promise<ShopRow> =>
  one(db, 'SELECT id, name, time_zone AS timeZone, unit, favourite_school AS favouriteSchool, demo FROM shops WHERE id = ?', [shopId])

export const updateFavouriteSchool = (db: Db, shopId: number, school: School | null) => change(db, 'UPDATE shops SET favourite_school = ? WHERE id = ?', [school, shopId])

/** A demo whose loading was cut off, if there is one. */
export const halfLoadedDemo = (db: Db): Promise<{ id: number } | null> => maybeOne(db, 'SELECT id FROM shops WHERE demo = \'loading\' LIMIT 1')
export const markDemoReady = (db: Db, shopId: number) => change(db, 'UPDATE shops SET demo = \'ready\' WHERE id = ?', [shopId])

const TABLES = ['sheets', 'readings', 'events', 'jobs', 'machines', 'spec_revisions', 'engine_models', 'customers', 'blade_sets', 'people']
/** Removes a demo shop with all that is its own; a real shop is never removed by this. */
export const removeHalfLoadedDemo = async (db: Db, shopId: number): Promise<void> => {
  for (const table of TABLES) await change(db, `DELETE FROM ${table} WHERE shop_id = ?`, [shopId])
  await change(db, 'DELETE FROM shops WHERE id = ? AND demo = \'loading\'', [shopId])
}
