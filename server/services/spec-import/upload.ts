import { stringify } from 'csv-stringify/sync'
import type { H3Event } from 'h3'
import { columnFor, delimiterOf } from '../../../core/exchange'
import { type Said, say } from '../../../core/said'
import type { ImportResponse } from '../../../shared/spec-book'
import type { Db, Pool } from '../../database/query'
import { Problem } from '../../problem'
import {
  chunksOf,
  dropChunks,
  dropOldImports,
  insertChunk,
  insertImport,
  knownHeadings,
  setImport,
  setImportSettings,
} from '../../repositories/spec-imports'
import { tellFailure } from '../../telling/log'
import { readWorkbook } from '../../workers/workbook-thread'
import type { SignedIn } from '../people'
import { firstRows, isWorkbook, noText } from './file'
import { importOf, readImport } from './record'

const MOST_BYTES = 200 * 1024 * 1024
const CHUNK_BYTES = 512 * 1024
const FIRST_ROWS = 4

/** A workbook is read whole: a sheet of 20,000 models is smaller. From memory of what spreadsheets save. */
const MOST_WORKBOOK_MB = 20
async function* piecesOf(text: string): AsyncGenerator<Buffer> {
  yield Buffer.from(text, 'utf8')
}
/** A workbook that was stored in chunks becomes the CSV of its sheet, stored in its place. */
async function sheetOf(
  db: Db,
  shopId: number,
  importId: number,
  bytes: number,
): Promise<{ first: Buffer; bytes: number }> {
  const refuse = (says: Said) => new Problem('unfit', says, { fields: [{ field: 'file', message: says }] })
  if (bytes > MOST_WORKBOOK_MB * 1024 * 1024) throw refuse(say('import.workbook-large', { most: MOST_WORKBOOK_MB }))
  const chunks: Buffer[] = []
  for await (const chunk of chunksOf(db, shopId, importId)) chunks.push(chunk)
  let rows: string[][]
  try {
    rows = await readWorkbook(Buffer.concat(chunks))
  } catch (error) {
    tellFailure(error, { doing: 'reading a workbook' })
    throw refuse(say('import.workbook-unreadable'))
  }
  if (rows.length < 2) throw refuse(say('import.workbook-empty'))
  await dropChunks(db, shopId, importId)
  return store(db, shopId, importId, piecesOf(stringify(rows, { quoted_match: /[\r\n]/ })))
}

/** A file as it comes, in chunks of one size, stored as they fill. @returns its first chunk and its size */
async function store(
  db: Db,
  shopId: number,
  importId: number,
  body: AsyncIterable<Buffer>,
  name = '',
): Promise<{ first: Buffer; bytes: number }> {
  let waiting: Buffer[] = []
  let size = 0
  let bytes = 0
  let n = 0
  let first = Buffer.alloc(0)
  const flush = async () => {
    const chunk = Buffer.concat(waiting)
    if (n === 0) {
      first = chunk
      const why = isWorkbook(name, chunk) ? null : await noText(chunk.subarray(0, 4096))
      if (why) throw new Problem('unfit', why, { fields: [{ field: 'file', message: why }] })
    }
    if (chunk.length > 0) await insertChunk(db, shopId, importId, n++, chunk)
    waiting = []
    size = 0
  }
  for await (const piece of body) {
    bytes += piece.length
    if (bytes > MOST_BYTES) throw new Problem('too-much', say('refused.this-file-is-over-200'))
    for (let at = 0; at < piece.length;) {
      const part = piece.subarray(at, at + CHUNK_BYTES - size)
      at += part.length
      waiting.push(part)
      size += part.length
      if (size >= CHUNK_BYTES) await flush()
    }
  }
  await flush()
  if (bytes === 0)
    throw new Problem('unfit', say('refused.this-file-is-empty-choose'), {
      fields: [{ field: 'file', message: say('wrong.this-file-is-empty') }],
    })
  return { first, bytes }
}

/** Takes in the bytes of a file, and says how it would be read. Nothing of it is in the book yet. */
export async function uploadImport(
  pool: Pool,
  person: SignedIn,
  fileName: string,
  event: H3Event,
): Promise<{ id: number }> {
  const { shopId } = person
  await dropOldImports(pool, shopId)
  const isJson = /\.json$/i.test(fileName)
  const id = await insertImport(pool, shopId, { personId: person.id, fileName, format: isJson ? 'json' : 'csv' })
  try {
    let { first, bytes } = await store(pool, shopId, id, event.node.req as AsyncIterable<Buffer>, fileName)
    if (isWorkbook(fileName, first)) ({ first, bytes } = await sheetOf(pool, shopId, id, bytes))
    const text = new TextDecoder('utf-8').decode(first.subarray(0, 65_536))
    const delimiter = delimiterOf(text.split(/\r?\n/)[0] ?? '')
    const rows = isJson ? [] : await firstRows(first.subarray(0, 65_536), delimiter, FIRST_ROWS)
    await setImportSettings(pool, shopId, id, bytes, await suggested(pool, shopId, delimiter, rows))
  } catch (error) {
    await setImport(pool, shopId, id, { state: 'failed' })
    await dropChunks(pool, shopId, id)
    throw error
  }
  return { id }
}

async function suggested(db: Db, shopId: number, delimiter: string, rows: string[][]) {
  const known = await knownHeadings(db, shopId)
  const headings = rows[0] ?? []
  const used = new Set<string>()
  const mapping = headings.map(heading => {
    const column = known.get(heading.slice(0, 80)) ?? columnFor(heading)
    if (column === null || column === '' || used.has(column)) return null
    used.add(column)
    return column
  })
  return { delimiter, headings, mapping, first: rows.slice(1) }
}

/** The file read with another delimiter: its headings and first rows change with it. */
export async function respeltImport(
  pool: Pool,
  person: SignedIn,
  id: number,
  delimiter: string,
): Promise<ImportResponse> {
  const found = await importOf(pool, person.shopId, id)
  if (found.state !== 'uploaded') throw new Problem('import-busy', say('refused.this-file-is-being-read-already'))
  for await (const first of chunksOf(pool, person.shopId, id)) {
    await setImportSettings(
      pool,
      person.shopId,
      id,
      found.bytes,
      await suggested(
        pool,
        person.shopId,
        delimiter,
        await firstRows(first.subarray(0, 65_536), delimiter, FIRST_ROWS),
      ),
    )
    break
  }
  return readImport(pool, person, id)
}
