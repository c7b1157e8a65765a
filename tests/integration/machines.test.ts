import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { JobPin } from '../../core/job'
import { customerSummary } from '../../server/services/customer-summary'
import { removeCustomer } from '../../server/services/customers'
import { dueList } from '../../server/services/due'
import { addMachine, changeOwner, editMachine, machineWithTag } from '../../server/services/machines/edit'
import { readMachine } from '../../server/services/machines/memory'
import { nextTag } from '../../server/services/machines/next-tag'
import { listPhotos } from '../../server/services/photos'
import { addModel } from '../../server/services/spec-book'
import type { MachineResponse } from '../../shared/machines'
import { engineOf } from '../support/builders'
import { pool } from '../support/database'
import { otherShop } from '../support/other-shop'
import { Client } from '../support/server'
import { dayAgo, newMachine, openJob, unique, visit } from '../support/shop-work'

const ines = new Client()
beforeAll(() => ines.signIn('ines'))
afterAll(() => pool.end())

const read = async (id: number) => (await ines.get<MachineResponse>(`/api/machines/${id}`)).body
const exhaust = (r: MachineResponse) => r.valves.find(v => v.valveId === 'exhaust')!

describe('a machine over its visits', () => {
  it('says “not enough yet” after none and after one, drifts after two, and the second moves the due date', async () => {
    const machine = await newMachine(ines)
    expect(await read(machine.id)).toMatchObject({ visits: [], usePerDay: null, firstMeter: null })
    expect(exhaust(await read(machine.id)).drift).toMatchObject({
      kind: 'not enough',
      why: { say: 'drift.no-visit' },
    })
    await visit(ines, machine, 1000, 400, { intake: 0.1, exhaust: 0.125 })
    const once = await read(machine.id)
    expect(exhaust(once).drift).toMatchObject({ kind: 'not enough', why: { say: 'drift.one-visit' } })
    expect(once.due!.first.cause).toBe('months')
    await visit(ines, machine, 3000, 200, { intake: 0.1, exhaust: 0.105 })
    const twice = await read(machine.id)
    const { drift, forecast, points } = exhaust(twice)
    expect(drift.kind).toBe('drift')
    // 0.02 mm in 2000 km, as exactly as blades tell
    if (drift.kind === 'drift')
      expect([drift.perUse * 2000 < -0.005, drift.perUse * 2000 > -0.035]).toEqual([true, true])
    expect(forecast!.side).toBe('tight')
    expect(twice.usePerDay).toBeCloseTo(10, 1)
    expect(twice.due!.all.map(r => r.cause)).toEqual(expect.arrayContaining(['use', 'months']))
    // the intake did not move: its wide reading calls nobody back
    expect(twice.due!.all.some(r => r.valveId === 'intake')).toBe(false)
    expect(points.map(p => p.use)).toEqual([0, 2000])
    expect(twice.visits.map(v => v.meter)).toEqual([3000, 1000])
  })
  it('an exhaust that was set starts anew from how it was left; the log says what was done', async () => {
    const machine = await newMachine(ines)
    await visit(ines, machine, 100, 300, { intake: 0.1, exhaust: 0.05 })
    const first = await read(machine.id)
    const point = exhaust(first).points[0]!
    expect(point).toMatchObject({ touched: true, asFound: { verdict: 'tight' }, asLeft: { verdict: 'in' } })
    expect(first.visits[0]!.words).toBe('Exhaust set, all proved')
  })
  it('a replaced meter counts on; one that was not read leaves the visit without use', async () => {
    const machine = await newMachine(ines)
    await visit(ines, machine, 900, 300, {})
    await visit(ines, machine, 20, 200, {}, true)
    await visit(ines, machine, null, 100, {})
    const { valves, firstMeter } = await read(machine.id)
    expect(valves[0]!.points.map(p => p.use)).toEqual([0, 20, null])
    expect(firstMeter).toBeNull()
  })
  it('one visit of a machine takes its family’s drift, and only its own model’s', async () => {
    const a = await newMachine(ines)
    for (const [machine, found] of [
      [a, 0.105],
      [await newMachine(ines, a.modelId), 0.103],
    ] as const) {
      await visit(ines, machine, 0, 300, { exhaust: 0.125 })
      await visit(ines, machine, 2000, 100, { exhaust: found })
    }
    const young = await newMachine(ines, a.modelId)
    await visit(ines, young, 50, 30, { exhaust: 0.125 })
    const { slope, family, drift } = exhaust(await read(young.id))
    expect([family, drift.kind]).toEqual([2, 'not enough'])
    expect(slope!.perUse).toBeLessThan(-5e-6)
    expect(exhaust(await read((await newMachine(ines)).id)).family).toBe(0)
  })
  it('another engine begins anew: what the old one did stays in the log and out of the charts', async () => {
    const machine = await newMachine(ines)
    await visit(ines, machine, 1000, 300, { exhaust: 0.125 })
    const other = (await newMachine(ines)).modelId
    const { status, body } = await ines.post<{ modelId: number }>(`/api/machines/${machine.id}/engine`, {
      on: dayAgo(200),
      modelId: other,
      words: 'seized',
    })
    expect([status, body.modelId]).toEqual([200, other])
    const seen = await read(machine.id)
    expect(exhaust(seen)).toMatchObject({
      points: [],
      drift: { kind: 'not enough', why: { say: 'drift.no-visit' } },
    })
    expect(seen.visits).toMatchObject([{ ofEngineBefore: true }])
    expect(seen.records[0]).toMatchObject({ kind: 'engine', words: expect.stringMatching(/out, Aged .* in\. seized/) })
  })
  it('a machine that this shop does not have is not there', async () => {
    const { status, body } = await ines.get<MachineResponse>('/api/machines/99999999')
    expect([status, body.title]).toEqual([404, expect.any(String)])
  })
})

