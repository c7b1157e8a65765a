import { flushPromises, mount } from '@vue/test-utils'
import PrimeVue from 'primevue/config'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { type Happening, jobTools, viewJob } from '~~/core/job'
import { say } from '~~/core/said'
import { engineOf, LogBook, pinOf, setOf } from '~~/tests/support/builders'
import { REST_MS } from '../../composables/useRest'
import AnswerPanel from './AnswerPanel.vue'
import BladeFan from './BladeFan.vue'
import ClearanceRule from './ClearanceRule.vue'
import AskForm from './side/AskForm.vue'
import BladeAsk from './side/BladeAsk.vue'
import DuePanel from './side/DuePanel.vue'
import FoundPanel from './side/FoundPanel.vue'
import SlotClock from './SlotClock.vue'
import { marksStatement, placeStatement, stopStatement, turnStatement } from './stage-words'
import VerdictShape from './VerdictShape.vue'

const plugins = { global: { plugins: [PrimeVue] } }

describe('the clearance rule', () => {
  const rule = (
    reading: { loMm: number; hiMm: number | null } | null,
    verdict: 'in' | 'tight' | 'unproved' | 'not measured' = 'in',
  ) => mount(ClearanceRule, { props: { minMm: 0.08, maxMm: 0.12, targetMm: 0.1, topMm: 0.2, reading, verdict } })
  const x = (mm: number) => 8 + (mm / 0.2) * 264
  it('draws spec and reading to one scale', () => {
    const drawn = rule({ loMm: 0.08, hiMm: 0.1 })
    expect(Number(drawn.find('.spec').attributes('x'))).toBeCloseTo(x(0.08), 6)
    expect(Number(drawn.find('.reading').attributes('x'))).toBeCloseTo(x(0.08), 6)
    expect(Number(drawn.find('.reading').attributes('width'))).toBeCloseTo(x(0.1) - x(0.08), 6)
  })
  it('an open reading runs off the rule, without a closing bracket', () => {
    const open = rule({ loMm: 0.1, hiMm: null }, 'unproved').find('.reading')
    expect(Number(open.attributes('x')) + Number(open.attributes('width'))).toBeGreaterThan(280)
  })
  it('shows the target while nothing was measured', () =>
    expect(rule(null, 'not measured').find('.reading').exists()).toBe(false))
})

describe('answers chosen from drawings', () => {
  it('each key has its own, and one without claims nothing', () => {
    const page = mount(AnswerPanel, {
      props: {
        label: 'Plug',
        instruction: 'What does the plug look like?',
        why: '',
        passable: false,
        keys: [
          { title: 'Gray to brown', help: '', drawing: 'plug gray-to-brown' },
          { title: 'Black or wet', help: '', drawing: 'plug black-or-wet' },
          { title: 'Not looked at', help: '' },
        ],
      },
      ...plugins,
    })
    expect(page.findAll('.key').map(k => k.find('svg').exists() && k.find('svg').attributes('data-drawing'))).toEqual([
      'plug gray-to-brown',
      'plug black-or-wet',
      false,
    ])
  })
})

describe('verdicts', () => {
  it('each has a shape of its own', () => {
    const shapes = (['in', 'tight', 'loose', 'unproved', 'not measured'] as const).map(verdict =>
      mount(VerdictShape, { props: { verdict } }).html(),
    )
    expect(new Set(shapes).size).toBe(5)
  })
})

describe('the slot clock', () => {
  it('says the turn in words, and draws it clockwise for a positive one', () => {
    const clock = mount(SlotClock, {
      props: {
        slotDeg: 0,
        noted: true,
        turnDeg: -18,
        tries: [{ deg: 0, side: 'tight', words: 'As found' }],
        bracket: { fromDeg: -60, toDeg: 0 },
        head: 'slot',
      },
    })
    expect(clock.attributes('aria-label')).toContain('Turn it 18° counterclockwise.')
    expect(clock.find('.sweep').exists()).toBe(true)
    expect(clock.find('.between').exists()).toBe(true)
    expect(clock.text()).toContain('As found')
  })
})

