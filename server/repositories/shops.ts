import type { TargetSchool } from '../../core/feeler'
import type { BladeHabit } from '../../core/job'
import type { School } from '../../core/stops'
import type { Language } from '../../shared/languages'
import { change, type Db, many, maybeOne, one } from '../database/query'

export interface ShopRow {
  id: number
  name: string
  timeZone: string
  unit: 'mm' | 'thou'
  /** That owners are written in of whom nobody has said. */
  language: Language | null
  favouriteSchool: School | null
  target: TargetSchool
  bladeHabit: BladeHabit
  pairToProve: boolean
  valveMinutes: number
  taskMinutes: number
  demo: 'no' | 'loading' | 'ready'
}

export const countShops = async (db: Db): Promise<number> =>
  (await one<{ n: number }>(db, 'SELECT COUNT(*) AS n FROM shops')).n

export const insertShop = async (
  db: Db,
  shop: { name: string; shortName?: string; timeZone: string; unit: 'mm' | 'thou'; demo: 'no' | 'loading' },
): Promise<number> =>
  (
    await change(
      db,
      `INSERT INTO shops (name, short_name, time_zone, unit, demo, created_at)
       VALUES (?, ?, ?, ?, ?, UTC_TIMESTAMP(3))`,
      [shop.name, shop.shortName ?? null, shop.timeZone, shop.unit, shop.demo],
    )
  ).id

export const shopById = async (db: Db, shopId: number): Promise<ShopRow> => {
  const row = await one<Omit<ShopRow, 'pairToProve'> & { pairToProve: number }>(
    db,
    `
    SELECT id, name, time_zone AS timeZone, unit, language, favourite_school AS favouriteSchool, target,
      blade_habit AS bladeHabit, pair_to_prove AS pairToProve, valve_minutes AS valveMinutes,
      task_minutes AS taskMinutes, demo FROM shops WHERE id = ?`,
    [shopId],
  )
  return { ...row, pairToProve: row.pairToProve === 1 }
}

/** What a lead settles for the shop: what it is called, by which clock and unit it goes, and its ways. */
export const updateShop = (db: Db, shopId: number, shop: Omit<ShopRow, 'id' | 'demo'>) =>
  change(
    db,
    `UPDATE shops SET name = ?, time_zone = ?, unit = ?, language = ?, favourite_school = ?, target = ?,
    blade_habit = ?, pair_to_prove = ?, valve_minutes = ?, task_minutes = ? WHERE id = ?`,
    [
      shop.name,
      shop.timeZone,
      shop.unit,
      shop.language,
      shop.favouriteSchool,
      shop.target,
      shop.bladeHabit,
      shop.pairToProve,
      shop.valveMinutes,
      shop.taskMinutes,
      shopId,
    ],
  )

/** The first shop of the installation, if there is one: whose clock it goes by. */
export const oldestShop = (db: Db): Promise<{ id: number; timeZone: string; createdAt: Date } | null> =>
  maybeOne(db, 'SELECT id, time_zone AS timeZone, created_at AS createdAt FROM shops ORDER BY id LIMIT 1')

/** A demo whose loading was cut off, if there is one. */
export const halfLoadedDemo = (db: Db): Promise<{ id: number } | null> =>
  maybeOne(db, "SELECT id FROM shops WHERE demo = 'loading' LIMIT 1")
export const markDemoReady = (db: Db, shopId: number) =>
  change(db, "UPDATE shops SET demo = 'ready' WHERE id = ?", [shopId])

/** What is counted of each shop of the installation; nothing of what it has written down. */
export interface ShopCounted {
  id: number
  name: string
  shortName: string | null
  host: string | null
  since: Date
  people: number
  mostPeople: number | null
  photoBytes: number
  mostPhotoMb: number | null
  jobs: number
  lastJobAt: Date | null
  closedAt: Date | null
  goesAt: Date | null
}
/** @param only one of them; otherwise all, by name */
export const countedShops = async (db: Db, only: number | null = null): Promise<ShopCounted[]> =>
  (
    await many<ShopCounted>(
      db,
      `SELECT s.id, s.name, s.short_name AS shortName, s.host, s.created_at AS since, s.most_people AS mostPeople,
       s.most_photo_mb AS mostPhotoMb, s.closed_at AS closedAt, s.goes_at AS goesAt,
       (SELECT COUNT(*) FROM people p WHERE p.shop_id = s.id AND p.ended_at IS NULL) AS people,
       (SELECT COALESCE(SUM(f.bytes), 0) FROM photos f WHERE f.shop_id = s.id)
         + (SELECT COALESCE(SUM(f.bytes), 0) FROM page_photos f WHERE f.shop_id = s.id) AS photoBytes,
       (SELECT COUNT(*) FROM jobs j WHERE j.shop_id = s.id) AS jobs,
       (SELECT MAX(j.opened_at) FROM jobs j WHERE j.shop_id = s.id) AS lastJobAt
     FROM shops s WHERE ? IS NULL OR s.id = ? ORDER BY s.name, s.id`,
      [only, only],
    )
  ).map(s => ({ ...s, photoBytes: Number(s.photoBytes) }))
/** Whether another shop has a short name or a host. */
export const isTaken = async (
  db: Db,
  field: 'shortName' | 'host',
  value: string,
  but: number | null = null,
): Promise<boolean> =>
  (
    await many(
      db,
      `SELECT id FROM shops WHERE ${field === 'host' ? 'host' : 'short_name'} = ? AND NOT (id <=> ?) LIMIT 1`,
      [value, but],
    )
  ).length > 0
/** Nobody signs in to a closed shop; its records go after the days given, unless it is opened again before. */
export const closeShopRow = (db: Db, shopId: number, days: number) =>
  change(
    db,
    `UPDATE shops SET closed_at = UTC_TIMESTAMP(3), goes_at = UTC_TIMESTAMP(3) + INTERVAL ? DAY
     WHERE id = ? AND closed_at IS NULL`,
    [days, shopId],
  )
/** Not where its records have begun to go. */
export const reopenShopRow = (db: Db, shopId: number) =>
  change(
    db,
    `UPDATE shops SET closed_at = NULL, goes_at = NULL
     WHERE id = ? AND closed_at IS NOT NULL AND goes_at > UTC_TIMESTAMP(3)`,
    [shopId],
  )
/** Closed shops whose time is over. */
export const shopsToRemove = (db: Db): Promise<{ id: number; name: string }[]> =>
  many(db, 'SELECT id, name FROM shops WHERE goes_at <= UTC_TIMESTAMP(3) ORDER BY id')

/** The shop's row, locked until the transaction ends: for what must happen one after the other in a shop. */
export const lockShop = (db: Db, shopId: number) => one(db, 'SELECT id FROM shops WHERE id = ? FOR UPDATE', [shopId])
