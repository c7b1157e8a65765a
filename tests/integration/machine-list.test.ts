import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { listOfMachines } from '../../server/services/machines/list'
import { refreshed } from '../../server/services/machines/outlooks'
import {
  type MachineListResponse,
  type MachineListRow,
  machineListSchema,
  type MachineResponse,
} from '../../shared/machines'
import { pool } from '../support/database'
import { otherShop } from '../support/other-shop'
import { Client } from '../support/server'
import { dayAgo, newMachine, openJob, unique, visit } from '../support/shop-work'

const ines = new Client()
beforeAll(() => ines.signIn('ines'))
afterAll(async () => {
  await refreshed()
  await pool.end()
})

const list = async (asked: Record<string, string | number> = {}) =>
  (
    await ines.get<MachineListResponse>(
      `/api/machines/list?${new URLSearchParams(Object.entries(asked).map(([k, v]) => [k, String(v)]))}`,
    )
  ).body
/** A meter that is told makes the machine's due date be worked out anew. */
const meterNow = (machine: { id: number }, meter: number) =>
  ines.post(`/api/machines/${machine.id}/meter`, { on: dayAgo(0), meter })
const rowOf = async (tag: string): Promise<MachineListRow> => (await list({ q: tag })).rows[0]!

describe('the list of machines', () => {
  it('says how the last visit left each valve, and the day that the machine’s own page says', async () => {
    const machine = await newMachine(ines)
    expect(await rowOf(machine.tag)).toMatchObject({ lastVisit: null, openJobId: null })
    await visit(ines, machine, 1000, 400, { exhaust: 0.13 })
    await visit(ines, machine, 3000, 30, { exhaust: 0.12 })
    await meterNow(machine, 3100)
    const row = await rowOf(machine.tag)
    expect(row.lastVisit).toMatchObject({ day: dayAgo(30), verdict: { in: 2, out: 0, unknown: 0 } })
    const page = (await ines.get<MachineResponse>(`/api/machines/${machine.id}`)).body
    expect(row.due!.day).toBe(new Date(page.due!.first.atMs!).toISOString().slice(0, 10))
  })
  it('a visit from paper that came later is the last, and is judged by nobody', async () => {
    const machine = await newMachine(ines)
    await visit(ines, machine, 1000, 400, { exhaust: 0.13 })
    await ines.post(`/api/machines/${machine.id}/visits`, {
      on: dayAgo(20),
      meter: 2000,
      words: '',
      valves: { intake: { foundMm: { loMm: 0.1, hiMm: 0.12 }, leftMm: { loMm: 0.1, hiMm: 0.12 }, touched: false } },
    })
    expect((await rowOf(machine.tag)).lastVisit).toEqual({ day: dayAgo(20), jobId: null, verdict: null })
  })
  it('shows those that are here, overdue, due soon or never checked, and counts them all alike', async () => {
    const mark = unique()
    const [here, over, fresh] = [
      await newMachine(ines, undefined, { name: `${mark} here` }),
      await newMachine(ines, undefined, { name: `${mark} over` }),
      await newMachine(ines, undefined, { name: `${mark} fresh` }),
    ]
    await openJob(ines, here!, 100)
    await visit(ines, over!, 1000, 800, { exhaust: 0.13 })
    await visit(ines, over!, 9000, 700, { exhaust: 0.12 })
    await meterNow(over!, 9100)
    const named = async (show: string) => (await list({ q: mark, show })).rows.map(r => r.id)
    expect(await named('here')).toEqual([here!.id])
    expect(await named('over')).toEqual([over!.id])
    expect((await named('new')).sort()).toEqual([here!.id, fresh!.id].sort())
    expect((await list({ q: mark, show: 'over' })).counts).toEqual({ all: 3, here: 1, over: 1, soon: 0, new: 2 })
  })
  it('is sorted either way, what has no date last, and turned page by page without a gap or a double', async () => {
    const mark = unique()
    for (const n of [1, 2, 3, 4, 5]) await newMachine(ines, undefined, { name: `${mark} ${n}` })
    const names = async (more: Record<string, string | number>) =>
      (await list({ q: mark, ...more })).rows.map(r => r.name)
    expect(await names({ sort: 'name', down: 'yes' })).toEqual([5, 4, 3, 2, 1].map(n => `${mark} ${n}`))
    const pages = [
      ...(await names({ most: 2 })),
      ...(await names({ most: 2, from: 2 })),
      ...(await names({ most: 2, from: 4 })),
    ]
    expect(pages).toEqual([1, 2, 3, 4, 5].map(n => `${mark} ${n}`))
    expect((await list({ q: mark, most: 2, from: 4 })).total).toBe(5)
    const due = (await list({ sort: 'due', most: 100 })).rows.map(r => r.due?.day ?? 'none')
    expect(due).toEqual([...due].sort())
    const down = (await list({ sort: 'due', down: 'yes', most: 100 })).rows.map(r => r.due?.day ?? '')
    expect(down).toEqual([...down].sort().reverse())
  })
  it('of one owner, of one kind; an odd address shows the usual list', async () => {
    const machine = await newMachine(ines)
    const own = await list({ owner: machine.customerId })
    expect(own.rows.every(r => r.customerId === machine.customerId)).toBe(true)
    const [kind] = own.kinds
    expect((await list({ kind: kind! })).rows.every(r => r.kind === kind)).toBe(true)
    expect((await list({ show: 'odd', sort: 'odd', from: -3, most: 'many', owner: 'x' })).total).toBe(
      (await list()).total,
    )
  })
  it('holds nothing of another shop', async () => {
    const machine = await newMachine(ines)
    const theirs = (await otherShop()).person.shopId
    const asked = machineListSchema.parse({ q: machine.tag })
    expect((await listOfMachines(pool, theirs, asked, new Date())).total).toBe(0)
  })
})
