import { heard, wrong } from '../../../core/wrong'
import type { ImportResponse, ImportRow, ImportRowState } from '../../../shared/spec-book'
import type { Db } from '../../database/query'
import { notFound } from '../../problem'
import { asSeen, importById, type ImportRecord, rowCounts, rowsOf, setImport } from '../../repositories/spec-imports'
import { tell } from '../../words'
import type { SignedIn } from '../people'
import { onlyLead } from '../spec-book'

/** One that has not moved for so long was cut off: its server is gone, and its transaction with it. */
const CUT_OFF_SECONDS = 120

/** An import of this shop; one that was cut off is said to have failed. @throws Problem not-found */
export async function importOf(db: Db, shopId: number, id: number): Promise<ImportRecord> {
  const found = await importById(db, shopId, id)
  if (!found) throw notFound('import')
  if ((found.state !== 'reading' && found.state !== 'writing') || found.idleSeconds < CUT_OFF_SECONDS) return found
  await setImport(db, shopId, id, {
    state: 'failed',
    message: wrong('wrong.the-server-was-stopped-in'),
  })
  return (await importById(db, shopId, id)) ?? found
}

/** An import as its page shows it. */
export async function readImport(db: Db, person: SignedIn, id: number): Promise<ImportResponse> {
  const { personId: _, idleSeconds: __, ...found } = await importOf(db, person.shopId, id)
  return {
    ...found,
    message: tell(heard(found.message)),
    counts: await rowCounts(db, person.shopId, id),
    mayApproveOwn: await onlyLead(db, person),
  }
}

const ROWS_SHOWN = 100
/** Rows of one state, a page of them after a row. */
export async function readRows(
  db: Db,
  person: SignedIn,
  id: number,
  state: ImportRowState,
  after: number,
): Promise<ImportRow[]> {
  await importOf(db, person.shopId, id)
  return (await rowsOf(db, person.shopId, id, [state], after, ROWS_SHOWN)).map(asSeen)
}
