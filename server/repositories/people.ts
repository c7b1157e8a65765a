import type { Hands } from '../../core/job'
import type { Language } from '../../shared/languages'
import type { PersonRole, PersonRow } from '../../shared/people'
import { change, type Db, many, maybeOne } from '../database/query'

export interface PersonRecord {
  id: number
  shopId: number
  name: string
  role: PersonRole
  sessionVersion: number
  passwordHash: string
  runsServer: boolean
}

/** As the database has it: a flag is a number there. */
type Flagged<T extends { runsServer: boolean }> = Omit<T, 'runsServer'> & { runsServer: number }
const asRecord = <T extends { runsServer: boolean }>(row: Flagged<T>): T =>
  ({ ...row, runsServer: row.runsServer === 1 }) as unknown as T
const COLUMNS = `p.id, p.shop_id AS shopId, p.name, p.role, p.session_version AS sessionVersion,
  p.password_hash AS passwordHash, p.runs_server AS runsServer`

/** Somebody who may be meant by a sign-in name: how they stand, and how their shop does. */
export interface Alike extends PersonRecord {
  endedAt: Date | null
  codeHash: string | null
  codeUntil: Date | null
  closedAt: Date | null
  goesAt: Date | null
}
/** By which a person is asked for at the door: a host that is one shop's own names the shop, and so may who asks. */
export interface AtTheDoor {
  signIn: string
  /** A shop's short name, or its name. */
  shop?: string
  host: string
}
/** Everybody who may be meant, as many as are looked at. */
export const peopleBySignIn = async (db: Db, { signIn, shop = '', host }: AtTheDoor, most: number): Promise<Alike[]> =>
  (
    await many<Flagged<Alike>>(
      db,
      `SELECT ${COLUMNS}, p.ended_at AS endedAt, p.code_hash AS codeHash, p.code_until AS codeUntil,
       s.closed_at AS closedAt, s.goes_at AS goesAt
     FROM people p JOIN shops s ON s.id = p.shop_id
     WHERE p.sign_in = ? AND (? = '' OR s.short_name = ? OR s.name = ?)
       AND (s.host = ? OR NOT EXISTS (SELECT 1 FROM shops h WHERE h.host = ?))
     ORDER BY p.id LIMIT ?`,
      [signIn, shop, shop, shop, host, host, most],
    )
  ).map(asRecord<Alike>)
/** Whether a sign-in name is somebody's in a shop already. */
export const isSignInTaken = async (db: Db, shopId: number, signIn: string): Promise<boolean> =>
  (await maybeOne(db, 'SELECT id FROM people WHERE shop_id = ? AND sign_in = ?', [shopId, signIn])) !== null
/** Whether somebody of a shop works there still, with the one-time code that a lead made for them. */
export const standingOf = (
  db: Db,
  shopId: number,
  personId: number,
): Promise<{ name: string; endedAt: Date | null; codeHash: string | null; codeUntil: Date | null } | null> =>
  maybeOne(
    db,
    `SELECT name, ended_at AS endedAt, code_hash AS codeHash, code_until AS codeUntil FROM people
     WHERE shop_id = ? AND id = ?`,
    [shopId, personId],
  )

/** By id alone: the session is what says which shop a person belongs to. */
export const personById = async (db: Db, personId: number): Promise<PersonRecord | null> => {
  const row = await maybeOne<Flagged<PersonRecord>>(db, `SELECT ${COLUMNS} FROM people p WHERE p.id = ?`, [personId])
  return row && asRecord<PersonRecord>(row)
}

/** Everybody that a shop has had, those who left last. */
export const allPeopleOfShop = async (db: Db, shopId: number): Promise<PersonRow[]> =>
  (
    await many<Omit<PersonRow, 'endedAt'> & { endedAt: Date | null }>(
      db,
      `SELECT id, name, sign_in AS signIn, role, ended_at AS endedAt FROM people WHERE shop_id = ?
       ORDER BY ended_at IS NOT NULL, name`,
      [shopId],
    )
  ).map(person => ({ ...person, endedAt: person.endedAt?.toISOString() ?? null }))
/** Who works in a shop. */
export const peopleOfShop = async (db: Db, shopId: number): Promise<PersonRow[]> =>
  (await allPeopleOfShop(db, shopId)).filter(person => person.endedAt === null)

export const insertPerson = async (
  db: Db,
  shopId: number,
  p: { signIn: string; name: string; role: PersonRole; passwordHash: string; runsServer?: boolean },
): Promise<number> =>
  (
    await change(
      db,
      `INSERT INTO people (shop_id, sign_in, name, role, password_hash, runs_server, created_at)
       VALUES (?, ?, ?, ?, ?, ?, UTC_TIMESTAMP(3))`,
      [shopId, p.signIn, p.name, p.role, p.passwordHash, p.runsServer ?? false],
    )
  ).id

