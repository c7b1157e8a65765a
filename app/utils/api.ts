import { v7 as uuidv7 } from 'uuid'
import type { ApiKey, BodySent, ParamsOf, QuerySent, ResponseOf, Unfinished } from '~~/shared/api'
import type { ProblemBody } from '~~/shared/problem'
import { LANGUAGE } from '../language'
import { t } from '../words'

/** The server refused, in words for a person. */
export class Refused extends Error {
  override readonly name = 'Refused'
  constructor(readonly problem: ProblemBody) {
    super(problem.title)
  }
  get status(): number {
    return this.problem.status
  }
  /** What is wrong with one field, or nothing. */
  field(name: string): string | undefined {
    return this.problem.fields?.find(f => f.field === name || f.field.endsWith(`.${name}`))?.message
  }
}

/** Nobody answered: offline, or the server is down. */
export class NoAnswer extends Error {
  override readonly name = 'NoAnswer'
  constructor() {
    super(t('api.the-shops-server-does-not'))
  }
}

/**
 * Whether nobody can answer now, so that what is on this device has to do: no server, or one whose database is away or
 * that fails. That a disk is full is said instead: it passes only when somebody does something about it.
 */
export const isAway = (error: unknown): boolean =>
  error instanceof NoAnswer || (error instanceof Refused && error.status >= 500 && error.problem.code !== 'disk-full')

const PATIENCE_MS = 8000

/**
 * Requests whose reply was lost, by what they ask: one that is asked again goes under the same id, and makes nothing
 * twice.
 */
const unanswered = new Map<string, string>()

type Params<K extends ApiKey> = [ParamsOf<K>] extends [never] ? object : Record<ParamsOf<K>, string | number>
type Query<K extends ApiKey> = QuerySent<K> extends undefined ? object : { query?: Partial<QuerySent<K>> }
type Body<K extends ApiKey> = BodySent<K> extends undefined ? object : { body: Unfinished<BodySent<K>> | null }
/** What is told with a request: the names in its path, its query, its body. */
type Told<K extends ApiKey> = Params<K> & Query<K> & Body<K>
type Args<K extends ApiKey> = object extends Told<K> ? [told?: Told<K>] : [told: Told<K>]

/** Method, address and body of a request. */
function requestOf(key: ApiKey, told: Record<string, unknown> = {}): { method: string; path: string; body: unknown } {
  const [method, template] = key.split(' ') as [string, string]
  const path = template.replace(/:(\w+)/g, (_, name: string) => encodeURIComponent(String(told[name])))
  const asked = Object.entries((told.query as Record<string, unknown>) ?? {}).filter(([, v]) => v !== undefined)
  const query = new URLSearchParams(asked.map(([name, value]) => [name, String(value)])).toString()
  // what makes something has a body, if an empty one
  const body = told.body ?? (method === 'POST' ? {} : undefined)
  return { method, path: query ? `${path}?${query}` : path, body }
}

async function call(
  { method, path, body }: ReturnType<typeof requestOf>,
  headers: Record<string, string> = {},
): Promise<unknown> {
  const told = { 'accept-language': LANGUAGE, ...headers }
  let response: Response
  try {
    response = await fetch(path, {
      method,
      signal: AbortSignal.timeout(PATIENCE_MS),
      ...(body === undefined
        ? { headers: told }
        : { body: JSON.stringify(body), headers: { 'content-type': 'application/json', ...told } }),
    })
  } catch {
    throw new NoAnswer()
  }
  const isJson = response.headers.get('content-type')?.includes('json')
  if (!isJson) throw new NoAnswer()
  const data: unknown = await response.json()
  if (!response.ok) throw new Refused(data as ProblemBody)
  return data
}

/** Sends something that makes something, under an id that stays until it was answered. */
async function make(request: ReturnType<typeof requestOf>): Promise<unknown> {
  const asked = `${request.path} ${JSON.stringify(request.body)}`
  const id = unanswered.get(asked) ?? uuidv7()
  unanswered.set(asked, id)
  try {
    const answer = await call(request, { 'idempotency-key': id })
    unanswered.delete(asked)
    return answer
  } catch (error) {
    if (error instanceof Refused && error.status < 500) unanswered.delete(asked)
    throw error
  }
}

/**
 * Asks the shop’s server, by a line of the API. What makes something makes it once, however often it is asked for after
 * a lost reply.
 * @throws Refused with the server’s words; NoAnswer where nobody answers
 */
export function api<K extends ApiKey>(key: K, ...[told]: Args<K>): Promise<ResponseOf<K>> {
  const request = requestOf(key, told as Record<string, unknown>)
  return (request.method === 'POST' ? make(request) : call(request)) as Promise<ResponseOf<K>>
}
/** The same for what carries an id of its own, or must not be answered again as it was. */
export const append = <K extends ApiKey>(key: K, ...[told]: Args<K>): Promise<ResponseOf<K>> =>
  call(requestOf(key, told as Record<string, unknown>)) as Promise<ResponseOf<K>>
