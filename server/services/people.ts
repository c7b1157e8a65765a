import type { Hands } from '../../core/job'
import type { PersonRequest, SetupRequest } from '../../shared/requests'
import type { PersonRole, PersonRow, SessionResponse } from '../../shared/responses'
import { type Db, type Pool, transaction } from '../database/query'
import {
  type PersonRecord,
  favouriteSetOf,
  insertPerson,
  handsOf,
  languageOf,
  allPeopleOfShop,
  personById,
  personBySignIn,
  revokeSessions,
  setHands,
  setLanguage,
  setPasswordHash,
  standingOf,
  unitOf,
} from '../repositories/people'
import { countShops, insertShop, shopById } from '../repositories/shops'
import { notFound, Problem } from '../problem'
import { insertSession, personOfSession } from '../repositories/sessions'
import { hashPassword, isOutdated, nobodysHash, passwordMatches } from './passwords'
import { noteInLog } from './shop-log'
import { countTry, forgetOwnTries, type TryFrom } from './sign-in-throttle'
import { say } from '../../core/said'
import type { Language } from '../../shared/languages'

/** Who a request comes from, and the one shop that it may see. */
export interface SignedIn {
  id: number
  shopId: number
  name: string
  role: PersonRole
  /** Came in by a PIN on a trusted device: works as anybody of the crew, and changes nothing of a lead's. */
  byPin?: boolean
}

const WRONG = say('refused.wrong-password')

/** Checks a sign-in. Each try is counted before its password is looked at. @throws Problem 401, 429 */
export async function checkSignIn(pool: Pool, from: TryFrom, password: string): Promise<PersonRecord> {
  await countTry(pool, from)
  const found = await personBySignIn(pool, from.signIn)
  const ended = found !== null && (await standingOf(pool, found.shopId, found.id))?.endedAt !== null
  const person = ended ? null : found
  // as much work where there is no such name, so that both answers take as long
  const right = await passwordMatches(password, person?.passwordHash ?? nobodysHash())
  if (!person || !right) {
    if (found) await noteInLog(pool, found, 'sign-in-refused')
    throw new Problem('wrong-password', WRONG, { fields: [{ field: 'password', message: WRONG }] })
  }
  await forgetOwnTries(pool, from)
  if (isOutdated(person.passwordHash))
    await setPasswordHash(pool, person.shopId, person.id, await hashPassword(password))
  await noteInLog(pool, person, 'signed-in')
  return person
}

export const beginSession = (
  db: Db,
  id: string,
  { id: personId, shopId, sessionVersion }: Pick<PersonRecord, 'id' | 'shopId' | 'sessionVersion'>,
  { trustedDeviceId, deviceName }: { trustedDeviceId: number | null; deviceName: string },
) => insertSession(db, { id, shopId, personId, sessionVersion, trustedDeviceId, deviceName })

/** The person of a session, unless it has ended. */
export const personForSession = (db: Db, id: string): Promise<SignedIn | null> => personOfSession(db, id)

export async function sessionOf(db: Db, person: SignedIn): Promise<SessionResponse> {
  const shop = await shopById(db, person.shopId)
  return {
    person: {
      id: person.id,
      name: person.name,
      role: person.byPin ? 'mechanic' : person.role,
      byPin: person.byPin ?? false,
      favouriteSetId: await favouriteSetOf(db, shop.id, person.id),
      language: await languageOf(db, shop.id, person.id),
      hands: await handsOf(db, shop.id, person.id),
      unit: await unitOf(db, shop.id, person.id),
    },
    shop: {
      id: shop.id,
      name: shop.name,
      timeZone: shop.timeZone,
      unit: shop.unit,
      language: shop.language,
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

/** The language that a person reads from now on, on any device. */
export async function chooseLanguage(db: Db, person: SignedIn, language: Language): Promise<void> {
  await setLanguage(db, person.shopId, person.id, language)
}

/** How much a person is asked before each job begins. */
export async function chooseHands(db: Db, person: SignedIn, hands: Hands): Promise<void> {
  await setHands(db, person.shopId, person.id, hands)
}

export async function addPerson(db: Db, shopId: number, request: PersonRequest): Promise<number> {
  if (await personBySignIn(db, request.signIn))
    throw new Problem('duplicate', say('refused.that-sign-in-name-is'), {
      fields: [{ field: 'signIn', message: say('wrong.that-sign-in-name-is') }],
    })
  return insertPerson(db, shopId, { ...request, passwordHash: await hashPassword(request.password) })
}

/** Makes the first shop and its lead. Only once: later shops are not made by strangers. @throws Problem 409 */
export const setUpShop = (pool: Pool, request: SetupRequest): Promise<PersonRecord> =>
  transaction(pool, async db => {
    if ((await countShops(db)) > 0) throw new Problem('shop-there', say('refused.there-is-a-shop-already'))
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

/** Ends every session of a person, on all devices. @returns the person’s name */
export async function signOutEverywhere(db: Db, shopId: number, personId: number): Promise<string> {
  const standing = await standingOf(db, shopId, personId)
  if (!standing) throw notFound('person')
  await revokeSessions(db, shopId, personId)
  return standing.name
}

export const listPeople = (db: Db, shopId: number): Promise<PersonRow[]> => allPeopleOfShop(db, shopId)
