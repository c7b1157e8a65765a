import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { removeOldLogLines } from '../../server/repositories/shop-log'
import type { JobResponse } from '../../shared/jobs'
import type { OneTimeCode, PersonRow } from '../../shared/people'
import type { SessionResponse } from '../../shared/session'
import type { BladeSetRow } from '../../shared/shelf'
import type { LogKind, LogResponse } from '../../shared/shop-log'
import { pool } from '../support/database'
import { Client } from '../support/server'
import { newMachine, openJob, unique } from '../support/shop-work'

const PASSWORD = 'a first password'
let ines: Client
beforeAll(async () => {
  ines = await new Client().signIn('ines')
})
afterAll(() => pool.end())

interface Known {
  id: number
  signIn: string
  client: Client
}
const trySignIn = (client: Client, signIn: string, password: string) =>
  client.post<SessionResponse>('/api/session', { signIn, password })
/** Somebody new, signed in. */
async function hired(role: 'lead' | 'mechanic' = 'mechanic', name = 'Odd'): Promise<Known> {
  const signIn = `p${unique()}`.toLowerCase().replaceAll(/[^\w.@-]/g, '')
  const { status, body } = await ines.post<{ id: number }>('/api/people', { name, signIn, password: PASSWORD, role })
  expect(status).toBe(200)
  const client = new Client()
  const session = await trySignIn(client, signIn, PASSWORD)
  expect(session.status).toBe(200)
  client.personId = session.body.person.id
  return { id: body.id, signIn, client }
}
const here = async ({ client }: Known) => (await client.get('/api/session')).status
const rowOf = async ({ id }: Known) => (await ines.get<PersonRow[]>('/api/people')).body.find(p => p.id === id)!
const lines = async (query = '') => (await ines.get<LogResponse>(`/api/log${query}`)).body.rows
/** The newest line of a kind. */
const lineOf = async (kind: LogKind) => (await lines(`?kind=${kind}`))[0]

describe('somebody who leaves', () => {
  it('is out at once and cannot come back in; what they signed keeps their name, open work is nobody’s', async () => {
    const odd = await hired()
    const job = (await openJob(ines, await newMachine(ines), null)).body.id
    await ines.call('PUT', `/api/jobs/${job}/place`, { personId: odd.id, beforeJobId: null })
    await odd.client.answer(job, { type: 'note', payload: { text: 'was here' } })
    expect((await ines.call('DELETE', `/api/people/${odd.id}`)).status).toBe(200)
    expect(await here(odd)).toBe(401)
    expect((await trySignIn(new Client(), odd.signIn, PASSWORD)).status).toBe(401)
    expect((await rowOf(odd)).endedAt).not.toBeNull()
    const { events } = (await ines.get<JobResponse>(`/api/jobs/${job}`)).body
    expect(events.at(-1)).toMatchObject({ personName: 'Odd' })
    const { cards } = (await ines.get<{ cards: { jobId: number; assigned: unknown }[] }>('/api/bay')).body
    expect(cards.find(c => c.jobId === job)!.assigned).toBeNull()
    expect(await lineOf('person-ended')).toMatchObject({ person: 'Ines', what: 'Odd' })
  })
  it('is let back in by a lead, with the password they had', async () => {
    const odd = await hired()
    await ines.call('DELETE', `/api/people/${odd.id}`)
    expect((await ines.post(`/api/people/${odd.id}/back`, {})).status).toBe(200)
    expect((await trySignIn(new Client(), odd.signIn, PASSWORD)).status).toBe(200)
  })
  it('the last lead cannot leave, and cannot be made a mechanic', async () => {
    const me = (await ines.get<SessionResponse>('/api/session')).body.person.id
    const leads = (await ines.get<PersonRow[]>('/api/people')).body.filter(p => p.role === 'lead' && !p.endedAt)
    expect(leads.map(l => l.id)).toEqual([me])
    for (const refused of [
      await ines.call('DELETE', `/api/people/${me}`),
      await ines.call('PUT', `/api/people/${me}`, { role: 'mechanic' }),
    ])
      expect([refused.status, refused.body.title]).toEqual([409, expect.stringMatching(/Make somebody else a lead/)])
    expect((await ines.get('/api/tokens')).status).toBe(200)
  })
  it('two leads who end each other at once: one of them stays', async () => {
    const odd = await hired('lead')
    const me = (await ines.get<SessionResponse>('/api/session')).body.person.id
    const ended = await Promise.all([
      ines.call('DELETE', `/api/people/${odd.id}`),
      odd.client.call('PUT', `/api/people/${me}`, { role: 'mechanic' }),
    ])
    const people = (await pool.query('SELECT id FROM people WHERE role = ? AND ended_at IS NULL AND id IN (?, ?)', [
      'lead',
      me,
      odd.id,
    ])) as unknown as [{ id: number }[]]
    expect(people[0].length, JSON.stringify(ended.map(e => e.status))).toBeGreaterThan(0)
    // back as it was, whoever won
    await pool.query("UPDATE people SET role = 'lead' WHERE id = ?", [me])
    await pool.query('UPDATE people SET ended_at = UTC_TIMESTAMP(3) WHERE id = ?', [odd.id])
  })
  it('a mechanic changes nobody', async () => {
    const [odd, other] = [await hired(), await hired()]
    for (const refused of [
      await odd.client.call('DELETE', `/api/people/${other.id}`),
      await odd.client.call('PUT', `/api/people/${odd.id}`, { role: 'lead' }),
      await odd.client.post(`/api/people/${other.id}/code`, {}),
      await odd.client.get('/api/log'),
      await odd.client.get('/api/log-export'),
    ])
      expect(refused.status).toBe(403)
  })
  it('of another shop is nobody here', async () => {
    for (const path of ['', '/back', '/code', '/sign-out'])
      expect(
        (await ines.call(path ? 'POST' : 'DELETE', `/api/people/99999999${path}`, path ? {} : undefined)).status,
      ).toBe(404)
  })
})

