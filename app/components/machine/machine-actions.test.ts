import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import PrimeVue from 'primevue/config'
import ToastService from 'primevue/toastservice'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { MachineResponse } from '~~/shared/machines'
import { fine, newDevice, refused, shopAnswers } from '~~/tests/support/screens'
import ChoiceField from '../forms/ChoiceField.vue'
import MachineActions from './MachineActions.vue'

const SEEN = {
  machine: {
    ...{ id: 3, name: 'Lilac scooter', tag: 'L-1', plate: '', serial: '', meterUnit: 'km' },
    ...{ customerId: 9, owner: 'A. Owner', lastMeter: 812 },
  },
  valves: [{ valveId: 'intake', name: 'Intake' }],
} as unknown as MachineResponse

const fieldOf = (page: VueWrapper, label: RegExp) => {
  const name = page.findAll('label').find(l => label.test(l.text()))!
  return page.get<HTMLInputElement>(`[id="${name.attributes('for')}"]`)
}
const choose = (page: VueWrapper, what: string) =>
  (page.findComponent(ChoiceField as never) as VueWrapper).vm.$emit('update:modelValue', what)
const send = async (page: VueWrapper) => {
  await page.get('form').trigger('submit')
  await flushPromises()
}
const global = { plugins: [PrimeVue, ToastService] }
beforeEach(newDevice)
afterEach(() => vi.unstubAllGlobals())

describe('what may be put right of a machine', () => {
  it('what the shop has against one thing is not said of another', async () => {
    shopAnswers(() => refused('Another machine has the tag L-2.', 409))
    const page = mount(MachineActions, { props: { seen: SEEN, unit: 'mm', timeZone: 'Etc/UTC' }, global })
    await fieldOf(page, /^Tag/).setValue('L-2')
    await send(page)
    expect(page.text()).toContain('has the tag L-2')
    choose(page, 'meter')
    await flushPromises()
    expect(page.text()).not.toContain('has the tag L-2')
    choose(page, 'edit')
    await flushPromises()
    expect(fieldOf(page, /^Tag/).element.value, 'what was typed is still there').toBe('L-2')
  })
  it('the day is the shop’s: it may be tomorrow there, or yesterday', async () => {
    vi.useFakeTimers({ now: Date.parse('2026-12-01T03:00:00Z'), toFake: ['Date'] })
    const asked = shopAnswers(() => fine({}))
    for (const timeZone of ['America/Denver', 'Pacific/Auckland']) {
      const page = mount(MachineActions, { props: { seen: SEEN, unit: 'mm', timeZone }, global })
      choose(page, 'meter')
      await flushPromises()
      await fieldOf(page, /^Meter/).setValue('1034')
      await send(page)
    }
    vi.useRealTimers()
    expect(asked.map(a => (a.body as { on: string }).on)).toEqual(['2026-11-30', '2026-12-01'])
  })
  it('a plate that somebody else added comes up beside the name that is being typed, and stays', async () => {
    let isTaken = true
    const asked = shopAnswers(() =>
      isTaken ? refused('Somebody changed the same thing.', 409, { code: 'changed-meanwhile' }) : fine({}),
    )
    const page = mount(MachineActions, { props: { seen: SEEN, unit: 'mm', timeZone: 'Etc/UTC' }, global })
    await fieldOf(page, /^Name/).setValue('Lilac, tall')
    await send(page)
    expect(asked[0]!.body).toMatchObject({ name: 'Lilac, tall', was: { name: 'Lilac scooter', plate: '' } })
    expect(page.emitted('changed'), 'it is read again').toHaveLength(1)
    const machine = { ...SEEN.machine, name: 'Lilac two', plate: 'QB 14' }
    await page.setProps({ seen: { ...SEEN, machine } })
    expect(fieldOf(page, /^Name/).element.value).toBe('Lilac, tall')
    expect(fieldOf(page, /^Plate/).element.value).toBe('QB 14')
    isTaken = false
    await send(page)
    expect(asked[1]!.body).toMatchObject({ name: 'Lilac, tall', plate: 'QB 14', was: { name: 'Lilac two' } })
  })
  it('a meter that can be read two ways asks which, and is not sent', async () => {
    const asked = shopAnswers(() => fine({}))
    const page = mount(MachineActions, { props: { seen: SEEN, unit: 'mm', timeZone: 'Etc/UTC' }, global })
    choose(page, 'meter')
    await flushPromises()
    await fieldOf(page, /^Meter/).setValue('1,200')
    await page.get('input[type="checkbox"]').setValue(true)
    await send(page)
    expect(asked, 'a new meter may stand at 1.2').toEqual([])
    expect(page.text()).toContain('can mean 1200 or 1.2')
    await page.get('input[type="checkbox"]').setValue(false)
    await fieldOf(page, /^Meter/).setValue('1,034')
    await send(page)
    expect(asked.map(a => a.line)).toEqual(['POST /api/machines/3/meter'])
    expect(asked[0]!.body).toMatchObject({ meter: 1034, replaced: false })
  })
})
