import { spawnSync } from 'node:child_process'
import { existsSync, mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest'
// @ts-expect-error plain scripts
import { startServer } from '../../scripts/setup/server.mjs'
import { StatementFailed } from '../../server/database/errors'
import { tellFailure, toldOf } from '../../server/telling/log'
import { pool } from '../support/database'
import { Client } from '../support/server'

const folder = mkdtempSync(join(tmpdir(), 'wembric-service-'))
afterAll(async () => {
  await pool.end()
  rmSync(folder, { recursive: true, force: true })
})
const service = (args: string[], env: Record<string, string> = {}) =>
  spawnSync('node', ['scripts/service.mjs', ...args], {
    encoding: 'utf8',
    env: { ...process.env, WEMBRIC_UNITS: folder, ...env },
  })

describe('the service', () => {
  it.each([
    ['of the whole computer', ['--system', '--user=daemon']],
    ['open to phones', ['--system', '--user=daemon', '--lan']],
  ])('%s is a unit without a fault, by systemd’s own word', (_, args) => {
    service(['install', ...args], { WEMBRIC_DATA: '/srv/a shop 100%', WEMBRIC_BACKUPS: '/mnt/"stick"' })
    const unit = join(folder, 'wembric.service')
    expect(readFileSync(unit, 'utf8')).toMatch(/^Restart=always$/m)
    // the password of a database may be in it
    expect(statSync(unit).mode & 0o077).toBe(0)
    const verified = spawnSync('systemd-analyze', ['verify', unit], { encoding: 'utf8' })
    expect(verified.stderr.split('\n').filter(line => line.includes('wembric'))).toEqual([])
    expect(verified.status).toBe(0)
  })
  it('without systemd says what to do instead, and takes nothing for done', () => {
    if (existsSync('/run/systemd/system')) return
    const said = service(['install'])
    expect(said.status).toBe(1)
    expect(said.stderr).toMatch(/systemd does not run this computer[\s\S]*@reboot[\s\S]*npm start >> wembric.log/)
    expect(service(['uninstall']).status).toBe(0)
    expect(existsSync(join(folder, 'wembric.service'))).toBe(false)
  })
  it('says what it can do when asked for something else', () => {
    expect(service(['begin']).stderr).toMatch(/install \| uninstall \| status \| print/)
  })
})

// the grammar of the text exposition format, 0.0.4, line by line: no program that reads it is at hand here
const COMMENT = /^# (HELP|TYPE) [a-z_][a-z0-9_]* .+$/
const SAMPLE = /^[a-z_][a-z0-9_]*(\{([a-z_]+="[^"\n]*",?)*\})? (NaN|[+-]?Inf|-?[\d.e+-]+)$/

describe('what the server tells', () => {
  const data = join(folder, 'data')
  let server: { said: () => string; env: Record<string, string>; stop: () => Promise<void> }
  let lead: Client
  const SECRETS = ['quillbrook-7', 'Wren Tolliver', 'Marigold Mowers', 'OWN-TAG-77', 'perrin.t']
  beforeAll(async () => {
    server = await startServer({ root: process.cwd(), data, args: ['--empty'], env: { WEMBRIC_LOG: 'json' } })
    lead = new Client(server.env.WEMBRIC_TEST_URL!)
    await lead.post('/api/setup', {
      ...{ shop: 'Marigold Mowers', timeZone: 'America/Denver', unit: 'mm' },
      lead: { name: 'Wren Tolliver', signIn: 'perrin.t', password: 'quillbrook-7' },
    })
    await lead.get('/api/tags/OWN-TAG-77')
    await new Client(server.env.WEMBRIC_TEST_URL!).post('/api/session', {
      signIn: 'perrin.t',
      password: 'quillbrook-8',
    })
  })
  afterAll(() => server.stop())
  const lines = () =>
    server
      .said()
      .split('\n')
      .filter(Boolean)
      .map(line => JSON.parse(line) as Record<string, unknown>)

  it('is one JSON object a line: each request by its id, its pattern, its status and how long it took', async () => {
    const answer = await fetch(`${server.env.WEMBRIC_TEST_URL}/api/bay`, {
      headers: { 'x-request-id': 'from-a-proxy-1' },
    })
    expect(answer.headers.get('x-request-id')).toBe('from-a-proxy-1')
    await expect
      .poll(() => lines().find(l => l.id === 'from-a-proxy-1'))
      .toMatchObject({
        ...{ method: 'GET', route: '/api/bay', status: 401, service: 'wembric' },
      })
    expect(lines().find(l => l.route === '/api/tags/:tag')).toMatchObject({ status: 404 })
    const odd = await fetch(`${server.env.WEMBRIC_TEST_URL}/api/bay`, { headers: { 'x-request-id': 'a b" c' } })
    expect(odd.headers.get('x-request-id')).toMatch(/^[\w-]{36}$/)
  })
  it('has no name, no password, no tag and nothing that was typed in it', () => {
    for (const secret of SECRETS) expect(server.said()).not.toContain(secret)
  })
  it('an error tells where it was, and not what the database quoted', () => {
    const cause = Object.assign(new Error("Duplicate entry 'Wren Tolliver-1' for key 'people_sign_in'"), {
      code: 'ER_DUP_ENTRY',
    })
    expect(toldOf(new StatementFailed('INSERT INTO people', cause))).toMatchObject({
      ...{ error: 'StatementFailed', code: 'ER_DUP_ENTRY', words: 'INSERT INTO people: Duplicate entry … for key …' },
    })
    const said = vi.spyOn(console, 'error').mockImplementation(() => {})
    tellFailure(cause, { id: 'r-1', doing: 'adding somebody' })
    expect(said.mock.calls[0]![0]).toMatch(
      /^adding somebody: Error \(ER_DUP_ENTRY\): Duplicate entry … for key … \[r-1\]/,
    )
    said.mockRestore()
  })
  it('figures are in the open text format, for a token alone, and grow with what is done', async () => {
    const url = `${server.env.WEMBRIC_TEST_URL}/metrics`
    expect((await fetch(url)).status).toBe(401)
    const { token } = (await lead.post<{ token: string }>('/api/tokens', { name: 'Meter' })).body
    const read = async () => (await fetch(url, { headers: { authorization: `Bearer ${token}` } })).text()
    const text = await read()
    for (const line of text.split('\n').filter(Boolean)) expect(line).toMatch(line.startsWith('#') ? COMMENT : SAMPLE)
    expect(text).toMatch(/^wembric_database_up 1$/m)
    const bays = (text: string) =>
      Number(
        /wembric_request_seconds_count\{[^}]*route="\/api\/bay"[^}]*status="200"[^}]*\} (\d+)/.exec(text)?.[1] ?? 0,
      )
    const before = bays(text)
    await lead.get('/api/bay')
    await expect.poll(async () => bays(await read())).toBe(before + 1)
    for (const secret of SECRETS) expect(text).not.toContain(secret)
  })
})
