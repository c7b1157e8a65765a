import { createInterface } from 'node:readline'
import { buffer } from 'node:stream/consumers'
import { type Entry, openPromise, type ZipFile } from 'yauzl'
import { say } from '../../../core/said'
import { z } from '../../../core/zod'
import { lastMigration } from '../../database/migrate'
import type { DatabaseSettings } from '../../database/pool'
import type { Pool } from '../../database/query'
import { Problem } from '../../problem'
import { indexBook } from '../../repositories/models'
import { peopleOfShop, setRunsServer } from '../../repositories/people'
import { oldestShop } from '../../repositories/shops'
import { inAnyOrder, insertRows, type Row, type ShopTable, tablesOfShop } from '../../repositories/whole-shop'
import { makeCode } from '../crew'
import { fileOfPicture, LEFT_OUT, PICTURES, SECRETS } from './left-out'

const aboutSchema = z.object({ wembricShop: z.literal(1), version: z.string(), migration: z.number().int() })
const rowSchema = z.record(z.string(), z.unknown())

/** So many rows are written together. */
const BATCH = 100

/** A zip whose files are read by name. */
async function opened(path: string): Promise<{ zip: ZipFile; entries: Map<string, Entry> }> {
  try {
    const zip = await openPromise(path, { lazyEntries: true, autoClose: false })
    const entries = new Map<string, Entry>()
    for await (const entry of zip.eachEntry()) entries.set(entry.fileName, entry)
    return { zip, entries }
  } catch (error) {
    const there = (error as { code?: string }).code !== 'ENOENT'
    throw new Problem('backup-broken', say(there ? 'backup.not-one' : 'backup.no-file', { path }))
  }
}

/** A value as the database has it. */
function storedValue(value: unknown, type: string): Row[string] {
  if (value === null || value === undefined) return null
  if (type === 'longtext') return JSON.stringify(value)
  if (type === 'datetime') return new Date(value as string)
  return value as string | number
}

/**
 * Makes a shop of its open files, in a database that has no shop yet, under the ids that it had.
 * @returns its name, and how its first lead chooses a new password
 * @throws Problem backup-broken, backup-newer, not-empty; then nothing of it is there
 */
export async function takeShopIn(
  pool: Pool,
  settings: DatabaseSettings,
  path: string,
  now: Date,
): Promise<{ name: string; signIn: string; code: string }> {
  if (await oldestShop(pool)) throw new Problem('not-empty', say('backup.shop-there'))
  const broken = new Problem('backup-broken', say('backup.broken', { path }))
  const { zip, entries } = await opened(path)
  const connection = await inAnyOrder(settings)
  try {
    const bytesOf = async (name: string): Promise<Buffer> => {
      const entry = entries.get(name)
      if (!entry) throw broken
      return buffer(await zip.openReadStreamPromise(entry))
    }
    const about = aboutSchema.safeParse(parsed(await bytesOf('about.json')))
    if (!about.success) throw new Problem('backup-broken', say('backup.not-one', { path }))
    if (about.data.migration > (await lastMigration(settings)))
      throw new Problem('backup-newer', say('backup.newer', { path, version: about.data.version }))
    for (const table of await tablesOfShop(pool)) {
      if (LEFT_OUT.has(table.name)) continue
      const entry = entries.get(`json/${table.name}.jsonl`)
      // a table that came later than these files
      if (!entry) continue
      await takeTable(table, await zip.openReadStreamPromise(entry), bytesOf, rows =>
        insertRows(connection, table.name, rows),
      )
    }
    await connection.commit()
  } catch (error) {
    await connection.rollback().catch(() => {})
    throw error instanceof Problem ? error : Object.assign(broken, { cause: error })
  } finally {
    connection.destroy()
    zip.close()
  }
  const shop = await oldestShop(pool)
  const lead = shop && (await peopleOfShop(pool, shop.id)).find(p => p.role === 'lead')
  if (!lead) throw broken
  await indexBook(pool, shop.id)
  await setRunsServer(pool, shop.id, lead.id)
  const { code } = await makeCode(pool, shop.id, lead.id, now)
  return { name: lead.name, signIn: lead.signIn, code: code.code }
}

function parsed(bytes: Buffer | string): unknown {
  try {
    return JSON.parse(bytes.toString())
  } catch {
    return null
  }
}

async function takeTable(
  table: ShopTable,
  lines: NodeJS.ReadableStream,
  bytesOf: (name: string) => Promise<Buffer>,
  insert: (rows: Row[]) => Promise<void>,
): Promise<void> {
  const pictures = PICTURES[table.name]?.columns ?? {}
  let rows: Row[] = []
  for await (const line of createInterface({ input: lines, crlfDelay: Infinity })) {
    const open = rowSchema.parse(parsed(line))
    const row: Row = { ...SECRETS[table.name] }
    for (const { name, type } of table.columns)
      if (name in open && !(name in pictures)) row[name] = storedValue(open[name], type)
    for (const name of Object.keys(pictures)) row[name] = await bytesOf(fileOfPicture(table.name, name, row))
    rows.push(row)
    if (rows.length < (Object.keys(pictures).length ? 1 : BATCH)) continue
    await insert(rows)
    rows = []
  }
  await insert(rows)
}
