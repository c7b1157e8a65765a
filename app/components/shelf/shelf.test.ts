import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import PrimeVue from 'primevue/config'
import ConfirmationService from 'primevue/confirmationservice'
import { describe, expect, it, vi } from 'vitest'
import { plainBlade } from '~~/core/feeler'
import type { Unfinished } from '~~/shared/api'
import type { AdapterRow, BladeSetChange, BladeSetRow, ShimRequest, ShimStockRow, WrenchRow } from '~~/shared/shelf'
import { useForm } from '../../composables/useForm'
import BladeSetView from './BladeSetView.vue'
import ShimStock from './ShimStock.vue'
import TorqueTools from './TorqueTools.vue'

const global = { plugins: [PrimeVue, ConfirmationService] }
const buttonOf = (page: VueWrapper, name: RegExp) =>
  page.findAll('button').find(b => name.test(b.attributes('aria-label') ?? b.text()))!
/** Sends the first form; the form's own check takes a turn. */
const send = async (page: VueWrapper) => {
  await page.get('form').trigger('submit')
  await flushPromises()
}
const type = (page: VueWrapper, name: string, words: string) => page.get(`input[name="${name}"]`).setValue(words)

const CLICK: WrenchRow = {
  ...{ id: 4, name: 'Small click', unit: 'lbf·in', leastNm: 2.26, mostNm: 22.6, lengthMm: 240 },
  calibrationDue: '2026-05-01',
}
const FOOT: AdapterRow = { id: 6, name: 'Crow’s-foot', lengthMm: 38, angleDeg: 90 }
const tools = (changes: object = {}) =>
  mount(TorqueTools, {
    props: { wrenches: [CLICK], adapters: [FOOT], isLead: true, today: '2026-06-01', form: useForm(), ...changes },
    global,
  })

describe('torque wrenches', () => {
  it('one whose calibration is over says so; a day that is still to come does not', () => {
    expect(tools().text()).toContain('was due')
    expect(tools({ today: '2026-05-01' }).text()).not.toContain('was due')
  })
  it('is typed as its scale has it, and kept in N·m', async () => {
    const page = tools({ wrenches: [] })
    await type(page, 'name', 'Beam')
    await type(page, 'leastNm', '2,5')
    await type(page, 'mostNm', '25')
    await type(page, 'lengthMm', '300')
    await send(page)
    const [id, kept] = page.emitted('keepWrench')![0] as [number | null, Record<string, unknown>]
    expect(id).toBeNull()
    expect(kept).toMatchObject({ name: 'Beam', unit: 'N·m', leastNm: 2.5, mostNm: 25, calibrationDue: null })
  })
  it('is changed in the unit of its scale: 2.26 N·m are 20 lbf·in', async () => {
    const page = tools()
    await page.findAll('button[aria-label*="Small click"]')[0]!.trigger('click')
    expect(page.get<HTMLInputElement>('input[name="leastNm"]').element.value).toBe('20')
    expect(page.get<HTMLInputElement>('input[name="mostNm"]').element.value).toBe('200')
    await send(page)
    const [id, kept] = page.emitted('keepWrench')![0] as [number, { leastNm: number }]
    expect(id).toBe(4)
    expect(kept.leastNm).toBeCloseTo(2.26, 2)
  })
  it('one that another lead changes meanwhile follows the shelf but for what was typed', async () => {
    const page = tools()
    await page.findAll('button[aria-label*="Small click"]')[0]!.trigger('click')
    await type(page, 'mostNm', '180')
    const now = { ...CLICK, mostNm: 21, calibrationDue: '2027-05-01' }
    await page.setProps({ wrenches: [now] })
    await send(page)
    const [, kept] = page.emitted('keepWrench')![0] as [number, Record<string, unknown>]
    expect(kept).toMatchObject({ calibrationDue: '2027-05-01', was: now })
    expect(kept.mostNm).toBeCloseTo(20.34, 2)
    const done = page.emitted('keepWrench')![0]![2] as () => void
    done()
    await page.setProps({ wrenches: [{ ...now, name: 'Other' }] })
    expect(page.get<HTMLInputElement>('input[name="name"]').element.value, 'none is being changed').toBe('')
  })
  it('what is no figure is not sent', async () => {
    const page = tools({ wrenches: [] })
    await type(page, 'name', 'Beam')
    await type(page, 'leastNm', 'two')
    await send(page)
    expect(page.emitted('keepWrench')).toBeUndefined()
    expect(page.find('.wrong').exists()).toBe(true)
  })
  it('an adapter at a right angle says square on; a mechanic sees them and changes none', () => {
    expect(tools().text()).toContain('90°, square on')
    const seen = tools({ isLead: false })
    expect(seen.text()).toContain('Crow’s-foot')
    expect(seen.findAll('form')).toHaveLength(0)
    expect(seen.findAll('button[aria-label*="Small click"]')).toHaveLength(0)
  })
})

const SET: BladeSetRow = {
  id: 2,
  name: 'Set A',
  unit: 'mm',
  blades: [plainBlade(0.1), { ...plainBlade(0.15), measuredMm: 0.148 }, { ...plainBlade(0.2), condition: 'missing' }],
}
const drawer = (change = vi.fn(async (_: BladeSetChange) => '')) =>
  mount(BladeSetView, { props: { set: SET, mine: false, isLead: true, busy: false, change }, global })