describe('a role', () => {
  it('counts at once, in the session that is open', async () => {
    const odd = await hired()
    await ines.call('PUT', `/api/people/${odd.id}`, { role: 'lead' })
    expect((await odd.client.get('/api/log')).status).toBe(200)
    await ines.call('PUT', `/api/people/${odd.id}`, { role: 'mechanic' })
    expect((await odd.client.get('/api/log')).status).toBe(403)
  })
})

describe('a one-time code', () => {
  const code = async ({ id }: Known) => (await ines.post<OneTimeCode>(`/api/people/${id}/code`, {})).body.code
  const use = (signIn: string, typed: string, next = 'another password') =>
    new Client().post<SessionResponse>('/api/session/code', { signIn, code: typed, next })
  it('opens once, however it is typed, and the old password and every session end with it', async () => {
    const odd = await hired()
    const made = await code(odd)
    expect(made).toMatch(/^[A-Z2-9]{4}-[A-Z2-9]{4}$/)
    expect((await use(odd.signIn, made.toLowerCase().replace('-', ' '))).body.person.name).toBe('Odd')
    expect(await here(odd)).toBe(401)
    expect((await trySignIn(new Client(), odd.signIn, PASSWORD)).status).toBe(401)
    expect((await trySignIn(new Client(), odd.signIn, 'another password')).status).toBe(200)
    expect((await use(odd.signIn, made)).status).toBe(401)
    expect(await lineOf('code-used')).toMatchObject({ person: 'Odd' })
  })
  it('a wrong one, one that is over, and one for somebody who left, are refused alike', async () => {
    const [odd, late, gone] = [await hired(), await hired(), await hired()]
    await code(odd)
    const wrong = await use(odd.signIn, 'AAAA-AAAA')
    const over = await code(late)
    await pool.query('UPDATE people SET code_until = UTC_TIMESTAMP(3) - INTERVAL 1 SECOND WHERE id = ?', [late.id])
    const left = await code(gone)
    await ines.call('DELETE', `/api/people/${gone.id}`)
    for (const refused of [
      wrong,
      await use(late.signIn, over),
      await use(gone.signIn, left),
      await use('nobody', over),
    ])
      expect([refused.status, refused.body.title]).toEqual([401, expect.stringMatching(/Ask a lead for a new one/)])
    expect((await ines.post(`/api/people/${gone.id}/code`, {})).status).toBe(409)
  })
  it('is kept as its hash alone, and in no log', async () => {
    const odd = await hired()
    const made = await code(odd)
    const [rows] = (await pool.query('SELECT code_hash AS hash FROM people WHERE id = ?', [odd.id])) as unknown as [
      { hash: string }[],
    ]
    expect(rows[0]!.hash).toMatch(/^scrypt\$/)
    expect(JSON.stringify(await lines())).not.toContain(made)
  })
  it('what is no code is refused in words before anything is looked at', async () => {
    const refused = await use('odd', '12')
    expect([refused.status, refused.body.fields?.[0]?.message]).toEqual([
      422,
      expect.stringMatching(/eight letters and digits/),
    ])
  })
})