describe('the blade fan', () => {
  const fan = () =>
    mount(BladeFan, {
      props: {
        set: setOf(
          'A',
          Array.from({ length: 30 }, (_, i) => (i + 3) / 100),
        ),
        chosen: [0.12],
        felt: new Map([['0.1', 'free']]),
        stacking: false,
        several: true,
      },
    })
  it('shows the neighbours of the blade to try, in both units', () => {
    const blades = fan().findAll('.blade')
    expect(blades.map(b => b.attributes('data-blade'))).toContain('0.12')
    expect(blades.find(b => b.classes('chosen'))?.text()).toContain('4.7')
    expect(blades.find(b => b.attributes('data-blade') === '0.1')?.attributes('aria-label')).toBe(
      '0.10 mm, 3.9 thou, free',
    )
  })
  it('any other blade may be taken', async () => {
    const set = fan()
    await set.find('[data-blade="0.1"]').trigger('click')
    expect(set.emitted('choose')).toEqual([[0.1]])
  })
})

/** What changed is painted, and the keys have rested. */
const RESTED_MS = REST_MS + 110

describe('the answer panel', () => {
  const keys = ['Free', 'Drag'].map(title => ({ title, help: '', happening: null, asks: null }))
  const shown = () =>
    mount(AnswerPanel, { props: { label: 'l', instruction: 'Try 0.10', why: 'w', keys, passable: true } })
  beforeEach(() => vi.useFakeTimers())
  afterEach(() => vi.useRealTimers())
  it('numbers its keys as the keyboard does', async () => {
    const panel = shown()
    await vi.advanceTimersByTimeAsync(RESTED_MS)
    await panel.findAll('.key')[1]!.trigger('click')
    expect(panel.emitted('press')).toEqual([[1]])
    await panel.find('.pass').trigger('click')
    expect(panel.emitted('pass')).toHaveLength(1)
  })
  it('a double tap answers once: the second would answer a question that nobody has read', async () => {
    const panel = shown()
    await vi.advanceTimersByTimeAsync(RESTED_MS)
    await panel.findAll('.key')[0]!.trigger('click')
    await panel.setProps({ instruction: 'Try 0.08' })
    await vi.advanceTimersByTimeAsync(200)
    await panel.findAll('.key')[0]!.trigger('click')
    expect(panel.emitted('press')).toEqual([[0]])
    await vi.advanceTimersByTimeAsync(RESTED_MS)
    await panel.findAll('.key')[1]!.trigger('click')
    expect(panel.emitted('press')).toEqual([[0], [1]])
  })
  it('while a finger is on the screen they rest, however long they have rested', async () => {
    const panel = shown()
    window.dispatchEvent(new PointerEvent('pointerdown', { pointerId: 3 }))
    await vi.advanceTimersByTimeAsync(RESTED_MS)
    await panel.findAll('.key')[0]!.trigger('click')
    expect(panel.emitted('press')).toBeUndefined()
    window.dispatchEvent(new PointerEvent('pointerup', { pointerId: 3 }))
    await vi.advanceTimersByTimeAsync(1)
    await panel.findAll('.key')[0]!.trigger('click')
    expect(panel.emitted('press')).toEqual([[0]])
    panel.unmount()
  })
  it('a finger that came down on one question and is lifted on another has answered neither', async () => {
    const panel = shown()
    await vi.advanceTimersByTimeAsync(RESTED_MS)
    const [key] = panel.findAll('.key')
    await key!.trigger('pointerdown')
    await panel.setProps({ instruction: 'Turn it on to T' })
    await vi.advanceTimersByTimeAsync(5_000)
    await key!.trigger('click', { detail: 1 })
    expect(panel.emitted('press')).toBeUndefined()
    await key!.trigger('pointerdown')
    await key!.trigger('click', { detail: 1 })
    expect(panel.emitted('press')).toEqual([[0]])
  })
  it('a key keeps the focus from question to question', async () => {
    const panel = mount(AnswerPanel, {
      props: { label: 'l', instruction: 'Try 0.10', why: 'w', keys, passable: true },
      attachTo: document.body,
    })
    const key = panel.findAll<HTMLElement>('.key')[1]!.element
    key.focus()
    await panel.setProps({ instruction: 'Try 0.08' })
    expect(document.activeElement).toBe(key)
    panel.unmount()
  })
  it('a question that changes under a thumb on its way down is not answered', async () => {
    const panel = shown()
    await vi.advanceTimersByTimeAsync(5_000)
    await panel.setProps({ instruction: 'Turn it on to T' })
    await panel.findAll('.key')[0]!.trigger('click')
    expect(panel.emitted('press')).toBeUndefined()
  })
})

