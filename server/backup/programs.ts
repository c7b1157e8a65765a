import { type ChildProcess, spawn } from 'node:child_process'
import type { Readable, Writable } from 'node:stream'
import { say } from '../../core/said'
import type { DatabaseSettings } from '../database/pool'
import { Problem } from '../problem'

/**
 * What hangs on the moment: sessions (their secret stays with its computer), guesses, answers to requests, and what is
 * left over of imported files. Their tables come empty.
 */
export const NOT_KEPT = [
  'asked_once',
  'migration_lease',
  'sessions',
  'sign_in_tries',
  'spec_import_chunks',
  'spec_import_rows',
]

/** Where the database is, for a program of MariaDB; the password goes by the environment, unseen by others. */
const at = ({ host, port, user }: DatabaseSettings) => [
  '--no-defaults',
  ...['--protocol=tcp', `--host=${host}`, `--port=${port}`, `--user=${user}`],
  '--default-character-set=utf8mb4',
]
const begin = (program: string, args: string[], { password }: DatabaseSettings): ChildProcess =>
  spawn(program, args, { stdio: ['pipe', 'pipe', 'pipe'], env: { ...process.env, MYSQL_PWD: password } })

/** Waits for its end. @throws Problem where it is not there, or says what failed */
function ended(child: ChildProcess, program: string): Promise<void> {
  let words = ''
  child.stderr!.on('data', chunk => (words = (words + String(chunk)).slice(-600)))
  return new Promise((done, fail) => {
    child.once('error', () => fail(new Problem('no-program', say('backup.no-program', { program }))))
    child.once('close', code => {
      if (code === 0) return done()
      fail(new Problem('backup-failed', say('backup.program-failed', { program, words: words.trim() })))
    })
  })
}

/** All statements that make a database again, as it was at one moment, while others go on writing. */
export function dump(settings: DatabaseSettings): { out: Readable; ended: Promise<void>; stop: () => void } {
  const { database } = settings
  const child = begin(
    'mariadb-dump',
    [
      ...at(settings),
      ...['--single-transaction', '--quick', '--skip-lock-tables', '--skip-add-locks', '--skip-disable-keys'],
      ...['--no-tablespaces', '--skip-triggers', '--skip-dump-date'],
      ...NOT_KEPT.map(table => `--ignore-table-data=${database}.${table}`),
      database,
    ],
    settings,
  )
  child.stdin!.end()
  return { out: child.stdout!, ended: ended(child, 'mariadb-dump'), stop: () => child.kill() }
}

/** Takes statements in. */
export function load(settings: DatabaseSettings): { take: Writable; ended: Promise<void>; stop: () => void } {
  const child = begin('mariadb', [...at(settings), '--binary-mode', '--batch', settings.database], settings)
  child.stdout!.resume()
  child.stdin!.on('error', () => {})
  return { take: child.stdin!, ended: ended(child, 'mariadb'), stop: () => child.kill() }
}
