import { readdirSync } from 'node:fs'
import { join, relative } from 'node:path'
import { v7 as uuidv7 } from 'uuid'
import type { ProblemBody } from '../../../shared/problem'
import { pick, random } from './random'

export interface MalformedCounts {
  requests: number
  byStatus: Record<string, number>
  /** Requests that made the server fail, so that each can be sent again. */
  failures: string[]
  /** Refusals of a body that do not name what in it is wrong. */
  nameless: string[]
}

const filesOf = (folder: string): string[] =>
  readdirSync(folder, { withFileTypes: true }).flatMap(entry =>
    entry.isDirectory() ? filesOf(join(folder, entry.name)) : [join(folder, entry.name)],
  )

/** Every route of the server by method and path, as its files say; parameters in brackets. */
function routesOf(root: string): { method: string; path: string }[] {
  const folder = join(root, 'server/api')
  return filesOf(folder).flatMap(file => {
    const found = /^(.*?)\.(get|post|put|delete)\.ts$/.exec(relative(folder, file))
    if (!found) return []
    const path = found[1]!.replace(/\/?index$/, '')
    return [{ method: found[2]!.toUpperCase(), path: `/api/${path}` }]
  })
}

/** Left out: they never end, end our own session, or answer anybody. */
const LEFT_OUT = /^(DELETE \/api\/session|GET \/api\/live|POST \/api\/people\/\[id\]\/sign-out)/

const ODD: unknown[] = [
  ...[null, true, -1, 0, 1.5, 1e21, 2 ** 31, 2 ** 32, 2 ** 53, -(2 ** 63), '', ' ', 'x', '\u0000', 'İ'.repeat(60)],
  ...['\ud800', '😀'.repeat(300), 'a'.repeat(70_000), '<script>', "'; DROP TABLE jobs; --", '%', '%ZZ', '../..', 'NaN'],
  ...['2026-02-30', '9999-12-31T23:59:59.999999999999999999999999Z', '0000-00-00', [], [[[]]], {}, { a: { b: {} } }],
  ...[[null], { id: null }, '1e999', '٣', '-0'],
]

/** Bodies that are right, or nearly: what is odd is put into one of their fields. */
const bodies = (ids: {
  jobId: number
  personId: number
  modelId: number
  machineId: number
}): Record<string, object> => ({
  '/api/jobs/[id]/events': {
    type: 'trial',
    payload: { valveId: 'intake', bladesMm: [0.1], feel: 'drag', after: null },
    id: uuidv7(),
    version: 1,
    personId: ids.personId,
    deviceId: 'd-odd.p',
    deviceSeq: 1,
    seenSeq: 0,
    seenDeviceSeq: 0,
    at: '2026-11-27T08:00:00.000+00:00',
  },
  '/api/session': { signIn: 'nobody', password: 'nothing' },
  '/api/machines': {
    name: 'Odd',
    tag: uuidv7().slice(-12),
    modelId: ids.modelId,
    meterUnit: 'h',
    customer: { name: 'Odd owner' },
  },
  '/api/jobs': { machineId: ids.machineId, bladeSetId: 1, meter: 1, complaint: 'x' },
  '/api/customers': { name: 'Odd owner', contact: '' },
  '/api/people': { name: 'Odd', signIn: 'odd', password: 'longenough', role: 'mechanic' },
  '/api/models': { maker: 'Odd', model: 'One', engine: {} },
  '/api/blade-sets': { name: 'Odd', unit: 'mm', bladesMm: [0.1] },
  '/api/wrenches': { name: 'Odd', minNm: 1, maxNm: 10, lengthMm: 200 },
  '/api/adapters': { name: 'Odd', lengthMm: 20, angleDeg: 0 },
  '/api/machines/[id]/meter': { on: '2026-11-01', meter: 5, replaced: false },
  '/api/machines/[id]/visits': { on: '2026-11-01', meter: 5, replaced: false, valves: {}, words: '' },
  '/api/jobs/[id]/tasks': { name: 'Odd', needs: 'either' },
  '/api/jobs/[id]/place': { personId: null, beforeJobId: null },
  '/api/shop': { unit: 'mm' },
  '/api/practice': { start: {}, acts: [] },
})

