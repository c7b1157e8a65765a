import { v7 as uuidv7 } from 'uuid'
import type { ProblemBody } from '~~/shared/problem'

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
    super('The shop’s server does not answer. Try again in a moment.')
  }
}

const PATIENCE_MS = 8000

/** Requests whose reply was lost, by what they ask: one that is asked again goes under the same id, and makes nothing twice. */
const unanswered = new Map<string, string>()

/** Sends something that makes something, under an id that stays until it was answered. */
async function make<T>(path: string, body: unknown): Promise<T> {
  const asked = `${path} ${JSON.stringify(body)}`
  const id = unanswered.get(asked) ?? uuidv7()
  unanswered.set(asked, id)
  try {
    const answer = await call<T>('POST', path, body, { 'idempotency-key': id })
    unanswered.delete(asked)
    return answer
  } catch (error) {
    if (error instanceof Refused && error.status < 500) unanswered.delete(asked)
    throw error
  }
}

async function call<T>(method: string, path: string, body?: unknown, headers: Record<string, string> = {}): Promise<T> {
  let response: Response
  try {
    response = await fetch(path, {
      method,
      signal: AbortSignal.timeout(PATIENCE_MS),
      ...(body === undefined
        ? { headers }
        : { body: JSON.stringify(body), headers: { 'content-type': 'application/json', ...headers } }),
    })
  } catch {
    throw new NoAnswer()
  }
  const isJson = response.headers.get('content-type')?.includes('json')
  if (!isJson) throw new NoAnswer()
  const data: unknown = await response.json()
  if (!response.ok) throw new Refused(data as ProblemBody)
  return data as T
}

export const api = {
  get: <T>(path: string) => call<T>('GET', path),
  /** Makes something, once however often it is asked for after a lost reply. */
  post: <T>(path: string, body: unknown = {}) => make<T>(path, body),
  /** Sends what carries an id of its own. */
  append: <T>(path: string, body: unknown) => call<T>('POST', path, body),
  put: <T>(path: string, body: unknown) => call<T>('PUT', path, body),
  delete: <T>(path: string) => call<T>('DELETE', path),
}

/** Words for any error that a screen meets. */
export const wordsFor = (error: unknown): string =>
  error instanceof Error ? error.message : 'Something failed. Try again.'
