import { USUAL_HAND } from '../../core/feeler'
import { type JobPin, type JobState, JUDGEMENT_VERSION, plugsAfter, reduceJob, toDoAfter } from '../../core/job'
import { pinnedMachine } from '../../core/job/device-pin'
import { say } from '../../core/said'
import { daysIn } from '../../core/units'
import type { JobResponse, OpenJobRequest } from '../../shared/jobs'
import type { RevisionRow } from '../../shared/spec-book'
import type { ShopThing } from '../../words/en/refusals'
import { isDuplicateOf } from '../database/errors'
import { type Db, type Pool, transaction } from '../database/query'
import { notFound, Problem } from '../problem'
import { bladeSetById, bladeSetsOfShop } from '../repositories/blade-sets'
import { insertTask } from '../repositories/board'
import { decompressorKnown } from '../repositories/decompressors'
import { eventsAfter } from '../repositories/events'
import { insertJob, jobById, type JobRow, lastClosedJob, newerRevisionOfJob, nextJobNumber } from '../repositories/jobs'
import { machineById } from '../repositories/machines'
import { insertMeter } from '../repositories/meters'
import { modelById } from '../repositories/models'
import { unitOf } from '../repositories/people'
import { asLeftOfJob, locksOfShop } from '../repositories/readings'
import { revisionById } from '../repositories/revisions'
import { shimPieces } from '../repositories/shim-stock'
import { lockShop, shopById } from '../repositories/shops'
import { adaptersOfShop, wrenchesOfShop } from '../repositories/torque-tools'
import { checkMeter } from './machines/edit'
import { machineChanged, pastForJob } from './machines/outlooks'
import type { SignedIn } from './people'

const missing = (what: ShopThing) => (): never => {
  throw notFound(what)
}

export async function jobOf(db: Db, shopId: number, id: number): Promise<JobRow> {
  return (await jobById(db, shopId, id)) ?? missing('job')()
}

/** What of the shelf a job may take in hand besides its blade set, as it lies there now. */
export async function pinnedShelf(
  db: Db,
  shopId: number,
  setId: number,
  shimDiameterMm: number | null,
): Promise<Pick<JobPin, 'otherSets' | 'wrenches' | 'adapters' | 'shimStockMm'>> {
  const bare = <T extends { id: number }>({ id: _, ...rest }: T) => rest
  return {
    otherSets: (await bladeSetsOfShop(db, shopId)).filter(s => s.id !== setId).map(bare),
    wrenches: (await wrenchesOfShop(db, shopId)).map(bare),
    adapters: (await adaptersOfShop(db, shopId)).map(bare),
    shimStockMm: shimDiameterMm === null ? [] : await shimPieces(db, shopId, shimDiameterMm),
  }
}

const NUMBER_TRIES = 5
/** Two nodes of a cluster may take the same job number at once: the one that comes second takes the next. */
export async function withFreeNumber<T>(open: () => Promise<T>): Promise<T> {
  for (let attempt = 1; ; attempt++) {
    try {
      return await open()
    } catch (error) {
      if (attempt >= NUMBER_TRIES || !isDuplicateOf(error, 'jobs_number')) throw error
    }
  }
}

/** A job as its whole log tells it. */
export async function foldedJob(db: Db, shopId: number, jobId: number): Promise<{ pin: JobPin; state: JobState }> {
  const { pin } = await jobOf(db, shopId, jobId)
  return { pin, state: reduceJob(pin, await eventsAfter(db, shopId, jobId, 0)) }
}

/** What the machine's last visit left to be done, and when its plugs were new. */
export async function leftBy(db: Db, shopId: number, jobId: number): Promise<Pick<JobPin, 'toDo' | 'plugsNew'>> {
  const { pin, state } = await foldedJob(db, shopId, jobId)
  return { toDo: toDoAfter(pin, state), plugsNew: plugsAfter(pin, state) }
}

/** Opens a job and pins what it is judged against: spec revision, blades, hand, judgement version. */
export async function openJob(
  pool: Pool,
  person: SignedIn,
  request: Omit<OpenJobRequest, 'tasks' | 'complaints'> & Partial<OpenJobRequest>,
  now: Date,
): Promise<{ id: number }> {
  const begun = request.openedAt ? new Date(Math.min(Date.parse(request.openedAt), now.getTime())) : now
  const opened = await withFreeNumber(() => transaction(pool, db => opening(db, person, request, begun)))
  // its meter was read: how much it is used, and so when it is due, may be another
  if (request.meter !== null) await machineChanged(pool, person.shopId, request.machineId)
  return opened
}

