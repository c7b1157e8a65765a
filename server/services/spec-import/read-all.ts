import type { Column } from '../../../core/exchange'
import { say } from '../../../core/said'
import type { Pool } from '../../database/query'
import { modelsKnownAs } from '../../repositories/models'
import {
  chunksOf,
  clearRows,
  type ImportRecord,
  insertRows,
  setImport,
  setProgress,
} from '../../repositories/spec-imports'
import { againstBook } from './against-book'
import { BATCH, breath, Cancelled } from './background'
import { csvDayOrder, csvRows, type FileRow, jsonRows } from './file'

/** Reads a whole file, row by row, and writes down what each would do to the book. */
export async function readAll(
  pool: Pool,
  shopId: number,
  { id, format, bytes, settings }: ImportRecord,
): Promise<void> {
  await clearRows(pool, shopId, id)
  let read = 0
  async function* counted() {
    for await (const chunk of chunksOf(pool, shopId, id)) {
      read += chunk.length
      yield chunk
    }
  }
  const dayColumn = settings.mapping.indexOf('sourceDate')
  const order =
    format === 'json' || dayColumn < 0
      ? null
      : await csvDayOrder(chunksOf(pool, shopId, id), settings.delimiter, dayColumn)
  const rows =
    format === 'json'
      ? jsonRows(counted())
      : csvRows(counted(), settings.delimiter, settings.headings, settings.mapping as (Column | null)[], order)
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
              says: say('import.same-as', { row: first }),
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
