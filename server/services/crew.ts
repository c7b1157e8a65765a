import { randomInt } from 'node:crypto'
import { say } from '../../core/said'
import type { OneTimeCode, PersonRole } from '../../shared/people'
import { type Db, type Pool, transaction } from '../database/query'
import { notFound, Problem } from '../problem'
import { unassignOpen } from '../repositories/board'
import {
  type Alike,
  endPersonRow,
  letPersonBack,
  peopleOfShop,
  personById,
  type PersonRecord,
  revokeSessions,
  setCode,
  setOwn,
  setPasswordHash,
  setRole,
  setRunsServer,
  standingOf,
  whoRunsServer,
} from '../repositories/people'
import { countShops, lockShop } from '../repositories/shops'
import { boardChanged } from './board'
import { hashPassword, passwordMatches } from './passwords'
import type { SignedIn } from './people'
import { checkRoomForOne } from './shop-limits'
import { noteInLog } from './shop-log'
import { type DoorTry, personAtTheDoor } from './sign-in'
import { countTry, forgetOwnTries, type TryFrom } from './sign-in-throttle'

/** Somebody of the shop by name, whether they work there still. @throws Problem not-found */
async function known(db: Db, shopId: number, personId: number): Promise<{ name: string; ended: boolean }> {
  const standing = await standingOf(db, shopId, personId)
  if (!standing) throw notFound('person')
  return { name: standing.name, ended: standing.endedAt !== null }
}
/** A shop has a lead at any time. @throws Problem last-lead where this one is the last */
async function notTheLastLead(db: Db, shopId: number, personId: number): Promise<void> {
  const leads = (await peopleOfShop(db, shopId)).filter(p => p.role === 'lead')
  if (leads.length === 1 && leads[0]!.id === personId) throw new Problem('last-lead', say('refused.last-lead'))
}

/**
 * Whoever runs the server is not lost: where the shop is the only one, another lead runs it from now on.
 * @throws Problem runs-server where there are other shops, whose people did not choose that lead
 */
async function mindTheServer(db: Db, shopId: number, personId: number): Promise<void> {
  if ((await whoRunsServer(db))?.id !== personId) return
  if ((await countShops(db)) > 1) throw new Problem('runs-server', say('refused.runs-the-server'))
  const another = (await peopleOfShop(db, shopId)).find(p => p.role === 'lead' && p.id !== personId)
  if (another) await setRunsServer(db, shopId, another.id)
}

/** Makes a mechanic a lead, or a lead a mechanic. @returns the person’s name */
export const changeRole = (pool: Pool, shopId: number, personId: number, role: PersonRole): Promise<string> =>
  transaction(pool, async db => {
    await lockShop(db, shopId)
    const { name } = await known(db, shopId, personId)
    if (role === 'mechanic') {
      await notTheLastLead(db, shopId, personId)
      await mindTheServer(db, shopId, personId)
    }
    await setRole(db, shopId, personId, role)
    return name
  })

/**
 * Ends somebody’s access: their sessions end at once, their open work is nobody’s, what they signed keeps their name.
 * @returns the person’s name
 */
export async function endPerson(pool: Pool, shopId: number, personId: number): Promise<string> {
  const ended = await transaction(pool, async db => {
    await lockShop(db, shopId)
    const { name } = await known(db, shopId, personId)
    await notTheLastLead(db, shopId, personId)
    await mindTheServer(db, shopId, personId)
    await endPersonRow(db, shopId, personId)
    await unassignOpen(db, shopId, personId)
    return name
  })
  await boardChanged(pool, shopId)
  return ended
}
/**
 * Somebody who left works here again, by the password they had or a new code. @returns the person’s name
 * @throws Problem not-found, limit-reached
 */
export const takeBack = (pool: Pool, shopId: number, personId: number): Promise<string> =>
  transaction(pool, async db => {
    await lockShop(db, shopId)
    const { name, ended } = await known(db, shopId, personId)
    if (ended) await checkRoomForOne(db, shopId)
    await letPersonBack(db, shopId, personId)
    return name
  })

/** Letters and digits that nobody takes for another when they are read out. */
const CODE_LETTERS = 'ABCDEFGHJKMNPQRSTUVWXYZ23456789'
const CODE_LENGTH = 8
const CODE_HOURS = 24
/**
 * A one-time code by which somebody chooses a new password. It is told once; only its hash is kept.
 * @returns the code, and whom it is for
 */
export async function makeCode(
  db: Db,
  shopId: number,
  personId: number,
  now: Date,
): Promise<{ code: OneTimeCode; name: string }> {
  const { name, ended } = await known(db, shopId, personId)
  if (ended) throw new Problem('person-ended', say('refused.person-ended', { name }))
  const letters = Array.from({ length: CODE_LENGTH }, () => CODE_LETTERS[randomInt(CODE_LETTERS.length)]!).join('')
  const until = new Date(now.getTime() + CODE_HOURS * 3600_000)
  await setCode(db, shopId, personId, await hashPassword(letters), until)
  return { code: { code: `${letters.slice(0, 4)}-${letters.slice(4)}`, until: until.toISOString() }, name }
}

/**
 * Signs in by a one-time code and sets a new password: other sessions end, and the code is used up.
 * @throws Problem 401, 429, which-shop, shop-closed
 */
export async function useCode(
  pool: Pool,
  asked: DoorTry,
  { code, next }: { code: string; next: string },
  now: Date,
): Promise<PersonRecord> {
  const stands = (p: Alike) => (p.codeHash !== null && p.codeUntil! > now ? p.codeHash : null)
  const wrong = { field: 'code', message: say('refused.wrong-code') }
  const person = await personAtTheDoor(pool, asked, code, stands, wrong)
  await newPasswordFor(pool, person, next)
  await noteInLog(pool, person, 'code-used')
  return (await personById(pool, person.id))!
}
/** A new password, with which every session and every code of before ends. */
const newPasswordFor = (pool: Pool, { shopId, id }: Pick<PersonRecord, 'shopId' | 'id'>, next: string): Promise<void> =>
  hashPassword(next).then(hash =>
    transaction(pool, async db => {
      await setPasswordHash(db, shopId, id, hash)
      await setCode(db, shopId, id, null, null)
      await revokeSessions(db, shopId, id)
    }),
  )

/** A person’s own name, and the unit that stands first for them. What they signed keeps the name of then. */
export const settleOwn = (db: Db, person: SignedIn, own: { name: string; unit: 'mm' | 'thou' | null }) =>
  setOwn(db, person.shopId, person.id, own)

const WRONG_PASSWORD = say('refused.wrong-own-password')
/**
 * A person’s own new password, by the one they have. Every other session of theirs ends.
 * @returns the person as they are now, for a session of this device
 * @throws Problem not-allowed for whoever came in by a PIN
 */
export async function changeOwnPassword(
  pool: Pool,
  person: SignedIn,
  from: TryFrom,
  { password, next }: { password: string; next: string },
): Promise<PersonRecord> {
  if (person.byPin) throw new Problem('not-allowed', say('refused.not-by-pin'))
  await countTry(pool, from)
  const record = (await personById(pool, person.id))!
  if (!(await passwordMatches(password, record.passwordHash)))
    throw new Problem('wrong-password', WRONG_PASSWORD, { fields: [{ field: 'password', message: WRONG_PASSWORD }] })
  await forgetOwnTries(pool, from)
  await newPasswordFor(pool, record, next)
  return (await personById(pool, person.id))!
}