describe('a field in place of the keys', () => {
  const ask = (asks: 'temperature' | 'hours' | 'finding' | 'count' | 'reason') =>
    asks === 'finding'
      ? mount(FoundPanel, {
          global: { ...plugins.global, stubs: { PhotoStrip: true } },
          props: { view: viewJob(jobTools(pinOf()), [], 0), step: 'ready' as const, jobId: 1 },
        })
      : mount(AskForm, {
          ...plugins,
          props: { asks, step: 'ready' as const, gate: { id: 'cold', missing: say('missing.safe') } },
        })
  const submit = async (asks: Parameters<typeof ask>[0], text: string) => {
    const form = ask(asks)
    await form.find('input, textarea').setValue(text)
    await form.find('form').trigger('submit')
    return {
      said: form.emitted('done')?.[0]?.[0] as Happening | undefined,
      wrong: form.find('.wrong').exists() ? form.find('.wrong').text() : null,
    }
  }
  it.each([
    ['20', 20],
    ['20,5 °C', 20.5],
    ['68 F', 20],
    ['95f', 35],
    ['-3', -3],
  ])('reads “%s” as %d °C', async (text, celsius) => {
    expect((await submit('temperature', text)).said).toEqual({ type: 'temperature', payload: { celsius } })
  })
  it.each([
    ['temperature', 'warm'],
    ['temperature', '500'],
    ['hours', '-2'],
    ['finding', '   '],
    ['count', 'some'],
    ['reason', ''],
  ] as const)('%s “%s” says what is wrong, and keeps what was typed', async (asks, text) => {
    const { said, wrong } = await submit(asks, text)
    expect(said).toBeUndefined()
    expect(wrong).toMatch(/\S/)
  })
  it('what was found is recorded with its step', async () => {
    expect((await submit('finding', 'Cracked boot')).said).toEqual({
      type: 'finding',
      payload: { text: 'Cracked boot', step: 'ready' },
    })
  })
  it('the next check is in some months by one tap: the last of a month that is shorter', async () => {
    const panel = mount(DuePanel, { ...plugins, props: { nowMs: new Date(2027, 0, 31, 9).getTime() } })
    expect(panel.findAll('.pick').map(p => p.text())).toEqual([
      'In 1 monthFebruary 28, 2027',
      'In 3 monthsApril 30, 2027',
      'In 6 monthsJuly 31, 2027',
      'In a yearJanuary 31, 2028',
    ])
    await panel.findAll('.pick')[2]!.trigger('click')
    expect(panel.emitted('done')).toEqual([[{ type: 'next-due', payload: { use: null, date: '2027-07-31' } }]])
  })
  it('without a day it records nothing and says how one is typed', async () => {
    const panel = mount(DuePanel, { ...plugins, props: { nowMs: 0 } })
    await vi.dynamicImportSettled()
    await panel.find('form').trigger('submit')
    expect(panel.emitted('done')).toBeUndefined()
    expect(panel.find('.wrong').text()).toBe('Choose a day, or type it like 5/1/2027 or 2027-05-01.')
  })
  it('a day that is over is no next check: a slip of the year is told', async () => {
    const panel = mount(DuePanel, { ...plugins, props: { nowMs: new Date(2026, 11, 1, 9).getTime() } })
    await vi.dynamicImportSettled()
    for (const day of ['2026-05-01', '2026-12-01']) {
      panel.findComponent({ name: 'DayField' }).vm.$emit('update:modelValue', day)
      await flushPromises()
      await panel.find('form').trigger('submit')
      expect(panel.find('.wrong').text()).toMatch(/2026 isn’t in the future\. Choose a day after today\./)
    }
    expect(panel.emitted('done')).toBeUndefined()
    panel.findComponent({ name: 'DayField' }).vm.$emit('update:modelValue', '2027-05-01')
    await panel.find('form').trigger('submit')
    expect(panel.emitted('done')).toHaveLength(1)
  })
  it('a gate’s reason names the gate', async () => {
    expect((await submit('reason', 'Owner waits')).said).toEqual({
      type: 'gate-passed',
      payload: { gate: 'cold', missing: say('missing.safe'), reason: 'Owner waits' },
    })
  })
})

