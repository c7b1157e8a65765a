import type { PersonRole } from '../../shared/responses'
import { change, type Db, maybeOne } from '../database/query'

/** A session is believed for so long. */
export const SESSION_DAYS = 7

export const insertSession = (
  db: Db,
  session: { id: string; shopId: number; personId: number; sessionVersion: number; trustedDeviceId: number | null },
) =>
  change(
    db,
    `INSERT INTO sessions (id, shop_id, person_id, session_version, trusted_device_id, created_at)
     VALUES (?, ?, ?, ?, ?, UTC_TIMESTAMP(3))`,
    [session.id, session.shopId, session.personId, session.sessionVersion, session.trustedDeviceId],
  )

/**
 * The person of a session that has not ended, by itself, with all of that person, or with the device by whose trust it
 * began. The session says which shop it is.
 */
export const personOfSession = async (
  db: Db,
  id: string,
): Promise<{ id: number; shopId: number; name: string; role: PersonRole; byPin: boolean } | null> => {
  const row = await maybeOne<{ id: number; shopId: number; name: string; role: PersonRole; byPin: number }>(
    db,
    `SELECT p.id, p.shop_id AS shopId, p.name, p.role, s.trusted_device_id IS NOT NULL AS byPin FROM sessions s
     JOIN people p ON p.shop_id = s.shop_id AND p.id = s.person_id AND p.session_version = s.session_version
       AND p.ended_at IS NULL
     LEFT JOIN trusted_devices d ON d.shop_id = s.shop_id AND d.id = s.trusted_device_id
     WHERE s.id = ? AND s.ended_at IS NULL AND (s.trusted_device_id IS NULL OR d.id IS NOT NULL)
       AND s.created_at > UTC_TIMESTAMP(3) - INTERVAL ${SESSION_DAYS} DAY`,
    [id],
  )
  return row && { ...row, byPin: row.byPin === 1 }
}

export const endSessionRow = (db: Db, id: string) =>
  change(db, 'UPDATE sessions SET ended_at = UTC_TIMESTAMP(3) WHERE id = ? AND ended_at IS NULL', [id])

export const removeOldSessions = (db: Db) =>
  change(db, `DELETE FROM sessions WHERE created_at < UTC_TIMESTAMP(3) - INTERVAL ${SESSION_DAYS * 2} DAY`)
