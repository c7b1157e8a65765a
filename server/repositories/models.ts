import { type Engine, upcastEngine } from '../../core/engine'
import type { ModelRow } from '../../shared/responses'
import { change, type Db, many, maybeOne } from '../database/query'

const SELECT = `
  SELECT e.id, e.maker, e.model, e.code, e.kind, r.id AS revisionId, r.revision, IF(r.approved_at IS NULL, 'draft', 'approved') AS status,
    r.source, DATE_FORMAT(r.source_date, '%Y-%m-%d') AS sourceDate, p.name AS author, r.engine
  FROM engine_models e
  JOIN spec_revisions r ON r.shop_id = e.shop_id AND r.model_id = e.id
  JOIN people p ON p.shop_id = r.shop_id AND p.id = r.author_id`
const NEWEST = 'r.revision = (SELECT MAX(x.revision) FROM spec_revisions x WHERE x.shop_id = e.shop_id AND x.model_id = e.id)'

type Raw = Omit<ModelRow, 'engine'> & { engine: string }
const withEngine = (row: Raw): ModelRow => ({ ...row, engine: upcastEngine(JSON.parse(row.engine)) })

export const modelsOfShop = async (db: Db, shopId: number): Promise<ModelRow[]> =>
  (await many<Raw>(db, `${SELECT} WHERE e.shop_id = ? AND ${NEWEST} ORDER BY e.maker, e.model`, [shopId])).map(withEngine)

/** A model with its newest revision. */
export const modelById = async (db: Db, shopId: number, id: number): Promise<ModelRow | null> => {
  const row = await maybeOne<Raw>(db, `${SELECT} WHERE e.shop_id = ? AND e.id = ? AND ${NEWEST}`, [shopId, id])
  return row && withEngine(row)
}

export const insertModel = async (db: Db, shopId: number, m: { maker: string, model: string, code: string, kind: string }): Promise<number> =>
  (await change(db, 'INSERT INTO engine_models (shop_id, maker, model, code, kind) VALUES (?, ?, ?, ?, ?)', [shopId, m.maker, m.model, m.code, m.kind])).id

/** A revision is written once and never changed but for its approval. */
export const insertRevision = async (db: Db, shopId: number, r: { modelId: number, revision: number, engine: Engine, authorId: number, approved: boolean }): Promise<number> =>
  (await change(db, `
    INSERT INTO spec_revisions (shop_id, model_id, revision, engine, source, source_date, author_id, created_at, approved_by, approved_at)
    VALUES (?, ?, ?, ?, ?, ?, ?, UTC_TIMESTAMP(3), ?, IF(?, UTC_TIMESTAMP(3), NULL))`,
  [shopId, r.modelId, r.revision, JSON.stringify(r.engine), r.engine.source, r.engine.sourceDate, r.authorId, r.approved ? r.authorId : null, r.approved])).id

export const approveRevision = async (db: Db, shopId: number, revisionId: number, leadId: number): Promise<boolean> =>
  (await change(db, 'UPDATE spec_revisions SET approved_by = ?, approved_at = UTC_TIMESTAMP(3) WHERE shop_id = ? AND id = ? AND approved_at IS NULL', [leadId, shopId, revisionId])).affected === 1
