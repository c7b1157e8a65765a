import { mount } from '@vue/test-utils'
import PrimeVue from 'primevue/config'
import { describe, expect, it, vi } from 'vitest'
import type { Happening } from '~~/core/job'
import { progress } from '~~/core/job'
import type { RevisionRow } from '~~/shared/spec-book'
import { engineOf, LogBook, pinOf } from '~~/tests/support/builders'
import { confirmed, ready, said } from '~~/tests/support/job-book'
import type { StripValve } from '../../bench/strip'
import { REST_MS } from '../../composables/useRest'
import type { Waiting } from '../../local/database'
import { asEvent } from '../../local/outbox'
import BenchFoot from './BenchFoot.vue'
import BenchNotices from './BenchNotices.vue'
import ColdStage from './ColdStage.vue'
import ListStage from './ListStage.vue'
import StepRail from './StepRail.vue'
import ValveStrip from './ValveStrip.vue'

const plugins = { global: { plugins: [PrimeVue] } }
const cameOff = (item: string): Happening => ({ type: 'came-off', payload: { item } })

describe('the six steps', () => {
  const rail = (book: ReturnType<typeof said>, acknowledged = false) =>
    mount(StepRail, {
      props: { steps: progress(book.view()), caution: 'Fuel burns.', acknowledged },
      ...plugins,
    })
  it('are all there in their order, and one is at work', () => {
    const drawn = rail(said())
    expect(drawn.findAll('[data-step]').map(s => s.attributes('data-step'))).toEqual([
      ...['ready', 'find', 'measure', 'set', 'prove', 'close'],
    ])
    expect(drawn.findAll('[aria-current="step"]').map(s => s.attributes('data-step'))).toEqual(['ready'])
  })
  it('one that is done is done in its sign too, for whoever does not see colors', () => {
    const drawn = rail(ready(said()))
    const signs = (step: string) => drawn.find(`[data-step="${step}"] svg`).findAll('path').length
    expect([signs('ready'), signs('find')]).toEqual([1, 0])
  })
  it('the danger stays readable after it was understood, and is asked about once', async () => {
    const asked = rail(said())
    await asked.find('button').trigger('click')
    expect(asked.emitted('acknowledge')).toHaveLength(1)
    const understood = rail(said(), true)
    expect(understood.find('.caution').text()).toContain('Fuel burns.')
    expect(understood.find('.caution button').exists()).toBe(false)
  })
})

describe('what comes off and goes back', () => {
  const list = (book: ReturnType<typeof said>, closing = false) =>
    mount(ListStage, { props: { view: book.view(), closing }, ...plugins })
  const lines = (shown: ReturnType<typeof list>) => shown.findAll('button.line').map(l => l.find('i').text())
  it('a tap takes a part off, once', async () => {
    const shown = list(said())
    const [first] = shown.findAll('button.line')
    await first!.trigger('click')
    expect(shown.emitted('record')).toEqual([[cameOff('Seat')]])
    expect(
      list(said().say(cameOff('Seat')))
        .findAll('button.line')[0]!
        .attributes('disabled'),
    ).toBeDefined()
  })
  it('what somebody took off that no list had stands there as well', () => {
    const shown = list(said().say(cameOff('Heat shield')))
    expect(shown.text()).toContain('Heat shield')
    expect(lines(shown).filter(Boolean)).toEqual(['✓'])
    expect(lines(shown).at(-1)).toBe('✓')
  })
  it('goes back in the other order, and only what came off', () => {
    const book = said(engineOf({ stripDown: ['Seat', 'Tank', 'Side cover'] })).say(cameOff('Seat'), cameOff('Tank'))
    const names = list(book, true)
      .findAll('button.line')
      .map(l => l.find('span').text())
    expect(names[0]).toMatch(/^Tank/)
    expect(names[1]).toMatch(/^Seat/)
    expect(names).toHaveLength(2)
    expect(lines(list(book.say({ type: 'went-back', payload: { item: 'Tank' } }), true))).toEqual(['✓', ''])
  })
  it('a rag under the cover stands there until it is out', () => {
    const book = said().say({ type: 'put-in', payload: { item: 'Blue rag' } })
    const rag = () =>
      list(book, true)
        .findAll('li')
        .find(l => l.text().includes('Blue rag'))!
    expect(rag().classes('ticked')).toBe(false)
    book.say({ type: 'came-out', payload: { item: 'Blue rag' } })
    expect(rag().classes('ticked')).toBe(true)
  })
  it('what was made safe is made live in the other order, and is ticked by one answer', () => {
    const engine = engineOf({ safe: ['fuel', 'battery'] })
    const safe = (book: ReturnType<typeof said>, closing = false) => {
      const shown = list(book, closing)
      return shown.findAll('.after li').map(l => [l.find('.line').text(), l.classes('ticked')] as const)
    }
    const open = safe(said(engine))
    expect(open.map(([, done]) => done)).toEqual([false, false])
    expect(safe(said(engine).say(confirmed('safe'))).map(([, done]) => done)).toEqual([true, true])
    expect(safe(said(engine), true)).toHaveLength(2)
  })
})

