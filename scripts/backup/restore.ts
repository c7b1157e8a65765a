// npm run restore, once its database is up: a backup, or the open files of one shop.
import { bringBack } from '../../server/backup/bring-back'
import { migrate } from '../../server/database/migrate'
import { databaseSettings, openPool } from '../../server/database/pool'
import { takeShopIn } from '../../server/services/shop-files/read'
import { saying } from './saying'

const SAY_EVERY_BYTES = 100e6
const root = process.env.WEMBRIC_ROOT!
const path = process.env.WEMBRIC_BACKUP_FILE!
const settings = databaseSettings(process.env, 'migration')

async function wholeInstallation(): Promise<void> {
  let said = 0
  const madeAt = await bringBack(
    {
      settings,
      root,
      path,
      password: process.env.WEMBRIC_BACKUP_PASSWORD || null,
      letters: process.env.WEMBRIC_OUTBOX ?? null,
    },
    bytes => {
      if (bytes - said < SAY_EVERY_BYTES) return
      said = bytes
      console.warn(`wembric  ${Math.round(bytes / 1e6)} MB are in …`)
    },
  )
  console.warn(`wembric  this backup was made on ${madeAt.toISOString()}.`)
}

async function oneShop(): Promise<void> {
  await migrate(settings, root)
  const pool = openPool(databaseSettings(process.env, 'app'))
  try {
    const { name, signIn, code } = await takeShopIn(pool, settings, path, new Date())
    console.warn(`wembric  ${name} signs in as ${signIn}, under “I have a one-time code”: ${code} (for 24 hours)`)
  } finally {
    await pool.end()
  }
}

await saying(path.endsWith('.zip') ? oneShop : wholeInstallation)
