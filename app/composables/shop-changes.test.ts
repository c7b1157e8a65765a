import 'fake-indexeddb/auto'
import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { JobView } from '~~/core/job'
import type { DeviceShop } from '~~/shared/device-job'
import type { PersonRow } from '~~/shared/people'
import { engineOf } from '~~/tests/support/builders'
import { said } from '~~/tests/support/job-book'
import { fine, newDevice, refused, sessionOf, shopAnswers, within } from '../../tests/support/screens'
import { shopTakes, uploads } from '../../tests/support/uploads'
import { localDatabase } from '../local/database'
import { rememberDeviceShop } from '../local/device-shop'
import { useSessionStore } from '../stores/session'
import { useCrewChanges } from './useCrewChanges'
import { useDeviceShop } from './useDeviceShop'
import { useKeepJob } from './useKeepJob'
import { useModelPage } from './useModelPage'
import { useNewerSpec } from './useNewerSpec'
import { usePagePhoto } from './usePagePhoto'
import { useTasks } from './useTasks'

beforeEach(async () => {
  const db = await localDatabase()
  await Promise.all([db.clear('device'), db.clear('openings')])
  newDevice()
  useSessionStore().begin(sessionOf())
})
afterEach(() => {
  vi.unstubAllGlobals()
  vi.useRealTimers()
})
const at = (ms: number) => new Date(ms).toISOString()
const SHOP = (fetched: number): DeviceShop => ({
  machines: [],
  models: [
    {
      id: 4,
      name: 'Brindle T 40',
      hit: {
        id: 4,
        maker: 'Brindle',
        model: 'T 40',
        source: 'Manual',
        sourceDate: '2024-09-09',
        author: 'Ada',
      } as never,
      spec: { revisionId: 9, revision: 2, status: 'approved', engine: engineOf() },
    },
  ],
  lastLeft: [],
  sets: [],
  wrenches: [],
  adapters: [],
  at: at(fetched),
})

describe('the shop on this device', () => {
  it('is fetched anew where it is old, and not each time that a page opens', async () => {
    const asked = shopAnswers(() => fine(SHOP(Date.now())))
    const device = useDeviceShop()
    await device.refresh()
    await device.refresh()
    expect(asked.filter(a => a.line === 'GET /api/device-shop')).toHaveLength(1)
    await rememberDeviceShop(1, SHOP(Date.now() - 11 * 60_000))
    await device.refresh()
    expect(asked.filter(a => a.line === 'GET /api/device-shop')).toHaveLength(2)
  })
  it('stays as it was where nobody answers, and is nobody else’s', async () => {
    await rememberDeviceShop(1, SHOP(0))
    shopAnswers(() => 'no answer')
    await useDeviceShop().refresh()
    expect((await useDeviceShop().known())?.models).toHaveLength(1)
    useSessionStore().begin({ ...sessionOf(), shop: { ...sessionOf().shop, id: 2 } })
    expect(await useDeviceShop().known()).toBeNull()
  })
})

describe('a model’s page', () => {
  const open = async () => {
    const { it: page, end } = within(() => useModelPage(4))
    await vi.waitFor(() => expect(page.given.value ?? page.form.failed.value).toBeTruthy())
    return { page, end }
  }
  it('where nobody answers shows the figures in force as this device fetched them, and when', async () => {
    const fetched = Date.UTC(2026, 10, 29)
    await rememberDeviceShop(1, SHOP(fetched))
    shopAnswers(() => 'no answer')
    const { page, end } = await open()
    expect(page.fetchedAt.value).toBe(at(fetched))
    const shown: unknown = page.given.value
    expect(shown).toMatchObject({
      revisions: [{ id: 9, revision: 2, approvedAt: at(fetched) }],
      model: { engine: { clearance: { exhaust: { minMm: 0.1, maxMm: 0.14 } } } },
    })
    end()
  })
  it('that this device does not know is not made up', async () => {
    await rememberDeviceShop(1, { ...SHOP(0), models: [] })
    shopAnswers(() => 'no answer')
    const { page, end } = await open()
    expect([page.given.value, page.form.failed.value]).toEqual([null, expect.stringContaining('does not answer')])
    end()
  })
  it('that is refused is not shown from the device: somebody may have ended it', async () => {
    await rememberDeviceShop(1, SHOP(0))
    shopAnswers(() => refused('There is no such model.', 404, { code: 'not-found' }))
    const { page, end } = await open()
    expect([page.given.value, page.form.failed.value]).toEqual([null, 'There is no such model.'])
    end()
  })
})

