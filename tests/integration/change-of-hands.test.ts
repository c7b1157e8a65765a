import sharp from 'sharp'
import { beforeAll, describe, expect, it } from 'vitest'
import { forgetPinTries } from '../../server/services/sign-in-throttle'
import type { CrewResponse, TrustedDevice } from '../../shared/change-of-hands'
import type { SessionResponse } from '../../shared/session'
import type { ModelResponse, SearchResponse } from '../../shared/spec-book'
import { pool } from '../support/database'
import { Client } from '../support/server'

const PIN = '2580'
let ines: Client
let tam: Client
let ids: Record<string, number>
beforeAll(async () => {
  ines = await new Client().signIn('ines')
  tam = await new Client().signIn('tam')
  const people = (await ines.get<{ id: number; signIn: string }[]>('/api/people')).body
  ids = Object.fromEntries(people.map(p => [p.signIn, p.id]))
  await tam.call('PUT', '/api/pin', { pin: PIN })
})
/** A device that a lead has trusted, with the lead still signed in on it. */
async function trusted(): Promise<Client> {
  const device = await new Client().signIn('ines')
  expect((await device.post('/api/devices', { name: 'Bench phone' })).status).toBe(200)
  return device
}
const takeOver = (device: Client, person: string, pin: string) =>
  device.post<SessionResponse>('/api/session/pin', { personId: ids[person], pin })

describe('hands change on a trusted device', () => {
  it('by name and PIN; the work is the next person’s, and nothing of a lead’s settings opens', async () => {
    const device = await trusted()
    const { people } = (await device.get<CrewResponse>('/api/crew')).body
    expect(people.find(p => p.name === 'Tam')).toMatchObject({ hasPin: true })
    const { body } = await takeOver(device, 'tam', PIN)
    expect(body.person).toMatchObject({ name: 'Tam', byPin: true, role: 'mechanic' })
    expect((await device.get<SessionResponse>('/api/session')).body.person.name).toBe('Tam')
    const refused = await device.call('PUT', '/api/pin', { pin: '1357' })
    expect([refused.status, refused.body.title]).toEqual([403, expect.stringMatching(/PIN is not enough/)])
  })
  it('and whoever worked there before is signed out: a copy of their cookie opens nothing', async () => {
    const device = await trusted()
    const copy = device.cookie
    const asLead = () => tam.call('GET', '/api/devices', undefined, { cookie: copy })
    expect((await asLead()).status).toBe(200)
    await takeOver(device, 'tam', PIN)
    expect((await asLead()).status).toBe(401)
  })
  it('a lead who comes in by PIN works as anybody of the crew', async () => {
    const device = await trusted()
    await ines.call('PUT', '/api/pin', { pin: '9037' })
    expect((await takeOver(device, 'ines', '9037')).body.person.role).toBe('mechanic')
    for (const path of ['/api/tokens', '/api/devices'])
      expect((await device.get(path)).body.title).toMatch(/PIN is not enough/)
    await ines.call('PUT', '/api/pin', { pin: null })
  })
  it('and not on a device that nobody trusted, which learns of nobody', async () => {
    const stranger = new Client()
    expect((await stranger.get<CrewResponse>('/api/crew')).body.people).toEqual([])
    expect((await takeOver(stranger, 'tam', PIN)).status).toBe(403)
  })
  it('a mechanic trusts no device', async () =>
    expect((await tam.post('/api/devices', { name: 'Mine' })).status).toBe(403))
  it('where the trust ends, whoever came in by it is signed out in the same moment', async () => {
    const device = await trusted()
    await takeOver(device, 'tam', PIN)
    const last = (await ines.get<TrustedDevice[]>('/api/devices')).body.at(-1)!
    expect((await ines.call('DELETE', `/api/devices/${last.id}`)).status).toBe(200)
    expect((await device.get('/api/session')).status).toBe(401)
    expect((await takeOver(device, 'tam', PIN)).body.title).toMatch(/not trusted any more/)
  })
  it('guessing waits longer and longer, on all devices together, and says how long', async () => {
    const [one, two] = [await trusted(), await trusted()]
    const answers = []
    for (let n = 0; n < 6; n++) answers.push((await takeOver(n % 2 ? one : two, 'tam', '1928')).status)
    expect(answers).toEqual([401, 401, 401, 401, 401, 429])
    const right = await takeOver(one, 'tam', PIN)
    expect([right.status, right.body.title]).toEqual([429, expect.stringMatching(/Too many wrong PINs/)])
    const tamsShop = (await tam.get<SessionResponse>('/api/session')).body.shop.id
    await forgetPinTries(pool, tamsShop, ids.tam!)
    expect((await takeOver(one, 'tam', PIN)).status).toBe(200)
  })
  it.each(['1111', '1234', '12', 'abcd', '123456789'])('%s is no PIN', async pin =>
    expect((await tam.call('PUT', '/api/pin', { pin })).status).toBe(422),
  )
})

describe('the page that a revision is from', () => {
  const picture = () =>
    sharp({ create: { width: 40, height: 30, channels: 3, background: '#ddd' } })
      .jpeg()
      .toBuffer()
  it('is kept with it once, by its author, and seen by the shop', async () => {
    const { rows } = (await ines.get<SearchResponse>('/api/models')).body
    const before = (await ines.get<ModelResponse>(`/api/models/${rows[0]!.id}`)).body
    const { engine } = before.model
    const made = await tam.post<{ id: number }>(`/api/models/${before.model.id}/drafts`, {
      engine: { ...engine, coldLimitC: 31, printed: undefined },
      reason: 'From the page',
      basedOn: before.revisions.at(-1)!.id,
      answered: before.revisions.at(-1)!.answered.map(a => a.id),
    })
    expect(made.status, JSON.stringify(made.body)).toBe(200)
    const path = `/api/revisions/${made.body.id}/page`
    expect((await ines.upload(path, await picture())).status).toBe(403)
    expect((await tam.upload(path, new Uint8Array([1, 2, 3]))).status).toBe(422)
    expect((await tam.upload(path, await picture())).status).toBe(200)
    expect((await tam.upload(path, await picture())).status).toBe(409)
    expect((await ines.bytes(path)).length).toBeGreaterThan(50)
    const after = (await ines.get<ModelResponse>(`/api/models/${before.model.id}`)).body
    expect(after.revisions.map(r => r.page)).toEqual([...before.revisions.map(r => r.page), true])
    await ines.post(`/api/revisions/${made.body.id}/send-back`, { reason: 'Only a test' })
  })
})
