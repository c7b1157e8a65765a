import { type Engine, upcastEngine } from '../../core/engine'
import type { OpenJobOfSpec, RevisionRow } from '../../shared/spec-book'
import { change, type Db, many, maybeOne, one } from '../database/query'

const SELECT = `
  SELECT r.id, r.model_id AS modelId, r.revision, r.engine, r.reason, r.based_on AS basedOn, r.answered, r.source,
    DATE_FORMAT(r.source_date, '%Y-%m-%d') AS sourceDate,
    a.id AS authorId, a.name AS author, r.created_at AS createdAt, b.name AS approvedBy, r.approved_at AS approvedAt,
      r.approval_reason AS approvalReason,
    s.name AS sentBackBy, r.sent_back_at AS sentBackAt, r.sent_back_reason AS sentBackReason,
    (SELECT COUNT(*) FROM jobs j WHERE j.shop_id = r.shop_id AND j.spec_revision_id = r.id) AS jobs,
    EXISTS (SELECT 1 FROM page_photos f WHERE f.shop_id = r.shop_id AND f.revision_id = r.id) AS page
  FROM spec_revisions r
  JOIN people a ON a.shop_id = r.shop_id AND a.id = r.author_id
  LEFT JOIN people b ON b.shop_id = r.shop_id AND b.id = r.approved_by
  LEFT JOIN people s ON s.shop_id = r.shop_id AND s.id = r.sent_back_by`
type Raw = Omit<RevisionRow, 'engine' | 'answered' | 'createdAt' | 'approvedAt' | 'sentBackAt' | 'page'> & {
  page: number
  engine: string
  answered: string
  createdAt: Date
  approvedAt: Date | null
  sentBackAt: Date | null
}
const read = (row: Raw): RevisionRow => ({
  ...row,
  page: row.page === 1,
  engine: upcastEngine(JSON.parse(row.engine)),
  answered: JSON.parse(row.answered) as RevisionRow['answered'],
  createdAt: row.createdAt.toISOString(),
  approvedAt: row.approvedAt?.toISOString() ?? null,
  sentBackAt: row.sentBackAt?.toISOString() ?? null,
})

/** All revisions of a model, oldest first: superseded ones stay readable. */
export const revisionsOfModel = async (db: Db, shopId: number, modelId: number): Promise<RevisionRow[]> =>
  (await many<Raw>(db, `${SELECT} WHERE r.shop_id = ? AND r.model_id = ? ORDER BY r.revision`, [shopId, modelId])).map(
    read,
  )
/** The approved revisions of a model, the oldest first: since when which figures held. */
export const specsOfModel = async (
  db: Db,
  shopId: number,
  modelId: number,
): Promise<{ approvedAt: Date; engine: Engine }[]> =>
  (
    await many<{ approvedAt: Date; engine: string }>(
      db,
      `SELECT approved_at AS approvedAt, engine FROM spec_revisions
        WHERE shop_id = ? AND model_id = ? AND approved_at IS NOT NULL ORDER BY revision`,
      [shopId, modelId],
    )
  ).map(row => ({ ...row, engine: upcastEngine(JSON.parse(row.engine)) }))
export const revisionById = async (db: Db, shopId: number, id: number): Promise<RevisionRow | null> => {
  const row = await maybeOne<Raw>(db, `${SELECT} WHERE r.shop_id = ? AND r.id = ?`, [shopId, id])
  return row && read(row)
}
/** The number of a model's newest revision, its row locked so that two do not make the same. */
export const lockNewest = async (
  db: Db,
  shopId: number,
  modelId: number,
): Promise<{ id: number; revision: number } | null> => {
  await one(db, 'SELECT id FROM engine_models WHERE shop_id = ? AND id = ? FOR UPDATE', [shopId, modelId])
  return maybeOne(
    db,
    'SELECT id, revision FROM spec_revisions WHERE shop_id = ? AND model_id = ? ORDER BY revision DESC LIMIT 1',
    [shopId, modelId],
  )
}

export interface NewRevision {
  modelId: number
  revision: number
  engine: Engine
  authorId: number
  approved: boolean
  reason?: string
  basedOn?: number | null
  answered?: RevisionRow['answered']
  approvalReason?: string
  at?: Date
}
const COLUMNS =
  '(shop_id, model_id, revision, engine, source, source_date, reason, based_on, answered, author_id, created_at, approved_by, approved_at, approval_reason)'
const valuesOf = (shopId: number, r: NewRevision) => {
  const at = r.at ?? new Date()
  return [
    shopId,
    r.modelId,
    r.revision,
    JSON.stringify(r.engine),
    r.engine.source,
    r.engine.sourceDate,
    r.reason ?? '',
    r.basedOn ?? null,
    JSON.stringify(r.answered ?? []),
    r.authorId,
    at,
    r.approved ? r.authorId : null,
    r.approved ? at : null,
    r.approvalReason ?? '',
  ]
}
/**
 * Revisions are written once and never changed but for being approved or sent back. @returns the id of the first; the
 * others follow it
 */
