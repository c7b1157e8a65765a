import 'fake-indexeddb/auto'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { SessionResponse } from '~~/shared/session'
import { localDatabase, type Opening } from '../local/database'
import { keepOpening } from '../local/openings'
import { useOutboxStore } from './outbox'
import { useSessionStore } from './session'

type Reply = { status: number; body: object } | 'no answer'
let sent: { path: string; id: string; deviceSeq: number }[] = []
let reply: (request: { id: string; deviceSeq: number; type: string }) => Reply

const taken = (request: object): Reply => ({
  status: 200,
  body: { event: { ...request, seq: sent.length }, lastSeq: sent.length, now: new Date().toISOString() },
})
const refusal = (status: number, title: string): Reply => ({ status, body: { type: 'about:blank', title, status } })
const session = (id: number, shopId = 1): SessionResponse => ({
  person: {
    id,
    name: `P${id}`,
    role: 'mechanic',
    favouriteSetId: null,
    language: null,
    hands: 'guided' as const,
    unit: null,
    byPin: false,
    runsServer: false,
  },
  shop: {
    id: shopId,
    name: 'S',
    timeZone: 'Etc/UTC',
    unit: 'mm',
    language: null,
    favouriteSchool: null,
    target: 'middle',
    bladeHabit: 'out at torque',
    pairToProve: false,
    valveMinutes: 45,
    taskMinutes: 20,
    isDemo: false,
  },
  now: new Date().toISOString(),
})

beforeEach(async () => {
  const db = await localDatabase()
  await Promise.all([db.clear('waiting'), db.clear('device'), db.clear('openings')])
  sent = []
  reply = taken
  setActivePinia(createPinia())
  vi.stubGlobal('fetch', async (path: string, { body }: { body: string }) => {
    const request = JSON.parse(body) as { id: string; deviceSeq: number; type: string }
    const answer = reply(request)
    if (answer === 'no answer') throw new TypeError('fetch failed')
    sent.push({ path, id: request.id, deviceSeq: request.deviceSeq })
    return new Response(JSON.stringify(answer.body), {
      status: answer.status,
      headers: { 'content-type': answer.status < 400 ? 'application/json' : 'application/problem+json' },
    })
  })
})
afterEach(() => vi.unstubAllGlobals())

async function workAs(id: number, shopId = 1) {
  const store = useSessionStore()
  store.begin(session(id, shopId))
  const outbox = useOutboxStore()
  await outbox.load()
  const say = (text: string) => outbox.add(5, { type: 'note', payload: { text } }, { seenSeq: 0, seenDeviceSeq: 0 })
  return { store, outbox, say }
}
const settled = (outbox: ReturnType<typeof useOutboxStore>, waiting: number) =>
  vi.waitFor(() => expect(outbox.toSend).toBe(waiting))

