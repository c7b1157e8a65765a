import type { Engine } from '../../../core/engine'
import { type MeterReading, meterClash } from '../../../core/history'
import { LOCALE, formatMeter, type MeterUnit } from '../../../core/units'
import type {
  EngineChangeRequest,
  MachineEditRequest,
  MachineRequest,
  MeterRequest,
  OwnerChangeRequest,
  PastVisitRequest,
} from '../../../shared/requests'
import type { MachineRow } from '../../../shared/responses'
import { type Db, type Pool, transaction } from '../../database/query'
import { customerById, insertCustomer } from '../../repositories/customers'
import {
  findMachines,
  insertMachine,
  insertRecord,
  lockMachine,
  machineById,
  machineByTag,
  moveMachine,
  setModel,
  setOwner,
  updateMachine,
} from '../../repositories/machines'
import { insertMeter, metersOf } from '../../repositories/meters'
import { modelById } from '../../repositories/models'
import { shopById } from '../../repositories/shops'
import { insertPastVisit } from '../../repositories/visits'
import { daysIn } from '../days'
import type { ProblemCode } from '../../../shared/problem'
import { notFound, Problem } from '../../problem'
import type { SignedIn } from '../people'
import { machineChanged } from './outlooks'

const refuse = (field: string, message: string, code: ProblemCode = 'unfit'): never => {
  throw new Problem(code, message, { fields: [{ field, message }] })
}
const dayWords = (at: Date | number): string =>
  new Date(at).toLocaleDateString(LOCALE, { day: 'numeric', month: 'short', year: 'numeric', timeZone: 'UTC' })

export const listMachines = (db: Db, shopId: number, text: string): Promise<MachineRow[]> =>
  findMachines(db, shopId, text.trim())

/** The machine that a tag hangs on. */
export async function machineWithTag(db: Db, shopId: number, tag: string): Promise<{ id: number }> {
  const found = await machineByTag(db, shopId, tag.trim())
  if (!found) throw new Problem('not-found', `No machine of this shop has the tag ${tag}.`)
  return found
}

async function ownerOf(db: Db, shopId: number, customer: OwnerChangeRequest['customer']): Promise<number> {
  if (!('id' in customer)) return insertCustomer(db, shopId, customer)
  if (!(await customerById(db, shopId, customer.id))) refuse('customer', 'Choose an owner of this shop.')
  return customer.id
}
async function freeTag(db: Db, shopId: number, tag: string, own: number | null): Promise<void> {
  const other = await machineByTag(db, shopId, tag)
  if (other && other.id !== own)
    throw new Problem(
      'duplicate',
      `Another machine has the tag ${tag}. Choose another, or merge the two if they are one machine.`,
      {
        detail: String(other.id),
        fields: [{ field: 'tag', message: `Another machine has the tag ${tag}.` }],
      },
    )
}

