import { spawn, spawnSync } from 'node:child_process'
import { randomBytes } from 'node:crypto'
import {
  accessSync,
  constants,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { existingDatabase } from './existing-database.mjs'
import { freePort } from './ports.mjs'
import { StopWithWords } from './say.mjs'

const asRoot = process.getuid?.() === 0
const userArgs = asRoot ? ['--user=root'] : []
const pause = ms => new Promise(resolve => setTimeout(resolve, ms))

/** Passwords and the session secret of this data folder, made once, readable by its owner alone. */
export function secretsOf(data) {
  const file = join(data, 'secrets.json')
  if (!existsSync(file)) {
    const secret = () => randomBytes(32).toString('hex')
    writeFileSync(file, JSON.stringify({ app: secret(), migration: secret(), session: secret() }), { mode: 0o600 })
  }
  return JSON.parse(readFileSync(file, 'utf8'))
}

/** Makes the database files under another name first, so that a broken start is never taken for a good one. */
function ensureFiles(data) {
  const files = join(data, 'mariadb')
  if (existsSync(files)) return files
  const making = join(data, 'mariadb.making')
  rmSync(making, { recursive: true, force: true })
  // a folder of its own for what it needs meanwhile: a database that starts clears away what lies in a shared one
  const meanwhile = mkdtempSync(join(tmpdir(), 'wembric-'))
  const made = spawnSync(
    'mariadb-install-db',
    ['--no-defaults', `--datadir=${making}`, '--auth-root-authentication-method=socket', '--skip-test-db', ...userArgs],
    { encoding: 'utf8', env: { ...process.env, TMPDIR: meanwhile } },
  )
  rmSync(meanwhile, { recursive: true, force: true })
  if (made.status !== 0) throw new StopWithWords(`the database files could not be made:\n${made.stderr || made.stdout}`)
  renameSync(making, files)
  return files
}

/** Both accounts, made or brought to this folder's passwords; one statement a line, as the server wants it. */
function accountsFile(data, { app, migration }) {
  const file = join(data, 'accounts.sql')
  const account = (name, password, rights) =>
    ['127.0.0.1', 'localhost'].flatMap(host => [
      `CREATE USER IF NOT EXISTS '${name}'@'${host}';`,
      `ALTER USER '${name}'@'${host}' IDENTIFIED BY '${password}';`,
      `GRANT ${rights} ON wembric.* TO '${name}'@'${host}';`,
    ])
  writeFileSync(
    file,
    [
      'CREATE DATABASE IF NOT EXISTS wembric CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci;',
      ...account('wembric_app', app, 'SELECT, INSERT, UPDATE, DELETE'),
      ...account('wembric_migration', migration, 'ALL PRIVILEGES'),
      // databases that tests make and drop
      ...['127.0.0.1', 'localhost'].map(
        host => `GRANT ALL PRIVILEGES ON \`wembric\\_test%\`.* TO 'wembric_migration'@'${host}';`,
      ),
    ].join('\n') + '\n',
    { mode: 0o600 },
  )
  return file
}

/** What was written down of a server; nothing where there is none, or where a power cut left half of it. */
function serverNoted(data) {
  try {
    return JSON.parse(readFileSync(join(data, 'mariadb.json'), 'utf8'))
  } catch {
    return {}
  }
}

/** The process of our own MariaDB on this data folder, if one still runs: a killed parent leaves it behind. */
function runningServer(data) {
  const { pid, port } = serverNoted(data)
  try {
    const commandLine = readFileSync(`/proc/${pid}/cmdline`, 'utf8')
    return commandLine.includes('mariadbd') && commandLine.includes(join(data, 'mariadb')) ? { pid, port } : null
  } catch {
    return null
  }
}

/** Whether a MariaDB answers at a port, asked so many times, and no longer than `lives` says that it is worth it. */
async function answers(port, password, tries, lives = () => true) {
  const { createConnection } = await import('mysql2/promise')
  for (let i = 0; i < tries && lives(); i++) {
    try {
      const connection = await createConnection({
        host: '127.0.0.1',
        port,
        user: 'wembric_app',
        password,
        database: 'wembric',
        connectTimeout: 2000,
      })
      await connection.end()
      return true
    } catch {
      await pause(250)
    }
  }
  return false
}

async function stopProcess(pid) {
  try {
    process.kill(pid, 'SIGTERM')
  } catch {
    return
  }
  for (let i = 0; i < 120; i++) {
    try {
      process.kill(pid, 0)
    } catch {
      return
    }
    // a child that has ended but was not yet collected still answers to kill
    if (existsSync(`/proc/${pid}/stat`) && readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ')[1]?.startsWith('Z'))
      return
    await pause(100)
  }
}

const MOST_LOG_BYTES = 5e6
/** MariaDB's own log: a long one makes way for a new one, and one former is kept. */
function rotateLog(data) {
  const log = join(data, 'mariadb.log')
  if (existsSync(log) && statSync(log).size > MOST_LOG_BYTES) renameSync(log, `${log}.1`)
}

/** What was written down of a server is gone with it: its socket lay outside of the data, where paths are short. */
function forgetServer(data) {
  const { socketFolder } = serverNoted(data)
  if (socketFolder) rmSync(socketFolder, { recursive: true, force: true })
  rmSync(join(data, 'mariadb.json'), { force: true })
}

function launch(data, files, port, secrets) {
  rotateLog(data)
  forgetServer(data)
  const socketFolder = mkdtempSync(join(tmpdir(), 'wembric-'))
  const child = spawn(
    'mariadbd',
    [
      '--no-defaults',
      `--datadir=${files}`,
      `--socket=${join(socketFolder, 's')}`,
      `--pid-file=${join(socketFolder, 'pid')}`,
      `--port=${port}`,
      '--bind-address=127.0.0.1',
      '--skip-name-resolve',
      '--skip-log-bin',
      '--performance-schema=OFF',
      '--character-set-server=utf8mb4',
      '--collation-server=utf8mb4_unicode_ci',
      '--sql-mode=STRICT_ALL_TABLES,NO_ZERO_DATE,NO_ZERO_IN_DATE,ERROR_FOR_DIVISION_BY_ZERO,NO_ENGINE_SUBSTITUTION',
      '--default-time-zone=+00:00',
      '--innodb-buffer-pool-size=128M',
      `--init-file=${accountsFile(data, secrets)}`,
      `--log-error=${join(data, 'mariadb.log')}`,
      ...userArgs,
    ],
    { stdio: 'ignore', detached: true },
  )
  writeFileSync(join(data, 'mariadb.json'), JSON.stringify({ pid: child.pid, port, socketFolder }))
  return child
}

const lastWords = data => {
  const log = join(data, 'mariadb.log')
  return existsSync(log) ? readFileSync(log, 'utf8').split('\n').slice(-8).join('\n') : 'it left no log'
}

/** The programs of MariaDB that are wanted: its server where it is our own, and in any case what makes backups. */
export const databasePrograms = () => [
  ...(process.env.WEMBRIC_DB_URL ? [] : ['mariadbd', 'mariadb-install-db']),
  ...['mariadb-dump', 'mariadb'],
]

const LOOK_EVERY_MS = 500
const LONGEST_PAUSE_MS = 60_000
/** One that ran for so long before it ended is started again at once. */
const STEADY_MS = 60_000

const isRunning = pid => {
  try {
    return !readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ')[1]?.startsWith('Z')
  } catch {
    return false
  }
}

/**
 * Watches our own MariaDB and starts it again whenever it ends, after pauses that grow while it does not stay up.
 * @param server its `pid` and `port`; the pid is kept up to date
 * @returns how to stop watching
 */
function watchDatabase(data, secrets, server) {
  let stopped = false
  let timer
  let failures = 0
  let since = Date.now()
  const later = ms => {
    if (!stopped) timer = setTimeout(look, ms)
  }
  async function look() {
    if (isRunning(server.pid)) return later(LOOK_EVERY_MS)
    failures = Date.now() - since > STEADY_MS ? 0 : failures + 1
    const pauseMs = failures === 0 ? 0 : Math.min(500 * 2 ** failures, LONGEST_PAUSE_MS)
    console.error(
      `wembric  MariaDB stopped (log: ${join(data, 'mariadb.log')}). Starting it again${pauseMs ? ` in ${pauseMs / 1000} s` : ''}.`,
    )
    await pause(pauseMs)
    if (stopped) return
    since = Date.now()
    server.pid = launch(data, join(data, 'mariadb'), server.port, secrets).pid
    if (await answers(server.port, secrets.app, 240, () => isRunning(server.pid)))
      console.error('wembric  MariaDB is running again.')
    later(LOOK_EVERY_MS)
  }
  later(LOOK_EVERY_MS)
  return () => {
    stopped = true
    clearTimeout(timer)
  }
}

/** Makes the data folder, or says why it cannot be. */
function ensureFolder(data) {
  try {
    mkdirSync(data, { recursive: true })
    accessSync(data, constants.W_OK)
  } catch (error) {
    const why = {
      EACCES: 'this account may not write there',
      EROFS: 'the disk is read-only',
      ENOTDIR: 'a file is in the way',
      EEXIST: 'a file is in the way',
      ENOSPC: 'the disk is full',
    }[error.code]
    throw new StopWithWords(
      `the data folder ${data} cannot be used: ${why ?? error.message}. Make it writable, or use another folder: WEMBRIC_DATA=/path npm start`,
    )
  }
}

/**
 * Starts MariaDB on this data folder, or takes over the one that still runs there; where WEMBRIC_DB_URL names another,
 * that is used.
 * Our own is watched while we live, and started again when it ends.
 * @param watch false for a short errand
 * @returns the environment for the application, whether it ran already, and how to stop it
 */
export async function startDatabase(data, watch = true) {
  ensureFolder(data)
  const secrets = secretsOf(data)
  if (process.env.WEMBRIC_DB_URL) return existingDatabase(secrets.session)
  const running = runningServer(data)
  let pid = running?.pid
  let port = running?.port
  const found = running !== null && (await answers(port, secrets.app, 8))
  if (!found) {
    if (running) await stopProcess(running.pid)
    const files = ensureFiles(data)
    port = Number(process.env.WEMBRIC_DB_PORT) || (await freePort())
    pid = launch(data, files, port, secrets).pid
    if (!(await answers(port, secrets.app, 240)))
      throw new StopWithWords(
        `MariaDB did not start within a minute. The end of its log (${join(data, 'mariadb.log')}):\n${lastWords(data)}`,
      )
  }
  const server = { pid, port }
  const stopWatching = watch ? watchDatabase(data, secrets, server) : () => {}
  return {
    found,
    env: {
      WEMBRIC_DB_PORT: String(port),
      WEMBRIC_DB_APP_PASSWORD: secrets.app,
      WEMBRIC_DB_MIGRATION_PASSWORD: secrets.migration,
      WEMBRIC_SESSION_SECRET: process.env.WEMBRIC_SESSION_SECRET ?? secrets.session,
    },
    async stop() {
      stopWatching()
      await stopProcess(server.pid)
      forgetServer(data)
    },
  }
}
