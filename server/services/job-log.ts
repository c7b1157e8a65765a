import { createHash } from 'node:crypto'
import sameData from 'fast-deep-equal'
import {
  figureRefused,
  type JobEvent,
  type JobState,
  jobTools,
  kindOf,
  type Payload,
  type ReadingRow,
  readingRows,
  reduceJob,
  viewJob,
} from '../../core/job'
import { sheet } from '../../core/job/sheet'
import { type Said, say } from '../../core/said'
import { specChange } from '../../core/spec-book'
import type { EventRequest, EventResponse } from '../../shared/event-request'
import type { ProblemCode } from '../../shared/problem'
import { isDuplicateOf } from '../database/errors'
import { type Pool, type PoolConnection, transaction } from '../database/query'
import { notFound, Problem, unfit } from '../problem'
import { ownersLanguage } from '../repositories/customers'
import { keepDecompressor } from '../repositories/decompressors'
import { eventById, eventsAfter, insertEvent } from '../repositories/events'
import {
  type BareJobRow,
  insertSheet,
  type JobRow,
  lockBareJob,
  lockJob,
  sheetsOfJob,
  updateJob,
  updateJobSpec,
} from '../repositories/jobs'
import { readingsOfJob, replaceReadings } from '../repositories/readings'
import { revisionById } from '../repositories/revisions'
import { answerAge, answers } from '../telling/metrics'
import { inTheirs, spoken, tell } from '../words'
import { machineChanged } from './machines/outlooks'
import type { SignedIn } from './people'
import { takeFittedShims } from './shelf'

const refused = (code: ProblemCode, title: Said): never => {
  throw new Problem(code, title)
}

/** The body as one text: the same answer always gives the same. */
const hashOf = (r: EventRequest): string =>
  createHash('sha256')
    .update(
      JSON.stringify([
        ...[r.type, r.version, r.payload, r.personId, r.deviceId, r.deviceSeq, r.seenSeq, r.at],
        // left out where it is not said, as it was before there was such a thing
        ...(r.seenDeviceSeq === undefined ? [] : [r.seenDeviceSeq]),
      ]),
    )
    .digest('hex')

/** A job is signed once all that was answered has arrived and has a place in the work. */
function checkWhole(job: JobRow, log: JobEvent[], { after = [] }: Payload<'closed'>): void {
  const here = new Set(log.map(e => e.id))
  const missing = after.filter(id => !here.has(id)).length
  if (missing) refused('answers-missing', say('refused.answers-missing', { missing }))
  const { unplaced } = reduceJob(job.pin, log)
  if (unplaced.length) refused('unplaced', say('refused.unplaced', { unplaced: unplaced.length }))
}

/** Who may give an answer, and to which job. */
function checkOpen(job: BareJobRow, request: EventRequest, person: SignedIn): void {
  if (request.personId !== person.id) refused('actor', say('refused.actor'))
  if (job.status === 'closed' || job.status === 'abandoned') {
    if (request.type === 'closed') refused('closed-already', say('refused.closed-already'))
    if (request.type !== 'reopened') refused('job-closed', say('refused.job-closed'))
  }
  if (request.type === 'reopened') {
    if (person.role !== 'lead') throw new Problem('not-allowed', say('refused.only-a-lead-can-reopen'))
    if (job.status !== 'closed' && job.status !== 'abandoned') refused('not-closed', say('refused.not-closed'))
  }
}

/** A revision that is taken is one of this job's model, approved, as the book has it, and fits what was done so far. */
async function checkRevision(
  db: PoolConnection,
  shopId: number,
  job: JobRow,
  { revisionId, engine }: Payload<'spec-taken'>,
): Promise<void> {
  const [own, taken] = [
    await revisionById(db, shopId, job.pin.spec.revisionId),
    await revisionById(db, shopId, revisionId),
  ]
  if (!taken || taken.modelId !== own?.modelId) throw notFound('revision')
  if (!taken.approvedAt) throw unfit('payload.revisionId', say('refused.this-revision-is-a-draft'))
  if (!sameData(taken.engine, engine)) throw unfit('payload.engine', say('refused.the-figures-are-not-those'))
  const { refused: why } = specChange(job.pin.spec.engine, taken.engine)
  if (why) throw unfit('payload.engine', why)
}

/** What an event may not do after what was done so far. Observations and trials are never refused for what they say. */
async function checkAfter(
  db: PoolConnection,
  job: JobRow,
  log: JobEvent[],
  request: EventRequest,
  person: SignedIn,
): Promise<void> {
  if (request.type === 'spec-taken')
    await checkRevision(db, person.shopId, job, request.payload as Payload<'spec-taken'>)
  if (request.type === 'closed') checkWhole(job, log, request.payload as Payload<'closed'>)
  if (request.type === 'figure-settled') {
    if (person.role !== 'lead') throw new Problem('not-allowed', say('refused.only-a-lead-can-say'))
    const { role, clearance } = request.payload as Payload<'figure-settled'>
    const refusal = figureRefused(job.pin.spec.engine, role, clearance)
    if (refusal) throw new Problem('unfit', refusal, { fields: [{ field: 'clearance', message: refusal }] })
  }
  if (request.type === 'retracted') {
    const { eventId } = request.payload as { eventId: string }
    const target = log.find(e => e.id === eventId)
    if (!target || target.type === 'retracted') refused('nothing-to-retract', say('refused.nothing-to-retract'))
    if (log.some(e => e.type === 'retracted' && e.payload.eventId === eventId))
      refused('retracted-already', say('refused.retracted-already'))
  }
}

