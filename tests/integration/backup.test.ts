import { execFileSync, spawn, spawnSync } from 'node:child_process'
import { createHash, randomBytes } from 'node:crypto'
import {
  copyFileSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  truncateSync,
  writeFileSync,
} from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { text } from 'node:stream/consumers'
import { gunzipSync } from 'node:zlib'
import { createConnection } from 'mysql2/promise'
import { pack } from 'tar-stream'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { openPromise } from 'yauzl'
// @ts-expect-error plain scripts
import { startServer } from '../../scripts/setup/server.mjs'
import { bringBack } from '../../server/backup/bring-back'
import { type Entry, openBackup } from '../../server/backup/file'
import { backupsIn, nameOf, surplus } from '../../server/backup/kept'
import { makeBackup } from '../../server/backup/make'
import { NOT_KEPT } from '../../server/backup/programs'
import { newestMigration } from '../../server/database/migrate'
import { type DatabaseSettings, databaseSettings } from '../../server/database/pool'
import { one } from '../../server/database/query'
import { isHalfRestored } from '../../server/database/tables'
import { insertPhoto } from '../../server/repositories/photos'
import { isNightDue } from '../../server/services/backups'
import type { BackupsResponse, RestoreResponse } from '../../shared/backups'
import { migrationSettings, pool } from '../support/database'
import { allRows } from '../support/rows'
import { Client } from '../support/server'
import { newMachine, openJob, unique } from '../support/shop-work'

const root = process.cwd()
const folder = mkdtempSync(join(tmpdir(), 'wembric-backup-'))
const letters = join(folder, 'letters')
const made = join(folder, 'made.tar')
const sealed = join(folder, 'sealed.tar.age')
const PASSWORD = 'a password of the shop'

const at = (path: string, password: string | null = null) => ({
  settings: databaseSettings(process.env, 'app'),
  version: '0.0.0-test',
  migration: newestMigration(root),
  madeAt: '2026-11-30T02:00:00.000Z',
  letters,
  path,
  password,
})
/** Databases that a test restores into; they go at the end. */
const databases: string[] = []
async function emptyDatabase(): Promise<DatabaseSettings> {
  const settings = { ...migrationSettings(), database: `wembric_test_${unique().toLowerCase().replaceAll(/\W/g, '')}` }
  const connection = await createConnection(migrationSettings())
  await connection.query(`CREATE DATABASE ${settings.database} CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci`)
  await connection.end()
  databases.push(settings.database)
  return settings
}
const back = (settings: DatabaseSettings, path: string, password: string | null = null, into: string | null = null) =>
  bringBack({ settings, root, path, password, letters: into })

beforeAll(async () => {
  mkdirSync(letters)
  writeFileSync(join(letters, 'told.eml'), 'To: an owner\n\nDue next week – grüß dich')
  const ines = await new Client().signIn('ines')
  const machine = await newMachine(ines)
  const job = (await openJob(ines, machine, null)).body.id
  await ines.answer(job, { type: 'note', payload: { text: `O’Neil; it’s "odd" \\ 100 % – ñ 测 🛠` } })
  // bytes of every kind: what a dump must not take for text
  const picture = Buffer.concat([Buffer.from(Array.from({ length: 256 }, (_, n) => n)), randomBytes(400_000)])
  const { shopId } = await one<{ shopId: number }>(pool, 'SELECT shop_id AS shopId FROM people WHERE id = ?', [
    ines.personId,
  ])
  await insertPhoto(pool, shopId, {
    ...{ machineId: machine.id, jobId: job, caption: 'by hand', width: 10, height: 10, personId: ines.personId },
    ...{ picture, small: picture.subarray(0, 900) },
  })
  await makeBackup(at(made))
  await makeBackup(at(sealed, PASSWORD))
})
afterAll(async () => {
  const connection = await createConnection(migrationSettings())
  for (const name of databases) await connection.query(`DROP DATABASE IF EXISTS ${name}`)
  await connection.end()
  await pool.end()
  rmSync(folder, { recursive: true, force: true })
})

