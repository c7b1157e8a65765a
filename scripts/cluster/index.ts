// npm run cluster, in its own network: see scripts/cluster.mjs
import { join } from 'node:path'
import { setTimeout as sleep } from 'node:timers/promises'
import { createConnection, type RowDataPacket } from 'mysql2/promise'
import { Client } from '../../tests/support/server'
import { newMachine, openJob } from '../../tests/support/shop-work'
import { percentile } from '../percentile'
// @ts-expect-error a plain script, shared with the start command
import { startServer } from '../setup/server.mjs'
import { type Door, type LoadCounts, noCounts, write, type Writer } from './load'
import { cut, forServers, makeNetworks, mend, NODES, type Nth, removeNetworks } from './network'
import { hear } from './news'
import { killNode, PASSWORD, startNode, stateOf, stopNodes, waitSynced } from './nodes'

const given = JSON.parse(process.env.WEMBRIC_CLUSTER ?? '{}') as {
  folder: string
  seconds: number
  writers: number
  seed: number
}
const root = process.cwd()
const say = (text: string) => console.log(text)
interface Server extends Door {
  stop: () => Promise<void>
  kill: () => void
  said: () => string
}
/** A server of the application, unchanged, on one node. */
async function server(name: string, n: Nth, demo: boolean): Promise<Server> {
  const url = (account: string) => `mysql://wembric_${account}:${PASSWORD}@${forServers(n)}:3306/wembric`
  const made = await startServer({
    ...{ root, data: join(given.folder, name), args: demo ? [] : ['--empty'] },
    env: {
      WEMBRIC_DB_URL: url('app'),
      WEMBRIC_MIGRATION_DB_URL: url('migration'),
      // both open each other's sessions
      WEMBRIC_SESSION_SECRET: 'one secret for all servers of this run',
    },
  })
  return {
    ...{ name, url: made.env.WEMBRIC_TEST_URL as string, stop: made.stop as () => Promise<void> },
    kill: () => void made.child.kill('SIGKILL'),
    said: made.said as () => string,
  }
}
const ms = (value: number): string => `${Math.round(value)} ms`

/** Runs load for a while, with something that happens in the middle of it. */
async function under(what: string, writers: Writer[], all: LoadCounts, happening: () => Promise<void>): Promise<void> {
  const counts = noCounts()
  let on = true
  const writing = writers.map(writer => write(writer, counts, () => on))
  await sleep((given.seconds * 1000) / 12)
  await happening()
  await sleep((given.seconds * 1000) / 12)
  on = false
  await Promise.all(writing)
  const taken = `${counts.acknowledged.size} of ${counts.sent} answers taken`
  const replies = `replies ${JSON.stringify(counts.byStatus)}, odd ${counts.odd.length}`
  const took = `at once p50 ${ms(percentile(counts.took, 50))}, p99 ${ms(percentile(counts.took, 99))}`
  say(`${what}: ${taken}, ${replies}; ${took}; the longest wait ${(counts.longestMs / 1000).toFixed(1)} s`)
  all.sent += counts.sent
  all.odd.push(...counts.odd)
  for (const [id, at] of counts.acknowledged) all.acknowledged.set(id, at)
}

/** The log as a node has it: by job, the numbers in order and the ids. */
async function logOf(n: Nth): Promise<Map<string, { jobId: number; seq: number }>> {
  const connection = await createConnection({
    ...{ host: forServers(n), user: 'wembric_app', password: PASSWORD, database: 'wembric' },
  })
  const [rows] = await connection.query<RowDataPacket[]>('SELECT id, job_id, seq FROM events ORDER BY job_id, seq')
  await connection.end()
  return new Map(rows.map(r => [r.id as string, { jobId: r.job_id as number, seq: r.seq as number }]))
}
function holesIn(log: Map<string, { jobId: number; seq: number }>): number {
  const jobs = new Map<number, number[]>()
  for (const { jobId, seq } of log.values()) jobs.set(jobId, [...(jobs.get(jobId) ?? []), seq])
  return [...jobs.values()].filter(seqs => seqs.some((seq, i) => seq !== i + 1)).length
}