describe('how cold the engine is', () => {
  const stage = (...happened: Happening[]) =>
    mount(ColdStage, {
      props: {
        view: said()
          .say(...happened)
          .view(),
      },
    })
  const y = (drawn: ReturnType<typeof stage>) => Number(/M 128 ([\d.]+)/.exec(drawn.html())?.[1])
  const read = (celsius: number): Happening => ({ type: 'temperature', payload: { celsius } })
  it('is drawn to scale, below the limit or above it, and said in both units', () => {
    const [warm, cold] = [stage(read(60)), stage(read(20))]
    expect(y(warm)).toBeLessThan(y(cold))
    // 330 px are 100 °C
    expect(y(cold) - y(warm)).toBeCloseTo(0.4 * 330, 3)
    expect(warm.find('h2').text()).toMatch(/too warm/i)
    expect(cold.find('h2').text()).toMatch(/cold enough/i)
    expect(cold.text()).toContain('20 °C, 68 °F')
  })
  it('in a winter shed stays on the scale, and the figure is the true one', () => {
    const drawn = stage(read(-15))
    expect(y(drawn)).toBe(380)
    expect(drawn.find('dl').text()).toContain('-15 °C, 5 °F')
  })
  it('is not known while nobody said anything', () => {
    const drawn = stage()
    expect(drawn.find('h2').text()).toMatch(/not known/i)
    expect(drawn.html()).not.toContain('M 128')
  })
})

describe('the strip of valves', () => {
  const valve = (changes: Partial<StripValve> = {}): StripValve => ({
    valveId: 'intake',
    name: 'Intake',
    minMm: 0.08,
    maxMm: 0.12,
    targetMm: 0.1,
    verdict: 'in',
    reading: { loMm: 0.09, hiMm: 0.11 },
    lookAgain: false,
    asLeft: null,
    trials: [],
    caution: '',
    words: '0.09 to 0.11 mm',
    other: '3.5 to 4.3 thou',
    ...changes,
  })
  const strip = (valves: StripValve[]) => mount(ValveStrip, { props: { valves, active: 'intake', topMm: 0.2 } })
  it('says each verdict in words beside its sign, and both units', () => {
    const cell = strip([valve(), valve({ valveId: 'exhaust', verdict: 'tight' })]).findAll('.cell')
    expect(cell.map(c => c.attributes('data-verdict'))).toEqual(['in', 'tight'])
    expect(cell[1]!.find('.verdict').text()).toMatch(/tight/i)
    expect(cell[0]!.find('.foot').text()).toContain('3.5 to 4.3 thou')
    expect(cell.map(c => c.attributes('aria-pressed'))).toEqual(['true', 'false'])
  })
  it('a reading that something makes doubtful is marked, and why is told to who hears the page', () => {
    const doubt = strip([valve({ caution: 'This blade is bent' })]).find('.doubt')
    expect([doubt.attributes('role'), doubt.attributes('aria-label')]).toEqual(['img', 'This blade is bent'])
    expect(strip([valve()]).find('.doubt').exists()).toBe(false)
  })
  it('one whose answer was taken back asks to be looked at again instead of its old figures', () =>
    expect(
      strip([valve({ lookAgain: true })])
        .find('.foot')
        .text(),
    ).not.toContain('0.09 to 0.11'))
  it('is chosen by a tap anywhere on it', async () => {
    const shown = strip([valve(), valve({ valveId: 'exhaust' })])
    await shown.find('[data-valve="exhaust"]').trigger('click')
    expect(shown.emitted('choose')).toEqual([['exhaust']])
  })
})

