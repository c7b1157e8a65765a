import type { Said, Tell } from '../../core/said'
import { listed } from './grammar'

const grouped = (n: number): string => n.toLocaleString('en-US')

/** What is wrong with a row or a cell of an imported file. */
export const cells = {
  'cell.of': ({ problem }: { problem: Said }, tell: Tell) => `The cell ${tell(problem)}`,
  'cell.text': ({ problem }: { problem: Said }, tell: Tell) => `The text ${tell(problem)}`,
  'cell.too-long': ({ length, most }: { length: number; most: number }) =>
    `holds ${grouped(length)} characters; ${grouped(most)} is the limit. A quote may not be closed.`,
  'cell.not-utf-8': 'has letters that are not UTF-8. Save the file as UTF-8 and import it again.',
  'cell.control': 'has control characters, so it is not plain text.',
  'cell.markup': 'has markup. Only plain text can be imported.',
  'cell.count': ({ cells, headings }: { cells: number; headings: number }) =>
    `The row has ${cells} cells, the heading ${headings}. A separator may be inside a cell without quotes.`,
  'cell.not-json': 'This is not readable JSON. Leave the cell empty, or as the export wrote it.',
  'cell.either-day': ({ typed, days }: { typed: string; days: string[] }) =>
    `“${typed}” can be ${listed(days, 'or')}. Write it as year-month-day.`,
  'cell.bare-day': ({ typed }: { typed: string }) =>
    `“${typed}” is a day. A spreadsheet may have made it of a page or a name such as 4-12: write that again.`,
  'import.workbook-unreadable':
    'This workbook can’t be read. Open it, save it again as .xlsx, .ods or CSV, and import that.',
  'import.workbook-empty':
    'There are no rows in this workbook. Put headings in its first row and a model in each row below.',
  'import.workbook-large': ({ most }: { most: number }) =>
    `This workbook is over ${most} MB. Save its sheet as CSV, and import that.`,
  'import.row-large': 'A row is over 400 KB: an opening quote is not closed.',
  'import.quote-open': 'A quote is not closed, so what follows it in the file is not read.',
  'import.row-unreadable': 'This row can’t be read. Check its quotes.',
  'import.no-models':
    'There are no models in this file. It must look like docs/formats says: {"format": "wembric spec book", "version": 1, "models": [ … ]}.',
  'import.json-broken': ({ why, some }: { why: string; some: boolean }) =>
    `This is not readable JSON (${why}). ${some ? 'The models before it can be imported.' : 'Import a file that an export wrote.'}`,
  'import.same-as': ({ row }: { row: number }) => `The same model as row ${row}. Keep one of the two.`,
}

/** What is doubtful about a figure that was read from a page. */
export const pages = {
  'page.guessed': ({ text }: { text: string }) => `“${text}” has letters where digits should be. Check it on the page.`,
  'page.units-differ': ({ one, other }: { one: string; other: string }) =>
    `${one} and ${other} are not the same. One of them is misread or misprinted.`,
  'page.unsure': 'The words here are hard to make out. Compare this with the picture.',
  'page.no-topic': 'The page does not say that this is for the valves.',
  'page.no-valve': 'The page does not say whether this is for the intake or the exhaust.',
  'page.no-unit': ({ unit }: { unit: string }) => `The page gives no unit here. By its size it is ${unit}.`,
  'page.another': ({ figures }: { figures: string[] }) =>
    `The page also says ${listed(figures)}. It may describe two models.`,
  'page.fire-mark': 'The page gives the timing, but names no F mark. Take it only if there is one.',
}
