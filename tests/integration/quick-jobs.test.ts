import sharp from 'sharp'
import { beforeAll, describe, expect, it } from 'vitest'
import type { JobPin } from '../../core/job'
import { change, one } from '../../server/database/query'
import type { BayResponse } from '../../shared/board'
import { deviceJobId, type DeviceShop } from '../../shared/device-job'
import { METRIC_BLADES, setOf } from '../support/builders'
import { pool } from '../support/database'
import { quickOf } from '../support/quick'
import { Client } from '../support/server'

let ines: Client
let tam: Client
beforeAll(async () => {
  ines = await new Client().signIn('ines')
  tam = await new Client().signIn('tam')
})

const quick = () => quickOf({ measuredAt: 'top' })
const opening = (changes: Record<string, unknown> = {}) => ({
  id: deviceJobId(),
  quick: quick(),
  called: { machine: 'Single, 2 valves', model: 'Not on record', source: 'As Tam told it at the bench' },
  bladeSet: setOf('Drawer', METRIC_BLADES),
  openedAt: new Date().toISOString(),
  ...changes,
})
const pinOf = async (id: number) => (await tam.get<{ pin: JobPin }>(`/api/jobs/${id}`)).body.pin
const lists = async () => ({
  machines: (await tam.get<unknown[]>('/api/machines?q=Single, 2')).body,
  models: (await tam.get<{ rows: unknown[] }>('/api/models?q=Not on record')).body.rows.filter(
    r => (r as { model: string }).model === 'Not on record',
  ),
  page: (await tam.get<{ counts: { all: number } }>('/api/machines/list?q=Single, 2')).body.counts.all,
  owners: (await tam.get<{ name: string }[]>('/api/customers')).body.filter(c => c.name === '').length,
})

describe('a photo of a job that began on a device', () => {
  it('hangs on the machine that the shop gave it, before and after it is kept', async () => {
    const job = opening()
    expect((await tam.post('/api/jobs/quick', job)).status).toBe(200)
    const picture = sharp({ create: { width: 30, height: 20, channels: 3, background: '#abc' } })
    const taken = await tam.upload<{ id: number }>(`/api/jobs/${job.id}/photos`, await picture.png().toBuffer())
    expect(taken.status, JSON.stringify(taken.body)).toBe(200)
    const machine = (await pinOf(job.id)).machine.id
    const shown = (await tam.get<{ id: number; jobId: number }[]>(`/api/machines/${machine}/photos`)).body
    expect(shown.map(p => [p.id, p.jobId])).toEqual([[taken.body.id, job.id]])
  })
  it('waits for its job: one that the shop does not know is refused', async () =>
    expect((await tam.upload(`/api/jobs/${deviceJobId()}/photos`, new Uint8Array([1]))).status).toBe(404))
})

describe('what a quick job comes for', () => {
  it('is none of what nobody knows, and none where an earlier build sends it', async () => {
    expect((await tam.post('/api/jobs/quick', opening({ complaints: ['rattles'] }))).status).toBe(422)
    const job = opening()
    await tam.post('/api/jobs/quick', job)
    expect((await pinOf(job.id)).complaints).toEqual([])
  })
})

describe('ids of devices', () => {
  it('are below zero, exact, and far apart', () => {
    expect([deviceJobId(() => 0), deviceJobId(() => 1 - Number.EPSILON)]).toEqual([-1, -(2 ** 52)])
    const ids = Array.from({ length: 2000 }, () => deviceJobId())
    expect(ids.every(id => Number.isSafeInteger(id) && id < 0 && id >= -(2 ** 52))).toBe(true)
    expect(new Set(ids).size).toBe(2000)
  })
})