describe('a visit from paper', () => {
  const paper = (on: string, meter: number | null, found: number, more: Record<string, unknown> = {}) => ({
    on,
    meter,
    valves: {
      exhaust: {
        foundMm: { loMm: found - 0.01, hiMm: found + 0.01 },
        leftMm: { loMm: found - 0.01, hiMm: found + 0.01 },
        touched: false,
      },
    },
    ...more,
  })
  it('entered late between two others it takes its place, and the drift is fitted with it', async () => {
    const machine = await newMachine(ines)
    await visit(ines, machine, 1000, 400, { exhaust: 0.13 })
    await visit(ines, machine, 5000, 50, { exhaust: 0.105 })
    const before = exhaust(await read(machine.id)).drift
    expect(
      (await ines.post(`/api/machines/${machine.id}/visits`, paper(dayAgo(200), 3000, 0.12, { words: 'by R. before' })))
        .status,
    ).toBe(200)
    const after = await read(machine.id)
    expect(after.visits.map(v => v.number !== null)).toEqual([true, false, true])
    expect(after.visits[1]!.words).toMatch(/by R. before$/)
    expect(exhaust(after).points.map(p => p.use)).toEqual([0, 2000, 4000])
    expect(exhaust(after).drift.points).toHaveLength(before.points.length + 1)
  })
  it('whose meter cannot be between the others’ is refused, and says which', async () => {
    const machine = await newMachine(ines)
    await visit(ines, machine, 1000, 400, {})
    await visit(ines, machine, 5000, 50, {})
    const at = `/api/machines/${machine.id}/visits`
    const low = await ines.post(at, paper(dayAgo(200), 900, 0.12))
    expect([low.status, low.body.code, low.body.title]).toEqual([
      422,
      'meter-lower',
      expect.stringMatching(/showed 1,000 km, and 900 km is less/),
    ])
    expect(await ines.post(at, paper(dayAgo(200), 6000, 0.12))).toMatchObject({
      status: 422,
      body: { code: 'meter-higher', title: expect.stringMatching(/5,000 km, which is after this day/) },
    })
    expect((await read(machine.id)).visits).toHaveLength(2)
  })
  it.each<[string, Record<string, unknown>, RegExp]>([
    ['a day to come', paper('2099-01-01', null, 0.12), /still to come/],
    ['no day', paper('spring', null, 0.12), /year-month-day/],
    ['no valve', { on: dayAgo(9), meter: null, valves: {} }, /at least one valve/],
    [
      'a strange valve',
      {
        on: dayAgo(9),
        meter: null,
        valves: { fifth: { foundMm: { loMm: 0.1, hiMm: 0.2 }, leftMm: null, touched: false } },
      },
      /no such valve/,
    ],
    [
      'a reading upside down',
      {
        on: dayAgo(9),
        meter: null,
        valves: { exhaust: { foundMm: { loMm: 0.3, hiMm: 0.2 }, leftMm: null, touched: false } },
      },
      /less to more/,
    ],
    [
      'a metre',
      {
        on: dayAgo(9),
        meter: null,
        valves: { exhaust: { foundMm: { loMm: 1, hiMm: 100 }, leftMm: null, touched: false } },
      },
      /out of range for a clearance/,
    ],
  ])('%s is said, and nothing is kept', async (_, body, words) => {
    const machine = await newMachine(ines)
    const { status, body: problem } = await ines.post(`/api/machines/${machine.id}/visits`, body)
    expect([status, problem.title]).toEqual([422, expect.stringMatching(words)])
    expect((await read(machine.id)).visits).toEqual([])
  })
})

