import { levenbergMarquardt } from 'ml-levenberg-marquardt'
import { describe, expect, it } from 'vitest'
import { normalUnder } from '../chance'
import { normal, randomOf } from '../practice'
import { coldChance, coolingCurve, type HeadReading, READY_AT, readyAt, temperatureAt } from './index'

const HOUR = 3_600_000
const headAt = (hours: number, startC = 85, airC = 18, perHour = 0.9) =>
  airC + (startC - airC) * Math.exp(-perHour * hours)
const readings = (hours: number[], error: (i: number) => number = () => 0, perHour = 0.9): HeadReading[] =>
  hours.map((h, i) => ({ atMs: h * HOUR, celsius: headAt(h, 85, 18, perHour) + error(i) }))

describe('a head that cools', () => {
  it.each([0.5, 0.9, 1.8])('of %d an hour is fitted as the reference fits it (ml-levenberg-marquardt)', perHour => {
    const random = randomOf(7)
    const hours = Array.from({ length: 40 }, (_, i) => i / 20)
    const given = readings(hours, () => normal(random, 1), perHour)
    const curve = coolingCurve(given, 18)
    const {
      parameterValues: [over, rate],
    } = levenbergMarquardt(
      { x: hours, y: given.map(r => r.celsius) },
      ([a, k]) =>
        (t: number) =>
          18 + a! * Math.exp(-k! * t),
      { initialValues: [60, 1], gradientDifference: 1e-6, damping: 0.01, maxIterations: 200 },
    )
    // forty readings outweigh the usual rate; a slow share and a quicker rate may stand for each other a little
    for (const t of [0, 0.5, 1, 2])
      expect(Math.abs(temperatureAt(curve, t * HOUR) - 18 - over! * Math.exp(-rate! * t))).toBeLessThan(0.9)
  })
  it('with one reading the usual rate stands, and its doubt makes the wait longer', () => {
    const curve = coolingCurve(readings([0]), 18)
    expect(curve.perHour).toBeCloseTo(0.9, 1)
    const ready = readyAt(curve, 35)
    const likeliest = (Math.log((85 - 18) / (35 - 18)) / 0.9) * HOUR
    expect(ready).toMatchObject({ kind: 'at' })
    if (ready.kind === 'at') {
      expect(ready.atMs).toBeGreaterThan(likeliest)
      expect(ready.soonestMs).toBeLessThan(likeliest)
    }
  })
  it('more readings make it surer, so sooner', () => {
    const at = (hours: number[]) => {
      const r = readyAt(coolingCurve(readings(hours), 18), 35)
      return r.kind === 'at' ? r.atMs : NaN
    }
    expect(at([0, 0.25, 0.5, 0.75])).toBeLessThan(at([0]))
  })
  it('when it says ready, nine in ten heads and more are cold that cool in one stage (simulated)', () => {
    const random = randomOf(20261125)
    let cold = 0
    for (let i = 0; i < 400; i++) {
      const perHour = Math.min(3, Math.max(0.2, 0.9 * Math.exp(normal(random, 0.5))))
      const ready = readyAt(
        coolingCurve(
          readings([0, 0.2, 0.4], () => normal(random, 2), perHour),
          18,
        ),
        35,
      )
      if (ready.kind === 'at') cold += Number(headAt(ready.atMs / HOUR, 85, 18, perHour) <= 35)
    }
    expect(cold / 400).toBeGreaterThan(0.86)
    expect(cold / 400).toBeLessThan(0.995)
  })
  it.each([
    ['as said', 0.7],
    ['not read, and 4 °C off by a bell', 4],
  ])('air %s: when it says ready, 85 to 95 of 100 heads are cold over one stage and two', (_, airSigma) => {
    const random = randomOf(20261128)
    const heads = 300
    const shares = [0, 0.25].map(slowShare => {
      let cold = 0
      for (let i = 0; i < heads; i++) {
        const perHour = Math.min(3, Math.max(0.2, 0.9 * Math.exp(normal(random, 0.5))))
        const air = 20 + normal(random, airSigma)
        // a head on a block: written out here, not by the curve's own function
        const at = (hours: number) =>
          air +
          (85 - air) * ((1 - slowShare) * Math.exp(-perHour * hours) + slowShare * Math.exp((-perHour * hours) / 4))
        const given = [0, 0.25, 0.5].map(h => ({ atMs: h * HOUR, celsius: at(h) + normal(random, 2) }))
        const ready = readyAt(coolingCurve(given, 20, airSigma), 35)
        if (ready.kind === 'at') cold += Number(at(ready.atMs / HOUR) <= 35)
      }
      return cold / heads
    })
    const both = (shares[0]! + shares[1]!) / 2
    expect(both, shares.join()).toBeGreaterThan(0.85)
    expect(both, shares.join()).toBeLessThan(0.96)
    expect(Math.min(...shares), shares.join()).toBeGreaterThan(0.8)
  })
  it('two stages are fitted as the reference fits them (ml-levenberg-marquardt)', () => {
    const random = randomOf(9)
    const hours = Array.from({ length: 60 }, (_, i) => i / 12)
    const truth = (t: number) => 18 + 67 * (0.7 * Math.exp(-1.6 * t) + 0.3 * Math.exp(-0.4 * t))
    const given = hours.map(h => ({ atMs: h * HOUR, celsius: truth(h) + normal(random, 0.5) }))
    const curve = coolingCurve(given, 18)
    const { parameterValues } = levenbergMarquardt(
      { x: hours, y: given.map(r => r.celsius) },
      ([a, k, s]) =>
        (t: number) =>
          18 + a! * ((1 - s!) * Math.exp(-k! * t) + s! * Math.exp((-k! * t) / 4)),
      { initialValues: [60, 1, 0.2], gradientDifference: 1e-6, damping: 0.01, maxIterations: 400 },
    )
    const [a, k, s] = parameterValues as [number, number, number]
    const reference = (t: number) => 18 + a * ((1 - s) * Math.exp(-k * t) + s * Math.exp((-k * t) / 4))
    for (const t of [0.5, 1, 2, 4]) expect(Math.abs(temperatureAt(curve, t * HOUR) - reference(t))).toBeLessThan(1.2)
  })
  it('air at the limit never gets it cold', () =>
    expect(readyAt(coolingCurve(readings([0]), 35), 35)).toEqual({ kind: 'air too warm' }))
  it('one that is cold already is ready at once', () =>
    expect(readyAt(coolingCurve([{ atMs: 5 * HOUR, celsius: 22 }], 18), 35)).toEqual({
      kind: 'at',
      atMs: 5 * HOUR,
      soonestMs: 5 * HOUR,
    }))
  it('readings in any order give the same', () => {
    const given = readings([0, 0.5, 1])
    expect(coolingCurve([...given].reverse(), 18)).toEqual(coolingCurve(given, 18))
    expect(temperatureAt(coolingCurve(given, 18), HOUR)).toBeCloseTo(headAt(1), 0)
  })
  it('the chance of being cold never falls while it cools', () => {
    const curve = coolingCurve(readings([0]), 18)
    const chances = Array.from({ length: 30 }, (_, i) => coldChance(curve, 35, (i * HOUR) / 4))
    expect(chances.every((c, i) => i === 0 || c >= chances[i - 1]! - 1e-9)).toBe(true)
    expect(READY_AT).toBe(0.9)
  })
  it('no reading is no curve', () => expect(() => coolingCurve([], 18)).toThrow(/needs a temperature/))
  // Abramowitz and Stegun, table 26.1
  it.each([
    [0, 0.5],
    [1, 0.841344746],
    [-1.96, 0.024997895],
    [2.5, 0.993790335],
  ])('the normal distribution at %d is %d', (z, p) => expect(normalUnder(z)).toBeCloseTo(p, 6))
})
