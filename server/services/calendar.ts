import { createHash, randomBytes } from 'node:crypto'
import ical, { ICalCalendarMethod } from 'ical-generator'
import { DAY_MS } from '../../core/units'
import type { CalendarAddressRow } from '../../shared/machines'
import type { Db } from '../database/query'
import { notFound } from '../problem'
import { calendarAddresses, endCalendarAddress, insertCalendarAddress, shopOfCalendar } from '../repositories/reminders'
import { shopById } from '../repositories/shops'
import { inTheirs, spoken, t } from '../words'
import { dueList } from './due'
import type { SignedIn } from './people'
import type { WholeFile } from './whole-file'

/** A calendar looks this far ahead. */
const WEEKS = 60
const hashOf = (secret: string): string => createHash('sha256').update(secret).digest('hex')

/**
 * What is due in a shop, as iCalendar (RFC 5545): a whole-day entry a machine, with an id that stays, so that a later
 * fetch moves it.
 * @param owners whether it names whose each machine is: not at an address that opens without signing in
 */
export async function dueCalendar(
  db: Db,
  shopId: number,
  now: Date,
  { owners } = { owners: true },
): Promise<WholeFile> {
  const { name } = await shopById(db, shopId)
  const { items } = await dueList(db, shopId, WEEKS, now)
  const calendar = ical({
    name: t('calendar.name', { shop: name }),
    prodId: { company: 'Wembric', product: 'due', language: spoken().toUpperCase() },
    method: ICalCalendarMethod.PUBLISH,
    ttl: 4 * 3600,
  })
  for (const item of items) {
    const start = new Date(`${item.day}T00:00:00Z`)
    calendar.createEvent({
      id: `machine-${item.machineId}-${shopId}@wembric`,
      stamp: now,
      start,
      end: new Date(start.getTime() + DAY_MS),
      allDay: true,
      summary: t('calendar.entry', { machine: item.name }),
      description: [
        owners ? t('calendar.whose', item) : t('calendar.tag', item),
        `${item.cause}: ${item.when}`,
        item.why,
      ].join('\n'),
    })
  }
  return { type: 'text/calendar; charset=utf-8', bytes: calendar.toString(), name: 'wembric-due.ics' }
}

export const listAddresses = async (db: Db, shopId: number): Promise<CalendarAddressRow[]> =>
  (await calendarAddresses(db, shopId)).map(a => ({ ...a, madeAt: a.madeAt.toISOString() }))
/** Makes a secret address. It is told this once; only its hash is kept. */
export async function makeAddress(db: Db, lead: SignedIn): Promise<{ id: number; path: string }> {
  const secret = randomBytes(24).toString('base64url')
  return { id: await insertCalendarAddress(db, lead.shopId, hashOf(secret), lead.id), path: `/api/calendar/${secret}` }
}
export async function endAddress(db: Db, lead: SignedIn, id: number): Promise<void> {
  if (!(await endCalendarAddress(db, lead.shopId, id))) throw notFound('address')
}
/**
 * The calendar at a secret address, in the language of who made it.
 * @throws Problem 404 for one that was ended, or never was
 */
export async function calendarAt(db: Db, secret: string, now: Date): Promise<WholeFile> {
  const found = await shopOfCalendar(db, hashOf(secret.replace(/\.ics$/, '')))
  if (!found) throw notFound('calendar')
  const calendar = await inTheirs(found.language, () => dueCalendar(db, found.shopId, now, { owners: false }))
  return { ...calendar, name: undefined }
}