describe('machines and owners', () => {
  it('are found by owner, plate, serial number and tag; a name with a percent sign is no wildcard', async () => {
    const mark = unique()
    const machine = await newMachine(ines, undefined, {
      plate: `P ${mark}`,
      serial: `S%${mark}`,
      customer: { name: `Owner ${mark}` },
    })
    const find = async (q: string) =>
      (await ines.get<{ id: number }[]>(`/api/machines?q=${encodeURIComponent(q)}`)).body.map(m => m.id)
    for (const q of [`P ${mark}`, `S%${mark}`, `owner ${mark}`, machine.tag])
      expect(await find(q)).toEqual([machine.id])
    expect(await find('%_%')).toEqual([])
    expect((await ines.get<{ id: number }>(`/api/tags/${machine.tag}`)).body.id).toBe(machine.id)
    expect((await ines.get('/api/tags/none')).body.title).toMatch(/has the tag none/)
  })
  it('a machine goes to another owner with its history; an owner with machines or open jobs stays on the list', async () => {
    const machine = await newMachine(ines, undefined, { customer: { name: `Old ${unique()}` } })
    await visit(ines, machine, 100, 100, {})
    const remove = () => ines.call('DELETE', `/api/customers/${machine.customerId}`)
    expect((await remove()).body.title).toMatch(/owns Aged one\. Give it to another owner/)
    const job = (await openJob(ines, machine, 200)).body.id
    expect(await remove()).toMatchObject({
      status: 409,
      body: { title: expect.stringMatching(/open jobs: job \d+ on Aged one/) },
    })
    await ines.answer(job, { type: 'abandoned', payload: { reason: 'no time' } })
    const moved = await ines.post<{ owner: string }>(`/api/machines/${machine.id}/owner`, {
      customer: { name: 'New Owner' },
    })
    expect(moved.body.owner).toBe('New Owner')
    const seen = await read(machine.id)
    expect([seen.visits.length, seen.records[0]!.words]).toEqual([
      1,
      expect.stringMatching(/^From Old .* to New Owner$/),
    ])
    expect((await remove()).status).toBe(200)
  })
  it('two entries of one machine become one; ones that cannot be are kept apart in words', async () => {
    const [a, b] = [await newMachine(ines), await newMachine(ines)]
    const twin = await newMachine(ines, a.modelId)
    const merge = (from: number, intoId: number) => ines.post(`/api/machines/${from}/merge`, { intoId })
    expect((await merge(b.id, a.id)).body.title).toMatch(/different engines/)
    expect((await merge(a.id, a.id)).body.title).toMatch(/a different machine/)
    await visit(ines, a, 100, 300, { exhaust: 0.12 })
    await visit(ines, twin, 900, 100, { exhaust: 0.11 })
    expect((await merge(twin.id, a.id)).status).toBe(200)
    const seen = await read(a.id)
    expect([seen.visits.map(v => v.meter), seen.records[0]!.words]).toEqual([
      [900, 100],
      expect.stringContaining(twin.tag),
    ])
    expect((await ines.get(`/api/machines/${twin.id}`)).status).toBe(404)
    const later = await newMachine(ines, a.modelId)
    await visit(ines, later, 50, 50, {})
    expect((await merge(later.id, a.id)).body.title).toMatch(/meters don’t go together: 900 km/)
  })
  it('owners merge: machines go over, what is missing is filled in', async () => {
    const machine = await newMachine(ines, undefined, {
      customer: { name: 'Twice', contact: 'at home', email: 'twice@owner.example' },
    })
    const stays = (await ines.post<{ id: number }>('/api/customers', { name: 'Twice too' })).body.id
    expect((await ines.post(`/api/customers/${machine.customerId}/merge`, { intoId: stays })).body).toMatchObject({
      name: 'Twice too',
      contact: 'at home',
      email: 'twice@owner.example',
      machines: 1,
    })
    expect((await read(machine.id)).machine.owner).toBe('Twice too')
  })
  it('a meter is told between jobs; backward, or of tomorrow, is asked about; its unit stays once it has readings', async () => {
    const machine = await newMachine(ines)
    const tell = (body: object) => ines.post(`/api/machines/${machine.id}/meter`, body)
    expect((await tell({ on: dayAgo(60), meter: 1000 })).status).toBe(200)
    expect((await tell({ on: dayAgo(0), meter: 1600 })).status).toBe(200)
    expect((await tell({ on: dayAgo(0), meter: 900 })).body.title).toMatch(/1,600 km, and 900 km is less/)
    expect((await tell({ on: dayAgo(-2), meter: 2000 })).body.title).toMatch(/still to come/)
    expect((await read(machine.id)).usePerDay).toBeCloseTo(10, 0)
    const edit = { name: 'Renamed', tag: machine.tag, plate: 'X 1', serial: '', meterUnit: 'km' }
    expect((await ines.call('PUT', `/api/machines/${machine.id}`, { ...edit, meterUnit: 'mi' })).body.title).toMatch(
      /replaced one/,
    )
    expect((await ines.call<{ name: string }>('PUT', `/api/machines/${machine.id}`, edit)).body.name).toBe('Renamed')
    const other = await newMachine(ines)
    expect(await ines.call('PUT', `/api/machines/${other.id}`, edit)).toMatchObject({
      status: 409,
      body: { title: expect.stringMatching(/merge the two/) },
    })
  })
  it('another shop’s machines, owners and tags are not there', async () => {
    const { person } = await otherShop()
    const machine = await newMachine(ines)
    await expect(readMachine(pool, person.shopId, machine.id, new Date())).rejects.toMatchObject({ status: 404 })
    await expect(
      changeOwner(
        pool,
        person,
        machine.id,
        { customer: { name: 'Thief', contact: '', email: '', language: null } },
        new Date(),
      ),
    ).rejects.toMatchObject({ status: 404 })
    await expect(
      editMachine(pool, person, machine.id, { name: 'x', tag: 'x', serial: '', plate: '', meterUnit: 'km' }),
    ).rejects.toMatchObject({ status: 404 })
    await expect(machineWithTag(pool, person.shopId, machine.tag)).rejects.toMatchObject({ status: 404 })
    await expect(removeCustomer(pool, person.shopId, machine.customerId)).rejects.toMatchObject({ status: 404 })
    await expect(customerSummary(pool, person.shopId, machine.customerId, 2026, new Date())).rejects.toMatchObject({
      status: 404,
    })
    await expect(listPhotos(pool, person.shopId, machine.id)).rejects.toMatchObject({ status: 404 })
    expect((await dueList(pool, person.shopId, 60, new Date())).items).toEqual([])
  })
})

