import { pipeline, Readable, Transform } from 'node:stream'
import { parse } from 'csv-parse'
import { fileTypeFromBuffer } from 'file-type'
import chain from 'stream-chain'
import { parser } from 'stream-json'
import { pick } from 'stream-json/filters/pick.js'
import { streamArray } from 'stream-json/streamers/stream-array.js'
import { type Column, type DayOrder, dayOrderOf, jsonModel, type ReadRow, rowModel } from '../../../core/exchange'
import { type Said, say } from '../../../core/said'
import type { FileKind } from '../../../words/en/refusals'

/** Files that get renamed to .csv, by the name that they would have by how they begin. */
const NO_TEXT: Record<string, FileKind> = {
  zip: 'zip',
  xlsx: 'zip',
  ods: 'zip',
  docx: 'zip',
  odt: 'zip',
  png: 'png',
  apng: 'png',
  jpg: 'jpeg',
  gif: 'gif',
  pdf: 'pdf',
  gz: 'gzip',
  cfb: 'office',
  webp: 'riff',
  wav: 'riff',
  avi: 'riff',
}
/** Whether a file is a workbook whose sheet can be read, seen from its first bytes: a zip that is called one. */
export const isWorkbook = (name: string, first: Uint8Array): boolean =>
  /\.(xlsx|ods)$/i.test(name) && first[0] === 0x50 && first[1] === 0x4b && first[2] === 3
/** Why a file cannot be a table or a book, seen from its first bytes; null where it may be. */
export async function noText(first: Uint8Array): Promise<Said | null> {
  const kind = NO_TEXT[(await fileTypeFromBuffer(first))?.ext ?? '']
  if (kind) return say('refused.not-text', { kind })
  if ((first[0] === 0xff && first[1] === 0xfe) || (first[0] === 0xfe && first[1] === 0xff)) return say('refused.utf-16')
  return first.includes(0) ? say('refused.not-text', { kind: null }) : null
}

/** A record that is larger has lost a closing quote. */
const MOST_RECORD = 400_000
/**
 * Bytes as text, a byte that is no UTF-8 as U+FFFD, so that its cell can be named; a mark of byte order is left out.
 */
class Decoder extends Transform {
  private readonly decoder = new TextDecoder('utf-8')
  constructor() {
    super({ readableObjectMode: false, decodeStrings: false })
  }
  override _transform(chunk: Buffer, _: string, done: (error?: Error | null, data?: string) => void): void {
    done(null, this.decoder.decode(chunk, { stream: true }))
  }
  override _flush(done: (error?: Error | null, data?: string) => void): void {
    done(null, this.decoder.decode())
  }
}

/** A failure anywhere along a pipeline ends its last stream with the error; whoever reads that one is told. */
const toldAtTheEnd = (): void => {}

/** The first rows of a CSV, to suggest how it is read. The beginning of a file may end in the middle of a quote. */
export async function firstRows(first: Buffer, delimiter: string, most: number): Promise<string[][]> {
  const rows: string[][] = []
  for await (const row of Readable.from([new TextDecoder('utf-8').decode(first)]).pipe(
    parse({ delimiter, relax_column_count: true, relax_quotes: true, skip_records_with_error: true, to: most }),
  ) as AsyncIterable<string[]>)
    rows.push(row)
  return rows
}

export interface FileRow extends ReadRow {
  rowNo: number
}
/** Why the reader skipped a piece of the file. */
const skippedBecause = (code: string): Said =>
  code === 'CSV_MAX_RECORD_SIZE'
    ? say('import.row-large')
    : code === 'CSV_QUOTE_NOT_CLOSED'
      ? say('import.quote-open')
      : say('import.row-unreadable')

/**
 * Rows of a CSV as they stand in it, counted as a spreadsheet does: the heading is row 1. What cannot be read is a row
 * with a problem, and the others stay.
 */
export async function* csvRows(
  bytes: AsyncIterable<Buffer>,
  delimiter: string,
  headings: string[],
  mapping: (Column | null)[],
  order: DayOrder | null = null,
): AsyncGenerator<FileRow> {
  let count = 0
  const skipped: FileRow[] = []
  const reading = pipeline(
    Readable.from(bytes),
    new Decoder(),
    parse({
      delimiter,
      relax_column_count: true,
      relax_quotes: true,
      max_record_size: MOST_RECORD,
      skip_records_with_error: true,
      on_record: cells => ({ rowNo: ++count, cells }) as never,
      on_skip: error => {
        skipped.push({
          rowNo: ++count,
          title: '',
          model: null,
          notes: [{ column: headings[0] ?? '', says: skippedBecause(error?.code ?? '') }],
        })
      },
    }),
    toldAtTheEnd,
  )
  for await (const { rowNo, cells } of reading as unknown as AsyncIterable<{ rowNo: number; cells: string[] }>) {
    if (rowNo === 1 || cells.every(c => c.trim() === '')) continue
    yield { rowNo, ...rowModel(cells, mapping, headings, order) }
  }
  yield* skipped
}

/** Whether days of a CSV are written day or month first, as far as one of its columns tells. */
export async function csvDayOrder(
  bytes: AsyncIterable<Buffer>,
  delimiter: string,
  column: number,
): Promise<DayOrder | null> {
  const cells: string[] = []
  const reading = pipeline(
    Readable.from(bytes),
    new Decoder(),
    parse({
      delimiter,
      relax_column_count: true,
      relax_quotes: true,
      max_record_size: MOST_RECORD,
      skip_records_with_error: true,
    }),
    toldAtTheEnd,
  )
  for await (const row of reading as unknown as AsyncIterable<string[]>) cells.push(row[column] ?? '')
  return dayOrderOf(cells)
}

/** Models of a JSON book, counted from 1. */
export async function* jsonRows(bytes: AsyncIterable<Buffer>): AsyncGenerator<FileRow> {
  let rowNo = 0
  const reading = pipeline(
    Readable.from(bytes),
    chain([parser(), pick({ filter: 'models' }), streamArray()]),
    toldAtTheEnd,
  )
  try {
    for await (const { value } of reading as unknown as AsyncIterable<{ value: unknown }>)
      yield { rowNo: ++rowNo, ...jsonModel(value) }
    if (rowNo === 0)
      yield {
        rowNo: 1,
        title: '',
        model: null,
        notes: [
          {
            column: 'models',
            says: say('import.no-models'),
          },
        ],
      }
  } catch (error) {
    yield {
      rowNo: rowNo + 1,
      title: '',
      model: null,
      notes: [
        {
          column: 'models',
          says: say('import.json-broken', { why: (error as Error).message, some: rowNo > 0 }),
        },
      ],
    }
  }
}
