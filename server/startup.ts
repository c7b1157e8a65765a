import { DAY_MS } from '../core/units'
import { pool } from './database/pool'
import type { Pool } from './database/query'
import { loadDemo } from './demo'
import { removeOldAnswers } from './repositories/asked-once'
import { indexOlderModels } from './repositories/models'
import { removeOldSessions } from './repositories/sessions'
import { removeOldLogLines } from './repositories/shop-log'
import { countShops, halfLoadedDemo } from './repositories/shops'
import { removeOldTries } from './repositories/sign-in-tries'
import { keepNightly } from './services/backups'
import { refreshSoon } from './services/machines/outlooks'
import { keepRemoving, removeShop } from './services/shops'
import { upgrade } from './services/upgrade'
import { tellFailure } from './telling/log'

let starting: Promise<void> | null = null

async function prepare(): Promise<void> {
  await upgrade(pool(), new Date())
  await indexOlderModels(pool())
  const half = await halfLoadedDemo(pool())
  if (half) await removeShop(pool(), half.id)
  if (process.env.WEMBRIC_DEMO === '1' && (await countShops(pool())) === 0) await loadDemo(pool(), new Date())
  refreshSoon(pool())
  sweep(pool())
  keepNightly(pool())
  keepRemoving(pool())
}

/** What is kept for a time only goes, at the start and once a day. */
function sweep(db: Pool): void {
  const now = () =>
    Promise.all([removeOldSessions(db), removeOldTries(db), removeOldAnswers(db), removeOldLogLines(db)]).catch(
      (error: Error) => tellFailure(error, { doing: 'sweeping old sessions away' }),
    )
  void now()
  setInterval(now, DAY_MS).unref()
}

/** Migrations and, for a first start with demo, the demo: once for the process; every request waits for it. */
export const startedUp = (): Promise<void> =>
  (starting ??= prepare().catch(error => {
    starting = null
    throw error
  }))

/** Lets every request wait for a piece of work that changes all tables, and makes them ready after it. */
export function heldFor(work: Promise<void>): void {
  const held = work.then(async () => {
    await upgrade(pool(), new Date())
    await indexOlderModels(pool())
    refreshSoon(pool())
  })
  starting = held.catch(error => {
    starting = null
    throw error
  })
  starting.catch(() => {})
}
