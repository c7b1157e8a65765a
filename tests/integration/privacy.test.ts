import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { scrubber } from '../../server/services/privacy'
import type { DueResponse } from '../../shared/machines'
import { migrationSettings, pool } from '../support/database'
import { type DemoServer, demoServer } from '../support/demo-server'
import { allRows } from '../support/rows'
import { Client } from '../support/server'
import { newMachine, openJob, workJob } from '../support/shop-work'

const NAME = 'Wilhelmina O’Farrow-Ünal'
/** What the same owner was called before. */
const FORMER = 'Mina Farrow'
const EMAIL = 'w.farrow@example.net'
const PHONE = '+1 (555) 010-4477'
const folder = mkdtempSync(join(tmpdir(), 'wembric-privacy-'))
const outbox = join(folder, 'outbox')
let ines: Client
let server: DemoServer
beforeAll(async () => {
  server = await demoServer(join(folder, 'data'), { WEMBRIC_OUTBOX: outbox })
  ines = await new Client(server.env.WEMBRIC_TEST_URL).signIn('ines')
})
afterAll(async () => {
  await server.stop()
  await pool.end()
  rmSync(folder, { recursive: true, force: true })
})
/** Every cell of the whole database as text, and every letter. */
async function everything(): Promise<string> {
  const settings = {
    ...migrationSettings(),
    port: Number(server.env.WEMBRIC_DB_PORT),
    password: server.env.WEMBRIC_DB_MIGRATION_PASSWORD!,
  }
  const rows = [...(await allRows({ ...settings, database: 'wembric' })).values()].flat().join('\n')
  const letters = readdirSync(outbox).map(name => readFileSync(join(outbox, name), 'utf8'))
  return [rows, ...letters].join('\n')
}

describe('an owner', () => {
  it('is given all that is kept of them, and erased from every table, letter and log; their machine keeps its history', async () => {
    const customer = (await ines.post<{ id: number }>('/api/customers', { name: FORMER, contact: '', email: EMAIL }))
      .body
    const machine = await newMachine(ines, undefined, {
      customer: { id: customer.id },
      name: `Mower of ${NAME}`,
      plate: 'KX-4471',
    })
    const work = async (meter: number) =>
      workJob(ines, (await openJob(ines, machine, meter)).body.id, { intake: 0.1, exhaust: 0.14 })
    await work(100)
    await ines.call('PUT', `/api/customers/${customer.id}`, {
      name: NAME,
      contact: PHONE,
      email: EMAIL,
      language: null,
    })
    await work(280)
    // a machine of the demo that is due becomes theirs, so that they are written to
    const due = (await ines.get<DueResponse>('/api/due')).body.items.find(i => i.openJobId === null)!
    await ines.post(`/api/machines/${due.machineId}/owner`, { customer: { id: customer.id } })
    const told = await ines.post('/api/reminders', {
      customerId: customer.id,
      machineIds: [due.machineId],
      how: 'sent',
      subject: 'Due',
      text: `Dear ${NAME}, it is due.`,
    })
    expect(told.status).toBe(200)
    const kept = JSON.parse(await ines.text(`/api/customers/${customer.id}/record`)) as {
      keptOf: { name: string; email: string }
      machines: { name: string; jobs: { sheet: { machine: { owner: string } } }[] }[]
      letters: { text: string }[]
    }
    expect(kept.keptOf).toMatchObject({ name: NAME, email: EMAIL, contact: PHONE })
    const { jobs } = kept.machines.find(m => m.name.startsWith('Mower of'))!
    expect(jobs).toHaveLength(2)
    expect(jobs.map(j => j.sheet.machine.owner)).toEqual([FORMER, NAME])
    expect(kept.letters).toHaveLength(1)
    const before = (await ines.get<{ visits: unknown[] }>(`/api/machines/${machine.id}`)).body.visits

    const tam = await new Client(server.env.WEMBRIC_TEST_URL).signIn('tam')
    expect((await tam.post(`/api/customers/${customer.id}/erase`, {})).status).toBe(403)
    const busy = (await openJob(ines, machine, 400)).body.id
    expect((await ines.post(`/api/customers/${customer.id}/erase`, {})).body.code).toBe('open-job')
    await ines.answer(busy, { type: 'note', payload: { text: `Ring ${NAME} at ${PHONE}` } })
    await ines.answer(busy, { type: 'abandoned', payload: { reason: `${NAME} took it home` } })

    expect(await everything()).toContain(NAME)
    expect((await ines.post(`/api/customers/${customer.id}/erase`, {})).status).toBe(200)
    const left = await everything()
    for (const trace of [NAME, FORMER, EMAIL, PHONE, 'KX-4471', 'O’Farrow']) expect(left, trace).not.toContain(trace)
    const seen = (await ines.get<{ visits: unknown[]; machine: { owner: string } }>(`/api/machines/${machine.id}`)).body
    expect(seen.visits).toEqual(before)
    expect(JSON.stringify(seen)).toContain('Erased owner')
    const job = await ines.get<{ events: { payload: unknown }[] }>(`/api/jobs/${busy}`)
    expect(JSON.stringify(job.body.events)).toContain('Ring Erased owner at Erased owner')
  })
  it('is named neither by the calendar’s secret address nor by a tag', async () => {
    const { path } = (await ines.post<{ path: string }>('/api/calendar-addresses')).body
    const owners = (await ines.get<DueResponse>('/api/due')).body.items
      .map(i => i.owner)
      .filter(o => o !== 'Erased owner')
    expect(owners.length).toBeGreaterThan(3)
    const guest = new Client(server.env.WEMBRIC_TEST_URL)
    const calendar = (await guest.text(path)).replaceAll('\r\n ', '')
    for (const owner of owners) expect(calendar).not.toContain(owner)
    expect(calendar).toContain('tag M-')
    // whoever finds a tag and scans it has to sign in first
    expect((await guest.get('/api/tags/M-0101')).status).toBe(401)
  })
})

describe('a name in a text', () => {
  const scrub = scrubber(['Bo Ash', 'bo@ash.example', '12'], '—')
  it('goes where it stands as words of its own, and nowhere else', () => {
    expect(scrub('Bo Ash, Bo Ashley, Jumbo Ash, bo@ash.example', false)).toBe('—, Bo Ashley, Jumbo Ash, —')
    expect(scrub('12 mm, nothing else', false)).toBeNull()
    expect(scrub('BO ASH', false)).toBeNull()
  })
  it('in JSON, keys and figures stay as they are', () => {
    expect(scrub('{"Bo Ash":1.50,"to":["Bo Ash",{"n":"say \\"Bo Ash\\""}]}', true)).toBe(
      '{"Bo Ash":1.5,"to":["—",{"n":"say \\"—\\""}]}',
    )
  })
})
