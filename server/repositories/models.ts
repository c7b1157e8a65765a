import { upcastEngine } from '../../core/engine'
import { type Findable, keyOf, modelGrams } from '../../core/spec-book'
import type { ModelIdentity, ModelRow } from '../../shared/spec-book'
import { change, type Db, many, maybeOne, type Value } from '../database/query'

const IDENTITY = `e.id, COALESCE(e.model_key, CONCAT('model-', e.id)) AS \`key\`, e.maker, e.model, e.code, e.kind,
  e.family, e.displacement_cc AS displacementCc, e.year_from AS yearFrom, e.year_to AS yearTo`
const SELECT = `
  SELECT ${IDENTITY}, r.id AS revisionId, r.revision, IF(r.approved_at IS NULL, 'draft', 'approved') AS status,
    r.source, DATE_FORMAT(r.source_date, '%Y-%m-%d') AS sourceDate, p.name AS author, r.engine
  FROM engine_models e
  JOIN spec_revisions r ON r.shop_id = e.shop_id AND r.id = e.in_force_id
  JOIN people p ON p.shop_id = r.shop_id AND p.id = r.author_id`

type Raw = Omit<ModelRow, 'engine'> & { engine: string }
const withEngine = (row: Raw): ModelRow => ({ ...row, engine: upcastEngine(JSON.parse(row.engine)) })
const placeholders = (values: readonly unknown[]): string => values.map(() => '?').join(', ')

/** A model with the revision in force: the newest approved one, or the newest draft where none is. */
export const modelById = async (db: Db, shopId: number, id: number): Promise<ModelRow | null> => {
  const row = await maybeOne<Raw>(db, `${SELECT} WHERE e.shop_id = ? AND e.id = ?`, [shopId, id])
  return row && withEngine(row)
}
/** A model, held until the transaction ends. */
export const holdModel = (db: Db, shopId: number, id: number): Promise<{ id: number } | null> =>
  maybeOne(db, 'SELECT id FROM engine_models WHERE shop_id = ? AND id = ? FOR UPDATE', [shopId, id])
export const modelByKey = async (db: Db, shopId: number, key: string): Promise<ModelRow | null> => {
  const row = await maybeOne<Raw>(db, `${SELECT} WHERE e.shop_id = ? AND e.model_key = ?`, [shopId, key])
  return row && withEngine(row)
}
/** Models by their ids, in the order of these. */
const WAITING = `(SELECT COUNT(*) FROM spec_revisions d WHERE d.shop_id = e.shop_id AND d.model_id = e.id AND d.approved_at IS NULL AND d.sent_back_at IS NULL AND d.revision > r.revision) AS waiting`
export const modelsByIds = async (db: Db, shopId: number, ids: number[]): Promise<ModelRow[]> => {
  if (ids.length === 0) return []
  const rows = new Map(
    (
      await many<Raw>(
        db,
        `${SELECT.replace('r.engine', `r.engine, ${WAITING}`)} WHERE e.shop_id = ? AND e.id IN (${placeholders(ids)})`,
        [shopId, ...ids],
      )
    ).map(r => [r.id, withEngine(r)]),
  )
  return ids.flatMap(id => rows.get(id) ?? [])
}
/** The book page by page, by maker and model: models after a place in that order. */
export const modelsAfter = async (
  db: Db,
  shopId: number,
  after: { maker: string; model: string; id: number } | null,
  most: number,
): Promise<ModelRow[]> => {
  const from: Value[] = after ? [after.maker, after.model, after.id] : []
  return (
    await many<Raw>(
      db,
      `${SELECT}
      WHERE e.shop_id = ? AND NOT e.quick ${after ? 'AND (e.maker, e.model, e.id) > (?, ?, ?)' : ''}
      ORDER BY e.maker, e.model, e.id LIMIT ${most}`,
      [shopId, ...from],
    )
  ).map(withEngine)
}
/** Stands in `gram_counts` for all models: counting a hundred thousand rows took longer than finding among them. */
const ALL = '***'
export const modelCount = async (db: Db, shopId: number): Promise<number> =>
  (await maybeOne<{ n: number }>(db, 'SELECT n FROM gram_counts WHERE shop_id = ? AND gram = ?', [shopId, ALL]))?.n ?? 0

