import type { Connection, Pool, PoolConnection, ResultSetHeader, RowDataPacket } from 'mysql2/promise'
import { claim, unclaimed } from './asked-once'
import {
  CommitNotKnown,
  DatabaseBusy,
  isFailedCommit,
  isLost,
  isRepeatable,
  StatementFailed,
  WrongRowCount,
} from './errors'

export type { Pool, PoolConnection }

/** A value that may be sent as a parameter. */
export type Value = string | number | boolean | Date | Buffer | null
/** The pool, or one connection inside a transaction: repositories take either. */
export type Db = Pool | PoolConnection
/** Whatever may be asked, also a connection of its own. */
export type Queryable = Db | Connection

/** What a statement is to do, by its verb and its first table: “SELECT FROM job”. */
function nameOf(sql: string): string {
  const words = sql.replace(/\s+/g, ' ').trim()
  const [verb = ''] = words.split(' ')
  const table = /\b(FROM|INTO|UPDATE|TABLE)\s+(?:IF (?:NOT )?EXISTS\s+)?(\w+)/i.exec(words)
  return [...new Set([verb.toUpperCase(), table?.[1]?.toUpperCase(), table?.[2]])].filter(Boolean).join(' ')
}

/** All rows, none is fine. @throws StatementFailed */
export async function many<T>(db: Queryable, sql: string, values: Value[] = []): Promise<T[]> {
  try {
    const [rows] = await db.execute<RowDataPacket[]>(sql, values)
    return rows as T[]
  } catch (error) {
    throw new StatementFailed(nameOf(sql), error)
  }
}

/** The only row, or null. @throws WrongRowCount when there are two: the query was thought to name one */
export async function maybeOne<T>(db: Db, sql: string, values: Value[] = []): Promise<T | null> {
  const rows = await many<T>(db, sql, values)
  if (rows.length > 1) throw new WrongRowCount(nameOf(sql), rows.length)
  return rows[0] ?? null
}

/** The only row. @throws WrongRowCount when there is none */
export async function one<T>(db: Db, sql: string, values: Value[] = []): Promise<T> {
  const row = await maybeOne<T>(db, sql, values)
  if (!row) throw new WrongRowCount(nameOf(sql), 0)
  return row
}

const isPool = (db: Db): db is Pool => 'getConnection' in db

/**
 * A statement that changes rows: how many, and the new id.
 * @throws StatementFailed; CommitNotKnown where the connection broke meanwhile
 */
export async function change(db: Db, sql: string, values: Value[] = []): Promise<{ affected: number; id: number }> {
  if (isPool(db) && unclaimed()) return transaction(db, connection => change(connection, sql, values))
  const [result] = await db.execute<ResultSetHeader>(sql, values).catch((error: unknown) => {
    // a single statement commits by itself; where nobody was there to take it, nothing was changed
    throw isPool(db) && isLost(error) && (error as { code?: string }).code !== 'ECONNREFUSED'
      ? new CommitNotKnown(error)
      : new StatementFailed(nameOf(sql), error)
  })
  return { affected: result.affectedRows, id: result.insertId }
}

const TRIES = 3

/**
 * Runs work in one transaction; what the database undid by itself (a deadlock, a lock that did not come, a connection
 * that was gone before the work began) is tried three times in all.
 * @throws DatabaseBusy after the third time; CommitNotKnown where the connection broke at the commit
 */
export async function transaction<T>(pool: Pool, work: (connection: PoolConnection) => Promise<T>): Promise<T> {
  for (let attempt = 1; ; attempt++) {
    const connection = await pool.getConnection()
    let reached: 'nothing' | 'work' | 'commit' = 'nothing'
    try {
      await connection.beginTransaction()
      reached = 'work'
      const asked = await claim(connection)
      const result = await work(connection)
      reached = 'commit'
      await connection.commit()
      if (asked) asked.claimed = true
      return result
    } catch (error) {
      await connection.rollback().catch(() => connection.destroy())
      if (reached === 'commit' && (isLost(error) || isFailedCommit(error))) throw new CommitNotKnown(error)
      if (!isRepeatable(error) && !(reached === 'nothing' && isLost(error))) throw error
      if (attempt >= TRIES) throw isLost(error) ? error : new DatabaseBusy(error)
    } finally {
      connection.release()
    }
  }
}
