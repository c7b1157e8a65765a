import { v7 } from 'uuid'
import { afterAll, describe, expect, it } from 'vitest'
import { whenWords } from '../../core/history'
import { insertPerson } from '../../server/repositories/people'
import { insertShop } from '../../server/repositories/shops'
import { customerSummary } from '../../server/services/customer-summary'
import { noonOf } from '../../server/services/days'
import { draftReminder, dueList } from '../../server/services/due'
import { addMachine, addPastVisit, tellMeter } from '../../server/services/machines/edit'
import { listOfMachines } from '../../server/services/machines/list'
import { readMachine } from '../../server/services/machines/memory'
import { refreshed } from '../../server/services/machines/outlooks'
import type { SignedIn } from '../../server/services/people'
import { addModel } from '../../server/services/spec-book'
import { machineListSchema } from '../../shared/machines'
import { engineOf } from '../support/builders'
import { pool } from '../support/database'

afterAll(async () => {
  await refreshed()
  await pool.end()
})

/** A machine in a shop by a clock of its own, whose model is checked every year. */
async function machineIn(timeZone: string): Promise<{ person: SignedIn; id: number; customerId: number }> {
  const shopId = await insertShop(pool, { name: 'By its clock', timeZone, unit: 'mm', demo: 'no' })
  const personId = await insertPerson(pool, shopId, { signIn: v7(), name: 'Ada', role: 'lead', passwordHash: 'x' })
  const person: SignedIn = { id: personId, shopId, name: 'Ada', role: 'lead' }
  const model = await addModel(pool, person, {
    ...{ maker: 'Clocked', model: 'One', code: '', family: '', kind: '', displacementCc: null },
    ...{ yearFrom: null, yearTo: null, answered: [], approveBecause: 'only lead' },
    engine: engineOf({ interval: { use: null, months: 12 } }),
  })
  const { id, customerId } = await addMachine(pool, shopId, {
    ...{ name: 'Clocked', tag: 'C-1', serial: '', plate: '', meterUnit: 'h', modelId: model.id },
    customer: { name: 'C. Owner', contact: '', email: '', language: null },
  })
  return { person, id, customerId }
}
const visit = (on: string) => ({
  ...{ on, meter: 100, replaced: false, words: '' },
  valves: { intake: { foundMm: { loMm: 0.1, hiMm: 0.12 }, leftMm: null, touched: false } },
})

describe('the middle of a day', () => {
  // IANA time zone database: Auckland is 13 h ahead in January, Kiritimati 14 h, Pago Pago 11 h behind
  it.each([
    ['Pacific/Auckland', '2026-01-04T23:00:00.000Z'],
    ['Pacific/Kiritimati', '2026-01-04T22:00:00.000Z'],
    ['Pacific/Pago_Pago', '2026-01-05T23:00:00.000Z'],
    ['Etc/UTC', '2026-01-05T12:00:00.000Z'],
  ])('in %s', (timeZone, at) => {
    expect(noonOf('2026-01-05', timeZone).toISOString()).toBe(at)
  })
})

describe('what happened on a day', () => {
  it('stands under that day in a shop far east, where it is the next day by noon in Greenwich', async () => {
    const { person, id, customerId } = await machineIn('Pacific/Auckland')
    const now = new Date('2026-01-20T00:00:00Z')
    await tellMeter(pool, person, id, { on: '2026-01-05', meter: 80, replaced: false }, now)
    await addPastVisit(pool, person, id, visit('2026-01-06'), now)
    const { machines } = await customerSummary(pool, person.shopId, customerId, 2026, now)
    expect(machines[0]!.records.map(r => r.day)).toEqual(['2026-01-05'])
    expect(machines[0]!.visits.map(v => v.day)).toEqual(['2026-01-06'])
    await expect(
      tellMeter(pool, person, id, { on: '2026-01-07', meter: 70, replaced: false }, now),
    ).rejects.toMatchObject({ code: 'meter-lower', title: { day: 'Jan 6, 2026' } })
  })
  it('is due on one day, whoever says it: list, page, letter and summary', async () => {
    const { person, id, customerId } = await machineIn('America/Denver')
    // half past five in the afternoon: the next day in Greenwich
    const evening = new Date('2026-01-31T00:30:00Z')
    await addPastVisit(pool, person, id, visit('2026-01-30'), evening)
    await refreshed()
    const now = new Date('2027-01-10T12:00:00Z')
    const { items } = await dueList(pool, person.shopId, 8, now)
    expect(items.map(i => [i.day, i.when])).toEqual([['2027-01-30', 'Jan 30, 2027']])
    const { due } = await readMachine(pool, person.shopId, id, now)
    expect(whenWords(due!.first, null, 'h')).toEqual({ say: 'when.day', atMs: Date.parse('2027-01-30') })
    const list = await listOfMachines(pool, person.shopId, machineListSchema.parse({}), now)
    expect(list.rows[0]!.due!.day).toBe('2027-01-30')
    expect((await draftReminder(pool, person.shopId, customerId, 8, now)).text).toContain('Jan 30, 2027')
    const summary = await customerSummary(pool, person.shopId, customerId, 2026, now)
    expect(summary.machines[0]!.due).toBe('Jan 30, 2027')
  })
})
