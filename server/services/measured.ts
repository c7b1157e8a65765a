import { statfs } from 'node:fs/promises'
import { say } from '../../core/said'
import { backupsIn } from '../backup/kept'
import { pool } from '../database/pool'
import { one, type Pool } from '../database/query'
import { Problem } from '../problem'
import { whoRunsServer } from '../repositories/people'
import { countShops } from '../repositories/shops'
import { lookedUp, registry } from '../telling/metrics'
import { shopForToken } from './api-tokens'
import { backupsFolder } from './backups'

const PATIENCE_MS = 1500

/** How long the database takes to answer anything, s. @throws Error where it does not in time */
async function databaseSeconds(): Promise<number> {
  const from = performance.now()
  let timer: NodeJS.Timeout | undefined
  const late = new Promise<never>((_, fail) => (timer = setTimeout(() => fail(new Error('late')), PATIENCE_MS)))
  await Promise.race([one(pool(), 'SELECT 1 AS answer'), late]).finally(() => clearTimeout(timer))
  return (performance.now() - from) / 1000
}

lookedUp('wembric_database_up', 'Whether the database answers: 1 or 0.', () =>
  databaseSeconds().then(
    () => 1,
    () => 0,
  ),
)
lookedUp('wembric_database_seconds', 'How long the database takes to answer.', databaseSeconds)
lookedUp('wembric_backup_age_seconds', 'How old the newest backup is; absent where there is none.', async () => {
  const [newest] = await backupsIn(backupsFolder())
  return newest ? (Date.now() - Date.parse(newest.madeAt)) / 1000 : null
})
lookedUp('wembric_disk_free_bytes', 'How much room is left where the data lie.', async () => {
  const { bavail, bsize } = await statfs(process.env.WEMBRIC_DATA ?? '.')
  return bavail * bsize
})

/**
 * All figures, for whoever shows a token of the shop here, or that of the installation. Where there are several shops,
 * the figures are of them all: a token of the shop that runs the server opens them, and no other's. @throws Problem 401
 */
export async function readMetrics(db: Pool, header: string | undefined): Promise<{ type: string; text: string }> {
  const own = process.env.WEMBRIC_METRICS_TOKEN
  if (!own || header !== `Bearer ${own}`) {
    const shopId = await shopForToken(db, header)
    if ((await countShops(db)) > 1 && (await whoRunsServer(db))?.shopId !== shopId)
      throw new Problem('not-allowed', say('refused.not-the-only-shop'))
  }
  return { type: registry.contentType, text: await registry.metrics() }
}
