import { say } from '../../core/said'
import type { CrewResponse, TrustedDevice } from '../../shared/change-of-hands'
import type { Db, Pool } from '../database/query'
import { notFound, Problem } from '../problem'
import { personById, type PersonRecord } from '../repositories/people'
import {
  crewOfShop,
  deleteDevice,
  deviceByKey,
  devicesOfShop,
  insertDevice,
  pinHashOf,
  setPinHash,
  touchDevice,
} from '../repositories/trusted-devices'
import { hashPassword, nobodysHash, passwordMatches } from './passwords'
import type { SignedIn } from './people'
import { noteInLog } from './shop-log'
import { countPinTry, forgetPinTries } from './sign-in-throttle'

/** A lead lets the crew change hands on a device. @param keyHash of the key that the device keeps */
export async function trustDevice(db: Db, person: SignedIn, name: string, keyHash: string): Promise<void> {
  await insertDevice(db, person.shopId, { name, keyHash, personId: person.id })
}
export const listDevices = (db: Db, shopId: number): Promise<TrustedDevice[]> => devicesOfShop(db, shopId)
/** Ends the trust in a device, and every session that began by it. */
export async function endDevice(db: Db, shopId: number, id: number): Promise<void> {
  if ((await deleteDevice(db, shopId, id)).affected === 0) throw notFound('device')
}

/** Sets a person's own PIN, or takes it away. @throws Problem not-allowed for whoever came in by a PIN */
export async function chooseOwnPin(db: Db, person: SignedIn, pin: string | null): Promise<void> {
  if (person.byPin) throw new Problem('not-allowed', say('refused.not-by-pin'))
  await setPinHash(db, person.shopId, person.id, pin === null ? null : await hashPassword(pin))
}

/** Who may take over on the device that holds this key. A device that is not trusted learns of nobody. */
export async function crewFor(db: Db, keyHash: string | null): Promise<CrewResponse> {
  const device = keyHash === null ? null : await deviceByKey(db, keyHash)
  return { people: device ? await crewOfShop(db, device.shopId) : [] }
}

const WRONG = say('refused.wrong-pin')
/** Checks a PIN. Each try is counted before the PIN is looked at. @throws Problem 401, 403, 429 */
export async function takeOver(
  pool: Pool,
  keyHash: string | null,
  { personId, pin }: { personId: number; pin: string },
): Promise<{ person: PersonRecord; deviceId: number }> {
  const device = keyHash === null ? null : await deviceByKey(pool, keyHash)
  if (!device) throw new Problem('not-allowed', say('refused.device-not-trusted'))
  await countPinTry(pool, device.shopId, personId)
  const hash = await pinHashOf(pool, device.shopId, personId)
  const right = await passwordMatches(pin, hash ?? nobodysHash())
  const person = right && hash ? await personById(pool, personId) : null
  if (person?.shopId !== device.shopId)
    throw new Problem('wrong-password', WRONG, { fields: [{ field: 'pin', message: WRONG }] })
  await forgetPinTries(pool, device.shopId, personId)
  await touchDevice(pool, device.shopId, device.id)
  await noteInLog(pool, person, 'signed-in-by-pin')
  return { person, deviceId: device.id }
}
