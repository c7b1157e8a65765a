// npm run backup, once its database is up.
import { join } from 'node:path'
import { makeBackup } from '../../server/backup/make'
import { backUp, backupsFolder } from '../../server/services/backups'
import { saying } from './saying'

await saying(async () => {
  const name = await backUp('asked', process.env.WEMBRIC_BACKUP_PASSWORD || null, new Date(), makeBackup)
  console.warn(`wembric  backup made: ${join(backupsFolder(), name)}`)
})
