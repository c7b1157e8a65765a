import fc from 'fast-check'
import jstat from 'jstat'
import { mad, median } from 'simple-statistics'
import { describe, expect, it } from 'vitest'
import { firstTimeRight } from '../../tests/support/creeping-locks'
import { aimBeforeLock, type Lock, lockOf, lockShift } from './index'

const locks = (...shifts: number[]): Lock[] => shifts.map(shiftMm => ({ shiftMm, personId: 1, modelId: 1 }))
const WHO = { personId: 1, modelId: 1 }

describe('the lock shift', () => {
  it.each<[string, { loMm: number; hiMm: number | null }, { loMm: number; hiMm: number | null }, number | null]>([
    ['two drags', { loMm: 0.13, hiMm: 0.145 }, { loMm: 0.12, hiMm: 0.135 }, -0.01],
    ['an open reading', { loMm: 0.13, hiMm: null }, { loMm: 0.12, hiMm: 0.135 }, null],
    ['a reading too wide', { loMm: 0.1, hiMm: 0.14 }, { loMm: 0.12, hiMm: 0.135 }, null],
    ['just narrow enough', { loMm: 0.1, hiMm: 0.13 }, { loMm: 0.1, hiMm: 0.13 }, 0],
  ])('of %s', (_, before, torqued, shift) => expect(lockOf(before, torqued)).toBe(shift))

  it('is none until two locks are known', () => {
    expect(lockShift([], WHO)).toBeNull()
    expect(lockShift(locks(-0.02), WHO)).toBeNull()
    expect(lockShift(locks(-0.02, -0.02), WHO)).not.toBeNull()
  })
  it('is the median of one’s own, shrunk by n/(n + 4) towards the model’s and the shop’s; scatter by the MAD: simple-statistics and jstat', () => {
    const shifts = fc.array(
      fc.integer({ min: -40, max: 20 }).map(v => v / 1000),
      { minLength: 2, maxLength: 12 },
    )
    fc.assert(
      fc.property(shifts, shifts, shifts, (own, model, shop) => {
        const all: Lock[] = [
          ...locks(...own),
          ...model.map(shiftMm => ({ shiftMm, personId: 2, modelId: 1 })),
          ...shop.map(shiftMm => ({ shiftMm, personId: 3, modelId: 7 })),
        ]
        const [n, N] = [own.length, own.length + model.length]
        const shops = median([...own, ...model, ...shop])
        const models = (N / (N + 4)) * jstat.median([...own, ...model]) + (4 / (N + 4)) * shops
        const expected = (n / (n + 4)) * median(own) + (4 / (n + 4)) * models
        const learned = lockShift(all, WHO)!
        expect(learned.shiftMm).toBeCloseTo(expected, 3)
        expect(learned.spreadMm).toBeCloseTo(Math.max(1.4826 * mad(own), 0.006 / Math.sqrt(n)), 3)
        expect(learned).toMatchObject({ own: n, model: N, shop: N + shop.length })
      }),
    )
  })
  it('one wild lock does not move it', () =>
    expect(lockShift(locks(-0.01, -0.011, -0.009, -0.01, 0.2), WHO)!.shiftMm).toBeCloseTo(-0.01, 3))
  it('another’s hand and another model count only as far as one’s own are few', () => {
    const others = Array.from({ length: 20 }, () => ({ shiftMm: 0.02, personId: 2, modelId: 2 }))
    expect(lockShift(others, WHO)!.shiftMm).toBe(0.02)
    expect(lockShift([...others, ...locks(...Array.from({ length: 40 }, () => -0.01))], WHO)!.shiftMm).toBeLessThan(
      -0.008,
    )
  })
  it('aims off: the aim may lie outside the limits, the aim with the shift may not', () => {
    expect(aimBeforeLock(0.12, { shiftMm: -0.03 })).toBe(0.15)
    expect(aimBeforeLock(0.12, null)).toBe(0.12)
  })
  it('after twenty locks of a creeping screw more of them are right the first time', () => {
    const { before, after } = firstTimeRight(20261125)
    expect(after).toBeGreaterThan(before + 0.3)
    expect(after).toBeGreaterThan(0.9)
  })
})
