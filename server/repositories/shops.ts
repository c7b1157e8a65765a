import { change, type Db, one } from '../database/query'

export interface ShopRow { id: number, name: string, timeZone: string, unit: 'mm' | 'thou', isDemo: number }

export const countShops = async (db: Db): Promise<number> => (await one<{ n: number }>(db, 'SELECT COUNT(*) AS n FROM shops')).n

export const insertShop = async (db: Db, shop: { name: string, timeZone: string, unit: 'mm' | 'thou', isDemo: boolean }): Promise<number> =>
  (await change(db, 'INSERT INTO shops (name, time_zone, unit, is_demo, created_at) VALUES (?, ?, ?, ?, UTC_TIMESTAMP(3))', [shop.name, shop.timeZone, shop.unit, shop.isDemo])).id

export const shopById = (db: Db, shopId: number): Promise<ShopRow> =>
  one(db, 'SELECT id, name, time_zone AS timeZone, unit, is_demo AS isDemo FROM shops WHERE id = ?', [shopId])
