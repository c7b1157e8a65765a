import { mount } from '@vue/test-utils'
import PrimeVue from 'primevue/config'
import { describe, expect, it } from 'vitest'
import type { Happening, JobPin } from '~~/core/job'
import type { Adapter, Wrench } from '~~/core/torque'
import { engineOf, setOf } from '~~/tests/support/builders'
import { twinOf } from '~~/tests/support/engines'
import { found, ready, said, trial } from '~~/tests/support/job-book'
import EvidencePanel from './EvidencePanel.vue'
import PressurePanel from './PressurePanel.vue'
import ReasonsPanel from './ReasonsPanel.vue'
import SetsPanel from './SetsPanel.vue'
import WrenchPanel from './WrenchPanel.vue'

const plugins = { global: { plugins: [PrimeVue] } }
type Book = ReturnType<typeof said>
const button = (shown: ReturnType<typeof mount>, words: RegExp) =>
  shown.findAll('button').find(b => words.test(b.text()))!

describe('a compression read off a gauge', () => {
  const panel = (book: Book = said()) => mount(PressurePanel, { props: { view: book.view() }, ...plugins })
  const recorded = async (shown: ReturnType<typeof panel>, typed: string) => {
    await shown.find('#pressure').setValue(typed)
    await shown.find('form').trigger('submit')
    return (shown.emitted('record')?.at(-1)?.[0] as Happening | undefined)?.payload
  }
  it('is recorded as it was taken, and shown in the other units meanwhile', async () => {
    const shown = panel()
    await shown.find('#pressure').setValue('1100')
    // 1100 kPa ÷ 6.894757 (ISO 80000-4) are 159.5 psi
    expect(shown.find('.note').text()).toContain('160 psi')
    expect(await recorded(shown, '1100')).toMatchObject({ value: 1100, unit: 'kPa', throttle: 'open', when: 'before' })
  })
  it('is read in psi where the shop works in thou, and then as the last one on this job', async () => {
    const thou = (...happened: Happening[]) => said(engineOf(), { unit: 'thou' }).say(...happened)
    expect(await recorded(panel(thou()), '130')).toMatchObject({ value: 130, unit: 'psi' })
    const last = {
      kind: 'compression',
      when: 'before',
      value: 9,
      unit: 'bar',
      throttle: 'open',
      engine: 'cold',
    } as const
    expect(
      await recorded(panel(thou({ type: 'pressure', payload: { ...last, cylinderId: 'only' } })), '9'),
    ).toMatchObject({ unit: 'bar' })
  })
  it.each(['', 'about 130', '12'])('that is none is not recorded, and what was typed stays: “%s”', async typed => {
    const shown = panel()
    expect(await recorded(shown, typed)).toBeUndefined()
    expect(shown.find('[role="alert"]').text().length).toBeGreaterThan(8)
    expect((shown.find('#pressure').element as HTMLInputElement).value).toBe(typed)
  })
  it('a share that leaks down has neither unit nor throttle, and no more than a hundred', async () => {
    const shown = panel()
    await button(shown, /Leak-down/).trigger('click')
    expect(await recorded(shown, '110')).toBeUndefined()
    expect(await recorded(shown, '12')).toEqual({
      ...{ kind: 'leak-down', when: 'before', value: 12, engine: 'cold', cylinderId: 'only' },
    })
  })
  it('after a valve was set, it is one of after', () => {
    const book = found(said()).say(trial('intake', 0.05, 'no-go'), {
      type: 'nut-loosened',
      payload: { valveId: 'intake' },
    })
    expect(button(panel(book), /^After$/).attributes('aria-pressed')).toBe('true')
  })
  it('of two cylinders says which', () => {
    expect(
      panel(said(twinOf(360)))
        .findAll('.p-selectbutton')[2]!
        .findAll('button'),
    ).toHaveLength(2)
  })
})

describe('the torque wrench in hand', () => {
  const SMALL: Wrench = {
    ...{ name: 'Small click', unit: 'N·m', leastNm: 4, mostNm: 22, lengthMm: 200, calibrationDue: '2099-01-01' },
  }
  const BIG: Wrench = { ...SMALL, name: 'Big click', leastNm: 40, mostNm: 200 }
  const CROW: Adapter = { name: 'Crow’s-foot', lengthMm: 50, angleDeg: 0 }
  const panel = (changes: Partial<JobPin> = {}) =>
    mount(WrenchPanel, {
      props: { view: said(engineOf(), { wrenches: [SMALL, BIG], adapters: [CROW], ...changes }).view() },
      ...plugins,
    })
  const wrench = (shown: ReturnType<typeof panel>, name: string) => shown.find(`[data-wrench="${name}"]`)
  it('in line with an adapter is set lower by the lever’s rule: L over L plus the adapter', async () => {
    const shown = panel()
    expect(wrench(shown, 'Small click').text()).toContain('8')
    await button(shown, /Crow/).trigger('click')
    // 8 N·m × 200 / (200 + 50) = 6.4 N·m: the rule that makers of wrenches print
    expect(wrench(shown, 'Small click').text()).toContain('6.4')
    await wrench(shown, 'Small click').trigger('click')
    expect(shown.emitted('record')).toEqual([
      [{ type: 'wrench-taken', payload: { wrench: 'Small click', adapter: 'Crow’s-foot' } }],
    ])
  })
  it('that cannot be set so low is not taken, and why is said until something else is chosen', async () => {
    const shown = panel()
    await wrench(shown, 'Big click').trigger('click')
    expect(shown.emitted('record')).toBeUndefined()
    expect(shown.find('.wrong').text().length).toBeGreaterThan(10)
    await button(shown, /Crow/).trigger('click')
    expect(shown.find('.wrong').exists()).toBe(false)
  })
  it('where none is on the shelf, it is said who adds one', () =>
    expect(panel({ wrenches: [] }).text()).toContain('a lead adds it there'))
  it('without a torque on record says so rather than none', () => {
    const engine = engineOf({ torques: { locknutNm: null, coverNm: 10, plugNm: 12 } })
    const shown = mount(WrenchPanel, { props: { view: said(engine, { wrenches: [SMALL] }).view() }, ...plugins })
    expect(shown.text()).toContain('no locknut torque')
    expect(wrench(shown, 'Small click').text()).toContain('4')
  })
})

