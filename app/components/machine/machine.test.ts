import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import type { ValvePoint } from '~~/shared/machines'
import { barsOf, meterTicks } from './chart-data'
import LogRule from './LogRule.vue'
import { meterOf } from './meter-field'

const point = (changes: Partial<ValvePoint> = {}): ValvePoint => ({
  visit: 'job 1',
  atMs: 0,
  use: 100,
  minMm: 0.1,
  maxMm: 0.14,
  asFound: { loMm: 0.06, hiMm: 0.08, verdict: 'tight' },
  asLeft: { loMm: 0.11, hiMm: 0.13, verdict: 'in' },
  touched: true,
  ...changes,
})

describe('figures along a chart', () => {
  it.each([
    [{ from: 0, to: 20_000 }, 540],
    [{ from: -30, to: 260 }, 12],
    [{ from: 0, to: 1 }, 0],
  ])('%o from %i on are round on the meter, in order, and inside', (span, meterAt) => {
    const ticks = meterTicks(span, meterAt)
    expect(ticks.length).toBeGreaterThan(2)
    expect(ticks.length).toBeLessThan(8)
    const step = ticks[1]! - ticks[0]!
    for (const t of ticks)
      expect([
        Math.abs((t + meterAt) / step - Math.round((t + meterAt) / step)) < 1e-9,
        t >= span.from && t <= span.to,
      ]).toEqual([true, true])
  })
})

describe('a visit’s bars', () => {
  it('two where the valve was set, one where it was left alone, none where the meter was not read', () => {
    expect(barsOf([point()], 5).map(b => [b.use, b.kind])).toEqual([
      [95, 'as found'],
      [105, 'as left'],
    ])
    expect(barsOf([point({ touched: false })], 5).map(b => b.use)).toEqual([100])
    expect(barsOf([point({ use: null })], 5)).toEqual([])
  })
  it('the log’s rule has as found above as left, and says both verdicts', () => {
    const rule = mount(LogRule, { props: { point: point(), name: 'Left exhaust' } })
    const bars = rule
      .findAll('rect')
      .slice(2)
      .map(r => [Number(r.attributes('y')), Number(r.attributes('x'))])
    expect(bars[0]![0]!).toBeLessThan(bars[1]![0]!)
    expect(bars[0]![1]!).toBeLessThan(bars[1]![1]!)
    expect(rule.text()).toContain('Left exhaust: tight, then in')
    expect(rule.text()).toContain('L exh')
  })
})

it.each([
  ['14 260', null, 14260],
  ['14\u202F260,5', null, 14260.5],
  ['', null, null],
  ['about 300', null, undefined],
  ['1.234.5', null, undefined],
  // a meter does not go back, and shows no thousandths
  ['12,400', 10_900, 12_400],
  ['12.400', 10_900, 12_400],
  ['1,034', null, 1034],
  ['10,800', 10_900, undefined],
  ['12,400', null, undefined],
  ['12,400', 12, undefined],
])('a meter typed as “%s” after %s is %s', (typed, last, meter) => expect(meterOf(typed, last)).toBe(meter))
