import { createHash, createHmac, randomBytes, timingSafeEqual } from 'node:crypto'
import { getCookie, getHeader, type H3Event, setCookie, useSession } from 'h3'
import { LRUCache } from 'lru-cache'
import { say } from '../../core/said'
import { pool } from '../database/pool'
import { Problem } from '../problem'
import { endSessionRow, markSeen, SESSION_DAYS } from '../repositories/sessions'
import { beginSession, personForSession, type SignedIn } from '../services/people'
import { deviceNameOf } from '../services/phones'

export type { SignedIn }

interface SessionData {
  token?: string
}
const NAME = 'wembric'
const DEVICE = 'wembric-device'
const YEAR_S = 365 * 24 * 3600

const secret = (): string => {
  const password = process.env.WEMBRIC_SESSION_SECRET ?? ''
  if (password.length < 32) throw new Error('WEMBRIC_SESSION_SECRET is missing: start Wembric with “npm start”.')
  return password
}
const cookie = () => ({
  httpOnly: true,
  sameSite: 'lax' as const,
  secure: process.env.WEMBRIC_TLS === '1',
  path: '/',
})
const settings = () => ({ password: secret(), name: NAME, maxAge: SESSION_DAYS * 24 * 3600, cookie: cookie() })

/**
 * Cookies opened lately. Opening one costs more than reading the person; whether it still holds is asked of the
 * database each time.
 */
const opened = new LRUCache<string, SessionData>({ max: 500, ttl: 3600_000 })
/** Sessions that were marked as heard of in the last ten minutes. */
const heardOf = new LRUCache<string, true>({ max: 5000, ttl: 600_000 })
const hashed = (token: string): string => createHash('sha256').update(token).digest('hex')

async function sessionData(event: H3Event): Promise<SessionData> {
  const sealed = getCookie(event, NAME)
  if (!sealed) return {}
  const known = opened.get(sealed)
  if (known) return known
  const { data } = await useSession<SessionData>(event, settings())
  if (data.token) opened.set(sealed, { ...data })
  return data
}

/** The mark of a device for a name: who signed in there by it once is not held up by strangers who guess. */
const signed = (device: string, signIn: string): string =>
  createHmac('sha256', secret()).update(`${device} ${signIn.toLowerCase()}`).digest('base64url')
const markName = (signIn: string): string => `${DEVICE}-${hashed(signIn.toLowerCase()).slice(0, 12)}`

/** The device that a sign-in comes from, if somebody has signed in by this name on it before; else null. */
export function knownDevice(event: H3Event, signIn: string): string | null {
  const [device = '', mark = ''] = (getCookie(event, markName(signIn)) ?? '').split('.')
  const wanted = Buffer.from(signed(device, signIn))
  const given = Buffer.from(mark)
  return device && wanted.length === given.length && timingSafeEqual(wanted, given) ? device : null
}

export async function startSession(
  event: H3Event,
  person: { id: number; shopId: number; sessionVersion: number },
  signIn: string | null,
  trustedDeviceId: number | null = null,
): Promise<void> {
  // whoever worked here before is signed out at the server too: a copy of their cookie opens nothing any more
  const { token: former } = await sessionData(event)
  if (former) await endSessionRow(pool(), hashed(former))
  const token = randomBytes(32).toString('base64url')
  const deviceName = nameGiven(event) ?? deviceNameOf(getHeader(event, 'user-agent') ?? '')
  await beginSession(pool(), hashed(token), person, { trustedDeviceId, deviceName })
  const session = await useSession<SessionData>(event, settings())
  await session.update({ token })
  if (signIn === null) return
  const device = knownDevice(event, signIn) ?? randomBytes(9).toString('base64url')
  setCookie(event, markName(signIn), `${device}.${signed(device, signIn)}`, { ...cookie(), maxAge: YEAR_S })
}

const CALLED = 'wembric-called'
/** The name that this device was given; the next session of it has it too. */
const nameGiven = (event: H3Event): string | null => getCookie(event, CALLED)?.slice(0, 60) ?? null
/** Lets this device keep its name. */
export const keepName = (event: H3Event, name: string): void =>
  setCookie(event, CALLED, name, { ...cookie(), maxAge: YEAR_S })
/** The session that asks, by the name that it has in the database; null where none does. */
export async function ownSession(event: H3Event): Promise<string | null> {
  const { token } = await sessionData(event)
  return token ? hashed(token) : null
}

const TRUST = 'wembric-trust'
/** The hash of the key that this device keeps where a lead trusts it; else null. */
export function trustKey(event: H3Event): string | null {
  const key = getCookie(event, TRUST)
  return key ? hashed(key) : null
}
/** Gives this device a key of its own. @returns its hash */
export function giveTrustKey(event: H3Event): string {
  const key = randomBytes(32).toString('base64url')
  setCookie(event, TRUST, key, { ...cookie(), maxAge: YEAR_S })
  return hashed(key)
}

/** Ends the session at the server too: a copy of its cookie opens nothing any more. */
export async function endSession(event: H3Event): Promise<void> {
  const { token } = await sessionData(event)
  if (token) await endSessionRow(pool(), hashed(token))
  const session = await useSession<SessionData>(event, settings())
  await session.clear()
}

/** Who is signed in. The session is looked up on each request, so that it can be ended. */
export async function currentPerson(event: H3Event): Promise<SignedIn> {
  const { token } = await sessionData(event)
  const person = token ? await personForSession(pool(), hashed(token)) : null
  if (!person) throw new Problem('sign-in-first', say('refused.sign-in-first-your-answers'))
  if (token && !heardOf.has(token)) {
    heardOf.set(token, true)
    // a list of devices is no reason to refuse an answer
    markSeen(pool(), hashed(token)).catch(() => {})
  }
  // a lead who came in by a PIN works as anybody of the crew
  return person.byPin ? { ...person, role: 'mechanic' } : person
}
