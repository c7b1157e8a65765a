import { createHash } from 'node:crypto'
import { createConnection } from 'mysql2/promise'
import type { DatabaseSettings } from '../../server/database/pool'

type Cell = string | number | Date | Buffer | null
/** Every row of every table, as the database has it. */
export async function allRows(settings: DatabaseSettings): Promise<Map<string, string[]>> {
  const connection = await createConnection({ ...settings, jsonStrings: true, dateStrings: true })
  const [tables] = await connection.query<never[]>('SHOW TABLES')
  const all = new Map<string, string[]>()
  for (const name of tables.map(row => Object.values(row)[0] as string).sort()) {
    const [rows] = await connection.query<never[]>(`SELECT * FROM ${name}`)
    const cell = (value: Cell) =>
      Buffer.isBuffer(value) ? createHash('sha256').update(value).digest('hex') : JSON.stringify(value)
    all.set(name, rows.map(row => Object.values<Cell>(row).map(cell).join('|')).sort())
  }
  await connection.end()
  return all
}