/** Models of the shop's last jobs, newest first. */
export const modelsLastUsed = async (db: Db, shopId: number, most: number): Promise<number[]> =>
  (
    await many<{ id: number }>(
      db,
      `
    SELECT m.model_id AS id, MAX(j.opened_at) AS at
    FROM (SELECT shop_id, machine_id, opened_at FROM jobs WHERE shop_id = ? ORDER BY opened_at DESC LIMIT 200) j
    JOIN machines m ON m.shop_id = j.shop_id AND m.id = j.machine_id AND NOT m.quick
    GROUP BY m.model_id ORDER BY at DESC LIMIT ${most}`,
      [shopId],
    )
  ).map(r => r.id)

/** The kinds of the models that revisions are of. */
export const kindsOfRevisions = (
  db: Db,
  shopId: number,
  revisionIds: number[],
): Promise<{ revisionId: number; kind: string }[]> =>
  revisionIds.length === 0
    ? Promise.resolve([])
    : many(
        db,
        `SELECT r.id AS revisionId, e.kind FROM spec_revisions r
          JOIN engine_models e ON e.shop_id = r.shop_id AND e.id = r.model_id
          WHERE r.shop_id = ? AND r.id IN (${placeholders(revisionIds)})`,
        [shopId, ...revisionIds],
      )

export type NewModel = Pick<ModelIdentity, 'maker' | 'model' | 'code' | 'kind'> & Partial<ModelIdentity>
const identityValues = (m: NewModel): Value[] => [
  m.maker,
  m.model,
  m.code,
  m.kind,
  m.family ?? '',
  m.displacementCc ?? null,
  m.yearFrom ?? null,
  m.yearTo ?? null,
]
const findable = (m: NewModel): Findable => ({
  ...m,
  family: m.family ?? '',
  displacementCc: m.displacementCc ?? null,
  yearFrom: m.yearFrom ?? null,
  yearTo: m.yearTo ?? null,
})

export const insertModel = async (db: Db, shopId: number, m: NewModel): Promise<number> => {
  const { id } = await change(
    db,
    `INSERT INTO engine_models (shop_id, model_key, maker, model, code, kind, family, displacement_cc, year_from,
        year_to)
      VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
    [shopId, m.key ?? keyOf(m), ...identityValues(m)],
  )
  await addGramCounts(db, shopId, await insertGrams(db, shopId, [{ id, model: findable(m) }]))
  return id
}
/**
 * Many models at once. @returns their ids, in the order of the models, and the trigrams that are still to be counted
 */
export const insertModels = async (
  db: Db,
  shopId: number,
  models: NewModel[],
): Promise<{ ids: number[]; counts: GramCounts }> => {
  await change(
    db,
    `INSERT INTO engine_models (shop_id, model_key, maker, model, code, kind, family, displacement_cc, year_from,
        year_to)
      VALUES ${models.map(() => '(?, ?, ?, ?, ?, ?, ?, ?, ?, ?)').join(', ')}`,
    models.flatMap(m => [shopId, m.key ?? keyOf(m), ...identityValues(m)]),
  )
  const made = new Map(
    (
      await many<{ id: number; key: string }>(
        db,
        `SELECT id, model_key AS \`key\` FROM engine_models
          WHERE shop_id = ? AND model_key IN (${placeholders(models)})`,
        [shopId, ...models.map(m => m.key ?? keyOf(m))],
      )
    ).map(m => [m.key, m.id]),
  )
  const ids = models.map(m => made.get(m.key ?? keyOf(m))!)
  return {
    ids,
    counts: await insertGrams(
      db,
      shopId,
      models.map((m, i) => ({ id: ids[i]!, model: findable(m) })),
    ),
  }
}
export const updateModel = async (db: Db, shopId: number, id: number, m: NewModel): Promise<void> => {
  await removeGrams(db, shopId, id)
  await change(
    db,
    `UPDATE engine_models
      SET maker = ?, model = ?, code = ?, kind = ?, family = ?, displacement_cc = ?, year_from = ?, year_to = ?
      WHERE shop_id = ? AND id = ?`,
    [...identityValues(m), shopId, id],
  )
  await addGramCounts(db, shopId, await insertGrams(db, shopId, [{ id, model: findable(m) }]))
}

