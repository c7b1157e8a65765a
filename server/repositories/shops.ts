import type { TargetSchool } from '../../core/feeler'
import type { BladeHabit } from '../../core/job'
import type { School } from '../../core/stops'
import type { Language } from '../../shared/languages'
import { change, type Db, maybeOne, one } from '../database/query'

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
  shop: { name: string; timeZone: string; unit: 'mm' | 'thou'; demo: 'no' | 'loading' },
): Promise<number> =>
  (
    await change(
      db,
      'INSERT INTO shops (name, time_zone, unit, demo, created_at) VALUES (?, ?, ?, ?, UTC_TIMESTAMP(3))',
      [shop.name, shop.timeZone, shop.unit, shop.demo],
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

const TABLES = [
  'sheets',
  'readings',
  'events',
  'job_tasks',
  'photos',
  'jobs',
  'meter_readings',
  'machine_records',
  'past_visits',
  'machine_due',
  'valve_drifts',
  'reminders',
  'calendar_addresses',
  'machines',
  'spec_revisions',
  'engine_models',
  'customers',
  'blade_sets',
  'wrenches',
  'adapters',
  'shim_stock',
  'people',
]
/** Removes a demo shop with all that is its own; a real shop is never removed by this. */
export const removeHalfLoadedDemo = async (db: Db, shopId: number): Promise<void> => {
  for (const table of TABLES) await change(db, `DELETE FROM ${table} WHERE shop_id = ?`, [shopId])
  await change(db, "DELETE FROM shops WHERE id = ? AND demo = 'loading'", [shopId])
}
