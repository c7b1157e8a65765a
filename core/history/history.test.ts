import fc from 'fast-check'
import MultivariateLinearRegression from 'ml-regression-multivariate-linear'
import { linearRegression } from 'simple-statistics'
import { describe, expect, it } from 'vitest'
import { between, normal, randomOf } from '../practice'
import { say } from '../said'
import {
  changesOf,
  type Drift,
  drift,
  familyDrift,
  forecast,
  type MeterReading,
  monthsOn,
  movesFaster,
  nextDue,
  sigmaOf,
  usePerDay,
  useSinceFirst,
  type Visit,
  visitVerdict,
  withFamily,
} from './index'

const DAY = 86_400_000
const at = (days: number) => Date.UTC(2024, 0, 10) + days * DAY
const about = (mm: number, half = 0.005) => ({ loMm: mm - half, hiMm: mm + half })
/** A valve seen at so much use: found and left so. */
const visit = (days: number, use: number | null, found: number | null, left: number | null, half = 0.005): Visit => ({
  atMs: at(days),
  use,
  valves: {
    e: { asFound: found === null ? null : about(found, half), asLeft: left === null ? null : about(left, half) },
  },
})
const known = (d: Drift) => {
  if (d.kind !== 'drift') throw new Error(d.why.say)
  return d
}

describe('drift', () => {
  it('is the line through the origin: with even uncertainties the least squares of a reference (simple-statistics) on mirrored points', () => {
    const visits = [
      visit(0, 0, null, 0.14),
      visit(200, 1000, 0.128, 0.14),
      visit(400, 2400, 0.119, 0.14),
      visit(600, 3900, 0.117, null),
    ]
    const { points } = changesOf(visits, 'e')
    expect(points.map(p => [p.use, Number(p.changeMm.toFixed(4))])).toEqual([
      [1000, -0.012],
      [1400, -0.021],
      [1500, -0.023],
    ])
    // points mirrored through the origin make an ordinary regression go through it
    const mirrored = points.flatMap(p => [
      [p.use, p.changeMm],
      [-p.use, -p.changeMm],
    ])
    expect(known(drift(visits, 'e')).perUse).toBeCloseTo(linearRegression(mirrored).m, 12)
  })
  it('and its uncertainty are those of a regression package that gives the covariance, weights as scaled rows', () => {
    const visits = [
      visit(0, 0, null, 0.14, 0.004),
      visit(200, 1000, 0.12, 0.14, 0.006),
      visit(400, 2400, 0.133, 0.14, 0.005),
      visit(600, 3900, 0.112, null, 0.009),
    ]
    const d = known(drift(visits, 'e'))
    expect(d.points.some(p => p.jumped)).toBe(false)
    const x = d.points.map(p => [p.use / p.sigmaMm])
    const y = d.points.map(p => [p.changeMm / p.sigmaMm])
    const reference = new MultivariateLinearRegression(x, y, { intercept: false })
    expect(d.perUse).toBeCloseTo(reference.weights[0]![0]!, 12)
    // its covariance takes the scatter as it is; ours where it is more than the readings allow, as it is here
    expect(d.sigma).toBeCloseTo(Math.sqrt(reference.stdErrorMatrix.get(0, 0)), 12)
  })
  it('weighs by 1/(u₁² + u₂²): a wide reading counts little', () => {
    const wide = [
      visit(0, 0, null, 0.14),
      visit(200, 1000, 0.13, 0.14),
      { ...visit(400, 2000, null, null), valves: { e: { asFound: about(0.1, 0.05), asLeft: null } } },
    ]
    // by hand: u of a half-width h is h/√3; w = 1/(u₁² + u₂² + 0.002²)
    const w = (a: number, b: number) => 1 / ((a * a + b * b) / 3 + 0.002 ** 2)
    const [w1, w2] = [w(0.005, 0.005), w(0.005, 0.05)]
    expect(known(drift(wide, 'e')).perUse).toBeCloseTo((w1 * 1000 * -0.01 + w2 * 1000 * -0.04) / ((w1 + w2) * 1e6), 9)
  })
  it('an open reading stays out of the fit and is kept as a bound', () => {
    const open: Visit = {
      atMs: at(300),
      use: 2000,
      valves: { e: { asFound: { loMm: 0.2, hiMm: null }, asLeft: null } },
    }
    const d = drift([visit(0, 0, null, 0.14), open], 'e')
    expect(d).toMatchObject({ kind: 'not enough', why: say('drift.one-sided') })
    expect(d.bounds[0]!.atLeastMm).toBeCloseTo(0.055, 6)
  })
  it.each<[string, Visit[], string]>([
    ['no visit', [], 'drift.no-visit'],
    ['one visit', [visit(0, 0, 0.1, 0.14)], 'drift.one-visit'],
    ['no meter', [visit(0, null, 0.1, 0.14), visit(90, null, 0.12, 0.14)], 'drift.no-meter'],
    [
      'another engine in between',
      [visit(0, 0, 0.1, 0.14), { ...visit(90, 500, 0.12, 0.14), engineChanged: true }],
      'drift.not-proved',
    ],
  ])('%s is not enough yet', (_, visits, why) =>
    expect(drift(visits, 'e')).toMatchObject({ kind: 'not enough', why: { say: why } }),
  )
  it('a visit that was entered late falls into its place', () => {
    const visits = [visit(0, 0, null, 0.14), visit(200, 1000, 0.13, 0.14), visit(400, 2000, 0.13, null)]
    expect(drift([visits[2]!, visits[0]!, visits[1]!], 'e')).toEqual(drift(visits, 'e'))
  })
  it('one that jumped is named and does not bend the line', () => {
    const visits = [
      visit(0, 0, null, 0.14),
      visit(100, 1000, 0.135, 0.14),
      visit(200, 2000, 0.135, 0.14),
      visit(300, 3000, 0.06, 0.14),
      visit(400, 4000, 0.135, null),
    ]
    const d = known(drift(visits, 'e'))
    expect(d.points.map(p => p.jumped)).toEqual([false, false, true, false])
    expect(d.perUse).toBeCloseTo(-0.005 / 1000, 6)
  })
  it('twice the use and half the change a unit are the same drift', () =>
    fc.assert(
      fc.property(fc.double({ min: 0.5, max: 4, noNaN: true }), k => {
        const scaled = (f: number) =>
          known(
            drift([visit(0, 0, null, 0.14), visit(200, 1000 * f, 0.12, 0.14), visit(400, 2500 * f, 0.11, null)], 'e'),
          ).perUse * f
        expect(scaled(k)).toBeCloseTo(scaled(1), 12)
      }),
    ))
})

