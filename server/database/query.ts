import type { Pool, PoolConnection, ResultSetHeader, RowDataPacket } from 'mysql2/promise'

export type { Pool, PoolConnection }

/** A value that may be sent as a parameter. */
export type Value = string | number | boolean | Date | null
/** The pool, or one connection inside a transaction: repositories take either. */
export type Db = Pool | PoolConnection

/** All rows, none is fine. */
export async function many<T>(db: Db, sql: string, values: Value[] = []): Promise<T[]> {
  const [rows] = await db.execute<RowDataPacket[]>(sql, values)
  return rows as T[]
}

/** The only row, or null. @throws Error when there are two: the query was thought to name one */
export async function maybeOne<T>(db: Db, sql: string, values: Value[] = []): Promise<T | null> {
  const rows = await many<T>(db, sql, values)
  if (rows.length > 1) throw new Error(`One row was expected, ${rows.length} came.`)
  return rows[0] ?? null
}

/** The only row. @throws Error when there is none */
export async function one<T>(db: Db, sql: string, values: Value[] = []): Promise<T> {
  const row = await maybeOne<T>(db, sql, values)
  if (!row) throw new Error('One row was expected, none came.')
  return row
}

/** A statement that changes rows: how many, and the new id. */
export async function change(db: Db, sql: string, values: Value[] = []): Promise<{ affected: number; id: number }> {
  const [result] = await db.execute<ResultSetHeader>(sql, values)
  return { affected: result.affectedRows, id: result.insertId }
}

const TRIES = 3
const RETRIED = new Set(['ER_LOCK_DEADLOCK', 'ER_LOCK_WAIT_TIMEOUT', 'ER_CHECKREAD'])
const isRetried = (error: unknown): boolean => RETRIED.has((error as { code?: string }).code ?? '')

/** Runs work in one transaction; a deadlock or a lock that did not come is tried three times in all. */
export async function transaction<T>(pool: Pool, work: (connection: PoolConnection) => Promise<T>): Promise<T> {
  for (let attempt = 1; ; attempt++) {
    const connection = await pool.getConnection()
    try {
      await connection.beginTransaction()
      const result = await work(connection)
      await connection.commit()
      return result
    } catch (error) {
      await connection.rollback().catch(() => connection.destroy())
      if (attempt >= TRIES || !isRetried(error)) throw error
    } finally {
      connection.release()
    }
  }
}