/** A quick job's model is in the book from now on, under its own name. */
export const keepModel = async (db: Db, shopId: number, id: number, m: NewModel): Promise<void> => {
  await change(
    db,
    `UPDATE engine_models SET model_key = ?, maker = ?, model = ?, code = ?, kind = ?, quick = FALSE
     WHERE shop_id = ? AND id = ?`,
    [keyOf(m), m.maker, m.model, m.code, m.kind, shopId, id],
  )
  await addGramCounts(db, shopId, await insertGrams(db, shopId, [{ id, model: findable(m) }]))
}

/** How many models have each trigram. */
type GramCounts = Map<string, number>
/** Rows of one statement: the server takes 65,535 parameters at most. */
const MOST_ROWS = 8000
async function insertGrams(db: Db, shopId: number, models: { id: number; model: Findable }[]): Promise<GramCounts> {
  // in the order of the table's key, so that its pages are written one after another
  const rows = models
    .flatMap(({ id, model }) => modelGrams(model).map(gram => ({ gram, id })))
    .sort((a, b) => (a.gram < b.gram ? -1 : a.gram > b.gram ? 1 : a.id - b.id))
  const counts = new Map([[ALL, models.length]])
  for (const { gram } of rows) counts.set(gram, (counts.get(gram) ?? 0) + 1)
  for (let i = 0; i < rows.length; i += MOST_ROWS) {
    const some = rows.slice(i, i + MOST_ROWS)
    await db.query(
      `INSERT INTO model_grams (shop_id, gram, model_id) VALUES ${some.map(() => '(?, ?, ?)').join(', ')}`,
      some.flatMap(r => [shopId, r.gram, r.id]),
    )
  }
  return counts
}
/** Adds to how many models have a trigram: once for a whole import, since each time writes every one of them anew. */
export async function addGramCounts(db: Db, shopId: number, counts: GramCounts): Promise<void> {
  const counted = [...counts].sort()
  for (let i = 0; i < counted.length; i += MOST_ROWS) {
    const some = counted.slice(i, i + MOST_ROWS)
    await db.query(
      `INSERT INTO gram_counts (shop_id, gram, n) VALUES ${some.map(() => '(?, ?, ?)').join(', ')}
        ON DUPLICATE KEY UPDATE n = n + VALUES(n)`,
      some.flatMap(([gram, n]) => [shopId, gram, n]),
    )
  }
}
async function removeGrams(db: Db, shopId: number, id: number): Promise<void> {
  await change(
    db,
    `UPDATE gram_counts SET n = n - 1
      WHERE shop_id = ? AND n > 0 AND (gram = ? OR gram IN (SELECT gram FROM model_grams WHERE shop_id = ?
        AND model_id = ?))`,
    [shopId, ALL, shopId, id],
  )
  await change(db, 'DELETE FROM model_grams WHERE shop_id = ? AND model_id = ?', [shopId, id])
}