describe('a family', () => {
  const slope = (perUse: number, sigma = 1e-6): Extract<Drift, { kind: 'drift' }> => ({
    kind: 'drift',
    withLeft: 0,
    perUse,
    sigma,
    points: [],
    bounds: [],
  })
  it('is the mean of its machines with what they differ by; two are the fewest', () => {
    expect(familyDrift([slope(-5e-6)])).toBeNull()
    const family = familyDrift([slope(-4e-6), slope(-6e-6), slope(-5e-6)])!
    expect(family.perUse).toBeCloseTo(-5e-6, 12)
    expect(family.betweenSigma).toBeLessThan(1e-9)
    // DerSimonian and Laird by hand: Q = 8, df = 1, equal weights 1e12: τ² = (8 − 1)/(2e12 − 1e12)
    expect(familyDrift([slope(-3e-6), slope(-7e-6)])!.betweenSigma).toBeCloseTo(Math.sqrt(7e-12), 9)
  })
  it('stands in for a machine with one visit, and pulls little where a machine is known well', () => {
    const family = familyDrift([slope(-4e-6), slope(-6e-6)])!
    expect(
      withFamily({ kind: 'not enough', why: say('drift.one-visit'), points: [], bounds: [] }, family, 4000)!.perUse,
    ).toBeCloseTo(-5e-6, 12)
    expect(withFamily(slope(-9e-6, 1e-8), family, 4000)!.perUse).toBeCloseTo(-9e-6, 7)
    expect(
      withFamily({ kind: 'not enough', why: say('drift.one-visit'), points: [], bounds: [] }, null, 4000),
    ).toBeNull()
  })
  it('names the valve that moves faster, not the one that stands still', () => {
    const family = familyDrift([slope(-4e-6), slope(-5e-6), slope(-6e-6)])
    expect([
      movesFaster(slope(-2e-5), family),
      movesFaster(slope(0), family),
      movesFaster(slope(-6e-6), family),
    ]).toEqual([true, false, false])
  })
})

