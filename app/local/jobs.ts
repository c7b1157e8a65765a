import type { JobResponse } from '~~/shared/responses'
import { jobKey, type KnownJob, localDatabase } from './database'

export const knownJob = async (shopId: number, jobId: number): Promise<KnownJob | null> =>
  (await (await localDatabase()).get('jobs', jobKey(shopId, jobId))) ?? null

export const rememberJob = async (shopId: number, job: Pick<JobResponse, 'pin' | 'events' | 'lastSeq'>): Promise<void> => {
  const plain = JSON.parse(JSON.stringify(job)) as typeof job
  await (await localDatabase()).put('jobs', { ...plain, shopId, key: jobKey(shopId, job.pin.jobId) })
}