/** Gives models of before the spec book’s search their key and trigrams. */
export async function indexOlderModels(db: Db): Promise<void> {
  const rows = await many<Findable & { id: number; shopId: number; code: string }>(
    db,
    `SELECT id, shop_id AS shopId, maker, model, code, kind, family, displacement_cc AS displacementCc,
        year_from AS yearFrom, year_to AS yearTo
      FROM engine_models WHERE model_key IS NULL ORDER BY id LIMIT 5000`,
  )
  for (const { id, shopId, ...model } of rows) {
    const taken = await maybeOne(db, 'SELECT id FROM engine_models WHERE shop_id = ? AND model_key = ?', [
      shopId,
      keyOf(model),
    ])
    await change(db, 'UPDATE engine_models SET model_key = ? WHERE shop_id = ? AND id = ?', [
      taken ? `${keyOf(model).slice(0, 100)}-${id}` : keyOf(model),
      shopId,
      id,
    ])
    await addGramCounts(db, shopId, await insertGrams(db, shopId, [{ id, model }]))
  }
}

/** Makes the index of a whole book, where it came without. */
export async function indexBook(db: Db, shopId: number): Promise<void> {
  const rows = await many<Findable & { id: number; code: string }>(
    db,
    `SELECT id, maker, model, code, kind, family, displacement_cc AS displacementCc, year_from AS yearFrom,
       year_to AS yearTo FROM engine_models WHERE shop_id = ? AND NOT quick ORDER BY id`,
    [shopId],
  )
  await addGramCounts(
    db,
    shopId,
    await insertGrams(
      db,
      shopId,
      rows.map(({ id, ...model }) => ({ id, model })),
    ),
  )
}

/** How many models have each of these trigrams, the rarest first; those that no model has are left out. */
export const gramCounts = (db: Db, shopId: number, grams: string[]): Promise<{ gram: string; n: number }[]> =>
  grams.length === 0
    ? Promise.resolve([])
    : many(
        db,
        `SELECT gram, n FROM gram_counts WHERE shop_id = ? AND n > 0 AND gram IN (${placeholders(grams)}) ORDER BY n`,
        [shopId, ...grams],
      )

/** Models that have the most of these trigrams, and how many of them. */
export const modelsWithGrams = async (
  db: Db,
  shopId: number,
  grams: string[],
  most: number,
): Promise<(Findable & { id: number; hits: number })[]> => {
  const ids =
    grams.length === 1
      ? `SELECT model_id, 1 AS hits FROM model_grams WHERE shop_id = ? AND gram = ? LIMIT ${most}`
      : `SELECT model_id, COUNT(*) AS hits FROM model_grams WHERE shop_id = ? AND gram IN (${placeholders(grams)})
        GROUP BY model_id ORDER BY hits DESC, model_id LIMIT ${most}`
  return many(
    db,
    `SELECT ${IDENTITY}, g.hits FROM (${ids}) g JOIN engine_models e ON e.shop_id = ? AND e.id = g.model_id`,
    [shopId, ...grams, shopId],
  )
}
/** Models that were made in a year. */
export const modelsOfYear = (
  db: Db,
  shopId: number,
  year: number,
  most: number,
): Promise<(Findable & { id: number })[]> =>
  many(
    db,
    `SELECT ${IDENTITY} FROM engine_models e
      WHERE e.shop_id = ? AND e.year_from <= ? AND (e.year_to >= ? OR e.year_to IS NULL) ORDER BY e.maker, e.model
      LIMIT ${most}`,
    [shopId, year, year],
  )

/** Models of a shop that have one of these keys, or are called so: for files that are taken in. */
export const modelsKnownAs = async (
  db: Db,
  shopId: number,
  wanted: { key: string; maker: string; model: string; code: string }[],
): Promise<ModelRow[]> =>
  wanted.length === 0
    ? []
    : (
        await many<Raw>(
          db,
          `
    ${SELECT} WHERE e.shop_id = ? AND e.model_key IN (${placeholders(wanted)})
    UNION ${SELECT}
    WHERE e.shop_id = ? AND (${wanted.map(() => '(e.maker = ? AND e.model = ? AND e.code = ?)').join(' OR ')})`,
          [shopId, ...wanted.map(w => w.key), shopId, ...wanted.flatMap(w => [w.maker, w.model, w.code])],
        )
      ).map(withEngine)