describe('a blade set', () => {
  it('shows each blade in both units, with what is known of it', () => {
    const [plain, measured, gone] = drawer().findAll('.blade')
    expect(plain!.text()).toMatch(/0\.10.*3\.9/)
    expect(measured!.text()).toContain('0.148')
    expect(gone!.text()).toMatch(/missing|gone/i)
  })
  it('a micrometer’s figure is kept for one blade, the others stay', async () => {
    const change = vi.fn(async (_: BladeSetChange) => '')
    const page = drawer(change)
    await page.findAll('.blade')[0]!.trigger('click')
    await page.get('.blade-form input').setValue('0.103')
    await page.get('.blade-form').trigger('submit')
    await flushPromises()
    const [kept] = change.mock.calls[0]!
    expect(kept.blades.map(b => b.measuredMm)).toEqual([0.103, 0.148, null])
    expect(kept.was, 'what it was changed from').toEqual(SET.blades)
    expect(page.find('.blade-form').exists()).toBe(false)
  })
  it('what could not be kept stays typed, with the reason beside it', async () => {
    const page = drawer(vi.fn(async () => 'Somebody changed this set.'))
    await page.findAll('.blade')[0]!.trigger('click')
    await page.get('.blade-form input').setValue('0.103')
    await page.get('.blade-form').trigger('submit')
    await flushPromises()
    expect(page.get('.blade-form .wrong').text()).toBe('Somebody changed this set.')
    expect(page.get<HTMLInputElement>('.blade-form input').element.value).toBe('0.103')
  })
  it('a slip of a place is refused in words, and stays to be put right', async () => {
    const change = vi.fn(async (_: BladeSetChange) => '')
    const page = drawer(change)
    await page.findAll('.blade')[0]!.trigger('click')
    for (const slip of ['1.03', 'about 0.1']) {
      await page.get('.blade-form input').setValue(slip)
      await page.get('.blade-form').trigger('submit')
      expect(change, slip).not.toHaveBeenCalled()
      expect(page.get('.blade-form .wrong').text().length, slip).toBeGreaterThan(10)
      expect(page.get<HTMLInputElement>('.blade-form input').element.value).toBe(slip)
    }
  })
})

const SHIM: ShimStockRow = { diameterMm: 9.5, sizeMm: 2.35, count: 1 }
/** The shelf's part of the page; what is counted is taken, unless said otherwise. */
const stock = (shims = [SHIM], count = vi.fn(async (_: Unfinished<ShimRequest>) => true)) =>
  Object.assign(mount(ShimStock, { props: { shims, form: useForm(), count }, global }), { count })

describe('shims in stock', () => {
  it('are counted by taps, shown at once, and said to be counted on from what was there', async () => {
    vi.useFakeTimers()
    const page = stock()
    for (let i = 0; i < 3; i++) await buttonOf(page, /more$/).trigger('click')
    expect(page.get('output').text(), 'at once, before the shelf has it').toBe('4')
    vi.advanceTimersByTime(1000)
    expect(page.count.mock.calls).toEqual([[{ ...SHIM, count: 4, was: 1 }]])
    vi.useRealTimers()
  })
  it('what the shelf refuses is said at that shim, where the thumb is, until it is counted again', async () => {
    vi.useFakeTimers()
    const form = useForm()
    const count = vi.fn(async () => {
      await form.send(() => Promise.reject(new Error('The shelf has 6 now.')))
      return false
    })
    const page = mount(ShimStock, { props: { shims: [SHIM, { ...SHIM, sizeMm: 2.4 }], form, count }, global })
    const [, second] = page.findAll('li')
    await second!.findAll('button').at(-1)!.trigger('click')
    vi.advanceTimersByTime(1000)
    await flushPromises()
    expect(page.findAll('.wrong').map(w => w.text())).toEqual([expect.stringContaining('The shelf has 6 now.')])
    expect(second!.find('.wrong').exists()).toBe(true)
    await second!.findAll('button').at(-1)!.trigger('click')
    expect(second!.find('.wrong').exists()).toBe(false)
    vi.useRealTimers()
  })
  it('what was tapped last goes along when the page is left', async () => {
    const page = stock()
    await buttonOf(page, /less$/).trigger('click')
    page.unmount()
    expect(page.count.mock.calls).toEqual([[{ ...SHIM, count: 0, was: 1 }]])
  })
  it('new ones are typed with a comma or mm beside the figure; the diameter stays for the next', async () => {
    const page = stock([])
    await type(page, 'diameterMm', '9,5 mm')
    await type(page, 'sizeMm', '2.375')
    await type(page, 'count', '3')
    await send(page)
    expect(page.count.mock.calls).toEqual([[{ diameterMm: 9.5, sizeMm: 2.375, count: 3 }]])
    expect(page.get<HTMLInputElement>('input[name="diameterMm"]').element.value).toBe('9,5 mm')
    expect(page.get<HTMLInputElement>('input[name="sizeMm"]').element.value).toBe('')
  })
  it('a thickness between the steps that shims come in is not counted', async () => {
    const page = stock([])
    await type(page, 'diameterMm', '9.5')
    await type(page, 'sizeMm', '2.36')
    await send(page)
    expect(page.count).not.toHaveBeenCalled()
    expect(page.get('.wrong').text()).toMatch(/0\.025|steps/)
  })
})
