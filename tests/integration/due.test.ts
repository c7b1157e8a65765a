import { mkdtemp, readdir, readFile, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import ICAL from 'ical.js'
import PostalMime from 'postal-mime'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { dueCalendar } from '../../server/services/calendar'
import { dueList } from '../../server/services/due'
import { refreshed, refreshStale } from '../../server/services/machines/outlooks'
import { sendLetter } from '../../server/services/mail'
import type { DueResponse, MachineResponse, MachineRow, ReminderResponse } from '../../shared/machines'
import { pool } from '../support/database'
import { otherShop } from '../support/other-shop'
import { Client } from '../support/server'
import { newMachine, openJob, unique, visit } from '../support/shop-work'

const [ines, tam] = [new Client(), new Client()]
beforeAll(async () => {
  await ines.signIn('ines')
  await tam.signIn('tam')
})
afterAll(async () => {
  await refreshed()
  await pool.end()
})

const due = async (weeks = 60) => (await ines.get<DueResponse>(`/api/due?weeks=${weeks}`)).body
const itemOf = async (machine: MachineRow) => (await due()).items.find(i => i.machineId === machine.id)
const DAY_MS = 86_400_000

describe('what is due', () => {
  it('says the same day as the machine’s page, and moves with its next visit and with its meter', async () => {
    const machine = await newMachine(ines)
    await visit(ines, machine, 1000, 300, { exhaust: 0.13 })
    await visit(ines, machine, 3000, 100, { exhaust: 0.12 })
    await ines.post(`/api/machines/${machine.id}/meter`, { on: new Date().toISOString().slice(0, 10), meter: 3500 })
    const first = (await itemOf(machine))!
    const page = (await ines.get<MachineResponse>(`/api/machines/${machine.id}`)).body
    expect(Date.parse(first.day)).toBe(page.due!.first.atMs!)
    // it is used much more from today on: it comes sooner, or its months stay
    await ines.post(`/api/machines/${machine.id}/meter`, { on: new Date().toISOString().slice(0, 10), meter: 9000 })
    const second = (await itemOf(machine))!
    expect(Date.parse(second.dueAt)).toBeLessThan(Date.parse(first.dueAt))
    const job = (await openJob(ines, machine, 9000)).body.id
    expect((await itemOf(machine))!.openJobId).toBe(job)
  })
  it('is in the order of days, what is over first, by weeks that begin on Monday', async () => {
    const { items, today } = await due()
    expect(items.map(i => i.dueAt)).toEqual(items.map(i => i.dueAt).sort())
    for (const i of items) expect([new Date(i.week).getUTCDay(), i.over]).toEqual([1, i.day < today])
  })
  it('a machine that was never here is due by its months; one whose model says nothing is not', async () => {
    const machine = await newMachine(ines)
    await pool.query('UPDATE machines SET created_at = UTC_TIMESTAMP() - INTERVAL 300 DAY WHERE id = ?', [machine.id])
    await ines.post(`/api/machines/${machine.id}/meter`, { on: new Date().toISOString().slice(0, 10), meter: 10 })
    const page = (await ines.get<MachineResponse>(`/api/machines/${machine.id}`)).body
    expect((await itemOf(machine))?.day).toBe(
      page.due ? new Date(page.due.first.atMs!).toISOString().slice(0, 10) : undefined,
    )
  })
  it('an approved revision with another interval moves all machines of its model', async () => {
    const machine = await newMachine(ines)
    await visit(ines, machine, 1000, 10, {})
    const before = (await itemOf(machine))!
    const model = (await ines.get<{ model: { engine: object; revisionId: number } }>(`/api/models/${machine.modelId}`))
      .body.model
    const draft = await ines.post<{ id: number }>(`/api/models/${machine.modelId}/drafts`, {
      engine: { ...model.engine, interval: { use: null, months: 2 } },
      basedOn: model.revisionId,
      reason: 'shorter',
    })
    expect(draft.status, JSON.stringify(draft.body)).toBe(200)
    expect((await ines.post(`/api/revisions/${draft.body.id}/approve`, { reason: 'only lead' })).status).toBe(200)
    await expect.poll(async () => (await itemOf(machine))!.dueAt).not.toBe(before.dueAt)
    expect((await itemOf(machine))!.cause).toBe('Every 2 months')
  })
  it('all of it worked out anew gives what the machines’ own pages say', async () => {
    await refreshed()
    await pool.query('UPDATE machine_due SET stale = TRUE')
    expect(await refreshStale(pool)).toBeGreaterThan(10)
    const { items } = await due()
    for (const i of items.slice(0, 25)) {
      const page = (await ines.get<MachineResponse>(`/api/machines/${i.machineId}`)).body
      expect(i.day).toBe(new Date(page.due!.first.atMs!).toISOString().slice(0, 10))
    }
  })
})

describe('a reminder', () => {
  it('tells the owner what the last visit found and nobody has done, and not what was done', async () => {
    const owner = (await ines.post<{ id: number }>('/api/customers', { name: `Odd ${unique()}` })).body
    const machine = await newMachine(ines, undefined, { customer: { id: owner.id } })
    const finding = (text: string, end: 'to do' | 'replaced') =>
      ({ type: 'finding', payload: { text, step: 'ready', part: 'Fuel hose', end } }) as const
    await visit(ines, machine, 1000, 400, { intake: 0.1 }, false, [
      finding('hardened at the clip', 'to do'),
      finding('chafed through', 'replaced'),
    ])
    await refreshed()
    const { text } = (await ines.get<ReminderResponse>(`/api/customers/${owner.id}/reminder?weeks=60`)).body
    expect(text).toMatch(/Still to do from the last visit:\n {2}– Fuel hose: hardened at the clip\n/)
    expect(text).not.toContain('chafed')
  })
  const written = async (customerId: number) =>
    (await ines.get<ReminderResponse>(`/api/customers/${customerId}/reminder?weeks=60`)).body
  it('names all of an owner’s machines; that they were told is written down', async () => {
    const machine = await newMachine(ines, undefined, { customer: { name: `Told ${unique()}`, email: '' } })
    await visit(ines, machine, 1000, 330, {})
    const draft = await written(machine.customerId)
    expect(draft.text).toContain(machine.tag)
    const told = (how: string) =>
      ines.post('/api/reminders', {
        customerId: machine.customerId,
        machineIds: draft.machineIds,
        how,
        text: draft.text,
        subject: draft.subject,
      })
    expect((await told('sent')).body.title).toMatch(/has no e-mail address/)
    expect((await told('copied')).status).toBe(200)
    expect((await itemOf(machine))!.toldAt).not.toBeNull()
    expect((await ines.get('/api/customers/99999999/reminder')).status).toBe(404)
  })
  it('names no machine that is here already', async () => {
    const first = await newMachine(ines, undefined, {
      name: 'At home',
      customer: { name: `Told ${unique()}`, email: '' },
    })
    const second = await newMachine(ines, undefined, { name: 'On the bench', customer: { id: first.customerId } })
    for (const machine of [first, second]) await visit(ines, machine, 1000, 330, {})
    await openJob(ines, second, 1100)
    expect((await written(first.customerId)).machineIds).toEqual([first.id])
    await openJob(ines, first, 1100)
    expect((await ines.get(`/api/customers/${first.customerId}/reminder?weeks=60`)).body).toMatchObject({
      status: 409,
      title: expect.stringMatching(/already here/),
    })
  })
  it('sent, it lies in the outbox as a letter that another mail reader reads', async () => {
    const folder = await mkdtemp(join(tmpdir(), 'outbox-'))
    process.env.WEMBRIC_OUTBOX = folder
    const text = 'Dear Ünal,\nyour “Mower” is due: 0.10–0.12 mm.\n.\nEnd'
    const file = await sendLetter({
      shopId: 7,
      from: 'Shop, the',
      to: { name: 'Ünal Ö.', address: 'u@owner.example' },
      subject: 'Valve check due: Mower — now',
      text,
      at: new Date('2026-11-25T09:00:00Z'),
    })
    delete process.env.WEMBRIC_OUTBOX
    expect(await readdir(folder)).toEqual([file])
    const read = await PostalMime.parse(await readFile(join(folder, file)))
    expect(read).toMatchObject({
      subject: 'Valve check due: Mower — now',
      from: { name: 'Shop, the' },
      to: [{ name: 'Ünal Ö.', address: 'u@owner.example' }],
      date: '2026-11-25T09:00:00.000Z',
    })
    expect(read.text!.replaceAll('\r\n', '\n').trim()).toBe(text)
    await rm(folder, { recursive: true })
  })
})

describe('the calendar', () => {
  const events = (text: string) =>
    new ICAL.Component(ICAL.parse(text) as never).getAllSubcomponents('vevent').map(c => new ICAL.Event(c))
  it('is read back by another iCalendar package: a whole day each, with an id that stays', async () => {
    const text = await ines.text('/api/calendar')
    const items = (await due()).items
    const read = events(text)
    expect(read).toHaveLength(items.length)
    const byId = new Map(read.map(e => [e.uid, e]))
    for (const i of items) {
      const event = [...byId.values()].find(e => e.uid.startsWith(`machine-${i.machineId}-`))!
      expect([event.startDate.isDate, event.startDate.toString(), event.summary]).toEqual([
        true,
        i.day,
        `${i.name}: valve check`,
      ])
      expect(event.description).toContain(i.owner)
    }
    expect(
      events(await ines.text('/api/calendar'))
        .map(e => e.uid)
        .sort(),
    ).toEqual(read.map(e => e.uid).sort())
    // RFC 5545, 3.1: no line over 75 octets
    for (const line of text.split('\r\n')) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75)
  })
  it('its secret address opens without signing in, for this shop alone, until a lead ends it', async () => {
    expect((await tam.post('/api/calendar-addresses')).status).toBe(403)
    const { id, path } = (await ines.post<{ id: number; path: string }>('/api/calendar-addresses')).body
    const guest = new Client()
    expect(events(await guest.text(path)).length).toBe((await due()).items.length)
    expect(events(await guest.text(`${path}.ics`)).length).toBeGreaterThan(0)
    const [kept] = await pool.query('SELECT * FROM calendar_addresses WHERE id = ?', [id])
    expect(JSON.stringify(kept)).not.toContain(path.split('/').at(-1))
    expect(events(String((await dueCalendar(pool, (await otherShop()).person.shopId, new Date())).bytes))).toEqual([])
    expect((await ines.call('DELETE', `/api/calendar-addresses/${id}`)).status).toBe(200)
    expect((await guest.get(path)).status).toBe(404)
    expect((await guest.get('/api/calendar/guess')).status).toBe(404)
  })
  it('days are the shop’s own: late in the evening far west it is still today', async () => {
    const { person } = await otherShop()
    await pool.query("UPDATE shops SET time_zone = 'Pacific/Honolulu' WHERE id = ?", [person.shopId])
    expect((await dueList(pool, person.shopId, 4, new Date('2026-11-26T05:00:00Z'))).today).toBe('2026-11-25')
    expect(new Date('2026-11-26T05:00:00Z').getTime() - DAY_MS).toBeLessThan(Date.parse('2026-11-26'))
  })
})
