import type { BookModel, RowNote } from '../../core/exchange'
import type { Text } from '../../core/said'
import type { ImportRow, ImportRowState, ImportSettings, ImportState } from '../../shared/spec-book'
import { change, type Db, many, maybeOne, one } from '../database/query'

export interface ImportRecord {
  id: number
  personId: number
  fileName: string
  format: 'csv' | 'json'
  bytes: number
  state: ImportState
  settings: ImportSettings
  progress: number
  total: number
  message: string
  idleSeconds: number
}

export const insertImport = async (
  db: Db,
  shopId: number,
  i: { personId: number; fileName: string; format: 'csv' | 'json' },
): Promise<number> =>
  (
    await change(
      db,
      `INSERT INTO spec_imports (shop_id, person_id, file_name, format, state, settings, created_at, moved_at)
        VALUES (?, ?, ?, ?, 'uploaded', '{}', UTC_TIMESTAMP(3), UTC_TIMESTAMP(3))`,
      [shopId, i.personId, i.fileName, i.format],
    )
  ).id
export const importById = async (db: Db, shopId: number, id: number): Promise<ImportRecord | null> => {
  const row = await maybeOne<Omit<ImportRecord, 'settings'> & { settings: string }>(
    db,
    `SELECT id, person_id AS personId, file_name AS fileName, format, bytes, state, settings, progress, total,
        message, TIMESTAMPDIFF(SECOND, moved_at, UTC_TIMESTAMP(3)) AS idleSeconds
      FROM spec_imports WHERE shop_id = ? AND id = ?`,
    [shopId, id],
  )
  return (
    row && {
      ...row,
      settings: {
        delimiter: ',',
        headings: [],
        mapping: [],
        first: [],
        ...(JSON.parse(row.settings) as Partial<ImportSettings>),
      },
    }
  )
}
export const setImport = (
  db: Db,
  shopId: number,
  id: number,
  i: { state: ImportState; progress?: number; total?: number; message?: string },
) =>
  change(
    db,
    `UPDATE spec_imports
      SET moved_at = UTC_TIMESTAMP(3), state = ?, progress = COALESCE(?, progress), total = COALESCE(?, total),
        message = COALESCE(?, message)
      WHERE shop_id = ? AND id = ?`,
    [i.state, i.progress ?? null, i.total ?? null, i.message ?? null, shopId, id],
  )
/** How far it is. @returns false once somebody has cancelled it */
export const setProgress = async (db: Db, shopId: number, id: number, progress: number): Promise<boolean> => {
  await change(db, 'UPDATE spec_imports SET progress = ?, moved_at = UTC_TIMESTAMP(3) WHERE shop_id = ? AND id = ?', [
    progress,
    shopId,
    id,
  ])
  return (
    (await one<{ state: ImportState }>(db, 'SELECT state FROM spec_imports WHERE shop_id = ? AND id = ?', [shopId, id]))
      .state !== 'cancelled'
  )
}
export const setImportSettings = (db: Db, shopId: number, id: number, bytes: number, settings: ImportSettings) =>
  change(db, 'UPDATE spec_imports SET bytes = ?, settings = ? WHERE shop_id = ? AND id = ?', [
    bytes,
    JSON.stringify(settings),
    shopId,
    id,
  ])
/** Takes an import from one state into the next; only one request can. */
export const advanceImport = async (
  db: Db,
  shopId: number,
  id: number,
  from: ImportState[],
  to: ImportState,
): Promise<boolean> =>
  (
    await change(
      db,
      `UPDATE spec_imports SET state = ?, progress = 0, message = '', moved_at = UTC_TIMESTAMP(3)
        WHERE shop_id = ? AND id = ? AND state IN (${from.map(() => '?').join(', ')})`,
      [to, shopId, id, ...from],
    )
  ).affected === 1

export const insertChunk = async (
  db: Db,
  shopId: number,
  importId: number,
  n: number,
  bytes: Buffer,
): Promise<void> => {
  await db.query('INSERT INTO spec_import_chunks (shop_id, import_id, n, bytes) VALUES (?, ?, ?, ?)', [
    shopId,
    importId,
    n,
    bytes,
  ])
}
/** The file's bytes, piece by piece: it is never whole in memory. */
export async function* chunksOf(db: Db, shopId: number, importId: number): AsyncGenerator<Buffer> {
  for (let n = 0; ; n++) {
    const row = await maybeOne<{ bytes: Buffer }>(
      db,
      'SELECT bytes FROM spec_import_chunks WHERE shop_id = ? AND import_id = ? AND n = ?',
      [shopId, importId, n],
    )
    if (!row) return
    yield row.bytes
  }
}
export const dropChunks = (db: Db, shopId: number, importId: number) =>
  change(db, 'DELETE FROM spec_import_chunks WHERE shop_id = ? AND import_id = ?', [shopId, importId])
