import { readingRows, reduceJob } from '../../core/job'
import { type Pool, transaction } from '../database/query'
import { eventsAfter } from '../repositories/events'
import { allJobIds, jobById } from '../repositories/jobs'
import { replaceReadings } from '../repositories/readings'

/** Makes the readings of every job anew from its log. Gives the same rows as were written event by event. */
export async function rebuildReadings(pool: Pool): Promise<number> {
  const jobs = await allJobIds(pool)
  for (const { id, shopId } of jobs) {
    await transaction(pool, async db => {
      const job = (await jobById(db, shopId, id))!
      const state = reduceJob(job.pin, await eventsAfter(db, shopId, id, 0))
      await replaceReadings(db, shopId, id, readingRows({ pin: job.pin, state }))
    })
  }
  return jobs.length
}
