import { createHash } from 'node:crypto'
import { getHeader, type H3Event } from 'h3'
import { say } from '../../core/said'
import { wrong } from '../../core/wrong'
import { z } from '../../core/zod'
import type { ApiKey } from '../../shared/api'
import { type Asked, askedBy } from '../database/asked-once'
import { isDuplicateOf } from '../database/errors'
import { pool } from '../database/pool'
import { Problem } from '../problem'
import { askedBefore, keepAnswer, noteAsked } from '../repositories/asked-once'
import type { SignedIn } from './session'

const idSchema = z.uuid({ error: wrong('wrong.the-id-of-a-request') })
const hashOf = (event: H3Event, person: SignedIn, body: unknown): string =>
  createHash('sha256')
    .update(JSON.stringify([event.method, event.path, person.id, body ?? null]))
    .digest('hex')

/** The answer that was given before; one that was lost is said to be, for what was asked has been made. */
function again(known: { requestHash: string; answer: string | null }, requestHash: string): unknown {
  if (known.requestHash !== requestHash) throw new Problem('id-reused', say('refused.another-request-has-this-id'))
  if (known.answer === null) throw new Problem('saved-already', say('refused.this-was-saved-before-reload'))
  return JSON.parse(known.answer)
}

/** A secret is in these answers, told once: no copy of it is kept, and a repeat hears that it was made. */
const TOLD_ONCE: ReadonlySet<ApiKey> = new Set<ApiKey>([
  'POST /api/calendar-addresses',
  'POST /api/people/:id/code',
  'POST /api/shops',
  'POST /api/shops/:id/code',
  'POST /api/tokens',
])

/**
 * Answers a request that carries an id of its browser's (the header `idempotency-key`) once: when it comes again, after
 * a reply that was lost, it is answered as it was and makes nothing. Requests without an id are worked as they come.
 */
export async function answeredOnce(
  event: H3Event,
  person: SignedIn,
  key: ApiKey,
  body: unknown,
  work: () => Promise<unknown>,
): Promise<unknown> {
  const header = getHeader(event, 'idempotency-key')
  if (header === undefined) return work()
  const id = idSchema.parse(header)
  const requestHash = hashOf(event, person, body)
  const known = await askedBefore(pool(), person.shopId, id)
  if (known) return again(known, requestHash)
  const asked: Asked = { shopId: person.shopId, id, requestHash, claimed: false }
  try {
    const answer = (await askedBy(asked, work)) ?? { ok: true }
    // what changed rows by another way than ours is written down after it: a repeat finds it all the same
    if (!asked.claimed) await noteAsked(pool(), person.shopId, id, requestHash)
    if (!TOLD_ONCE.has(key)) await keepAnswer(pool(), person.shopId, id, JSON.stringify(answer))
    return answer
  } catch (error) {
    // two at the same time: the second waited for the first, and finds it answered
    const first = isDuplicateOf(error, 'PRIMARY') ? await askedBefore(pool(), person.shopId, id) : null
    if (!first) throw error
    return again(first, requestHash)
  }
}
