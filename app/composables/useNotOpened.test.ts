import 'fake-indexeddb/auto'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { Happening, JobEvent } from '~~/core/job'
import { engineOf, LogBook, pinOf, setOf } from '~~/tests/support/builders'
import { place } from '../../tests/support/nuxt-imports'
import { fine, newDevice, refused, sessionOf, shopAnswers, within } from '../../tests/support/screens'
import { localDatabase, type Opening } from '../local/database'
import { rememberJob } from '../local/jobs'
import { keepOpening, openingsWaiting } from '../local/openings'
import { keepPhoto, waitingPhotos } from '../local/photos'
import { useOutboxStore } from '../stores/outbox'
import { useSessionStore } from '../stores/session'

const HERE = -4001
const THERE = 12
const METRIC = setOf('Set A', [0.1, 0.12])
const PIN = { ...pinOf(engineOf(), { bladeSet: METRIC }), jobId: HERE, number: 0 }
const OPENING: Opening = {
  kind: 'job',
  jobId: HERE,
  name: 'Lilac scooter',
  openedAt: '2026-11-30T08:00:00.000Z',
  shopId: 1,
  personId: 1,
  refused: null,
  request: {
    id: HERE,
    machineId: 1,
    bladeSetId: 4,
    meter: 812,
    meterReplaced: false,
    tasks: [
      { name: 'Oil change', needs: 'warm' },
      { name: 'Air filter', needs: 'either' },
    ],
    complaints: [],
    complaint: 'ticks',
  } as unknown as Extract<Opening, { kind: 'job' }>['request'],
}
const TRIAL: Happening = {
  type: 'trial',
  payload: { valveId: 'intake', bladesMm: [0.1], feel: 'drag', after: null },
}

let navigateTo: ReturnType<typeof vi.fn>
let useNotOpened: typeof import('./useNotOpened').useNotOpened
beforeEach(async () => {
  const db = await localDatabase()
  await Promise.all((['jobs', 'openings', 'device', 'waiting', 'photos'] as const).map(name => db.clear(name)))
  newDevice()
  useSessionStore().begin(sessionOf())
  const nuxt = await import('#imports')
  navigateTo = nuxt.navigateTo as unknown as ReturnType<typeof vi.fn>
  navigateTo.mockReset()
  ;({ useNotOpened } = await import('./useNotOpened'))
  place.query = {}
})
// what is still on its way when a test ends finds no server
afterEach(() => void vi.stubGlobal('fetch', () => Promise.reject(new TypeError('no network'))))

const taken = (body: unknown) => fine({ event: { ...(body as object), seq: 1 }, lastSeq: 1, now: '' })
/** A job that began here, with one trial in it, and what the shop said to it. */
async function refusedJob(
  refusal: ReturnType<typeof refused>,
  there: JobEvent[] = [],
  { bladeSet = PIN.bladeSet, meter = null as number | null } = {},
) {
  let isOpen = false
  const asked = shopAnswers(({ line, body }) => {
    if (line === 'POST /api/jobs')
      return isOpen || !(body as { meter: number | null }).meter ? fine({ id: HERE }) : refusal
    if (line === `GET /api/jobs/${THERE}/sheet`) return fine({ tasks: [{ name: 'Air Filter', words: 'to do' }] })
    if (line.startsWith(`GET /api/jobs/${THERE}`)) {
      const pin = { ...PIN, jobId: THERE, bladeSet, otherSets: [METRIC], machine: { ...PIN.machine, meter } }
      return fine({ pin, events: there, lastSeq: 3 })
    }
    return taken(body)
  })
  await rememberJob(1, { pin: PIN, events: [], lastSeq: 0 })
  await keepOpening(OPENING)
  const { it: job, end } = within(() => useNotOpened(PIN))
  const outbox = useOutboxStore()
  await outbox.load()
  await outbox.add(HERE, TRIAL, { seenSeq: 0, seenDeviceSeq: 0 })
  await vi.waitFor(() => expect(job.opening.value).not.toBeNull())
  return { job, outbox, asked, end, letIn: () => (isOpen = true) }
}
const OPEN_JOB = refused('This machine has an open job.', 409, { code: 'open-job', detail: String(THERE) })
const sentTo = (asked: { line: string; body: unknown }[], id: number) =>
  asked.filter(a => a.line === `POST /api/jobs/${id}/events`).map(a => a.body as { type: string; payload: object })

