import { cpSync, mkdirSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { createConnection } from 'mysql2/promise'
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest'
// @ts-expect-error plain scripts
import { startDatabase } from '../../scripts/setup/database.mjs'
import { databaseSettings, openPool } from '../../server/database/pool'
import type { Pool } from '../../server/database/query'
import { loadDemo } from '../../server/demo'
import { noted } from '../../server/repositories/installation'
import { upgrade } from '../../server/services/upgrade'
import { allRows } from '../support/rows'

const folder = mkdtempSync(join(tmpdir(), 'wembric-upgrade-'))
const data = join(folder, 'data')
const NOW = new Date('2026-11-30T12:00:00Z')
const migration = () => databaseSettings(process.env, 'migration')
let database: { env: Record<string, string>; stop: () => Promise<void> }
let pool: Pool

/** A version of the application: its number, and the migrations it has beyond those of today. */
function version(number: string, more: Record<string, string> = {}, without = 0): void {
  const root = join(folder, `wembric-${number}`)
  const to = join(root, 'server/database/migrations')
  mkdirSync(to, { recursive: true })
  const from = join(process.cwd(), 'server/database/migrations')
  const names = readdirSync(from).sort()
  for (const name of names.slice(0, names.length - without)) cpSync(join(from, name), join(to, name))
  for (const [name, script] of Object.entries(more)) writeFileSync(join(to, name), script)
  writeFileSync(join(root, 'package.json'), JSON.stringify({ version: number }))
  writeFileSync(join(root, 'CHANGELOG.md'), `# Changelog\n\n## ${number}\n\n- The kettle whistles in ${number}.\n`)
  process.env.WEMBRIC_ROOT = root
}
const backups = () => readdirSync(join(data, 'backups')).filter(name => name.includes('-upgrade'))
const GOOD = { '9001.do.kettle.sql': 'ALTER TABLE shops ADD COLUMN IF NOT EXISTS kettle INT NOT NULL DEFAULT 3;\n' }
/** It takes something away that the former version reads, then fails. */
const BAD = {
  ...GOOD,
  '9002.do.broken.sql':
    "UPDATE shops SET name = 'spoilt';\nALTER TABLE shops DROP COLUMN valve_minutes;\nALTER TABLE nowhere ADD COLUMN x INT;\n",
}

beforeAll(async () => {
  // a database of its own, not the one that the other tests use
  delete process.env.WEMBRIC_DB_PORT
  database = await startDatabase(data, false)
  Object.assign(process.env, database.env, { WEMBRIC_DATA: data })
  delete process.env.WEMBRIC_DB_NAME
  pool = openPool(databaseSettings(process.env, 'app'))
  vi.spyOn(console, 'error').mockImplementation(() => {})
})
afterAll(async () => {
  await pool.end()
  await database.stop()
  rmSync(folder, { recursive: true, force: true })
})

describe('an upgrade', () => {
  it('of nothing is no upgrade: no backup is made of an empty database', async () => {
    version('1.0.0')
    await upgrade(pool, NOW)
    await loadDemo(pool, NOW)
    expect(() => backups()).toThrow()
  })
  it('makes a backup first, brings the tables further, and says what changed', async () => {
    const said = vi.spyOn(console, 'warn').mockImplementation(() => {})
    version('1.1.0', GOOD)
    await upgrade(pool, NOW)
    expect(backups()).toEqual(['wembric-20261130T120000Z-upgrade.tar'])
    expect((await allRows(migration())).get('shops')![0]).toMatch(/\|3$/)
    expect(said.mock.calls.flat().join('\n')).toContain('The kettle whistles in 1.1.0.')
    expect(await noted(pool, 'version-before')).toMatchObject({ value: '1.0.0' })
    said.mockClear()
    await upgrade(pool, NOW)
    expect(said).not.toHaveBeenCalled()
  })
  it('that fails in the middle leaves every row as it was, and the version before starts on it', async () => {
    const before = await allRows(migration())
    version('1.2.0', BAD)
    await expect(upgrade(pool, new Date('2026-11-30T13:00:00Z'))).rejects.toThrow(
      /The upgrade to 1.2.0 failed, and the data are as they were before. Start the former version again/,
    )
    const after = await allRows(migration())
    // where it came to is no record of the shop
    for (const [name, rows] of before)
      if (!['migration_steps', 'sessions'].includes(name)) expect(after.get(name), name).toEqual(rows)
    version('1.1.0', GOOD)
    await upgrade(pool, NOW)
    expect((await allRows(migration())).get('shops')).toEqual(before.get('shops'))
  })
  it('is not done where there is no room for its backup: the tables are not touched', async () => {
    const before = await allRows(migration())
    version('1.3.0', { ...GOOD, '9003.do.cup.sql': 'CREATE TABLE cup (id INT PRIMARY KEY) ENGINE = InnoDB;\n' })
    process.env.WEMBRIC_BACKUPS = join(data, 'mariadb.log', 'no-folder')
    await expect(upgrade(pool, NOW)).rejects.toThrow(/The backup was not made/)
    delete process.env.WEMBRIC_BACKUPS
    expect(await allRows(migration())).toEqual(before)
  })
  it('data of a newer version are left alone, with words', async () => {
    version('1.0.0')
    await expect(upgrade(pool, NOW)).rejects.toThrow(/last used by a newer Wembric \(1.1.0\). Nothing was changed/)
  })
  it('a database into which a restore was cut off is not taken for whole', async () => {
    version('1.1.0', GOOD)
    const connection = await createConnection(migration())
    await connection.query('CREATE TABLE restore_in_progress (id INT PRIMARY KEY)')
    await expect(upgrade(pool, NOW)).rejects.toThrow(/was cut off, and it is not whole/)
    await connection.query('DROP TABLE restore_in_progress')
    await connection.end()
  })
})