describe('one’s own name, unit and password', () => {
  it('a name is another from now on, and a unit stands first in the next job', async () => {
    const odd = await hired()
    await odd.client.call('PUT', '/api/me', { name: 'Odd the Second', unit: 'thou' })
    expect((await odd.client.get<SessionResponse>('/api/session')).body.person).toMatchObject({
      name: 'Odd the Second',
      unit: 'thou',
    })
    const job = (await openJob(odd.client, await newMachine(ines), null)).body.id
    expect((await odd.client.get<JobResponse>(`/api/jobs/${job}`)).body.pin).toMatchObject({
      unit: 'thou',
      openedBy: 'Odd the Second',
    })
    expect((await odd.client.call('PUT', '/api/me', { name: ' ', unit: null })).status).toBe(422)
  })
  it('a password is changed by the one before; this device stays in, the others are out', async () => {
    const odd = await hired()
    const phone = new Client()
    await trySignIn(phone, odd.signIn, PASSWORD)
    const change = (password: string, next: string) => odd.client.call('PUT', '/api/me/password', { password, next })
    const wrong = await change('not this one', 'a second password')
    expect([wrong.status, wrong.body.fields?.[0]?.field]).toEqual([401, 'password'])
    expect((await change(PASSWORD, PASSWORD)).status).toBe(422)
    expect((await change(PASSWORD, 'short')).status).toBe(422)
    expect((await change(PASSWORD, 'a second password')).status).toBe(200)
    expect([await here(odd), (await phone.get('/api/session')).status]).toEqual([200, 401])
    expect((await trySignIn(new Client(), odd.signIn, 'a second password')).status).toBe(200)
  })
})

describe('the log of a shop', () => {
  it('has sign-ins, refusals and changes, filtered by kind and person, page by page', async () => {
    const odd = await hired('mechanic', `Odd ${unique()}`)
    const { name } = await rowOf(odd)
    await trySignIn(new Client(), odd.signIn, 'not this one')
    await odd.client.post('/api/blade-sets', { name: `Set ${unique()}`, unit: 'mm', blades: [] })
    const kinds = (await lines(`?person=${encodeURIComponent(name)}`)).map(l => l.kind)
    expect(kinds).toEqual(expect.arrayContaining(['sign-in-refused', 'signed-in']))
    expect((await lines('?kind=signed-in')).every(l => l.kind === 'signed-in')).toBe(true)
    const all = (await ines.get<LogResponse>('/api/log')).body
    if (all.before !== null) {
      const next = (await ines.get<LogResponse>(`/api/log?before=${all.before}`)).body.rows
      expect(next[0]!.id).toBeLessThan(all.rows.at(-1)!.id)
    }
    // what is odd in an address is nothing asked
    expect((await lines('?kind=odd&before=x')).length).toBeGreaterThan(0)
  })
  it('says what a change was of, also where the request has a number alone and the thing is gone after it', async () => {
    const name = `Set ${unique()}`
    const { id: _, ...known } = (await ines.get<BladeSetRow[]>('/api/blade-sets')).body[0]!
    const { id } = (await ines.post<{ id: number }>('/api/blade-sets', { ...known, name })).body
    expect((await ines.call('DELETE', `/api/blade-sets/${id}`)).status).toBe(200)
    expect(await lineOf('shelf-changed')).toMatchObject({ person: 'Ines', what: name })
    const machine = await newMachine(ines)
    await ines.post(`/api/machines/${machine.id}/meter`, { on: new Date().toISOString().slice(0, 10), meter: 12 })
    expect(await lineOf('machine-changed')).toMatchObject({ what: machine.name })
  })
  it('is saved as a CSV in which no cell runs, and that is written down too', async () => {
    const odd = await hired('mechanic', '=1+1')
    await ines.call('DELETE', `/api/people/${odd.id}`)
    const response = await fetch(`${process.env.WEMBRIC_TEST_URL}/api/log-export?kind=person-ended`, {
      headers: { cookie: ines.cookie },
    })
    const csv = await response.text()
    expect(response.headers.get('content-disposition')).toContain('shop-log.csv')
    expect(csv).toContain('Ines,Ended an access,')
    expect(csv).toContain('“=1+1”')
    expect(csv).not.toContain('Signed in')
    expect(await lineOf('log-exported')).toMatchObject({ person: 'Ines' })
  })
  it('is kept for two years and no longer', async () => {
    const shopId = (await ines.get<SessionResponse>('/api/session')).body.shop.id
    const at = async (days: number, what: string) =>
      pool.query(
        `INSERT INTO shop_log (shop_id, at, person, kind, what)
         VALUES (?, UTC_TIMESTAMP(3) - INTERVAL ? DAY, 'Ines', 'shop-settled', ?)`,
        [shopId, days, what],
      )
    const [old, young] = [unique(), unique()]
    await at(732, old)
    await at(728, young)
    await removeOldLogLines(pool)
    const whats = (await lines('?kind=shop-settled')).map(l => l.what)
    expect([whats.includes(old), whats.includes(young)]).toEqual([false, true])
  })
})