describe('a job that began here, on a machine on which another is open', () => {
  it('goes over into that one: after what is there, with its blades, its photos and what it came for', async () => {
    const { job, asked, outbox, end } = await refusedJob(OPEN_JOB, [], { bladeSet: setOf('Set B', [0.2, 0.25]) })
    await keepPhoto({
      id: 'p1',
      shopId: 1,
      personId: 9,
      machineId: 1,
      jobId: HERE,
      takenAt: 0,
      bytes: new ArrayBuffer(1),
      type: 'image/png',
      refused: null,
    })
    expect([job.thereId.value, job.answers.value]).toEqual([THERE, 1])
    await job.bring()
    await vi.waitFor(() => expect(outbox.toSend).toBe(0))
    expect(sentTo(asked, THERE)).toMatchObject([
      { type: 'trial', seenSeq: 3, payload: { set: 'Set A' } },
      {
        type: 'note',
        payload: {
          text: expect.stringMatching(/Lilac scooter\. Meter 812 .*Complaint: ticks\. Also: Oil change, Air filter/),
        },
      },
      { type: 'blades-taken', payload: { set: 'Set A' } },
    ])
    expect(sentTo(asked, HERE)).toEqual([])
    expect(await openingsWaiting()).toEqual([])
    expect((await waitingPhotos()).map(p => p.jobId)).toEqual([THERE])
    expect(navigateTo).toHaveBeenCalledWith(`/jobs/${THERE}`)
    end()
  })
  it('is told its meter and what else it came for, where the other was opened without', async () => {
    const { job, asked, end } = await refusedJob(OPEN_JOB)
    await job.bring()
    expect(asked.filter(a => /tasks$|meter$/.test(a.line))).toMatchObject([
      { line: `POST /api/jobs/${THERE}/tasks`, body: { name: 'Oil change', needs: 'warm' } },
      { line: 'POST /api/machines/1/meter', body: { on: '2026-11-30', meter: 812, replaced: false } },
    ])
    end()
  })
  it('leaves the meter alone that the other was opened with', async () => {
    const { job, asked, end } = await refusedJob(OPEN_JOB, [], { meter: 815 })
    await job.bring()
    expect(asked.some(a => a.line.endsWith('/meter'))).toBe(false)
    end()
  })
  it('stays, and says why, where somebody has worked in that one: nothing is lost', async () => {
    const log = new LogBook()
    log.add({ type: 'confirmed', payload: { item: 'safe' } })
    const { job, asked, end } = await refusedJob(OPEN_JOB, log.events)
    await job.bring()
    expect(job.wrong.value).toMatch(/has answered in that job already/)
    expect([job.answers.value, (await openingsWaiting()).length]).toEqual([1, 1])
    expect(sentTo(asked, THERE)).toEqual([])
    expect(navigateTo).not.toHaveBeenCalled()
    end()
  })
  it('is opened after all where the other was abandoned meanwhile', async () => {
    const { job, outbox, asked, letIn, end } = await refusedJob(OPEN_JOB)
    letIn()
    await job.again()
    await vi.waitFor(() => expect(outbox.toSend).toBe(0))
    expect(sentTo(asked, HERE)).toMatchObject([{ type: 'trial' }])
    end()
  })
  it('is thrown away with its answers by the one who began it', async () => {
    const { job, asked, end } = await refusedJob(OPEN_JOB)
    expect(job.isOwn.value).toBe(true)
    await job.discard()
    expect([job.answers.value, await openingsWaiting()]).toEqual([0, []])
    expect(sentTo(asked, HERE)).toEqual([])
    expect(navigateTo).toHaveBeenCalledWith('/')
    end()
  })
})

describe('a job that began here with a meter that the shop does not believe', () => {
  it('is opened without it, and what was read is kept as a note', async () => {
    const { job, outbox, asked, end } = await refusedJob(refused('Lower than last time.', 422, { code: 'meter-lower' }))
    expect([job.meterInWay.value, job.thereId.value]).toEqual([true, null])
    await job.withoutMeter()
    await vi.waitFor(() => expect(outbox.toSend).toBe(0))
    expect(asked.filter(a => a.line === 'POST /api/jobs').at(-1)!.body).toMatchObject({ id: HERE, meter: null })
    expect(sentTo(asked, HERE)).toMatchObject([
      { type: 'trial' },
      { type: 'note', payload: { text: expect.stringMatching(/^Meter read when the job began: 812 /) } },
    ])
    end()
  })
})
