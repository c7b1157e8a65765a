import { jobTools, viewJob } from '../../core/job'
import { sheet } from '../../core/job/sheet'
import type { SheetResponse } from '../../shared/jobs'
import type { Db } from '../database/query'
import { tasksOfJobs } from '../repositories/board'
import { eventsAfter } from '../repositories/events'
import { sheetsOfJob } from '../repositories/jobs'
import { shopById } from '../repositories/shops'
import { t, tell } from '../words'
import { heldBecause } from './board'
import { jobOf } from './jobs'

/**
 * The sheet as it was signed last; for an open job, as it stands. Beside it, as they are now: other tasks of the visit.
 */
export async function readSheet(db: Db, shopId: number, id: number, now: Date): Promise<SheetResponse> {
  const job = await jobOf(db, shopId, id)
  const { name } = await shopById(db, shopId)
  const signed = await sheetsOfJob(db, shopId, id)
  const current = job.status === 'closed' ? signed[0] : undefined
  const content =
    current?.content ?? sheet(viewJob(jobTools(job.pin), await eventsAfter(db, shopId, id, 0), now.getTime()), tell)
  return {
    shop: name,
    sheet: content,
    signed: current ? { at: current.signedAt.toISOString(), by: current.signedBy } : null,
    earlier: signed.filter(s => s !== current).map(s => ({ seq: s.seq, at: s.signedAt.toISOString() })),
    tasks: (await tasksOfJobs(db, shopId, [id])).map(task => ({
      name: task.name,
      words: task.doneAt
        ? t('sheet.task-done', { by: task.doneBy ?? '', because: task.because })
        : heldBecause(task.needs, job.status)
          ? t('sheet.task-after')
          : t('sheet.task-to-do'),
    })),
  }
}
