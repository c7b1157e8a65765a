import type { EventType, JobEvent } from '../../core/job'
import { change, type Db, many, maybeOne } from '../database/query'

interface Raw {
  seq: number
  id: string
  type: EventType
  version: 1
  payload: string
  personId: number
  personName: string
  deviceId: string
  deviceSeq: number
  seenSeq: number
  seenDeviceSeq: number | null
  at: string
}
const SELECT = `SELECT seq, id, type, version, payload, person_id AS personId, person_name AS personName, device_id AS deviceId,
  device_seq AS deviceSeq, seen_seq AS seenSeq, seen_device_seq AS seenDeviceSeq, at FROM events`

/**
 * An event as it was written. It was parsed when it came in and is never rewritten, so it is not parsed again; a later
 * version is brought up from here when there is one.
 */
const read = ({ payload, seenDeviceSeq, ...event }: Raw): JobEvent =>
  ({
    ...event,
    ...(seenDeviceSeq === null ? {} : { seenDeviceSeq }),
    payload: JSON.parse(payload) as unknown,
  }) as JobEvent

export const eventsAfter = async (db: Db, shopId: number, jobId: number, seq: number): Promise<JobEvent[]> =>
  (
    await many<Raw>(db, `${SELECT} WHERE shop_id = ? AND job_id = ? AND seq > ? ORDER BY seq`, [shopId, jobId, seq])
  ).map(read)

export const eventById = (
  db: Db,
  shopId: number,
  id: string,
): Promise<{ seq: number; jobId: number; bodyHash: string } | null> =>
  maybeOne(db, 'SELECT seq, job_id AS jobId, body_hash AS bodyHash FROM events WHERE shop_id = ? AND id = ?', [
    shopId,
    id,
  ])

export const insertEvent = (db: Db, shopId: number, jobId: number, event: JobEvent, bodyHash: string, serverAt: Date) =>
  change(
    db,
    `
  INSERT INTO events (shop_id, job_id, seq, id, type, version, payload, person_id, person_name, device_id,
    device_seq, seen_seq, seen_device_seq, at,
    server_at, body_hash)
  VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
    [
      shopId,
      jobId,
      event.seq,
      event.id,
      event.type,
      event.version,
      JSON.stringify(event.payload),
      event.personId,
      event.personName,
      event.deviceId,
      event.deviceSeq,
      event.seenSeq,
      event.seenDeviceSeq ?? null,
      event.at,
      serverAt,
      bodyHash,
    ],
  )
