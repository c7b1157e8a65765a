import { causeWords, daysWords, whenWords, whyWords } from '../../core/history'
import { reminderText } from '../../core/history/reminder'
import { findingWords } from '../../core/job'
import { say } from '../../core/said'
import { DAY_MS, daysIn } from '../../core/units'
import type { CustomerRow, ReminderRequest } from '../../shared/customers'
import type { DueItem, DueResponse, ReminderResponse } from '../../shared/machines'
import type { Db, Pool } from '../database/query'
import { notFound, Problem } from '../problem'
import { customerById } from '../repositories/customers'
import { lastClosedJob } from '../repositories/jobs'
import { modelsByIds } from '../repositories/models'
import { anyStale, type DueRow, dueUntil } from '../repositories/outlooks'
import { insertReminder } from '../repositories/reminders'
import { shopById } from '../repositories/shops'
import { inTheirs, tell } from '../words'
import { onItsDay } from './days'
import { leftBy } from './jobs'
import { sendLetter } from './mail'
import type { SignedIn } from './people'

/** A page of the list holds no more; whoever is that far behind works from the top. */
const MOST = 300
/** The Monday of a day's week. */
const mondayOf = (ms: number): string =>
  new Date(ms - ((new Date(ms).getUTCDay() + 6) % 7) * DAY_MS).toISOString().slice(0, 10)

async function itemsOf(db: Db, shopId: number, rows: DueRow[], timeZone: string, now: Date): Promise<DueItem[]> {
  const engines = new Map(
    (await modelsByIds(db, shopId, [...new Set(rows.map(r => r.modelId))])).map(m => [m.id, m.engine]),
  )
  const [dayOf, onDay] = [daysIn(timeZone), onItsDay(timeZone)]
  const todayMs = Date.parse(dayOf(now))
  return rows.map((r): DueItem => {
    const engine = engines.get(r.modelId)
    const name = (valveId: string) => engine?.valves.find(v => v.id === valveId)?.name ?? valveId
    const [first] = r.reasons
    const day = dayOf(r.dueAt)
    const ms = Date.parse(day)
    return {
      machineId: r.machineId,
      name: r.name,
      tag: r.tag,
      customerId: r.customerId,
      owner: r.owner,
      email: r.email,
      meterUnit: r.meterUnit,
      dueAt: r.dueAt.toISOString(),
      day,
      days: tell(daysWords(ms, todayMs)),
      over: ms < todayMs,
      week: mondayOf(ms),
      cause: tell(causeWords(first!, name, engine?.interval ?? { use: null, months: null }, r.meterUnit)),
      when: tell(whenWords(onDay(first!), r.firstMeter, r.meterUnit)),
      why: tell(whyWords({ first: first!, all: r.reasons }, name, now.getTime())),
      reason: first!,
      openJobId: r.openJobId,
      toldAt: r.toldAt?.toISOString() ?? null,
    }
  })
}

/** Machines that are over or fall due within some weeks, soonest first. */
export async function dueList(db: Db, shopId: number, weeks: number, now: Date, most = MOST): Promise<DueResponse> {
  const { timeZone } = await shopById(db, shopId)
  const until = new Date(now.getTime() + weeks * 7 * DAY_MS)
  const rows = await dueUntil(db, shopId, until, most + 1)
  return {
    items: await itemsOf(db, shopId, rows.slice(0, most), timeZone, now),
    today: daysIn(timeZone)(now),
    until: daysIn(timeZone)(until),
    more: rows.length > most,
    working: await anyStale(db, shopId),
  }
}

/** What to tell an owner of those of their machines that are due within some weeks and are not here already. */
export async function draftReminder(
  db: Db,
  shopId: number,
  customerId: number,
  weeks: number,
  now: Date,
): Promise<ReminderResponse> {
  const customer = await customerById(db, shopId, customerId)
  if (!customer) throw notFound('owner')
  const { language } = await shopById(db, shopId)
  return inTheirs(customer.language ?? language, () => reminderTo(db, shopId, customer, weeks, now))
}
/** What a machine's last visit found and nobody has done since, as its owner reads it. */
async function stillToDo(db: Db, shopId: number, machineId: number): Promise<string[]> {
  const last = await lastClosedJob(db, shopId, machineId)
  if (!last) return []
  const { toDo } = await leftBy(db, shopId, last.id)
  // under “still to do” each line says no more of what is to become of it than that it could not be had
  return toDo.map(found => tell(findingWords({ ...found, end: found.end === 'to do' ? null : found.end })))
}
async function reminderTo(
  db: Db,
  shopId: number,
  customer: CustomerRow,
  weeks: number,
  now: Date,
): Promise<ReminderResponse> {
  const { name: shop } = await shopById(db, shopId)
  const due = (await dueList(db, shopId, weeks, now)).items.filter(i => i.customerId === customer.id)
  if (due.length === 0) throw new Problem('nothing-due', say('refused.nothing-due', { owner: customer.name }))
  const items = due.filter(i => i.openJobId === null)
  if (items.length === 0) throw new Problem('nothing-due', say('refused.due-here', { owner: customer.name }))
  const { subject, text } = reminderText({
    owner: customer.name,
    shop,
    lines: await Promise.all(
      items.map(async i => ({
        machine: i.name,
        tag: i.tag,
        when: say('letter.due', { when: i.when, late: i.over ? i.days : '' }),
        why: i.why,
        toDo: await stillToDo(db, shopId, i.machineId),
      })),
    ),
  })
  return {
    customerId: customer.id,
    owner: customer.name,
    email: customer.email,
    subject: tell(subject),
    text: tell(text),
    machineIds: items.map(i => i.machineId),
  }
}

/** Writes down that an owner was told, and sends it where it is to be sent. */
export async function tellOwner(
  pool: Pool,
  person: SignedIn,
  { customerId, machineIds, how, text, subject }: ReminderRequest,
  now: Date,
): Promise<{ id: number; file: string | null }> {
  const customer = await customerById(pool, person.shopId, customerId)
  if (!customer) throw notFound('owner')
  if (how === 'sent' && !customer.email)
    throw new Problem('unfit', say('refused.no-email', { owner: customer.name }), {
      fields: [{ field: 'email', message: say('wrong.give-an-address-first') }],
    })
  const { name: shop } = await shopById(pool, person.shopId)
  const file =
    how === 'sent'
      ? await sendLetter({
          ...{ shopId: person.shopId, from: shop, subject, text, at: now },
          to: { name: customer.name, address: customer.email },
        })
      : null
  return {
    id: await insertReminder(pool, person.shopId, { customerId, machineIds, how, text, personId: person.id, at: now }),
    file,
  }
}
