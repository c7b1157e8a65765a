import { type JobPin, type Sheet, upcastPin } from '../../core/job'
import { DAY_MS } from '../../core/units'
import { change, type Db, many, maybeOne, one } from '../database/query'
import { lockShop } from './shops'

export type JobStatus = 'open' | 'held' | 'abandoned' | 'closed'
export interface JobRow {
  id: number
  number: number
  status: JobStatus
  lastSeq: number
  closedAt: Date | null
  machineId: number
  pin: JobPin
}

/** A job without what was pinned at its opening. */
export type BareJobRow = Omit<JobRow, 'pin'>
type Raw = BareJobRow & { pin: string }
const SELECT = 'SELECT id, number, status, last_seq AS lastSeq, closed_at AS closedAt, machine_id AS machineId'
const ONE = 'FROM jobs WHERE shop_id = ? AND id = ?'
const read = (row: Raw): JobRow => ({
  ...row,
  pin: { ...upcastPin(JSON.parse(row.pin)), jobId: row.id, number: row.number },
})

export const jobById = async (db: Db, shopId: number, id: number): Promise<JobRow | null> => {
  const row = await maybeOne<Raw>(db, `${SELECT}, pin ${ONE}`, [shopId, id])
  return row && read(row)
}
/** The job's row, locked until the transaction ends: whoever holds it gives the next number of the log. */
export const lockJob = async (db: Db, shopId: number, id: number): Promise<JobRow | null> => {
  const row = await maybeOne<Raw>(db, `${SELECT}, pin ${ONE} FOR UPDATE`, [shopId, id])
  return row && read(row)
}
/** The same without what was pinned: most answers need none of it. */
export const lockBareJob = (db: Db, shopId: number, id: number): Promise<BareJobRow | null> =>
  maybeOne(db, `${SELECT} ${ONE} FOR UPDATE`, [shopId, id])

export interface BayJobRow extends JobRow {
  assignedTo: number | null
  place: number
}
/**
 * Jobs that are not done, and those done since a moment: each part by an index of its own, for a shop has years of the
 * others.
 */
const OPEN_OR_SINCE = `SELECT id FROM jobs WHERE shop_id = ? AND status IN ('open', 'held') UNION SELECT id FROM jobs
    WHERE shop_id = ? AND closed_at >= ?`
/** Jobs on the board in its order: besides those, signed ones of which something else is still to do. */
export const jobsForBay = async (db: Db, shopId: number, doneSince: Date): Promise<BayJobRow[]> =>
  (
    await many<Raw & { assignedTo: number | null; place: number }>(
      db,
      `
    SELECT j.id, j.number, j.status, j.last_seq AS lastSeq, j.closed_at AS closedAt, j.machine_id AS machineId, j.pin,
      j.assigned_to AS assignedTo, j.board_place AS place
    FROM (${OPEN_OR_SINCE} UNION SELECT t.job_id FROM job_tasks t JOIN jobs c ON c.shop_id = t.shop_id
      AND c.id = t.job_id AND c.status = 'closed' WHERE t.shop_id = ? AND t.done_at IS NULL) b
    JOIN jobs j ON j.shop_id = ? AND j.id = b.id ORDER BY j.board_place, j.id`,
      [shopId, shopId, doneSince, shopId, shopId],
    )
  ).map(row => ({ ...read(row), assignedTo: row.assignedTo, place: row.place }))

export interface NewJob {
  /** The id that a device gave it, below zero; without one it is the next number of the database. */
  id?: number
  number: number
  machineId: number
  specRevisionId: number
  meter: number | null
  pin: JobPin
  openedAt: Date
}
/** A new job comes last on the board: its place is its number, and numbers only grow. */
export const insertJob = async (db: Db, shopId: number, job: NewJob): Promise<number> => {
  const { id } = await change(
    db,
    `INSERT INTO jobs (id, shop_id, number, machine_id, spec_revision_id, meter, pin, opened_at, board_place)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)`,
    [
      job.id ?? null,
      shopId,
      job.number,
      job.machineId,
      job.specRevisionId,
      job.meter,
      JSON.stringify(job.pin),
      job.openedAt,
      job.number,
    ],
  )
  return job.id ?? id
}

/** The next job number of a shop; two openings do not take the same. */
export const nextJobNumber = async (db: Db, shopId: number): Promise<number> => {
  await lockShop(db, shopId)
  return (
    await one<{ n: number }>(db, 'SELECT COALESCE(MAX(number), 400) + 1 AS n FROM jobs WHERE shop_id = ?', [shopId])
  ).n
}

