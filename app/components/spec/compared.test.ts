import { mount } from '@vue/test-utils'
import PrimeVue from 'primevue/config'
import { describe, expect, it } from 'vitest'
import type { Clearance } from '~~/core/engine'
import type { Affected, ModelRow, RevisionRow } from '~~/shared/spec-book'
import { engineOf } from '~~/tests/support/builders'
import { limits } from '~~/tests/support/job-book'
import EffectOnValves from './EffectOnValves.vue'
import EffectRule from './EffectRule.vue'
import SideBySide from './SideBySide.vue'
import TwoLanes from './TwoLanes.vue'

const plugins = { global: { plugins: [PrimeVue] } }
const valve = (changes: Partial<Affected> = {}): Affected => ({
  machine: 'Lilac scooter',
  tag: 'L-1',
  valve: 'Intake',
  role: 'intake',
  loMm: 0.1,
  hiMm: 0.12,
  before: 'in',
  after: 'in',
  ...changes,
})
const revision = (changes: Partial<RevisionRow> = {}): RevisionRow =>
  ({
    id: 1,
    revision: 1,
    engine: engineOf(),
    author: 'Ada',
    createdAt: '2026-05-01T10:00:00.000Z',
    approvedAt: '2026-05-02T10:00:00.000Z',
    sentBackAt: null,
    ...changes,
  }) as RevisionRow
const at = (element: { attributes: (name: string) => string | undefined }, name: string) =>
  Number(element.attributes(name))

describe('the shop’s valves against a draft', () => {
  const rule = (readings: Affected[], after: Clearance = limits(0.08, 0.12)) =>
    mount(EffectRule, { props: { readings, before: limits(0.1, 0.14), after } })
  /** How many mm a pixel is, from the draft’s own field. */
  const scaleOf = (drawn: ReturnType<typeof rule>) => {
    const field = drawn.findAll('rect')[1]!
    return { perPx: 0.04 / at(field, 'width'), fromPx: at(field, 'x') }
  }
  it('are drawn to one scale with it, each where it was left', () => {
    const drawn = rule([valve()])
    const { perPx, fromPx } = scaleOf(drawn)
    const bar = drawn.find('[data-verdict]')
    expect(0.08 + (at(bar, 'x') - fromPx) * perPx).toBeCloseTo(0.1, 3)
    expect(at(bar, 'width') * perPx).toBeCloseTo(0.02, 3)
  })
  it('one whose upper side is open runs to the end, and is an outline where it proves nothing', () => {
    const drawn = rule([valve({ hiMm: null, after: 'unproved' }), valve({ loMm: 0.2, hiMm: 0.21, after: 'loose' })])
    const [open, known] = drawn.findAll('[data-verdict]')
    expect(at(open!, 'x') + at(open!, 'width')).toBeCloseTo(590 - 8, 0)
    expect([open!.attributes('fill'), known!.attributes('fill')]).toEqual(['none', expect.stringContaining('loose')])
  })
  it.each([
    ['a usual spec', limits(0.08, 0.12)],
    ['a wide one', limits(0.1, 0.6)],
    ['a figure that slipped by a place', limits(0.8, 1.2)],
  ])('stand under figures that do not run into each other: %s', (_, after) => {
    const figures = rule([valve()], after).findAll('text')
    const places = figures.map(f => at(f, 'x'))
    expect(figures.length).toBeGreaterThan(2)
    for (let i = 1; i < places.length; i++) expect(places[i]! - places[i - 1]!).toBeGreaterThan(40)
    expect(places[0]).toBeGreaterThanOrEqual(0)
    expect(places.at(-1)!).toBeLessThanOrEqual(590)
  })
  it('are counted by what the draft would say of them, one kind of valve at a time', async () => {
    const effect = [
      valve({ after: 'tight' }),
      valve({ after: 'tight', tag: 'L-2' }),
      valve(),
      valve({ role: 'exhaust', after: 'loose' }),
    ]
    const page = mount(EffectOnValves, {
      props: { effect, before: revision(), after: revision({ id: 2, revision: 2, approvedAt: null }), first: 'intake' },
      ...plugins,
    })
    const counts = () => page.findAll('[data-count]').map(c => [c.attributes('data-count'), c.find('b').text()])
    expect(counts()).toEqual([
      ['in', expect.stringMatching(/^1 /)],
      ['tight', expect.stringMatching(/^2 /)],
    ])
    await page.findAll('.roles button')[1]!.trigger('click')
    expect(counts()).toEqual([['loose', expect.stringMatching(/^1 /)]])
  })
})

describe('two printed readings of one figure', () => {
  it('are drawn to one scale: solid what is used, dashed what was set aside', () => {
    const used = limits(0.1, 0.15)
    const aside: Clearance = { form: 'limits', minMm: 0.1016, maxMm: 0.1524, text: '.004-.006', unit: 'in' }
    const drawn = mount(TwoLanes, { props: { used, aside } })
    const [solid, dashed] = drawn.findAll('g rect')
    expect([solid!.attributes('stroke-dasharray'), dashed!.attributes('stroke-dasharray')]).toEqual([undefined, '4 3'])
    expect(at(dashed!, 'width') / at(solid!, 'width')).toBeCloseTo(0.0508 / 0.05, 2)
    expect(at(dashed!, 'x')).toBeGreaterThan(at(solid!, 'x'))
    expect(drawn.attributes('aria-label')).toContain('.004-.006 in')
  })
})

describe('two revisions side by side', () => {
  const model = { id: 7, maker: 'Brindle', model: 'T 40', code: 'BT-40', revisionId: 1 } as ModelRow
  const page = (after: Partial<Parameters<typeof engineOf>[0]>) =>
    mount(SideBySide, {
      props: {
        model,
        before: revision(),
        after: revision({ id: 2, revision: 2, approvedAt: null, engine: engineOf(after) }),
        timeZone: 'UTC',
      },
      ...plugins,
    })
  it('show what differs and the clearances; the rest is folded, named, and shown when asked for', async () => {
    const shown = page({ clearance: { ...engineOf().clearance, exhaust: limits(0.12, 0.16) } })
    const lines = () => shown.findAll('[data-line]').map(l => l.attributes('data-line'))
    expect(lines()).toEqual(['intake', 'exhaust'])
    expect(shown.find('[data-line="exhaust"] .flag').text()).toBe('≠ Changed')
    expect(shown.find('[data-line="intake"] .flag').text()).toMatch(/same/i)
    await shown.find('.folded button').trigger('click')
    expect(lines().length).toBeGreaterThan(8)
  })
  it('draw both clearances on one scale, so that a shift is seen as one', () => {
    const shown = page({ clearance: { ...engineOf().clearance, exhaust: limits(0.2, 0.26) } })
    const fields = shown.findAll('[data-line="exhaust"] .spec').map(s => at(s, 'x'))
    expect(fields).toHaveLength(2)
    expect(fields[1]!).toBeGreaterThan(fields[0]!)
  })
  it('strike through what the new source does not give any more', () => {
    const shown = page({ torques: { locknutNm: 8, coverNm: null, plugNm: 12 } })
    const cover = shown.findAll('.removed').find(l => l.text().includes('10'))!
    expect(cover.find('s').text()).toContain('10')
  })
})
