import { spawn, spawnSync } from 'node:child_process'
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import mysql from 'mysql2'
import { afterAll, describe, expect, it } from 'vitest'
// @ts-expect-error plain scripts
import { startDatabase } from '../../scripts/setup/database.mjs'
// @ts-expect-error plain scripts
import { checkDatabase } from '../../scripts/setup/existing-database.mjs'
// @ts-expect-error plain scripts
import { ensureRoom } from '../../scripts/setup/machine.mjs'
// @ts-expect-error plain scripts
import { boundedLog } from '../../scripts/setup/output.mjs'
// @ts-expect-error plain scripts
import { waitReady } from '../../scripts/setup/ready.mjs'
// @ts-expect-error plain scripts
import { startServer } from '../../scripts/setup/server.mjs'
import { littleRoom } from '../../server/services/health'
import { Client } from '../support/server'

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

/** A disk of a size of its own, or null where this user may not mount one. */
function mountDisk(megabytes: number): string | null {
  const at = folder()
  return spawnSync('mount', ['-t', 'tmpfs', '-o', `size=${megabytes}m`, 'tmpfs', at]).status === 0 ? at : null
}

const databasePid = (data: string): number =>
  (JSON.parse(readFileSync(join(data, 'mariadb.json'), 'utf8')) as { pid: number }).pid
const databasePidOr = (data: string): number => (existsSync(join(data, 'mariadb.json')) ? databasePid(data) : 0)
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
  })
  it.each([
    ['no address', 'localhost', /not a database address/],
    ['no database named', 'mysql://a:b@127.0.0.1:3306/', /not a database address/],
    ['nobody there', 'mysql://a:b@127.0.0.1:1/wembric', /nothing is listening at 127.0.0.1:1/],
    ['a wrong password', url.replace(/:[^:@]+@/, ':wrong@'), /can’t sign in/],
    ['another database', url.replace(/wembric$/, 'elsewhere'), /(no rights on|no database) “?elsewhere/],
  ])('%s: it says what to do', async (_, address, words) => {
    await expect(checkDatabase(address)).rejects.toThrow(words)
  })
  it.each([
    ['10.6.12-MariaDB', /10.6.12-MariaDB, which is too old. Update it to 10.11/],
    ['8.0.36', /not MariaDB/],
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
    // a power cut may leave the note of the last server empty
    writeFileSync(join(data, 'mariadb.json'), '')
    const server = await startServer({ root, data, args: ['--empty'] })
    const pid = databasePid(data)
    const { socketFolder } = JSON.parse(readFileSync(join(data, 'mariadb.json'), 'utf8')) as { socketFolder: string }
    expect([lives(pid), existsSync(socketFolder)]).toEqual([true, true])
    await server.stop()
    expect(existsSync(socketFolder)).toBe(false)
    expect(server.child.exitCode).toBe(0)
    expect(lives(pid)).toBe(false)
    expect(existsSync(join(data, 'mariadb.json'))).toBe(false)
  })

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
  })

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
    expect(said).toContain(`port ${port} is in use by another program`)
    expect(said).toContain(`PORT=${port + 1} npm start`)
  })

  it('waits for a database that is slow to begin with, and gives up on one that stays silent', async () => {
    const answers = [{ code: 'starting' }, { code: 'late' }, { code: 'late' }, { ok: true }]
    await waitReady(() => Promise.resolve({ ok: false, title: 'Late.', ...answers.shift() }), 1000)
    expect(answers).toEqual([])
    const late = () => Promise.resolve({ ok: false, code: 'late', title: 'The database does not answer in time.' })
    await expect(waitReady(late, 300)).rejects.toThrow('does not answer')
    const full = () => Promise.resolve({ ok: false, code: 'disk-full', title: 'The disk is full.' })
    await expect(waitReady(full)).rejects.toThrow('disk is full')
  })

  it('an empty shop stays empty on later starts', async () => {
    const data = folder()
    const first = await startServer({ root, data, args: ['--empty'] })
    await first.stop()
    const again = await startServer({ root, data })
    expect(await shops(again.env.WEMBRIC_TEST_URL)).toBe(false)
    await again.stop()
  })

  it('too little room is said before anything is begun', () => {
    expect(() => ensureRoom(root)).not.toThrow()
    expect(() => ensureRoom(root, Number.MAX_SAFE_INTEGER)).toThrow(/MB are free at/)
  })
})

