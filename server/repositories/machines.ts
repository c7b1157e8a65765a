import type { FindableMachine } from '../../core/search'
import type { MeterUnit } from '../../core/units'
import type { MachineRow } from '../../shared/machines'
import { change, type Db, many, maybeOne } from '../database/query'

/** A machine's columns; of machines m, customers c, engine_models e and the spec_revisions r in force. */
export const MACHINE = `
    m.id, m.name, m.tag, m.serial, m.plate, m.customer_id AS customerId, c.name AS owner, m.model_id AS modelId,
    CONCAT(e.maker, ' ', e.model) AS model, e.kind, m.meter_unit AS meterUnit,
    (SELECT t.meter FROM meter_readings t WHERE t.shop_id = m.shop_id
      AND t.machine_id = m.id ORDER BY t.at DESC, t.source_id DESC LIMIT 1) AS lastMeter,
    (SELECT MAX(j.id) FROM jobs j FORCE INDEX (jobs_machine) WHERE j.shop_id = m.shop_id AND j.machine_id = m.id
      AND j.status IN ('open', 'held')) AS openJobId,
    r.revision, IF(r.id IS NULL, NULL, IF(r.approved_at IS NULL, 'draft', 'approved')) AS status, m.created_at AS since`
const SELECT = `
  SELECT ${MACHINE}
  FROM machines m
  JOIN customers c ON c.shop_id = m.shop_id AND c.id = m.customer_id
  JOIN engine_models e ON e.shop_id = m.shop_id AND e.id = m.model_id
  LEFT JOIN spec_revisions r ON r.shop_id = e.shop_id AND r.id = e.in_force_id`

export const likeOf = (text: string): string => `%${text.replace(/[\\%_]/g, '\\$&')}%`

/** Machines whose name, tag, plate, serial number, owner or model holds the text; all when it is empty. */
export const findMachines = (db: Db, shopId: number, text: string): Promise<MachineRow[]> =>
  text === ''
    ? many(db, `${SELECT} WHERE m.shop_id = ? AND NOT m.quick ORDER BY m.name, m.id LIMIT 50`, [shopId])
    : many(
        db,
        `${SELECT} WHERE m.shop_id = ? AND NOT m.quick
      AND (m.name LIKE ? OR m.tag LIKE ? OR m.plate LIKE ? OR m.serial LIKE ? OR c.name LIKE ?
        OR CONCAT(e.maker, ' ', e.model) LIKE ?)
    ORDER BY m.tag = ? DESC, m.plate = ? DESC, m.name, m.id LIMIT 50`,
        [shopId, ...Array<string>(6).fill(likeOf(text)), text, text],
      )

/** What every machine on record of the shop is found by. */
export const machinesToFind = (db: Db, shopId: number): Promise<(FindableMachine & { id: number })[]> =>
  many(
    db,
    `SELECT m.id, m.name, m.tag, m.plate, m.serial, c.name AS owner, CONCAT(e.maker, ' ', e.model) AS model
     FROM machines m
     JOIN customers c ON c.shop_id = m.shop_id AND c.id = m.customer_id
     JOIN engine_models e ON e.shop_id = m.shop_id AND e.id = m.model_id
     WHERE m.shop_id = ? AND NOT m.quick LIMIT 20000`,
    [shopId],
  )
/** Machines by their ids, in the order of these. */
export const machinesByIds = async (db: Db, shopId: number, ids: number[]): Promise<MachineRow[]> => {
  if (ids.length === 0) return []
  const rows = await many<MachineRow>(
    db,
    `${SELECT} WHERE m.shop_id = ? AND m.id IN (${ids.map(() => '?').join(', ')})`,
    [shopId, ...ids],
  )
  const byId = new Map(rows.map(row => [row.id, row]))
  return ids.flatMap(id => byId.get(id) ?? [])
}

export const machineById = (db: Db, shopId: number, id: number): Promise<MachineRow | null> =>
  maybeOne(db, `${SELECT} WHERE m.shop_id = ? AND m.id = ?`, [shopId, id])
export const machineByTag = (db: Db, shopId: number, tag: string): Promise<{ id: number } | null> =>
  maybeOne(db, 'SELECT id FROM machines WHERE shop_id = ? AND tag = ?', [shopId, tag])