describe('the words around the wheel', () => {
  const view = (...happenings: Happening[]) => {
    const log = new LogBook()
    for (const h of happenings) log.add(h)
    return viewJob(jobTools(pinOf()), log.events, 0)
  }
  const toT: Happening = {
    type: 'crank',
    payload: { observations: [{ kind: 'move', to: { kind: 'mark', markIndex: 0 } }] },
  }
  it('say what is still possible', () => {
    expect(placeStatement(view()).title).toBe('Anywhere')
    expect(placeStatement(view(toT))).toMatchObject({
      title: expect.stringMatching(/^(0° or 360°|360° or 0°)$/),
      words: 'Two places fit what was seen',
    })
  })
  it('promise no margin while the cam is assumed', () => {
    const known = engineOf({
      cam: {
        checkLiftMm: 1,
        intakeOpensBeforeTdcDeg: 6,
        intakeClosesAfterBdcDeg: 36,
        exhaustOpensBeforeBdcDeg: 38,
        exhaustClosesAfterTdcDeg: 4,
      },
    })
    const stopOf = (engine: typeof known) => {
      const seen = viewJob(jobTools(pinOf(engine)), [], 0)
      return stopStatement(seen, seen.model.plan.stops[0]!).words
    }
    expect(stopOf(known)).toContain('112° spare each way')
    expect(stopOf(engineOf())).not.toContain('spare')
  })
  it('warn of F, and of steel rods', () => {
    expect(marksStatement(engineOf(), 0)).toBe('The line beside T. F comes 14° before it: do not stop there')
    expect(marksStatement(engineOf({ marks: [] }), -1)).toContain('never steel')
  })
  it('say from which side the drawing is seen', () => {
    expect(turnStatement(engineOf())).toContain('drawn from the other side')
    expect(turnStatement(engineOf({ turning: { direction: 'clockwise', seenFrom: 'above', means: 'nut' } }))).toContain(
      'as drawn',
    )
  })
})

describe('a blade by its size', () => {
  const ask = async (text: string, unit: 'mm' | 'thou' = 'mm') => {
    const form = mount(BladeAsk, { ...plugins, props: { set: setOf('Set A', [0.05, 0.1016, 0.15], unit) } })
    await form.find('input').setValue(text)
    await form.find('form').trigger('submit')
    return {
      chosen: form.emitted('done')?.[0],
      wrong: form.find('.wrong').exists() ? form.find('.wrong').text() : null,
    }
  }
  it('takes one of the set, in either unit', async () => {
    expect((await ask('0.15')).chosen).toEqual([[0.15]])
    expect((await ask('4', 'thou')).chosen).toEqual([[0.1016]])
    expect((await ask('4 thou')).chosen).toEqual([[0.1016]])
    expect((await ask('0.05 + 0.15')).chosen).toEqual([[0.15, 0.05]])
    expect((await ask('0.05+0.05')).wrong).toContain('twice')
  })
  it('names the neighbours of one that is not there', async () =>
    expect((await ask('0.12')).wrong).toBe('0.12 mm is not in Set A. The nearest: 0.102 and 0.15.'))
  it('nonsense is said to be nonsense', async () => expect((await ask('thick')).wrong).toContain('is not a length'))
})
