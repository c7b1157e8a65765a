import { type ChildProcess, execFileSync, spawn } from 'node:child_process'
import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { setTimeout as sleep } from 'node:timers/promises'
import { createConnection, type RowDataPacket } from 'mysql2/promise'
import { amongNodes, forServers, NODES, type Nth, space } from './network'

export const PASSWORD = 'of-this-run'
const PROVIDER = '/usr/lib/galera/libgalera_smm.so'
const running = new Map<Nth, ChildProcess>()

const filesOf = (folder: string, n: Nth): string => join(folder, `node-${n}`)
/** Both accounts, as `npm start` makes them. */
function accounts(folder: string): string {
  const file = join(folder, 'accounts.sql')
  const account = (name: string, rights: string) => [
    `CREATE USER IF NOT EXISTS '${name}'@'%' IDENTIFIED BY '${PASSWORD}';`,
    `GRANT ${rights} ON wembric.* TO '${name}'@'%';`,
  ]
  const lines = [
    'CREATE DATABASE IF NOT EXISTS wembric CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci;',
    ...account('wembric_app', 'SELECT, INSERT, UPDATE, DELETE'),
    ...account('wembric_migration', 'ALL PRIVILEGES'),
  ]
  writeFileSync(file, `${lines.join('\n')}\n`)
  return file
}

/** Starts a node; the first of all begins the cluster, the others join it. */
export function startNode(folder: string, n: Nth, first = false): void {
  const files = filesOf(folder, n)
  if (!existsSync(files))
    execFileSync(
      'mariadb-install-db',
      [
        '--no-defaults',
        `--datadir=${files}`,
        '--auth-root-authentication-method=socket',
        '--skip-test-db',
        '--user=mysql',
      ],
      { stdio: 'ignore' },
    )
  const child = spawn(
    'ip',
    [
      ...['netns', 'exec', space(n), 'mariadbd', '--no-defaults', '--user=mysql'],
      `--datadir=${files}`,
      `--socket=${join(folder, `node-${n}.sock`)}`,
      `--pid-file=${join(folder, `node-${n}.pid`)}`,
      `--log-error=${join(folder, `node-${n}.log`)}`,
      ...['--port=3306', '--bind-address=0.0.0.0', '--skip-name-resolve', '--performance-schema=OFF'],
      ...['--character-set-server=utf8mb4', '--collation-server=utf8mb4_unicode_ci', '--default-time-zone=+00:00'],
      ...['--binlog-format=ROW', '--innodb-autoinc-lock-mode=2', '--innodb-buffer-pool-size=128M'],
      ...['--wsrep-on=ON', `--wsrep-provider=${PROVIDER}`, '--wsrep-cluster-name=wembric', '--wsrep-sst-method=rsync'],
      `--wsrep-cluster-address=gcomm://${NODES.map(amongNodes).join(',')}`,
      `--wsrep-node-address=${amongNodes(n)}`,
      `--wsrep-node-name=node-${n}`,
      ...(first ? ['--wsrep-new-cluster', `--init-file=${accounts(folder)}`] : []),
    ],
    { stdio: 'ignore' },
  )
  running.set(n, child)
}
/** The process of MariaDB itself; null where it did not come so far. */
function pidOf(folder: string, n: Nth): number | null {
  const file = join(folder, `node-${n}.pid`)
  return existsSync(file) ? Number(readFileSync(file, 'utf8')) : null
}

/** Ends a node without a word, as a computer that loses its current. */
export function killNode(folder: string, n: Nth): void {
  process.kill(pidOf(folder, n)!, 'SIGKILL')
  running.delete(n)
}
export async function stopNodes(folder: string): Promise<void> {
  for (const n of [3, 2, 1] as const) {
    const child = running.get(n)
    const pid = pidOf(folder, n)
    if (!child || child.exitCode !== null || pid === null) continue
    process.kill(pid, 'SIGTERM')
    await new Promise(done => child.once('exit', done))
  }
}

/** What a node says of itself. */
export async function stateOf(n: Nth): Promise<{ state: string; size: number }> {
  const connection = await createConnection({
    ...{ host: forServers(n), user: 'wembric_app', password: PASSWORD, database: 'wembric', connectTimeout: 1000 },
  })
  try {
    const [rows] = await connection.query<RowDataPacket[]>(
      "SHOW STATUS WHERE Variable_name IN ('wsrep_local_state_comment', 'wsrep_cluster_size')",
    )
    const of = (name: string) => String(rows.find(r => r.Variable_name === name)?.Value)
    return { state: of('wsrep_local_state_comment'), size: Number(of('wsrep_cluster_size')) }
  } finally {
    connection.destroy()
  }
}
function lastWords(folder: string, n: Nth): string {
  const log = join(folder, `node-${n}.log`)
  return existsSync(log) ? readFileSync(log, 'utf8').slice(-3000) : 'it left no log'
}
/** Waits until a node is one of so many, and has all they have. @returns how long that took, s */
export async function waitSynced(folder: string, n: Nth, size: number, patienceS = 120): Promise<number> {
  const from = Date.now()
  for (;;) {
    const seen = await stateOf(n).catch(() => null)
    if (seen?.state === 'Synced' && seen.size === size) return (Date.now() - from) / 1000
    if (Date.now() - from > patienceS * 1000)
      throw new Error(`node ${n} did not come (${JSON.stringify(seen)}):\n${lastWords(folder, n)}`)
    await sleep(200)
  }
}
