import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { type JobEvent, type JobPin, jobTools, viewJob } from '../../core/job'
import { VirtualHand, workThrough } from '../../core/practice'
import type { MachineResponse } from '../../shared/machines'
import type { MachineRow } from '../../shared/responses'
import { engineOf } from '../support/builders'
import { pool } from '../support/database'
import { Client } from '../support/server'
import { virtualFor } from '../support/whole-job'

const ines = new Client()
beforeAll(() => ines.signIn('ines'))
afterAll(() => pool.end())

const unique = () => Math.random().toString(36).slice(2, 9)
async function newMachine(modelId?: number): Promise<MachineRow> {
  const model = modelId ?? (await ines.post<{ id: number }>('/api/models', { maker: 'Aged', model: `A ${unique()}`, engine: engineOf(), approveBecause: 'only lead' })).body.id
  return (await ines.post<MachineRow>('/api/machines', { name: 'Aged one', tag: `A-${unique()}`, modelId: model, meterUnit: 'km', customer: { name: 'A. Owner' } })).body
}
/** A whole job on a machine at a meter reading, so many days ago, with these gaps found. */
async function visit(machine: MachineRow, meter: number | null, daysAgo: number, gapMm: Record<string, number>, replaced = false): Promise<void> {
  const sets = (await ines.get<{ id: number }[]>('/api/blade-sets')).body
  const { id } = (await ines.post<{ id: number }>('/api/jobs', { machineId: machine.id, bladeSetId: sets[0]!.id, meter, meterReplaced: replaced, complaint: 'due' })).body
  const { pin } = (await ines.get<{ pin: JobPin }>(`/api/jobs/${id}?after=0`)).body
  const tools = jobTools(pin)
  const log: JobEvent[] = []
  await workThrough(new VirtualHand(virtualFor(pin.spec.engine, { gapMm })), () => viewJob(tools, log, Date.now()), async (happening) => {
    const { status, body } = await ines.answer<{ event: JobEvent }>(id, happening)
    expect(status, JSON.stringify(body)).toBe(200)
    log.push(body.event)
  })
  const at = new Date(Date.now() - daysAgo * 86_400_000)
  await pool.query('UPDATE jobs SET opened_at = ?, closed_at = ? WHERE id = ?', [at, at, id])
}
const read = async (id: number) => (await ines.get<MachineResponse>(`/api/machines/${id}`)).body
const exhaust = (r: MachineResponse) => r.valves.find(v => v.valveId === 'exhaust')!

describe('a machine over its visits', () => {
  it('says “not enough yet” after none and after one, drifts after two, and the second moves the due date', async () => {
    const machine = await newMachine()
    expect((await read(machine.id))).toMatchObject({ visits: [], usePerDay: null, firstMeter: null })
    expect(exhaust(await read(machine.id)).drift).toMatchObject({ kind: 'not enough', why: expect.stringMatching(/no visit/) })
    await visit(machine, 1000, 400, { intake: 0.1, exhaust: 0.125 })
    const once = await read(machine.id)
    expect(exhaust(once).drift).toMatchObject({ kind: 'not enough', why: expect.stringMatching(/one visit/) })
    expect(once.due!.first.cause).toBe('months')
    await visit(machine, 3000, 200, { intake: 0.1, exhaust: 0.105 })
    const twice = await read(machine.id)
    const { drift, forecast, points } = exhaust(twice)
    expect(drift.kind).toBe('drift')
    // 0.02 mm in 2000 km, as exactly as blades tell
    if (drift.kind === 'drift') expect([drift.perUse * 2000 < -0.005, drift.perUse * 2000 > -0.035]).toEqual([true, true])
    expect(forecast!.side).toBe('tight')
    expect(twice.usePerDay).toBeCloseTo(10, 1)
    expect(twice.due!.all.map(r => r.cause)).toEqual(expect.arrayContaining(['use', 'months']))
    // the intake did not move: its wide reading calls nobody back
    expect(twice.due!.all.some(r => r.valveId === 'intake')).toBe(false)
    expect(points.map(p => p.use)).toEqual([0, 2000])
    expect(twice.visits.map(v => v.meter)).toEqual([3000, 1000])
  }, 60_000)
  it('an exhaust that was set starts anew from how it was left; the log says what was done', async () => {
    const machine = await newMachine()
    await visit(machine, 100, 300, { intake: 0.1, exhaust: 0.05 })
    const first = await read(machine.id)
    const point = exhaust(first).points[0]!
    expect(point).toMatchObject({ touched: true, asFound: { verdict: 'tight' }, asLeft: { verdict: 'in' } })
    expect(first.visits[0]!.words).toBe('Exhaust set, all proved')
  }, 60_000)
  it('a replaced meter counts on; one that was not read leaves the visit without use', async () => {
    const machine = await newMachine()
    await visit(machine, 900, 300, {})
    await visit(machine, 20, 200, {}, true)
    await visit(machine, null, 100, {})
    const { valves, firstMeter } = await read(machine.id)
    expect(valves[0]!.points.map(p => p.use)).toEqual([0, 20, null])
    expect(firstMeter).toBeNull()
  }, 60_000)
  it('one visit of a machine takes its family’s drift, and only its own model’s', async () => {
    const a = await newMachine()
    for (const [machine, found] of [[a, 0.105], [await newMachine(a.modelId), 0.103]] as const) {
      await visit(machine, 0, 300, { exhaust: 0.125 })
      await visit(machine, 2000, 100, { exhaust: found })
    }
    const young = await newMachine(a.modelId)
    await visit(young, 50, 30, { exhaust: 0.125 })
    const { slope, family, drift } = exhaust(await read(young.id))
    expect([family, drift.kind]).toEqual([2, 'not enough'])
    expect(slope!.perUse).toBeLessThan(-5e-6)
    expect(exhaust(await read((await newMachine()).id)).family).toBe(0)
  }, 120_000)
  it('a machine that this shop does not have is not there', async () => {
    const { status, body } = await ines.get<MachineResponse>('/api/machines/99999999')
    expect([status, body.title]).toEqual([404, expect.any(String)])
  })
})
