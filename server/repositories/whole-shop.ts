import { type Connection, createConnection, escapeId, type ResultSetHeader } from 'mysql2/promise'
import type { DatabaseSettings } from '../database/pool'
import { many, type Queryable } from '../database/query'

/** A table of a shop, and by which columns its rows are told apart. */
export interface ShopTable {
  name: string
  key: string[]
  columns: { name: string; type: string }[]
}

/**
 * All tables with rows of a shop, `shops` first, without columns that are made of others; by the database's own word,
 * so that none is forgotten.
 */
export async function tablesOfShop(db: Queryable): Promise<ShopTable[]> {
  const columns = await many<{ tableName: string; name: string; type: string; keyed: string }>(
    db,
    `SELECT c.TABLE_NAME AS tableName, c.COLUMN_NAME AS name, c.DATA_TYPE AS type, c.COLUMN_KEY AS keyed
     FROM information_schema.COLUMNS c
     WHERE c.TABLE_SCHEMA = DATABASE() AND (c.TABLE_NAME = 'shops' OR EXISTS (
       SELECT 1 FROM information_schema.COLUMNS s WHERE s.TABLE_SCHEMA = DATABASE()
         AND s.TABLE_NAME = c.TABLE_NAME AND s.COLUMN_NAME = 'shop_id'))
       AND c.GENERATION_EXPRESSION IS NULL
     ORDER BY c.TABLE_NAME <> 'shops', c.TABLE_NAME, c.ORDINAL_POSITION`,
  )
  const tables = new Map<string, ShopTable>()
  for (const { tableName, name, type, keyed } of columns) {
    const table = tables.get(tableName) ?? { name: tableName, key: [], columns: [] }
    table.columns.push({ name, type })
    if (keyed === 'PRI') table.key.push(name)
    tables.set(tableName, table)
  }
  return [...tables.values()]
}
const ownerOf = (table: string): string => (table === 'shops' ? 'id' : 'shop_id')

export type Row = Record<string, string | number | Date | Buffer | null>
const PAGE = 200
/**
 * A shop's rows of a table, a page at a time, in the order of their key.
 * @param without columns that are not read: pictures
 */
export async function* rowsOfShop(
  db: Queryable,
  shopId: number,
  { name, key, columns }: ShopTable,
  without: string[] = [],
): AsyncGenerator<Row> {
  const keys = key.map(k => escapeId(k)).join(', ')
  const read = columns.filter(c => !without.includes(c.name)).map(c => escapeId(c.name))
  for (let last: Row | null = null; ;) {
    const after: string = last ? ` AND (${keys}) > (${key.map(() => '?').join(', ')})` : ''
    const rows: Row[] = await many<Row>(
      db,
      `SELECT ${read.join(', ')} FROM ${escapeId(name)}
       WHERE ${ownerOf(name)} = ?${after} ORDER BY ${keys} LIMIT ${PAGE}`,
      [shopId, ...(last ? key.map(k => last![k]!) : [])],
    )
    yield* rows
    if (rows.length < PAGE) return
    last = rows.at(-1)!
  }
}

/** The keys of a shop's pictures in a table. */
export const picturesOfShop = async (db: Queryable, shopId: number, table: string, key: string): Promise<number[]> =>
  (
    await many<{ id: number }>(
      db,
      `SELECT ${escapeId(key)} AS id FROM ${escapeId(table)} WHERE shop_id = ? ORDER BY ${escapeId(key)}`,
      [shopId],
    )
  ).map(row => row.id)
/** The bytes of one. */
export const pictureOf = async (
  db: Queryable,
  shopId: number,
  { table, key, column, id }: { table: string; key: string; column: string; id: number },
): Promise<Buffer> =>
  (
    await many<{ bytes: Buffer }>(
      db,
      `SELECT ${escapeId(column)} AS bytes FROM ${escapeId(table)} WHERE shop_id = ? AND ${escapeId(key)} = ?`,
      [shopId, id],
    )
  )[0]!.bytes

/** A connection that sees everything as it was at one moment. */
export async function atOneMoment(settings: DatabaseSettings): Promise<Connection> {
  const connection = await createConnection({ ...settings, timezone: 'Z', decimalNumbers: true, jsonStrings: true })
  await connection.query('SET SESSION TRANSACTION ISOLATION LEVEL REPEATABLE READ')
  await connection.query('START TRANSACTION WITH CONSISTENT SNAPSHOT')
  return connection
}

/** A connection that writes rows as they are, in any order: what hangs on what was checked where they come from. */
export async function inAnyOrder(settings: DatabaseSettings): Promise<Connection> {
  const connection = await createConnection({ ...settings, timezone: 'Z' })
  await connection.query("SET SESSION foreign_key_checks = 0, sql_mode = 'STRICT_ALL_TABLES', time_zone = '+00:00'")
  await connection.beginTransaction()
  return connection
}
/** So many rows go at a time: other shops are not kept waiting. */
const GO_AT_A_TIME = 500
/** Removes every row of a shop from every table, its own row last: cut off in between, it is still known as going. */
export async function removeShopRows(settings: DatabaseSettings, shopId: number): Promise<void> {
  const connection = await inAnyOrder(settings)
  try {
    for (const { name } of (await tablesOfShop(connection)).reverse())
      for (let gone = GO_AT_A_TIME; gone === GO_AT_A_TIME; await connection.commit()) {
        const [{ affectedRows }] = await connection.query<ResultSetHeader>(
          `DELETE FROM ${escapeId(name)} WHERE ${ownerOf(name)} = ? LIMIT ${GO_AT_A_TIME}`,
          [shopId],
        )
        gone = affectedRows
      }
  } finally {
    connection.destroy()
  }
}
/** Writes rows of one table. */
export async function insertRows(connection: Connection, table: string, rows: Row[]): Promise<void> {
  const names = Object.keys(rows[0] ?? {})
  if (names.length === 0) return
  await connection.query(`INSERT INTO ${escapeId(table)} (${names.map(n => escapeId(n)).join(', ')}) VALUES ?`, [
    rows.map(row => names.map(n => row[n])),
  ])
}
