import { parentPort } from 'node:worker_threads'
import { read, utils, type WorkSheet, write } from '@e965/xlsx'
import { columnFor } from '../../core/exchange'

/** The kinds of workbook that are written; both are read. */
export type WorkbookKind = 'xlsx' | 'ods'
/** What the thread is asked. */
export type WorkbookTask = { rows: (string | number)[][]; kind: WorkbookKind } | { bytes: Uint8Array }

/** More rows than a book has: a sheet that claims more is no list of models. */
const MOST_ROWS = 50_000
const SHEET = 'Models'

/** The cells of a sheet as texts: figures with a point, days as year-month-day. Empty rows are left out. */
function textsOf(sheet: WorkSheet): string[][] {
  const rows = utils.sheet_to_json<unknown[]>(sheet, { header: 1, raw: true, defval: '', blankrows: false, UTC: true })
  const text = (value: unknown): string =>
    value instanceof Date
      ? value.toISOString().slice(0, 10)
      : typeof value === 'boolean'
        ? String(value).toUpperCase()
        : String(value as string | number)
  return rows.map(row => row.map(text)).filter(row => row.some(cell => cell.trim() !== ''))
}
/** How many of a sheet's headings are known here. */
const fit = (rows: string[][]): number => (rows[0] ?? []).filter(heading => columnFor(heading) !== null).length

/** The rows of the sheet that looks most like a list of models. @throws Error for what is no workbook */
export function rowsOfWorkbook(bytes: Uint8Array): string[][] {
  const book = read(bytes, {
    type: 'array',
    dense: true,
    cellDates: true,
    UTC: true,
    cellFormula: false,
    cellHTML: false,
    sheetRows: MOST_ROWS,
  })
  const sheets = book.SheetNames.map(name => textsOf(book.Sheets[name]!))
  return sheets.sort((a, b) => fit(b) - fit(a))[0] ?? []
}

/** One sheet with these rows; a text stays a text, whatever it looks like. */
export function workbookOf(rows: (string | number)[][], kind: WorkbookKind): Uint8Array {
  const sheet = utils.aoa_to_sheet(rows)
  sheet['!cols'] = rows[0]!.map(heading => ({ wch: Math.max(10, String(heading).length + 2) }))
  const book = utils.book_new(sheet, SHEET)
  return new Uint8Array(write(book, { type: 'array', bookType: kind, compression: true }) as ArrayBuffer)
}

/** One task, here or in the thread. */
export const workbookTask = (task: WorkbookTask): string[][] | Uint8Array =>
  'bytes' in task ? rowsOfWorkbook(task.bytes) : workbookOf(task.rows, task.kind)

parentPort?.once('message', (task: WorkbookTask) => parentPort!.postMessage(workbookTask(task)))