export const newestTags = async (db: Db, shopId: number, most: number): Promise<string[]> =>
  (
    await many<{ tag: string }>(
      db,
      `SELECT tag FROM machines WHERE shop_id = ? AND NOT quick ORDER BY id DESC LIMIT ${most}`,
      [shopId],
    )
  ).map(row => row.tag)
export const lockMachine = (db: Db, shopId: number, id: number): Promise<{ id: number } | null> =>
  maybeOne(db, 'SELECT id FROM machines WHERE shop_id = ? AND id = ? FOR UPDATE', [shopId, id])

export interface MachineGiven {
  name: string
  tag: string
  serial: string
  plate?: string
  meterUnit: MeterUnit
}
export const insertMachine = async (
  db: Db,
  shopId: number,
  m: MachineGiven & { customerId: number; modelId: number; at?: Date; quick?: boolean },
): Promise<number> =>
  (
    await change(
      db,
      `INSERT INTO machines (shop_id, customer_id, model_id, name, tag, serial, plate, meter_unit, created_at, quick)
       VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
      [
        ...[shopId, m.customerId, m.modelId, m.name, m.tag, m.serial, m.plate ?? '', m.meterUnit],
        ...[m.at ?? new Date(), m.quick ?? false],
      ],
    )
  ).id
export const updateMachine = (db: Db, shopId: number, id: number, m: Required<MachineGiven>) =>
  change(
    db,
    'UPDATE machines SET name = ?, tag = ?, serial = ?, plate = ?, meter_unit = ? WHERE shop_id = ? AND id = ?',
    [m.name, m.tag, m.serial, m.plate, m.meterUnit, shopId, id],
  )
export const setOwner = (db: Db, shopId: number, id: number, customerId: number) =>
  change(db, 'UPDATE machines SET customer_id = ? WHERE shop_id = ? AND id = ?', [customerId, shopId, id])
export const setModel = (db: Db, shopId: number, id: number, modelId: number) =>
  change(db, 'UPDATE machines SET model_id = ? WHERE shop_id = ? AND id = ?', [modelId, shopId, id])

/** All that hangs on a machine goes over to another, and the double is gone. */
export async function moveMachine(db: Db, shopId: number, from: number, to: number): Promise<void> {
  await change(
    db,
    "UPDATE jobs SET machine_id = ?, pin = JSON_SET(pin, '$.machine.id', ?) WHERE shop_id = ? AND machine_id = ?",
    [to, to, shopId, from],
  )
  for (const table of ['meter_readings', 'machine_records', 'past_visits', 'photos'])
    await change(db, `UPDATE ${table} SET machine_id = ? WHERE shop_id = ? AND machine_id = ?`, [to, shopId, from])
  await change(db, 'DELETE FROM machines WHERE shop_id = ? AND id = ?', [shopId, from])
}

export type RecordKind = 'owner' | 'engine' | 'meter' | 'merged'
export interface MachineRecord {
  id: number
  kind: RecordKind
  at: Date
  words: string
  person: string
}
export const insertRecord = async (
  db: Db,
  shopId: number,
  r: { machineId: number; kind: RecordKind; at: Date; words: string; personId: number },
): Promise<number> =>
  (
    await change(
      db,
      `INSERT INTO machine_records (shop_id, machine_id, kind, at, words, person_id, made_at)
        VALUES (?, ?, ?, ?, ?, ?, UTC_TIMESTAMP(3))`,
      [shopId, r.machineId, r.kind, r.at, r.words.slice(0, 300), r.personId],
    )
  ).id
export const recordsOfMachine = (db: Db, shopId: number, machineId: number): Promise<MachineRecord[]> =>
  many(
    db,
    `
  SELECT r.id, r.kind, r.at, r.words, p.name AS person FROM machine_records r
  JOIN people p ON p.shop_id = r.shop_id AND p.id = r.person_id
  WHERE r.shop_id = ? AND r.machine_id = ? ORDER BY r.at DESC, r.id DESC`,
    [shopId, machineId],
  )
/** When machines came to the shop. */
export const createdOf = (db: Db, shopId: number, ids: readonly number[]): Promise<{ id: number; at: Date }[]> =>
  ids.length === 0
    ? Promise.resolve([])
    : many(
        db,
        `SELECT id, created_at AS at FROM machines WHERE shop_id = ? AND id IN (${ids.map(() => '?').join(', ')})`,
        [shopId, ...ids],
      )