describe('a server that is left alone', () => {
  /** CPU seconds and resident MB of a process so far. */
  const load = (pid: number) => {
    const fields = readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ')[1]!.split(' ')
    const rssKb = Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))![1])
    return { cpuS: (Number(fields[11]) + Number(fields[12])) / 100, mb: rssKb / 1024 }
  }
  const until = async (what: () => Promise<boolean>, words: string, ms = 120_000) => {
    for (const end = Date.now() + ms; Date.now() < end; await new Promise(done => setTimeout(done, 100)))
      if (await what().catch(() => false)) return
    throw new Error(words)
  }

  it('answers on when whoever reads its output dies, and a MariaDB that dies is back by itself', async () => {
    const data = folder()
    const server = await startServer({ root, data, args: ['--empty'] })
    const { WEMBRIC_TEST_URL: url } = server.env
    const ready = async () => (await fetch(`${url}/api/health/ready`)).ok
    server.child.stdout.destroy()
    server.child.stderr.destroy()
    // killed twice: each end and each return is a line that nobody reads
    for (let i = 0; i < 2; i++) {
      const before = databasePid(data)
      process.kill(before, 'SIGKILL')
      await until(async () => !(await ready()), 'it says that it is ready without a database')
      expect((await fetch(`${url}/api/setup`)).status).toBe(503)
      expect((await fetch(`${url}/api/health/live`)).status).toBe(200)
      await until(ready, 'MariaDB was not started again').catch((error: Error) => {
        throw new Error(`${error.message}: ${readFileSync(join(data, 'mariadb.log'), 'utf8').slice(-1500)}`)
      })
      expect(databasePid(data)).not.toBe(before)
    }
    const pid = server.child.pid!
    const before = load(pid)
    await new Promise(done => setTimeout(done, 3000))
    const after = load(pid)
    expect(after.cpuS - before.cpuS, 'CPU seconds in three').toBeLessThan(0.6)
    expect(after.mb).toBeLessThan(700)
    expect((await fetch(`${url}/api/health/live`)).status).toBe(200)
    await server.stop()
    expect(lives(databasePidOr(data))).toBe(false)
  })

  it('ends with its database when its terminal is closed', async () => {
    const data = folder()
    const server = await startServer({ root, data, args: ['--empty'] })
    const pid = databasePid(data)
    server.child.kill('SIGHUP')
    await new Promise(done => server.child.once('exit', done))
    await until(async () => !lives(pid), 'MariaDB is left running')
  })

  it('says how much is logged, and no more than can be read', () => {
    const lines: string[] = []
    let now = 0
    const log = boundedLog(
      (line: string) => lines.push(line),
      () => now,
    )
    for (let i = 0; i < 5000; i++) log(`line ${i}`)
    expect(lines).toHaveLength(60)
    now = 10_001
    log('later')
    expect(lines.slice(60)).toEqual(['(4940 more lines in ten seconds were left out)', 'later'])
  })

  it('a data folder that cannot be is named, with why and what to do', async () => {
    const file = join(folder(), 'file')
    writeFileSync(file, '')
    await expect(startDatabase(join(file, 'data'))).rejects.toThrow(/a file is in the way.*WEMBRIC_DATA=/)
  })

  it('room is looked for where the data will lie, also before the folder is there', () => {
    expect(() => ensureRoom(join(folder(), 'not', 'there', 'yet'))).not.toThrow()
  })

  it('a lead is told when the disk is nearly full', async () => {
    expect(await littleRoom('/proc')).toEqual({ freeMb: 0, urgent: true })
    expect(await littleRoom(join(folder(), 'nowhere'))).toBeNull()
  })
})

describe('a disk that fills up', () => {
  const disk = mountDisk(760)
  afterAll(() => disk && spawnSync('umount', ['-l', disk]))

  // where no disk may be mounted, it cannot be shown
  it.skipIf(!disk)(
    'refuses in words while it is full, loses nothing it took, and goes on once there is room',
    async () => {
      const server = await startServer({ root, data: join(disk!, 'data') })
      try {
        const ines = await new Client(server.env.WEMBRIC_TEST_URL).signIn('ines')
        const filler = join(disk!, 'filler')
        spawnSync('dd', ['if=/dev/zero', `of=${filler}`, 'bs=64k'])
        const owner = (n: number) =>
          ines.post<{ id: number }>('/api/customers', { name: `Owner ${n}`, contact: 'by letter '.repeat(10) })
        const taken: number[] = []
        let refused = 0
        for (let n = 0; n < 3000 && refused < 20; n++) {
          const { status, body } = await owner(n)
          if (status === 200 || status === 201) taken.push(body.id)
          else {
            expect(status).toBe(503)
            expect(body.title).toMatch(/disk .* is full.*Make room/)
            refused++
          }
        }
        expect(refused, 'it never filled').toBe(20)
        expect((await fetch(`${server.env.WEMBRIC_TEST_URL}/api/health/live`)).status).toBe(200)
        rmSync(filler)
        const after = await owner(9999)
        expect(after.status).toBeLessThan(300)
        const { body: all } = await ines.get<{ id: number }[]>('/api/customers')
        const kept = new Set(Object.values(all).map(o => (o as { id: number }).id))
        expect([...taken, after.body.id].filter(id => !kept.has(id))).toEqual([])
      } finally {
        await server.stop()
      }
    },
    120_000,
  )
})
