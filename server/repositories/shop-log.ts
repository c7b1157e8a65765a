import type { LogKind, LogQuery, LogRow } from '../../shared/shop-log'
import { change, type Db, many } from '../database/query'

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
