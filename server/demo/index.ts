import type { Engine } from '../../core/engine'
import { spanOf } from '../../core/feeler'
import { type Happening, type JobEvent, jobTools, type NextThing, viewJob } from '../../core/job'
import { VirtualHand, workThrough } from '../../core/practice'
import { DAY_MS, HOUR_MS, MINUTE_MS } from '../../core/units'
import type { Pool } from '../database/query'
import { insertBladeSet } from '../repositories/blade-sets'
import { insertCustomer } from '../repositories/customers'
import { jobById } from '../repositories/jobs'
import { insertMachine } from '../repositories/machines'
import { insertMeter } from '../repositories/meters'
import { insertModel } from '../repositories/models'
import { insertPerson } from '../repositories/people'
import { approveRevision, insertRevision } from '../repositories/revisions'
import { setShimCount } from '../repositories/shim-stock'
import { insertShop, markDemoReady } from '../repositories/shops'
import { insertAdapter, insertWrench } from '../repositories/torque-tools'
import { insertPastVisit } from '../repositories/visits'
import { placeJob } from '../services/board'
import { postEvent } from '../services/job-log'
import { openJob } from '../services/jobs'
import { refreshStale } from '../services/machines/outlooks'
import { hashPassword } from '../services/passwords'
import type { SignedIn } from '../services/people'
import { demoEngine } from './demo-engine'
import { type DemoPast, type DemoVisit, PASTS } from './past'
import { answersTo, SPEC_HISTORY } from './spec-history'
import {
  ADAPTERS,
  BLADE_SETS,
  CALIBRATION_DAYS,
  CREW,
  DEMO_PASSWORD,
  type End,
  JOBS,
  MACHINES,
  OWNERS,
  SHIMS,
  SHOP,
  WRENCHES,
} from './story'

/** Ids in time order, the same for each load of the same moment. */
function uuid7(ms: number, count: number): string {
  const time = ms.toString(16).padStart(12, '0')
  return `${time.slice(0, 8)}-${time.slice(8)}-7000-8000-${count.toString(16).padStart(12, '0')}`
}

const STOPS: Record<Exclude<End, 'closed'>, (next: NextThing) => boolean> = {
  cooling: next => next.stage.kind === 'cold',
  ready: next => next.requirement?.what.kind === 'safe',
  measure: next =>
    next.trial !== null &&
    next.requirement?.what.kind === 'as-found' &&
    next.requirement.what.valveId.endsWith('exhaust'),
  prove: next => next.step === 'prove',
  finding: next => next.step === 'find' && next.keys.length > 3,
  held: next => next.step === 'find',
  abandoned: next => next.requirement?.what.kind === 'valves',
}
const LAST: Partial<Record<End, Happening[]>> = {
  held: [
    { type: 'finding', payload: { text: 'Cover gasket torn, none in stock', step: 'ready' } },
    { type: 'held', payload: { reason: 'Waiting for a cover gasket' } },
  ],
  abandoned: [{ type: 'abandoned', payload: { reason: 'Owner took it back for the weekend' } }],
}
const AIR_C = 19

interface Worked {
  end: End
  startMs: number
  lastMs: number
  gapMm: Record<string, number>
  head?: [number, number][]
  found?: DemoVisit['found']
}
/** Works a job as the Bench says on a virtual engine with these gaps. @returns the gaps as they were left */
async function workJob(
  pool: Pool,
  person: SignedIn,
  jobId: number,
  { end, startMs, lastMs, gapMm, head = [], found }: Worked,
): Promise<Record<string, number>> {
  const { pin } = (await jobById(pool, person.shopId, jobId))!
  const tools = jobTools(pin)
  const log: JobEvent[] = []
  let nowMs = startMs
  const record = async (happening: Happening, at = nowMs + MINUTE_MS) => {
    nowMs = Math.min(at, lastMs)
    const n = log.length + 1
    const { event } = await postEvent(
      pool,
      person,
      jobId,
      {
        ...happening,
        id: uuid7(nowMs, jobId * 1000 + n),
        version: 1,
        personId: person.id,
        deviceId: 'demo-tablet',
        deviceSeq: n,
        seenSeq: n - 1,
        at: new Date(nowMs).toISOString(),
      } as Parameters<typeof postEvent>[3],
      new Date(nowMs),
    )
    log.push(event)
  }
  if (found) await record({ type: 'finding', payload: { ...found, step: 'ready', end: 'to do' } })
  const hand = new VirtualHand(demoEngine(pin.spec.engine, gapMm))
  await workThrough(
    hand,
    () => viewJob(tools, log, nowMs),
    happening => record(happening),
    end === 'closed' ? undefined : STOPS[end],
  )
  for (const [minutesAgo, celsius] of head)
    await record({ type: 'temperature', payload: { celsius, airC: AIR_C } }, lastMs - minutesAgo * MINUTE_MS)
  for (const happening of LAST[end] ?? []) await record(happening)
  return { ...hand.virtual.gapMm }
}

