import { mount } from '@vue/test-utils'
import PrimeVue from 'primevue/config'
import { describe, expect, it } from 'vitest'
import type { Engine } from '~~/core/engine'
import { say } from '~~/core/said'
import type { Doubt } from '~~/core/spec-book'
import type { RevisionRow } from '~~/shared/spec-book'
import { engineOf } from '~~/tests/support/builders'
import DoubtList from './DoubtList.vue'
import MarkStrip from './MarkStrip.vue'
import ModelClearances from './ModelClearances.vue'
import ModelFacts from './ModelFacts.vue'
import RevisionRule from './RevisionRule.vue'

const plugins = { global: { plugins: [PrimeVue] } }
const revision = (id: number, changes: Partial<RevisionRow> = {}): RevisionRow =>
  ({
    id,
    modelId: 7,
    revision: id,
    engine: engineOf(),
    reason: 'A later bulletin',
    answered: [],
    source: 'Workshop manual',
    sourceDate: '2024-09-09',
    author: 'Ada',
    createdAt: '2025-05-01T10:00:00.000Z',
    approvedBy: 'Tam',
    approvedAt: '2025-05-02T10:00:00.000Z',
    sentBackAt: null,
    jobs: 3,
    ...changes,
  }) as RevisionRow

describe('the revisions of a model over the years', () => {
  const rule = (revisions: RevisionRow[], inForceId: number) =>
    mount(RevisionRule, {
      props: {
        revisions,
        inForceId,
        shownId: inForceId,
        now: '2026-11-30T00:00:00.000Z',
        changes: { 2: 'Exhaust 0.15' },
      },
    })
  const percent = (style: string | undefined) => Number(/left: ([\d.]+)%/.exec(style ?? '')![1])
  const all = [
    revision(1),
    revision(2, { createdAt: '2026-02-01T10:00:00.000Z', approvedAt: '2026-03-01T10:00:00.000Z' }),
    revision(3, { approvedAt: null, approvedBy: null, createdAt: '2026-10-01T10:00:00.000Z' }),
  ]
  it('stand in their order up to today; the one in force fills the rule from its day on', () => {
    const drawn = rule(all, 2)
    const pins = drawn.findAll('.pin').map(p => percent(p.attributes('style')))
    expect([...pins].sort((a, b) => a - b)).toEqual(pins)
    expect(percent(drawn.find('.force').attributes('style'))).toBe(pins[1])
    expect(percent(drawn.find('.today').attributes('style'))).toBeGreaterThan(pins[2]!)
    expect(drawn.findAll('.year').map(y => y.text())).toContain('2026')
  })
  it('each says what it is to new jobs, and what it changed rather than why where that is known', async () => {
    const drawn = rule(all, 2)
    const [first, second, third] = drawn.findAll('.rev')
    expect(first!.text()).toMatch(/Revision 1, .*superseded/)
    expect(second!.text()).toMatch(/✓\s*Revision 2, .*in force.*Exhaust 0\.15/)
    expect(third!.text()).toMatch(/Draft 3/)
    await third!.trigger('click')
    expect(drawn.emitted('show')).toEqual([[3]])
  })
  it('a draft that jobs go by for want of better does not pass for one in force', () => {
    const drawn = rule([revision(1, { approvedAt: null, approvedBy: null })], 1)
    expect(drawn.find('.force').exists()).toBe(false)
    expect(drawn.find('.tick').exists()).toBe(false)
  })
  it('one that was approved by its own author names them once', () => {
    const text = rule([revision(1, { approvedBy: 'Ada' })], 1)
      .find('.rev')
      .text()
    expect(text.match(/Ada/g)).toHaveLength(1)
  })
})

describe('figures that may be slips', () => {
  const doubt = (id: string): Doubt =>
    ({
      id,
      field: 'exhaust',
      says: say('wrong.choose-the-machine'),
      readings: [say('wrong.choose-the-machine'), say('wrong.choose-the-blade-set')],
    }) as unknown as Doubt
  it('are each answered, and the answer is taken back by a second tap', async () => {
    const list = mount(DoubtList, { props: { doubts: [doubt('a'), doubt('b')], modelValue: ['a'] }, ...plugins })
    const [first, second] = list.findAll('button')
    expect([first!.attributes('aria-pressed'), second!.attributes('aria-pressed')]).toEqual(['true', 'false'])
    await second!.trigger('click')
    await first!.trigger('click')
    expect(list.emitted('update:modelValue')).toEqual([[['a', 'b']], [['b']]])
  })
  it('are counted as they stand, and one that is answered and gone is not', () => {
    const heading = (answered: string[]) =>
      mount(DoubtList, { props: { doubts: [doubt('a'), doubt('b')], modelValue: answered }, ...plugins })
        .find('h2')
        .text()
    expect(new Set([heading([]), heading(['a']), heading(['a', 'b']), heading(['gone'])]).size).toBe(3)
    expect(heading(['gone'])).toBe(heading([]))
    expect(
      mount(DoubtList, { props: { doubts: [], modelValue: [] }, ...plugins })
        .find('.doubts')
        .exists(),
    ).toBe(false)
  })
})

