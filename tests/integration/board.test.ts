import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { bayOf } from '../../server/services/bay'
import { placeJob } from '../../server/services/board'
import type { BayResponse, TaskRow } from '../../shared/board'
import { pool } from '../support/database'
import { otherShop } from '../support/other-shop'
import { Client } from '../support/server'
import { newMachine, openJob, visit } from '../support/shop-work'

const [ines, tam] = [new Client(), new Client()]
let shopId = 0
beforeAll(async () => {
  await ines.signIn('ines')
  await tam.signIn('tam')
  const [[row]] = (await pool.query('SELECT shop_id AS shopId FROM people WHERE id = ?', [
    ines.personId,
  ])) as unknown as [[{ shopId: number }]]
  shopId = row.shopId
})
afterAll(() => pool.end())

const bay = async () => (await ines.get<BayResponse>('/api/bay')).body
const cardOf = async (id: number) => (await bay()).cards.find(c => c.jobId === id)!
const newJob = async (more: Record<string, unknown> = {}) =>
  (await openJob(ines, await newMachine(ines), 10, more)).body.id
const place = (id: number, personId: number | null, beforeJobId: number | null = null, client = ines) =>
  client.call('PUT', `/api/jobs/${id}/place`, { personId, beforeJobId })

describe('the board', () => {
  it('a card goes to a person and a place; the order stays for everybody', async () => {
    const [a, b, c] = [await newJob(), await newJob(), await newJob()]
    for (const id of [a, b, c]) expect((await place(id, tam.personId)).status).toBe(200)
    await place(c, tam.personId, a, tam)
    const order = (await bay()).cards.filter(k => [a, b, c].includes(k.jobId))
    expect(order.map(k => k.jobId)).toEqual([c, a, b])
    expect(order.every(k => k.assigned?.name === 'Tam')).toBe(true)
    await place(a, null)
    expect((await cardOf(a)).assigned).toBeNull()
  })
  it('many moves between the same two leave room for more', async () => {
    const [a, b, c] = [await newJob(), await newJob(), await newJob()]
    // each move halves the room between its neighbours: after fifty there would be none
    for (let i = 0; i < 30; i++) {
      await place(c, null, b)
      await place(b, null, c)
    }
    const order = (await bay()).cards.filter(k => [a, b, c].includes(k.jobId)).map(k => k.jobId)
    expect(order).toEqual([a, b, c])
    expect(new Set((await bay()).cards.filter(k => k.column !== 'done').map(k => k.place)).size).toBe(
      (await bay()).cards.filter(k => k.column !== 'done').length,
    )
  })
  it('the day is ordered by how long the shop says its valves take', async () => {
    const signIn = `kit-${Date.now()}`
    const { id: kit } = (
      await ines.post<{ id: number }>('/api/people', { name: 'Kit', signIn, password: 'quillbrook', role: 'mechanic' })
    ).body
    const [first, second] = [await newJob(), await newJob()]
    for (const id of [first, second]) await place(id, kit)
    const between = async () => {
      const { cards } = await bay()
      const at = (id: number) => cards.find(c => c.jobId === id)!.turn!.startMs
      return Math.round((at(second) - at(first)) / 60_000)
    }
    expect(await between()).toBe(45)
    expect((await ines.call('PUT', '/api/shop', { valveMinutes: 90 })).status).toBe(200)
    expect(await between()).toBe(90)
    for (const [valveMinutes, words] of [
      [3, /at least 5 minutes/],
      [900, /a working day/],
      [12.5, /whole minutes/],
    ] as const)
      expect((await ines.call('PUT', '/api/shop', { valveMinutes })).body.title).toMatch(words)
    expect((await tam.call('PUT', '/api/shop', { valveMinutes: 30 })).status).toBe(403)
    await ines.call('PUT', '/api/shop', { valveMinutes: 45 })
  })
  it('a stranger, somebody of another shop and a job that is done have no place', async () => {
    const id = await newJob()
    expect((await place(id, 99999999)).body.title).toMatch(/this shop’s crew/)
    const { person } = await otherShop()
    expect((await place(id, person.id)).status).toBe(422)
    await expect(placeJob(pool, person, id, { personId: null, beforeJobId: null })).rejects.toMatchObject({
      status: 404,
    })
    await ines.answer(id, { type: 'abandoned', payload: { reason: 'test' } })
    expect((await place(id, null)).status).toBe(409)
  })
})

