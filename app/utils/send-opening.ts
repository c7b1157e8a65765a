import type { Opening } from '../local/database'
import { append } from './api'

/** Opens at the shop a job that began on this device. @throws Refused, NoAnswer */
export async function sendOpening(opening: Pick<Opening, 'kind' | 'request'>): Promise<void> {
  const { kind, request } = opening as Opening
  if (kind === 'quick') await append('POST /api/jobs/quick', { body: request })
  else await append('POST /api/jobs', { body: request })
}
