import { stringify } from 'csv-stringify/sync'
import { cellOut, QUOTED_CELL } from '../../core/exchange'
import type { ApiKey } from '../../shared/api'
import type { LogKind, LogQuery, LogResponse } from '../../shared/shop-log'
import type { Db } from '../database/query'
import { insertLogLine, logLines, nameOfThing } from '../repositories/shop-log'
import { tellFailure } from '../telling/log'
import { t } from '../words'
import { LOGGED } from './logged-requests'

const MOST_LETTERS = 120

/** Who does something: of a shop, by name. */
interface Doer {
  id: number
  shopId: number
  name: string
}

/** Writes a line of the log: who did what. Secrets are never part of it. */
export const noteInLog = (db: Db, { id, shopId, name }: Doer, kind: LogKind, what = '') =>
  insertLogLine(db, shopId, { personId: id, person: name, kind, what: what.slice(0, MOST_LETTERS) })

/** What a request is about, by the name that it carries. */
function nameIn(body: unknown): string {
  const { name, tag, maker, model } = (body ?? {}) as Partial<Record<'name' | 'tag' | 'maker' | 'model', unknown>>
  const words = typeof name === 'string' ? [name] : [maker, model, tag].filter(word => typeof word === 'string')
  return words.join(' ')
}
/**
 * What a request is about that has a number alone: looked up before it is worked, for afterward it may be gone.
 * @returns undefined where the request is not written down, or says itself what it is about
 */
export async function thingOf(
  db: Db,
  shopId: number,
  key: ApiKey,
  given: { body: unknown; readonly id: number },
): Promise<string | undefined> {
  const [, kind, parameter] = /^\S+ \/api\/([\w-]+)\/:(\w+)/.exec(key) ?? []
  if (!kind || parameter !== 'id' || !LOGGED[key as keyof typeof LOGGED] || nameIn(given.body)) return undefined
  return (await nameOfThing(db, shopId, kind, given.id)) ?? undefined
}
/**
 * Writes down a request that was worked, if it is of those that are. What was worked is done, also where the log cannot
 * be written.
 * @param subject whom or what it was about
 */
export async function noteRequest(
  db: Db,
  person: Doer,
  key: ApiKey,
  { body, subject }: { body: unknown; subject?: string },
): Promise<void> {
  const kind = key in LOGGED ? LOGGED[key as keyof typeof LOGGED] : null
  if (!kind) return
  await noteInLog(db, person, kind, subject ?? nameIn(body)).catch((error: unknown) =>
    tellFailure(error, { doing: 'writing the log of a shop' }),
  )
}

const PAGE = 100
/** A page of the log, the newest lines first. */
export async function readLog(db: Db, shopId: number, query: LogQuery): Promise<LogResponse> {
  const rows = await logLines(db, shopId, query, PAGE + 1)
  const page = rows.slice(0, PAGE)
  return { rows: page, before: rows.length > PAGE ? page.at(-1)!.id : null }
}

/** The log as CSV, line by line as it is read. */
export async function* logAsCsv(db: Db, person: Doer, query: LogQuery): AsyncGenerator<string> {
  await noteInLog(db, person, 'log-exported')
  const lines = (rows: string[][]) =>
    stringify(
      rows.map(cells => cells.map(cellOut)),
      { record_delimiter: '\r\n', quoted_match: QUOTED_CELL },
    )
  yield `\uFEFF${lines([[t('shop-log.at'), t('common.who'), t('shop-log.done'), t('shop-log.what')]])}`
  for (let before = query.before; ;) {
    const page = await readLog(db, person.shopId, { ...query, before })
    yield lines(page.rows.map(r => [r.at, r.person, t('log.kind', { kind: r.kind }), r.what]))
    if (page.before === null) return
    before = page.before
  }
}
