import { stringify } from 'csv-stringify/sync'
import { BOOK_FORMAT, type BookModel, COLUMNS, headingOf, modelCells, modelRow, QUOTED_CELL } from '../../core/exchange'
import type { ModelRow } from '../../shared/spec-book'
import type { Db } from '../database/query'
import { modelsAfter, modelsByIds } from '../repositories/models'
import type { WorkbookKind } from '../workers/workbook'
import { writeWorkbook } from '../workers/workbook-thread'

const PAGE = 200
async function* pages(db: Db, shopId: number, ids: number[] | undefined): AsyncGenerator<ModelRow[]> {
  if (ids) return yield await modelsByIds(db, shopId, ids)
  for (let last: ModelRow | null = null; ;) {
    const page = await modelsAfter(db, shopId, last, PAGE)
    if (page.length === 0) return
    yield page
    last = page.at(-1)!
  }
}
export const asBookModel = ({
  key,
  maker,
  model,
  code,
  kind,
  family,
  displacementCc,
  yearFrom,
  yearTo,
  engine,
}: ModelRow): BookModel => ({ key, maker, model, code, kind, family, displacementCc, yearFrom, yearTo, engine })

/** The book as CSV, page by page; a mark of byte order first, so that spreadsheets read it as UTF-8. */
export async function* csvBook(
  db: Db,
  shopId: number,
  ids: number[] | undefined,
  delimiter: string,
): AsyncGenerator<string> {
  yield `\uFEFF${stringify([COLUMNS.map(headingOf)], { delimiter, record_delimiter: '\r\n' })}`
  for await (const page of pages(db, shopId, ids))
    yield stringify(
      page.map(m => modelRow(asBookModel(m), delimiter)),
      { delimiter, record_delimiter: '\r\n', quoted_match: QUOTED_CELL },
    )
}
/** The book as a workbook of one sheet: texts are texts, so that a spreadsheet leaves them as they are. */
export async function* workbook(
  db: Db,
  shopId: number,
  ids: number[] | undefined,
  kind: WorkbookKind,
): AsyncGenerator<Uint8Array> {
  const rows: (string | number)[][] = [COLUMNS.map(headingOf)]
  for await (const page of pages(db, shopId, ids)) rows.push(...page.map(m => modelCells(asBookModel(m))))
  yield await writeWorkbook(rows, kind)
}
/** The book as JSON, page by page, by the schema in docs/formats. */
export async function* jsonBook(db: Db, shopId: number, ids: number[] | undefined): AsyncGenerator<string> {
  yield `{"format":${JSON.stringify(BOOK_FORMAT)},"version":1,"models":[`
  let first = true
  for await (const page of pages(db, shopId, ids)) {
    for (const model of page) {
      yield `${first ? '' : ','}\n${JSON.stringify(asBookModel(model))}`
      first = false
    }
  }
  yield '\n]}\n'
}
