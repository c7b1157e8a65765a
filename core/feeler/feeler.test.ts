import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { METRIC_BLADES } from '../../tests/support/builders'
import type { Clearance } from '../engine'
import { snapMm } from '../units'
import { bladePolicy, bladesErrorMm, bladeSetSchema, clearanceInterval, type Feel, FEELS, intervalWords, judge, limitsOf, nextBlade, settingBlade, targetOf, type Trial, USUAL_HAND } from './index'

const limits = (minMm: number, maxMm: number): Clearance => ({ form: 'limits', minMm, maxMm, text: '', unit: 'mm' })
const bare = (figureMm: number): Clearance => ({ form: 'bare', figureMm, text: '', unit: 'mm' })
const trials = (...said: [number, Feel][]): Trial[] => said.map(([t, feel], i) => ({ id: `t${i}`, bladesMm: [t], feel }))
/** What a hand feels, by the definitions: no-go c < t − 0.010, pinched to t, drag to t + 0.015, free above. */
const feelOf = (gap: number, t: number): Feel => gap < snapMm(t - 0.01) ? 'no-go' : gap < t ? 'pinched' : gap < snapMm(t + 0.015) ? 'drag' : 'free'

describe('the interval', () => {
  it.each<[string, [number, Feel][], number, number | null]>([
    ['nothing tried', [], 0, null], ['free', [[0.1, 'free']], 0.1, null], ['drag', [[0.1, 'drag']], 0.1, 0.115], ['pinched', [[0.1, 'pinched']], 0.09, 0.1], ['no-go', [[0.1, 'no-go']], 0, 0.1],
    ['a pair', [[0.08, 'free'], [0.13, 'no-go']], 0.08, 0.13], ['drag and the next refused', [[0.1, 'drag'], [0.11, 'no-go']], 0.1, 0.11],
    ['a blade tried again', [[0.1, 'no-go'], [0.1, 'drag']], 0.1, 0.115],
  ])('%s', (_, said, loMm, hiMm) => expect(clearanceInterval(trials(...said))).toMatchObject({ loMm, hiMm, contradiction: null }))

  it('holds the truth for any honest hand, and more trials never widen it', () => {
    fc.assert(fc.property(fc.integer({ min: 0, max: 4000 }), fc.array(fc.constantFrom(...METRIC_BLADES), { minLength: 1, maxLength: 6 }), (tenth, blades) => {
      const gap = snapMm(tenth / 10_000)
      const all = blades.map((t): [number, Feel] => [t, feelOf(gap, t)])
      const { loMm, hiMm, contradiction } = clearanceInterval(trials(...all))
      expect(contradiction).toBeNull()
      expect(loMm <= gap && (hiMm === null || gap < hiMm)).toBe(true)
      const fewer = clearanceInterval(trials(...all.slice(0, -1)))
      expect(loMm >= fewer.loMm && (fewer.hiMm === null || (hiMm !== null && hiMm <= fewer.hiMm))).toBe(true)
    }))
  })
  it('names two trials that cannot both be right, beyond their blades’ errors', () => {
    const { contradiction } = clearanceInterval(trials([0.05, 'free'], [0.15, 'free'], [0.10, 'no-go']))
    expect(contradiction?.map(t => t.bladesMm[0]).sort()).toEqual([0.1, 0.15])
  })
  it('a disagreement within the blades’ errors is the gap between them, remarked', () => {
    expect(clearanceInterval(trials([0.105, 'free'], [0.10, 'no-go']))).toMatchObject({ loMm: 0.1, hiMm: 0.105, contradiction: null, withinBladeError: true })
  })
  it('a stack has more error than a blade', () => expect(bladesErrorMm([0.08, 0.04])).toBeGreaterThan(bladesErrorMm([0.12])))
  it('is said in words', () => expect([{ loMm: 0, hiMm: 0.05 }, { loMm: 0.14, hiMm: null }, { loMm: 0.08, hiMm: 0.135 }].map(intervalWords)).toEqual(['under 0.05 mm', '0.14 mm or more', '0.08–0.135 mm']))
})

