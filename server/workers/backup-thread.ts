import { existsSync } from 'node:fs'
import { join } from 'node:path'
import { Worker } from 'node:worker_threads'
import type { BackupTask } from '../backup/make'
import { Problem } from '../problem'
import type { BackupNews } from './backup'

/** The bundle of `backup.ts`, which the build puts beside the server. */
const bundle = (): string => join(process.env.WEMBRIC_ROOT ?? process.cwd(), '.output/server/workers/backup.mjs')

/** Makes a backup elsewhere, or here where there is no bundle. @throws Problem as `makeBackup` does */
export async function backupElsewhere(task: BackupTask, onBytes: (bytes: number) => void): Promise<void> {
  if (!existsSync(bundle())) return (await import('../backup/make')).makeBackup(task, onBytes)
  const thread = new Worker(bundle())
  try {
    await new Promise<void>((done, fail) => {
      thread.on('message', (news: BackupNews) => {
        if ('read' in news) onBytes(news.read)
        else if ('refused' in news) fail(new Problem(news.refused.code, news.refused.title))
        else if ('failed' in news) fail(new Error(news.failed))
        else done()
      })
      thread.once('error', fail)
      thread.postMessage(task)
    })
  } finally {
    await thread.terminate()
  }
}
