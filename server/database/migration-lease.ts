import { randomUUID } from 'node:crypto'
import type { Connection, RowDataPacket } from 'mysql2/promise'

/** A holder that says nothing for so long is taken for dead. s */
const LEASE_SECONDS = 30
const RENEW_MS = 8000
const LOOK_EVERY_MS = 500
const PATIENCE_MS = 120_000
const pause = (ms: number) => new Promise(done => setTimeout(done, ms))

/**
 * Lets one process at a time change tables. The lease is a row: a named lock holds on one node of a cluster only, a row
 * on all. It runs out by itself where its holder was killed.
 * @throws Error in words where another holds it for two minutes
 */
export async function withMigrationLease<T>(connection: Connection, work: () => Promise<T>): Promise<T> {
  const holder = randomUUID()
  await connection.query(
    `CREATE TABLE IF NOT EXISTS migration_lease (id TINYINT NOT NULL PRIMARY KEY, holder CHAR(36) NOT NULL,
      until DATETIME(3) NOT NULL) ENGINE = InnoDB`,
  )
  const take = async (): Promise<boolean> => {
    try {
      await connection.query(
        `INSERT INTO migration_lease (id, holder, until) VALUES (1, ?, UTC_TIMESTAMP(3) + INTERVAL ? SECOND)
         ON DUPLICATE KEY UPDATE
           holder = IF(until < UTC_TIMESTAMP(3) OR holder = VALUES(holder), VALUES(holder), holder),
           until = IF(holder = VALUES(holder), VALUES(until), until)`,
        [holder, LEASE_SECONDS],
      )
    } catch (error) {
      // two nodes of a cluster at the same moment: one of them is told to try again
      if ((error as { code?: string }).code !== 'ER_LOCK_DEADLOCK') throw error
    }
    const [rows] = await connection.query<RowDataPacket[]>('SELECT holder FROM migration_lease WHERE id = 1')
    return rows[0]?.holder === holder
  }
  const until = Date.now() + PATIENCE_MS
  while (!(await take())) {
    if (Date.now() > until)
      throw new Error(
        'Another start of Wembric has been changing the tables for two minutes. Stop it, or wait, then start again.',
      )
    await pause(LOOK_EVERY_MS)
  }
  const renewing = setInterval(() => void take().catch(() => {}), RENEW_MS)
  try {
    return await work()
  } finally {
    clearInterval(renewing)
    await connection.query('DELETE FROM migration_lease WHERE holder = ?', [holder])
  }
}
