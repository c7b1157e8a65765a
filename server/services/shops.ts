import { readdir, rm } from 'node:fs/promises'
import { join } from 'node:path'
import { say } from '../../core/said'
import { HOUR_MS } from '../../core/units'
import { GRACE_DAYS, type NewShop, type ShopHere, type ShopLimitsRequest, type WayIn } from '../../shared/shops'
import { isDuplicate } from '../database/errors'
import { databaseSettings } from '../database/pool'
import { type Db, type Pool, transaction } from '../database/query'
import { notFound, Problem } from '../problem'
import { allPeopleOfShop, insertPerson, setRunsServer, whoRunsServer } from '../repositories/people'
import { setShopLimits } from '../repositories/shop-limits'
import { insertLogLine } from '../repositories/shop-log'
import {
  closeShopRow,
  countedShops,
  countShops,
  insertShop,
  isTaken,
  oldestShop,
  reopenShopRow,
  type ShopCounted,
  shopsToRemove,
} from '../repositories/shops'
import { removeShopRows } from '../repositories/whole-shop'
import { tellFailure } from '../telling/log'
import { makeCode } from './crew'
import { isLetterOf, outbox } from './mail'

/** Whoever does something to a shop that is not theirs: its own log says so by their name. */
export interface Runner {
  name: string
  shopId: number | null
}
const MB = 1_000_000

/** All shops of the installation, by name. */
export async function listShops(db: Db, runner: Runner): Promise<ShopHere[]> {
  return (await countedShops(db)).map(({ photoBytes, ...shop }) => ({
    ...shop,
    since: shop.since.toISOString(),
    lastJobAt: shop.lastJobAt?.toISOString() ?? null,
    closedAt: shop.closedAt?.toISOString() ?? null,
    goesAt: shop.goesAt?.toISOString() ?? null,
    photoMb: Math.ceil(photoBytes / MB),
    own: shop.id === runner.shopId,
  }))
}
/** A shop by its number. @throws Problem not-found */
export async function knownShop(db: Db, id: number): Promise<ShopCounted> {
  const [shop] = await countedShops(db, id)
  if (!shop) throw notFound('shop')
  return shop
}

/** What is said where a short name or a host is another shop's. */
const taken = (field: 'shortName' | 'host'): Problem =>
  new Problem('duplicate', say('refused.that-is-there-already-choose'), {
    fields: [{ field, message: say('refused.that-is-there-already-choose') }],
  })

/**
 * Makes a shop and its first lead, who chooses a password with a one-time code. Where it is the first of the
 * installation, that lead runs the server.
 * @throws Problem duplicate
 */
export const makeShop = (
  pool: Pool,
  { shop: name, shortName, timeZone, unit, lead }: NewShop,
  now: Date,
): Promise<WayIn> =>
  transaction(pool, async db => {
    const first = (await countShops(db)) === 0
    if (await isTaken(db, 'shortName', shortName)) throw taken('shortName')
    const id = await insertShop(db, { name, shortName, timeZone, unit, demo: 'no' })
    // no password is of this hash: the first is chosen with the code
    const personId = await insertPerson(db, id, { ...lead, role: 'lead', passwordHash: '', runsServer: first })
    const { code } = await makeCode(db, id, personId, now)
    return { id, shop: first ? null : shortName, signIn: lead.signIn, ...code }
  })

/** A new one-time code for the first lead of a shop, where all lost their passwords. @throws Problem not-found */
export async function makeWayIn(db: Db, runner: Runner, id: number, now: Date): Promise<WayIn & { name: string }> {
  const shop = await knownShop(db, id)
  const lead = (await allPeopleOfShop(db, id))
    .filter(p => p.role === 'lead' && p.endedAt === null)
    .sort((a, b) => a.id - b.id)[0]
  if (!lead) throw notFound('person')
  const { code } = await makeCode(db, id, lead.id, now)
  if (id !== runner.shopId) await noteThere(db, id, runner, 'code-made', lead.name)
  return { id, shop: shop.shortName, name: shop.name, signIn: lead.signIn, ...code }
}
/** A line in the log of a shop by somebody who is none of it. */
export const noteThere = (
  db: Db,
  shopId: number,
  { name }: Runner,
  kind: Parameters<typeof insertLogLine>[2]['kind'],
  what: string,
) => insertLogLine(db, shopId, { personId: null, person: name, kind, what })

