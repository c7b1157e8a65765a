import fc from 'fast-check'
import munkres from 'munkres-js'
import { describe, expect, it } from 'vitest'
import { refusalOf } from '../../words/refusal'
import type { Clearance } from '../engine'
import { snapMm } from '../units'
import { assign, chooseShim, engravedShim, reuseShims, type ShimValve, wantedShim } from './index'

const limits = (minMm: number, maxMm: number): Clearance => ({ form: 'limits', minMm, maxMm, text: '', unit: 'mm' })
const valve = (valveId: string, fittedMm: number, measuredMm: number, clearance = limits(0.13, 0.19)): ShimValve => ({
  valveId,
  fittedMm,
  measuredMm,
  clearance,
  targetMm: 0.16,
})

describe('the shim', () => {
  // common practice
  it('2.47 fitted, 0.11 measured, 0.15 wanted: 2.43', () => expect(wantedShim(2.47, 0.11, 0.15)).toBe(2.43))
  it('too tight a valve wants a thinner one, too loose a thicker', () => {
    expect(wantedShim(2.4, 0.05, 0.16)).toBeLessThan(2.4)
    expect(wantedShim(2.4, 0.25, 0.16)).toBeGreaterThan(2.4)
  })
  it('an engraving is a size of the steps, rounded to 0.01', () => {
    expect(engravedShim(2.38, 0.025)).toBe(2.375)
    expect(engravedShim(2.35, 0.05)).toBe(2.35)
  })
  it.each([
    [2.37, 0.05, /2.35 and 2.40/],
    [23.5, 0.05, /Was 2.35 mm meant/],
    [0.235, 0.05, /Was 2.35 mm meant/],
    [0, 0.05, /unit/],
    [Number.NaN, 0.05, /not a shim/],
  ])('refuses %d in steps of %d', (mm, step, words) => expect(refusalOf(() => engravedShim(mm, step))).toMatch(words))
  it('is taken from stock where one is in, else bought, else there is none', () => {
    const tight = valve('a', 2.4, 0.05)
    expect(chooseShim(tight, [2.35, 2.3, 2.2], 0.05)).toEqual({ mm: 2.3, clearanceMm: 0.15, from: 'stock' })
    expect(chooseShim(tight, [2.5], 0.05)).toEqual({ mm: 2.3, clearanceMm: 0.15, from: 'bought' })
    expect(chooseShim({ ...tight, clearance: limits(0.16, 0.17) }, [], 0.1)).toBeNull()
  })
})

describe('which shim goes where', () => {
  it('two that suit each other change places: nothing is bought', () => {
    expect(reuseShims([valve('tight', 2.45, 0.06), valve('loose', 2.35, 0.26)], [], 0.05)).toEqual({
      places: [
        { valveId: 'tight', mm: 2.35, clearanceMm: 0.16, from: 'valve', fromValveId: 'loose' },
        { valveId: 'loose', mm: 2.45, clearanceMm: 0.16, from: 'valve', fromValveId: 'tight' },
      ],
      without: [],
      buyMm: [],
      leftMm: [],
    })
  })
  it('what is in stays, and what is left over is told', () => {
    const plan = reuseShims([valve('in', 2.4, 0.16), valve('tight', 2.5, 0.06)], [2.4], 0.05)
    expect(plan.places.map(p => p.from)).toEqual(['stays', 'stock'])
    expect(plan).toMatchObject({ buyMm: [], leftMm: [2.5] })
  })
  it('names the sizes to buy, and the valve for which none would do', () => {
    const plan = reuseShims(
      [valve('tight', 2.5, 0.06), { ...valve('odd', 2.5, 0.3), clearance: limits(0.161, 0.162), targetMm: 0.1615 }],
      [],
      0.05,
    )
    expect(plan).toMatchObject({ buyMm: [2.4], without: ['odd'] })
  })

  const cost = fc.integer({ min: 0, max: 1000 })
  const matrix = fc
    .integer({ min: 1, max: 7 })
    .chain(n => fc.array(fc.array(cost, { minLength: n, maxLength: n }), { minLength: n, maxLength: n }))
  const total = (costs: number[][], columns: number[]) => columns.reduce((sum, j, i) => sum + costs[i]![j]!, 0)
  it('is the least by munkres-js', () =>
    fc.assert(
      fc.property(matrix, costs => {
        const theirs = munkres(costs).reduce((sum: number, [i, j]: [number, number]) => sum + costs[i]![j]!, 0)
        const ours = assign(costs)
        expect(new Set(ours).size).toBe(costs.length)
        expect(total(costs, ours)).toBe(theirs)
      }),
      { numRuns: 300 },
    ))

  /** The least purchases, and then the least deviation, over every way to place shims: written for itself. */
  function bruteForce(valves: ShimValve[], stock: number[], step: number): { buys: number; dev: number } {
    let best = { buys: Infinity, dev: Infinity }
    const pool = [...valves.map(v => v.fittedMm), ...stock]
    const go = (i: number, used: ReadonlySet<number>, buys: number, dev: number) => {
      if (i === valves.length) {
        if (buys < best.buys || (buys === best.buys && dev < best.dev)) best = { buys, dev }
        return
      }
      const v = valves[i]!
      const fits = (mm: number) => {
        const c = snapMm(v.fittedMm + v.measuredMm - mm)
        return c >= 0.13 && c <= 0.19 ? Math.abs(c - 0.16) * 1000 : null
      }
      pool.forEach((mm, j) => {
        const d = fits(mm)
        if (d !== null && !used.has(j))
          go(i + 1, new Set([...used, j]), buys, dev + d + (j === i ? 0 : j < valves.length ? 0.1 : 0.2))
      })
      for (let k = 30; k <= 60; k++) {
        const d = fits(snapMm(k * step))
        if (d !== null) go(i + 1, used, buys + 1, dev + d)
      }
    }
    go(0, new Set(), 0, 0)
    return best
  }
  it('buys the fewest, then comes nearest, by brute force', () =>
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 44, max: 52 }), fc.integer({ min: 3, max: 30 })), {
          minLength: 1,
          maxLength: 4,
        }),
        fc.array(fc.integer({ min: 44, max: 52 }), { maxLength: 3 }),
        (pairs, stocked) => {
          const valves = pairs.map(([shim, gap], i) => valve(`v${i}`, snapMm(shim * 0.05), gap / 100))
          const stock = stocked.map(s => snapMm(s * 0.05))
          const plan = reuseShims(valves, stock, 0.05)
          const best = bruteForce(valves, stock, 0.05)
          expect(plan.without).toEqual([])
          expect(plan.buyMm.length).toBe(best.buys)
          const dev = plan.places.reduce(
            (sum, p) =>
              sum +
              Math.abs(p.clearanceMm - 0.16) * 1000 +
              (p.from === 'stays' || p.from === 'bought' ? 0 : p.from === 'valve' ? 0.1 : 0.2),
            0,
          )
          expect(dev).toBeCloseTo(best.dev, 6)
          // nothing is used twice
          expect(new Set(plan.places.map(p => p.fromValveId).filter(Boolean)).size).toBe(
            plan.places.filter(p => p.fromValveId).length,
          )
        },
      ),
      { numRuns: 60 },
    ))
})