makeNetworks()
let a: Server | null = null
let b: Server | null = null
try {
  startNode(given.folder, 1, true)
  await waitSynced(given.folder, 1, 1)
  startNode(given.folder, 2)
  await waitSynced(given.folder, 2, 2)
  startNode(given.folder, 3)
  await waitSynced(given.folder, 3, 3)
  say('three nodes are one cluster')
  a = await server('a', 1, true)
  b = await server('b', 3, true)
  say(`two servers: a on node 1, b on node 3`)

  const ines = await new Client(a.url).signIn('ines')
  const writers: Writer[] = []
  for (let n = 0; n < given.writers; n++) {
    const job = (await openJob(ines, await newMachine(ines), null)).body.id
    // half of them begin at the one server, half at the other; two share each job
    const doors = n % 2 ? [b, a] : [a, b]
    for (const order of [doors, [...doors].reverse()])
      writers.push({ jobId: job, cookie: ines.cookie, personId: ines.personId, doors: order })
  }
  const all = noCounts()

  const news = hear(b.url, ines.cookie)
  await sleep(1500)
  const late: number[] = []
  for (let n = 0; n < 40; n++) {
    const { jobId } = writers[n % writers.length]!
    const { seq } = (
      await ines.answer<{ event: { seq: number } }>(jobId, { type: 'note', payload: { text: `news ${n}` } })
    ).body.event
    const from = performance.now()
    let at: number | null = null
    while ((at = news.at(jobId, seq)) === null && performance.now() - from < 5000) await sleep(5)
    late.push((at ?? Infinity) - from)
    await sleep(Math.random() * 200)
  }
  say(`news of the other server: p50 ${ms(percentile(late, 50))}, the latest ${ms(Math.max(...late))} (goal 1000 ms)`)
  news.stop()

  await under('nothing happens', writers, all, async () => {})
  await under('a database node is killed', writers, all, async () => {
    killNode(given.folder, 2)
    await sleep(5000)
  })
  await under('it joins again', writers, all, async () => {
    startNode(given.folder, 2)
    say(`  node 2 has all again after ${(await waitSynced(given.folder, 2, 3)).toFixed(1)} s`)
  })
  await under('the node of a server is killed', writers, all, async () => {
    killNode(given.folder, 3)
    await sleep(8000)
  })
  await under('it joins again', writers, all, async () => {
    startNode(given.folder, 3)
    say(`  node 3 has all again after ${(await waitSynced(given.folder, 3, 3)).toFixed(1)} s`)
  })
  await under('a server is killed', writers, all, async () => {
    b!.kill()
    await sleep(4000)
  })
  b = await server('b', 3, true)
  for (const writer of writers) writer.doors = writer.doors.map(door => (door.name === 'b' ? b! : door))
  await under('a node is cut off from the others, its server still reaches it', writers, all, async () => {
    cut(3)
    await sleep(12_000)
    say(`  node 3 says ${JSON.stringify(await stateOf(3).catch((e: Error) => e.message))}`)
  })
  await under('the cut is mended', writers, all, async () => {
    mend(3)
    say(`  node 3 has all again after ${(await waitSynced(given.folder, 3, 3)).toFixed(1)} s`)
  })

  await sleep(1500)
  const logs = await Promise.all(NODES.map(logOf))
  const lost = [...all.acknowledged].filter(([id, at]) => {
    const found = logs[0]!.get(id)
    return found?.jobId !== at.jobId || found.seq !== at.seq
  }).length
  const alike = logs.every(log => log.size === logs[0]!.size && [...log.keys()].every(id => logs[0]!.has(id)))
  const holes = holesIn(logs[0]!)
  say(`in all: ${all.sent} answers, ${all.acknowledged.size} acknowledged; odd replies ${all.odd.length}`)
  say(`lost ${lost}, logs with a hole ${holes}, the three nodes have ${alike ? 'the same' : 'different'} rows`)
  for (const words of all.odd.slice(0, 10)) say(`  ${words}`)
  // what the servers told of it
  if (all.odd.length) for (const { name, said } of [a, b]) say(`${name}: ${said().slice(-2000)}`)
  if (lost || holes || !alike || all.odd.length || Math.max(...late) > 1000) process.exitCode = 1
} finally {
  await Promise.all([a?.stop(), b?.stop()])
  await stopNodes(given.folder)
  removeNetworks()
}
process.exit()
