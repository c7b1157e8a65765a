import 'fake-indexeddb/auto'
import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import PrimeVue from 'primevue/config'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { setOf } from '../../tests/support/builders'
import { navigateTo } from '../../tests/support/nuxt-imports'
import { fine, newDevice, sessionOf, shopAnswers } from '../../tests/support/screens'
import { localDatabase } from '../local/database'
import { knownJob } from '../local/jobs'
import { openingsWaiting } from '../local/openings'
import { useSessionStore } from '../stores/session'
import QuickJob from './quick.vue'

beforeEach(async () => {
  const db = await localDatabase()
  await Promise.all([db.clear('jobs'), db.clear('openings'), db.clear('device')])
  newDevice()
  navigateTo.mockReset()
  useSessionStore().begin(sessionOf())
})
// what is still on its way when a test ends finds no server
afterEach(() => void vi.stubGlobal('fetch', () => Promise.reject(new TypeError('no network'))))

const SETS = fine([{ id: 2, ...setOf('Set A', [0.1, 0.12]) }])
async function open(sets: () => Promise<typeof SETS> = () => Promise.resolve(SETS)) {
  shopAnswers(({ line }) => (line === 'GET /api/blade-sets' ? sets() : 'no answer'))
  const shown = mount(QuickJob, { global: { plugins: [PrimeVue] } })
  await flushPromises()
  return shown
}
const type = (shown: VueWrapper, words: string) => shown.get('#said').setValue(words)
const begin = async (shown: VueWrapper) => {
  await shown.get('form').trigger('submit')
  await flushPromises()
}
const begun = async () => Promise.all((await openingsWaiting()).map(o => knownJob(1, o.jobId)))

describe('a quick job', () => {
  it('of figures that can be meant one way begins at once, with what is on the shelf', async () => {
    const shown = await open()
    await type(shown, '.004 .006')
    await begin(shown)
    await vi.waitFor(() => expect(navigateTo).toHaveBeenCalledTimes(1))
    const [job] = await begun()
    expect(job!.pin.bladeSet.name).toBe('Set A')
    expect(job!.pin.spec.engine.clearance.intake).toMatchObject({ text: expect.stringContaining('4') })
    shown.unmount()
  })
  it('of figures that can be meant two ways shows both, and begins with the one that was tapped', async () => {
    const shown = await open()
    await type(shown, '10 15')
    await begin(shown)
    expect(navigateTo).not.toHaveBeenCalled()
    expect(shown.findAll('[data-as]').map(r => r.attributes('data-as'))).toEqual(['hundredths', 'thou'])
    await shown.get('[data-as="hundredths"]').trigger('click')
    await begin(shown)
    await vi.waitFor(() => expect(navigateTo).toHaveBeenCalledTimes(1))
    expect((await begun())[0]!.pin.spec.engine.clearance.exhaust).toMatchObject({ figureMm: 0.15 })
    shown.unmount()
  })
  it('whose figures are put right asks again how they are meant', async () => {
    const shown = await open()
    await type(shown, '10 15')
    await shown.get('[data-as="hundredths"]').trigger('click')
    await type(shown, '4 6')
    expect(shown.findAll('[aria-pressed="true"]').filter(r => r.attributes('data-as'))).toEqual([])
    await begin(shown)
    expect(shown.text()).toContain('Tap the one you mean')
    expect(navigateTo).not.toHaveBeenCalled()
    shown.unmount()
  })
  it('waits for the shop’s blades: no usual set stands in for them', async () => {
    let come = () => {}
    const shown = await open(() => new Promise(done => (come = () => done(SETS))))
    await type(shown, '0.10 0.15')
    await begin(shown)
    expect(navigateTo).not.toHaveBeenCalled()
    come()
    await vi.waitFor(() => expect(navigateTo).toHaveBeenCalledTimes(1))
    expect((await begun())[0]!.pin.bladeSet.name).toBe('Set A')
    shown.unmount()
  })
  it('says that an exhaust is tighter than its intake, and begins all the same', async () => {
    const shown = await open()
    await type(shown, '0.15 0.10')
    expect(shown.text()).toContain('Are they in the right order?')
    await begin(shown)
    await vi.waitFor(() => expect(navigateTo).toHaveBeenCalledTimes(1))
    shown.unmount()
  })
  it('what cannot be read is said once the field is left, and not while it is typed', async () => {
    const shown = await open()
    await type(shown, 'about a card')
    expect(shown.find('[role="alert"]').exists()).toBe(false)
    await shown.get('#said').trigger('blur')
    expect(shown.get('[role="alert"]').text()).not.toBe('')
    shown.unmount()
  })
  it('is begun once by two taps', async () => {
    const shown = await open()
    await type(shown, '0.10 0.15')
    await Promise.all([shown.get('form').trigger('submit'), shown.get('form').trigger('submit')])
    await vi.waitFor(() => expect(navigateTo).toHaveBeenCalled())
    await flushPromises()
    expect(await openingsWaiting()).toHaveLength(1)
    shown.unmount()
  })
})