describe('a tag for the next machine', () => {
  it('follows the shop’s own numbering, and is never one that a machine has', async () => {
    const { person } = await otherShop()
    const model = await addModel(pool, person, {
      ...{
        maker: 'Tagged',
        model: 'T 1',
        code: '',
        family: '',
        kind: 'Generator',
        displacementCc: null,
        yearFrom: null,
      },
      ...{ yearTo: null, answered: [], approveBecause: 'only lead', engine: engineOf() },
    })
    const tagged = (tag: string) =>
      addMachine(pool, person.shopId, {
        ...{ name: 'Tagged', tag, serial: '', plate: '', modelId: model.id, meterUnit: 'h' },
        customer: { name: 'A. Owner', contact: '', email: '', language: null },
      })
    const next = async () => (await nextTag(pool, person.shopId)).tag
    expect(await next(), 'the first of a shop').toBe('M-0001')
    for (const tag of ['W 098', 'the old one', 'W 099', 'Q-421']) await tagged(tag)
    expect(await next()).toBe('W 100')
    await tagged('W 100')
    await tagged('w 101')
    expect(await next(), 'letters are alike, large or small').toBe('W 102')
  })
})

describe('a decompressor that nobody recorded', () => {
  const known = async (client: Client, machine: { id: number }) => {
    const { id } = (await openJob(client, machine, null)).body
    const { pin } = (await client.get<{ pin: JobPin }>(`/api/jobs/${id}?after=0`)).body
    return pin.decompressor
  }
  const unknown = () => ({
    maker: 'Aged',
    model: `D ${unique()}`,
    engine: engineOf({ decompressor: { kind: 'unknown' } }),
    approveBecause: 'only lead',
  })
  it('once tested is kept with the machine, and where a lead signed it with the model; a spec that says more stands over it', async () => {
    const tam = await new Client().signIn('tam')
    const model = (await ines.post<{ id: number }>('/api/models', unknown())).body.id
    const [first, second] = [await newMachine(ines, model), await newMachine(ines, model)]
    // a mechanic's job says it of this machine alone
    await visit(tam, first, 100, 30, { exhaust: 0.125 })
    expect([await known(ines, first), await known(ines, second)]).toEqual(['none', null])
    const third = await newMachine(ines, model)
    await visit(ines, third, 100, 30, { exhaust: 0.125 })
    expect(await known(ines, await newMachine(ines, model))).toBe('none')
  })
})
