import 'fake-indexeddb/auto'
import { flushPromises, mount } from '@vue/test-utils'
import PrimeVue from 'primevue/config'
import ConfirmationService from 'primevue/confirmationservice'
import ConfirmPopup from 'primevue/confirmpopup'
import ToastService from 'primevue/toastservice'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { type Component, defineComponent, h } from 'vue'
import { place } from '../../tests/support/nuxt-imports'
import { fine, newDevice, refused, sessionOf, shopAnswers } from '../../tests/support/screens'
import { useSessionStore } from '../stores/session'
import OwnerPage from './customers/[id].vue'
import DuePage from './due.vue'

type Reply = ReturnType<typeof fine>
/** A page with what the application puts around it. */
function open(page: Component) {
  const around = defineComponent({ setup: () => () => h('div', [h(page), h(ConfirmPopup)]) })
  return mount(around, { attachTo: document.body, global: { plugins: [PrimeVue, ToastService, ConfirmationService] } })
}
const button = (shown: ReturnType<typeof open>, words: RegExp) =>
  shown.findAll('button').find(b => words.test(b.text()))!
/** What asks first is answered with yes, by the button that says what is done. */
async function confirmed(words: RegExp) {
  await vi.waitFor(() => expect(document.querySelector('.p-confirmpopup')).not.toBeNull())
  const asked = document.querySelector('.p-confirmpopup')!
  const said = asked.textContent!
  ;[...asked.querySelectorAll('button')].find(b => words.test(b.textContent!))!.click()
  await flushPromises()
  return said
}

beforeEach(() => {
  newDevice()
  useSessionStore().begin(sessionOf())
  place.params = { id: '7' }
})
afterEach(() => {
  vi.unstubAllGlobals()
  document.body.innerHTML = ''
})

describe('an owner', () => {
  const OWNER = {
    id: 7,
    name: 'O. Brackwell',
    contact: 'Mill Lane',
    email: 'o@owner.example',
    language: 'es',
    machines: 1,
  }
  const OTHER = { id: 8, name: 'Brackwell', contact: '', email: '', language: null, machines: 0 }
  const year = (of: number) => ({
    year: of,
    customer: { id: 7, name: OWNER.name },
    machines: [
      { id: 3, name: 'G30, cabin', tag: 'B-3', model: 'G30', due: 'May 2027', why: 'a year', visits: [], records: [] },
    ],
  })
  let customers: () => Reply | Promise<Reply>
  let summary: (year: number) => Reply | Promise<Reply>
  async function page() {
    const asked = shopAnswers(({ line }) => {
      if (line.startsWith('GET /api/customers/7/summary')) return summary(Number(/year=(\d+)/.exec(line)![1]))
      return line === 'GET /api/customers' ? customers() : fine({ id: 7 })
    })
    const shown = open(OwnerPage)
    await flushPromises()
    await vi.waitFor(() => expect(shown.find('.year').exists()).toBe(true))
    await flushPromises()
    return { shown, asked }
  }
  const field = (shown: ReturnType<typeof open>, name: string) =>
    shown.find(`[name="${name}"]`).element as HTMLInputElement
  beforeEach(() => {
    customers = () => fine([OWNER, OTHER])
    summary = of => fine(year(of))
  })

  it('is changed from what is on record, and what was not touched is kept', async () => {
    const { shown, asked } = await page()
    expect(field(shown, 'contact').value).toBe('Mill Lane')
    await shown.find('[name="contact"]').setValue('Mill Lane 4')
    await shown.find('form').trigger('submit')
    await flushPromises()
    expect(asked.find(a => a.line === 'PUT /api/customers/7')!.body).toEqual({
      name: 'O. Brackwell',
      contact: 'Mill Lane 4',
      email: 'o@owner.example',
      language: 'es',
      was: OWNER,
    })
    shown.unmount()
  })
  it('that somebody else changed meanwhile shows it, and keeps what was typed: another tap means it', async () => {
    const puts: { was: unknown }[] = []
    const asked = shopAnswers(({ line, body }) => {
      if (line.includes('/summary')) return summary(2026)
      if (line === 'GET /api/customers') return customers()
      puts.push(body as { was: unknown })
      if (puts.length > 1) return fine(now)
      customers = () => fine([now, OTHER])
      const says = 'Somebody changed this while you had it open: it says “Quay 1” now.'
      return refused('Somebody changed the same thing.', 409, {
        ...{ code: 'changed-meanwhile', fields: [{ field: 'contact', message: says }] },
      })
    })
    const now = { ...OWNER, contact: 'Quay 1', email: 'new@owner.example' }
    const shown = open(OwnerPage)
    await flushPromises()
    await vi.waitFor(() => expect(shown.find('form').exists()).toBe(true))
    await shown.find('[name="contact"]').setValue('Mill Lane 4')
    await shown.find('form').trigger('submit')
    await flushPromises()
    expect(shown.text()).toContain('it says “Quay 1” now')
    expect(field(shown, 'contact').value, 'what was typed').toBe('Mill Lane 4')
    expect(field(shown, 'email').value, 'what was not').toBe('new@owner.example')
    await shown.find('form').trigger('submit')
    await flushPromises()
    expect(puts.at(-1)).toMatchObject({ contact: 'Mill Lane 4', email: 'new@owner.example', was: now })
    expect(shown.text()).not.toContain('it says “Quay 1” now')
    expect(asked.filter(a => a.line.startsWith('PUT'))).toHaveLength(2)
    shown.unmount()
  })
  it('that could not be read is not offered empty: it would be kept over what is on record', async () => {
    customers = () => refused('The shop’s server is busy.', 503, { code: 'busy' })
    const { shown } = await page()
    expect(shown.find('form').exists()).toBe(false)
    expect(shown.find('[role="alert"]').text()).toContain('busy')
    shown.unmount()
  })
  it('is merged into another only after it was said what that does', async () => {
    const { shown, asked } = await page()
    expect(button(shown, /^Merge$/).attributes('disabled')).toBeDefined()
    shown.findAllComponents({ name: 'Select' }).at(-1)!.vm.$emit('update:modelValue', 8)
    await flushPromises()
    await button(shown, /^Merge$/).trigger('click')
    expect(asked.some(a => a.line.endsWith('/merge'))).toBe(false)
    expect(await confirmed(/^Merge$/)).toContain('Merge O. Brackwell into Brackwell?')
    expect(asked.find(a => a.line === 'POST /api/customers/7/merge')!.body).toEqual({ intoId: 8 })
    shown.unmount()
  })
  it('is not removed by one tap', async () => {
    const { shown, asked } = await page()
    await button(shown, /^Remove owner$/).trigger('click')
    expect(asked.some(a => a.line.startsWith('DELETE'))).toBe(false)
    await confirmed(/^Remove owner$/)
    expect(asked.some(a => a.line === 'DELETE /api/customers/7')).toBe(true)
    shown.unmount()
  })
  it('a late answer to an earlier year does not stand under the later one', async () => {
    const now = new Date().getFullYear()
    const late: (() => void)[] = []
    const { shown } = await page()
    summary = of => (of === now - 1 ? new Promise(done => late.push(() => done(fine(year(of))))) : fine(year(of)))
    const choose = async (of: number) => {
      shown.findAllComponents({ name: 'Select' })[0]!.vm.$emit('update:modelValue', of)
      await flushPromises()
    }
    await choose(now - 1)
    await choose(now - 2)
    expect(shown.find('.year h2').text()).toContain(String(now - 2))
    late.forEach(answer => answer())
    await flushPromises()
    expect(shown.find('.year h2').text()).toContain(String(now - 2))
    shown.unmount()
  })
})

