import { upcastPin } from '~~/core/job'
import type { JobResponse } from '~~/shared/responses'
import { jobKey, type KnownJob, localDatabase } from './database'

/** A job as this device last saw it, perhaps under an earlier version. */
export async function knownJob(shopId: number, jobId: number): Promise<KnownJob | null> {
  const job = await (await localDatabase()).get('jobs', jobKey(shopId, jobId))
  return job ? { ...job, pin: upcastPin(job.pin) } : null
}

export const rememberJob = async (
  shopId: number,
  job: Pick<JobResponse, 'pin' | 'events' | 'lastSeq'>,
): Promise<void> => {
  const plain = JSON.parse(JSON.stringify(job)) as typeof job
  await (await localDatabase()).put('jobs', { ...plain, shopId, key: jobKey(shopId, job.pin.jobId) })
}
