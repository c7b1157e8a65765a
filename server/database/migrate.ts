import { join } from 'node:path'
import { createConnection, type Connection, type RowDataPacket } from 'mysql2/promise'
import Postgrator from 'postgrator'
import type { DatabaseSettings } from './pool'

const LOCK = 'wembric_migrations'
const LOCK_SECONDS = 60

/** Runs the numbered migrations that are still missing, one process at a time under a named lock. */
export async function migrate(settings: DatabaseSettings, root: string): Promise<string[]> {
  const connection = await createConnection({ ...settings, multipleStatements: true, timezone: 'Z' })
  try {
    await takeLock(connection)
    const postgrator = new Postgrator({
      migrationPattern: join(root, 'server/database/migrations/*.sql'),
      driver: 'mysql',
      database: settings.database,
      schemaTable: 'schema_migrations',
      execQuery: async (sql: string) => ({ rows: ((await connection.query(sql))[0] as RowDataPacket[]) ?? [] }),
    })
    const applied = await postgrator.migrate()
    return applied.map(m => m.name ?? String(m.version))
  } finally {
    await connection.end()
  }
}

async function takeLock(connection: Connection): Promise<void> {
  const [rows] = await connection.query<RowDataPacket[]>('SELECT GET_LOCK(?, ?) AS taken', [LOCK, LOCK_SECONDS])
  if (rows[0]?.taken !== 1)
    throw new Error(
      'Another start of Wembric has held the migration lock for a minute. Stop it, or wait, then start again.',
    )
}
