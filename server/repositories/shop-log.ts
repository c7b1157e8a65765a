import type { LogKind, LogQuery, LogRow } from '../../shared/shop-log'
import { change, type Db, many, maybeOne } from '../database/query'

/** Lines are kept for so long. */
const LOG_YEARS = 2

export const insertLogLine = (
  db: Db,
  shopId: number,
  line: { personId: number | null; person: string; kind: LogKind; what: string },
) =>
  change(
    db,
    'INSERT INTO shop_log (shop_id, at, person_id, person, kind, what) VALUES (?, UTC_TIMESTAMP(3), ?, ?, ?, ?)',
    [shopId, line.personId, line.person, line.kind, line.what],
  )

/** The newest lines first, from before a line on. */
export const logLines = async (
  db: Db,
  shopId: number,
  { kind, person, before }: LogQuery,
  most: number,
): Promise<LogRow[]> =>
  (
    await many<Omit<LogRow, 'at'> & { at: Date }>(
      db,
      `SELECT id, at, person, kind, what FROM shop_log
       WHERE shop_id = ? AND (? IS NULL OR kind = ?) AND (? IS NULL OR person = ?) AND (? IS NULL OR id < ?)
       ORDER BY id DESC LIMIT ?`,
      [
        ...[shopId, kind ?? null, kind ?? null, person ?? null, person ?? null],
        ...[before ?? null, before ?? null, most],
      ],
    )
  ).map(row => ({ ...row, at: row.at.toISOString() }))

export const removeOldLogLines = (db: Db) =>
  change(db, `DELETE FROM shop_log WHERE at < UTC_TIMESTAMP(3) - INTERVAL ${LOG_YEARS} YEAR LIMIT 10000`)

/** What things are called, by the first part of their address: what a log says of a request that has a number alone. */
const CALLED: Record<string, string> = {
  'adapters': 'SELECT name FROM adapters WHERE shop_id = ? AND id = ?',
  'blade-sets': 'SELECT name FROM blade_sets WHERE shop_id = ? AND id = ?',
  'customers': 'SELECT name FROM customers WHERE shop_id = ? AND id = ?',
  'devices': 'SELECT name FROM trusted_devices WHERE shop_id = ? AND id = ?',
  'machines': 'SELECT name FROM machines WHERE shop_id = ? AND id = ?',
  'models': "SELECT CONCAT(maker, ' ', model) AS name FROM engine_models WHERE shop_id = ? AND id = ?",
  'photos': `SELECT m.name FROM photos f JOIN machines m ON m.shop_id = f.shop_id AND m.id = f.machine_id
    WHERE f.shop_id = ? AND f.id = ?`,
  'revisions': `SELECT CONCAT(e.maker, ' ', e.model) AS name FROM spec_revisions r
    JOIN engine_models e ON e.shop_id = r.shop_id AND e.id = r.model_id WHERE r.shop_id = ? AND r.id = ?`,
  'spec-imports': 'SELECT file_name AS name FROM spec_imports WHERE shop_id = ? AND id = ?',
  'tokens': 'SELECT name FROM api_tokens WHERE shop_id = ? AND id = ?',
  'wrenches': 'SELECT name FROM wrenches WHERE shop_id = ? AND id = ?',
}
/** The name of a thing of a shop; null for one that is not there, or has none. */
export const nameOfThing = async (db: Db, shopId: number, kind: string, id: number): Promise<string | null> =>
  kind in CALLED ? ((await maybeOne<{ name: string }>(db, CALLED[kind]!, [shopId, id]))?.name ?? null) : null