describe('the verdict', () => {
  it.each<[string, Clearance, [number, Feel][], string, string | null]>([
    // the false conclusion of the trade: 0.05 goes, 0.15 does not, limits 0.03–0.11: the gap may be 0.13 (common practice)
    ['a wide pair proves nothing', limits(0.03, 0.11), [[0.05, 'free'], [0.15, 'no-go']], 'unproved', null],
    ['0.25 goes, 0.30 does not, limits 0.25–0.33', limits(0.25, 0.33), [[0.25, 'free'], [0.30, 'no-go']], 'in', 'pair'],
    ['one blade that merely goes is not in', limits(0.08, 0.12), [[0.10, 'free']], 'unproved', null],
    ['a drag inside is in', limits(0.08, 0.12), [[0.10, 'drag']], 'in', 'drag'],
    ['a drag at the least is in: touching is in', limits(0.08, 0.12), [[0.08, 'drag']], 'in', 'drag'],
    ['a drag at the most is in', limits(0.08, 0.12), [[0.12, 'drag']], 'in', 'drag'],
    ['free at the most is loose', limits(0.08, 0.12), [[0.12, 'free']], 'loose', null],
    ['a drag above the most is loose', limits(0.08, 0.12), [[0.13, 'drag']], 'loose', null],
    ['refused at the least is tight', limits(0.08, 0.12), [[0.08, 'no-go']], 'tight', null],
    ['pinched at the least is tight', limits(0.08, 0.12), [[0.08, 'pinched']], 'tight', null],
    ['the upper end of a drag is no pair', limits(0.10, 0.12), [[0.095, 'drag']], 'unproved', null],
    ['the lower end of a pinch is no pair', limits(0.08, 0.12), [[0.10, 'pinched']], 'unproved', null],
    ['a drag just below the least: try the least', limits(0.10, 0.14), [[0.09, 'drag']], 'unproved', null],
    ['a pair of limits exactly', limits(0.08, 0.12), [[0.08, 'free'], [0.12, 'no-go']], 'in', 'pair'],
    ['contradicting trials', limits(0.08, 0.12), [[0.15, 'free'], [0.10, 'no-go']], 'unproved', null],
    ['refused under the least, then a drag within error, is never in', limits(0.08, 0.12), [[0.079, 'no-go'], [0.083, 'drag']], 'unproved', null],
    ['bare: drag at the figure', bare(0.10), [[0.10, 'drag']], 'in', 'drag'],
    ['bare: 4 thou counts as 0.10', bare(0.10), [[0.1016, 'drag']], 'in', 'drag'],
    ['bare: goes, and the next up does not', bare(0.10), [[0.10, 'free'], [0.13, 'no-go']], 'in', 'pair'],
    ['bare: the next up goes', bare(0.10), [[0.10, 'free'], [0.13, 'drag']], 'loose', null],
    ['bare: refused', bare(0.10), [[0.10, 'pinched']], 'tight', null],
    ['bare: goes, nothing above tried', bare(0.10), [[0.10, 'free']], 'unproved', null],
    ['bare: the next up is too far', bare(0.10), [[0.10, 'free'], [0.20, 'no-go']], 'unproved', null],
    ['not measured', limits(0.08, 0.12), [], 'unproved', null],
  ])('%s', (_, clearance, said, verdict, proof) => expect(judge(trials(...said), clearance)).toMatchObject({ verdict, proof }))

  it('a shop may demand the pair', () => expect(judge(trials([0.1, 'drag']), limits(0.08, 0.12), { pairDemanded: true }).verdict).toBe('unproved'))
  it('says what would settle it, the dangerous side first', () => {
    expect(judge(trials([0.06, 'free']), limits(0.08, 0.12)).settleWithMm).toBe(0.08)
    expect(judge(trials([0.09, 'free']), limits(0.08, 0.12)).settleWithMm).toBe(0.12)
  })
  it('never says in, tight or loose of an honest hand but what is so, to a drag’s width', () => {
    fc.assert(fc.property(fc.integer({ min: 0, max: 3000 }), fc.array(fc.constantFrom(...METRIC_BLADES), { maxLength: 5 }), fc.constantFrom(limits(0.08, 0.12), limits(0.13, 0.17), limits(0.25, 0.33)), (tenth, blades, clearance) => {
      const gap = snapMm(tenth / 10_000)
      const { verdict } = judge(trials(...blades.map((t): [number, Feel] => [t, feelOf(gap, t)])), clearance)
      const { minMm, maxMm } = limitsOf(clearance)!
      if (verdict === 'tight') expect(gap).toBeLessThan(minMm)
      if (verdict === 'loose') expect(gap).toBeGreaterThanOrEqual(maxMm)
      if (verdict === 'in') expect(gap >= minMm && gap < maxMm + USUAL_HAND.dragMm).toBe(true)
    }), { numRuns: 500 })
  })
})

