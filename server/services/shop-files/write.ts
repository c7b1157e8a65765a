import { Readable } from 'node:stream'
import { stringify } from 'csv-stringify/sync'
import { ZipFile } from 'yazl'
import { cellOut, QUOTED_CELL } from '../../../core/exchange'
import type { DatabaseSettings } from '../../database/pool'
import {
  atOneMoment,
  pictureOf,
  picturesOfShop,
  type Row,
  rowsOfShop,
  type ShopTable,
  tablesOfShop,
} from '../../repositories/whole-shop'
import { fileOfPicture, LEFT_OUT, PICTURES, SECRETS } from './left-out'
import { README } from './readme'

const isJson = (type: string): boolean => type === 'longtext' || type === 'json'

/** A value as open files have it: JSON as it is, moments as ISO 8601, pictures by the name of their file. */
function openValue(table: string, row: Row, name: string, type: string): unknown {
  const value = row[name]!
  if (name in (PICTURES[table]?.columns ?? {})) return { file: fileOfPicture(table, name, row) }
  if (value instanceof Date) return type === 'date' ? value.toISOString().slice(0, 10) : value.toISOString()
  if (Buffer.isBuffer(value)) return { base64: value.toString('base64') }
  if (typeof value !== 'string' || !isJson(type)) return value
  try {
    return JSON.parse(value)
  } catch {
    return value
  }
}
/** The columns of a table that are no secrets. */
const openColumns = ({ name, columns }: ShopTable) => columns.filter(c => SECRETS[name]?.[c.name] === undefined)

async function* openRows(rows: AsyncGenerator<Row>, table: ShopTable): AsyncGenerator<Record<string, unknown>> {
  for await (const row of rows)
    yield Object.fromEntries(openColumns(table).map(c => [c.name, openValue(table.name, row, c.name, c.type)]))
}

const textOf = (value: unknown): string => {
  if (value === null || value === undefined) return ''
  return typeof value === 'string' ? cellOut(value) : typeof value === 'object' ? JSON.stringify(value) : String(value)
}
const csvLine = (cells: unknown[]): string =>
  stringify([cells.map(textOf)], { record_delimiter: '\r\n', quoted_match: QUOTED_CELL })

async function* asCsv(rows: AsyncGenerator<Row>, table: ShopTable): AsyncGenerator<string> {
  yield `\uFEFF${csvLine(openColumns(table).map(c => c.name))}`
  for await (const row of openRows(rows, table)) yield csvLine(Object.values(row))
}
async function* asJson(rows: AsyncGenerator<Row>, table: ShopTable): AsyncGenerator<string> {
  for await (const row of openRows(rows, table)) yield `${JSON.stringify(row)}\n`
}

/**
 * Everything of a shop as one zip of open files: each table as CSV for people and as JSON lines for programs, each
 * picture as it is; without secrets. All of it is of one moment; nothing of it is whole in memory.
 */
export async function* shopFiles(
  settings: DatabaseSettings,
  shopId: number,
  { version, migration, madeAt }: { version: string; migration: number; madeAt: Date },
): AsyncGenerator<Uint8Array> {
  const zip = new ZipFile()
  const output = zip.outputStream as Readable
  const connection = await atOneMoment(settings)
  /** Made when its turn comes, one after the other: they share the connection. */
  const later = (name: string, make: () => Readable, compress = true) =>
    zip.addReadStreamLazy(name, { compress }, give => {
      const made = make()
      made.once('error', error => output.destroy(error))
      give(null, made)
    })
  try {
    const about = { wembricShop: 1, version, migration, madeAt: madeAt.toISOString() }
    zip.addBuffer(Buffer.from(`${JSON.stringify(about, null, 2)}\n`), 'about.json')
    zip.addBuffer(Buffer.from(README), 'README.txt')
    for (const table of (await tablesOfShop(connection)).filter(t => !LEFT_OUT.has(t.name))) {
      const rows = () => rowsOfShop(connection, shopId, table, Object.keys(PICTURES[table.name]?.columns ?? {}))
      later(`csv/${table.name}.csv`, () => Readable.from(asCsv(rows(), table)))
      later(`json/${table.name}.jsonl`, () => Readable.from(asJson(rows(), table)))
    }
    for (const [table, { key, columns }] of Object.entries(PICTURES))
      for (const id of await picturesOfShop(connection, shopId, table, key))
        for (const column of Object.keys(columns))
          later(
            fileOfPicture(table, column, { [key]: id }),
            () => Readable.from(onePicture(pictureOf(connection, shopId, { table, key, column, id }))),
            false,
          )
    zip.end()
    yield* output as AsyncIterable<Uint8Array>
  } finally {
    connection.destroy()
  }
}
async function* onePicture(bytes: Promise<Buffer>): AsyncGenerator<Buffer> {
  yield await bytes
}
