import type { Language } from '../../shared/languages'
import { change, type Db, many, maybeOne } from '../database/query'

export const insertReminder = async (
  db: Db,
  shopId: number,
  r: {
    customerId: number
    machineIds: number[]
    how: 'copied' | 'printed' | 'sent'
    text: string
    personId: number
    at: Date
  },
): Promise<number> =>
  (
    await change(
      db,
      `INSERT INTO reminders (shop_id, customer_id, machine_ids, how, text, person_id, told_at)
        VALUES (?, ?, ?, ?, ?, ?, ?)`,
      [shopId, r.customerId, JSON.stringify(r.machineIds), r.how, r.text, r.personId, r.at],
    )
  ).id

export interface CalendarAddress {
  id: number
  madeBy: string
  madeAt: Date
}
export const calendarAddresses = (db: Db, shopId: number): Promise<CalendarAddress[]> =>
  many(
    db,
    `
  SELECT a.id, p.name AS madeBy, a.made_at AS madeAt FROM calendar_addresses a
  JOIN people p ON p.shop_id = a.shop_id AND p.id = a.made_by WHERE a.shop_id = ? AND a.ended_at IS NULL
  ORDER BY a.id`,
    [shopId],
  )
export const insertCalendarAddress = async (db: Db, shopId: number, hash: string, personId: number): Promise<number> =>
  (
    await change(
      db,
      'INSERT INTO calendar_addresses (shop_id, hash, made_by, made_at) VALUES (?, ?, ?, UTC_TIMESTAMP(3))',
      [shopId, hash, personId],
    )
  ).id
export const endCalendarAddress = async (db: Db, shopId: number, id: number): Promise<boolean> =>
  (
    await change(
      db,
      'UPDATE calendar_addresses SET ended_at = UTC_TIMESTAMP(3) WHERE shop_id = ? AND id = ? AND ended_at IS NULL',
      [shopId, id],
    )
  ).affected === 1
/**
 * Whose calendar an address is, and the language of who made the address; none for one that was ended, or of a shop
 * that is closed. The secret itself is not kept.
 */
export const shopOfCalendar = (db: Db, hash: string): Promise<{ shopId: number; language: Language | null } | null> =>
  maybeOne(
    db,
    `SELECT a.shop_id AS shopId, p.language FROM calendar_addresses a
     JOIN shops s ON s.id = a.shop_id AND s.closed_at IS NULL
     JOIN people p ON p.shop_id = a.shop_id AND p.id = a.made_by WHERE a.hash = ? AND a.ended_at IS NULL`,
    [hash],
  )