/** Blade sets, wrenches, adapters, shims. @returns the first blade set, with which the demo's jobs are opened */
async function fillShelf(pool: Pool, shopId: number, now: Date): Promise<number> {
  const sets: number[] = []
  for (const set of BLADE_SETS) sets.push(await insertBladeSet(pool, shopId, set))
  for (const [i, wrench] of WRENCHES.entries())
    await insertWrench(pool, shopId, {
      ...wrench,
      calibrationDue: new Date(now.getTime() + CALIBRATION_DAYS[i]! * DAY_MS).toISOString().slice(0, 10),
    })
  for (const adapter of ADAPTERS) await insertAdapter(pool, shopId, adapter)
  for (const shims of SHIMS) await setShimCount(pool, shopId, shims)
  return sets[0]!
}

/** Something that is done on a day of the demo's two years. */
interface Deed {
  atMs: number
  run: () => Promise<void>
}

/** The revisions of a model, each looked at by the lead but for a draft that waits. */
function revisionDeeds(
  pool: Pool,
  shopId: number,
  modelId: number,
  model: { engine: Engine },
  people: Map<string, SignedIn>,
  now: Date,
): Deed[] {
  const lead = people.get('ines')!
  const history = SPEC_HISTORY.get(model) ?? [
    { daysAgo: 900, by: 'tam', approved: true, reason: 'First entry', engine: model.engine },
  ]
  let basedOn: number | null = null
  return history.map(({ daysAgo, by, approved, reason, engine }, i): Deed => {
    const at = new Date(now.getTime() - daysAgo * DAY_MS)
    return {
      atMs: at.getTime(),
      run: async () => {
        const id = await insertRevision(pool, shopId, {
          modelId,
          revision: i + 1,
          engine,
          authorId: people.get(by)!.id,
          approved: false,
          reason,
          basedOn,
          answered: answersTo(engine),
          at,
        })
        if (approved) await approveRevision(pool, shopId, { id, modelId }, lead.id, '', at)
        basedOn = id
      },
    }
  })
}

/** A reading on paper: between the blade that went and the next. */
const PAPER_STEP_MM = 0.02
const onPaper = (mm: number) => ({
  loMm: Math.floor(mm / PAPER_STEP_MM) * PAPER_STEP_MM,
  hiMm: (Math.floor(mm / PAPER_STEP_MM) + 1) * PAPER_STEP_MM,
})

interface DemoMachine {
  id: number
  model: { engine: Engine }
}
/** The figures of a model as the shop had them so many days ago. */
const engineThen = (model: { engine: Engine }, daysAgo: number): Engine =>
  SPEC_HISTORY.get(model)?.findLast(r => r.approved && r.daysAgo >= daysAgo)?.engine ?? model.engine
