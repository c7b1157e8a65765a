import 'fake-indexeddb/auto'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { DeviceShop } from '~~/shared/device-job'
import { type OpenJobRequest, openJobSchema } from '~~/shared/jobs'
import type { MachineRow } from '~~/shared/machines'
import { engineOf, setOf } from '../../tests/support/builders'
import { fine, newDevice, refused, sessionOf, shopAnswers, within } from '../../tests/support/screens'
import { localDatabase } from '../local/database'
import { rememberDeviceShop } from '../local/device-shop'
import { knownJob } from '../local/jobs'
import { openingsWaiting } from '../local/openings'
import { useSessionStore } from '../stores/session'
import { useNewJob } from './useNewJob'

const MACHINE = { id: 3, modelId: 4, name: 'Lilac scooter', tag: 'L-1', meterUnit: 'km' } as MachineRow
const SHOP: DeviceShop = {
  machines: [MACHINE],
  models: [
    {
      id: 4,
      name: 'Minnow 125',
      hit: {} as DeviceShop['models'][number]['hit'],
      spec: { revisionId: 9, revision: 2, status: 'approved', engine: engineOf() },
    },
  ],
  lastLeft: [{ machineId: 3, date: '2026-05-04', readings: { intake: { loMm: 0.1, hiMm: 0.12 } } }],
  sets: [
    { id: 2, ...setOf('Set A', [0.1, 0.12]) },
    { id: 5, ...setOf('Set B', [0.08, 0.1]) },
  ],
  wrenches: [],
  adapters: [],
  at: new Date().toISOString(),
}
const REQUEST: OpenJobRequest = openJobSchema.parse({ machineId: 3, bladeSetId: 5, meter: 812, complaint: 'ticks' })

beforeEach(async () => {
  const db = await localDatabase()
  await Promise.all([db.clear('jobs'), db.clear('openings'), db.clear('device')])
  newDevice()
  useSessionStore().begin(sessionOf())
})
afterEach(() => vi.unstubAllGlobals())

const open = async (request = REQUEST) => {
  const { it: jobs, end } = within(useNewJob)
  return jobs.open(MACHINE, request).finally(end)
}

describe('a job on a machine of the shop', () => {
  it('is opened at the server', async () => {
    const asked = shopAnswers(() => fine({ id: -77 }))
    expect(await open()).toEqual({ id: -77 })
    expect(asked.map(a => a.body)).toMatchObject([{ machineId: 3, bladeSetId: 5, meter: 812 }])
    expect(await openingsWaiting()).toEqual([])
  })
  it('begins here where nobody answers: with the shop’s spec, the chosen blades and how it was left', async () => {
    await rememberDeviceShop(1, SHOP)
    shopAnswers(() => 'no answer')
    const { id } = await open()
    expect((await knownJob(1, id))?.pin).toMatchObject({
      jobId: id,
      modelName: 'Minnow 125',
      spec: { revision: 2, status: 'approved' },
      bladeSet: { name: 'Set B' },
      otherSets: [{ name: 'Set A' }],
      complaint: 'ticks',
      lastAsLeft: { date: '2026-05-04' },
    })
    expect(await openingsWaiting()).toMatchObject([{ jobId: id, kind: 'job', request: { machineId: 3, id } }])
  })
  it('where only the reply was lost, what waits here asks for the server’s job, not for another', async () => {
    await rememberDeviceShop(1, SHOP)
    const asked = shopAnswers(() => 'no answer')
    const { id } = await open()
    await vi.waitFor(() => expect(asked.length).toBeGreaterThan(1))
    expect(new Set(asked.map(a => (a.body as OpenJobRequest).id))).toEqual(new Set([id]))
  })
  it('is refused in the server’s words, and does not begin here', async () => {
    await rememberDeviceShop(1, SHOP)
    shopAnswers(() => refused('This machine has an open job.', 409))
    await expect(open()).rejects.toThrow('This machine has an open job.')
    expect(await openingsWaiting()).toEqual([])
  })
  it('of which this device knows no spec, or not the blades, does not begin on a guess', async () => {
    shopAnswers(() => 'no answer')
    await expect(open()).rejects.toThrow(/device/)
    await rememberDeviceShop(1, SHOP)
    await expect(open({ ...REQUEST, bladeSetId: 8 })).rejects.toThrow(/device/)
    expect(await openingsWaiting()).toEqual([])
  })
})