describe('what has cooled', () => {
  const HOUR = 3_600_000
  it('cools from its readings, becomes ready by the clock, and its curve says when', async () => {
    const id = await newJob()
    const at = Date.now()
    await ines.answer(id, { type: 'confirmed', payload: { item: 'machine' } })
    await ines.answer(id, { type: 'confirmed', payload: { item: 'spec' } })
    await ines.answer(
      id,
      { type: 'temperature', payload: { celsius: 74, airC: 19 } },
      { at: new Date(at - 35 * 60_000).toISOString() },
    )
    await ines.answer(id, { type: 'temperature', payload: { celsius: 58 } }, { at: new Date(at).toISOString() })
    const card = await cardOf(id)
    expect([card.column, card.cooling?.airC, card.cooling?.airAssumed]).toEqual(['cooling', 19, false])
    const ready = card.cooling!.ready
    // Newton by hand: k = ln(55/39)/0.583 h = 0.59; from 58 to 35 °C ln(39/16)/0.59 = 1.5 h, and later to be sure of it
    expect(ready.kind === 'at' && (ready.atMs - at) / HOUR > 1.4 && (ready.atMs - at) / HOUR < 3).toBe(true)
    const seen = async (ms: number) => (await bayOf(pool, shopId, new Date(ms))).cards.find(c => c.jobId === id)!.column
    if (ready.kind !== 'at') return
    expect([await seen(ready.atMs - 60_000), await seen(ready.atMs + 60_000)]).toEqual(['cooling', 'ready'])
  })
  it('air as warm as the limit never cools it: a night is what counts', async () => {
    const id = await newJob()
    for (const item of ['machine', 'spec'] as const) await ines.answer(id, { type: 'confirmed', payload: { item } })
    await ines.answer(id, { type: 'temperature', payload: { celsius: 60, airC: 38 } })
    expect((await cardOf(id)).cooling!.ready).toEqual({ kind: 'air too warm' })
    expect(
      (await ines.answer<{ title: string }>(id, { type: 'temperature', payload: { celsius: 60, airC: 90 } })).body
        .title,
    ).toMatch(/Check the unit/)
  })
})

describe('what else a visit is for', () => {
  it('an oil change is held until the valves are done, or somebody says why not', async () => {
    const id = await newJob({
      tasks: [
        { name: 'Oil change', needs: 'warm' },
        { name: 'Air filter', needs: 'either' },
      ],
    })
    const [oil, filter] = (await cardOf(id)).tasks
    expect([oil!.held, filter!.held]).toEqual([expect.stringMatching(/valves first/), null])
    const tick = (task: TaskRow, body: object) => tam.call<TaskRow>('PUT', `/api/tasks/${task.id}`, body)
    expect((await tick(filter!, { done: true })).body.doneBy).toBe('Tam')
    expect(await tick(oil!, { done: true })).toMatchObject({
      status: 409,
      body: { code: 'held', title: expect.stringMatching(/valves of this machine are not done/) },
    })
    expect((await tick(oil!, { done: true, because: 'drained cold' })).status).toBe(200)
    expect((await cardOf(id)).tasks[0]).toMatchObject({ doneBy: 'Tam', because: 'drained cold' })
    expect((await tam.call('DELETE', `/api/tasks/${oil!.id}`)).status).toBe(409)
    expect((await tick(oil!, { done: false })).body.doneBy).toBeNull()
    expect((await tam.call('DELETE', `/api/tasks/${oil!.id}`)).status).toBe(200)
  })
  it('an oil change that is left when the valves are signed stays on the board, also the day after, until it is done', async () => {
    const machine = await newMachine(ines)
    const id = await visit(ines, machine, 50, 3, {})
    const gone = await ines.post<TaskRow>(`/api/jobs/${id}/tasks`, { name: 'Oil change', needs: 'warm' })
    const card = await cardOf(id)
    expect([card.column, card.tasks[0]!.held, card.next]).toEqual(['done', null, 'Valves done; to do: Oil change'])
    expect((await ines.call('PUT', `/api/tasks/${gone.body.id}`, { done: true })).status).toBe(200)
    expect(await cardOf(id)).toBeUndefined()
  })
  it('more of it is added later; what is no task is refused in words', async () => {
    const id = await newJob()
    expect((await ines.post(`/api/jobs/${id}/tasks`, { name: 'Brake cable', needs: 'either' })).status).toBe(200)
    expect((await cardOf(id)).tasks.map(t => t.name)).toEqual(['Brake cable'])
    expect((await ines.post(`/api/jobs/${id}/tasks`, { name: ' ', needs: 'either' })).body.title).toMatch(
      /what is to be done/,
    )
    expect((await ines.post(`/api/jobs/${id}/tasks`, { name: 'x', needs: 'hot' })).body.title).toMatch(
      /cold, warm, or either/,
    )
    expect((await ines.post('/api/jobs/99999999/tasks', { name: 'x', needs: 'cold' })).status).toBe(404)
  })
})
