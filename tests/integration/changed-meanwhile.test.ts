import { beforeAll, describe, expect, it } from 'vitest'
import type { CustomerRow } from '../../shared/customers'
import type { MachineRow } from '../../shared/machines'
import type { ProblemBody } from '../../shared/problem'
import type { SessionResponse } from '../../shared/session'
import type { ShelfResponse } from '../../shared/shelf'
import type { ModelRow } from '../../shared/spec-book'
import { engineOf } from '../support/builders'
import { Client } from '../support/server'

/** Two people have the same form open. */
let ines: Client
let tam: Client
beforeAll(async () => {
  ines = await new Client().signIn('ines')
  tam = await new Client().signIn('tam')
})
const mark = () => Math.random().toString(36).slice(2, 8)
const put = (client: Client, path: string, now: object, was?: object) =>
  client.call<Partial<ProblemBody>>('PUT', path, { ...now, ...(was ? { was } : {}) })

describe('a form that was opened before somebody else kept theirs', () => {
  const shown = { name: `Owner ${mark()}`, contact: 'Mill Lane', email: '', language: null }
  const owner = async () => (await ines.post<CustomerRow>('/api/customers', { ...shown, name: `Owner ${mark()}` })).body
  const now = async (id: number) => (await ines.get<CustomerRow[]>('/api/customers')).body.find(c => c.id === id)!

  it('puts right what was typed in it, and leaves what the other put right', async () => {
    const was = await owner()
    const { id, machines: _, ...fields } = was
    expect((await put(tam, `/api/customers/${id}`, { ...fields, contact: 'Mill Lane 4' }, was)).status).toBe(200)
    expect((await put(ines, `/api/customers/${id}`, { ...fields, email: 'o@owner.example' }, was)).status).toBe(200)
    expect(await now(id)).toMatchObject({ contact: 'Mill Lane 4', email: 'o@owner.example' })
  })
  it('asks where both changed the same, names what stands there, and is kept when it is sent again', async () => {
    const was = await owner()
    const { id, machines: _, ...fields } = was
    await put(tam, `/api/customers/${id}`, { ...fields, contact: 'Mill Lane 4', language: 'es' }, was)
    const late = { ...fields, contact: 'Mill Lane 5', email: 'o@owner.example' }
    const refused = await put(ines, `/api/customers/${id}`, late, was)
    expect(refused.body).toMatchObject({ status: 409, code: 'changed-meanwhile' })
    expect(refused.body.fields).toEqual([{ field: 'contact', message: expect.stringContaining('“Mill Lane 4” now') }])
    expect(await now(id), 'nothing of it was kept').toMatchObject({ contact: 'Mill Lane 4', email: '' })
    const seen = await now(id)
    expect((await put(ines, `/api/customers/${id}`, { ...late, language: seen.language }, seen)).status).toBe(200)
    expect(await now(id)).toMatchObject({ contact: 'Mill Lane 5', email: 'o@owner.example', language: 'es' })
  })
  it('that changed the same to the same has nothing to ask', async () => {
    const was = await owner()
    const { id, machines: _, ...fields } = was
    for (const client of [tam, ines])
      expect((await put(client, `/api/customers/${id}`, { ...fields, contact: 'Quay 1' }, was)).status).toBe(200)
  })
  it('is kept one after the other where two are sent in the same moment', async () => {
    const was = await owner()
    const { id, machines: _, ...fields } = was
    const sent = await Promise.all([
      put(tam, `/api/customers/${id}`, { ...fields, contact: 'Quay 1' }, was),
      put(ines, `/api/customers/${id}`, { ...fields, email: 'q@owner.example' }, was),
    ])
    expect(sent.map(s => s.status)).toEqual([200, 200])
    expect(await now(id)).toMatchObject({ contact: 'Quay 1', email: 'q@owner.example' })
  })
  it('of a program that says nothing of it sets all, as before', async () => {
    const { id } = await owner()
    await put(tam, `/api/customers/${id}`, { ...shown, contact: 'Quay 1' })
    expect((await put(ines, `/api/customers/${id}`, { ...shown, contact: 'Quay 2' })).status).toBe(200)
    expect((await now(id)).contact).toBe('Quay 2')
  })

  it('of a machine: a plate that was added stays when another mends the name', async () => {
    const model = (
      await ines.post<{ id: number }>('/api/models', { maker: 'Meanwhile', model: mark(), engine: engineOf() })
    ).body
    const machine = (
      await tam.post<Omit<MachineRow, 'status'>>('/api/machines', {
        ...{ name: 'Gren', tag: `M-${mark()}`, plate: '', serial: '', meterUnit: 'h' },
        ...{ modelId: model.id, customer: { name: `M ${mark()}` } },
      })
    ).body
    const { name, tag, plate, serial, meterUnit } = machine
    const fields = { name, tag, plate, serial, meterUnit }
    const path = `/api/machines/${machine.id}`
    expect((await put(tam, path, { ...fields, plate: 'QB 14' }, machine)).status).toBe(200)
    expect((await put(ines, path, { ...fields, name: 'Green' }, machine)).body).toMatchObject({
      ...{ name: 'Green', plate: 'QB 14' },
    })
    expect((await put(tam, path, { ...fields, name: 'Grey' }, machine)).body).toMatchObject({
      ...{ code: 'changed-meanwhile', fields: [{ field: 'name' }] },
    })
  })

  it('of a wrench: two ends of a scale that do not fit together are refused, not kept', async () => {
    const shelf = async () => (await ines.get<ShelfResponse>('/api/shelf')).body
    const wrench = { name: `W ${mark()}`, unit: 'N·m', leastNm: 5, mostNm: 25, lengthMm: 200, calibrationDue: null }
    const { id } = (await ines.post<{ id: number }>('/api/wrenches', wrench)).body
    const was = (await shelf()).wrenches.find(w => w.id === id)!
    const path = `/api/wrenches/${id}`
    expect((await put(ines, path, { ...wrench, calibrationDue: '2027-05-01' }, was)).status).toBe(200)
    expect((await put(ines, path, { ...wrench, mostNm: 8 }, was)).status).toBe(200)
    expect((await put(ines, path, { ...wrench, leastNm: 10 }, was)).status).toBe(422)
    expect((await shelf()).wrenches.find(w => w.id === id)).toEqual({
      ...{ ...wrench, id, mostNm: 8, calibrationDue: '2027-05-01' },
    })
    await ines.call('DELETE', path)
    expect((await put(ines, path, wrench, was)).status).toBe(404)
  })
  it('of an adapter', async () => {
    const adapter = { name: `A ${mark()}`, lengthMm: 40, angleDeg: 0 }
    const { id } = (await ines.post<{ id: number }>('/api/adapters', adapter)).body
    const path = `/api/adapters/${id}`
    expect((await put(ines, path, { ...adapter, angleDeg: 90 }, adapter)).status).toBe(200)
    expect((await put(ines, path, { ...adapter, lengthMm: 45 }, adapter)).status).toBe(200)
    const late = await put(ines, path, { ...adapter, angleDeg: 45 }, adapter)
    expect(late.body).toMatchObject({ code: 'changed-meanwhile', fields: [{ field: 'angleDeg' }] })
    const { adapters } = (await ines.get<ShelfResponse>('/api/shelf')).body
    expect(adapters.find(a => a.id === id)).toMatchObject({ lengthMm: 45, angleDeg: 90 })
    await ines.call('DELETE', path)
  })
  it('of a model: two who put a year each the wrong way round are told', async () => {
    const identity = {
      ...{ maker: 'Meanwhile', model: mark(), code: '', kind: 'Generator', family: '' },
      ...{ displacementCc: null, yearFrom: 2000, yearTo: 2010 },
    }
    const { id } = (await ines.post<{ id: number }>('/api/models', { ...identity, engine: engineOf() })).body
    const path = `/api/models/${id}`
    expect((await put(ines, path, { ...identity, yearTo: 2004 }, identity)).status).toBe(200)
    expect((await put(ines, path, { ...identity, yearFrom: 2006 }, identity)).status).toBe(422)
    expect((await put(ines, path, { ...identity, code: 'X1' }, identity)).body).toMatchObject({
      code: 'X1',
      yearTo: 2004,
    })
    expect((await ines.get<{ model: ModelRow }>(path)).body.model).toMatchObject({ yearFrom: 2000, yearTo: 2004 })
  })
  it('of the shop: what one lead settles, another’s page of before does not set back', async () => {
    const shop = async () => (await ines.get<SessionResponse>('/api/session')).body.shop
    const was = await shop()
    const { name, timeZone, unit, language } = was
    const identity = { name, timeZone, unit, language }
    expect((await put(ines, '/api/shop', { valveMinutes: 90 })).status).toBe(200)
    expect((await put(ines, '/api/shop', { ...identity, language: 'es' }, was)).status).toBe(200)
    expect((await put(ines, '/api/shop', { ...identity, name: `${name} now` }, was)).status).toBe(200)
    expect(await shop()).toMatchObject({ name: `${name} now`, language: 'es', valveMinutes: 90 })
    await put(ines, '/api/shop', { ...identity, valveMinutes: was.valveMinutes })
  })
})