/** Adds a machine, and its owner where that is a new one. */
export async function addMachine(pool: Pool, shopId: number, request: MachineRequest): Promise<MachineRow> {
  const row = await adding(pool, shopId, request)
  await machineChanged(pool, shopId, row.id)
  return row
}
const adding = (pool: Pool, shopId: number, { customer, ...machine }: MachineRequest): Promise<MachineRow> =>
  transaction(pool, async db => {
    if (!(await modelById(db, shopId, machine.modelId))) refuse('modelId', 'Choose an engine model of this shop.')
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
export const editMachine = (pool: Pool, person: SignedIn, id: number, request: MachineEditRequest) =>
  change(pool, person, id, async (db, machine) => {
    if (request.meterUnit !== machine.meterUnit && machine.lastMeter !== null)
      refuse(
        'meterUnit',
        `Its readings so far are in ${machine.meterUnit}. A meter that counts otherwise is another meter: enter its first reading as a replaced one.`,
      )
    await freeTag(db, person.shopId, request.tag, id)
    await updateMachine(db, person.shopId, id, request)
  })

/** Gives a machine to another owner. Its history stays with it. */
export const changeOwner = (pool: Pool, person: SignedIn, id: number, { customer }: OwnerChangeRequest, now: Date) =>
  change(pool, person, id, async (db, machine) => {
    const to = await ownerOf(db, person.shopId, customer)
    if (to === machine.customerId) refuse('customer', `It is ${machine.owner}’s already.`)
    await setOwner(db, person.shopId, id, to)
    await insertRecord(db, person.shopId, {
      machineId: id,
      kind: 'owner',
      at: now,
      words: `From ${machine.owner} to ${(await customerById(db, person.shopId, to))!.name}`,
      personId: person.id,
    })
  })

/**
 * The day of a record, at noon, so that no zone makes another day of it. @throws Problem for one that is still to come
 */
async function dayOf(db: Db, shopId: number, on: string, now: Date): Promise<Date> {
  const { timeZone } = await shopById(db, shopId)
  const today = daysIn(timeZone)(now)
  if (on > today) refuse('on', `${dayWords(Date.parse(on))} is still to come. Give the day on which it was.`)
  return on === today ? now : new Date(`${on}T12:00:00Z`)
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
  const other = `On ${dayWords(clash.reading.atMs)} the meter stood at ${formatMeter(clash.reading.meter, machine.meterUnit)}`
  const said = formatMeter(added.meter, machine.meterUnit)
  refuse(
    'meter',
    clash.side === 'earlier'
      ? `${other}, and ${said} is less. Read it again, or say that the meter was replaced.`
      : `${other}, which is after this day, and ${said} is more. Read the paper again: day or meter is a slip.`,
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
      words: `Meter ${formatMeter(meter, machine.meterUnit)}${replaced ? ', replaced' : ''}`,
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
      throw new Problem(
        'open-job',
        'This machine has an open job on the old engine. Close or abandon that one first.',
        {
          detail: String(machine.openJobId),
        },
      )
    const model = await modelById(db, person.shopId, modelId)
    if (!model) return refuse('modelId', 'Choose an engine model of this shop.')
    const at = await dayOf(db, person.shopId, on, now)
    await setModel(db, person.shopId, id, modelId)
    await insertRecord(db, person.shopId, {
      machineId: id,
      kind: 'engine',
      at,
      words: [`${machine.model} out, ${model.maker} ${model.model} in`, words].filter(Boolean).join('. '),
      personId: person.id,
    })
  })

const LIMIT_MM = 5
function checkValves(engine: Engine, valves: PastVisitRequest['valves']): void {
  for (const [id, { foundMm, leftMm }] of Object.entries(valves)) {
    const valve = engine.valves.find(v => v.id === id)
    if (!valve) refuse('valves', 'This machine’s engine has no such valve. Reload the page.')
    for (const r of [foundMm, leftMm])
      if (r && r.hiMm !== null && (r.hiMm < r.loMm || r.hiMm > LIMIT_MM))
        refuse(`valves.${id}`, `${valve!.name}: a reading goes from less to more, in mm. Look at it again.`)
  }
  if (Object.values(valves).every(v => !v.foundMm && !v.leftMm))
    refuse('valves', 'Give what was found or left of one valve at least.')
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

const unitWords: Record<MeterUnit, string> = { h: 'hours', km: 'km', mi: 'miles' }
/** Two entries of one machine become one: all that hangs on the double goes over, and its tag is said in the log. */
export async function mergeMachines(
  pool: Pool,
  person: SignedIn,
  id: number,
  intoId: number,
  now: Date,
): Promise<MachineRow> {
  if (id === intoId) refuse('intoId', 'Choose another machine than this one.')
  return change(pool, person, intoId, async (db, into) => {
    const from = (await lockMachine(db, person.shopId, id)) && (await machineById(db, person.shopId, id))
    if (!from) throw notFound('machine')
    if (from.modelId !== into.modelId)
      refuse('intoId', `They have different engines on record: ${from.model} and ${into.model}. Put that right first.`)
    if (from.meterUnit !== into.meterUnit)
      refuse(
        'intoId',
        `Their meters count ${unitWords[from.meterUnit]} and ${unitWords[into.meterUnit]}. Put that right first.`,
      )
    if (from.openJobId !== null && into.openJobId !== null)
      throw new Problem('open-job', 'Both have an open job. Close or abandon one of them first.', {
        detail: String(from.openJobId),
      })
    let before: MeterReading[] = []
    for (const r of [
      ...(await readingsOf(db, person.shopId, intoId)),
      ...(await readingsOf(db, person.shopId, id)),
    ].sort((a, b) => a.atMs - b.atMs)) {
      const clash = meterClash(before, r)
      if (clash)
        refuse(
          'intoId',
          `Their meters do not go together: ${formatMeter(clash.reading.meter, into.meterUnit)} on ${dayWords(clash.reading.atMs)}, then ${formatMeter(r.meter, into.meterUnit)} on ${dayWords(r.atMs)}. Are they really one machine?`,
        )
      before = [...before, r]
    }
    await moveMachine(db, person.shopId, id, intoId)
    await insertRecord(db, person.shopId, {
      machineId: intoId,
      kind: 'merged',
      at: now,
      words: `${from.name}, tag ${from.tag}, of ${from.owner} was a double and was taken in`,
      personId: person.id,
    })
  })
}
