import { execFileSync, spawnSync } from 'node:child_process'
import { randomBytes } from 'node:crypto'
import { mkdtempSync, rmSync, statSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { type Connection, createConnection } from 'mysql2/promise'
import { bringBack } from '../../server/backup/bring-back'
import { makeBackup } from '../../server/backup/make'
import { migrate, newestMigration } from '../../server/database/migrate'
import { type DatabaseSettings, databaseSettings } from '../../server/database/pool'

const READINGS = 1_000_000
const PHOTOS = 2000
/** As a phone's photo is kept: packed already, so that nothing packs it further. */
const PHOTO_BYTES = 250_000
const GOAL = 1.5

async function within<T>(settings: DatabaseSettings, work: (connection: Connection) => Promise<T>): Promise<T> {
  const connection = await createConnection(settings)
  try {
    return await work(connection)
  } finally {
    await connection.end()
  }
}
/** A shop of many years, in tables as they are. */
async function fill(settings: DatabaseSettings): Promise<void> {
  await migrate(settings, process.cwd())
  await within(settings, async connection => {
    await connection.query("SET foreign_key_checks = 0, sql_mode = ''")
    await connection.query(
      `INSERT INTO readings (shop_id, job_id, valve_id, phase, round, clearance_lo_mm, clearance_hi_mm, verdict, proof)
       SELECT 1, seq DIV 8, CONCAT('valve-', seq MOD 8), IF(seq MOD 2, 'proved', 'as found'), 0,
         0.08 + (seq MOD 9) / 100, 0.1 + (seq MOD 9) / 100, 'in', 'pair' FROM seq_1_to_${READINGS}`,
    )
    for (let n = 1; n <= PHOTOS; n++)
      await connection.query(
        `INSERT INTO photos (shop_id, machine_id, job_id, caption, width, height, picture, small, person_id, made_at)
         VALUES (1, 1, ?, '', 1600, 1200, ?, ?, 1, UTC_TIMESTAMP(3))`,
        [n, randomBytes(PHOTO_BYTES), randomBytes(PHOTO_BYTES / 20)],
      )
  })
}
const seconds = async (work: () => unknown): Promise<number> => {
  const from = performance.now()
  await work()
  return (performance.now() - from) / 1000
}
function told(what: string, ours: number, bare: number): void {
  const ratio = ours / bare
  const figures = `${ours.toFixed(1)} s, bare ${bare.toFixed(1)} s, ratio ${ratio.toFixed(2)}`
  console.warn(`${what.padEnd(40)} ${figures} (goal ≤ ${GOAL}: ${ratio <= GOAL ? 'reached' : 'not reached'})`)
}
const megabytes = (file: string): string => `${Math.round(statSync(file).size / 1e6)} MB`

/** A backup and its restore against mariadb-dump and tar of the same tables, turn about. */
export async function benchBackup(): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'wembric-bench-backup-'))
  const own = databaseSettings(process.env, 'migration')
  const database = (name: string): DatabaseSettings => ({ ...own, database: `wembric_test_bench_${name}` })
  const anew = (name: string) =>
    within(own, async connection => {
      await connection.query(`DROP DATABASE IF EXISTS wembric_test_bench_${name}`)
      await connection.query(`CREATE DATABASE wembric_test_bench_${name} CHARACTER SET utf8mb4`)
    })
  const client = ['--no-defaults', '--protocol=tcp', `--host=${own.host}`, `--port=${own.port}`, `--user=${own.user}`]
  const env = { ...process.env, MYSQL_PWD: own.password }
  const shell = (line: string) => {
    const { status, stderr } = spawnSync('sh', ['-c', line], { env, encoding: 'utf8' })
    if (status !== 0) throw new Error(stderr)
  }
  try {
    await anew('full')
    await fill(database('full'))
    const made = join(folder, 'made.tar')
    const task = (password: string | null, path = made) => ({
      ...{ settings: database('full'), version: 'bench', migration: newestMigration(process.cwd()) },
      ...{ madeAt: new Date().toISOString(), letters: null, path, password },
    })
    const bareMake = await seconds(() => {
      shell(
        `mariadb-dump ${client.join(' ')} --single-transaction --quick wembric_test_bench_full > ${folder}/dump.sql`,
      )
      execFileSync('tar', ['-C', folder, '-cf', join(folder, 'dump.tar'), 'dump.sql'])
      // ours is not done before it is on the disk
      execFileSync('sync', [join(folder, 'dump.tar')])
    })
    const ourMake = await seconds(() => makeBackup(task(null)))
    told(`backup, ${megabytes(made)} (dump ${megabytes(join(folder, 'dump.tar'))})`, ourMake, bareMake)
    const sealed = join(folder, 'sealed.tar.age')
    told('backup, encrypted', await seconds(() => makeBackup(task('a password', sealed))), bareMake)
    await anew('bare')
    const bareBack = await seconds(() => {
      execFileSync('tar', ['-C', folder, '-xf', join(folder, 'dump.tar')])
      shell(`mariadb ${client.join(' ')} wembric_test_bench_bare < ${folder}/dump.sql`)
    })
    await anew('ours')
    const back = (path: string, password: string | null) =>
      bringBack({ settings: database('ours'), root: process.cwd(), path, password, letters: null })
    told('restore', await seconds(() => back(made, null)), bareBack)
    await anew('ours')
    told('restore, encrypted', await seconds(() => back(sealed, 'a password')), bareBack)
  } finally {
    for (const name of ['full', 'bare', 'ours'])
      await within(own, c => c.query(`DROP DATABASE IF EXISTS wembric_test_bench_${name}`))
    rmSync(folder, { recursive: true, force: true })
  }
}
