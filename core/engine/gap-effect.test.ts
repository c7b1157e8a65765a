import { describe, expect, it } from 'vitest'
import { engineOf } from '../../tests/support/builders'
import { tellEnglish } from '../../words'
import { gapEffect, gapEffectWords, liftWithGap, valveEvents, valveLift } from './index'

/** The integral of the lift over the crank by Simpson's rule: what the engine breathes through. */
function area(gapMm: number): number {
  const engine = engineOf()
  const { opensDeg, closesDeg, rampDeg } = valveEvents(engine, 'exhaust')
  const [from, to, n] = [opensDeg - rampDeg, closesDeg + rampDeg, 2000]
  const h = (to - from) / n
  return (
    (Array.from(
      { length: n + 1 },
      (_, i) => (i === 0 || i === n ? 1 : i % 2 ? 4 : 2) * liftWithGap(engine, 'exhaust', gapMm, from + i * h),
    ).reduce((a, b) => a + b, 0) *
      h) /
    3
  )
}

describe('what a gap does to a valve', () => {
  const engine = engineOf()
  it('on the ramp the angle follows the square root of the gap (parabola: common practice of ramp design)', () => {
    // lift = check · (deg / ramp)²: at a quarter of the check lift half the ramp is taken up
    const { opensDeg, closesDeg, rampDeg } = valveEvents(engine, 'exhaust')
    const checkMm = valveLift(engine, 'exhaust', opensDeg)
    const { opensDeg: opens, closesDeg: closes } = gapEffect(engine, 'exhaust', checkMm / 4)
    expect(opens).toBeCloseTo(opensDeg - rampDeg / 2, 6)
    expect(closes).toBeCloseTo(closesDeg + rampDeg / 2, 6)
  })
  it('loses from the lift exactly what it takes up, and from the area more than that', () => {
    const none = gapEffect(engine, 'exhaust', 0)
    for (const gap of [0.05, 0.15, 0.3]) {
      const { liftMm, opensDeg, closesDeg } = gapEffect(engine, 'exhaust', gap)
      expect(none.liftMm - liftMm).toBeCloseTo(gap, 9)
      // between both ends it is open by more than nothing, outside by nothing
      expect([
        liftWithGap(engine, 'exhaust', gap, opensDeg - 0.1),
        liftWithGap(engine, 'exhaust', gap, closesDeg + 0.1),
      ]).toEqual([0, 0])
      expect(liftWithGap(engine, 'exhaust', gap, (opensDeg + closesDeg) / 2)).toBeGreaterThan(0)
      expect(area(0) - area(gap)).toBeGreaterThan(gap * (closesDeg - opensDeg))
    }
  })
  it('a wide gap opens late, closes early, lifts less; a close one the other way; the same says so', () => {
    const wanted = gapEffect(engine, 'exhaust', 0.12)
    expect(tellEnglish(gapEffectWords(gapEffect(engine, 'exhaust', 0.3), wanted))).toMatch(
      /^Opens \d+° late, closes \d+° early, lifts 0\.18 mm less\.$/,
    )
    expect(tellEnglish(gapEffectWords(gapEffect(engine, 'exhaust', 0.02), wanted))).toMatch(
      /^Opens \d+° early, closes \d+° late, lifts 0\.10 mm more\.$/,
    )
    expect(tellEnglish(gapEffectWords(wanted, wanted))).toBe('It opens, closes and lifts as it should.')
    expect(tellEnglish(gapEffectWords(gapEffect(engine, 'exhaust', 99), wanted))).toBe('It doesn’t open at all.')
  })
})
