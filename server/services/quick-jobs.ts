import { quickPin } from '../../core/job/quick-pin'
import { say } from '../../core/said'
import { DAY_MS, MINUTE_MS } from '../../core/units'
import type { UnkeptJob } from '../../shared/board'
import type { KeepJobRequest, QuickJobRequest } from '../../shared/quick-jobs'
import { isDuplicateOf } from '../database/errors'
import { type Db, type Pool, transaction } from '../database/query'
import { notFound, Problem } from '../problem'
import { bladeSetsOfShop, insertBladeSet } from '../repositories/blade-sets'
import { insertJob, jobById, lockJob, nextJobNumber } from '../repositories/jobs'
import { insertMachine } from '../repositories/machines'
import { keepModel } from '../repositories/models'
import { unitOf } from '../repositories/people'
import { insertQuickModel, keepMachine, quickOwner, renamePin, unkeptJobs } from '../repositories/quick-jobs'
import { locksOfShop } from '../repositories/readings'
import { insertRevision } from '../repositories/revisions'
import { lockShop, shopById } from '../repositories/shops'
import { t } from '../words'
import { pinnedShelf, withFreeNumber } from './jobs'
import { freeTag, ownerOf } from './machines/edit'
import { machineChanged } from './machines/outlooks'
import type { SignedIn } from './people'

/** An unkept quick job is found again for so long. */
const KEPT_FOR_DAYS = 30
/** How much a device's clock may be ahead of the server's. */
const AHEAD_MS = MINUTE_MS

/**
 * Opens a quick job under the id that its device gave it: a machine and a model that stand in no list carry it. Comes
 * again whenever the device has not heard the answer, and is done once.
 * @throws Problem 409 where another shop has a job of this id
 */
export async function openQuickJob(
  pool: Pool,
  person: SignedIn,
  request: QuickJobRequest,
  now: Date,
): Promise<{ id: number }> {
  try {
    return await withFreeNumber(() => transaction(pool, db => opening(db, person, request, now)))
  } catch (error) {
    if (isDuplicateOf(error, 'PRIMARY')) throw new Problem('duplicate', say('refused.job-id-taken'))
    throw error
  }
}

async function opening(
  db: Db,
  person: SignedIn,
  { id, quick, called, bladeSet, complaints, openedAt }: QuickJobRequest,
  now: Date,
): Promise<{ id: number }> {
  const { shopId } = person
  // one after the other in a shop, so that the second sees what the first made
  await lockShop(db, shopId)
  if (await jobById(db, shopId, id)) return { id }
  const number = await nextJobNumber(db, shopId)
  const shop = await shopById(db, shopId)
  const shelf = await bladeSetsOfShop(db, shopId)
  const known = shelf.find(s => s.name === bladeSet.name)
  // what somebody said is in the drawer is on the shelf from now on
  const setId = known?.id ?? (await insertBladeSet(db, shopId, bladeSet))
  const begun = new Date(Math.min(Date.parse(openedAt), now.getTime() + AHEAD_MS))
  const pin = quickPin({
    jobId: id,
    quick,
    complaints,
    bladeSet,
    shelf: await pinnedShelf(db, shopId, setId, null),
    ways: {
      target: shop.target,
      bladeHabit: shop.bladeHabit,
      pairToProve: shop.pairToProve,
      unit: (await unitOf(db, shopId, person.id)) ?? shop.unit,
      timeZone: shop.timeZone,
      school: shop.favouriteSchool,
    },
    called,
    openedAt,
    openedBy: person.name,
  })
  const modelId = await insertQuickModel(db, shopId, { jobId: id, name: called.model })
  const revisionId = await insertRevision(db, shopId, {
    modelId,
    revision: 1,
    engine: pin.spec.engine,
    authorId: person.id,
    approved: false,
    reason: t('record.quick-job', { number }),
  })
  const machineId = await insertMachine(db, shopId, {
    customerId: await quickOwner(db, shopId),
    modelId,
    name: called.machine,
    tag: `quick ${number}`,
    serial: '',
    meterUnit: pin.machine.meterUnit,
    quick: true,
  })
  await insertJob(db, shopId, {
    id,
    number,
    machineId,
    specRevisionId: revisionId,
    meter: null,
    pin: {
      ...pin,
      number,
      machine: { ...pin.machine, id: machineId },
      modelId,
      spec: { ...pin.spec, revisionId },
      locks: await locksOfShop(db, shopId, modelId),
    },
    openedAt: begun,
  })
  return { id }
}

/** Quick jobs that nobody has kept, the newest first. */
export async function unkeptOf(db: Db, shopId: number, now: Date): Promise<UnkeptJob[]> {
  const since = new Date(now.getTime() - KEPT_FOR_DAYS * DAY_MS)
  return (await unkeptJobs(db, shopId, since)).map(({ openedAt, ...job }) => ({
    ...job,
    openedAt: openedAt.toISOString(),
  }))
}

/**
 * Makes of a quick job a machine, its owner, and a draft of its model: with all that was learned on it, for machine and
 * model are the same as before.
 * @throws Problem 404 where it is no job of this shop, 409 where it was kept already, or a name is taken
 */
export async function keepQuickJob(
  pool: Pool,
  person: SignedIn,
  jobId: number,
  { customer, maker, model, ...machine }: KeepJobRequest,
): Promise<{ machineId: number }> {
  const { shopId } = person
  const machineId = await transaction(pool, async db => {
    const job = await lockJob(db, shopId, jobId)
    if (!job || job.pin.quick === null || job.pin.modelId === null) throw notFound('job')
    const { machine: quick, modelId } = job.pin
    await freeTag(db, shopId, machine.tag, quick.id)
    const ownerId = await ownerOf(db, shopId, customer)
    if (!(await keepMachine(db, shopId, quick.id, { ...machine, customerId: ownerId })))
      throw new Problem('duplicate', say('refused.kept-already'))
    await keepModel(db, shopId, modelId, { maker, model, code: '', kind: '' })
    await renamePin(db, shopId, jobId, { ...machine, ownerId, modelName: `${maker} ${model}` })
    return quick.id
  })
  await machineChanged(pool, shopId, machineId)
  return { machineId }
}
