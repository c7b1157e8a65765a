import { execFile } from 'node:child_process'
import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs'
import { request } from 'node:http'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { createConnection } from 'mysql2/promise'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { DueResponse } from '../../shared/machines'
import type { SessionResponse } from '../../shared/session'
import type { ShopHere, WayIn } from '../../shared/shops'
import { migrationSettings } from '../support/database'
import { type DemoServer, demoServer } from '../support/demo-server'
import { allRows } from '../support/rows'
import { Client } from '../support/server'
import { newMachine, openJob, workJob } from '../support/shop-work'

const root = process.cwd()
const folder = mkdtempSync(join(tmpdir(), 'wembric-shops-'))
const outbox = join(folder, 'outbox')
let server: DemoServer
let base: string
let ines: Client
const settings = () => ({
  ...migrationSettings(),
  port: Number(server.env.WEMBRIC_DB_PORT),
  password: server.env.WEMBRIC_DB_MIGRATION_PASSWORD!,
  database: 'wembric',
})
async function sql(statement: string, values: unknown[] = []): Promise<void> {
  const connection = await createConnection(settings())
  await connection.query(statement, values)
  await connection.end()
}
/** The command line on this server's data. @returns how it ended, and what it said */
const shops = (...words: string[]): Promise<string> =>
  new Promise(resolve => {
    const env = { ...process.env, ...server.env, WEMBRIC_DATA: join(folder, 'data'), WEMBRIC_OUTBOX: outbox }
    execFile('node', ['scripts/shops.mjs', ...words], { cwd: root, env }, (error, out, said) =>
      resolve(`${error ? error.code : 0} ${said}${out}`),
    )
  })
/** Adds a shop and lets its lead choose a password by the code. */
async function newShop(shortName: string, signIn: string, password: string): Promise<{ id: number; lead: Client }> {
  const made = await ines.post<WayIn>('/api/shops', {
    ...{ shop: `Yard ${shortName}`, shortName, timeZone: 'Etc/UTC', unit: 'mm' },
    lead: { name: 'Ada', signIn },
  })
  expect(made.status).toBe(200)
  const lead = new Client(base)
  const { code } = made.body
  const came = await lead.post<SessionResponse>('/api/session/code', { signIn, shop: shortName, code, next: password })
  expect(came.body.shop.name).toBe(`Yard ${shortName}`)
  lead.personId = came.body.person.id
  return { id: made.body.id, lead }
}
const signIn = (body: object) => new Client(base).post<SessionResponse>('/api/session', body)
const here = async (id: number) => (await ines.get<ShopHere[]>('/api/shops')).body.find(s => s.id === id)!

beforeAll(async () => {
  server = await demoServer(join(folder, 'data'), { WEMBRIC_OUTBOX: outbox })
  base = server.env.WEMBRIC_TEST_URL!
  ines = await new Client(base).signIn('ines')
})
afterAll(async () => {
  await server.stop()
  rmSync(folder, { recursive: true, force: true })
})

describe('one shop alone', () => {
  it('is run by whoever set it up; another lead takes over when they are a lead no more, and back', async () => {
    const runs = async (client: Client) => (await client.get<SessionResponse>('/api/session')).body.person.runsServer
    const second = { name: 'Una', signIn: 'una', password: 'una her password', role: 'lead' }
    expect((await ines.post('/api/people', second)).status).toBe(200)
    const una = await new Client(base).signIn('una', second.password)
    expect([await runs(ines), await runs(una)]).toEqual([true, false])
    expect((await una.call('PUT', `/api/people/${ines.personId}`, { role: 'mechanic' })).status).toBe(200)
    expect([await runs(ines), await runs(una)]).toEqual([false, true])
    expect((await una.call('PUT', `/api/people/${ines.personId}`, { role: 'lead' })).status).toBe(200)
    expect((await ines.call('DELETE', `/api/people/${una.personId}`)).status).toBe(200)
    expect(await runs(ines)).toBe(true)
    expect((await una.get('/api/session')).status).toBe(401)
  })
})

