import { createHash } from 'node:crypto'
import { say } from '../../core/said'
import { type Pool, transaction } from '../database/query'
import { Problem } from '../problem'
import { forgetTries, giveBackTry, lockTries, storeTries } from '../repositories/sign-in-tries'

/** So many tries are free; after that each waits twice as long as the one before, up to the longest. Seconds. */
interface Patience {
  free: number
  firstS: number
  longestS: number
}
/** A name at one address, or on one device that has signed in by it before: a person who mistypes. */
const PERSON: Patience = { free: 6, firstS: 5, longestS: 900 }
/**
 * All unknown devices together that try a name, or all names tried from an address: a stranger who guesses. It slows,
 * and never locks out.
 */
const STRANGERS: Patience = { free: 60, firstS: 2, longestS: 60 }
/** After so long without a try the count begins anew. */
const QUIET_MINUTES = 30
/** A PIN's count stays for a day. */
const QUIET_PIN_MINUTES = 24 * 60

const hashed = (text: string): string => createHash('sha256').update(text).digest('hex')
const pauseS = (tries: number, { free, firstS, longestS }: Patience): number =>
  tries < free ? 0 : Math.min(longestS, firstS * 2 ** Math.min(20, tries - free))

/**
 * Where a try comes from. `device` is a device that has signed in by this name before, and is not held up by strangers.
 */
export interface TryFrom {
  signIn: string
  address: string
  device: string | null
}
const subjectsOf = ({ signIn, address, device }: TryFrom): { key: string; patience: Patience }[] => {
  const name = signIn.toLowerCase()
  const subjects = device
    ? [{ key: `device ${device} ${name}`, patience: PERSON }]
    : [
        { key: `name ${name} at ${address}`, patience: PERSON },
        { key: `name ${name}`, patience: STRANGERS },
        { key: `address ${address}`, patience: STRANGERS },
      ]
  // locked in one order, so that two tries do not wait for each other
  return subjects.map(s => ({ ...s, key: hashed(s.key) })).sort((a, b) => (a.key < b.key ? -1 : 1))
}

/**
 * Counts a try before its password is looked at, so that many at once are counted too. @throws Problem 429 saying how
 * long to wait
 */
export async function countTry(pool: Pool, from: TryFrom): Promise<void> {
  const waitS = await transaction(pool, async db => {
    const found = []
    for (const subject of subjectsOf(from))
      found.push({ ...subject, ...(await lockTries(db, subject.key, QUIET_MINUTES)) })
    const wait = Math.max(...found.map(f => f.waitS))
    if (wait > 0) return wait
    for (const { key, tries, patience } of found) await storeTries(db, key, tries + 1, pauseS(tries + 1, patience))
    return 0
  })
  if (waitS > 0)
    throw new Problem('too-many-tries', say('refused.too-many-tries', { seconds: Math.ceil(waitS) }), {
      retryAfterS: Math.ceil(waitS),
    })
}

/** PINs are short: few tries are free, and the waits grow to an hour, so that a day has some thirty. */
const PIN: Patience = { free: 5, firstS: 30, longestS: 3600 }
const pinKey = (shopId: number, personId: number): string => hashed(`pin ${shopId} ${personId}`)
/** Counts a try of a person's PIN, from whatever device. @throws Problem 429 saying how long to wait */
export async function countPinTry(pool: Pool, shopId: number, personId: number): Promise<void> {
  const key = pinKey(shopId, personId)
  const waitS = await transaction(pool, async db => {
    const { tries, waitS: wait } = await lockTries(db, key, QUIET_PIN_MINUTES)
    if (wait === 0) await storeTries(db, key, tries + 1, pauseS(tries + 1, PIN))
    return wait
  })
  if (waitS > 0)
    throw new Problem('too-many-tries', say('refused.too-many-pins', { seconds: Math.ceil(waitS) }), {
      retryAfterS: Math.ceil(waitS),
    })
}
export const forgetPinTries = (pool: Pool, shopId: number, personId: number) =>
  forgetTries(pool, pinKey(shopId, personId))

/**
 * The password was right: the person's own count begins anew, and strangers' counts are as they were before this try.
 */
export async function forgetOwnTries(pool: Pool, from: TryFrom): Promise<void> {
  for (const { key, patience } of subjectsOf(from))
    await (patience === PERSON ? forgetTries(pool, key) : giveBackTry(pool, key))
}
