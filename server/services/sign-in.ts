import { type Said, say } from '../../core/said'
import type { Pool } from '../database/query'
import { Problem } from '../problem'
import { type Alike, type AtTheDoor, peopleBySignIn, type PersonRecord, setPasswordHash } from '../repositories/people'
import { hashPassword, isOutdated, nobodysHash, passwordMatches } from './passwords'
import { noteInLog } from './shop-log'
import { countTry, forgetOwnTries, type TryFrom } from './sign-in-throttle'

/** So many of one name are told apart by their secret; where there are more, by their shop first: each costs a hash. */
const MOST_ALIKE = 4

/** What a name is counted and remembered as: with the shop that was given, where one was. */
export const nameAtTheDoor = ({ signIn, shop }: Omit<AtTheDoor, 'host'>): string =>
  shop ? `${signIn} at ${shop}` : signIn
/** Where a try at the door comes from. */
export interface DoorTry extends AtTheDoor {
  from: TryFrom
}

const askTheShop = (): Problem => {
  const words = say('refused.which-shop')
  return new Problem('which-shop', words, { fields: [{ field: 'shop', message: words }] })
}

/**
 * The one person of a name whose secret was given. Each try is counted before a secret is looked at; where several of
 * the name would be right, the shop is asked for.
 * @param hashOf the hash of a person's secret; null where they have none that holds
 * @param wrong what is said of a wrong one, and of which field
 * @throws Problem 401, 429, which-shop, shop-closed
 */
export async function personAtTheDoor(
  pool: Pool,
  { from, ...asked }: DoorTry,
  secret: string,
  hashOf: (person: Alike) => string | null,
  wrong: { field: string; message: Said },
): Promise<Alike> {
  const alike = await peopleBySignIn(pool, asked, MOST_ALIKE + 1)
  if (alike.length > MOST_ALIKE) throw askTheShop()
  await countTry(pool, from)
  const right: Alike[] = []
  // as much work where there is no such name, so that both answers take as long
  for (const person of alike.length > 0 ? alike : [null]) {
    const hash = person?.endedAt === null ? hashOf(person) : null
    if ((await passwordMatches(secret, hash ?? nobodysHash())) && person && hash) right.push(person)
  }
  const [person, another] = right
  if (!person) {
    for (const one of alike) await noteInLog(pool, one, 'sign-in-refused')
    throw new Problem('wrong-password', wrong.message, { fields: [wrong] })
  }
  await forgetOwnTries(pool, from)
  if (another) throw askTheShop()
  if (person.closedAt)
    throw new Problem('shop-closed', say('refused.shop-closed', { goesAtMs: person.goesAt!.getTime() }))
  return person
}

/** Signs in by a password. @throws Problem 401, 429, which-shop, shop-closed */
export async function checkSignIn(pool: Pool, asked: DoorTry, password: string): Promise<PersonRecord> {
  const wrong = { field: 'password', message: say('refused.wrong-password') }
  const person = await personAtTheDoor(pool, asked, password, p => p.passwordHash, wrong)
  if (isOutdated(person.passwordHash))
    await setPasswordHash(pool, person.shopId, person.id, await hashPassword(password))
  await noteInLog(pool, person, 'signed-in')
  return person
}