describe('a backup', () => {
  it('brings back every row of every table and every letter; what hangs on the moment comes empty', async () => {
    const settings = await emptyDatabase()
    const into = join(folder, 'letters-back')
    await back(settings, made, null, into)
    const [was, is] = [await allRows(migrationSettings()), await allRows(settings)]
    expect([...is.keys()]).toEqual([...was.keys()].filter(name => name !== 'migration_steps' || is.has(name)))
    for (const [name, rows] of was) expect(is.get(name), name).toEqual(NOT_KEPT.includes(name) ? [] : rows)
    expect(was.get('photos')!.length).toBeGreaterThan(0)
    expect(readFileSync(join(into, 'told.eml'), 'utf8')).toBe(readFileSync(join(letters, 'told.eml'), 'utf8'))
  })
  it('is a tar file that any tar reads, with plain statements in it', () => {
    // GNU tar and gzip, programs of others
    const names = execFileSync('tar', ['-tf', made], { encoding: 'utf8' }).trim().split('\n')
    expect(names[0]).toBe('about.json')
    expect(names.at(-1)).toBe('end.json')
    expect(names).toContain('letters/told.eml')
    const statements = names
      .filter(name => name.startsWith('database/'))
      .map(name => `tar -xOf ${made} ${name} ${name.endsWith('.gz') ? '| gunzip' : ''}`)
      .map(command => spawnSync('sh', ['-c', command], { maxBuffer: 1e8 }).stdout.toString('latin1'))
      .join('')
    expect(statements).toContain('CREATE TABLE `machines`')
    expect(statements).not.toContain('INSERT INTO `sessions`')
  })
  it('of before 0.7.1, which has a SHA-256 in it, comes back; with one that is not its own, it does not', async () => {
    const backup = await openBackup(made, null)
    const sha = createHash('sha256')
    const older = { entries: [] as Entry[], pieces: 0, bytes: 0 }
    for await (const entry of backup.entries) {
      older.entries.push(entry)
      if (!entry.name.startsWith('database/')) continue
      const statements = entry.name.endsWith('.gz') ? gunzipSync(entry.bytes) : entry.bytes
      older.pieces++
      older.bytes += statements.length
      sha.update(statements)
    }
    const { sum: _, ...about } = backup.about
    const written = async (name: string, sha256: string): Promise<string> => {
      const tar = pack()
      tar.entry({ name: 'about.json' }, JSON.stringify(about))
      for (const { name: of, bytes } of older.entries) tar.entry({ name: of }, bytes)
      tar.entry({ name: 'end.json' }, JSON.stringify({ pieces: older.pieces, bytes: older.bytes, sha256 }))
      tar.finalize()
      const parts: Buffer[] = []
      for await (const part of tar) parts.push(part as Buffer)
      writeFileSync(join(folder, name), Buffer.concat(parts))
      return join(folder, name)
    }
    const digest = sha.digest('hex')
    const settings = await emptyDatabase()
    await back(settings, await written('older.tar', digest))
    expect((await allRows(settings)).get('events')).toEqual((await allRows(migrationSettings())).get('events'))
    const other = await emptyDatabase()
    await expect(back(other, await written('other.tar', digest.replace(/^./, 'x')))).rejects.toThrow(/damaged/)
    expect((await allRows(other)).size).toBe(0)
  })
  it('that is encrypted shows nothing, opens by its password, and says so of another or none', async () => {
    const bytes = readFileSync(sealed)
    expect(bytes.subarray(0, 22).toString()).toBe('age-encryption.org/v1\n')
    expect(bytes.includes('CREATE TABLE')).toBe(false)
    const settings = await emptyDatabase()
    await expect(back(settings, sealed)).rejects.toThrow(/is encrypted. Give its password/)
    await expect(back(settings, sealed, 'a password of others')).rejects.toThrow(/not the password/)
    expect((await allRows(settings)).size).toBe(0)
    await back(settings, sealed, PASSWORD)
    expect((await allRows(settings)).get('events')).toEqual((await allRows(migrationSettings())).get('events'))
  })
})