describe('a quick job at the server', () => {
  it('is opened once under the id of its device, however often it comes, and stands in no list', async () => {
    const before = await lists()
    const request = opening({ complaints: ['ticks cold'] })
    const answers = await Promise.all([1, 2, 3].map(() => tam.post<{ id: number }>('/api/jobs/quick', request)))
    expect(answers.map(a => [a.status, a.body.id])).toEqual(Array(3).fill([200, request.id]))
    expect(await lists()).toEqual(before)
    const pin = await pinOf(request.id)
    expect(pin).toMatchObject({
      jobId: request.id,
      quick: { text: '0.10 0.15' },
      machine: { name: 'Single, 2 valves' },
      openedBy: 'Tam',
      complaints: ['ticks cold'],
    })
    expect(pin.number).toBeGreaterThan(400)
    const bay = (await tam.get<BayResponse>('/api/bay')).body
    expect(bay.cards.find(c => c.jobId === request.id)).toMatchObject({ machine: 'Single, 2 valves' })
    expect(bay.unkept.map(u => u.jobId)).toContain(request.id)
    // the numbers of jobs that are opened here go on as they were
    const { id } = await one<{ id: number }>(pool, 'SELECT MAX(id) AS id FROM jobs')
    expect(id).toBeGreaterThan(0)
  })
  it('takes answers, and what somebody said is in the drawer lies on the shelf', async () => {
    const request = opening({ bladeSet: setOf('Tam’s drawer', [0.05, 0.1, 0.15]) })
    await tam.post('/api/jobs/quick', request)
    const answered = await tam.answer(request.id, {
      type: 'readied',
      payload: { lines: ['cold', 'safe', 'valves'], off: ['Spark plug', 'Rocker cover'] },
    })
    expect(answered.status).toBe(200)
    const sets = (await tam.get<{ name: string }[]>('/api/blade-sets')).body
    expect(sets.map(s => s.name)).toContain('Tam’s drawer')
  })
  it('is kept as machine, owner and draft of its model, with nothing typed twice; and once', async () => {
    const request = opening()
    await tam.post('/api/jobs/quick', request)
    const tag = `Q-${-request.id % 1e9}`
    const kept = {
      name: 'Red tiller',
      tag,
      meterUnit: 'h',
      customer: { name: 'N. Orsk' },
      maker: 'Brindle',
      model: `T ${tag}`,
    }
    const answer = await tam.post<{ machineId: number }>(`/api/jobs/${request.id}/keep`, kept)
    expect(answer.status).toBe(200)
    const pin = await pinOf(request.id)
    expect(pin).toMatchObject({
      machine: { id: answer.body.machineId, name: 'Red tiller', tag, owner: 'N. Orsk' },
      modelName: `Brindle T ${tag}`,
    })
    const found = (
      await tam.get<{ rows: { model: string; status: string; revision: number }[] }>(
        `/api/models?q=${encodeURIComponent(`Brindle T ${tag}`)}`,
      )
    ).body.rows[0]
    expect(found).toMatchObject({ model: `T ${tag}`, status: 'draft', revision: 1 })
    expect((await tam.get<{ id: number }[]>(`/api/machines?q=${tag}`)).body.map(m => m.id)).toEqual([
      answer.body.machineId,
    ])
    expect((await tam.get<BayResponse>('/api/bay')).body.unkept.map(u => u.jobId)).not.toContain(request.id)
    expect(await tam.post(`/api/jobs/${request.id}/keep`, { ...kept, tag: `${tag}x` })).toMatchObject({ status: 409 })
  })
  it('keeping under a tag or a model that is there already is refused, and nothing is changed', async () => {
    const request = opening()
    await tam.post('/api/jobs/quick', request)
    const kept = { name: 'X', tag: 'M-0107', meterUnit: 'h', customer: { name: 'N. Orsk' }, maker: 'B', model: 'Y' }
    expect(await tam.post(`/api/jobs/${request.id}/keep`, kept)).toMatchObject({ status: 409 })
    const model = (
      await tam.get<{ rows: { maker: string; model: string; code: string }[] }>('/api/models?q=Minnow 125')
    ).body.rows.find(m => m.code === '')
    if (model)
      expect(
        await tam.post(`/api/jobs/${request.id}/keep`, {
          ...kept,
          tag: 'Q-none',
          maker: model.maker,
          model: model.model,
        }),
      ).toMatchObject({ status: 409 })
    expect((await pinOf(request.id)).machine.name).toBe('Single, 2 valves')
    expect((await tam.get<BayResponse>('/api/bay')).body.unkept.map(u => u.jobId)).toContain(request.id)
  })
  it('is not found in the Bay’s list after thirty days', async () => {
    const request = opening()
    await tam.post('/api/jobs/quick', request)
    await change(pool, "UPDATE jobs SET opened_at = opened_at - INTERVAL 31 DAY, status = 'abandoned' WHERE id = ?", [
      request.id,
    ])
    expect((await tam.get<BayResponse>('/api/bay')).body.unkept.map(u => u.jobId)).not.toContain(request.id)
  })
  it('refuses what makes no engine, with the field', async () => {
    const wrong = opening({ quick: { ...quick(), clearance: { intake: quick().clearance.intake } } })
    expect(await tam.post('/api/jobs/quick', wrong)).toMatchObject({
      status: 422,
      body: { fields: [expect.objectContaining({ field: 'quick.clearance.exhaust' })] },
    })
    expect((await tam.post('/api/jobs/quick', opening({ id: 12 }))).status).toBe(422)
  })
})

describe('a job that began on a device', () => {
  it('on a machine of the shop is opened once, with the shop’s own knowledge, when it began', async () => {
    const device = (await tam.get<DeviceShop>('/api/device-shop')).body
    const machine = device.machines.find(m => m.openJobId === null)!
    expect(device.models.find(m => m.id === machine.modelId)?.spec.engine.valves.length).toBeGreaterThan(1)
    expect(device.machines.every(m => m.owner !== '')).toBe(true)
    const id = deviceJobId()
    const openedAt = new Date(Date.now() - 3_600_000).toISOString()
    const request = { id, openedAt, machineId: machine.id, bladeSetId: device.sets[0]!.id, meter: null }
    const answers = await Promise.all([1, 2].map(() => tam.post<{ id: number }>('/api/jobs', request)))
    expect(answers.map(a => a.body.id)).toEqual([id, id])
    expect(await pinOf(id)).toMatchObject({ jobId: id, openedAt, machine: { id: machine.id }, quick: null })
    // another device began one on the same machine meanwhile: it is told so, and its answers stay on it
    expect(await tam.post('/api/jobs', { ...request, id: deviceJobId() })).toMatchObject({ status: 409 })
    await tam.answer(id, { type: 'abandoned', payload: { reason: 'test' } })
  })
})

describe('hands that know the work', () => {
  it('are chosen by each person for themselves', async () => {
    expect((await tam.call('PUT', '/api/hands', { hands: 'practiced' })).status).toBe(200)
    expect((await tam.get<{ person: { hands: string } }>('/api/session')).body.person.hands).toBe('practiced')
    expect((await ines.get<{ person: { hands: string } }>('/api/session')).body.person.hands).toBe('guided')
    expect((await tam.call('PUT', '/api/hands', { hands: 'expert' })).status).toBe(422)
    await tam.call('PUT', '/api/hands', { hands: 'guided' })
  })
})