async function opening(
  db: Db,
  person: SignedIn,
  request: Omit<OpenJobRequest, 'tasks' | 'complaints'> & Partial<OpenJobRequest>,
  now: Date,
): Promise<{ id: number }> {
  const { shopId } = person
  // one after the other in a shop, and before anything is read: the second sees what the first made
  await lockShop(db, shopId)
  if (request.id !== undefined && (await jobById(db, shopId, request.id))) return { id: request.id }
  const machine = (await machineById(db, shopId, request.machineId)) ?? missing('machine')()
  const model = (await modelById(db, shopId, machine.modelId)) ?? missing('model')()
  const bladeSet = (await bladeSetById(db, shopId, request.bladeSetId)) ?? missing('blade set')()
  if (machine.openJobId !== null)
    throw new Problem('open-job', say('refused.this-machine-has-an-open'), {
      detail: String(machine.openJobId),
    })
  if (request.meter !== null)
    await checkMeter(db, shopId, machine, {
      atMs: now.getTime(),
      meter: request.meter,
      replaced: request.meterReplaced,
    })
  const last = await lastClosedJob(db, shopId, machine.id)
  const number = await nextJobNumber(db, shopId)
  const shop = await shopById(db, shopId)
  const { id: setId, ...set } = bladeSet
  const pin: JobPin = {
    jobId: 0,
    number,
    judgementVersion: JUDGEMENT_VERSION,
    machine: pinnedMachine(machine, request),
    modelName: `${model.maker} ${model.model}`,
    spec: { revisionId: model.revisionId, revision: model.revision, status: model.status, engine: model.engine },
    ...(await pinnedShelf(db, shopId, setId, model.engine.shim?.diameterMm ?? null)),
    modelId: machine.modelId,
    locks: await locksOfShop(db, shopId, machine.modelId),
    target: shop.target,
    bladeHabit: shop.bladeHabit,
    pairToProve: shop.pairToProve,
    bladeSet: set,
    hand: USUAL_HAND,
    unit: (await unitOf(db, shopId, person.id)) ?? shop.unit,
    timeZone: shop.timeZone,
    school: shop.favouriteSchool,
    decompressor: await decompressorKnown(db, shopId, { machineId: machine.id, modelId: machine.modelId }),
    past: await pastForJob(db, shopId, { modelId: machine.modelId, engine: model.engine }, machine.id),
    quick: null,
    complaint: request.complaint,
    complaints: request.complaints ?? [],
    ...(last ? await leftBy(db, shopId, last.id) : { toDo: [], plugsNew: {} }),
    openedAt: now.toISOString(),
    openedBy: person.name,
    lastAsLeft: last && {
      date: daysIn(shop.timeZone)(last.closedAt),
      readings: await asLeftOfJob(db, shopId, last.id),
    },
  }
  const id = await insertJob(db, shopId, {
    id: request.id,
    number,
    machineId: machine.id,
    specRevisionId: model.revisionId,
    meter: request.meter,
    pin,
    openedAt: now,
  })
  if (request.meter !== null)
    await insertMeter(db, shopId, {
      machineId: machine.id,
      source: 'job',
      sourceId: id,
      at: now,
      meter: request.meter,
      replaced: request.meterReplaced,
    })
  for (const task of request.tasks ?? []) await insertTask(db, shopId, id, task)
  return { id }
}

/** A job with its log, or the log's end from a number on. */
export async function readJob(db: Db, shopId: number, id: number, after: number, now: Date): Promise<JobResponse> {
  const job = await jobOf(db, shopId, id)
  return {
    pin: job.pin,
    events: await eventsAfter(db, shopId, id, after),
    lastSeq: job.lastSeq,
    now: now.toISOString(),
  }
}

/** The revision that came into force since the job began, or null. */
export async function newerSpec(db: Db, shopId: number, id: number): Promise<{ newer: RevisionRow | null }> {
  await jobOf(db, shopId, id)
  const newer = await newerRevisionOfJob(db, shopId, id)
  return { newer: newer && (await revisionById(db, shopId, newer.revisionId)) }
}