describe('the door', () => {
  it('two people of one name in two shops come in by their passwords; where those are alike, the shop is asked for', async () => {
    const { lead } = await newShop('north', 'ines', 'another password')
    expect((await signIn({ signIn: 'ines', password: 'quillbrook' })).body.shop.name).toContain('Quillbrook')
    expect((await signIn({ signIn: 'ines', password: 'another password' })).body.shop.name).toBe('Yard north')
    expect(
      (await lead.call('PUT', '/api/me/password', { password: 'another password', next: 'quillbrook' })).status,
    ).toBe(200)
    const asked = await signIn({ signIn: 'ines', password: 'quillbrook' })
    expect(asked.status).toBe(409)
    expect(asked.body).toMatchObject({ code: 'which-shop', fields: [{ field: 'shop' }] })
    for (const shop of ['north', 'Yard north', ' NORTH '])
      expect((await signIn({ signIn: 'ines', shop, password: 'quillbrook' })).body.shop?.name, shop).toBe('Yard north')
    // a stranger learns nothing of who is where: name, shop and password are wrong alike
    for (const wrong of [{ shop: 'north' }, { shop: 'nowhere' }, {}])
      expect((await signIn({ signIn: 'ines', password: 'guess', ...wrong })).body.code).toBe('wrong-password')
  })
  it('a host that is a shop’s own lets in its people alone', async () => {
    const north = (await ines.get<ShopHere[]>('/api/shops')).body.find(s => s.shortName === 'north')!
    const limits = { shortName: 'north', host: 'North.Example.com', mostPeople: null, mostPhotoMb: null }
    expect((await ines.call('PUT', `/api/shops/${north.id}`, limits)).status).toBe(200)
    const at = (host: string, body: object): Promise<SessionResponse & { code?: string }> =>
      new Promise((resolve, reject) => {
        const headers = { host, 'origin': `http://${host}`, 'content-type': 'application/json' }
        const asked = request(`${base}/api/session`, { method: 'POST', headers }, reply => {
          let text = ''
          reply.on('data', piece => (text += piece))
          reply.on('end', () => resolve(JSON.parse(text)))
        })
        asked.on('error', reject)
        asked.end(JSON.stringify(body))
      })
    const port = new URL(base).port
    const known = { signIn: 'ines', password: 'quillbrook' }
    expect((await at(`north.example.com:${port}`, known)).shop.name).toBe('Yard north')
    expect((await at(`north.example.com:${port}`, { signIn: 'tam', password: 'quillbrook' })).code).toBe(
      'wrong-password',
    )
    expect((await at(`127.0.0.1:${port}`, known)).code).toBe('which-shop')
  })
})

describe('who runs the server', () => {
  it('alone sees the shops, and how much there is of each; a lead of another sees no other, and no backup of all', async () => {
    const { id, lead } = await newShop('east', 'eve', 'eve her password')
    const tam = await new Client(base).signIn('tam')
    for (const other of [tam, lead]) {
      for (const path of ['/api/shops', `/api/shops/${id}/files`])
        expect((await other.get(path)).status, path).toBe(403)
      expect((await other.post(`/api/shops/${id}/close`)).status).toBe(403)
    }
    expect((await lead.get('/api/backups')).status).toBe(403)
    expect((await ines.get('/api/backups')).status).toBe(200)
    const token = (await lead.post<{ token: string }>('/api/tokens', { name: 'figures' })).body.token
    expect((await fetch(`${base}/metrics`, { headers: { authorization: `Bearer ${token}` } })).status).toBe(403)
    expect(await here(id)).toMatchObject({ people: 1, jobs: 0, own: false, closedAt: null })
    expect((await lead.get<unknown[]>('/api/machines')).body).toEqual([])
    // a taken or impossible name is refused in words, and nothing is made
    const again = { shop: 'East again', timeZone: 'Etc/UTC', unit: 'mm', lead: { name: 'B', signIn: 'b' } }
    expect((await ines.post('/api/shops', { ...again, shortName: 'east' })).body.code).toBe('duplicate')
    expect((await ines.post('/api/shops', { ...again, shortName: 'Ost /' })).body.code).toBe('unfit')
    // a lead who lost the password comes in by a code, and their log says who made it
    const way = (await ines.post<WayIn>(`/api/shops/${id}/code`)).body
    expect(way).toMatchObject({ signIn: 'eve', shop: 'east' })
    const log = (await lead.get<{ rows: object[] }>('/api/log')).body.rows
    expect(log).toContainEqual(expect.objectContaining({ kind: 'code-made', person: 'Ines' }))
  })
  it('does not leave it to nobody: with other shops here, another is named first', async () => {
    const second = { name: 'Ulf', signIn: 'ulf', password: 'ulf his password', role: 'lead' }
    expect((await ines.post('/api/people', second)).status).toBe(200)
    const ulf = await new Client(base).signIn('ulf', second.password)
    for (const refused of [
      await ulf.call('DELETE', `/api/people/${ines.personId}`),
      await ulf.call('PUT', `/api/people/${ines.personId}`, { role: 'mechanic' }),
    ])
      expect(refused.body.code).toBe('runs-server')
    expect((await ulf.get('/api/shops')).status).toBe(403)
    expect((await ines.call('DELETE', `/api/people/${ulf.personId}`)).status).toBe(200)
  })
  it('sets what a shop may have: people and photos beyond it are refused in words, also two at once', async () => {
    const { id, lead } = await newShop('west', 'wim', 'wim his password')
    const limits = { shortName: 'west', host: null, mostPeople: 2, mostPhotoMb: 1 }
    expect((await ines.call('PUT', `/api/shops/${id}`, limits)).status).toBe(200)
    const add = (name: string) =>
      lead.post<{ id: number }>('/api/people', { name, signIn: name, password: 'long enough', role: 'mechanic' })
    const both = await Promise.all([add('bo'), add('cy')])
    expect(both.map(b => b.status).sort()).toEqual([200, 409])
    const refused = both.find(b => b.status === 409)!.body
    expect(refused).toMatchObject({ code: 'limit-reached', title: expect.stringContaining('2 people') })
    const there = both.find(b => b.status === 200)!.body.id
    await lead.call('DELETE', `/api/people/${there}`)
    expect((await add('di')).status).toBe(200)
    expect((await lead.post(`/api/people/${there}/back`)).body.code).toBe('limit-reached')
    const machine = await newMachine(lead)
    const photo = readFileSync(join(root, 'docs/screenshots', readdirSync(join(root, 'docs/screenshots'))[0]!))
    const sent = []
    for (let n = 0; n < 30 && sent.at(-1) !== 409; n++)
      sent.push((await lead.upload(`/api/machines/${machine.id}/photos`, photo)).status)
    expect(sent.length).toBeGreaterThan(2)
    expect(sent.at(-1)).toBe(409)
    expect((await here(id)).photoMb).toBe(1)
  })
})

