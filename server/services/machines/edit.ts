import type { Engine } from '../../../core/engine'
import { meterClash, type MeterReading } from '../../../core/history'
import { type Said, say } from '../../../core/said'
import { findAmongMachines } from '../../../core/search'
import { daysIn, formatMeter } from '../../../core/units'
import type {
  EngineChangeRequest,
  MachineChange,
  MachineEditRequest,
  MachineRequest,
  MachineRow,
  MeterRequest,
  OwnerChangeRequest,
  PastVisitRequest,
} from '../../../shared/machines'
import type { ProblemCode } from '../../../shared/problem'
import { type Db, type Pool, transaction } from '../../database/query'
import { notFound, Problem } from '../../problem'
import { customerById, insertCustomer } from '../../repositories/customers'
import {
  findMachines,
  insertMachine,
  insertRecord,
  lockMachine,
  machineById,
  machineByTag,
  machinesByIds,
  machinesToFind,
  moveMachine,
  setModel,
  setOwner,
  updateMachine,
} from '../../repositories/machines'
import { insertMeter, metersOf } from '../../repositories/meters'
import { modelById } from '../../repositories/models'
import { shopById } from '../../repositories/shops'
import { insertPastVisit } from '../../repositories/visits'
import { locale, t } from '../../words'
import { noonOf } from '../days'
import { laidOver } from '../laid-over'
import type { SignedIn } from '../people'
import { machineChanged } from './outlooks'

const refuse = (field: string, message: Said, code: ProblemCode = 'unfit'): never => {
  throw new Problem(code, message, { fields: [{ field, message }] })
}
const dayWords = (at: Date | number, timeZone = 'UTC'): string =>
  new Date(at).toLocaleDateString(locale(), { day: 'numeric', month: 'short', year: 'numeric', timeZone })

/** As many as a list under a finger holds. */
const MOST_FOUND = 50
/**
 * Machines that fit what was typed, the best first: what holds the text as it is, and where nothing does, what is
 * called nearly so.
 */
export async function listMachines(db: Db, shopId: number, given: string): Promise<MachineRow[]> {
  const text = given.trim()
  const exact = await findMachines(db, shopId, text)
  if (text === '') return exact
  if (exact.length > 0) return [...new Set([...findAmongMachines(text, exact, MOST_FOUND), ...exact])]
  const near = findAmongMachines(text, await machinesToFind(db, shopId), MOST_FOUND)
  return machinesByIds(
    db,
    shopId,
    near.map(m => m.id),
  )
}

/** The machine that a tag hangs on. */
export async function machineWithTag(db: Db, shopId: number, tag: string): Promise<{ id: number }> {
  const found = await machineByTag(db, shopId, tag.trim())
  if (!found) throw new Problem('not-found', say('refused.no-tag', { tag }))
  return found
}

/** The owner who is meant, who is added where they are new. @throws Problem 422 for one of another shop */
export async function ownerOf(db: Db, shopId: number, customer: OwnerChangeRequest['customer']): Promise<number> {
  if (!('id' in customer)) return insertCustomer(db, shopId, customer)
  if (!(await customerById(db, shopId, customer.id))) refuse('customer', say('refused.choose-owner'))
  return customer.id
}
/** @throws Problem 409 where another machine of the shop has the tag */
export async function freeTag(db: Db, shopId: number, tag: string, own: number | null): Promise<void> {
  const other = await machineByTag(db, shopId, tag)
  if (other && other.id !== own)
    throw new Problem('duplicate', say('refused.tag-taken-merge', { tag }), {
      detail: String(other.id),
      fields: [{ field: 'tag', message: say('refused.tag-taken', { tag }) }],
    })
}

/** Adds a machine, and its owner where that is a new one. */
export async function addMachine(pool: Pool, shopId: number, request: MachineRequest): Promise<MachineRow> {
  const row = await adding(pool, shopId, request)
  await machineChanged(pool, shopId, row.id)
  return row
}
const adding = (pool: Pool, shopId: number, { customer, ...machine }: MachineRequest): Promise<MachineRow> =>
  transaction(pool, async db => {
    if (!(await modelById(db, shopId, machine.modelId))) refuse('modelId', say('refused.choose-model'))
    await freeTag(db, shopId, machine.tag, null)
    const id = await insertMachine(db, shopId, { ...machine, customerId: await ownerOf(db, shopId, customer) })
    return (await machineById(db, shopId, id))!
  })

