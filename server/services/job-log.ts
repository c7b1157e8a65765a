import { createHash } from 'node:crypto'
import { type JobEvent, jobTools, readingRows, type ReadingRow, reduceJob, sheet, viewJob, type Happening } from '../../core/job'
import type { EventRequest, EventResponse } from '../../shared/event-request'
import { transaction, type Pool, type PoolConnection } from '../database/query'
import { eventById, eventsAfter, insertEvent } from '../repositories/events'
import { insertSheet, type JobRow, lockJob, updateJob } from '../repositories/jobs'
import { replaceReadings } from '../repositories/readings'
import { notFound, Problem } from '../utils/problem'
import type { SignedIn } from './people'

const refused = (code: string, title: string): never => { throw new Problem(409, title, { code }) }

/** The body as one text: the same answer always gives the same. */
const hashOf = (r: EventRequest): string =>
  createHash('sha256').update(JSON.stringify([r.type, r.version, r.payload, r.personId, r.deviceId, r.deviceSeq, r.seenSeq, r.at])).digest('hex')

/** What an event may not do. Observations and trials are never refused for what they say. */
function checkAllowed(job: JobRow, log: JobEvent[], request: EventRequest, person: SignedIn): void {
  if (request.personId !== person.id) refused('actor', 'This answer was given by somebody else on this tablet. It waits until they sign in.')
  if (job.status === 'closed' || job.status === 'abandoned') {
    if (request.type === 'closed') refused('closed-already', 'This job is closed already.')
    if (request.type !== 'reopened') refused('job-closed', 'This job is closed. A lead can open it again.')
  }
  if (request.type === 'reopened') {
    if (person.role !== 'lead') throw new Problem(403, 'Only a lead can open a closed job again.')
    if (job.status !== 'closed' && job.status !== 'abandoned') refused('not-closed', 'This job is open.')
  }
  if (request.type === 'retracted') {
    const { eventId } = request.payload as { eventId: string }
    const target = log.find(e => e.id === eventId)
    if (!target || target.type === 'retracted') refused('nothing-to-retract', 'There is no such answer to take back.')
    if (log.some(e => e.type === 'retracted' && e.payload.eventId === eventId)) refused('retracted-already', 'That was taken back already.')
  }
}

const sameRows = (a: ReadingRow[], b: ReadingRow[]): boolean => JSON.stringify(a) === JSON.stringify(b)

/** Brings the projections of a job to its log: status, readings, and at signing the sheet. */
async function project(db: PoolConnection, shopId: number, job: JobRow, before: JobEvent[], event: JobEvent, now: Date): Promise<void> {
  const log = [...before, event]
  const state = reduceJob(job.pin, log)
  const rows = readingRows({ pin: job.pin, state })
  if (!sameRows(rows, readingRows({ pin: job.pin, state: reduceJob(job.pin, before) }))) await replaceReadings(db, shopId, job.id, rows)
  const done = state.status === 'closed' || state.status === 'abandoned'
  await updateJob(db, shopId, job.id, { status: state.status, lastSeq: event.seq!, closedAt: done ? now : null })
  if (event.type === 'closed') await insertSheet(db, shopId, job.id, event.seq!, sheet(viewJob(jobTools(job.pin), log, now.getTime())), event.personId, now)
}

/**
 * Takes one answer into a job's log: once, however often it arrives, under the job's lock, with its projections.
 * @throws Problem 404 for another shop's job; 409 with a code for what may not be; the browser keeps a refused answer
 */
export const postEvent = (pool: Pool, person: SignedIn, jobId: number, request: EventRequest, now: Date): Promise<EventResponse> => transaction(pool, async (db) => {
  const job = await lockJob(db, person.shopId, jobId) ?? (() => { throw notFound('job') })()
  const bodyHash = hashOf(request)
  const known = await eventById(db, person.shopId, request.id)
  const log = await eventsAfter(db, person.shopId, jobId, 0)
  if (known) {
    if (known.jobId !== jobId || known.bodyHash !== bodyHash) refused('id-reused', 'Another answer has this id already. Reload the page.')
    return { event: log.find(e => e.id === request.id)!, lastSeq: job.lastSeq, now: now.toISOString() }
  }
  checkAllowed(job, log, request, person)
  const lastOfDevice = Math.max(0, ...log.filter(e => e.deviceId === request.deviceId).map(e => e.deviceSeq))
  if (request.deviceSeq <= lastOfDevice) refused('order', 'A later answer of this device is on record already. Reload the page.')
  const { type, payload, ...envelope } = request
  const event = { ...envelope, ...{ type, payload } as Happening, seq: job.lastSeq + 1, personName: person.name } as JobEvent
  await insertEvent(db, person.shopId, jobId, event, bodyHash, now)
  await project(db, person.shopId, job, log, event, now)
  return { event, lastSeq: event.seq!, now: now.toISOString() }
})