describe('a restore that cannot be', () => {
  const file = (name: string) => join(folder, name)
  it.each([0.02, 0.3, 0.7, 0.99])(
    'of a file that breaks off at %d: words, and no table is left',
    async share => {
      for (const [path, password] of [
        [made, null],
        [sealed, PASSWORD],
      ] as const) {
        copyFileSync(path, file('short.tar'))
        truncateSync(file('short.tar'), Math.floor(readFileSync(path).length * share))
        const settings = await emptyDatabase()
        await expect(back(settings, file('short.tar'), password)).rejects.toThrow(/damaged or breaks off|not a backup/)
        expect((await allRows(settings)).size).toBe(0)
      }
    },
    60_000,
  )
  it('of a file in which one byte is wrong: words, and no table is left', async () => {
    const bytes = readFileSync(made)
    const middle = Math.floor(bytes.length / 2)
    bytes[middle] = bytes[middle]! ^ 1
    writeFileSync(file('wrong.tar'), bytes)
    const settings = await emptyDatabase()
    await expect(back(settings, file('wrong.tar'))).rejects.toThrow(/damaged/)
    expect((await allRows(settings)).size).toBe(0)
  })
  it('of what is no backup, or not there', async () => {
    const settings = await emptyDatabase()
    writeFileSync(file('empty.tar'), '')
    writeFileSync(file('picture.tar'), randomBytes(5000))
    for (const name of ['empty.tar', 'picture.tar'])
      await expect(back(settings, file(name))).rejects.toThrow(/is not a backup of Wembric/)
    await expect(back(settings, file('nowhere.tar'))).rejects.toThrow(/There is no file/)
    await expect(back(settings, folder)).rejects.toThrow(/is not a backup of Wembric/)
  })
  it('of a newer version: it says which, before anything is touched', async () => {
    const tar = pack()
    tar.entry(
      { name: 'about.json' },
      JSON.stringify({ wembricBackup: 1, version: '9.1.0', migration: 9999, madeAt: at('').madeAt }),
    )
    tar.finalize()
    const parts: Buffer[] = []
    for await (const part of tar) parts.push(part as Buffer)
    writeFileSync(file('newer.tar'), Buffer.concat(parts))
    await expect(back(await emptyDatabase(), file('newer.tar'))).rejects.toThrow(/newer Wembric \(9.1.0\)/)
  })
  it('over live data: it refuses, and every row is as it was', async () => {
    const settings = await emptyDatabase()
    await back(settings, made)
    const before = await allRows(settings)
    await expect(back(settings, made)).rejects.toThrow(/has tables already. Nothing was changed/)
    expect(await allRows(settings)).toEqual(before)
  })
  it('that was killed half-way is known as such, and can be done again', async () => {
    const settings = await emptyDatabase()
    const connection = await createConnection(settings)
    // what a kill leaves: the mark, and some of the tables
    await connection.query('CREATE TABLE restore_in_progress (id TINYINT NOT NULL PRIMARY KEY)')
    await connection.query('CREATE TABLE shops (id INT)')
    await connection.end()
    expect(await isHalfRestored(settings)).toBe(true)
    await back(settings, made)
    expect(await isHalfRestored(settings)).toBe(false)
    expect((await allRows(settings)).get('shops')).toEqual((await allRows(migrationSettings())).get('shops'))
  })
})