/** Works on one machine under its lock; what is due is worked out anew after. */
async function change(
  pool: Pool,
  person: SignedIn,
  id: number,
  work: (db: Db, machine: MachineRow) => Promise<void>,
): Promise<MachineRow> {
  const { shopId } = person
  await transaction(pool, async db => {
    if (!(await lockMachine(db, shopId, id))) throw notFound('machine')
    await work(db, (await machineById(db, shopId, id))!)
  })
  await machineChanged(pool, shopId, id)
  return (await machineById(pool, shopId, id))!
}

/** Name, tag, plate and numbers. The meter’s unit is a matter of its readings: it stays once there are any. */
export const editMachine = (pool: Pool, person: SignedIn, id: number, sent: MachineChange) =>
  change(pool, person, id, async (db, machine) => {
    const request = laidOver<MachineEditRequest>(machine, sent)
    if (request.meterUnit !== machine.meterUnit && machine.lastMeter !== null)
      refuse('meterUnit', say('refused.meter-unit', { unit: machine.meterUnit }))
    await freeTag(db, person.shopId, request.tag, id)
    await updateMachine(db, person.shopId, id, request)
  })

/** Gives a machine to another owner. Its history stays with it. */
export const changeOwner = (pool: Pool, person: SignedIn, id: number, { customer }: OwnerChangeRequest, now: Date) =>
  change(pool, person, id, async (db, machine) => {
    const to = await ownerOf(db, person.shopId, customer)
    if (to === machine.customerId) refuse('customer', say('refused.owner-already', { owner: machine.owner }))
    await setOwner(db, person.shopId, id, to)
    await insertRecord(db, person.shopId, {
      machineId: id,
      kind: 'owner',
      at: now,
      words: t('record.owner', { from: machine.owner, to: (await customerById(db, person.shopId, to))!.name }),
      personId: person.id,
    })
  })

/** The day of a record, at the shop’s noon. @throws Problem for one that is still to come */
async function dayOf(db: Db, shopId: number, on: string, now: Date): Promise<Date> {
  const { timeZone } = await shopById(db, shopId)
  const today = daysIn(timeZone)(now)
  if (on > today) refuse('on', say('refused.day-to-come', { day: dayWords(Date.parse(on)) }))
  return on === today ? now : noonOf(on, timeZone)
}

const readingsOf = async (db: Db, shopId: number, machineId: number): Promise<MeterReading[]> =>
  (await metersOf(db, shopId, [machineId])).map(m => ({
    atMs: m.at.getTime(),
    meter: m.meter,
    replaced: m.replaced === 1,
  }))
/** @throws Problem for a reading that cannot stand between its neighbours; it says which and what to do */
export async function checkMeter(
  db: Db,
  shopId: number,
  machine: Pick<MachineRow, 'id' | 'meterUnit'>,
  added: MeterReading,
): Promise<void> {
  const clash = meterClash(await readingsOf(db, shopId, machine.id), added)
  if (!clash) return
  const { timeZone } = await shopById(db, shopId)
  const facts = {
    day: dayWords(clash.reading.atMs, timeZone),
    before: formatMeter(clash.reading.meter, machine.meterUnit),
    given: formatMeter(added.meter, machine.meterUnit),
  }
  refuse(
    'meter',
    clash.side === 'earlier' ? say('refused.meter-lower', facts) : say('refused.meter-higher', facts),
    clash.side === 'earlier' ? 'meter-lower' : 'meter-higher',
  )
}

/** A meter that was read outside a job. */
export const tellMeter = (pool: Pool, person: SignedIn, id: number, { on, meter, replaced }: MeterRequest, now: Date) =>
  change(pool, person, id, async (db, machine) => {
    const at = await dayOf(db, person.shopId, on, now)
    await checkMeter(db, person.shopId, machine, { atMs: at.getTime(), meter, replaced })
    const sourceId = await insertRecord(db, person.shopId, {
      machineId: id,
      kind: 'meter',
      at,
      words: t('record.meter', { meter: formatMeter(meter, machine.meterUnit), replaced }),
      personId: person.id,
    })
    await insertMeter(db, person.shopId, { machineId: id, source: 'record', sourceId, at, meter, replaced })
  })

