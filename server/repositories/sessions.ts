import type { PersonRole } from '../../shared/people'
import { change, type Db, many, maybeOne } from '../database/query'

/** A session is believed for so long. */
export const SESSION_DAYS = 7

export const insertSession = (
  db: Db,
  session: {
    id: string
    shopId: number
    personId: number
    sessionVersion: number
    trustedDeviceId: number | null
    deviceName: string
  },
) =>
  change(
    db,
    `INSERT INTO sessions (id, shop_id, person_id, session_version, trusted_device_id, device_name, created_at, seen_at)
     VALUES (?, ?, ?, ?, ?, ?, UTC_TIMESTAMP(3), UTC_TIMESTAMP(3))`,
    [session.id, session.shopId, session.personId, session.sessionVersion, session.trustedDeviceId, session.deviceName],
  )

interface PersonOfSession {
  id: number
  shopId: number
  name: string
  role: PersonRole
  byPin: boolean
  runsServer: boolean
}
/**
 * The person of a session that has not ended, by itself, with all of that person, or with the device by whose trust it
 * began. The session says which shop it is.
 */
export const personOfSession = async (db: Db, id: string): Promise<PersonOfSession | null> => {
  const row = await maybeOne<Omit<PersonOfSession, 'byPin' | 'runsServer'> & { byPin: number; runsServer: number }>(
    db,
    `SELECT p.id, p.shop_id AS shopId, p.name, p.role, p.runs_server AS runsServer,
       s.trusted_device_id IS NOT NULL AS byPin FROM sessions s
     JOIN shops o ON o.id = s.shop_id AND o.closed_at IS NULL
     JOIN people p ON p.shop_id = s.shop_id AND p.id = s.person_id AND p.session_version = s.session_version
       AND p.ended_at IS NULL
     LEFT JOIN trusted_devices d ON d.shop_id = s.shop_id AND d.id = s.trusted_device_id
     WHERE s.id = ? AND s.ended_at IS NULL AND (s.trusted_device_id IS NULL OR d.id IS NOT NULL)
       AND s.created_at > UTC_TIMESTAMP(3) - INTERVAL ${SESSION_DAYS} DAY`,
    [id],
  )
  return row && { ...row, byPin: row.byPin === 1, runsServer: row.runsServer === 1 }
}

export const endSessionRow = (db: Db, id: string) =>
  change(db, 'UPDATE sessions SET ended_at = UTC_TIMESTAMP(3) WHERE id = ? AND ended_at IS NULL', [id])

export const removeOldSessions = (db: Db) =>
  change(db, `DELETE FROM sessions WHERE created_at < UTC_TIMESTAMP(3) - INTERVAL ${SESSION_DAYS * 2} DAY`)

/** When a session was last heard of, to ten minutes. */
export const markSeen = (db: Db, id: string) =>
  change(
    db,
    `UPDATE sessions SET seen_at = UTC_TIMESTAMP(3)
     WHERE id = ? AND (seen_at IS NULL OR seen_at < UTC_TIMESTAMP(3) - INTERVAL 10 MINUTE)`,
    [id],
  )
/** Sessions of a shop that hold, the newest first. */
export const signedInOfShop = (
  db: Db,
  shopId: number,
): Promise<{ id: string; name: string; person: string; since: Date; seenAt: Date | null }[]> =>
  many(
    db,
    `SELECT s.id, s.device_name AS name, p.name AS person, s.created_at AS since, s.seen_at AS seenAt FROM sessions s
     JOIN people p ON p.shop_id = s.shop_id AND p.id = s.person_id AND p.session_version = s.session_version
       AND p.ended_at IS NULL
     LEFT JOIN trusted_devices d ON d.shop_id = s.shop_id AND d.id = s.trusted_device_id
     WHERE s.shop_id = ? AND s.ended_at IS NULL AND (s.trusted_device_id IS NULL OR d.id IS NOT NULL)
       AND s.created_at > UTC_TIMESTAMP(3) - INTERVAL ${SESSION_DAYS} DAY
     ORDER BY s.created_at DESC, s.id`,
    [shopId],
  )
export const nameSignedIn = (db: Db, shopId: number, id: string, name: string) =>
  change(db, 'UPDATE sessions SET device_name = ? WHERE shop_id = ? AND id = ?', [name, shopId, id])
export const endSignedIn = (db: Db, shopId: number, id: string) =>
  change(db, 'UPDATE sessions SET ended_at = UTC_TIMESTAMP(3) WHERE shop_id = ? AND id = ? AND ended_at IS NULL', [
    shopId,
    id,
  ])
