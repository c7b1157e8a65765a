import type { H3Event } from 'h3'
import { type Column, columnFor, delimiterOf } from '../../core/exchange'
import { compareSpecs, same } from '../../core/spec-book'
import type { ImportResponse, ImportRow, ImportRowState, ModelRow } from '../../shared/spec-book'
import { type Db, type Pool, transaction } from '../database/query'
import { addGramCounts, insertModels, modelsKnownAs, updateModel } from '../repositories/models'
import { markFamilyStale } from '../repositories/outlooks'
import { insertRevisions, lockNewest } from '../repositories/revisions'
import {
  advanceImport,
  asSeen,
  chunksOf,
  clearRows,
  dropChunks,
  dropOldImports,
  importById,
  type ImportRecord,
  insertChunk,
  insertImport,
  insertRows,
  knownHeadings,
  rememberHeadings,
  rowCounts,
  rowOf,
  rowsOf,
  setImport,
  setImportSettings,
  setProgress,
  type StoredRow,
  updateRow,
} from '../repositories/spec-imports'
import { notFound, Problem, unfit } from '../problem'
import { refreshSoon } from './machines/outlooks'
import type { SignedIn } from './people'
import { onlyLead } from './spec-book'
import { csvRows, type FileRow, firstRows, jsonRows, noText } from './spec-file'

const MOST_BYTES = 200 * 1024 * 1024
const CHUNK_BYTES = 512 * 1024
/** Rows that are looked up and written together. */
const BATCH = 200
const FIRST_ROWS = 4
/** One that has not moved for so long was cut off: its server is gone, and its transaction with it. */
const CUT_OFF_SECONDS = 120

async function importOf(db: Db, shopId: number, id: number): Promise<ImportRecord> {
  const found = await importById(db, shopId, id)
  if (!found) throw notFound('import')
  if ((found.state !== 'reading' && found.state !== 'writing') || found.idleSeconds < CUT_OFF_SECONDS) return found
  await setImport(db, shopId, id, {
    state: 'failed',
    message: 'The server was stopped in the middle of it. Nothing of this file was written; take it in again.',
  })
  return (await importById(db, shopId, id)) ?? found
}

