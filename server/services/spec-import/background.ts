import { say } from '../../../core/said'
import { inWriting } from '../../../core/wrong'
import type { Pool } from '../../database/query'
import { Problem } from '../../problem'
import { setImport } from '../../repositories/spec-imports'
import { tellFailure } from '../../telling/log'

/** Rows that are looked up and written together. */
export const BATCH = 200

/** Somebody stopped it meanwhile. */
export class Cancelled extends Error {}

/** Lets other requests be answered in between. */
export const breath = () => new Promise<void>(done => setImmediate(done))

/** Runs the long part of an import; what fails is said in its record. */
export async function inBackground(pool: Pool, shopId: number, id: number, work: () => Promise<void>): Promise<void> {
  try {
    await work()
  } catch (error) {
    if (!(error instanceof Problem)) tellFailure(error, { doing: 'reading a list of models' })
    await setImport(pool, shopId, id, {
      state: 'failed',
      message: inWriting(error instanceof Problem ? error.title : say('import.failed')),
    }).catch(() => {})
  }
}
