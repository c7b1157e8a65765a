import 'fake-indexeddb/auto'
import { beforeEach, describe, expect, it } from 'vitest'
import type { Happening } from '~~/core/job'
import { eventRequestSchema } from '~~/shared/event-request'
import { LogBook, pinOf } from '~~/tests/support/builders'
import { localDatabase, rememberedSession, rememberSession } from './database'
import { knownJob, rememberJob } from './jobs'
import { asEvent, deviceId, draftAnswer, keep, keepAgain, letGo, markRefused, settle, waitingAnswers } from './outbox'

const ada = { shopId: 1, personId: 7, personName: 'Ada' }
const note = (text: string): Happening => ({ type: 'note', payload: { text } })
const draft = async (text: string, author = ada) =>
  draftAnswer(
    author,
    { id: await deviceId(), seq: (await waitingAnswers()).lastNumber + 1 },
    5,
    note(text),
    { seenSeq: 3, seenDeviceSeq: 0 },
    Date.UTC(2026, 10, 25, 8),
  )

beforeEach(async () => {
  const db = await localDatabase()
  await Promise.all([db.clear('waiting'), db.clear('jobs'), db.clear('device')])
})

describe('answers kept on the device', () => {
  it('are what the server takes: id of version 7, number, offset', async () => {
    const { request } = await keep(await draft('one'))
    expect(eventRequestSchema.safeParse(request).success).toBe(true)
    expect(request).toMatchObject({ personId: 7, deviceSeq: 1, seenSeq: 3, payload: { text: 'one' } })
  })
  it('come back in the order in which they were given', async () => {
    for (const text of ['one', 'two', 'three']) await keep(await draft(text))
    expect(
      (await waitingAnswers()).waiting.map(w => [w.deviceSeq, (w.request.payload as { text: string }).text]),
    ).toEqual([
      [1, 'one'],
      [2, 'two'],
      [3, 'three'],
    ])
  })
  it('get numbers of their own when two pages write at once', async () => {
    // both pages drafted number 1; the transaction gives each its own
    const [a, b] = [await draft('here'), await draft('there')]
    expect(a.deviceSeq).toBe(b.deviceSeq)
    const kept = await Promise.all([keep(a), keep(b)])
    expect(kept.map(k => k.deviceSeq).sort()).toEqual([1, 2])
    expect(kept.every(k => k.request.deviceSeq === k.deviceSeq)).toBe(true)
  })
  it('numbers go on after the answers were sent', async () => {
    const first = await keep(await draft('one'))
    await letGo(first.id)
    expect((await waitingAnswers()).waiting).toEqual([])
    expect((await keep(await draft('two'))).deviceSeq).toBe(2)
  })
  it('a refused answer stays, with the words of the refusal', async () => {
    const kept = await keep(await draft('late'))
    await markRefused(kept, 'This job is closed.')
    expect((await waitingAnswers()).waiting).toMatchObject([{ id: kept.id, refused: 'This job is closed.' }])
  })
  it('is written down again under its own number when the store was cleared under it', async () => {
    const kept = await keep(await draft('one'))
    const db = await localDatabase()
    await Promise.all([db.clear('waiting'), db.clear('device')])
    await keepAgain(kept)
    expect(await waitingAnswers()).toEqual({ waiting: [kept], lastNumber: kept.deviceSeq })
    expect((await keep(await draft('two'))).deviceSeq).toBe(kept.deviceSeq + 1)
  })
  it('goes over to the job’s log in one piece when the shop has it: another page finds it in one of the two', async () => {
    const log = new LogBook()
    await rememberJob(1, { pin: { ...pinOf(), jobId: 5 }, events: [], lastSeq: 0 })
    const kept = await keep(await draft('one'))
    await settle(kept, { ...log.add(note('one')), id: kept.id, seq: 1 })
    expect((await waitingAnswers()).waiting).toEqual([])
    expect(await knownJob(1, 5)).toMatchObject({ lastSeq: 1, events: [{ id: kept.id }] })
    // a page that knew less does not take it out again
    await rememberJob(1, { pin: { ...pinOf(), jobId: 5 }, events: [], lastSeq: 0 })
    expect(await knownJob(1, 5)).toMatchObject({ lastSeq: 1, events: [{ id: kept.id }] })
  })
  it('is an event without a place in the log until the server gives it one', async () => {
    expect(asEvent(await draft('x'))).toMatchObject({
      type: 'note',
      seq: null,
      personName: 'Ada',
      payload: { text: 'x' },
    })
  })
  it('the device keeps its name, also when two ask for it at the first moment', async () => {
    const [first, second] = await Promise.all([deviceId(), deviceId()])
    expect(first).toBe(second)
    expect(await deviceId()).toBe(first)
  })
})

describe('what is needed without a server', () => {
  it('a job with its log, for each shop apart', async () => {
    const log = new LogBook()
    log.add(note('kept'))
    await rememberJob(1, { pin: pinOf(), events: log.events, lastSeq: 1 })
    expect(await knownJob(1, 1)).toMatchObject({ lastSeq: 1, events: [{ payload: { text: 'kept' } }] })
    expect(await knownJob(2, 1)).toBeNull()
  })
  it('the last session, until somebody signs out', async () => {
    const session = {
      person: {
        id: 7,
        name: 'Ada',
        role: 'lead' as const,
        favouriteSetId: null,
        language: null,
        hands: 'guided' as const,
        unit: null,
        byPin: false,
        runsServer: false,
      },
      shop: {
        id: 1,
        name: 'S',
        timeZone: 'Etc/UTC',
        unit: 'mm' as const,
        language: null,
        favouriteSchool: null,
        target: 'middle' as const,
        bladeHabit: 'out at torque' as const,
        pairToProve: false,
        valveMinutes: 45,
        taskMinutes: 20,
        isDemo: false,
      },
      now: '',
    }
    await rememberSession(session)
    expect(await rememberedSession()).toEqual(session)
    await rememberSession(null)
    expect(await rememberedSession()).toBeNull()
  })
})