describe('forecast', () => {
  const LIMITS = { minMm: 0.12, maxMm: 0.16 }
  it('without doubt it leaves where the line meets the limit', () => {
    const f = forecast({ loMm: 0.14, hiMm: 0.14 }, { perUse: -1e-5, sigma: 1e-12 }, LIMITS, 10_000)!
    expect([f.soonest, f.even, f.latest].map(u => Math.round(u!))).toEqual([2000, 2000, 2000])
    expect(f.side).toBe('tight')
  })
  it('doubt makes the soonest sooner and the latest later; what stays in has no date', () => {
    const f = forecast(about(0.14), { perUse: -1e-5, sigma: 3e-6 }, LIMITS, 20_000)!
    expect(f.soonest!).toBeLessThan(f.even!)
    expect(f.latest! > f.even!).toBe(true)
    expect(forecast(about(0.14), { perUse: -1e-7, sigma: 1e-8 }, LIMITS, 10_000)).toMatchObject({
      even: null,
      latest: null,
    })
    expect(forecast({ loMm: 0.14, hiMm: null }, { perUse: 0, sigma: 1 }, LIMITS, 10)).toBeNull()
  })
  it('an 80 % fan holds the truth 77 to 83 times in 100 (simulated from drift to fan)', () => {
    const random = randomOf(20261125)
    let held = 0
    const RUNS = 4000
    for (let run = 0; run < RUNS; run++) {
      const slope = -between(random, 2e-6, 1.2e-5)
      // readings as intervals that hold the truth anywhere inside
      const read = (mm: number) => {
        const off = between(random, -0.006, 0.006)
        return { loMm: mm + off - 0.006, hiMm: mm + off + 0.006 }
      }
      let gap = 0.14
      const visits: Visit[] = [{ atMs: at(0), use: 0, valves: { e: { asFound: null, asLeft: read(gap) } } }]
      for (let i = 1; i <= 3; i++) {
        const found = gap + slope * 1500 + normal(random, 0.002)
        gap = 0.14
        visits.push({ atMs: at(i * 200), use: i * 1500, valves: { e: { asFound: read(found), asLeft: read(gap) } } })
      }
      const d = known(drift(visits, 'e'))
      const left = visits.at(-1)!.valves.e!.asLeft!
      const fan = forecast(left, d, LIMITS, 3000)!.fan.at(-1)!
      const truth = gap + slope * 3000
      held += Number(truth >= fan.loMm && truth <= fan.hiMm)
    }
    expect(held / RUNS).toBeGreaterThan(0.77)
    expect(held / RUNS).toBeLessThan(0.83)
  }, 30_000)
})

describe('a valve that was measured and left alone', () => {
  it('two visits: an 80 % fan holds the truth, for start and drift share a reading (simulated)', () => {
    const random = randomOf(20261128)
    let held = 0
    const RUNS = 4000
    for (let run = 0; run < RUNS; run++) {
      const slope = -between(random, 2e-6, 1.2e-5)
      const read = (mm: number) => {
        const off = between(random, -0.006, 0.006)
        return { loMm: mm + off - 0.006, hiMm: mm + off + 0.006 }
      }
      const then = 0.14 + slope * 1500 + normal(random, 0.002)
      const found = read(then)
      const visits: Visit[] = [
        { atMs: at(0), use: 0, valves: { e: { asFound: null, asLeft: read(0.14) } } },
        { atMs: at(200), use: 1500, valves: { e: { asFound: found, asLeft: found } } },
      ]
      const fan = forecast(found, known(drift(visits, 'e')), { minMm: 0.1, maxMm: 0.2 }, 3000)!.fan.at(-1)!
      const truth = then + slope * 3000
      held += Number(truth >= fan.loMm && truth <= fan.hiMm)
    }
    expect(held / RUNS).toBeGreaterThan(0.77)
    expect(held / RUNS).toBeLessThan(0.86)
  }, 30_000)
  it('the covariance is that of weighted least squares, worked by hand', () => {
    // one change c = r₂ − r₁ over u: slope c/u, so cov(slope, r₂) = σ²(r₂)/u
    const reading = { loMm: 0.1, hiMm: 0.112 }
    const visits: Visit[] = [
      { atMs: at(0), use: 0, valves: { e: { asFound: null, asLeft: { loMm: 0.12, hiMm: 0.132 } } } },
      { atMs: at(200), use: 1500, valves: { e: { asFound: reading, asLeft: reading } } },
    ]
    const d = drift(visits, 'e')
    expect(d.kind === 'drift' && d.withLeft).toBeCloseTo(0.006 ** 2 / 3 / 1500, 12)
  })
})

