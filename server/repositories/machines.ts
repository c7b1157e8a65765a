import type { MeterUnit } from '../../core/units'
import type { CustomerRow, MachineRow } from '../../shared/responses'
import { change, type Db, many, maybeOne } from '../database/query'

const SELECT = `
  SELECT m.id, m.name, m.tag, c.name AS owner, m.model_id AS modelId, CONCAT(e.maker, ' ', e.model) AS model, e.kind, m.meter_unit AS meterUnit,
    (SELECT j.meter FROM jobs j WHERE j.shop_id = m.shop_id AND j.machine_id = m.id AND j.meter IS NOT NULL ORDER BY j.opened_at DESC, j.id DESC LIMIT 1) AS lastMeter,
    (SELECT MAX(j.id) FROM jobs j WHERE j.shop_id = m.shop_id AND j.machine_id = m.id AND j.status IN ('open', 'held')) AS openJobId,
    r.revision, IF(r.id IS NULL, NULL, IF(r.approved_at IS NULL, 'draft', 'approved')) AS status
  FROM machines m
  JOIN customers c ON c.shop_id = m.shop_id AND c.id = m.customer_id
  JOIN engine_models e ON e.shop_id = m.shop_id AND e.id = m.model_id
  LEFT JOIN spec_revisions r ON r.shop_id = e.shop_id AND r.id = e.in_force_id`

const likeOf = (text: string): string => `%${text.replace(/[\\%_]/g, '\\$&')}%`

/** Machines whose name, tag, owner or model holds the text; all when it is empty. */
export const findMachines = (db: Db, shopId: number, text: string): Promise<MachineRow[]> =>
  many(db, `${SELECT} WHERE m.shop_id = ? AND (m.name LIKE ? OR m.tag LIKE ? OR c.name LIKE ? OR CONCAT(e.maker, ' ', e.model) LIKE ?) ORDER BY m.name LIMIT 50`, [shopId, ...Array<string>(4).fill(likeOf(text))])

export const machineById = (db: Db, shopId: number, id: number): Promise<MachineRow | null> =>
  maybeOne(db, `${SELECT} WHERE m.shop_id = ? AND m.id = ?`, [shopId, id])

export const insertMachine = async (db: Db, shopId: number, m: { customerId: number, modelId: number, name: string, tag: string, serial: string, meterUnit: MeterUnit }): Promise<number> =>
  (await change(db, 'INSERT INTO machines (shop_id, customer_id, model_id, name, tag, serial, meter_unit, created_at) VALUES (?, ?, ?, ?, ?, ?, ?, UTC_TIMESTAMP(3))', [shopId, m.customerId, m.modelId, m.name, m.tag, m.serial, m.meterUnit])).id

export const customersOfShop = (db: Db, shopId: number): Promise<CustomerRow[]> => many(db, 'SELECT id, name FROM customers WHERE shop_id = ? ORDER BY name', [shopId])
export const customerById = (db: Db, shopId: number, id: number): Promise<CustomerRow | null> => maybeOne(db, 'SELECT id, name FROM customers WHERE shop_id = ? AND id = ?', [shopId, id])
export const insertCustomer = async (db: Db, shopId: number, c: { name: string, contact: string }): Promise<number> =>
  (await change(db, 'INSERT INTO customers (shop_id, name, contact) VALUES (?, ?, ?)', [shopId, c.name, c.contact])).id
