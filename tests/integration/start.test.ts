import { spawn, spawnSync } from 'node:child_process'
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import mysql from 'mysql2'
import { afterAll, describe, expect, it } from 'vitest'
// @ts-expect-error plain scripts
import { ensureRoom } from '../../scripts/setup/machine.mjs'
// @ts-expect-error plain scripts
import { checkDatabase } from '../../scripts/setup/existing-database.mjs'
// @ts-expect-error plain scripts
import { startServer } from '../../scripts/setup/server.mjs'

const root = process.cwd()
const folders: string[] = []
const folder = () => {
  const made = mkdtempSync(join(tmpdir(), 'wembric-start-'))
  folders.push(made)
  return made
}
afterAll(() => folders.forEach(f => rmSync(f, { recursive: true, force: true })))

/** A server that speaks the protocol just enough to say what it is. */
interface FakeConnection {
  on: (what: string, work: () => void) => void
  serverHandshake: (said: object) => void
  writeColumns: (columns: object[]) => void
  writeTextRow: (row: string[]) => void
  writeEof: () => void
  _resetSequenceId?: () => void
  sequenceId: number
}
interface FakeServer {
  on: (what: 'connection', work: (connection: FakeConnection) => void) => void
  listen: (port: number, host: string, backlog: undefined, done: () => void) => void
  close: (done: () => void) => void
}

const databasePid = (data: string): number =>
  (JSON.parse(readFileSync(join(data, 'mariadb.json'), 'utf8')) as { pid: number }).pid
const lives = (pid: number): boolean => {
  const status = spawnSync('sh', ['-c', `cat /proc/${pid}/stat 2>/dev/null`], { encoding: 'utf8' }).stdout
  return status !== '' && !status.split(') ')[1]!.startsWith('Z')
}
const shops = async (url: string): Promise<boolean> =>
  ((await (await fetch(`${url}/api/setup`)).json()) as { needed: boolean }).needed === false

describe('an existing MariaDB', () => {
  const own = `127.0.0.1:${process.env.WEMBRIC_DB_PORT}/wembric`
  const url = `mysql://wembric_app:${process.env.WEMBRIC_DB_APP_PASSWORD}@${own}`
  it('is used instead of an own one: a second server on the shop’s database sees the same', async () => {
    const data = folder()
    const server = await startServer({
      root,
      data,
      env: {
        WEMBRIC_DB_URL: url,
        WEMBRIC_MIGRATION_DB_URL: `mysql://wembric_migration:${process.env.WEMBRIC_DB_MIGRATION_PASSWORD}@${own}`,
      },
    })
    try {
      expect(existsSync(join(data, 'mariadb'))).toBe(false)
      const signIn = await fetch(`${server.env.WEMBRIC_TEST_URL}/api/session`, {
        method: 'POST',
        body: JSON.stringify({ signIn: 'ines', password: 'quillbrook' }),
        headers: { 'content-type': 'application/json', 'origin': server.env.WEMBRIC_TEST_URL },
      })
      expect(signIn.status).toBe(200)
    } finally {
      await server.stop()
    }
    await checkDatabase(url)
  }, 60_000)
  it.each([
    ['no address', 'localhost', /not the address of a database/],
    ['no database named', 'mysql://a:b@127.0.0.1:3306/', /not the address of a database/],
    ['nobody there', 'mysql://a:b@127.0.0.1:1/wembric', /nobody listens at 127.0.0.1:1/],
    ['a wrong password', url.replace(/:[^:@]+@/, ':wrong@'), /may not sign in/],
    ['another database', url.replace(/wembric$/, 'elsewhere'), /(no rights on|no database) “?elsewhere/],
  ])('%s: it says what to do', async (_, address, words) => {
    await expect(checkDatabase(address)).rejects.toThrow(words)
  })
  it.each([
    ['10.6.12-MariaDB', /10.6.12-MariaDB, which is too old. Bring it to 10.11/],
    ['8.0.36', /no MariaDB/],
  ])('a server that says it is %s', async (version, words) => {
    const server = (mysql as unknown as { createServer: () => FakeServer }).createServer()
    server.on('connection', connection => {
      connection.on('error', () => {})
      connection.serverHandshake({
        protocolVersion: 10,
        serverVersion: version,
        connectionId: 1,
        statusFlags: 2,
        characterSet: 45,
        capabilityFlags: 0xffffff ^ 0x800,
        authCallback: (_: unknown, done: (error: null) => void) => done(null),
      })
      connection.on('query', () => {
        connection.writeColumns([
          {
            catalog: 'def',
            schema: '',
            table: '',
            orgTable: '',
            name: 'version',
            orgName: 'version',
            characterSet: 45,
            columnLength: 60,
            columnType: 253,
            flags: 0,
            decimals: 0,
          },
        ])
        connection.writeTextRow([version])
        connection.writeEof()
      })
    })
    const port = await new Promise<number>(done => {
      server.listen(0, '127.0.0.1', undefined, () =>
        done((server as unknown as { _server: { address: () => { port: number } } })._server.address().port),
      )
    })
    await expect(checkDatabase(`mysql://a:b@127.0.0.1:${port}/wembric`)).rejects.toThrow(words)
    await new Promise<void>(done => {
      server.close(() => done())
    })
  })
})