describe('meters', () => {
  const read = (days: number, meter: number, replaced = false): MeterReading => ({ atMs: at(days), meter, replaced })
  it('a replaced meter counts on; one that ran backward is asked about', () => {
    expect(useSinceFirst([read(0, 900), read(50, 1000), read(60, 5, true), read(90, 45)]).map(u => u.use)).toEqual([
      0, 100, 105, 145,
    ])
    expect(() => useSinceFirst([read(0, 900), read(50, 90)])).toThrow(/from 900 to 90. Was it replaced/)
  })
  it('use per day wants three weeks and some use', () => {
    expect(usePerDay(useSinceFirst([read(0, 0), read(100, 250)]))).toBeCloseTo(2.5, 9)
    expect(usePerDay(useSinceFirst([read(0, 0), read(5, 250)]))).toBeNull()
    expect(usePerDay(useSinceFirst([read(0, 0)]))).toBeNull()
  })
})

describe('next due', () => {
  const facts = {
    interval: { use: 4000, months: 12 },
    last: { atMs: at(0), use: 1000 },
    since: { atMs: at(-300), use: 0 },
    read: { atMs: at(100), use: 2000 },
    usePerDay: 10,
    forecasts: [],
  }
  it('is the earliest of use, months and forecast, and says which', () => {
    expect(nextDue(facts)!.first).toMatchObject({ cause: 'months' })
    expect(nextDue({ ...facts, usePerDay: 40 })!.first).toMatchObject({ cause: 'use', use: 5000, atMs: at(175) })
    expect(nextDue({ ...facts, forecasts: [{ valveId: 'e', soonest: 1500 }] })!.first).toMatchObject({
      cause: 'forecast',
      valveId: 'e',
      use: 2500,
      atMs: at(150),
    })
    // used up already: it was due on a day that has passed, and the day is said
    expect(nextDue({ ...facts, read: { atMs: at(100), use: 6000 } })!.first).toMatchObject({
      cause: 'use',
      atMs: at(0),
    })
    expect(nextDue({ ...facts, read: { atMs: at(100), use: 6000 }, usePerDay: null })!.first).toMatchObject({
      cause: 'use',
      atMs: at(100),
    })
  })
  it('a machine that was never checked has its first check', () =>
    expect(
      nextDue({
        ...facts,
        last: null,
        interval: { use: 4000, months: null, firstUse: 500 },
        read: { atMs: at(100), use: 100 },
      })!.first,
    ).toMatchObject({ cause: 'first check', use: 500 }))
  it('without a rate of use a date is not made up; without an interval there is none', () => {
    expect(nextDue({ ...facts, interval: { use: 4000, months: null }, usePerDay: null })!.first).toMatchObject({
      cause: 'use',
      use: 5000,
      atMs: null,
    })
    expect(nextDue({ ...facts, interval: { use: null, months: null } })).toBeNull()
  })
  it.each([
    ['2024-01-31', 1, '2024-02-29'],
    ['2025-01-31', 1, '2025-02-28'],
    ['2024-02-29', 12, '2025-02-28'],
    ['2024-11-30', 3, '2025-02-28'],
  ])('%s and %d months is %s', (from, months, to) =>
    expect(new Date(monthsOn(Date.parse(from), months)).toISOString().slice(0, 10)).toBe(to),
  )
})
it('an even interval’s uncertainty is its half-width over √3 (GUM 4.3.7)', () =>
  expect(sigmaOf({ loMm: 0.1, hiMm: 0.13 })).toBeCloseTo(0.015 / Math.sqrt(3), 12))

describe('how a visit left its valves', () => {
  const read = (verdict: 'in' | 'tight' | 'loose' | 'unproved') => ({ verdict })
  it('is by what was left; where nothing was proved, by what was found', () => {
    expect(
      visitVerdict([
        { asFound: read('tight'), asLeft: read('in') },
        { asFound: read('in'), asLeft: read('loose') },
        { asFound: read('tight'), asLeft: null },
        { asFound: read('in'), asLeft: read('unproved') },
        { asFound: null, asLeft: null },
      ]),
    ).toEqual({ in: 1, out: 2, unknown: 2 })
  })
  it('of no valves is nothing', () => expect(visitVerdict([])).toEqual({ in: 0, out: 0, unknown: 0 }))
})
