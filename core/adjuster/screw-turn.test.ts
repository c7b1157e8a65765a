import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { refusalOf } from '../../words/refusal'
import type { Adjuster } from '../engine'
import { clockMinutes, degreesFor, gapPerTravel, parsePitch, screwTurn } from './index'

const screw = (changes: Partial<Adjuster> = {}): Adjuster => ({
  kind: 'valve-end',
  pitchMm: 0.75,
  pitchAssumed: false,
  threadMm: null,
  rockerRatio: 1.3,
  head: 'slot',
  ...changes,
})

describe('the screw', () => {
  // common practice; the pitch M6 × 0.75 is ISO 261's fine series
  it.each([
    [0.01, 4.8],
    [0.0254, 12.2],
  ])('M6 × 0.75 at the valve end: %d mm is %d°', (mm, deg) => expect(degreesFor(screw(), mm)).toBeCloseTo(deg, 1))
  it.each([
    ['valve-end', 1],
    ['pushrod-end', 1.3],
    ['pivot-nut', 2.3],
  ] as const)('%s moves the gap %d times its travel', (kind, gain) =>
    expect(gapPerTravel(screw({ kind }))).toBeCloseTo(gain),
  )
  it('clockwise closes: too wide a gap asks for a clockwise turn, too small for an anticlockwise one', () => {
    expect(screwTurn(screw(), { loMm: 0.19, hiMm: 0.21 }, 0.1, 0.03)).toMatchObject({ kind: 'turn' })
    expect((screwTurn(screw(), { loMm: 0.19, hiMm: 0.21 }, 0.1, 0.03) as { deg: number }).deg).toBeCloseTo(48)
    expect((screwTurn(screw(), { loMm: 0.04, hiMm: 0.06 }, 0.1, 0.03) as { deg: number }).deg).toBeCloseTo(-24)
  })
  it('the true turn lies within the arc that is shown', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0.02, max: 0.3, noNaN: true }),
        fc.double({ min: 0.01, max: 0.03, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (lo, width, at) => {
          const turn = screwTurn(screw(), { loMm: lo, hiMm: lo + width }, 0.1, 0.01)
          const truth = degreesFor(screw(), lo + width * at - 0.1)
          expect(turn.kind === 'turn' && turn.leastDeg <= truth + 1e-9 && truth <= turn.mostDeg + 1e-9).toBe(true)
        },
      ),
    ))
  it('an open interval gives at least, and the way', () => {
    expect(screwTurn(screw(), { loMm: 0.14, hiMm: null }, 0.1, 0.03)).toMatchObject({
      kind: 'at-least',
      direction: 'clockwise',
    })
    expect(screwTurn(screw(), { loMm: 0, hiMm: 0.08 }, 0.1, 0.03)).toMatchObject({
      kind: 'at-least',
      direction: 'anticlockwise',
    })
  })
  it('without clearance: open until the thinnest blade goes, for the gap may be below zero', () => {
    expect(screwTurn(screw(), { loMm: 0, hiMm: 0.03 }, 0.1, 0.03)).toEqual({ kind: 'open-until', bladeMm: 0.03 })
  })
  it('15° is 2½ minutes on a clock', () => expect(clockMinutes(-15)).toBe(2.5))
})

describe('threads by their standards', () => {
  // metric: ISO 261; unified: ASME B1.1
  it.each([
    ['M5×0.8', 0.8],
    ['M5x0.5', 0.5],
    ['M6', 1],
    ['m6 × 0,75', 0.75],
    ['M8×1.25', 1.25],
    ['M8x1', 1],
    ['No. 10-32', 0.7938],
    ['1/4-28', 0.9071],
    ['5/16-24', 1.0583],
    ['0.75', 0.75],
    ['.5 mm', 0.5],
  ])('%s has a pitch of %d mm', (text, mm) => expect(parsePitch(text)).toBe(mm))
  it.each([
    ['M6×0.8', /ISO 261 has 1 and 0.75/],
    ['1/4-32', /not a thread known/],
    ['fine', /M6×0.75 or 10-32/],
    ['', /not a thread/],
  ])('refuses “%s”, and says what there is', (text, words) => expect(refusalOf(() => parsePitch(text))).toMatch(words))
})