describe('what is due', () => {
  const item = (machineId: number, changes: object = {}) => ({
    ...{ machineId, customerId: 7, name: `Plover ${machineId}`, tag: `P-${machineId}`, owner: 'O. Brackwell' },
    ...{ day: '2026-12-03', week: '2026-11-30', days: 'in 3 days', over: false, openJobId: null, toldAt: null },
    ...{ cause: 'Exhaust, forecast', when: 'at 1,300 km', why: 'it tightens', ...changes },
  })
  const due = (items: object[], changes: object = {}) =>
    fine({ today: '2026-11-30', until: '2027-01-25', items, more: 0, working: false, ...changes })
  async function page(answer: (weeks: number) => Reply | Promise<Reply>) {
    const asked = shopAnswers(({ line }) => answer(Number(/weeks=(\d+)/.exec(line)?.[1])))
    const shown = open(DuePage)
    await flushPromises()
    return { shown, asked }
  }
  it('stands week by week, what is over first', async () => {
    const { shown } = await page(() =>
      due([
        item(1),
        item(2, { week: '2026-12-07', day: '2026-12-09' }),
        item(3, { over: true, day: '2026-06-01', week: '2026-06-01' }),
        item(4),
      ]),
    )
    const groups = shown.findAll('section').map(s => s.findAll('[data-due]').map(d => d.attributes('data-due')))
    expect(groups).toEqual([['P-3'], ['P-1', 'P-4'], ['P-2']])
    expect(shown.find('section').classes()).toContain('over')
    shown.unmount()
  })
  it('what is on the bench leads there, and its owner is not written to', async () => {
    const { shown } = await page(() => due([item(1, { openJobId: 42 }), item(2)]))
    const [busy, free] = shown.findAll('[data-due] .doors')
    expect(busy!.find('button').exists()).toBe(false)
    expect(free!.find('button').text()).toBe('Tell the owner')
    shown.unmount()
  })
  it('nothing is said to be due when nothing is, and a refusal is no empty list', async () => {
    const empty = await page(() => due([]))
    expect(empty.shown.find('.none').exists()).toBe(true)
    empty.shown.unmount()
    const away = await page(() => refused('The database does not answer.', 503, { code: 'no-database' }))
    expect(away.shown.find('.none').exists()).toBe(false)
    expect(away.shown.find('[role="alert"]').text()).toContain('database')
    away.shown.unmount()
  })
  it('a late answer to fewer weeks does not take the place of the later one', async () => {
    let late = () => {}
    const { shown } = await page(weeks => {
      if (weeks === 4) return new Promise<Reply>(done => (late = () => done(due([item(1)]))))
      return due(weeks === 60 ? [item(1), item(2), item(3)] : [item(1), item(2)])
    })
    for (const weeks of [4, 60]) {
      shown.findComponent({ name: 'Select' }).vm.$emit('update:modelValue', weeks)
      await flushPromises()
    }
    expect(shown.findAll('[data-due]')).toHaveLength(3)
    late()
    await flushPromises()
    expect(shown.findAll('[data-due]')).toHaveLength(3)
    shown.unmount()
  })
})
