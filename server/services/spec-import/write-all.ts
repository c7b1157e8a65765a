import sameData from 'fast-deep-equal'
import { say } from '../../../core/said'
import type { Db, Pool } from '../../database/query'
import { Problem } from '../../problem'
import { addGramCounts, insertModels, modelsKnownAs, updateModel } from '../../repositories/models'
import { markFamilyStale } from '../../repositories/outlooks'
import { insertRevisions, lockNewest } from '../../repositories/revisions'
import { type ImportRecord, rowsOf, setProgress, type StoredRow } from '../../repositories/spec-imports'
import { t } from '../../words'
import type { SignedIn } from '../people'
import { BATCH, breath, Cancelled } from './background'

/** Writes every new and changed row, in the transaction that is given. @throws Cancelled */
export async function writeAll(
  pool: Pool,
  db: Db,
  person: SignedIn,
  { id, fileName }: ImportRecord,
  approveBecause: string,
): Promise<void> {
  const { shopId } = person
  let after = 0
  let written = 0
  const grams = new Map<string, number>()
  const common = {
    authorId: person.id,
    approved: approveBecause !== '',
    approvalReason: approveBecause,
    reason: t('record.from-file', { file: fileName }),
  }
  for (;;) {
    const rows = await rowsOf(db, shopId, id, ['new', 'changed'], after, BATCH)
    if (rows.length === 0) return addGramCounts(db, shopId, grams)
    const fresh = rows.filter(r => r.state === 'new')
    if (fresh.length) {
      const { ids, counts } = await insertModels(
        db,
        shopId,
        fresh.map(r => r.content!.model),
      )
      for (const [gram, n] of counts) grams.set(gram, (grams.get(gram) ?? 0) + n)
      await insertRevisions(
        db,
        shopId,
        fresh.map((r, i) => ({
          ...common,
          modelId: ids[i]!,
          revision: 1,
          engine: r.content!.model.engine,
          answered: answeredOf(r),
        })),
      )
    }
    for (const row of rows.filter(r => r.state === 'changed')) await writeChange(db, shopId, row, common)
    written += rows.length
    after = rows.at(-1)!.rowNo
    // the progress is written outside the transaction, so that others see it, and see that it can be stopped
    if (!(await setProgress(pool, shopId, id, written))) throw new Cancelled()
    await breath()
  }
}
const answeredOf = (row: StoredRow) =>
  row.notes.filter(n => n.doubt && row.content!.answered.includes(n.doubt)).map(n => ({ id: n.doubt!, says: n.says }))

async function writeChange(
  db: Db,
  shopId: number,
  row: StoredRow,
  common: { authorId: number; approved: boolean; approvalReason: string; reason: string },
): Promise<void> {
  const { model } = row.content!
  const newest = await lockNewest(db, shopId, row.modelId!)
  const [now] = await modelsKnownAs(db, shopId, [model])
  if (!newest || !now) throw new Problem('gone', say('refused.not-in-the-book', { model: row.title }))
  await updateModel(db, shopId, row.modelId!, model)
  if (sameData(now.engine, model.engine)) return
  await markFamilyStale(db, shopId, row.modelId!)
  await insertRevisions(db, shopId, [
    {
      ...common,
      modelId: row.modelId!,
      revision: newest.revision + 1,
      engine: model.engine,
      basedOn: newest.id,
      answered: answeredOf(row),
    },
  ])
}
