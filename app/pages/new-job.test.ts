import 'fake-indexeddb/auto'
import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import PrimeVue from 'primevue/config'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { MachineRow } from '~~/shared/machines'
import { navigateTo, place } from '../../tests/support/nuxt-imports'
import { fine, newDevice, refused, sessionOf, shopAnswers } from '../../tests/support/screens'
import { useSessionStore } from '../stores/session'
import NewJob from './jobs/new.vue'

const machine = (id: number, changes: Partial<MachineRow> = {}): MachineRow =>
  ({
    ...{ id, name: `Minnow ${id}`, tag: `M-${id}`, owner: 'O. Brackwell', model: 'Minnow 125', modelId: 4 },
    ...{ meterUnit: 'km', lastMeter: 10_900, openJobId: null, revision: 1, status: 'approved', ...changes },
  }) as MachineRow
const SETS = [
  { id: 2, name: 'Set A', unit: 'mm', blades: [] },
  { id: 5, name: 'Set B', unit: 'mm', blades: [] },
]

let machines: MachineRow[]
let sets: () => Promise<ReturnType<typeof fine>>
let open: (body: { meterReplaced: boolean }) => ReturnType<typeof fine>
beforeEach(() => {
  newDevice()
  machines = [machine(1), machine(2)]
  sets = () => Promise.resolve(fine(SETS))
  open = () => fine({ id: -7 })
  place.query = {}
  navigateTo.mockReset()
  useSessionStore().begin(sessionOf({ favouriteSetId: 5 }))
})
afterEach(() => {
  vi.unstubAllGlobals()
  document.body.innerHTML = ''
})

async function page(query: Record<string, string> = {}) {
  place.query = query
  const asked = shopAnswers(({ line, body }) => {
    const q = /^GET \/api\/machines\?q=(.*)$/.exec(line)?.[1]
    if (q !== undefined) return fine(machines.filter(m => m.name.includes(new URLSearchParams(`q=${q}`).get('q')!)))
    const id = /^GET \/api\/machines\/(\d+)$/.exec(line)?.[1]
    if (id) return fine({ machine: machines.find(m => m.id === Number(id)) })
    if (line === 'GET /api/blade-sets') return sets()
    return line === 'POST /api/jobs' ? open(body as { meterReplaced: boolean }) : fine([])
  })
  const shown = mount(NewJob, { attachTo: document.body, global: { plugins: [PrimeVue] } })
  await flushPromises()
  const sent = () => asked.filter(a => a.line === 'POST /api/jobs').map(a => a.body)
  return { shown, sent }
}
const chosen = (shown: VueWrapper): string | null =>
  shown.find('.said b').exists() ? shown.get('.said b').text() : null
const found = (shown: VueWrapper) => shown.findAll('[data-machine]').map(b => b.attributes('data-machine'))
const type = async (shown: VueWrapper, words: string) => {
  await shown.get('#find').setValue(words)
  await shown.get('#find').trigger('keydown', { key: 'Enter' })
  await flushPromises()
}
const meter = (shown: VueWrapper, typed: string) => shown.get('input[name="meter"]').setValue(typed)
const send = async (shown: VueWrapper) => {
  await shown.get('form').trigger('submit')
  await flushPromises()
}

describe('a new job', () => {
  it('of a machine that was named in the address asks only what is new: its meter, and what it came for', async () => {
    const { shown, sent } = await page({ machine: '2' })
    expect(chosen(shown)).toBe('Minnow 2')
    expect(shown.text()).toContain('Last time 10,900 km')
    await meter(shown, '12,400')
    await send(shown)
    expect(sent()).toMatchObject([{ machineId: 2, meter: 12_400, meterReplaced: false, bladeSetId: 5 }])
    expect(navigateTo).toHaveBeenCalledWith('/jobs/-7')
    shown.unmount()
  })
  it('takes what an address looks for where only one fits, and lists them where several do', async () => {
    const one = await page({ q: 'Minnow 1' })
    expect(chosen(one.shown)).toBe('Minnow 1')
    one.shown.unmount()
    const several = await page({ q: 'Minnow' })
    expect(chosen(several.shown)).toBeNull()
    expect(found(several.shown)).toEqual(['M-1', 'M-2'])
    several.shown.unmount()
  })
  it('Enter takes the first of what is typed by now, and nothing where nothing is typed', async () => {
    const { shown } = await page()
    await type(shown, '  ')
    expect(chosen(shown)).toBeNull()
    await type(shown, 'Minnow 2')
    await vi.waitFor(() => expect(chosen(shown)).toBe('Minnow 2'))
    shown.unmount()
  })
  it('is not opened while its meter can mean two things', async () => {
    const { shown, sent } = await page({ machine: '1' })
    await meter(shown, '10,800')
    await send(shown)
    expect(shown.text()).toContain('can mean 10800 or 10.8')
    expect(sent()).toEqual([])
    shown.unmount()
  })
  it('whose meter went back asks whether it was replaced; that is said of this machine, and of no other', async () => {
    const says = 'It stood at 10,900 km in May.'
    open = ({ meterReplaced }) =>
      meterReplaced
        ? fine({ id: -7 })
        : refused(says, 422, { code: 'meter-lower', fields: [{ field: 'meter', message: says }] })
    const { shown, sent } = await page({ machine: '1' })
    await meter(shown, '120')
    await send(shown)
    expect(shown.text()).toContain(says)
    await shown.get('#replaced').setValue(true)
    // it was another machine after all
    await shown
      .findAll('button')
      .find(b => b.text() === 'A different machine')!
      .trigger('click')
    await flushPromises()
    await shown.get('[data-machine="M-2"]').trigger('click')
    await flushPromises()
    expect(shown.text()).not.toContain(says)
    await send(shown)
    expect(sent().at(-1)).toMatchObject({ machineId: 2, meter: 120, meterReplaced: false })
    await shown.get('#replaced').setValue(true)
    await send(shown)
    expect(sent().at(-1)).toMatchObject({ machineId: 2, meterReplaced: true })
    expect(navigateTo).toHaveBeenCalledTimes(1)
    shown.unmount()
  })
  it('waits for the shop’s blades: a tap before they are there is not lost on a set that comes after it', async () => {
    let come = () => {}
    sets = () => new Promise(done => (come = () => done(fine(SETS))))
    const { shown, sent } = await page({ machine: '1' })
    const button = () => shown.findAll('button').find(b => b.text() === 'Open the job')!
    expect(button().attributes('disabled')).toBeDefined()
    expect(shown.text()).not.toContain('None on the shelf')
    come()
    await flushPromises()
    expect(button().attributes('disabled')).toBeUndefined()
    await send(shown)
    expect(sent()).toMatchObject([{ bladeSetId: 5 }])
    shown.unmount()
  })
  it('says why where the blades cannot be read, and not that there are none', async () => {
    sets = () => Promise.resolve(refused('That could not be read.', 500, { code: 'failed' }))
    const { shown } = await page({ machine: '1' })
    await vi.waitFor(() => expect(shown.get('form [role="alert"]').text()).toContain('could not be read'))
    expect(shown.text()).not.toContain('None on the shelf')
    shown.unmount()
  })
  it('of a machine that has one already shows the way there', async () => {
    machines = [machine(1, { openJobId: 12 })]
    const { shown } = await page({ machine: '1' })
    expect(shown.text()).toContain('Open that one')
    shown.unmount()
  })
})
