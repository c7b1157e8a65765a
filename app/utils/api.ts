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

async function call<T>(method: string, path: string, body?: unknown): Promise<T> {
  let response: Response
  try {
    response = await fetch(path, {
      method,
      signal: AbortSignal.timeout(PATIENCE_MS),
      ...(body === undefined ? {} : { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } }),
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
  post: <T>(path: string, body: unknown = {}) => call<T>('POST', path, body),
  put: <T>(path: string, body: unknown) => call<T>('PUT', path, body),
  delete: <T>(path: string) => call<T>('DELETE', path),
}

/** Words for any error that a screen meets. */
export const wordsFor = (error: unknown): string =>
  error instanceof Error ? error.message : 'Something failed. Try again.'