describe('the foot of the keys', () => {
  const foot = (props: Partial<{ last: string; finding: boolean; canUndo: boolean }> = {}) =>
    mount(BenchFoot, { props: { last: 'Free', finding: false, canUndo: true, ...props }, ...plugins })
  it('offers what else was seen, and the reasons, only where the crank is looked for', () => {
    expect(foot().findAll('button')).toHaveLength(2)
    expect(foot({ finding: true }).findAll('button')).toHaveLength(4)
  })
  it('Undo is not taken by the tap that was meant for the key before it', async () => {
    vi.useFakeTimers()
    const shown = foot()
    await shown.setProps({ last: 'Won’t go' })
    const undo = shown.find('[data-testid="undo"]')
    await undo.trigger('click')
    expect(shown.emitted('undo')).toBeUndefined()
    await vi.advanceTimersByTimeAsync(REST_MS + 50)
    await undo.trigger('click')
    expect(shown.emitted('undo')).toHaveLength(1)
    vi.useRealTimers()
  })
  it('and is off where there is nothing of one’s own to take back', () =>
    expect(foot({ canUndo: false }).find('[data-testid="undo"]').attributes('disabled')).toBeDefined())
})

describe('what must not be overlooked', () => {
  const pin = pinOf()
  type Noticed = InstanceType<typeof BenchNotices>['$props']
  const nothing: Noticed = {
    expired: false,
    unrecorded: null,
    notOpened: null,
    toSend: 0,
    refused: [],
    unplaced: [],
    pin,
    newer: null,
  }
  const notices = (changes: Partial<Noticed>) => mount(BenchNotices, { props: { ...nothing, ...changes }, ...plugins })
  it('is not there while there is nothing', () => expect(notices({}).find('[role="alert"]').exists()).toBe(false))
  it('a refused answer says which it was and why, and is thrown away only when somebody says so', async () => {
    const waiting = {
      id: 'w1',
      refused: 'This job is closed.',
      personName: 'Ada',
      request: { type: 'note', payload: { text: 'Call the owner' } },
    } as unknown as Waiting
    const shown = notices({ refused: [waiting] })
    expect(shown.text()).toContain('This job is closed.')
    expect(shown.find('b').text()).not.toBe('')
    expect(asEvent(waiting).seq).toBeNull()
    await shown.find('button').trigger('click')
    expect(shown.emitted('discard')).toEqual([['w1']])
  })
  it('an answer of another device without a place is put before or after the turn by a person', async () => {
    const log = new LogBook('bench-2')
    const event = log.add({ type: 'note', payload: { text: 'slack' } })
    const shown = notices({ unplaced: [event] })
    for (const button of shown.findAll('button')) await button.trigger('click')
    expect(shown.emitted('place')).toEqual([
      [event.id, 'before'],
      [event.id, 'after'],
    ])
  })
  it('a job that the shop did not open leads to what can be done', async () => {
    const shown = notices({ notOpened: 'This machine has an open job.' })
    expect(shown.text()).toContain('This machine has an open job.')
    await shown.find('button').trigger('click')
    expect(shown.emitted('notOpened')).toHaveLength(1)
  })
  it('a session that ended says how many answers wait for it', () => {
    expect(notices({ expired: true, toSend: 1 }).text()).toContain('One answer is')
    expect(notices({ expired: true, toSend: 3 }).text()).toContain('3 answers are')
  })
  it('a newer revision says which is in force and which this job goes by', () => {
    const text = notices({ newer: { revision: 3 } as RevisionRow }).text()
    expect(text).toContain('Revision 3')
    expect(text).toContain(String(pin.spec.revision))
  })
})