/** Files that nobody went on with are forgotten after a day. */
export const dropOldImports = (db: Db, shopId: number) =>
  change(db, 'DELETE FROM spec_imports WHERE shop_id = ? AND moved_at < UTC_TIMESTAMP(3) - INTERVAL 1 DAY', [shopId])

/** What a row would write, and what it would be once its doubts are answered. */
export interface RowContent {
  model: BookModel
  would: 'new' | 'changed' | 'same'
  answered: string[]
  changes: Text[]
}
export interface StoredRow {
  rowNo: number
  state: ImportRowState
  title: string
  modelId: number | null
  content: RowContent | null
  notes: RowNote[]
}
export const clearRows = (db: Db, shopId: number, importId: number) =>
  change(db, 'DELETE FROM spec_import_rows WHERE shop_id = ? AND import_id = ?', [shopId, importId])
export const insertRows = async (db: Db, shopId: number, importId: number, rows: StoredRow[]): Promise<void> => {
  if (rows.length === 0) return
  await db.query(
    `INSERT INTO spec_import_rows (shop_id, import_id, row_no, state, title, model_id, content, notes)
      VALUES ${rows.map(() => '(?, ?, ?, ?, ?, ?, ?, ?)').join(', ')}`,
    rows.flatMap(r => [
      shopId,
      importId,
      r.rowNo,
      r.state,
      r.title,
      r.modelId,
      r.content && r.state !== 'same' ? JSON.stringify(r.content) : null,
      JSON.stringify(r.notes),
    ]),
  )
}
type RawRow = Omit<StoredRow, 'content' | 'notes'> & { content: string | null; notes: string }
const read = (row: RawRow): StoredRow => ({
  ...row,
  content: row.content === null ? null : (JSON.parse(row.content) as RowContent),
  notes: JSON.parse(row.notes) as RowNote[],
})
const ROW = `SELECT row_no AS rowNo, state, title, model_id AS modelId, content, notes FROM spec_import_rows
    WHERE shop_id = ? AND import_id = ?`
export const rowsOf = async (
  db: Db,
  shopId: number,
  importId: number,
  states: ImportRowState[],
  after: number,
  most: number,
): Promise<StoredRow[]> =>
  (
    await many<RawRow>(
      db,
      `${ROW} AND state IN (${states.map(() => '?').join(', ')}) AND row_no > ? ORDER BY row_no LIMIT ${most}`,
      [shopId, importId, ...states, after],
    )
  ).map(read)
export const rowOf = async (db: Db, shopId: number, importId: number, rowNo: number): Promise<StoredRow | null> => {
  const row = await maybeOne<RawRow>(db, `${ROW} AND row_no = ?`, [shopId, importId, rowNo])
  return row && read(row)
}
export const updateRow = (db: Db, shopId: number, importId: number, row: StoredRow) =>
  change(db, 'UPDATE spec_import_rows SET state = ?, content = ? WHERE shop_id = ? AND import_id = ? AND row_no = ?', [
    row.state,
    JSON.stringify(row.content),
    shopId,
    importId,
    row.rowNo,
  ])
export const rowCounts = async (db: Db, shopId: number, importId: number): Promise<Record<ImportRowState, number>> => {
  const rows = await many<{ state: ImportRowState; n: number }>(
    db,
    'SELECT state, COUNT(*) AS n FROM spec_import_rows WHERE shop_id = ? AND import_id = ? GROUP BY state',
    [shopId, importId],
  )
  return { new: 0, changed: 0, same: 0, problem: 0, ...Object.fromEntries(rows.map(r => [r.state, r.n])) }
}
export const asSeen = ({ rowNo, state, title, modelId, notes, content }: StoredRow): ImportRow => ({
  rowNo,
  state,
  title,
  modelId,
  notes,
  changes: content?.changes ?? [],
})

export const knownHeadings = async (db: Db, shopId: number): Promise<Map<string, string>> =>
  new Map(
    (
      await many<{ heading: string; field: string }>(
        db,
        'SELECT heading, field FROM spec_import_headings WHERE shop_id = ?',
        [shopId],
      )
    ).map(h => [h.heading, h.field]),
  )
export const rememberHeadings = async (db: Db, shopId: number, pairs: [string, string][]): Promise<void> => {
  for (const [heading, field] of pairs)
    await change(
      db,
      `INSERT INTO spec_import_headings (shop_id, heading, field) VALUES (?, ?, ?) ON DUPLICATE KEY UPDATE field =
        VALUES(field)`,
      [shopId, heading.slice(0, 80), field],
    )
}