export const updateJob = (
  db: Db,
  shopId: number,
  id: number,
  job: { status: JobStatus; lastSeq: number; closedAt: Date | null },
) =>
  change(db, 'UPDATE jobs SET status = ?, last_seq = ?, closed_at = ? WHERE shop_id = ? AND id = ?', [
    job.status,
    job.lastSeq,
    job.closedAt,
    shopId,
    id,
  ])

/** The revision that a job goes by now. */
export const updateJobSpec = (db: Db, shopId: number, id: number, revisionId: number) =>
  change(db, 'UPDATE jobs SET spec_revision_id = ? WHERE shop_id = ? AND id = ?', [revisionId, shopId, id])
/** The revision in force of the model that a job's machine is of, where it is not the one that the job goes by. */
export const newerRevisionOfJob = (db: Db, shopId: number, id: number): Promise<{ revisionId: number } | null> =>
  maybeOne(
    db,
    `
  SELECT r.id AS revisionId FROM jobs j
  JOIN spec_revisions own ON own.shop_id = j.shop_id AND own.id = j.spec_revision_id
  JOIN engine_models e ON e.shop_id = own.shop_id AND e.id = own.model_id
  JOIN spec_revisions r ON r.shop_id = e.shop_id AND r.id = e.in_force_id
  WHERE j.shop_id = ? AND j.id = ? AND r.approved_at IS NOT NULL AND r.revision > own.revision`,
    [shopId, id],
  )

/** Every job's last number of the log in some shops, for those who listen there. */
export const lastSeqs = (
  db: Db,
  shopIds: readonly number[],
): Promise<{ shopId: number; id: number; lastSeq: number }[]> => {
  const marks = shopIds.map(() => '?').join(', ')
  return many(
    db,
    `SELECT shop_id AS shopId, id, last_seq AS lastSeq FROM jobs
     WHERE shop_id IN (${marks}) AND status IN ('open', 'held')
     UNION SELECT shop_id, id, last_seq FROM jobs WHERE shop_id IN (${marks}) AND closed_at >= ?`,
    [...shopIds, ...shopIds, new Date(Date.now() - DAY_MS)],
  )
}

export const lastClosedJob = (
  db: Db,
  shopId: number,
  machineId: number,
): Promise<{ id: number; closedAt: Date } | null> =>
  maybeOne(
    db,
    `SELECT id, closed_at AS closedAt FROM jobs WHERE shop_id = ? AND machine_id = ? AND status = 'closed'
      ORDER BY closed_at DESC, id DESC LIMIT 1`,
    [shopId, machineId],
  )

/** The latest signed job on any machine of a model. */
export const lastClosedJobOfModel = (db: Db, shopId: number, modelId: number): Promise<{ id: number } | null> =>
  maybeOne(
    db,
    `SELECT j.id FROM machines m JOIN jobs j ON j.shop_id = m.shop_id AND j.machine_id = m.id
    WHERE m.shop_id = ? AND m.model_id = ? AND j.status = 'closed' ORDER BY j.closed_at DESC, j.id DESC LIMIT 1`,
    [shopId, modelId],
  )

export const allJobIds = (db: Db): Promise<{ id: number; shopId: number }[]> =>
  many(db, 'SELECT id, shop_id AS shopId FROM jobs ORDER BY shop_id, id')

export const insertSheet = (
  db: Db,
  shopId: number,
  jobId: number,
  seq: number,
  content: Sheet,
  signedBy: number,
  signedAt: Date,
) =>
  change(db, 'INSERT INTO sheets (shop_id, job_id, seq, content, signed_by, signed_at) VALUES (?, ?, ?, ?, ?, ?)', [
    shopId,
    jobId,
    seq,
    JSON.stringify(content),
    signedBy,
    signedAt,
  ])

/** The sheets of a job as they were signed, newest first. */
export const sheetsOfJob = async (
  db: Db,
  shopId: number,
  jobId: number,
): Promise<{ seq: number; content: Sheet; signedAt: Date; signedBy: string }[]> =>
  (
    await many<{ seq: number; content: string; signedAt: Date; signedBy: string }>(
      db,
      `
    SELECT s.seq, s.content, s.signed_at AS signedAt, p.name AS signedBy FROM sheets s
    JOIN people p ON p.shop_id = s.shop_id AND p.id = s.signed_by WHERE s.shop_id = ? AND s.job_id = ?
    ORDER BY s.seq DESC`,
      [shopId, jobId],
    )
  ).map(row => ({ ...row, content: JSON.parse(row.content) as Sheet }))