describe('a place in a shop that another is taking', () => {
  it('is not taken again by whoever asked while the first was not done', async () => {
    const { id, lead } = await newShop('islet', 'isa', 'isa her password')
    const add = (name: string) =>
      lead.post<{ id: number }>('/api/people', { name, signIn: name, password: 'long enough', role: 'mechanic' })
    const left = (await add('abe')).body.id
    await lead.call('DELETE', `/api/people/${left}`)
    const limits = { shortName: 'islet', host: null, mostPeople: 2, mostPhotoMb: null }
    expect((await ines.call('PUT', `/api/shops/${id}`, limits)).status).toBe(200)
    // another server of the shop, in the middle of adding somebody: it holds the shop
    const other = await createConnection(settings())
    await other.beginTransaction()
    await other.query('SELECT id FROM shops WHERE id = ? FOR UPDATE', [id])
    const late = [add('cy'), lead.post(`/api/people/${left}/back`)]
    const waiting = async () => {
      const [rows] = await other.query("SHOW GLOBAL STATUS LIKE 'Innodb_row_lock_current_waits'")
      return Number((rows as { Value: string }[])[0]!.Value)
    }
    await expect.poll(waiting).toBe(2)
    await other.query(
      `INSERT INTO people (shop_id, name, sign_in, password_hash, role, created_at)
        VALUES (?, 'Bo', 'bo', 'not one', 'mechanic', UTC_TIMESTAMP())`,
      [id],
    )
    await other.commit()
    await other.end()
    for (const { body } of await Promise.all(late)) expect(body).toMatchObject({ code: 'limit-reached' })
  })
})

