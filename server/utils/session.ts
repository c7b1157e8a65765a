import { getCookie, type H3Event, useSession } from 'h3'
import { pool } from '../startup'
import { personForSession, type SignedIn } from '../services/people'
import { Problem } from './problem'

export type { SignedIn }

interface SessionData {
  personId?: number
  version?: number
}
const WEEK = 7 * 24 * 3600
const NAME = 'wembric'

const settings = () => {
  const password = process.env.WEMBRIC_SESSION_SECRET ?? ''
  if (password.length < 32) throw new Error('WEMBRIC_SESSION_SECRET is missing: start Wembric with “npm start”.')
  return {
    password,
    name: NAME,
    maxAge: WEEK,
    cookie: { httpOnly: true, sameSite: 'lax' as const, secure: process.env.WEMBRIC_TLS === '1', path: '/' },
  }
}

/** Cookies opened lately. Opening one costs more than reading the person; whether it still holds is asked of the database each time. */
const MOST_OPENED = 500
const OPENED_MS = 3600_000
const opened = new Map<string, { data: SessionData; until: number }>()

async function sessionData(event: H3Event): Promise<SessionData> {
  const sealed = getCookie(event, NAME)
  if (!sealed) return {}
  const known = opened.get(sealed)
  if (known && known.until > Date.now()) return known.data
  const { data } = await useSession<SessionData>(event, settings())
  if (opened.size >= MOST_OPENED) opened.delete(opened.keys().next().value!)
  if (data.personId) opened.set(sealed, { data: { ...data }, until: Date.now() + OPENED_MS })
  return data
}

export async function startSession(event: H3Event, person: { id: number; sessionVersion: number }): Promise<void> {
  const session = await useSession<SessionData>(event, settings())
  await session.update({ personId: person.id, version: person.sessionVersion })
}

export async function endSession(event: H3Event): Promise<void> {
  const session = await useSession<SessionData>(event, settings())
  await session.clear()
}

/** Who is signed in. The session's version is held against the person's on each request, so that it can be revoked. */
export async function currentPerson(event: H3Event): Promise<SignedIn> {
  const data = await sessionData(event)
  const person = data.personId ? await personForSession(pool(), data.personId, data.version ?? 0) : null
  if (!person) throw new Problem(401, 'Sign in first. What you answered is kept on this device and will be sent after.')
  return person
}
