import type { PersonRole } from '../../shared/responses'
import { change, type Db, maybeOne } from '../database/query'

/** A session is believed for so long. */
export const SESSION_DAYS = 7

export const insertSession = (
  db: Db,
  session: { id: string; shopId: number; personId: number; sessionVersion: number },
) =>
  change(
    db,
    'INSERT INTO sessions (id, shop_id, person_id, session_version, created_at) VALUES (?, ?, ?, ?, UTC_TIMESTAMP(3))',
    [session.id, session.shopId, session.personId, session.sessionVersion],
  )

/**
 * The person of a session that has not ended, by itself or with all of that person. The session says which shop it is.
 */
export const personOfSession = (
  db: Db,
  id: string,
): Promise<{ id: number; shopId: number; name: string; role: PersonRole } | null> =>
  maybeOne(
    db,
    `SELECT p.id, p.shop_id AS shopId, p.name, p.role FROM sessions s
     JOIN people p ON p.shop_id = s.shop_id AND p.id = s.person_id AND p.session_version = s.session_version
     WHERE s.id = ? AND s.ended_at IS NULL AND s.created_at > UTC_TIMESTAMP(3) - INTERVAL ${SESSION_DAYS} DAY`,
    [id],
  )

export const endSessionRow = (db: Db, id: string) =>
  change(db, 'UPDATE sessions SET ended_at = UTC_TIMESTAMP(3) WHERE id = ? AND ended_at IS NULL', [id])

export const removeOldSessions = (db: Db) =>
  change(db, `DELETE FROM sessions WHERE created_at < UTC_TIMESTAMP(3) - INTERVAL ${SESSION_DAYS * 2} DAY`)