describe('a shop that is closed', () => {
  it('lets nobody in by any way, says until when it is kept, and is whole when it is opened again', async () => {
    const { id, lead } = await newShop('south', 'sol', 'sol her password')
    const machine = await newMachine(lead)
    const { token } = (await lead.post<{ token: string }>('/api/tokens', { name: 'parts' })).body
    const { path } = (await lead.post<{ path: string }>('/api/calendar-addresses')).body
    await lead.post('/api/devices', { name: 'bench' })
    const byToken = () => fetch(`${base}/api/v1/models`, { headers: { authorization: `Bearer ${token}` } })
    expect((await byToken()).status).toBe(200)
    expect((await ines.post(`/api/shops/${id}/close`)).status).toBe(200)
    expect((await lead.get('/api/machines')).status).toBe(401)
    expect((await byToken()).status).toBe(401)
    expect((await fetch(`${base}${path}`)).status).toBe(404)
    expect((await lead.get<{ people: unknown[] }>('/api/crew')).body.people).toEqual([])
    const told = await signIn({ signIn: 'sol', password: 'sol her password' })
    expect(told.body).toMatchObject({ code: 'shop-closed', title: expect.stringMatching(/kept until/) })
    expect((await signIn({ signIn: 'sol', password: 'no' })).body.code).toBe('wrong-password')
    expect((await here(id)).goesAt!.slice(0, 10)).toBe(
      new Date(Date.now() + 30 * 86_400_000).toISOString().slice(0, 10),
    )
    expect((await ines.post(`/api/shops/${id}/close`)).body.code).toBe('shop-closed')
    expect((await ines.post(`/api/shops/${id}/reopen`)).status).toBe(200)
    const back = await new Client(base).signIn('sol', 'sol her password')
    expect((await back.get<{ id: number }[]>('/api/machines')).body.map(m => m.id)).toEqual([machine.id])
  })
  it('is not the shop of whoever runs the server', async () => {
    const own = (await ines.get<ShopHere[]>('/api/shops')).body.find(s => s.own)!
    expect((await ines.post(`/api/shops/${own.id}/close`)).status).toBe(403)
    expect((await ines.get('/api/machines')).status).toBe(200)
  })
})

describe('a shop whose time is over', () => {
  /** Rows by table, of what is a shop's; what is kept for a day or by all is left out. */
  async function rows(): Promise<Map<string, string[]>> {
    const all = await allRows(settings())
    for (const [table, lines] of all) if (lines.length === 0) all.delete(table)
    for (const table of ['sign_in_tries', 'asked_once', 'shop_log', 'sessions']) all.delete(table)
    return all
  }
  it('leaves no row in any table and no letter, and takes nothing of another shop', async () => {
    const other = (await ines.get<DueResponse>('/api/due')).body.items.find(i => i.email && i.openJobId === null)!
    const told = { customerId: other.customerId, machineIds: [other.machineId], how: 'sent', subject: 'Due' }
    expect((await ines.post('/api/reminders', { ...told, text: 'Yours is due.' })).status).toBe(200)
    const before = await rows()
    const { id, lead } = await newShop('marsh', 'mo', 'mo his password')
    // something in every corner of a shop
    const machine = await newMachine(lead, undefined, { customer: { name: 'Zebedee Marshwiggle' } })
    const bladesMm = [0.04, 0.05, 0.06, 0.08, 0.1, 0.12, 0.13, 0.14, 0.15, 0.16, 0.18, 0.2]
    expect((await lead.post('/api/blade-sets', { name: 'Set M', unit: 'mm', bladesMm })).status).toBe(200)
    for (const meter of [100, 300])
      await workJob(lead, (await openJob(lead, machine, meter)).body.id, { intake: 0.1, exhaust: 0.14 })
    const { customerId } = machine
    await lead.call('PUT', `/api/customers/${customerId}`, {
      ...{ name: 'Zebedee Marshwiggle', contact: '', email: 'z@marsh.example', language: null },
    })
    const photo = readFileSync(join(root, 'docs/screenshots', readdirSync(join(root, 'docs/screenshots'))[0]!))
    expect((await lead.upload(`/api/machines/${machine.id}/photos`, photo)).status).toBe(200)
    await lead.post('/api/tokens', { name: 'parts' })
    await lead.post('/api/calendar-addresses')
    await lead.post('/api/devices', { name: 'bench' })
    const book = 'maker,model\nMarsh,One\n'
    expect((await lead.upload('/api/spec-imports?name=book.csv', book)).status).toBe(200)
    const letters = readdirSync(outbox).length
    const sent = await lead.post('/api/reminders', {
      ...{ customerId, machineIds: [machine.id], how: 'sent', subject: 'Due', text: 'It is due.' },
    })
    expect(sent.status).toBe(200)
    expect(readdirSync(outbox)).toHaveLength(letters + 1)
    const between = await rows()
    const grown = [...between].filter(([table, lines]) => lines.length > (before.get(table)?.length ?? 0))
    // the test reaches what it claims: most tables of a shop had rows of it
    expect(grown.map(([table]) => table)).toEqual(
      expect.arrayContaining(['shops', 'people', 'jobs', 'events', 'readings', 'sheets', 'photos', 'machines']),
    )
    expect(grown.length).toBeGreaterThan(18)

    await ines.post(`/api/shops/${id}/close`)
    // not before its time
    expect(await shops('close', 'marsh', '--days=0')).toMatch(/^1 .*This shop is closed/s)
    await sql('UPDATE shops SET goes_at = UTC_TIMESTAMP(3) - INTERVAL 1 SECOND WHERE id = ?', [id])
    expect((await ines.post(`/api/shops/${id}/reopen`)).body.code).toBe('gone')
    expect(await shops('sweep')).toMatch(/^0 .*Yard marsh/s)

    expect(await rows()).toEqual(before)
    expect(readdirSync(outbox)).toHaveLength(letters)
    const everything = [...(await allRows(settings())).entries()].filter(([table]) => table !== 'shop_log').flat(3)
    for (const trace of ['Marshwiggle', 'Yard marsh', 'z@marsh.example'])
      expect(everything.join('\n'), trace).not.toContain(trace)
    const log = (await ines.get<{ rows: object[] }>('/api/log')).body.rows
    expect(log).toContainEqual(expect.objectContaining({ kind: 'shop-removed', what: 'Yard marsh' }))
    expect((await signIn({ signIn: 'mo', password: 'mo his password' })).body.code).toBe('wrong-password')
  })
  it('every table says whose its rows are, but those that are of no shop', async () => {
    const connection = await createConnection(settings())
    const [tables] = await connection.query<never[]>(
      `SELECT t.TABLE_NAME AS name FROM information_schema.TABLES t WHERE t.TABLE_SCHEMA = DATABASE()
         AND NOT EXISTS (SELECT 1 FROM information_schema.COLUMNS c WHERE c.TABLE_SCHEMA = DATABASE()
           AND c.TABLE_NAME = t.TABLE_NAME AND c.COLUMN_NAME = 'shop_id') ORDER BY 1`,
    )
    await connection.end()
    expect(tables.map(row => (row as { name: string }).name)).toEqual([
      'installation',
      'migration_lease',
      'migration_steps',
      'schema_migrations',
      'shops',
      // of earlier versions, and empty since
      'sign_in_attempts',
      'sign_in_tries',
    ])
  })
})