const sameRows = (a: ReadingRow[], b: ReadingRow[]): boolean => {
  const text = (rows: ReadingRow[]) =>
    rows
      .map(r => JSON.stringify([r.valveId, r.phase, r.round, r.loMm, r.hiMm, r.verdict, r.proof, r.personId]))
      .sort()
      .join()
  return a.length === b.length && text(a) === text(b)
}

/**
 * The shims that a job used leave the shelf when it is signed first; one that is opened and signed again has them
 * already.
 */
async function takeOffShelf(db: PoolConnection, shopId: number, job: JobRow, state: JobState): Promise<void> {
  const { shim } = job.pin.spec.engine
  if (shim && (await sheetsOfJob(db, shopId, job.id)).length === 0)
    await takeFittedShims(db, shopId, state, shim.diameterMm)
}

/** Brings the projections of a job to its log: status, readings, and at signing the sheet. */
async function project(
  db: PoolConnection,
  shopId: number,
  job: JobRow,
  before: JobEvent[],
  event: JobEvent,
  now: Date,
): Promise<void> {
  const log = [...before, event]
  const state = reduceJob(job.pin, log)
  const rows = readingRows({ pin: job.pin, state })
  if (!sameRows(rows, await readingsOfJob(db, shopId, job.id))) await replaceReadings(db, shopId, job.id, rows)
  const done = state.status === 'closed' || state.status === 'abandoned'
  await updateJob(db, shopId, job.id, { status: state.status, lastSeq: event.seq!, closedAt: done ? now : null })
  if (event.type === 'spec-taken' || event.type === 'retracted')
    await updateJobSpec(db, shopId, job.id, (state.spec ?? job.pin.spec).revisionId)
  if (event.type === 'closed') await takeOffShelf(db, shopId, job, state)
  if (event.type === 'closed' && state.decompressorTested && state.decompressor)
    await keepDecompressor(db, shopId, state.decompressor, {
      machineId: job.pin.machine.id,
      modelId: job.pin.modelId,
      personId: event.personId,
    })
  if (event.type === 'closed') {
    // the owner reads it: in their language where it is known
    const content = inTheirs(await ownersLanguage(db, shopId, job.pin.machine.id), () => ({
      ...sheet(viewJob(jobTools(job.pin), log, now.getTime()), tell),
      language: spoken(),
    }))
    await insertSheet(db, shopId, job.id, event.seq!, content, event.personId, now)
  }
}

/** The answer to one that came before: the same event, or a refusal where the id stands for something else. */
async function knownAnswer(
  db: PoolConnection,
  shopId: number,
  job: BareJobRow,
  request: EventRequest,
  bodyHash: string,
  now: Date,
): Promise<EventResponse | null> {
  const known = await eventById(db, shopId, request.id)
  if (!known) return null
  if (known.jobId !== job.id || known.bodyHash !== bodyHash) refused('id-reused', say('refused.id-reused'))
  const [event] = await eventsAfter(db, shopId, job.id, known.seq - 1)
  return { event: event!, lastSeq: job.lastSeq, now: now.toISOString() }
}

const takeEvent = (
  pool: Pool,
  person: SignedIn,
  jobId: number,
  request: EventRequest,
  now: Date,
): Promise<EventResponse & { machineId: number }> =>
  transaction(pool, async db => {
    const { shopId } = person
    const projected = kindOf(request.type).projected === true
    // what was pinned at the opening, and the log, are read only where the answer changes what they come to
    const whole = projected ? await lockJob(db, shopId, jobId) : null
    const job = projected ? whole : await lockBareJob(db, shopId, jobId)
    if (!job) throw notFound('job')
    const { machineId } = job
    const log = whole ? await eventsAfter(db, shopId, jobId, 0) : []
    const event = { ...request, seq: job.lastSeq + 1, personName: person.name } as JobEvent
    const bodyHash = hashOf(request)
    try {
      checkOpen(job, request, person)
      if (whole) await checkAfter(db, whole, log, request, person)
      await insertEvent(db, shopId, jobId, event, bodyHash, now)
    } catch (error) {
      // one that comes again is found by what refuses it: its id is taken, or the job was closed by it
      const refusal = error instanceof Problem || isDuplicateOf(error, 'events_id')
      const known = refusal ? await knownAnswer(db, shopId, job, request, bodyHash, now) : null
      if (!known) throw error
      return { ...known, machineId }
    }
    if (whole) await project(db, shopId, whole, log, event, now)
    else await updateJob(db, shopId, jobId, { status: job.status, lastSeq: event.seq!, closedAt: job.closedAt })
    return { event, lastSeq: event.seq!, now: now.toISOString(), machineId }
  })

const ENDS_OR_REOPENS: ReadonlySet<JobEvent['type']> = new Set(['closed', 'reopened', 'abandoned'])
/**
 * Takes one answer into a job's log: once, however often it arrives, under the job's lock, with its projections.
 * @throws Problem 404 for another shop's job; 409 with a code for what may not be; the browser keeps a refused answer
 */
export async function postEvent(
  pool: Pool,
  person: SignedIn,
  jobId: number,
  request: EventRequest,
  now: Date,
): Promise<EventResponse> {
  const { machineId, ...answer } = await takeEvent(pool, person, jobId, request, now)
  answers.inc()
  answerAge.observe(Math.max(0, (now.getTime() - Date.parse(request.at)) / 1000))
  if (ENDS_OR_REOPENS.has(request.type)) await machineChanged(pool, person.shopId, machineId)
  return answer
}