describe('npm start', () => {
  it('stops cleanly on SIGTERM: no database is left running', async () => {
    const data = folder()
    const server = await startServer({ root, data, args: ['--empty'] })
    const pid = databasePid(data)
    expect(lives(pid)).toBe(true)
    await server.stop()
    expect(server.child.exitCode).toBe(0)
    expect(lives(pid)).toBe(false)
    expect(existsSync(join(data, 'mariadb.json'))).toBe(false)
  }, 60_000)

  it('after kill -9 of the server, and of the database, the next start recovers with the data', async () => {
    const data = folder()
    const first = await startServer({ root, data, args: ['--empty'] })
    const setup = {
      shop: 'Kept',
      timeZone: 'Etc/UTC',
      unit: 'mm',
      lead: { name: 'Ada', signIn: 'ada', password: 'longenough' },
    }
    expect(
      (
        await fetch(`${first.env.WEMBRIC_TEST_URL}/api/setup`, {
          method: 'POST',
          body: JSON.stringify(setup),
          headers: { 'content-type': 'application/json', 'origin': first.env.WEMBRIC_TEST_URL },
        })
      ).status,
    ).toBe(200)
    const left = databasePid(data)
    first.child.kill('SIGKILL')
    await new Promise(resolve => first.child.once('exit', resolve))
    expect(lives(left)).toBe(true)

    const second = await startServer({ root, data })
    expect(databasePid(data), 'the database left behind is taken over').toBe(left)
    expect(await shops(second.env.WEMBRIC_TEST_URL)).toBe(true)
    second.child.kill('SIGKILL')
    await new Promise(resolve => second.child.once('exit', resolve))
    process.kill(left, 'SIGKILL')

    const third = await startServer({ root, data })
    expect(databasePid(data)).not.toBe(left)
    expect(await shops(third.env.WEMBRIC_TEST_URL)).toBe(true)
    await third.stop()
  }, 120_000)

  it('a taken port is named, with what to type instead', async () => {
    const blocker = createServer()
    await new Promise<void>(resolve => blocker.listen(0, '127.0.0.1', resolve))
    const { port } = blocker.address() as { port: number }
    const child = spawn('node', ['scripts/start.mjs'], {
      cwd: root,
      env: { ...process.env, PORT: String(port), WEMBRIC_DATA: folder() },
    })
    let said = ''
    child.stderr.on('data', (chunk: Buffer) => {
      said += chunk.toString()
    })
    const code = await new Promise(resolve => child.once('exit', resolve))
    blocker.close()
    expect(code).toBe(1)
    expect(said).toContain(`port ${port} is taken by another program`)
    expect(said).toContain(`PORT=${port + 1} npm start`)
  })

  it('an empty shop stays empty on later starts', async () => {
    const data = folder()
    const first = await startServer({ root, data, args: ['--empty'] })
    await first.stop()
    const again = await startServer({ root, data })
    expect(await shops(again.env.WEMBRIC_TEST_URL)).toBe(false)
    await again.stop()
  }, 60_000)

  it('too little room is said before anything is begun', () => {
    expect(() => ensureRoom(root)).not.toThrow()
    expect(() => ensureRoom(root, Number.MAX_SAFE_INTEGER)).toThrow(/MB are free at/)
  })
})
