import type { CrewMember, TrustedDevice } from '../../shared/change-of-hands'
import { change, type Db, many, maybeOne } from '../database/query'

export const insertDevice = async (
  db: Db,
  shopId: number,
  d: { name: string; keyHash: string; personId: number },
): Promise<number> =>
  (
    await change(
      db,
      `INSERT INTO trusted_devices (shop_id, name, key_hash, person_id, made_at)
       VALUES (?, ?, ?, ?, UTC_TIMESTAMP(3))`,
      [shopId, d.name, d.keyHash, d.personId],
    )
  ).id
export const devicesOfShop = async (db: Db, shopId: number): Promise<TrustedDevice[]> =>
  (
    await many<Omit<TrustedDevice, 'madeAt' | 'usedAt'> & { madeAt: Date; usedAt: Date | null }>(
      db,
      `SELECT d.id, d.name, p.name AS person, d.made_at AS madeAt, d.used_at AS usedAt FROM trusted_devices d
       JOIN people p ON p.shop_id = d.shop_id AND p.id = d.person_id WHERE d.shop_id = ? ORDER BY d.id`,
      [shopId],
    )
  ).map(d => ({ ...d, madeAt: d.madeAt.toISOString(), usedAt: d.usedAt?.toISOString() ?? null }))
/** The device that holds a key says which shop it is of; none is trusted by a closed one. */
export const deviceByKey = (db: Db, keyHash: string): Promise<{ id: number; shopId: number } | null> =>
  maybeOne(
    db,
    `SELECT d.id, d.shop_id AS shopId FROM trusted_devices d
     JOIN shops s ON s.id = d.shop_id AND s.closed_at IS NULL WHERE d.key_hash = ?`,
    [keyHash],
  )
export const touchDevice = (db: Db, shopId: number, id: number) =>
  change(db, 'UPDATE trusted_devices SET used_at = UTC_TIMESTAMP(3) WHERE shop_id = ? AND id = ?', [shopId, id])
/** Sessions that began by its trust end in the same moment: they are found by it (`personOfSession`). */
export const deleteDevice = (db: Db, shopId: number, id: number) =>
  change(db, 'DELETE FROM trusted_devices WHERE shop_id = ? AND id = ?', [shopId, id])

export const crewOfShop = async (db: Db, shopId: number): Promise<CrewMember[]> =>
  (
    await many<{ id: number; name: string; hasPin: number }>(
      db,
      `SELECT id, name, pin_hash IS NOT NULL AS hasPin FROM people
       WHERE shop_id = ? AND ended_at IS NULL ORDER BY name, id`,
      [shopId],
    )
  ).map(p => ({ ...p, hasPin: p.hasPin === 1 }))
export const pinHashOf = async (db: Db, shopId: number, personId: number): Promise<string | null> =>
  (
    await maybeOne<{ pinHash: string | null }>(
      db,
      'SELECT pin_hash AS pinHash FROM people WHERE shop_id = ? AND id = ?',
      [shopId, personId],
    )
  )?.pinHash ?? null
export const setPinHash = (db: Db, shopId: number, personId: number, pinHash: string | null) =>
  change(db, 'UPDATE people SET pin_hash = ? WHERE shop_id = ? AND id = ?', [pinHash, shopId, personId])
