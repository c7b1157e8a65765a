import { flushPromises, mount } from '@vue/test-utils'
import PrimeVue from 'primevue/config'
import ToastService from 'primevue/toastservice'
import { afterEach, expect, it, vi } from 'vitest'
import type { MachineResponse } from '~~/shared/machines'
import { fine, newDevice, refused, shopAnswers } from '~~/tests/support/screens'
import PastVisitForm from './PastVisitForm.vue'

afterEach(() => vi.unstubAllGlobals())

const SEEN = {
  machine: { id: 7, meterUnit: 'h' },
  valves: [
    { valveId: 'intake', name: 'Intake' },
    { valveId: 'exhaust', name: 'Exhaust' },
  ],
} as unknown as MachineResponse
function form(unit: 'mm' | 'thou' = 'mm', answer: Parameters<typeof shopAnswers>[0] = () => fine({ id: 7 })) {
  newDevice()
  const asked = shopAnswers(answer)
  const page = mount(PastVisitForm, { props: { seen: SEEN, unit }, global: { plugins: [PrimeVue, ToastService] } })
  const inputs = page.findAll('input')
  const [on, meter, found, left, exhaust] = inputs
  return { page, asked, on: on!, meter: meter!, found: found!, left: left!, exhaust: exhaust! }
}
const send = async ({ page }: ReturnType<typeof form>) => {
  await page.get('form').trigger('submit')
  await flushPromises()
}
interface Sent {
  meter: number | null
  valves: Record<string, { foundMm: object | null; leftMm: object | null; touched: boolean }>
}
const sent = ({ asked }: ReturnType<typeof form>) => asked.map(a => a.body as Sent)

it('one figure on paper is no finer than the blade that dragged; two are what they say; nothing is nothing', async () => {
  const typed = form()
  await typed.on.setValue('2026-03-05')
  await typed.meter.setValue('120,5')
  await typed.found.setValue('0.10')
  await typed.left.setValue('0,12–0,14')
  await send(typed)
  const [visit] = sent(typed)
  expect(visit).toMatchObject({ meter: 120.5 })
  expect(visit!.valves.intake!.foundMm).toEqual({ loMm: expect.closeTo(0.0873, 4), hiMm: expect.closeTo(0.1127, 4) })
  expect(visit!.valves.intake).toMatchObject({ leftMm: { loMm: 0.12, hiMm: 0.14 }, touched: true })
  expect(visit!.valves.exhaust).toEqual({ foundMm: null, leftMm: null, touched: false })
})
it('a bare figure is in the unit of the job’s hand: 4 is four thou, and a hyphen is a dash', async () => {
  const typed = form('thou')
  await typed.on.setValue('2026-03-05')
  await typed.found.setValue('4')
  await typed.exhaust.setValue('5-6')
  await send(typed)
  const { valves } = sent(typed)[0]!
  expect(valves.intake!.foundMm).toEqual({ loMm: expect.closeTo(0.0889, 4), hiMm: expect.closeTo(0.1143, 4) })
  expect(valves.exhaust!.foundMm).toEqual({ loMm: expect.closeTo(0.127, 4), hiMm: expect.closeTo(0.1524, 4) })
})
it('what was left as found was not touched, written twice or not', async () => {
  const typed = form()
  await typed.on.setValue('2026-03-05')
  await typed.found.setValue('0.10–0.12')
  await typed.left.setValue(' 0.10–0.12 ')
  await typed.exhaust.setValue('0.15')
  await send(typed)
  const { intake, exhaust } = sent(typed)[0]!.valves
  expect([intake!.touched, exhaust!.touched]).toEqual([false, false])
  expect(exhaust!.leftMm).toEqual(exhaust!.foundMm)
})
it('what cannot be read is said at its valve; nothing is sent, and all that was typed stays', async () => {
  for (const slip of ['about right', '0.10–0.12–0.14', '-0.1']) {
    const typed = form()
    await typed.on.setValue('2026-03-05')
    await typed.exhaust.setValue('0.15')
    await typed.found.setValue(slip)
    await send(typed)
    expect(typed.asked, slip).toEqual([])
    expect(typed.page.get('fieldset .wrong').text().length, slip).toBeGreaterThan(10)
    expect(typed.found.element.value).toBe(slip)
    expect(typed.exhaust.element.value).toBe('0.15')
  }
})
it('a meter that can be either of two is asked about; one below an earlier asks whether the meter was replaced', async () => {
  const typed = form('mm', () => refused('The meter was higher before.', 422, { code: 'meter-lower', fields: [] }))
  await typed.meter.setValue('1,500')
  expect(typed.page.text()).toContain('can mean 1500 or 1.5')
  await typed.on.setValue('2026-03-05')
  await typed.meter.setValue('1500')
  expect(typed.page.find('[type="checkbox"]').exists()).toBe(false)
  await send(typed)
  expect(typed.page.text()).toContain('The meter was higher before.')
  expect(typed.page.find('[type="checkbox"]').exists()).toBe(true)
  expect(typed.page.emitted('changed')).toBeUndefined()
})
