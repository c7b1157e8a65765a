import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { api, append, NoAnswer, Refused } from './api'

let ids: (string | null)[] = []
let reply: () => Response
const json = (status: number, body: object) =>
  new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/json' } })

beforeEach(() => {
  ids = []
  vi.stubGlobal('fetch', async (_: string, { headers }: { headers: Record<string, string> }) => {
    ids.push(headers['idempotency-key'] ?? null)
    return reply()
  })
})
afterEach(() => vi.unstubAllGlobals())

describe('a request that makes something', () => {
  const ask = () => api('POST /api/customers', { body: { name: 'O. Wner' } })
  it('goes under the same id again when its reply was lost, and under another once it was answered', async () => {
    reply = () => {
      throw new TypeError('fetch failed')
    }
    await expect(ask()).rejects.toBeInstanceOf(NoAnswer)
    reply = () => json(503, { title: 'The database is busy.', status: 503 })
    await expect(ask()).rejects.toBeInstanceOf(Refused)
    reply = () => json(200, { id: 1 })
    expect(await ask()).toEqual({ id: 1 })
    await ask()
    expect(new Set(ids.slice(0, 3)).size).toBe(1)
    expect(ids[3]).not.toBe(ids[0])
  })
  it('what was refused is asked anew', async () => {
    reply = () => json(422, { title: 'Give a name.', status: 422 })
    await expect(ask()).rejects.toThrow('Give a name.')
    await expect(ask()).rejects.toThrow('Give a name.')
    expect(ids[0]).not.toBe(ids[1])
  })
  it('what carries an id of its own goes without one', async () => {
    reply = () => json(200, {})
    await append('POST /api/jobs/:id/events', { id: 1, body: null })
    await api('GET /api/bay')
    expect(ids).toEqual([null, null])
  })
})