describe('what a lead changes about the people', () => {
  const tam = { id: 2, name: 'Tam', role: 'mechanic' } as PersonRow
  it('turns a role into the other, and reads the crew anew', async () => {
    const asked = shopAnswers(({ line }) => fine(line === 'GET /api/people' ? [{ ...tam, role: 'lead' }] : {}))
    const { it: crew, end } = within(useCrewChanges)
    await crew.role(tam)
    expect(asked.map(a => [a.line, a.body])).toEqual([
      ['PUT /api/people/2', { role: 'lead' }],
      ['GET /api/people', undefined],
    ])
    expect(crew.people.value[0]!.role).toBe('lead')
    end()
  })
  it('what is refused is said, and the crew that was there stays', async () => {
    let refuses = false
    shopAnswers(({ line }) => {
      if (refuses) return refused('Your shop needs a lead.', 409, { code: 'last-lead' })
      return fine(line === 'GET /api/people' ? [tam] : {})
    })
    const { it: crew, end } = within(useCrewChanges)
    await crew.load()
    refuses = true
    await crew.end(tam)
    expect([crew.form.failed.value, crew.people.value]).toEqual(['Your shop needs a lead.', [tam]])
    end()
  })
  it('a code for one person does not stand there when another is changed', async () => {
    shopAnswers(({ line }) => fine(line.endsWith('/code') ? { code: 'ABCD' } : line === 'GET /api/people' ? [tam] : {}))
    const { it: crew, end } = within(useCrewChanges)
    await crew.makeCode(tam)
    expect(crew.code.value).toMatchObject({ person: tam, made: { code: 'ABCD' } })
    await crew.signOut({ ...tam, id: 3 })
    expect(crew.code.value).toBeNull()
    end()
  })
})

describe('what else a visit is for', () => {
  it('is added, ticked and taken off, and each says whether it was done', async () => {
    let refuses = false
    const asked = shopAnswers(() => (refuses ? refused('This job is closed.', 409) : fine({})))
    const { it: tasks, end } = within(useTasks)
    expect(await tasks.add(5, 'Oil change', null as never)).toBe(true)
    expect(await tasks.tick(8, true, '')).toBe(true)
    expect(await tasks.drop(8)).toBe(true)
    expect(asked.map(a => a.line)).toEqual(['POST /api/jobs/5/tasks', 'PUT /api/tasks/8', 'DELETE /api/tasks/8'])
    refuses = true
    expect([await tasks.tick(8, true, ''), tasks.form.failed.value]).toEqual([false, 'This job is closed.'])
    end()
  })
})

describe('a quick job that is kept', () => {
  it('shows what was told already, and is kept under what was typed', async () => {
    const asked = shopAnswers(({ line }) =>
      fine(line.startsWith('GET /api/jobs/-5') ? { pin: { jobId: -5 } } : { id: 3 }),
    )
    const { it: job, end } = within(() => useKeepJob(-5))
    await vi.waitFor(() => expect(job.pin.value).toMatchObject({ jobId: -5 }))
    expect(await job.keep({ name: 'Red tiller' } as never)).toEqual({ id: 3 })
    expect(asked.at(-1)).toMatchObject({ line: 'POST /api/jobs/-5/keep', body: { name: 'Red tiller' } })
    end()
  })
  it('where nobody answers says so, beside a form that is not sent into nothing', async () => {
    shopAnswers(() => 'no answer')
    const { it: job, end } = within(() => useKeepJob(-5))
    await vi.waitFor(() => expect(job.reading.failed.value).toContain('does not answer'))
    expect(job.pin.value).toBeNull()
    end()
  })
})

describe('the photo of a page', () => {
  it('is sent once its revision is there; where that fails the revision stays, and why is said', async () => {
    const page = usePagePhoto()
    expect(await page.send(9)).toBe(true)
    page.photo.value = new File(['x'], 'page.png', { type: 'image/png' })
    shopTakes('refuses it')
    expect(await page.send(9)).toBe(false)
    expect(page.unsent.value).toEqual({ revisionId: 9, why: 'This is no picture.' })
    uploads.length = 0
    shopTakes('takes it')
    expect(await page.send(9)).toBe(true)
    expect(page.unsent.value).toBeNull()
    expect(uploads.map(u => u.path)).toEqual(['/api/revisions/9/page'])
  })
})

describe('a revision that came into force while a job was open', () => {
  const view = (book = said()): JobView => book.view()
  const newer = (revision: number) => fine({ newer: { id: 2, revision } })
  async function known(answer: ReturnType<typeof fine>, of: JobView | null = view()) {
    shopAnswers(() => answer)
    const { it: found, end } = within(() => useNewerSpec(1, () => of))
    await flushPromises()
    await new Promise(done => setTimeout(done, 20))
    const { value } = found
    end()
    return value?.revision ?? null
  }
  it('is offered where it is newer than the one that the job goes by', async () => {
    expect(await known(newer(2))).toBe(2)
    expect(await known(newer(1))).toBeNull()
    expect(await known(fine({ newer: null }))).toBeNull()
  })
  it('is not offered to a job that is signed, nor before there is one', async () => {
    const signed = view(said().say({ type: 'abandoned', payload: { reason: 'Sold' } }))
    expect(await known(newer(2), signed)).toBeNull()
    expect(await known(newer(2), null)).toBeNull()
  })
})
