import { v7 as uuidv7 } from 'uuid'
import type { Happening } from '../../core/job'
import type { ProblemBody } from '../../shared/problem'
import { checkContract } from './contract'

/** The server under test: started once by the test command, with the demo shop in it. */
const BASE = process.env.WEMBRIC_TEST_URL ?? 'http://127.0.0.1:3999'

export interface Answer<T> {
  status: number
  body: T & Partial<ProblemBody>
  type: string | null
  retryAfter: string | null
}

/** Somebody at a browser: keeps the session cookie, speaks JSON, comes from the server's own page. */
export class Client {
  private readonly cookies = new Map<string, string>()
  private seq = 0
  readonly device = `t-${uuidv7().slice(-8)}`
  personId = 0

  constructor(private readonly base = BASE) {}

  async call<T = Record<string, unknown>>(
    method: string,
    path: string,
    body?: unknown,
    headers: Record<string, string> = {},
  ): Promise<Answer<T>> {
    const response = await fetch(`${this.base}${path}`, {
      method,
      headers: { 'content-type': 'application/json', 'origin': this.base, 'cookie': this.cookie, ...headers },
      ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
    })
    for (const set of response.headers.getSetCookie()) {
      const [name, value] = set.split(';')[0]!.split(/=(.*)/) as [string, string]
      this.cookies.set(name, value)
    }
    const text = await response.text()
    const json: unknown = text ? JSON.parse(text) : {}
    checkContract(method, path, response.status, json)
    return {
      status: response.status,
      body: json as T & Partial<ProblemBody>,
      type: response.headers.get('content-type'),
      retryAfter: response.headers.get('retry-after'),
    }
  }

  /** Sends the bytes of a file as they are. */
  async upload<T>(path: string, bytes: string | Uint8Array, id?: string): Promise<Answer<T>> {
    const response = await fetch(`${this.base}${path}`, {
      method: 'POST',
      headers: {
        'content-type': 'application/octet-stream',
        'origin': this.base,
        'cookie': this.cookie,
        ...(id ? { 'idempotency-key': id } : {}),
      },
      body: bytes as BodyInit,
    })
    return {
      status: response.status,
      body: (await response.json()) as T & Partial<ProblemBody>,
      type: response.headers.get('content-type'),
      retryAfter: response.headers.get('retry-after'),
    }
  }

  /** A file as it comes. */
  async text(path: string): Promise<string> {
    const response = await fetch(`${this.base}${path}`, { headers: { cookie: this.cookie } })
    return new TextDecoder('utf-8', { ignoreBOM: true }).decode(await response.arrayBuffer())
  }

  /** The bytes of a file as they come. @throws Error with what was said instead */
  async bytes(path: string): Promise<Uint8Array> {
    const response = await fetch(`${this.base}${path}`, { headers: { cookie: this.cookie } })
    if (!response.ok) throw new Error(await response.text())
    return new Uint8Array(await response.arrayBuffer())
  }

  get cookie(): string {
    return [...this.cookies].map(([name, value]) => `${name}=${value}`).join('; ')
  }
  /** Another browser with a copy of this one's cookies. */
  copy(): Client {
    const other = new Client(this.base)
    for (const [name, value] of this.cookies) other.cookies.set(name, value)
    return other
  }

  get = <T>(path: string) => this.call<T>('GET', path)
  post = <T>(path: string, body: unknown = {}) => this.call<T>('POST', path, body)

  async signIn(name: string, password = 'quillbrook'): Promise<this> {
    const { status, body } = await this.post<{ person: { id: number } }>('/api/session', { signIn: name, password })
    if (status !== 200) throw new Error(`${name} was not let in: ${JSON.stringify(body)}`)
    this.personId = body.person.id
    return this
  }

  event(happening: Happening, changes: Record<string, unknown> = {}) {
    return {
      ...happening,
      id: uuidv7(),
      version: 1,
      personId: this.personId,
      deviceId: this.device,
      deviceSeq: ++this.seq,
      seenSeq: 0,
      at: new Date().toISOString(),
      ...changes,
    }
  }

  answer = <T>(jobId: number, happening: Happening, changes: Record<string, unknown> = {}) =>
    this.post<T>(`/api/jobs/${jobId}/events`, this.event(happening, changes))
}