describe('the outbox', () => {
  it('shows an answer at once, then writes and sends it, and lets go when it is committed', async () => {
    const { outbox, say } = await workAs(7)
    const done = say('one')
    expect(outbox.waiting).toHaveLength(1)
    await done
    await settled(outbox, 0)
    expect(sent).toMatchObject([{ path: '/api/jobs/5/events', deviceSeq: 1 }])
  })
  it('sends one after another, in order', async () => {
    const { outbox, say } = await workAs(7)
    await Promise.all(['one', 'two', 'three', 'four'].map(say))
    await settled(outbox, 0)
    expect(sent.map(s => s.deviceSeq)).toEqual([1, 2, 3, 4])
  })
  it('without an answer it keeps all and says offline; the same ids go when the server is back', async () => {
    reply = () => 'no answer'
    const { store, outbox, say } = await workAs(7)
    await say('one')
    await say('two')
    await vi.waitFor(() => expect(store.offline).toBe(true))
    expect(outbox.toSend).toBe(2)
    const ids = outbox.waiting.map(w => w.id)
    reply = taken
    await outbox.flush()
    await settled(outbox, 0)
    expect(sent.map(s => s.id)).toEqual(ids)
    expect(store.offline).toBe(false)
  })
  it('an ended session keeps the answer, and sends it after signing in again', async () => {
    reply = () => refusal(401, 'Sign in first.')
    const { store, outbox, say } = await workAs(7)
    await say('one')
    await vi.waitFor(() => expect(store.expired).toBe(true))
    expect(outbox.toSend).toBe(1)
    reply = taken
    store.begin(session(7))
    await outbox.flush()
    await settled(outbox, 0)
  })
  it('a refused answer stays and is named; what came after it still goes', async () => {
    reply = request => (request.deviceSeq === 1 ? refusal(409, 'This job is closed.') : taken(request))
    const { outbox, say } = await workAs(7)
    await say('late')
    await say('next')
    await settled(outbox, 0)
    expect(outbox.refused).toMatchObject([{ deviceSeq: 1, refused: 'This job is closed.' }])
    await outbox.discard(outbox.refused[0]!.id)
    expect(outbox.waiting).toEqual([])
  })
  it('a failing server is asked again, not given up', async () => {
    reply = () => refusal(500, 'Something failed.')
    const { outbox, say } = await workAs(7)
    await say('one')
    await vi.waitFor(() => expect(sent.length).toBeGreaterThan(0))
    expect(outbox.toSend).toBe(1)
    expect(outbox.refused).toEqual([])
  })
  it('another person’s entries on the same tablet wait for them', async () => {
    reply = () => 'no answer'
    const first = await workAs(7)
    await first.say('mine')
    await vi.waitFor(() => expect(first.store.offline).toBe(true))
    reply = taken
    first.store.begin(session(8))
    await first.outbox.flush()
    expect(sent).toEqual([])
    expect(first.outbox.ofOthers).toBe(1)
    first.store.begin(session(7))
    await first.outbox.flush()
    await settled(first.outbox, 0)
    expect(sent).toHaveLength(1)
  })
  it('so do those of another shop', async () => {
    reply = () => 'no answer'
    const { store, outbox, say } = await workAs(7, 1)
    await say('here')
    reply = taken
    store.begin(session(7, 2))
    await outbox.flush()
    expect(sent).toEqual([])
  })
})

describe('jobs that began on this device', () => {
  const JOB = -7
  const opening = (personId: number): Opening => ({
    kind: 'job',
    jobId: JOB,
    name: 'Red tiller',
    openedAt: '2026-11-29T08:00:00.000Z',
    shopId: 1,
    personId,
    request: {
      id: JOB,
      machineId: 3,
      bladeSetId: 4,
      meter: null,
      meterReplaced: false,
      tasks: [],
      complaints: [],
      complaint: '',
    },
    refused: null,
  })
  const answerTo = (outbox: ReturnType<typeof useOutboxStore>) =>
    outbox.add(JOB, { type: 'note', payload: { text: 'x' } }, { seenSeq: 0, seenDeviceSeq: 0 })

  it('are opened at the shop before their answers are sent', async () => {
    await keepOpening(opening(7))
    const { outbox } = await workAs(7)
    await answerTo(outbox)
    await settled(outbox, 0)
    expect(sent.map(s => s.path)).toEqual(['/api/jobs', `/api/jobs/${JOB}/events`])
    expect(outbox.openings).toEqual([])
  })
  it('one that is refused keeps its answers here, says why, and holds up no other job', async () => {
    await keepOpening(opening(7))
    reply = request => (request.type ? taken(request) : refusal(409, 'This machine has an open job.'))
    const { outbox, say } = await workAs(7)
    await answerTo(outbox)
    await say('elsewhere')
    await settled(outbox, 1)
    await vi.waitFor(() => expect(outbox.refusedOpening(JOB)?.refused).toBe('This machine has an open job.'))
    expect(sent.filter(s => s.path.includes(String(JOB)))).toEqual([])
    expect(outbox.waiting.map(w => w.jobId)).toEqual([JOB])
  })
  it('of another person wait for that person, as their answers do', async () => {
    await keepOpening(opening(9))
    const { outbox } = await workAs(7)
    await answerTo(outbox)
    await outbox.flush()
    expect(sent).toEqual([])
    expect(outbox.openings.map(o => o.personId)).toEqual([9])
  })
  it('without an answer from the shop both stay, and go when it answers', async () => {
    await keepOpening(opening(7))
    reply = () => 'no answer'
    const { outbox } = await workAs(7)
    await answerTo(outbox)
    await outbox.flush()
    expect([outbox.openings.length, outbox.toSend]).toEqual([1, 1])
    reply = taken
    await outbox.flush()
    await settled(outbox, 0)
    expect(outbox.openings).toEqual([])
  })
})
