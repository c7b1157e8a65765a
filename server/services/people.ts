import type { Hands } from '../../core/job'
import { say } from '../../core/said'
import type { Language } from '../../shared/languages'
import type { PersonRequest, PersonRole, PersonRow } from '../../shared/people'
import type { SessionResponse } from '../../shared/session'
import type { SetupRequest } from '../../shared/shop'
import { type Db, type Pool, transaction } from '../database/query'
import { notFound, Problem } from '../problem'
import {
  allPeopleOfShop,
  favouriteSetOf,
  handsOf,
  insertPerson,
  isSignInTaken,
  languageOf,
  personById,
  type PersonRecord,
  revokeSessions,
  setHands,
  setLanguage,
  standingOf,
  unitOf,
} from '../repositories/people'
import { insertSession, personOfSession } from '../repositories/sessions'
import { countShops, insertShop, shopById } from '../repositories/shops'
import { hashPassword } from './passwords'
import { runsServer } from './server-runner'
import { checkRoomForOne } from './shop-limits'

/** Who a request comes from, and the one shop that it may see. */
export interface SignedIn {
  id: number
  shopId: number
  name: string
  role: PersonRole
  /** Came in by a PIN on a trusted device: works as anybody of the crew, and changes nothing of a lead's. */
  byPin?: boolean
  /** Runs the server: makes and closes shops, and sees to the backups of all. */
  runsServer?: boolean
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
      runsServer: runsServer(person),
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

/** Adds somebody to a shop. @throws Problem duplicate, limit-reached */
export const addPerson = (pool: Pool, shopId: number, request: PersonRequest): Promise<number> =>
  hashPassword(request.password).then(passwordHash =>
    transaction(pool, async db => {
      await checkRoomForOne(db, shopId)
      if (await isSignInTaken(db, shopId, request.signIn))
        throw new Problem('duplicate', say('refused.that-sign-in-name-is'), {
          fields: [{ field: 'signIn', message: say('wrong.that-sign-in-name-is') }],
        })
      return insertPerson(db, shopId, { ...request, passwordHash })
    }),
  )

/** Makes the first shop and its lead. Only once: later shops are not made by strangers. @throws Problem 409 */
export const setUpShop = (pool: Pool, { shop, timeZone, unit, lead }: SetupRequest): Promise<PersonRecord> =>
  hashPassword(lead.password).then(passwordHash =>
    transaction(pool, async db => {
      if ((await countShops(db)) > 0) throw new Problem('shop-there', say('refused.there-is-a-shop-already'))
      const shopId = await insertShop(db, { name: shop, timeZone, unit, demo: 'no' })
      const id = await insertPerson(db, shopId, { ...lead, role: 'lead', passwordHash, runsServer: true })
      return (await personById(db, id))!
    }),
  )

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