/**
 * By what a shop is asked for at the door, and what it may have.
 * @returns its name
 * @throws Problem not-found, duplicate
 */
export async function limitShop(db: Db, id: number, request: ShopLimitsRequest): Promise<string> {
  const { name } = await knownShop(db, id)
  for (const field of ['shortName', 'host'] as const)
    if (request[field] !== null && (await isTaken(db, field, request[field], id))) throw taken(field)
  await setShopLimits(db, id, request).catch((error: unknown) => {
    // another took it in the same moment
    throw isDuplicate(error) ? taken('shortName') : error
  })
  return name
}

/**
 * Closes a shop: nobody signs in there, and its records go when the days are over.
 * @param days 30 by default; 0 from the command line alone
 * @returns its name
 * @throws Problem not-found, not-allowed for the shop of whoever runs the server, shop-closed where it is closed
 */
export async function closeShop(db: Db, runner: Runner, id: number, days = GRACE_DAYS): Promise<string> {
  const { name, goesAt } = await knownShop(db, id)
  if (id === (await whoRunsServer(db))?.shopId) throw new Problem('not-allowed', say('refused.not-your-own-shop'))
  if (goesAt) throw new Problem('shop-closed', say('refused.shop-closed', { goesAtMs: goesAt.getTime() }))
  await closeShopRow(db, id, days)
  await noteThere(db, id, runner, 'shop-closed', name)
  return name
}
/** Takes a closed shop back, with all that it has. @returns its name @throws Problem not-found, gone */
export async function reopenShop(db: Db, runner: Runner, id: number): Promise<string> {
  const { name } = await knownShop(db, id)
  if ((await reopenShopRow(db, id)).affected === 0) throw new Problem('gone', say('refused.shop-not-closed'))
  await noteThere(db, id, runner, 'shop-reopened', name)
  return name
}

/** Removes a shop: its letters, and every row of it. Begun again, it goes on where it stopped. */
export async function removeShop(pool: Pool, id: number): Promise<void> {
  const isFirst = (await oldestShop(pool))?.id === id
  for (const file of await readdir(outbox()).catch(() => [] as string[]))
    if (isLetterOf(file, id, isFirst)) await rm(join(outbox(), file), { force: true })
  await removeShopRows(databaseSettings(process.env, 'app'), id)
}
/** Removes closed shops whose time is over; the log of whoever runs the server keeps their names. */
export async function removeClosedShops(pool: Pool): Promise<string[]> {
  const names: string[] = []
  for (const { id, name } of await shopsToRemove(pool)) {
    await removeShop(pool, id)
    const runner = await whoRunsServer(pool)
    if (runner) await noteThere(pool, runner.shopId, { name: 'Wembric', shopId: null }, 'shop-removed', name)
    names.push(name)
  }
  return names
}
const LOOK_EVERY_MS = HOUR_MS
/** Looks each hour whether a closed shop's time is over. */
export function keepRemoving(pool: Pool): void {
  const look = () =>
    removeClosedShops(pool).catch((error: Error) => tellFailure(error, { doing: 'removing a shop that was closed' }))
  void look()
  setInterval(look, LOOK_EVERY_MS).unref()
}

/** Names who runs the server from now on: a lead of any shop. @throws Problem not-found */
export const handServerTo = (pool: Pool, shopId: number, signIn: string): Promise<string> =>
  transaction(pool, async db => {
    const lead = (await allPeopleOfShop(db, shopId)).find(
      p => p.signIn === signIn && p.role === 'lead' && p.endedAt === null,
    )
    if (!lead) throw notFound('person')
    await setRunsServer(db, shopId, lead.id)
    return lead.name
  })
