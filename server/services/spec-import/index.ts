import { say } from '../../../core/said'
import { inWriting } from '../../../core/wrong'
import type { ImportResponse, ImportRow } from '../../../shared/spec-book'
import { type Pool, transaction } from '../../database/query'
import { notFound, Problem, unfit } from '../../problem'
import {
  advanceImport,
  asSeen,
  dropChunks,
  rememberHeadings,
  rowCounts,
  rowOf,
  setImport,
  setImportSettings,
  updateRow,
} from '../../repositories/spec-imports'
import { refreshSoon } from '../machines/outlooks'
import type { SignedIn } from '../people'
import { onlyLead } from '../spec-book'
import { Cancelled, inBackground } from './background'
import { readAll } from './read-all'
import { importOf, readImport } from './record'
import { writeAll } from './write-all'

export { readImport, readRows } from './record'
export { respeltImport, uploadImport } from './upload'

/**
 * Begins to read a file: each row is checked and held against the book, in the background; `readImport` says how far it
 * is.
 */
export async function beginReading(
  pool: Pool,
  person: SignedIn,
  id: number,
  { delimiter, mapping }: { delimiter: string; mapping: (string | null)[] },
): Promise<ImportResponse> {
  const { shopId } = person
  const found = await importOf(pool, shopId, id)
  if (found.format === 'csv') {
    const doubled = mapping.find((c, i) => c !== null && mapping.indexOf(c) !== i)
    if (doubled) throw unfit('settings', say('refused.two-headings', { column: doubled }))
    if (!['maker', 'model'].every(c => mapping.includes(c)))
      throw unfit('settings', say('refused.no-heading-is-said-to'))
    if (mapping.length !== found.settings.headings.length)
      throw unfit('settings', say('refused.the-headings-have-changed-reload'))
  }
  if (!(await advanceImport(pool, shopId, id, ['uploaded', 'preview'], 'reading')))
    throw new Problem('import-busy', say('refused.this-file-is-being-read'))
  const settings = { ...found.settings, delimiter, mapping }
  await setImportSettings(pool, shopId, id, found.bytes, settings)
  await rememberHeadings(
    pool,
    shopId,
    settings.headings.map((h, i) => [h, mapping[i] ?? '']),
  )
  void inBackground(pool, shopId, id, () => readAll(pool, shopId, { ...found, settings }))
  return readImport(pool, person, id)
}

/** Answers every doubt of a row with “as printed”, so that it can be taken. */
export async function answerRow(pool: Pool, person: SignedIn, id: number, rowNo: number): Promise<ImportRow> {
  if ((await importOf(pool, person.shopId, id)).state !== 'preview')
    throw new Problem('import-busy', say('refused.this-file-is-being-read-or'))
  const row = await rowOf(pool, person.shopId, id, rowNo)
  if (!row) throw notFound('row')
  if (!row.content || row.notes.some(n => !n.doubt)) throw unfit('answer', say('refused.this-row-has-a-problem'))
  const answered = {
    ...row,
    state: row.content.would,
    content: { ...row.content, answered: row.notes.map(n => n.doubt!) },
  }
  await updateRow(pool, person.shopId, id, answered)
  return asSeen(answered)
}

/**
 * Writes what a preview showed: all new and changed rows in one transaction, or nothing. In the background, and it can
 * be cancelled.
 */
export async function acceptImport(
  pool: Pool,
  person: SignedIn,
  id: number,
  approveBecause: string,
): Promise<ImportResponse> {
  const { shopId } = person
  const found = await importOf(pool, shopId, id)
  const { new: fresh, changed } = await rowCounts(pool, shopId, id)
  if (fresh + changed === 0) throw unfit('file', say('refused.there-is-nothing-in-it'))
  const approved = approveBecause !== '' && (await onlyLead(pool, person))
  if (!(await advanceImport(pool, shopId, id, ['preview'], 'writing')))
    throw new Problem('import-busy', say('refused.this-file-is-being-read-or'))
  await setImport(pool, shopId, id, { state: 'writing', total: fresh + changed })
  void inBackground(pool, shopId, id, async () => {
    try {
      await transaction(pool, async db => {
        await writeAll(pool, db, person, found, approved ? approveBecause : '')
        // in the same transaction: whoever cancels now either comes first, and nothing is written, or is told that it
        // is done
        if (!(await advanceImport(db, shopId, id, ['writing'], 'done'))) throw new Cancelled()
        await setImport(db, shopId, id, {
          state: 'done',
          progress: fresh + changed,
          message: inWriting(say('import.done', { fresh, changed, approved })),
        })
      })
      await dropChunks(pool, shopId, id)
      refreshSoon(pool)
    } catch (error) {
      if (!(error instanceof Cancelled)) throw error
    }
  })
  return readImport(pool, person, id)
}

/** Stops an import wherever it is. What was being written is taken back whole. */
export async function cancelImport(pool: Pool, person: SignedIn, id: number): Promise<ImportResponse> {
  await importOf(pool, person.shopId, id)
  if (!(await advanceImport(pool, person.shopId, id, ['uploaded', 'reading', 'preview', 'writing'], 'cancelled')))
    throw new Problem('done-already', say('refused.this-import-is-already-finished'))
  await dropChunks(pool, person.shopId, id)
  return readImport(pool, person, id)
}