/** Another engine was put in: what was on record of the old one stays in the log, and drift begins anew. */
export const changeEngine = (
  pool: Pool,
  person: SignedIn,
  id: number,
  { on, modelId, words }: EngineChangeRequest,
  now: Date,
) =>
  change(pool, person, id, async (db, machine) => {
    if (machine.openJobId !== null)
      throw new Problem('open-job', say('refused.this-machine-has-an-open-job'), {
        detail: String(machine.openJobId),
      })
    const model = await modelById(db, person.shopId, modelId)
    if (!model) return refuse('modelId', say('refused.choose-model'))
    const at = await dayOf(db, person.shopId, on, now)
    await setModel(db, person.shopId, id, modelId)
    await insertRecord(db, person.shopId, {
      machineId: id,
      kind: 'engine',
      at,
      words: [t('record.engine', { from: machine.model, to: `${model.maker} ${model.model}` }), words]
        .filter(Boolean)
        .join('. '),
      personId: person.id,
    })
  })

const LIMIT_MM = 5
function checkValves(engine: Engine, valves: PastVisitRequest['valves']): void {
  for (const [id, { foundMm, leftMm }] of Object.entries(valves)) {
    const valve = engine.valves.find(v => v.id === id)
    if (!valve) refuse('valves', say('refused.no-such-valve'))
    for (const r of [foundMm, leftMm])
      if (r && r.hiMm !== null && (r.hiMm < r.loMm || r.hiMm > LIMIT_MM))
        refuse(`valves.${id}`, say('refused.reading-order', { valve: valve!.name }))
  }
  if (Object.values(valves).every(v => !v.foundMm && !v.leftMm)) refuse('valves', say('refused.give-a-valve'))
}

/** A visit that is entered late, from paper: it takes its place between the others by its day. */
export const addPastVisit = (
  pool: Pool,
  person: SignedIn,
  id: number,
  { on, meter, replaced, valves, words }: PastVisitRequest,
  now: Date,
) =>
  change(pool, person, id, async (db, machine) => {
    const at = await dayOf(db, person.shopId, on, now)
    const model = await modelById(db, person.shopId, machine.modelId)
    if (!model) throw notFound('model')
    checkValves(model.engine, valves)
    if (meter !== null) await checkMeter(db, person.shopId, machine, { atMs: at.getTime(), meter, replaced })
    const sourceId = await insertPastVisit(db, person.shopId, { machineId: id, at, valves, words, personId: person.id })
    if (meter !== null)
      await insertMeter(db, person.shopId, { machineId: id, source: 'past visit', sourceId, at, meter, replaced })
  })

/** Two entries of one machine become one: all that hangs on the double goes over, and its tag is said in the log. */
export async function mergeMachines(
  pool: Pool,
  person: SignedIn,
  id: number,
  intoId: number,
  now: Date,
): Promise<MachineRow> {
  if (id === intoId) refuse('intoId', say('refused.choose-another-machine'))
  return change(pool, person, intoId, async (db, into) => {
    const from = (await lockMachine(db, person.shopId, id)) && (await machineById(db, person.shopId, id))
    if (!from) throw notFound('machine')
    if (from.modelId !== into.modelId)
      refuse('intoId', say('refused.other-engines', { first: from.model, second: into.model }))
    if (from.meterUnit !== into.meterUnit)
      refuse('intoId', say('refused.other-units', { first: from.meterUnit, second: into.meterUnit }))
    if (from.openJobId !== null && into.openJobId !== null)
      throw new Problem('open-job', say('refused.both-have-an-open-job'), {
        detail: String(from.openJobId),
      })
    const { timeZone } = await shopById(db, person.shopId)
    let before: MeterReading[] = []
    for (const r of [
      ...(await readingsOf(db, person.shopId, intoId)),
      ...(await readingsOf(db, person.shopId, id)),
    ].sort((a, b) => a.atMs - b.atMs)) {
      const clash = meterClash(before, r)
      if (clash)
        refuse(
          'intoId',
          say('refused.meters-clash', {
            first: formatMeter(clash.reading.meter, into.meterUnit),
            firstDay: dayWords(clash.reading.atMs, timeZone),
            second: formatMeter(r.meter, into.meterUnit),
            secondDay: dayWords(r.atMs, timeZone),
          }),
        )
      before = [...before, r]
    }
    await moveMachine(db, person.shopId, id, intoId)
    await insertRecord(db, person.shopId, {
      machineId: intoId,
      kind: 'merged',
      at: now,
      words: t('record.merged', { machine: from.name, tag: from.tag, owner: from.owner }),
      personId: person.id,
    })
  })
}
