// npm run restore, once its database is up.
import { bringBack } from '../../server/backup/bring-back'
import { databaseSettings } from '../../server/database/pool'
import { saying } from './saying'

const SAY_EVERY_BYTES = 100e6

await saying(async () => {
  let said = 0
  const madeAt = await bringBack(
    {
      settings: databaseSettings(process.env, 'migration'),
      root: process.env.WEMBRIC_ROOT!,
      path: process.env.WEMBRIC_BACKUP_FILE!,
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
})
