import 'fake-indexeddb/auto'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { ProblemCode } from '~~/shared/problem'
import { STATUS_OF } from '~~/shared/problem'
import type { SessionResponse } from '~~/shared/session'
import { sessionOf } from '../../tests/support/screens'
import { rememberedSession, rememberSession } from '../local/database'
import { storeRefuses } from '../local/store-for-tests'
import { useSessionStore } from './session'

const LAST = {
  person: { id: 7, name: 'Tam', role: 'mechanic', hands: 'guided' },
  shop: { id: 1, name: 'S' },
  now: '2026-11-30T09:00:00.000Z',
} as unknown as SessionResponse

let reply: () => Response
const refused = (code: ProblemCode) => () =>
  new Response(JSON.stringify({ type: 'about:blank', title: code, status: STATUS_OF[code], code }), {
    status: STATUS_OF[code],
    headers: { 'content-type': 'application/problem+json' },
  })
const answered = (body: object) => () =>
  new Response(JSON.stringify(body), { headers: { 'content-type': 'application/json' } })

beforeEach(async () => {
  setActivePinia(createPinia())
  vi.stubGlobal('fetch', () => Promise.resolve().then(() => reply()))
  await rememberSession(LAST)
})
afterEach(() => vi.unstubAllGlobals())

describe('who works here, when a page is loaded in the middle of a job', () => {
  it('is told by the server, with its time', async () => {
    reply = answered({
      ...LAST,
      person: { ...LAST.person, name: 'Jory' },
      now: new Date(Date.now() + 60_000).toISOString(),
    })
    const store = useSessionStore()
    await store.load()
    expect([store.person?.name, store.offline, store.loaded]).toEqual(['Jory', false, true])
    expect(store.skewMs).toBeGreaterThan(59_000)
    expect((await rememberedSession())?.person.name).toBe('Jory')
  })
  it.each<[string, () => Response]>([
    [
      'no server answers',
      () => {
        throw new TypeError('Failed to fetch')
      },
    ],
    [
      'a proxy answers for it',
      () => new Response('<h1>502 Bad Gateway</h1>', { status: 502, headers: { 'content-type': 'text/html' } }),
    ],
    ['its database is away', refused('no-database')],
    ['it starts up', refused('starting')],
    ['its database is slow', refused('late')],
    ['its part of a cluster is cut off', refused('cut-off')],
    ['it fails', refused('failed')],
  ])('is who was here last where %s', async (_, given) => {
    reply = given
    const store = useSessionStore()
    await store.load()
    expect([store.person?.name, store.offline, store.loaded]).toEqual(['Tam', true, true])
  })
  it('is nobody where no server answers and the browser keeps nothing', async () => {
    reply = refused('no-database')
    const allow = storeRefuses()
    const store = useSessionStore()
    await store.load()
    expect([store.person, store.offline, store.loaded]).toEqual([null, true, true])
    allow()
  })
  it('ends on this device too where the browser’s store does not let itself be changed', async () => {
    reply = answered({})
    const store = useSessionStore()
    store.begin(sessionOf())
    const allow = storeRefuses()
    await store.signOut()
    expect(store.person).toBeNull()
    allow()
  })
  it('is nobody where the server knows of no session', async () => {
    reply = refused('sign-in-first')
    const store = useSessionStore()
    await store.load()
    expect([store.person, store.offline, store.loaded]).toEqual([null, false, true])
  })
})