/** The least expected trials to a verdict by searching every strategy on the raw truth grid: nothing shared with the policy. */
function optimum(blades: number[], clearance: Clearance, gaps: number[], weights: number[]): number {
  const done = (made: Trial[]): boolean => {
    const { verdict, reading } = judge(made, clearance)
    const width = reading.hiMm === null ? Infinity : reading.hiMm - reading.loMm
    const narrower = blades.some(t => t > reading.loMm + 1e-9 && (reading.hiMm === null || t < reading.hiMm - 1e-9) && !made.some(m => m.bladesMm[0] === t))
    return verdict === 'in' || (verdict !== 'unproved' && (width <= 0.03 + 1e-9 || !narrower)) || (verdict === 'unproved' && !blades.some(t => !made.some(m => m.bladesMm[0] === t)))
  }
  const memory = new Map<string, number>()
  const best = (made: Trial[], alive: number[]): number => {
    if (done(made)) return 0
    const key = made.map(m => `${m.bladesMm[0]}${m.feel}`).sort().join()
    const known = memory.get(key)
    if (known !== undefined) return known
    const total = alive.reduce((s, i) => s + weights[i]!, 0)
    let least = Infinity
    for (const t of blades) {
      if (made.some(m => m.bladesMm[0] === t)) continue
      let cost = 1
      for (const feel of FEELS) {
        const left = alive.filter(i => feelOf(gaps[i]!, t) === feel)
        if (left.length) cost += left.reduce((s, i) => s + weights[i]!, 0) / total * best([...made, { id: '', bladesMm: [t], feel }], left)
      }
      least = Math.min(least, cost)
    }
    memory.set(key, least)
    return least
  }
  return best([], gaps.map((_, i) => i))
}

describe('the next blade', () => {
  it.each<[string, number[], Clearance]>([
    ['both limits there', [0.05, 0.08, 0.10, 0.12, 0.15], limits(0.08, 0.12)],
    ['none at the limits', [0.04, 0.07, 0.10, 0.13, 0.18], limits(0.08, 0.12)],
    ['a bare figure', [0.05, 0.08, 0.10, 0.13, 0.15], bare(0.10)],
  ])('is within 1.15 of the best strategy: %s', (_, blades, clearance) => {
    const gaps = Array.from({ length: 88 }, (_, i) => snapMm((i + 0.5) * 0.0025))
    const centre = targetOf(clearance)
    const weights = gaps.map(g => Math.exp(-0.5 * ((g - centre) / 0.05) ** 2) + 0.02)
    const policy = bladePolicy(blades, clearance)
    const used = (gap: number): number => {
      const made: Trial[] = []
      for (let advice = policy(made); advice && made.length < 9; advice = policy(made)) made.push({ id: String(made.length), bladesMm: advice.bladesMm, feel: feelOf(gap, advice.bladesMm[0]!) })
      return made.length
    }
    const expected = gaps.reduce((s, g, i) => s + weights[i]! * used(g), 0) / weights.reduce((a, b) => a + b, 0)
    expect(expected).toBeLessThanOrEqual(optimum(blades, clearance, gaps, weights) * 1.15)
  })
  it('proves an in-spec valve in two trials at most, when the set has blades at both limits', () => {
    for (const clearance of [limits(0.08, 0.12), limits(0.10, 0.14), limits(0.15, 0.20)]) {
      const policy = bladePolicy(METRIC_BLADES, clearance)
      const { minMm, maxMm } = limitsOf(clearance)!
      for (let gap = minMm; gap < maxMm - 1e-9; gap = snapMm(gap + 0.001)) {
        const made: Trial[] = []
        for (let advice = policy(made); advice; advice = policy(made)) made.push({ id: '', bladesMm: advice.bladesMm, feel: feelOf(gap, advice.bladesMm[0]!) })
        expect(made.length, `gap ${gap}`).toBeLessThanOrEqual(2)
        expect(judge(made, clearance).verdict).toBe('in')
      }
    }
  })
  it('asks for a contradicting blade again', () => expect(nextBlade(METRIC_BLADES, trials([0.15, 'free'], [0.10, 'no-go']), limits(0.08, 0.12))?.bladesMm).toEqual([0.1]))
  it('has nothing to ask of a valve that is in', () => expect(nextBlade(METRIC_BLADES, trials([0.1, 'drag']), limits(0.08, 0.12))).toBeNull())
  it('takes what a blade off the list of candidates said into account', () => {
    const many = Array.from({ length: 40 }, (_, i) => snapMm(0.03 + i * 0.01))
    expect(nextBlade(many, trials([0.42, 'free']), limits(0.05, 0.07))).not.toMatchObject({ bladesMm: [0.05] })
  })
})

describe('setting and sets', () => {
  it('sets with the blade whose drag ends in the middle', () => {
    expect(settingBlade(METRIC_BLADES, limits(0.08, 0.12))).toBe(0.09)
    expect(settingBlade([0.05, 0.15], limits(0.08, 0.12))).toBeNull()
    expect(settingBlade(METRIC_BLADES, bare(0.14))).toBe(0.14)
  })
  it.each([[[0.1, 0.1], /twice/], [[0.1], /two blades/], [[0.1, 3], /look at the unit/], [[0.001, 0.1], /under 0.01/]])('refuses the set %j', (bladesMm, words) => {
    expect(bladeSetSchema.safeParse({ name: 'A', unit: 'mm', bladesMm }).error?.issues[0]?.message).toMatch(words)
  })
  it('keeps a set thinnest first', () => expect(bladeSetSchema.parse({ name: 'A', unit: 'mm', bladesMm: [0.2, 0.1] }).bladesMm).toEqual([0.1, 0.2]))
})