describe('from the command line', () => {
  it('a shop is added, limited, written out, closed and gone', async () => {
    expect(
      await shops('add', 'hill', '--name=Hill Works', '--lead=Hal', '--sign-in=hal', '--zone=Nowhere/Here'),
    ).toMatch(/^1 .*time zone/s)
    const added = await shops('add', 'hill', '--name=Hill Works', '--lead=Hal', '--sign-in=hal', '--zone=Etc/UTC')
    const code = /gives (\w{4}-\w{4})/.exec(added)![1]!
    const hal = new Client(base)
    const came = await hal.post<SessionResponse>('/api/session/code', {
      ...{ signIn: 'hal', code, next: 'hal his password' },
    })
    expect(came.body.person).toMatchObject({ name: 'Hal', role: 'lead', runsServer: false })
    expect(await shops('limit', 'hill', '--people=3', '--host=hill.example.com')).toMatch(/^0 .*Hill Works/s)
    expect(await shops('limit', 'hill', '--people=none')).toMatch(/^1 .*whole number/s)
    expect(await shops('limit', 'hill', '--peple=2')).toMatch(/^1 .*no option --peple/s)
    expect(await shops('sweap')).toMatch(/^1 .*“sweap” is nothing this can do/s)
    expect(await shops()).toMatch(/hill +Hill Works: 1 of 3 people/)
    const zip = join(folder, 'hill.zip')
    expect(await shops('files', 'hill', zip)).toMatch(/^0 /)
    expect(readFileSync(zip).subarray(0, 2).toString()).toBe('PK')
    expect(await shops('files', 'hill', zip)).toMatch(/^1 .*There is a file .*hill\.zip already; it was left alone/s)
    expect(await shops('close', 'vale')).toMatch(/^1 .*No shop is called “vale”.*Hill Works/s)
    expect(await shops('runner', 'hill', 'hal')).toMatch(/^0 .*Hal runs this server/s)
    expect(await shops('close', 'hill', '--days=0')).toMatch(/^1 /)
    expect((await hal.get<ShopHere[]>('/api/shops')).status).toBe(200)
    expect((await ines.get('/api/shops')).status).toBe(403)
    const first = (await hal.get<ShopHere[]>('/api/shops')).body.find(s => s.name.startsWith('Quillbrook'))!
    expect(await shops('runner', String(first.id), 'ines')).toMatch(/^0 /)
    expect(await shops('close', 'hill', '--days=0')).toMatch(/^0 .*all its records are gone/s)
    expect((await ines.get<ShopHere[]>('/api/shops')).body.map(s => s.name)).not.toContain('Hill Works')
  })
})
