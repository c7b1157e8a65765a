import { type H3Event, useSession } from 'h3'
import { pool } from '../startup'
import { personForSession, type SignedIn } from '../services/people'
import { Problem } from './problem'

export type { SignedIn }

interface SessionData { personId?: number, version?: number }
const WEEK = 7 * 24 * 3600

const settings = () => {
  const password = process.env.WEMBRIC_SESSION_SECRET ?? ''
  if (password.length < 32) throw new Error('WEMBRIC_SESSION_SECRET is missing: start Wembric with “npm start”.')
  return { password, name: 'wembric', maxAge: WEEK, cookie: { httpOnly: true, sameSite: 'lax' as const, secure: process.env.WEMBRIC_TLS === '1', path: '/' } }
}

export async function startSession(event: H3Event, person: { id: number, sessionVersion: number }): Promise<void> {
  const session = await useSession<SessionData>(event, settings())
  await session.update({ personId: person.id, version: person.sessionVersion })
}

export async function endSession(event: H3Event): Promise<void> {
  const session = await useSession<SessionData>(event, settings())
  await session.clear()
}

/** Who is signed in. The session's version is held against the person's on each request, so that it can be revoked. */
export async function currentPerson(event: H3Event): Promise<SignedIn> {
  const { data } = await useSession<SessionData>(event, settings())
  const person = data.personId ? await personForSession(pool(), data.personId, data.version ?? 0) : null
  if (!person) throw new Problem(401, 'Sign in first. What you answered is kept on this device and will be sent after.')
  return person
}