describe('the marks of a rim, unrolled', () => {
  const engine = (changes: Partial<Parameters<typeof engineOf>[0]>): Engine => engineOf(changes)
  const turning = (direction: 'clockwise' | 'anticlockwise') => ({ ...engineOf().turning, direction })
  // F lies 14° before T: it passes the pointer first, whichever way the rim turns
  it.each(['clockwise', 'anticlockwise'] as const)('pass in the order of the motion: %s', direction => {
    const drawn = mount(MarkStrip, { props: { engine: engine({ turning: turning(direction) }) } })
    expect(drawn.attributes('aria-label')).toMatch(/F 14° before.*, T /)
    const places = drawn
      .findAll('g[transform]')
      .map(g => Number(/translate\(([\d.]+)/.exec(g.attributes('transform')!)![1]))
    expect(places[0]! > places[1]!).toBe(direction === 'clockwise')
  })
  it('one beyond the turn’s seam counts from the nearer side', () => {
    const marks = [
      { letter: 'T', angleDeg: 350, kind: 'top' as const },
      { letter: 'A', angleDeg: 10, kind: 'advance' as const },
    ]
    expect(mount(MarkStrip, { props: { engine: engine({ marks }) } }).attributes('aria-label')).toMatch(/A 20° after/)
  })
  it('without a mark it is said that the rod finds the top', () => {
    const drawn = mount(MarkStrip, { props: { engine: engine({ marks: [] }) } })
    expect(drawn.find('svg').exists()).toBe(false)
    expect(drawn.text()).not.toBe('')
  })
})

describe('what a revision says of the gaps', () => {
  const shown = (changes: Partial<Parameters<typeof engineOf>[0]>, more: Partial<RevisionRow> = {}) =>
    mount(ModelClearances, { props: { revision: revision(1, { engine: engineOf(changes), ...more }) } })
  it('each kind of valve has its figures and its rule, on one scale', () => {
    const drawn = shown({})
    expect(drawn.findAll('.clearance').map(c => c.find('.value').text())).toEqual([
      expect.stringMatching(/0\.08.*0\.12/),
      expect.stringMatching(/0\.10.*0\.14/),
    ])
  })
  it('a pitch that nobody read is marked as assumed beside what a turn does', () => {
    const assumed = shown({ adjuster: { ...engineOf().adjuster, pitchAssumed: true } })
    expect(assumed.find('.assumed').exists()).toBe(true)
    expect(shown({}).find('.assumed').exists()).toBe(false)
    // 0.75 mm a turn over the valve: 0.01 mm is 4.8°, a flat of 60° is 0.125 mm
    expect(
      shown({})
        .findAll('dd')
        .map(d => d.text()),
    ).toEqual(['4.8°', '12.2°', '0.125 mm'])
  })
  it('two readings of one figure that cannot both be meant are set side by side, and who answered is said', () => {
    const also = {
      alsoPrinted: {
        intake: null,
        exhaust: { form: 'limits' as const, minMm: 0.2, maxMm: 0.25, text: '.008-.010', unit: 'thou' as const },
      },
    }
    const open = shown(also)
    expect(open.find('.clash').exists()).toBe(true)
    const id = `units:exhaust`
    const doubt = (open.vm as unknown as { doubts: Doubt[] }).doubts.find(d => d.id.startsWith(id))!
    expect(
      shown(also, { answered: [{ id: doubt.id, says: 'x' }] } as never)
        .find('.clash')
        .text(),
    ).toContain('Ada')
  })
})

describe('the rest of what a revision says', () => {
  const shown = (changes: Partial<Parameters<typeof engineOf>[0]>) =>
    mount(ModelFacts, { props: { engine: engineOf(changes) } })
  it('what is not given is said to be so, and never a zero', () => {
    const drawn = shown({ torques: { locknutNm: 8, coverNm: null, plugNm: 12 }, gasket: '', plugGap: '' })
    const lines = drawn.findAll('.line').map(l => l.text())
    expect(lines[0]).toMatch(/8/)
    expect(lines[1]).toMatch(/not given/i)
    expect(lines.filter(l => l.endsWith('–')).length).toBe(2)
  })
  it('an engine that is set hot says so, with its temperature', () => {
    expect(shown({ setWhen: 'hot' }).text()).not.toBe(shown({ setWhen: 'cold' }).text())
  })
})