// of those just written, an approved one comes into force, and a draft where none is approved
export const insertRevisions = async (db: Db, shopId: number, rows: NewRevision[]): Promise<number> => {
  const { id } = await change(
    db,
    `INSERT INTO spec_revisions ${COLUMNS}
      VALUES ${rows.map(() => `(${Array<string>(14).fill('?').join(', ')})`).join(', ')}`,
    rows.flatMap(r => valuesOf(shopId, r)),
  )
  const ids = rows.map(r => r.modelId)
  await change(
    db,
    `
    UPDATE engine_models e
    JOIN spec_revisions r FORCE INDEX (spec_revisions_number) ON r.shop_id = e.shop_id AND r.model_id = e.id
      AND r.id >= ?
    LEFT JOIN spec_revisions f ON f.shop_id = e.shop_id AND f.id = e.in_force_id
    SET e.in_force_id = r.id
    WHERE e.shop_id = ? AND e.id IN (${ids.map(() => '?').join(', ')}) AND (r.approved_at IS NOT NULL
      OR f.approved_at IS NULL)`,
    [id, shopId, ...ids],
  )
  return id
}
export const insertRevision = (db: Db, shopId: number, r: NewRevision): Promise<number> =>
  insertRevisions(db, shopId, [r])

export const approveRevision = async (
  db: Db,
  shopId: number,
  revision: { id: number; modelId: number },
  leadId: number,
  reason: string,
  at: Date,
): Promise<void> => {
  await change(
    db,
    'UPDATE spec_revisions SET approved_by = ?, approved_at = ?, approval_reason = ? WHERE shop_id = ? AND id = ?',
    [leadId, at, reason, shopId, revision.id],
  )
  await change(db, 'UPDATE engine_models SET in_force_id = ? WHERE shop_id = ? AND id = ?', [
    revision.id,
    shopId,
    revision.modelId,
  ])
}
export const sendBackRevision = (db: Db, shopId: number, id: number, leadId: number, reason: string, at: Date) =>
  change(
    db,
    'UPDATE spec_revisions SET sent_back_by = ?, sent_back_at = ?, sent_back_reason = ? WHERE shop_id = ? AND id = ?',
    [leadId, at, reason, shopId, id],
  )

export interface LastLeft {
  machineId: number
  machine: string
  tag: string
  valveId: string
  loMm: number
  hiMm: number | null
}
/** How each machine of a model was left by its last closed job, valve by valve: the last proved reading of each. */
export const lastLeftOfModel = (db: Db, shopId: number, modelId: number): Promise<LastLeft[]> =>
  many(
    db,
    `
  SELECT m.id AS machineId, m.name AS machine, m.tag, g.valve_id AS valveId, g.clearance_lo_mm AS loMm,
    g.clearance_hi_mm AS hiMm
  FROM machines m
  JOIN jobs j ON j.shop_id = m.shop_id AND j.id = (SELECT x.id FROM jobs x WHERE x.shop_id = m.shop_id
    AND x.machine_id = m.id AND x.status = 'closed' ORDER BY x.closed_at DESC, x.id DESC LIMIT 1)
  JOIN readings g ON g.shop_id = j.shop_id AND g.job_id = j.id AND g.phase = 'proved'
    AND g.round = (SELECT MAX(y.round) FROM readings y WHERE y.shop_id = g.shop_id AND y.job_id = g.job_id
      AND y.valve_id = g.valve_id AND y.phase = 'proved')
  WHERE m.shop_id = ? AND m.model_id = ? ORDER BY g.clearance_lo_mm, m.id, g.valve_id`,
    [shopId, modelId],
  )

/** Open jobs on machines of a model, with the revision that each began with. */
export const openJobsOfModel = (db: Db, shopId: number, modelId: number): Promise<OpenJobOfSpec[]> =>
  many(
    db,
    `
  SELECT j.id, j.number, m.name AS machine, j.status, j.spec_revision_id AS revisionId, r.revision,
    COALESCE((SELECT e.person_name FROM events e WHERE e.shop_id = j.shop_id
    AND e.job_id = j.id ORDER BY e.seq DESC LIMIT 1), '') AS person
  FROM jobs j JOIN machines m ON m.shop_id = j.shop_id AND m.id = j.machine_id
  JOIN spec_revisions r ON r.shop_id = j.shop_id AND r.id = j.spec_revision_id
  WHERE j.shop_id = ? AND m.model_id = ? AND j.status IN ('open', 'held') ORDER BY j.id`,
    [shopId, modelId],
  )