/** A file as it comes, in chunks of one size, stored as they fill. @returns its first chunk and its size */
async function store(
  db: Db,
  shopId: number,
  importId: number,
  body: AsyncIterable<Buffer>,
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
      const why = noText(chunk.subarray(0, 4096))
      if (why) throw new Problem('unfit', why, { fields: [{ field: 'file', message: why }] })
    }
    if (chunk.length > 0) await insertChunk(db, shopId, importId, n++, chunk)
    waiting = []
    size = 0
  }
  for await (const piece of body) {
    bytes += piece.length
    if (bytes > MOST_BYTES)
      throw new Problem('too-much', 'This file is over 200 MB. Part it, and take the parts in one after another.')
    waiting.push(piece)
    size += piece.length
    if (size >= CHUNK_BYTES) await flush()
  }
  await flush()
  if (bytes === 0)
    throw new Problem('unfit', 'This file is empty. Choose another.', {
      fields: [{ field: 'file', message: 'This file is empty.' }],
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
    const { first, bytes } = await store(pool, shopId, id, event.node.req as AsyncIterable<Buffer>)
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
  if (found.state !== 'uploaded') throw new Problem('import-busy', 'This file is being read already. Reload the page.')
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

export async function readImport(db: Db, person: SignedIn, id: number): Promise<ImportResponse> {
  const { personId: _, idleSeconds: __, ...found } = await importOf(db, person.shopId, id)
  return { ...found, counts: await rowCounts(db, person.shopId, id), mayApproveOwn: await onlyLead(db, person) }
}
const ROWS_SHOWN = 100
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
    if (doubled) throw unfit('settings', `Two headings are said to be “${doubled}”. Choose one of them.`)
    if (!['maker', 'model'].every(c => mapping.includes(c)))
      throw unfit('settings', 'No heading is said to be the maker, or none the model. Choose both.')
    if (mapping.length !== found.settings.headings.length)
      throw unfit('settings', 'The headings have changed. Reload the page and look again.')
  }
  if (!(await advanceImport(pool, shopId, id, ['uploaded', 'preview'], 'reading')))
    throw new Problem('import-busy', 'This file is being read, or is done with. Reload the page.')
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

/** Runs the long part of an import; what fails is said in its record. */
async function inBackground(pool: Pool, shopId: number, id: number, work: () => Promise<void>): Promise<void> {
  try {
    await work()
  } catch (error) {
    if (!(error instanceof Problem)) console.error(error)
    await setImport(pool, shopId, id, {
      state: 'failed',
      message:
        error instanceof Problem
          ? error.title
          : 'Something failed at the shop’s server. Nothing was changed; take the file in again.',
    }).catch(() => {})
  }
}
const breath = () => new Promise<void>(done => setImmediate(done))

/** What a row would do to the book as it is. */
function againstBook({ rowNo, title, model, notes }: FileRow, known: ModelRow | undefined): StoredRow {
  if (!model) return { rowNo, state: 'problem', title, modelId: null, content: null, notes }
  const { engine: _, ...named } = model
  const renamed =
    known && (Object.keys(named) as (keyof typeof named)[]).filter(f => f !== 'key' && known[f] !== named[f])
  const changes = known
    ? [
        ...compareSpecs(known.engine, model.engine)
          .filter(l => l.change !== 'same')
          .map(l => `${l.name}: ${l.before.value || 'none'} → ${l.after.value || 'none'}`),
        ...renamed!.map(f => `${f}: ${known[f] ?? ''} → ${named[f] ?? ''}`),
      ]
    : []
  const would = !known ? 'new' : same(known.engine, model.engine) && renamed!.length === 0 ? 'same' : 'changed'
  const doubts = notes.filter(n => n.doubt)
  const state = would !== 'same' && doubts.length > 0 ? 'problem' : would
  return {
    rowNo,
    state,
    title,
    modelId: known?.id ?? null,
    content: { model: known ? { ...model, key: known.key } : model, would, answered: [], changes },
    notes: would === 'same' ? [] : notes,
  }
}

async function readAll(pool: Pool, shopId: number, { id, format, bytes, settings }: ImportRecord): Promise<void> {
  await clearRows(pool, shopId, id)
  let read = 0
  async function* counted() {
    for await (const chunk of chunksOf(pool, shopId, id)) {
      read += chunk.length
      yield chunk
    }
  }
  const rows =
    format === 'json'
      ? jsonRows(counted())
      : csvRows(counted(), settings.delimiter, settings.headings, settings.mapping as (Column | null)[])
  const seen = new Map<string, number>()
  let batch: FileRow[] = []
  const flush = async () => {
    const known = await modelsKnownAs(
      pool,
      shopId,
      batch.flatMap(r => r.model ?? []),
    )
    const byKey = new Map(known.map(m => [m.key, m]))
    const byName = new Map(known.map(m => [[m.maker, m.model, m.code].join('\n').toLowerCase(), m]))
    await insertRows(
      pool,
      shopId,
      id,
      batch.map(r =>
        againstBook(
          r,
          r.model
            ? (byKey.get(r.model.key) ??
                byName.get([r.model.maker, r.model.model, r.model.code].join('\n').toLowerCase()))
            : undefined,
        ),
      ),
    )
    batch = []
    // a hundredth for what is still to be looked at
    if (!(await setProgress(pool, shopId, id, Math.min(99, Math.floor((read / bytes) * 100))))) throw new Cancelled()
    await breath()
  }
  try {
    for await (const row of rows) {
      const name = row.model && [row.model.maker, row.model.model, row.model.code].join('\n').toLowerCase()
      const first = row.model ? (seen.get(row.model.key) ?? seen.get(name!)) : undefined
      if (first !== undefined)
        Object.assign(row, {
          model: null,
          notes: [
            {
              column: settings.headings[settings.mapping.indexOf('model')] ?? 'key',
              says: `The same model as row ${first}. Keep one of the two.`,
            },
          ],
        })
      else if (row.model) for (const key of [row.model.key, name!]) seen.set(key, row.rowNo)
      batch.push(row)
      if (batch.length >= BATCH) await flush()
    }
    await flush()
    await setImport(pool, shopId, id, { state: 'preview', progress: 100 })
  } catch (error) {
    if (!(error instanceof Cancelled)) throw error
  }
}
class Cancelled extends Error {}

/** Answers every doubt of a row with “as printed”, so that it can be taken. */
export async function answerRow(pool: Pool, person: SignedIn, id: number, rowNo: number): Promise<ImportRow> {
  if ((await importOf(pool, person.shopId, id)).state !== 'preview')
    throw new Problem('import-busy', 'This file is being read or written, or is done with. Reload the page.')
  const row = await rowOf(pool, person.shopId, id, rowNo)
  if (!row) throw notFound('row')
  if (!row.content || row.notes.some(n => !n.doubt))
    throw unfit('answer', 'This row has a problem that must be put right in the file.')
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
  if (fresh + changed === 0) throw unfit('file', 'There is nothing in it to write.')
  const approved = approveBecause !== '' && (await onlyLead(pool, person))
  if (!(await advanceImport(pool, shopId, id, ['preview'], 'writing')))
    throw new Problem('import-busy', 'This file is being read or written, or is done with. Reload the page.')
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
          message: `${fresh} new and ${changed} changed, ${approved ? 'approved' : 'as drafts'}.`,
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

async function writeAll(
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
    reason: `From ${fileName}`,
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
  if (!newest || !now) throw new Problem('gone', `${row.title} is not in the book any more. Take the file in again.`)
  await updateModel(db, shopId, row.modelId!, model)
  if (same(now.engine, model.engine)) return
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

/** Stops an import wherever it is. What was being written is taken back whole. */
export async function cancelImport(pool: Pool, person: SignedIn, id: number): Promise<ImportResponse> {
  await importOf(pool, person.shopId, id)
  if (!(await advanceImport(pool, person.shopId, id, ['uploaded', 'reading', 'preview', 'writing'], 'cancelled')))
    throw new Problem('done-already', 'This import is done with already.')
  await dropChunks(pool, person.shopId, id)
  return readImport(pool, person, id)
}
