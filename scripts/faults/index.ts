import { pool } from '../../tests/support/database'
import { answersUnderFaults } from '../../tests/support/faults/answers'
import { malformedRequests } from '../../tests/support/faults/malformed'
import { Client } from '../../tests/support/server'
import { newMachine, openJob } from '../../tests/support/shop-work'
import { listenersBesideWriters } from './listeners'

const given = JSON.parse(process.env.WEMBRIC_FAULTS ?? '{}') as {
  data: string
  answers: number
  malformed: number
  listeners: number
  seed: number
}
const root = process.cwd()
const base = process.env.WEMBRIC_TEST_URL!
const say = (text: string) => console.log(text)
const list = (counts: Record<string, number>): string =>
  Object.entries(counts)
    .map(([what, n]) => `${what} ${n}`)
    .join(', ')
let failed = false

if (given.answers > 0) {
  const from = Date.now()
  // one kill of server or database for each 250 faults
  const counts = await answersUnderFaults({
    root,
    data: given.data,
    faults: given.answers,
    kills: Math.max(2, Math.round(given.answers / 250)),
    seed: given.seed,
  })
  const { faults, ...rest } = counts
  say(`answers: ${list(faults)}`)
  say(`answers: ${list(rest)}; ${Math.round((Date.now() - from) / 1000)} s`)
  const { lost, doubled, outOfOrder, holes, readingsAstray, answered, inLog } = rest
  failed ||= lost + doubled + outOfOrder + holes + readingsAstray > 0 || answered !== inLog
}

const ines = await new Client().signIn('ines')
if (given.malformed > 0) {
  const machine = await newMachine(ines)
  const { id: jobId } = (await openJob(ines, machine, 1)).body
  const counts = await malformedRequests({
    base,
    root,
    cookie: ines.cookie,
    ids: { jobId, personId: ines.personId, modelId: machine.modelId, machineId: machine.id },
    requests: given.malformed,
    seed: given.seed,
  })
  say(`malformed: ${counts.requests} requests, by status ${list(counts.byStatus)}`)
  say(`malformed: ${counts.failures.length} × 5xx, ${counts.nameless.length} refusals that name no field`)
  for (const words of [...counts.failures, ...counts.nameless].slice(0, 20)) say(`  ${words}`)
  failed ||= counts.failures.length > 0
}

if (given.listeners > 0) say(await listenersBesideWriters(ines, given.listeners))
await pool.end()
if (failed) process.exitCode = 1