describe('what else was seen, felt or turned', () => {
  const panel = (book: Book = ready(said())) => mount(EvidencePanel, { props: { view: book.view() }, ...plugins })
  const told = (shown: ReturnType<typeof panel>) => shown.emitted('record') as [Happening][] | undefined
  it('what would tell most stands first', () => {
    const shares = panel()
      .findAll('[data-testid="offered"] .share i')
      .map(i => Number(/width: ([\d.]+)%/.exec(i.attributes('style')!)![1]))
    expect(shares.length).toBeGreaterThan(1)
    expect([...shares].sort((a, b) => b - a)).toEqual(shares)
  })
  it('a turn in degrees is told forward, or back a bit', async () => {
    const shown = panel()
    await shown.find('#turned-by').setValue(' 22,5° ')
    await shown.find('form').trigger('submit')
    await button(shown, /Back a bit/).trigger('click')
    const turned = told(shown)!.map(([happening]) => JSON.stringify(happening.payload))
    expect(turned[0]).toContain('22.5')
    expect(turned[1]).not.toBe(turned[0])
  })
  it.each(['', 'a quarter', '-90', '99999'])('what is no turn is not recorded: “%s”', async typed => {
    const shown = panel()
    await shown.find('#turned-by').setValue(typed)
    await shown.find('form').trigger('submit')
    expect(told(shown)).toBeUndefined()
    expect(shown.find('[role="alert"]').text().length).toBeGreaterThan(10)
  })
})

describe('why the crank is said to be there', () => {
  const panel = (book: Book, without: string | null = null) =>
    mount(ReasonsPanel, { props: { view: book.view(), without }, ...plugins })
  it('each answer stands with what it did, and is seen without or taken back', async () => {
    const book = found(said())
    const shown = panel(book)
    const [latest] = shown.findAll('[data-reason]')
    const [see, undo] = latest!.findAll('button')
    await see!.trigger('click')
    await undo!.trigger('click')
    const id = latest!.attributes('data-reason')!
    expect([shown.emitted('see'), shown.emitted('retract')]).toEqual([[[id]], [[id]]])
  })
  it('without one, it is put back by the same button', async () => {
    const book = found(said())
    const id = panel(book).find('[data-reason]').attributes('data-reason')!
    const shown = panel(book, id)
    const see = shown.find(`[data-reason="${id}"] button`)
    expect(see.attributes('aria-pressed')).toBe('true')
    await see.trigger('click')
    expect(shown.emitted('see')).toEqual([[null]])
  })
  it('how sure it is that a valve is closed stands for each, and before anything was felt that is said', () => {
    const rows = panel(found(said())).findAll('tbody tr')
    expect(rows.map(r => r.find('td').text())).toEqual(['Intake', 'Exhaust'])
    expect(rows.every(r => /^\d+ %$/.test(r.findAll('td')[1]!.text()))).toBe(true)
    expect(panel(ready(said())).text()).toMatch(/nothing/i)
  })
  it('a decompressor that nobody recorded stands with its chance, and one that is known with none', () => {
    const asks = (kind: 'unknown' | 'none') =>
      panel(found(said(engineOf({ decompressor: { kind } })))).findAll('.note').length
    expect(asks('unknown') - asks('none')).toBe(1)
  })
})

describe('the blades in hand', () => {
  it('are one of the sets of the shelf; a bent or worn blade is named before it is trusted', async () => {
    const [own, other] = [setOf('Set A', [0.1, 0.12]), setOf('Set B', [0.05, 0.2])]
    other.blades[1]!.condition = 'bent'
    const view = said(engineOf(), { bladeSet: own, otherSets: [other] }).view()
    const shown = mount(SetsPanel, { props: { view }, ...plugins })
    const [first, second] = shown.findAll('.pick')
    expect([first!.attributes('aria-pressed'), second!.attributes('aria-pressed')]).toEqual(['true', 'false'])
    expect(second!.text()).toMatch(/0\.20 .*bent/i)
    await second!.trigger('click')
    expect(shown.emitted('choose')).toEqual([['Set B']])
  })
})
