import type { CustomerRow } from '../../shared/customers'
import type { Language } from '../../shared/languages'
import { change, type Db, many, maybeOne } from '../database/query'

const SELECT = `
  SELECT c.id, c.name, c.contact, c.email, c.language, (SELECT COUNT(*) FROM machines m WHERE m.shop_id = c.shop_id
    AND m.customer_id = c.id) AS machines
  FROM customers c`
export interface CustomerGiven {
  name: string
  contact: string
  email?: string
  language?: Language | null
}

export const customersOfShop = (db: Db, shopId: number): Promise<CustomerRow[]> =>
  many(db, `${SELECT} WHERE c.shop_id = ? AND NOT c.quick ORDER BY c.name, c.id`, [shopId])
export const customerById = (db: Db, shopId: number, id: number): Promise<CustomerRow | null> =>
  maybeOne(db, `${SELECT} WHERE c.shop_id = ? AND c.id = ?`, [shopId, id])
/** An owner, held until the transaction ends. */
export const holdCustomer = (db: Db, shopId: number, id: number): Promise<{ id: number } | null> =>
  maybeOne(db, 'SELECT id FROM customers WHERE shop_id = ? AND id = ? FOR UPDATE', [shopId, id])
export const insertCustomer = async (db: Db, shopId: number, c: CustomerGiven): Promise<number> =>
  (
    await change(db, 'INSERT INTO customers (shop_id, name, contact, email, language) VALUES (?, ?, ?, ?, ?)', [
      shopId,
      c.name,
      c.contact,
      c.email ?? '',
      c.language ?? null,
    ])
  ).id
export const updateCustomer = (db: Db, shopId: number, id: number, c: Required<CustomerGiven>) =>
  change(db, 'UPDATE customers SET name = ?, contact = ?, email = ?, language = ? WHERE shop_id = ? AND id = ?', [
    c.name,
    c.contact,
    c.email,
    c.language,
    shopId,
    id,
  ])
/** The language that the owner of a machine is written in: their own, the shop's, or null. */
export const ownersLanguage = async (db: Db, shopId: number, machineId: number): Promise<Language | null> =>
  (
    await maybeOne<{ language: Language | null }>(
      db,
      `SELECT COALESCE(c.language, s.language) AS language FROM machines m
       JOIN customers c ON c.shop_id = m.shop_id AND c.id = m.customer_id JOIN shops s ON s.id = m.shop_id
       WHERE m.shop_id = ? AND m.id = ?`,
      [shopId, machineId],
    )
  )?.language ?? null

export const deleteCustomer = (db: Db, shopId: number, id: number) =>
  change(db, 'DELETE FROM customers WHERE shop_id = ? AND id = ?', [shopId, id])

/** All that hangs on a customer goes over to another. */
export async function moveCustomer(db: Db, shopId: number, from: number, to: number): Promise<void> {
  await change(db, 'UPDATE machines SET customer_id = ? WHERE shop_id = ? AND customer_id = ?', [to, shopId, from])
  await change(db, 'UPDATE reminders SET customer_id = ? WHERE shop_id = ? AND customer_id = ?', [to, shopId, from])
}
/** Whether anything was ever told to a customer. */
export const machinesOfCustomer = (
  db: Db,
  shopId: number,
  id: number,
): Promise<{ id: number; name: string; tag: string; openJobNumber: number | null }[]> =>
  many(
    db,
    `
  SELECT m.id, m.name, m.tag, (SELECT MAX(j.number) FROM jobs j WHERE j.shop_id = m.shop_id AND j.machine_id = m.id
    AND j.status IN ('open', 'held')) AS openJobNumber
  FROM machines m WHERE m.shop_id = ? AND m.customer_id = ? ORDER BY m.name`,
    [shopId, id],
  )
export const dropRemindersOf = (db: Db, shopId: number, id: number) =>
  change(db, 'DELETE FROM reminders WHERE shop_id = ? AND customer_id = ?', [shopId, id])