/** One field, at any depth, is something odd; or one is gone; or one is there that was not. */
function spoilt(draw: () => number, body: object): object {
  const copy = JSON.parse(JSON.stringify(body)) as Record<string, unknown>
  const places: [Record<string, unknown>, string][] = []
  const look = (o: Record<string, unknown>) => {
    for (const key of Object.keys(o)) {
      places.push([o, key])
      if (o[key] !== null && typeof o[key] === 'object') look(o[key] as Record<string, unknown>)
    }
  }
  look(copy)
  if (places.length === 0) return copy
  const [at, key] = pick(draw, places)
  // one that is undefined is left out of the JSON
  at[key] = draw() < 0.15 ? undefined : pick(draw, ODD)
  return copy
}

/** Sends requests that are wrong in every way that a drawn hand finds, signed in as a lead. No answer may be 5xx. */
export async function malformedRequests(given: {
  base: string
  root: string
  cookie: string
  ids: { jobId: number; personId: number; modelId: number; machineId: number }
  requests: number
  seed: number
}): Promise<MalformedCounts> {
  const draw = random(given.seed)
  const routes = routesOf(given.root).filter(r => !LEFT_OUT.test(`${r.method} ${r.path}`))
  const counts: MalformedCounts = { requests: 0, byStatus: {}, failures: [], nameless: [] }
  const known = bodies(given.ids)
  const own = [given.ids.jobId, given.ids.machineId, given.ids.modelId, given.ids.personId]
  const parameter = (): string =>
    pick(draw, [
      () => String(pick(draw, own)),
      () => String(Math.floor(draw() * 50)),
      () => pick(draw, ['%', '%E0%A4%A', '%00', 'x', '-1', '0', '1e3', '99999999999999999999', '..%2f', 'İ'.repeat(9)]),
    ])()

  async function one(): Promise<void> {
    const { method, path } = pick(draw, routes)
    const address =
      path.replace(/\[[^\]]+\]/g, parameter) + (draw() < 0.3 ? `?q=${parameter()}&after=${parameter()}` : '')
    const body =
      method === 'GET' || method === 'DELETE'
        ? undefined
        : draw() < 0.7 && known[path]
          ? JSON.stringify(spoilt(draw, known[path]))
          : pick(draw, [
              () => JSON.stringify(pick(draw, ODD)) ?? 'null',
              () => '{',
              () => '',
              () => '\u0000\u0001',
              () => `{"a":${'['.repeat(2000)}${']'.repeat(2000)}}`,
              () => '{"__proto__":{"role":"lead"}}',
            ])()
    const response = await fetch(`${given.base}${address}`, {
      method,
      ...(body === undefined ? {} : { body }),
      headers: {
        cookie: given.cookie,
        ...(body === undefined
          ? {}
          : { 'content-type': pick(draw, ['application/json', 'application/json', 'application/json', 'text/plain']) }),
        ...(draw() < 0.1 ? { 'idempotency-key': pick(draw, ['x', uuidv7(), '%']) } : {}),
      },
    })
    const text = await response.text()
    counts.requests++
    counts.byStatus[response.status] = (counts.byStatus[response.status] ?? 0) + 1
    const words = `${method} ${address.slice(0, 90)} ${(body ?? '').slice(0, 160)} → ${response.status} ${text.slice(0, 140)}`
    if (response.status >= 500) counts.failures.push(words)
    if (response.status === 422) {
      const { fields } = JSON.parse(text) as ProblemBody
      if (!fields?.length) counts.nameless.push(words)
    }
  }

  const LANES = 8
  await Promise.all(
    Array.from({ length: LANES }, async () => {
      for (let i = 0; i < given.requests / LANES; i++) await one()
    }),
  )
  return counts
}
