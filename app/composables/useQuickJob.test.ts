import 'fake-indexeddb/auto'
import { flushPromises } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { fine, sessionOf, shopAnswers, within } from '../../tests/support/screens'
import { localDatabase } from '../local/database'
import { knownJob } from '../local/jobs'
import { openingsWaiting } from '../local/openings'
import { storeRefuses } from '../local/store-for-tests'
import { useSessionStore } from '../stores/session'
import { useQuickJob } from './useQuickJob'

/** No server answers: what is told is all there is. */
async function offline() {
  const { it: job, end } = within(useQuickJob)
  await flushPromises()
  await vi.waitFor(() => expect(job.sets.value).toEqual([]))
  return { job, end }
}
beforeEach(async () => {
  const db = await localDatabase()
  await Promise.all([db.clear('jobs'), db.clear('openings'), db.clear('device')])
  localStorage.clear()
  setActivePinia(createPinia())
  useSessionStore().begin(sessionOf())
  vi.stubGlobal('fetch', () => Promise.reject(new TypeError('no network')))
})
// what is still on its way when a test ends finds no server either
afterEach(() => void vi.stubGlobal('fetch', () => Promise.reject(new TypeError('no network'))))

describe('a quick job that begins here', () => {
  it('is kept on the device with its blades, under an id below zero, and waits to be opened at the shop', async () => {
    const { job, end } = await offline()
    job.text.value = '.004 .006'
    const id = await job.begin()
    expect(id).toBeLessThan(0)
    expect((await knownJob(1, id!))?.pin).toMatchObject({
      jobId: id,
      machine: { name: 'Single, 2 valves, .004 .006' },
      bladeSet: { name: 'Drawer set' },
    })
    expect(await openingsWaiting()).toMatchObject([{ jobId: id, kind: 'quick', refused: null }])
    end()
  })
  it('does not begin while figures can be read two ways, nor with blades that are none', async () => {
    const { job, end } = await offline()
    job.text.value = '10 15'
    expect(await job.begin()).toBeNull()
    expect(job.wrong.value).toContain('two ways')
    job.chosen.value = 'hundredths'
    job.sizes.value = '0.05 0.1 cm'
    expect(await job.begin()).toBeNull()
    expect(job.wrong.value).toContain('not a length')
    job.sizes.value = '0.05 0.10 0.15'
    expect(await job.begin()).toBeLessThan(0)
    end()
  })
  it('goes straight to the shop where the browser keeps nothing, and is told where the shop is away too', async () => {
    const { job, end } = await offline()
    job.text.value = '.004 .006'
    const allow = storeRefuses()
    expect(await job.begin()).toBeNull()
    expect(job.wrong.value).toContain('The job was not begun: this browser cannot keep it')
    const asked = shopAnswers(() => fine({}))
    const id = await job.begin()
    expect(id).toBeLessThan(0)
    expect(asked.filter(a => a.line === 'POST /api/jobs/quick').map(a => a.body)).toMatchObject([{ id }])
    allow()
    expect(await openingsWaiting()).toEqual([])
    end()
  })
})
