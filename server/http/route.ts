import { Readable } from 'node:stream'
import {
  defineEventHandler,
  getHeader,
  getQuery,
  getRouterParam,
  type H3Event,
  readRawBody,
  setResponseHeader,
} from 'h3'
import type { ZodType } from 'zod'
import { say } from '../../core/said'
import { z } from '../../core/zod'
import { API, type ApiKey, type BodyTaken, type Done, type QueryTaken, type ResponseOf } from '../../shared/api'
import type { PersonRole } from '../../shared/people'
import { pool } from '../database/pool'
import type { Pool } from '../database/query'
import { Problem } from '../problem'
import { shopForToken } from '../services/api-tokens'
import { noteRequest, thingOf } from '../services/shop-log'
import { inLanguage } from '../words'
import { answeredOnce } from './answered-once'
import { sendProblem } from './send-problem'
import { currentPerson, type SignedIn } from './session'

/** More than any answer or spec needs. */
const MOST_BYTES = 256 * 1024

async function readJson(event: H3Event): Promise<unknown> {
  const type = getHeader(event, 'content-type')?.split(';')[0]?.trim().toLowerCase()
  if (type !== 'application/json' && !type?.endsWith('+json'))
    throw new Problem('not-json', say('refused.the-message-must-be-json'))
  if (Number(getHeader(event, 'content-length') ?? 0) > MOST_BYTES)
    throw new Problem('too-much', say('refused.that-is-too-much-in'))
  const raw = (await readRawBody(event, 'utf8')) ?? ''
  if (raw.length > MOST_BYTES) throw new Problem('too-much', say('refused.that-is-too-much-in'))
  try {
    return JSON.parse(raw)
  } catch {
    throw new Problem('not-readable', say('refused.the-message-is-not-readable'))
  }
}

async function answer(event: H3Event, work: () => Promise<unknown>): Promise<unknown> {
  setResponseHeader(event, 'cache-control', 'no-store')
  return inLanguage(getHeader(event, 'accept-language'), async () => {
    try {
      return (await work()) ?? { ok: true }
    } catch (error) {
      return sendProblem(event, error)
    }
  })
}

/** What a route is given: the request, parsed by its line of the API; `id` is the number in its address. */
interface Given<K extends ApiKey> {
  pool: Pool
  event: H3Event
  body: BodyTaken<K>
  query: QueryTaken<K>
  readonly id: number
}
/** What a route answers; nothing where it is only done. */
type Answer<K extends ApiKey> = ResponseOf<K> extends Done ? Promise<void> : Promise<ResponseOf<K>>

async function givenOf<K extends ApiKey>(event: H3Event, key: K): Promise<Given<K>> {
  const { body, query } = API[key] as { body: ZodType | null; query: ZodType | null }
  return {
    pool: pool(),
    event,
    query: query?.parse(getQuery(event)) as QueryTaken<K>,
    body: (body ? body.parse(await readJson(event)) : undefined) as BodyTaken<K>,
    get id() {
      return idOf(event)
    },
  }
}

/** A route that anybody may call: parse, then work. */
export const openRoute = <K extends ApiKey>(key: K, work: (given: Given<K>) => Answer<K>) =>
  defineEventHandler(event => answer(event, async () => work(await givenOf(event, key))))

/** Who asks, and whom or what it turned out to be about, for the log: a name, never a secret. */
interface OfPerson {
  person: SignedIn
  subject?: string
}
/** Who asks, where they have the role for it. @throws Problem 403 */
async function personWith(event: H3Event, role: PersonRole): Promise<SignedIn> {
  const person = await currentPerson(event)
  if (role === 'lead' && person.role !== 'lead')
    throw new Problem('not-allowed', say(person.byPin ? 'refused.not-by-pin' : 'refused.only-a-lead-may-do'))
  return person
}

/** A route for people who are signed in: the shop they may see is theirs and nothing else is taken from the request. */
export const shopRoute = <K extends ApiKey>(
  key: K,
  work: (given: Given<K> & OfPerson) => Answer<K>,
  role: PersonRole = 'mechanic',
) =>
  defineEventHandler(event =>
    answer(event, async () => {
      const person = await personWith(event, role)
      const given: Given<K> & OfPerson = Object.assign(await givenOf(event, key), { person })
      return answeredOnce(event, person, key, given.body, async () => {
        const subject = await thingOf(given.pool, person.shopId, key, given)
        if (subject !== undefined) given.subject = subject
        const answered = await work(given)
        await noteRequest(given.pool, person, key, given)
        return answered
      })
    }),
  )

/** Whatever is at no address of its own. */
export const noRoute = defineEventHandler(event =>
  answer(event, () => Promise.reject(new Problem('not-found', say('refused.there-is-nothing-at-this')))),
)

const idSchema = z.coerce.number().int()
/** The number in the address. */
export const idOf = (event: H3Event): number => {
  // jobs that began on a device have ids below zero
  const parsed = idSchema.safeParse(getRouterParam(event, 'id'))
  if (!parsed.success || parsed.data === 0) throw new Problem('not-found', say('refused.there-is-nothing-at-this'))
  return parsed.data
}

/**
 * A route that sends a file as it is made. Nothing is sent before the first piece is there, so that a refusal still can
 * be.
 */
export const fileRoute = (
  work: (given: { pool: Pool; event: H3Event; person: SignedIn }) => {
    name: string
    type: string
    pieces: AsyncGenerator<string | Uint8Array>
  },
  role: PersonRole = 'mechanic',
) =>
  defineEventHandler(event =>
    answer(event, async () => {
      const { name, type, pieces } = work({ pool: pool(), event, person: await personWith(event, role) })
      const first = await pieces.next()
      setResponseHeader(event, 'content-type', type)
      setResponseHeader(event, 'content-disposition', `attachment; filename="${name}"`)
      async function* all() {
        if (!first.done) yield first.value
        yield* pieces
      }
      return Readable.from(all())
    }),
  )

/** A route that answers in plain text, to whoever shows a token. */
export const textRoute = (work: (given: { pool: Pool; event: H3Event }) => Promise<{ type: string; text: string }>) =>
  defineEventHandler(event =>
    answer(event, async () => {
      const { type, text } = await work({ pool: pool(), event })
      setResponseHeader(event, 'content-type', type)
      return text
    }),
  )

/** A route for other software of a shop, which shows a token. */
export const tokenRoute = (work: (given: { pool: Pool; event: H3Event; shopId: number }) => Promise<unknown>) =>
  defineEventHandler(event =>
    answer(event, async () =>
      work({ pool: pool(), event, shopId: await shopForToken(pool(), getHeader(event, 'authorization')) }),
    ),
  )