/** The visits of one machine, one after the other: its valves go on from how the last one left them. */
function pastDeeds(
  pool: Pool,
  { firstMm, perThousandMm, visits }: DemoPast,
  { id, model }: DemoMachine,
  people: Map<string, SignedIn>,
  bladeSetId: number,
  now: Date,
): Deed[] {
  const { engine } = model
  const of = (figures: Record<string, number>, v: Engine['valves'][number]) => figures[v.id] ?? figures[v.role] ?? 0
  let gapMm = Object.fromEntries(engine.valves.map(v => [v.id, of(firstMm, v)]))
  let meterBefore = visits[0]!.meter
  return visits.map((visit): Deed => {
    const at = new Date(now.getTime() - visit.daysAgo * DAY_MS)
    return {
      atMs: at.getTime(),
      run: async () => {
        const person = people.get(visit.by)!
        const used = (visit.meter - meterBefore) / 1000
        meterBefore = visit.meter
        gapMm = Object.fromEntries(
          engine.valves.map(v => [
            v.id,
            Math.max(0.01, gapMm[v.id]! + of(perThousandMm, v) * used + of(visit.jumpMm ?? {}, v)),
          ]),
        )
        if (visit.paper) {
          const valves = Object.fromEntries(
            engine.valves.map(v => {
              const { minMm, maxMm } = spanOf(engineThen(model, visit.daysAgo).clearance[v.role])
              const found = gapMm[v.id]!
              const touched = found < minMm || found > maxMm + PAPER_STEP_MM
              gapMm[v.id] = touched ? (minMm + maxMm) / 2 : found
              return [v.id, { foundMm: onPaper(found), leftMm: onPaper(gapMm[v.id]!), touched }]
            }),
          )
          const sourceId = await insertPastVisit(pool, person.shopId, {
            machineId: id,
            at,
            valves,
            words: '',
            personId: person.id,
          })
          await insertMeter(pool, person.shopId, {
            machineId: id,
            source: 'past visit',
            sourceId,
            at,
            meter: visit.meter,
            replaced: false,
          })
          return
        }
        const { id: jobId } = await openJob(
          pool,
          person,
          {
            machineId: id,
            bladeSetId,
            meter: visit.meter,
            meterReplaced: false,
            complaint: visit.complaint ?? 'due',
            complaints: visit.complaints ?? [],
          },
          at,
        )
        gapMm = await workJob(pool, person, jobId, {
          found: visit.found,
          gapMm,
          end: 'closed',
          startMs: at.getTime(),
          lastMs: at.getTime() + DAY_MS,
        })
      },
    }
  })
}

/** Loads the invented shop: crew, owners, machines with two years behind them, and jobs in every state today. */
export async function loadDemo(pool: Pool, now: Date): Promise<void> {
  const shopId = await insertShop(pool, SHOP)
  const passwordHash = await hashPassword(DEMO_PASSWORD)
  const people = new Map<string, SignedIn>()
  for (const person of CREW)
    people.set(person.signIn, {
      id: await insertPerson(pool, shopId, { ...person, passwordHash, runsServer: person.role === 'lead' }),
      shopId,
      name: person.name,
      role: person.role,
    })
  const bladeSetId = await fillShelf(pool, shopId, now)
  const owners: number[] = []
  for (const owner of OWNERS) owners.push(await insertCustomer(pool, shopId, owner))
  const deeds: Deed[] = []
  const modelIds = new Map<object, number>()
  const machines = new Map<string, DemoMachine>()
  for (const { key, owner, model, ...machine } of MACHINES) {
    if (!modelIds.has(model)) {
      const modelId = await insertModel(pool, shopId, model)
      deeds.push(...revisionDeeds(pool, shopId, modelId, model, people, now))
      modelIds.set(model, modelId)
    }
    const past = PASTS.find(p => p.machine === key)
    const at = new Date(now.getTime() - ((past?.visits[0]?.daysAgo ?? 20) + 1) * DAY_MS)
    machines.set(key, {
      id: await insertMachine(pool, shopId, {
        serial: '',
        ...machine,
        customerId: owners[owner]!,
        modelId: modelIds.get(model)!,
        at,
      }),
      model,
    })
    if (past) deeds.push(...pastDeeds(pool, past, machines.get(key)!, people, bladeSetId, now))
  }
  for (const job of JOBS) {
    const startMs = now.getTime() - job.hoursAgo * HOUR_MS
    const person = people.get(job.by)!
    deeds.push({
      atMs: startMs,
      run: async () => {
        const { id } = await openJob(
          pool,
          person,
          {
            machineId: machines.get(job.machine)!.id,
            bladeSetId,
            meter: job.meter,
            meterReplaced: false,
            complaint: job.complaint,
            tasks: job.tasks ?? [],
          },
          new Date(startMs),
        )
        await workJob(pool, person, id, { ...job, startMs, lastMs: now.getTime() })
        const whose = job.assigned === undefined ? job.by : job.assigned
        if (job.end !== 'closed' && job.end !== 'abandoned' && whose)
          await placeJob(pool, person, id, { personId: people.get(whose)!.id, beforeJobId: null })
      },
    })
  }
  for (const deed of deeds.sort((a, b) => a.atMs - b.atMs)) await deed.run()
  await refreshStale(pool)
  await markDemoReady(pool, shopId)
}
