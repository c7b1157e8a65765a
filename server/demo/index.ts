import type { Pool } from '../database/query'
import type { Engine } from '../../core/engine'
import { VirtualHand, workThrough } from '../../core/practice'
import { type Happening, type JobEvent, jobTools, type NextThing, viewJob } from '../../core/job'
import { insertBladeSet } from '../repositories/blade-sets'
import { jobById } from '../repositories/jobs'
import { insertCustomer } from '../repositories/customers'
import { insertMachine } from '../repositories/machines'
import { insertModel } from '../repositories/models'
import { insertPerson } from '../repositories/people'
import { approveRevision, insertRevision } from '../repositories/revisions'
import { setShimCount } from '../repositories/shim-stock'
import { insertShop, markDemoReady } from '../repositories/shops'
import { insertAdapter, insertWrench } from '../repositories/torque-tools'
import { postEvent } from '../services/job-log'
import { openJob } from '../services/jobs'
import { hashPassword } from '../services/passwords'
import type { SignedIn } from '../services/people'
import { demoEngine } from './demo-engine'
import { answersTo, SPEC_HISTORY } from './spec-history'
import { ADAPTERS, BLADE_SETS, CALIBRATION_DAYS, CREW, DEMO_PASSWORD, type End, JOBS, MACHINES, OWNERS, SHIMS, SHOP, WRENCHES } from './story'

const MINUTE = 60_000

/** Ids in time order, the same for each load of the same moment. */
function uuid7(ms: number, count: number): string {
  const time = ms.toString(16).padStart(12, '0')
  return `${time.slice(0, 8)}-${time.slice(8)}-7000-8000-${count.toString(16).padStart(12, '0')}`
}

const STOPS: Record<Exclude<End, 'closed'>, (next: NextThing) => boolean> = {
  cooling: next => next.stage.kind === 'cold',
  ready: next => next.requirement?.id === 'safe',
  measure: next => next.trial !== null && next.requirement?.id.startsWith('as-found:') === true && next.requirement.id.endsWith('exhaust'),
  prove: next => next.step === 'prove',
  finding: next => next.step === 'find' && next.keys.length > 3,
  held: next => next.step === 'find',
  abandoned: next => next.requirement?.id === 'valves',
}
const LAST: Partial<Record<End, Happening[]>> = {
  cooling: [{ type: 'temperature', payload: { celsius: 58 } }],
  held: [{ type: 'finding', payload: { text: 'Cover gasket torn, none in stock', step: 'ready' } }, { type: 'held', payload: { reason: 'Waiting for a cover gasket' } }],
  abandoned: [{ type: 'abandoned', payload: { reason: 'Owner took it back for the weekend' } }],
}

async function workJob(pool: Pool, person: SignedIn, jobId: number, shopId: number, gapMm: Record<string, number>, end: End, startMs: number, lastMs: number): Promise<void> {
  const { pin } = (await jobById(pool, shopId, jobId))!
  const tools = jobTools(pin)
  const log: JobEvent[] = []
  let nowMs = startMs
  const record = async (happening: Happening) => {
    nowMs = Math.min(nowMs + MINUTE, lastMs)
    const n = log.length + 1
    const { event } = await postEvent(pool, person, jobId, {
      ...happening, id: uuid7(nowMs, jobId * 1000 + n), version: 1, personId: person.id, deviceId: 'demo-tablet', deviceSeq: n, seenSeq: n - 1, at: new Date(nowMs).toISOString(),
    } as Parameters<typeof postEvent>[3], new Date(nowMs))
    log.push(event)
  }
  const hand = new VirtualHand(demoEngine(pin.spec.engine, gapMm))
  await workThrough(hand, () => viewJob(tools, log, nowMs), record, end === 'closed' ? undefined : STOPS[end])
  for (const happening of LAST[end] ?? []) await record(happening)
}

/** Blade sets, wrenches, adapters, shims. @returns the first blade set, with which the demo's jobs are opened */
async function fillShelf(pool: Pool, shopId: number, now: Date): Promise<number> {
  const sets: number[] = []
  for (const set of BLADE_SETS) sets.push(await insertBladeSet(pool, shopId, set))
  for (const [i, wrench] of WRENCHES.entries()) await insertWrench(pool, shopId, { ...wrench, calibrationDue: new Date(now.getTime() + CALIBRATION_DAYS[i]! * 24 * 60 * MINUTE).toISOString().slice(0, 10) })
  for (const adapter of ADAPTERS) await insertAdapter(pool, shopId, adapter)
  for (const shims of SHIMS) await setShimCount(pool, shopId, shims)
  return sets[0]!
}

/** The revisions of a model, each looked at by the lead but for a draft that waits. */
async function fillHistory(pool: Pool, shopId: number, modelId: number, model: { engine: Engine }, people: Map<string, SignedIn>, now: Date): Promise<void> {
  const lead = people.get('ines')!
  const history = SPEC_HISTORY.get(model) ?? [{ daysAgo: 700, by: 'tam', approved: true, reason: 'First entry', engine: model.engine }]
  let basedOn: number | null = null
  for (const [i, { daysAgo, by, approved, reason, engine }] of history.entries()) {
    const at = new Date(now.getTime() - daysAgo * 24 * 60 * MINUTE)
    const id = await insertRevision(pool, shopId, { modelId, revision: i + 1, engine, authorId: people.get(by)!.id, approved: false, reason, basedOn, answered: answersTo(engine), at })
    if (approved) await approveRevision(pool, shopId, { id, modelId }, lead.id, '', at)
    basedOn = id
  }
}

/** Loads the invented shop: crew, owners, machines, a year-old visit for most, and jobs in every state today. */
export async function loadDemo(pool: Pool, now: Date): Promise<void> {
  const shopId = await insertShop(pool, SHOP)
  const passwordHash = await hashPassword(DEMO_PASSWORD)
  const people = new Map<string, SignedIn>()
  for (const person of CREW) people.set(person.signIn, { id: await insertPerson(pool, shopId, { ...person, passwordHash }), shopId, name: person.name, role: person.role })
  const bladeSetId = await fillShelf(pool, shopId, now)
  const owners: number[] = []
  for (const name of OWNERS) owners.push(await insertCustomer(pool, shopId, { name, contact: '' }))
  const modelIds = new Map<object, number>()
  const machineIds = new Map<string, number>()
  for (const { key, owner, model, ...machine } of MACHINES) {
    if (!modelIds.has(model)) {
      const modelId = await insertModel(pool, shopId, model)
      await fillHistory(pool, shopId, modelId, model, people, now)
      modelIds.set(model, modelId)
    }
    machineIds.set(key, await insertMachine(pool, shopId, { ...machine, customerId: owners[owner]!, modelId: modelIds.get(model)!, serial: '' }))
  }
  for (const job of JOBS) {
    const startMs = now.getTime() - job.hoursAgo * 60 * MINUTE
    const person = people.get(job.by)!
    const { id } = await openJob(pool, person, { machineId: machineIds.get(job.machine)!, bladeSetId, meter: job.meter, meterReplaced: false, complaint: job.complaint }, new Date(startMs))
    await workJob(pool, person, id, shopId, job.gapMm, job.end, startMs, now.getTime())
  }
  await markDemoReady(pool, shopId)
}