/** Names whoever runs the server, and nobody else beside them. */
export async function setRunsServer(db: Db, shopId: number, personId: number): Promise<void> {
  await change(db, 'UPDATE people SET runs_server = 0 WHERE runs_server = 1')
  await change(db, 'UPDATE people SET runs_server = 1 WHERE shop_id = ? AND id = ?', [shopId, personId])
}
/** Whoever runs the server, where somebody does. */
export const whoRunsServer = (db: Db): Promise<{ id: number; shopId: number; name: string } | null> =>
  maybeOne(db, 'SELECT id, shop_id AS shopId, name FROM people WHERE runs_server = 1 AND ended_at IS NULL LIMIT 1')

/** The blade set that a person begins jobs with, or null. */
export const favouriteSetOf = async (db: Db, shopId: number, personId: number): Promise<number | null> =>
  (
    await maybeOne<{ id: number | null }>(
      db,
      `SELECT b.id FROM people p LEFT JOIN blade_sets b ON b.shop_id = p.shop_id AND b.id = p.favourite_blade_set_id
        WHERE p.shop_id = ? AND p.id = ?`,
      [shopId, personId],
    )
  )?.id ?? null
export const setFavouriteSet = (db: Db, shopId: number, personId: number, bladeSetId: number | null) =>
  change(db, 'UPDATE people SET favourite_blade_set_id = ? WHERE shop_id = ? AND id = ?', [
    bladeSetId,
    shopId,
    personId,
  ])

/** The language that a person chose, or null. */
export const languageOf = async (db: Db, shopId: number, personId: number): Promise<Language | null> =>
  (
    await maybeOne<{ language: Language | null }>(db, 'SELECT language FROM people WHERE shop_id = ? AND id = ?', [
      shopId,
      personId,
    ])
  )?.language ?? null
export const setLanguage = (db: Db, shopId: number, personId: number, language: Language) =>
  change(db, 'UPDATE people SET language = ? WHERE shop_id = ? AND id = ?', [language, shopId, personId])

/** Whether a person is led one thing at a time. */
export const handsOf = async (db: Db, shopId: number, personId: number): Promise<Hands> =>
  (await maybeOne<{ hands: Hands }>(db, 'SELECT hands FROM people WHERE shop_id = ? AND id = ?', [shopId, personId]))
    ?.hands ?? 'guided'
export const setHands = (db: Db, shopId: number, personId: number, hands: Hands) =>
  change(db, 'UPDATE people SET hands = ? WHERE shop_id = ? AND id = ?', [hands, shopId, personId])

export const setPasswordHash = (db: Db, shopId: number, personId: number, hash: string) =>
  change(db, 'UPDATE people SET password_hash = ? WHERE shop_id = ? AND id = ?', [hash, shopId, personId])

export const setRole = (db: Db, shopId: number, personId: number, role: PersonRole) =>
  change(db, 'UPDATE people SET role = ? WHERE shop_id = ? AND id = ?', [role, shopId, personId])
/** Whoever leaves signs in no more: by no password, PIN or code, and their sessions end in the same moment. */
export const endPersonRow = (db: Db, shopId: number, personId: number) =>
  change(
    db,
    `UPDATE people SET ended_at = UTC_TIMESTAMP(3), pin_hash = NULL, code_hash = NULL, code_until = NULL,
     session_version = session_version + 1 WHERE shop_id = ? AND id = ? AND ended_at IS NULL`,
    [shopId, personId],
  )
export const letPersonBack = (db: Db, shopId: number, personId: number) =>
  change(db, 'UPDATE people SET ended_at = NULL WHERE shop_id = ? AND id = ? AND ended_at IS NOT NULL', [
    shopId,
    personId,
  ])
export const setCode = (db: Db, shopId: number, personId: number, hash: string | null, until: Date | null) =>
  change(db, 'UPDATE people SET code_hash = ?, code_until = ? WHERE shop_id = ? AND id = ?', [
    hash,
    until,
    shopId,
    personId,
  ])
export const unitOf = async (db: Db, shopId: number, personId: number): Promise<'mm' | 'thou' | null> =>
  (
    await maybeOne<{ unit: 'mm' | 'thou' | null }>(db, 'SELECT unit FROM people WHERE shop_id = ? AND id = ?', [
      shopId,
      personId,
    ])
  )?.unit ?? null
export const setOwn = (
  db: Db,
  shopId: number,
  personId: number,
  { name, unit }: { name: string; unit: 'mm' | 'thou' | null },
) => change(db, 'UPDATE people SET name = ?, unit = ? WHERE shop_id = ? AND id = ?', [name, unit, shopId, personId])

/** Ends every session of a person. */
export const revokeSessions = (db: Db, shopId: number, personId: number) =>
  change(db, 'UPDATE people SET session_version = session_version + 1 WHERE shop_id = ? AND id = ?', [shopId, personId])
