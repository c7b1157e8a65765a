import type { PersonRequest, SetupRequest } from '../../shared/requests'
import type { PersonRole, PersonRow, SessionResponse } from '../../shared/responses'
import { type Db, type Pool, transaction } from '../database/query'
import {
  favouriteSetOf,
  insertPerson,
  peopleOfShop,
  personById,
  personBySignIn,
  type PersonRecord,
  revokeSessions,
} from '../repositories/people'
import { countShops, insertShop, shopById } from '../repositories/shops'
import { countFailure, failuresOf, forgetFailures } from '../repositories/sign-in-attempts'
import { notFound, Problem } from '../utils/problem'
import { hashPassword, passwordMatches } from './passwords'

/** Who a request comes from, and the one shop that it may see. */
export interface SignedIn {
  id: number
  shopId: number
  name: string
  role: PersonRole
}

const WINDOW_MINUTES = 15
/** Wrong passwords before a name, or an address, must wait. */
const MOST_FAILURES = { name: 8, address: 40 }
/** Compared when there is no such name, so that both answers take as long. */
const NOBODY = 'scrypt$16384$8$1$AAAAAAAAAAAAAAAAAAAAAA==$AAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAA='

/** Checks a sign-in. Failures are counted in the database, by name and by address. @throws Problem 401, 429 */
export async function checkSignIn(db: Db, signIn: string, password: string, address: string): Promise<PersonRecord> {
  const subjects = [
    { key: `name:${signIn.toLowerCase()}`, most: MOST_FAILURES.name },
    { key: `address:${address}`, most: MOST_FAILURES.address },
  ]
  for (const { key, most } of subjects)
    if ((await failuresOf(db, key, WINDOW_MINUTES)) >= most)
      throw new Problem(429, `Too many wrong passwords. Wait ${WINDOW_MINUTES} minutes, or ask a lead.`)
  const person = await personBySignIn(db, signIn)
  const right = await passwordMatches(password, person?.passwordHash ?? NOBODY)
  if (!person || !right) {
    for (const { key } of subjects) await countFailure(db, key, WINDOW_MINUTES)
    throw new Problem(401, 'Name and password do not fit together. Try again.', {
      fields: [{ field: 'password', message: 'Name and password do not fit together. Try again.' }],
    })
  }
  await forgetFailures(db, subjects[0]!.key)
  return person
}

/** The person of a session, unless the session was revoked since. */
export async function personForSession(db: Db, personId: number, version: number): Promise<SignedIn | null> {
  const person = await personById(db, personId)
  return person && person.sessionVersion === version
    ? { id: person.id, shopId: person.shopId, name: person.name, role: person.role }
    : null
}

export async function sessionOf(db: Db, person: SignedIn): Promise<SessionResponse> {
  const shop = await shopById(db, person.shopId)
  return {
    person: {
      id: person.id,
      name: person.name,
      role: person.role,
      favouriteSetId: await favouriteSetOf(db, shop.id, person.id),
    },
    shop: {
      id: shop.id,
      name: shop.name,
      timeZone: shop.timeZone,
      unit: shop.unit,
      favouriteSchool: shop.favouriteSchool,
      target: shop.target,
      bladeHabit: shop.bladeHabit,
      pairToProve: shop.pairToProve,
      valveMinutes: shop.valveMinutes,
      taskMinutes: shop.taskMinutes,
      isDemo: shop.demo !== 'no',
    },
    now: new Date().toISOString(),
  }
}

export async function addPerson(db: Db, shopId: number, request: PersonRequest): Promise<number> {
  if (await personBySignIn(db, request.signIn))
    throw new Problem(409, 'Somebody signs in by this name already. Choose another.', {
      fields: [{ field: 'signIn', message: 'Somebody signs in by this name already. Choose another.' }],
    })
  return insertPerson(db, shopId, { ...request, passwordHash: await hashPassword(request.password) })
}

/** Makes the first shop and its lead. Only once: later shops are not made by strangers. @throws Problem 409 */
export const setUpShop = (pool: Pool, request: SetupRequest): Promise<PersonRecord> =>
  transaction(pool, async db => {
    if ((await countShops(db)) > 0) throw new Problem(409, 'There is a shop already. Sign in.')
    const shopId = await insertShop(db, {
      name: request.shop,
      timeZone: request.timeZone,
      unit: request.unit,
      demo: 'no',
    })
    const id = await addPerson(db, shopId, { ...request.lead, role: 'lead' })
    return (await personById(db, id))!
  })

/** Whether the server has no shop yet, so that the first may be made. */
export const setupNeeded = async (db: Db): Promise<boolean> => (await countShops(db)) === 0

/** Ends every session of a person, on all devices. */
export async function signOutEverywhere(db: Db, shopId: number, personId: number): Promise<void> {
  const { affected } = await revokeSessions(db, shopId, personId)
  if (affected === 0) throw notFound('person')
}

export const listPeople = (db: Db, shopId: number): Promise<PersonRow[]> => peopleOfShop(db, shopId)
