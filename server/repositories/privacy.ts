import { escapeId } from 'mysql2/promise'
import { change, type Db, many } from '../database/query'

/** Where an owner may stand in a text, by the machine that it is about; JSON is looked through value by value. */
const TEXTS = [
  { table: 'jobs', column: 'pin', json: true, of: 't.machine_id' },
  { table: 'events', column: 'payload', json: true, of: 'j.machine_id' },
  { table: 'sheets', column: 'content', json: true, of: 'j.machine_id' },
  { table: 'job_tasks', column: 'name', json: false, of: 'j.machine_id' },
  { table: 'job_tasks', column: 'because', json: false, of: 'j.machine_id' },
  { table: 'machine_records', column: 'words', json: false, of: 't.machine_id' },
  { table: 'past_visits', column: 'words', json: false, of: 't.machine_id' },
  { table: 'photos', column: 'caption', json: false, of: 't.machine_id' },
  { table: 'machines', column: 'name', json: false, of: 't.id' },
] as const

const marks = (ids: number[]): string => ids.map(() => '?').join(', ')
interface Cell {
  key: (string | number)[]
  text: string
}
/**
 * Looks through every text about some machines, and writes back what another text is wanted for.
 * @param rewrite gives the new text, or null where it stays
 */
export async function rewriteTexts(
  db: Db,
  shopId: number,
  machineIds: number[],
  rewrite: (text: string, isJson: boolean) => string | null,
): Promise<void> {
  if (machineIds.length === 0) return
  for (const { table, column, json, of } of TEXTS) {
    const keys = await keysOf(db, table)
    const join = of.startsWith('j.') ? 'JOIN jobs j ON j.shop_id = t.shop_id AND j.id = t.job_id' : ''
    const rows = await many<Record<string, string | number>>(
      db,
      `SELECT ${keys.map(k => `t.${escapeId(k)}`).join(', ')}, t.${escapeId(column)} AS cell
       FROM ${escapeId(table)} t ${join}
       WHERE t.shop_id = ? AND ${of} IN (${marks(machineIds)}) AND t.${escapeId(column)} IS NOT NULL`,
      [shopId, ...machineIds],
    )
    const cells: Cell[] = rows.map(row => ({ key: keys.map(k => row[k]!), text: String(row.cell) }))
    for (const { key, text } of cells) {
      const changed = rewrite(text, json)
      if (changed === null) continue
      await change(
        db,
        `UPDATE ${escapeId(table)} SET ${escapeId(column)} = ?
         WHERE shop_id = ? AND ${keys.map(k => `${escapeId(k)} = ?`).join(' AND ')}`,
        [changed, shopId, ...key],
      )
    }
  }
}
const keysOf = async (db: Db, table: string): Promise<string[]> =>
  (
    await many<{ name: string }>(
      db,
      `SELECT COLUMN_NAME AS name FROM information_schema.KEY_COLUMN_USAGE WHERE TABLE_SCHEMA = DATABASE()
       AND TABLE_NAME = ? AND CONSTRAINT_NAME = 'PRIMARY' ORDER BY ORDINAL_POSITION`,
      [table],
    )
  ).map(row => row.name)

/** Plates say whose a machine is, to whoever may ask a register. */
export const forgetPlates = (db: Db, shopId: number, customerId: number) =>
  change(db, "UPDATE machines SET plate = '' WHERE shop_id = ? AND customer_id = ?", [shopId, customerId])

/** Machines that an owner has, or whose record names them as having had it. */
export const machinesEverOf = async (db: Db, shopId: number, id: number, name: string): Promise<number[]> =>
  (
    await many<{ id: number }>(
      db,
      `SELECT m.id FROM machines m WHERE m.shop_id = ? AND (m.customer_id = ? OR EXISTS (
         SELECT 1 FROM machine_records r WHERE r.shop_id = m.shop_id AND r.machine_id = m.id AND r.kind = 'owner'
           AND INSTR(r.words, ?) > 0))`,
      [shopId, id, name],
    )
  ).map(row => row.id)

/** Names under which jobs were opened on an owner's machines since they are theirs: they may have had another. */
export const namesInJobsOf = async (db: Db, shopId: number, customerId: number): Promise<string[]> =>
  (
    await many<{ name: string | null }>(
      db,
      `SELECT DISTINCT JSON_VALUE(j.pin, '$.machine.owner') AS name FROM machines m
       JOIN jobs j ON j.shop_id = m.shop_id AND j.machine_id = m.id
       WHERE m.shop_id = ? AND m.customer_id = ? AND j.opened_at >= COALESCE((SELECT MAX(r.at) FROM machine_records r
         WHERE r.shop_id = m.shop_id AND r.machine_id = m.id AND r.kind = 'owner'), '1970-01-01')`,
      [shopId, customerId],
    )
  ).flatMap(row => row.name ?? [])

export interface KeptLetter {
  at: Date
  how: string
  text: string
}
/** What was written to an owner. */
export const lettersTo = (db: Db, shopId: number, id: number): Promise<KeptLetter[]> =>
  many(db, 'SELECT told_at AS at, how, text FROM reminders WHERE shop_id = ? AND customer_id = ? ORDER BY told_at', [
    shopId,
    id,
  ])
export interface KeptJob {
  machineId: number
  number: number
  openedAt: Date
  closedAt: Date | null
  /** The last sheet that was signed, as it was signed. */
  sheet: string | null
}
/** The jobs of machines, with their sheets. */
export const jobsOfMachines = (db: Db, shopId: number, machineIds: number[]): Promise<KeptJob[]> =>
  machineIds.length === 0
    ? Promise.resolve([])
    : many(
        db,
        `SELECT j.machine_id AS machineId, j.number, j.opened_at AS openedAt, j.closed_at AS closedAt,
           (SELECT s.content FROM sheets s WHERE s.shop_id = j.shop_id AND s.job_id = j.id
            ORDER BY s.seq DESC LIMIT 1) AS sheet
         FROM jobs j WHERE j.shop_id = ? AND j.machine_id IN (${marks(machineIds)}) ORDER BY j.opened_at`,
        [shopId, ...machineIds],
      )
/** Lines of the log that are about somebody by this name. */
export const logLinesAbout = (
  db: Db,
  shopId: number,
  name: string,
): Promise<{ at: Date; kind: string; what: string }[]> =>
  many(db, "SELECT at, kind, what FROM shop_log WHERE shop_id = ? AND what = ? AND kind LIKE 'owner-%' ORDER BY id", [
    shopId,
    name,
  ])
/** Puts a word in the place of a name in the log: of an owner, or in what a machine was called. */
export const forgetInLog = (db: Db, shopId: number, name: string, instead: string) =>
  change(db, 'UPDATE shop_log SET what = LEFT(REPLACE(what, ?, ?), 120) WHERE shop_id = ? AND INSTR(what, ?) > 0', [
    name,
    instead,
    shopId,
    name,
  ])
/** Answers that are kept to be given again, and have somebody's name in them. */
export const forgetAnswers = (db: Db, shopId: number, name: string) =>
  change(db, 'DELETE FROM asked_once WHERE shop_id = ? AND INSTR(answer, ?) > 0', [shopId, name])
