import { readdirSync } from 'node:fs'
import { join } from 'node:path'
import { createConnection, type RowDataPacket } from 'mysql2/promise'
import Postgrator from 'postgrator'
import { withMigrationLease } from './migration-lease'
import { runSteps } from './migration-steps'
import type { DatabaseSettings } from './pool'

const folderOf = (root: string): string => join(root, 'server/database/migrations')
/** The number of the newest migration that this version has. */
export const newestMigration = (root: string): number =>
  Math.max(0, ...readdirSync(folderOf(root)).map(name => Number.parseInt(name, 10) || 0))
/** The number of the last migration that a database has had; 0 where it has had none. */
export async function lastMigration(settings: DatabaseSettings): Promise<number> {
  const connection = await createConnection(settings)
  try {
    const [rows] = await connection.query<RowDataPacket[]>('SELECT MAX(version) AS version FROM schema_migrations')
    return Number(rows[0]?.version ?? 0)
  } catch (error) {
    if ((error as { code?: string }).code === 'ER_NO_SUCH_TABLE') return 0
    throw error
  } finally {
    await connection.end().catch(() => connection.destroy())
  }
}

/**
 * Runs the numbered migrations that are still missing, one process at a time, each from where it stopped.
 * @param between see `runSteps`; for tests
 * @returns the names of those that were run to their end
 */
export async function migrate(
  settings: DatabaseSettings,
  root: string,
  between?: (step: number, statement: string) => void,
): Promise<string[]> {
  const open = () => createConnection({ ...settings, timezone: 'Z' })
  // the lease has a connection of its own: it is renewed while a long change of tables runs on the other
  const [leasing, connection] = [await open(), await open()]
  try {
    return await withMigrationLease(leasing, async () => {
      const postgrator = new Postgrator({
        migrationPattern: join(folderOf(root), '*.sql'),
        driver: 'mysql',
        database: settings.database,
        schemaTable: 'schema_migrations',
        execQuery: async (sql: string) => ({ rows: ((await connection.query(sql))[0] as RowDataPacket[]) ?? [] }),
        execSqlScript: (script: string) => runSteps(connection, script, between),
      })
      const applied = await postgrator.migrate()
      if (applied.length) await connection.query('DELETE FROM migration_steps')
      return applied.map(m => m.name ?? String(m.version))
    })
  } finally {
    for (const c of [leasing, connection]) await c.end().catch(() => c.destroy())
  }
}
