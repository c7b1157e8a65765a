import { parentPort } from 'node:worker_threads'
import { type BackupTask, makeBackup } from '../backup/make'
import { Problem } from '../problem'

/** What the thread says: how far it is, and how it ended. */
export type BackupNews =
  { read: number } | { done: true } | { refused: Pick<Problem, 'code' | 'title'> } | { failed: string }

const tell = (news: BackupNews): void => parentPort?.postMessage(news)
/** One backup, in a thread of its own: packing and encrypting it holds up no answer. */
parentPort?.once('message', (task: BackupTask) => {
  makeBackup(task, read => tell({ read })).then(
    () => tell({ done: true }),
    (error: Error) =>
      tell(
        error instanceof Problem
          ? { refused: { code: error.code, title: error.title } }
          : { failed: error.stack ?? error.message },
      ),
  )
})
