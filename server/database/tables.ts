import { type Connection, createConnection, type RowDataPacket } from 'mysql2/promise'
import { say } from '../../core/said'
import { Problem } from '../problem'
import type { DatabaseSettings } from './pool'

/** A table that stands while a backup is being brought back: where it is found, that was not finished. */
const RESTORING = 'restore_in_progress'

async function connected<T>(settings: DatabaseSettings, work: (connection: Connection) => Promise<T>): Promise<T> {
  const connection = await createConnection({ ...settings, timezone: 'Z' })
  try {
    return await work(connection)
  } finally {
    await connection.end().catch(() => connection.destroy())
  }
}
async function namesOf(connection: Connection): Promise<string[]> {
  const [rows] = await connection.query<RowDataPacket[]>(
    'SELECT TABLE_NAME AS name FROM information_schema.TABLES WHERE TABLE_SCHEMA = DATABASE()',
  )
  return rows.map(row => row.name as string)
}
async function dropAll(connection: Connection): Promise<void> {
  const names = await namesOf(connection)
  if (names.length === 0) return
  await connection.query('SET SESSION foreign_key_checks = 0')
  // the mark goes last: cut off in between, what is left is still known as left over
  const ordered = [...names.filter(name => name !== RESTORING), ...names.filter(name => name === RESTORING)]
  for (const name of ordered) await connection.query(`DROP TABLE ${connection.escapeId(name)}`)
}

/** Marks a database without tables as being restored into. @throws Problem not-empty where it has some of its own */
export const takeForRestore = (settings: DatabaseSettings): Promise<void> =>
  connected(settings, async connection => {
    const names = await namesOf(connection)
    if (names.length > 0 && !names.includes(RESTORING))
      throw new Problem('not-empty', say('backup.database-not-empty', { database: settings.database }))
    await dropAll(connection)
    await connection.query(`CREATE TABLE ${RESTORING} (id TINYINT NOT NULL PRIMARY KEY) ENGINE = InnoDB`)
  })
/** It is whole. */
export const leaveRestore = (settings: DatabaseSettings): Promise<void> =>
  connected(settings, async connection => void (await connection.query(`DROP TABLE ${RESTORING}`)))
/** Leaves no table in it. */
export const clearTables = (settings: DatabaseSettings): Promise<void> => connected(settings, dropAll)
/** Marks a database with tables as being restored into: they go when the work begins. */
export const giveUpTables = (settings: DatabaseSettings): Promise<void> =>
  connected(
    settings,
    async connection =>
      void (await connection.query(
        `CREATE TABLE IF NOT EXISTS ${RESTORING} (id TINYINT NOT NULL PRIMARY KEY) ENGINE = InnoDB`,
      )),
  )
/** Whether a restore was cut off here. */
export const isHalfRestored = (settings: DatabaseSettings): Promise<boolean> =>
  connected(settings, async connection => (await namesOf(connection)).includes(RESTORING))
/** About how many bytes the tables hold. */
export const bytesOfTables = (settings: DatabaseSettings): Promise<number> =>
  connected(settings, async connection => {
    const [rows] = await connection.query<RowDataPacket[]>(
      'SELECT SUM(DATA_LENGTH) AS bytes FROM information_schema.TABLES WHERE TABLE_SCHEMA = DATABASE()',
    )
    return Number(rows[0]?.bytes ?? 0)
  })