describe('a disk that fills up while a backup is made', () => {
  it('says so, leaves nothing of it, and the shop goes on', async () => {
    const disk = join(folder, 'disk')
    mkdirSync(disk)
    if (spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=64k', 'tmpfs', disk]).status !== 0) return
    try {
      await expect(makeBackup(at(join(disk, 'made.tar')))).rejects.toThrow(/The disk is full/)
      expect(readdirSync(disk)).toEqual([])
    } finally {
      spawnSync('umount', [disk])
    }
  })
  it('a program that is missing, or a database that is away, is said too', async () => {
    const away = { ...at(join(folder, 'away.tar')), settings: { ...migrationSettings(), port: 1 } }
    await expect(makeBackup(away)).rejects.toThrow(/mariadb-dump could not do it. It says: .*connect/s)
    expect(readdirSync(folder).filter(name => name.startsWith('away'))).toEqual([])
  })
})

describe('nightly backups', () => {
  const nights = join(folder, 'nights')
  const keep = async (...days: string[]) => {
    rmSync(nights, { recursive: true, force: true })
    mkdirSync(nights)
    for (const day of days) writeFileSync(join(nights, nameOf('nightly', new Date(`${day}T10:00:00Z`), false)), 'x')
    writeFileSync(join(nights, 'a note of mine.txt'), 'x')
    return backupsIn(nights)
  }
  it('the last seven stay, and the last of each of four weeks before; those asked for always', async () => {
    const days = Array.from({ length: 60 }, (_, n) => new Date(Date.UTC(2026, 9, 2 + n)).toISOString().slice(0, 10))
    const files = await keep(...days)
    writeFileSync(join(nights, nameOf('asked', new Date('2026-01-01T00:00:00Z'), true)), 'x')
    const gone = new Set(surplus(await backupsIn(nights)).map(f => f.name))
    const stay = files.filter(f => !gone.has(f.name)).map(f => f.madeAt.slice(0, 10))
    // 30 November 2026 is a Monday: the Sundays before the last seven nights
    expect(stay).toEqual([
      ...['2026-11-30', '2026-11-29', '2026-11-28', '2026-11-27', '2026-11-26', '2026-11-25', '2026-11-24'],
      ...['2026-11-23', '2026-11-22', '2026-11-15', '2026-11-08'],
    ])
    expect((await backupsIn(nights)).find(f => f.kind === 'asked')).toMatchObject({ encrypted: true })
  })
  it('one a night by the shop’s clock, from two in the morning on, and once when the computer slept through it', async () => {
    const due = (now: string) => isNightDue(nights, 'America/Denver', new Date(now))
    await keep('2026-11-28')
    // in Denver it is seven hours earlier than in UTC
    expect(await due('2026-11-29T08:59:00Z')).toBe(false)
    expect(await due('2026-11-29T09:01:00Z')).toBe(true)
    expect(await due('2026-12-04T20:00:00Z')).toBe(true)
    expect(await due('2026-11-28T23:00:00Z')).toBe(false)
  })
  it('a clock that jumped ahead and back neither stops them nor throws the real ones away', async () => {
    const files = await keep('2034-01-01', '2026-11-28', '2026-11-27')
    expect(surplus(files)).toEqual([])
    expect(await isNightDue(nights, 'UTC', new Date('2026-11-29T10:00:00Z'))).toBe(true)
  })
})

describe('an owner, from the README alone', () => {
  /** Beside the tests, which go on hearing of their connections. */
  const npm = (script: string, data: string, args: string[] = [], env: Record<string, string> = {}) =>
    new Promise<{ status: number | null; stderr: string }>(done => {
      const child = spawn('npm', ['run', '--silent', script, '--', ...args], {
        env: { ...withoutWembric, WEMBRIC_DATA: data, WEMBRIC_NIGHTLY: 'off', ...env },
        stdio: ['ignore', 'ignore', 'pipe'],
      })
      let stderr = ''
      child.stderr.on('data', chunk => (stderr += String(chunk)))
      child.once('close', status => done({ status, stderr }))
    })
  const withoutWembric = Object.fromEntries(
    Object.entries(process.env).filter(([name]) => !name.startsWith('WEMBRIC_')),
  )
  const shop = { shop: 'Thistle Works', timeZone: 'America/Denver', unit: 'mm' }
  const lead = { name: 'Perrin', signIn: 'perrin', password: 'quillbrook-2' }

  it('backs up while working, restores on a new computer, and moves a shop as open files', async () => {
    const [first, second, third] = ['first', 'second', 'third'].map(name => join(folder, name)) as [
      string,
      string,
      string,
    ]
    const server = await startServer({ root, data: first, args: ['--empty'] })
    const perrin = new Client(server.env.WEMBRIC_TEST_URL)
    expect((await perrin.post('/api/setup', { ...shop, lead })).status).toBe(200)
    const machine = await newMachine(perrin)
    await perrin.post('/api/blade-sets', { name: 'Drawer', unit: 'mm', bladesMm: [0.1, 0.15] })

    // from the page: it begins, says how far it is, and is there
    expect((await perrin.post('/api/backups', { password: 'short' })).body.fields).toMatchObject([
      { field: 'password' },
    ])
    expect((await perrin.post('/api/backups', { password: '' })).status).toBe(200)
    const read = async () => (await perrin.get<BackupsResponse>('/api/backups')).body
    await expect.poll(async () => (await read()).files.length).toBe(1)
    const [file] = (await read()).files
    expect(Buffer.from(await perrin.bytes(`/api/backups/${file!.name}`))).toEqual(
      readFileSync(join(first, 'backups', file!.name)),
    )
    expect((await perrin.get('/api/backups/..%2Fsecrets.json')).status).toBe(404)
    // from the command line, beside the running server, into a folder of the owner's
    const stick = join(folder, 'stick')
    expect(await npm('backup', first, [stick], { WEMBRIC_BACKUP_PASSWORD: PASSWORD })).toMatchObject({ status: 0 })
    expect((await perrin.get('/api/session')).status).toBe(200)
    writeFileSync(join(folder, 'shop.zip'), await perrin.bytes('/api/shop-files'))
    await server.stop()

    const encrypted = join(stick, readdirSync(stick)[0]!)
    expect(await npm('restore', first, [encrypted], { WEMBRIC_BACKUP_PASSWORD: PASSWORD }).then(r => r.stderr)).toMatch(
      /there are data in/,
    )
    expect(
      await npm('restore', second, [encrypted], { WEMBRIC_BACKUP_PASSWORD: 'of another' }).then(r => r.stderr),
    ).toMatch(/not the password/)
    expect(await npm('restore', second, [encrypted], { WEMBRIC_BACKUP_PASSWORD: PASSWORD })).toMatchObject({
      status: 0,
    })
    const again = await startServer({ root, data: second })
    const returned = await new Client(again.env.WEMBRIC_TEST_URL).signIn(lead.signIn, lead.password)
    expect((await returned.get<{ name: string }>(`/api/machines/${machine.id}`)).status).toBe(200)
    await again.stop()

    const moved = await npm('restore', third, [join(folder, 'shop.zip')])
    const code = /under “I have a one-time code”: (\S+)/.exec(moved.stderr)?.[1]
    expect(code, moved.stderr).toBeTruthy()
    const there = await startServer({ root, data: third })
    const mover = new Client(there.env.WEMBRIC_TEST_URL)
    const chosen = { signIn: lead.signIn, code, next: 'quillbrook-3' }
    expect((await mover.post('/api/session/code', chosen)).status).toBe(200)
    // what is made again from the rest works there too: the spec book is searched
    const found = await mover.get<{ rows: { id: number }[] }>('/api/models?q=aged')
    expect(found.body.rows.map(m => m.id)).toContain(machine.modelId)
    const [was, is] = [await openFiles(join(folder, 'shop.zip')), await openFilesOf(mover)]
    for (const [name, content] of was)
      if (name.startsWith('json/') && !/people|shop_log/.test(name)) expect(is.get(name), name).toBe(content)
    await there.stop()
  })
})

describe('the first page of an empty server', () => {
  it('brings a backup back; a broken one leaves it empty, and nothing goes over a shop', async () => {
    const server = await startServer({ root, data: join(folder, 'page'), args: ['--empty'] })
    const url = server.env.WEMBRIC_TEST_URL as string
    const owner = new Client(url)
    const give = (bytes: Uint8Array) => owner.upload('/api/restore/file', bytes)
    const begin = (password: string) => owner.call('PUT', '/api/restore', { password })
    const state = async () => (await owner.get<RestoreResponse>('/api/restore')).body
    const ended = () => expect.poll(async () => (await state()).state).not.toBe('running')

    expect((await give(readFileSync(made).subarray(0, 20_000))).status).toBe(200)
    expect((await begin('')).status).toBe(200)
    await ended()
    expect(await state()).toMatchObject({
      state: 'failed',
      why: expect.stringMatching(/damaged or breaks off/) as string,
    })
    expect((await owner.get('/api/setup')).body).toEqual({ needed: true })

    await give(readFileSync(sealed))
    await begin('of another')
    await ended()
    expect(await state()).toMatchObject({ why: expect.stringMatching(/not the password/) as string })
    await give(readFileSync(sealed))
    await begin(PASSWORD)
    await ended()
    expect(await state()).toMatchObject({ state: 'done', madeAt: '2026-11-30T02:00:00.000Z' })
    const ines = await new Client(url).signIn('ines')
    expect((await ines.get('/api/bay')).status).toBe(200)
    expect((await give(readFileSync(made))).status).toBe(409)
    expect((await begin('')).status).toBe(409)
    await server.stop()
  })
})

async function openFiles(path: string): Promise<Map<string, string>> {
  const zip = await openPromise(path, { lazyEntries: true, autoClose: false })
  const files = new Map<string, string>()
  for await (const entry of zip.eachEntry())
    files.set(entry.fileName, await text(await zip.openReadStreamPromise(entry)))
  return files
}
async function openFilesOf(client: Client): Promise<Map<string, string>> {
  const path = join(folder, `${unique()}.zip`)
  writeFileSync(path, await client.bytes('/api/shop-files'))
  return openFiles(path)
}
