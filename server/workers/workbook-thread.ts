import { existsSync } from 'node:fs'
import { join } from 'node:path'
import { Worker } from 'node:worker_threads'
import { MINUTE_MS } from '../../core/units'
import type { WorkbookKind, WorkbookTask } from './workbook'

/** The bundle of `workbook.ts`, which the build puts beside the server. */
const bundle = (): string => join(process.env.WEMBRIC_ROOT ?? process.cwd(), '.output/server/workers/workbook.mjs')
/** A workbook that unfolds to more than this, or takes longer, is no list of models: its thread ends, and no other. */
const MOST_MB = 512
const MOST_MS = MINUTE_MS

async function elsewhere(task: WorkbookTask): Promise<unknown> {
  if (!existsSync(bundle())) return (await import('./workbook')).workbookTask(task)
  const thread = new Worker(bundle(), { resourceLimits: { maxOldGenerationSizeMb: MOST_MB } })
  let late: NodeJS.Timeout | undefined
  try {
    return await new Promise((done, fail) => {
      thread.once('message', done)
      thread.once('error', fail)
      late = setTimeout(() => fail(new Error(`no answer within ${MOST_MS} ms`)), MOST_MS)
      thread.postMessage(task)
    })
  } finally {
    clearTimeout(late)
    await thread.terminate()
  }
}

/** The rows of a workbook's sheet as texts. @throws Error for what is no workbook, or one that is too large */
export const readWorkbook = async (bytes: Uint8Array): Promise<string[][]> => (await elsewhere({ bytes })) as string[][]
/** A workbook of one sheet. */
export const writeWorkbook = async (rows: (string | number)[][], kind: WorkbookKind): Promise<Uint8Array> =>
  (await elsewhere({ rows, kind })) as Uint8Array
