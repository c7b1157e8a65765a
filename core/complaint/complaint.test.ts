import { unit } from 'mathjs'
import { describe, expect, it } from 'vitest'
import { engineOf } from '../../tests/support/builders'
import { found, said } from '../../tests/support/job-book'
import { positionModel } from '../position'
import { COMPLAINTS, elseFor, fromKPa, likelierBy, pointsTo, PRESSURE_UNITS, pressureSchema, toKPa } from './index'

describe('pressures', () => {
  it.each(PRESSURE_UNITS)('%s is what another library makes of it, there and back', u => {
    for (const value of [0.7, 12, 150]) {
      expect(toKPa(value, u)).toBeCloseTo(unit(value, u).toNumber('kPa'), 6)
      expect(fromKPa(toKPa(value, u), u)).toBeCloseTo(value, 12)
    }
  })
  const read = (value: number, u: string) =>
    pressureSchema.safeParse({ kind: 'compression', when: 'before', value, unit: u, throttle: 'open', engine: 'cold' })
  // common practice: small engines show 400 to 1400 kPa, 60 to 200 psi
  it('takes what a gauge shows, and names the unit that was meant where it cannot be', () => {
    for (const [value, u] of [
      [900, 'kPa'],
      [9, 'bar'],
      [130, 'psi'],
    ] as const)
      expect(read(value, u).success).toBe(true)
    expect(read(130, 'bar').error!.issues[0]!.message).toContain('psi')
    expect(read(9, 'kPa').error!.issues[0]!.message).toContain('bar')
    expect(read(900, 'psi').error!.issues[0]!.message).toContain('kPa')
  })
})

describe('a complaint', () => {
  it('of tight and of loose valves at once says nothing of either', () => {
    expect(likelierBy(['hard to start hot']).tight).toBeGreaterThan(1)
    expect(likelierBy(['hard to start hot', 'ticks cold'])).toEqual({ tight: 1, loose: 1, decompressor: 1 })
    expect(likelierBy(['due', 'burns oil'])).toEqual({ tight: 1, loose: 1, decompressor: 1 })
  })
  it('that stayed always has something else to look at', () => {
    for (const c of COMPLAINTS) expect(elseFor(c).length > 0).toBe(c !== 'due')
    expect(COMPLAINTS.filter(c => pointsTo(c).length === 0)).toEqual(['due', 'burns oil'])
  })
  it('is a hint to the belief, never a finding: no chance of no clearance passes a half by it', () => {
    const none = (tightBy: number) =>
      positionModel(engineOf(), undefined, null, tightBy)
        .hypotheses.filter(h => h.noClearance.includes(1))
        .reduce((sum, h) => sum + h.prior, 0)
    expect(none(3)).toBeGreaterThan(none(1))
    expect(none(3)).toBeLessThan(0.5)
    // odds of the exhaust alone: 0.08 to 0.92, and three times that
    expect(none(1)).toBeCloseTo(0.08, 2)
    expect(none(3) / (1 - none(3))).toBeCloseTo((3 * 0.08) / 0.92, 2)
  })
  it('moves the first blade toward the limit that it speaks of', () => {
    const firstBlade = (complaints: readonly (typeof COMPLAINTS)[number][]) => {
      return found(said(engineOf(), { complaint: '', complaints: [...complaints] })).next().trial!.stack.totalMm
    }
    expect(firstBlade(['hard to start hot'])).toBeLessThan(firstBlade(['ticks cold']))
  })
})
