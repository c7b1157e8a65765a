import fc from 'fast-check'
import Interval from 'interval-arithmetic'
import { describe, expect, it } from 'vitest'
import { METRIC_BLADES } from '../../tests/support/builders'
import { intervalWords, judge } from '../../tests/support/told'
import { refusal } from '../../words/refusal'
import type { Clearance } from '../engine'
import { snapMm } from '../units'
import {
  bladePolicy,
  type BladeSet,
  bladeSetSchema,
  clearanceInterval,
  countedAsIn,
  type Feel,
  FEELS,
  limitsOf,
  nextBlade,
  plainBlade,
  settingBlade,
  singles,
  type Stack,
  stacks,
  targetOf,
  type Trial,
  trialErrorMm,
  trialStacks,
  USUAL_HAND,
} from './index'

const limits = (minMm: number, maxMm: number): Clearance => ({ form: 'limits', minMm, maxMm, text: '', unit: 'mm' })
const bare = (figureMm: number): Clearance => ({ form: 'bare', figureMm, text: '', unit: 'mm' })
/** A set by its blades; a bare size is a sound blade. */
const setOf = (...blades: Partial<BladeSet['blades'][number]>[]): Pick<BladeSet, 'blades'> => ({
  blades: blades.map(b => ({ ...plainBlade(b.mm!), ...b })),
})
const plain = (...bladesMm: number[]) => setOf(...bladesMm.map(mm => ({ mm })))
/** As most rolls have them, with 0.14 and 0.15 besides. */
const COMMON = plain(0.05, 0.08, 0.1, 0.13, 0.14, 0.15, 0.18, 0.2)
const trials = (...said: [number, Feel][]): Trial[] =>
  said.map(([t, feel], i) => ({ id: `t${i}`, bladesMm: [t], feel }))
/** What a hand feels, by the definitions: no-go c < t − 0.010, pinched to t, drag to t + 0.015, free above. */
const feelOf = (gap: number, t: number): Feel =>
  gap < snapMm(t - 0.01) ? 'no-go' : gap < t ? 'pinched' : gap < snapMm(t + 0.015) ? 'drag' : 'free'

describe('the interval', () => {
  it.each<[string, [number, Feel][], number, number | null]>([
    ['nothing tried', [], 0, null],
    ['free', [[0.1, 'free']], 0.1, null],
    ['drag', [[0.1, 'drag']], 0.1, 0.115],
    ['pinched', [[0.1, 'pinched']], 0.09, 0.1],
    ['no-go', [[0.1, 'no-go']], 0, 0.1],
    [
      'a pair',
      [
        [0.08, 'free'],
        [0.13, 'no-go'],
      ],
      0.08,
      0.13,
    ],
    [
      'drag and the next refused',
      [
        [0.1, 'drag'],
        [0.11, 'no-go'],
      ],
      0.1,
      0.11,
    ],
    [
      'a blade tried again',
      [
        [0.1, 'no-go'],
        [0.1, 'drag'],
      ],
      0.1,
      0.115,
    ],
  ])('%s', (_, said, loMm, hiMm) =>
    expect(clearanceInterval(trials(...said))).toMatchObject({ loMm, hiMm, contradiction: null }),
  )

  it('holds the truth for any honest hand, and more trials never widen it', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 4000 }),
        fc.array(fc.constantFrom(...METRIC_BLADES), { minLength: 1, maxLength: 6 }),
        (tenth, blades) => {
          const gap = snapMm(tenth / 10_000)
          const all = blades.map((t): [number, Feel] => [t, feelOf(gap, t)])
          const { loMm, hiMm, contradiction } = clearanceInterval(trials(...all))
          expect(contradiction).toBeNull()
          expect(loMm <= gap && (hiMm === null || gap < hiMm)).toBe(true)
          const fewer = clearanceInterval(trials(...all.slice(0, -1)))
          expect(loMm >= fewer.loMm && (fewer.hiMm === null || (hiMm !== null && hiMm <= fewer.hiMm))).toBe(true)
        },
      ),
    )
  })
  it('names two trials that cannot both be right, beyond their blades’ errors', () => {
    const { contradiction } = clearanceInterval(trials([0.05, 'free'], [0.15, 'free'], [0.1, 'no-go']))
    expect(contradiction?.map(t => t.bladesMm[0]).sort()).toEqual([0.1, 0.15])
  })
  it('a disagreement within the blades’ errors is the gap between them, remarked', () => {
    expect(clearanceInterval(trials([0.105, 'free'], [0.1, 'no-go']))).toMatchObject({
      loMm: 0.1,
      hiMm: 0.105,
      contradiction: null,
      withinBladeError: true,
    })
  })
  it('is the meet of what each trial proves, by an interval-arithmetic package', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.constantFrom(...METRIC_BLADES), fc.constantFrom(...FEELS)), {
          minLength: 1,
          maxLength: 6,
        }),
        said => {
          const last = new Map(said)
          const proofs = [...last].map(([t, feel]) =>
            feel === 'free'
              ? Interval(t, Infinity)
              : feel === 'drag'
                ? Interval(t, snapMm(t + 0.015))
                : feel === 'pinched'
                  ? Interval(snapMm(Math.max(0, t - 0.01)), t)
                  : Interval(0, t),
          )
          const meet = proofs.reduce((a, b) => Interval.intersection(a, b), Interval(0, Infinity))
          const { loMm, hiMm, contradiction, withinBladeError } = clearanceInterval(trials(...said))
          const apart = Interval.isEmpty(meet) || Interval.isSingleton(meet)
          expect(contradiction !== null || withinBladeError, JSON.stringify(said)).toBe(apart)
          if (!apart) expect([loMm, hiMm ?? Infinity]).toEqual([meet.lo, meet.hi])
        },
      ),
      { numRuns: 500 },
    )
  })
  it('a stack has more error than a blade, a measured blade less', () => {
    expect(trialErrorMm({ bladesMm: [0.08, 0.04] })).toBeGreaterThan(trialErrorMm({ bladesMm: [0.12] }))
    expect(stacks(setOf({ mm: 0.1, measuredMm: 0.102 }, { mm: 0.2 }), 1)[0]).toMatchObject({
      engravedMm: [0.1],
      totalMm: 0.102,
      errorMm: 0.002,
    })
  })
  it('is said in words', () =>
    expect(
      [
        { loMm: 0, hiMm: 0.05 },
        { loMm: 0.14, hiMm: null },
        { loMm: 0.08, hiMm: 0.135 },
      ].map(i => intervalWords(i)),
    ).toEqual(['under 0.05 mm', '0.14 mm or bigger', '0.08–0.135 mm']))
})

describe('the verdict', () => {
  it.each<[string, Clearance, [number, Feel][], string, string | null]>([
    // the false conclusion of the trade: 0.05 goes, 0.15 does not, limits 0.03–0.11: the gap may be 0.13 (common
    // practice)
    [
      'a wide pair proves nothing',
      limits(0.03, 0.11),
      [
        [0.05, 'free'],
        [0.15, 'no-go'],
      ],
      'unproved',
      null,
    ],
    [
      '0.25 goes, 0.30 does not, limits 0.25–0.33',
      limits(0.25, 0.33),
      [
        [0.25, 'free'],
        [0.3, 'no-go'],
      ],
      'in',
      'pair',
    ],
    ['one blade that merely goes is not in', limits(0.08, 0.12), [[0.1, 'free']], 'unproved', null],
    ['a drag inside is in', limits(0.08, 0.12), [[0.1, 'drag']], 'in', 'drag'],
    ['a drag at the least is in: touching is in', limits(0.08, 0.12), [[0.08, 'drag']], 'in', 'drag'],
    ['a drag at the most is in', limits(0.08, 0.12), [[0.12, 'drag']], 'in', 'drag'],
    ['free at the most is loose', limits(0.08, 0.12), [[0.12, 'free']], 'loose', null],
    ['a drag above the most is loose', limits(0.08, 0.12), [[0.13, 'drag']], 'loose', null],
    ['refused at the least is tight', limits(0.08, 0.12), [[0.08, 'no-go']], 'tight', null],
    ['pinched at the least is tight', limits(0.08, 0.12), [[0.08, 'pinched']], 'tight', null],
    ['the upper end of a drag is no pair', limits(0.1, 0.12), [[0.095, 'drag']], 'unproved', null],
    ['a pinch whose whole interval lies inside', limits(0.08, 0.12), [[0.1, 'pinched']], 'in', 'interval'],
    ['a drag just below the least: try the least', limits(0.1, 0.14), [[0.09, 'drag']], 'unproved', null],
    [
      'a pair of limits exactly',
      limits(0.08, 0.12),
      [
        [0.08, 'free'],
        [0.12, 'no-go'],
      ],
      'in',
      'pair',
    ],
    [
      'contradicting trials',
      limits(0.08, 0.12),
      [
        [0.15, 'free'],
        [0.1, 'no-go'],
      ],
      'unproved',
      null,
    ],
    [
      'refused under the least, then a drag within error, is never in',
      limits(0.08, 0.12),
      [
        [0.079, 'no-go'],
        [0.083, 'drag'],
      ],
      'unproved',
      null,
    ],
    ['bare: drag at the figure', bare(0.1), [[0.1, 'drag']], 'in', 'drag'],
    ['bare: 4 thou counts as 0.10', bare(0.1), [[0.1016, 'drag']], 'in', 'drag'],
    [
      'bare: goes, and the next up does not',
      bare(0.1),
      [
        [0.1, 'free'],
        [0.13, 'no-go'],
      ],
      'in',
      'pair',
    ],
    [
      'bare: the next up goes',
      bare(0.1),
      [
        [0.1, 'free'],
        [0.13, 'drag'],
      ],
      'loose',
      null,
    ],
    [
      'bare: the figure drags, and a blade just over it goes too',
      bare(0.14),
      [
        [0.14, 'drag'],
        [0.15, 'drag'],
      ],
      'in',
      'drag',
    ],
    [
      'bare: a blade just over the figure goes, the figure itself not tried',
      bare(0.14),
      [[0.15, 'drag']],
      'unproved',
      null,
    ],
    [
      'bare: free at the figure, a blade just over it goes',
      bare(0.14),
      [
        [0.14, 'free'],
        [0.15, 'drag'],
      ],
      'loose',
      null,
    ],
    ['bare: refused', bare(0.1), [[0.1, 'pinched']], 'tight', null],
    ['bare: goes, nothing above tried', bare(0.1), [[0.1, 'free']], 'unproved', null],
    [
      'bare: the next up is too far',
      bare(0.1),
      [
        [0.1, 'free'],
        [0.2, 'no-go'],
      ],
      'unproved',
      null,
    ],
    ['not measured', limits(0.08, 0.12), [], 'unproved', null],
  ])('%s', (_, clearance, said, verdict, proof) =>
    expect(judge(trials(...said), clearance, { set: COMMON })).toMatchObject({ verdict, proof }),
  )

  describe('a bare figure has one band, whichever blades were at hand', () => {
    const inches = plain(...[5, 6, 6.5, 7, 8].map(thou => (thou * 254) / 10_000))
    const thou = (n: number) => (n * 254) / 10_000
    it('0.15 with thou blades: a gap of 0.170 is loose, whichever blades bracket it', () => {
      const by = (...said: [number, Feel][]) => judge(trials(...said), bare(0.15), { set: inches }).verdict
      expect(by([thou(6), 'free'], [thou(7), 'no-go'])).toBe('loose')
      expect(by([thou(6.5), 'drag'], [thou(7), 'no-go'])).toBe('unproved')
      expect(nextBlade(inches, trials([thou(6.5), 'drag'], [thou(7), 'no-go']), bare(0.15))?.stack.totalMm).toBe(
        thou(6),
      )
    })
    it('ends at the next blade of the set, or with the drag of its own where the next is far', () => {
      expect(countedAsIn(bare(0.1), plain(0.1, 0.13))).toEqual({ minMm: 0.1, maxMm: 0.13, topCounts: false })
      expect(countedAsIn(bare(0.1), plain(0.1, 0.11, 0.13))).toMatchObject({ maxMm: 0.115 })
      expect(countedAsIn(bare(0.1), plain(0.1, 0.2))).toMatchObject({ maxMm: 0.115 })
      expect(countedAsIn(limits(0.08, 0.12), plain(0.1))).toEqual({ minMm: 0.08, maxMm: 0.12, topCounts: true })
    })
    it('no two sets of trials that can both be right give in and loose, or in and tight', () => {
      fc.assert(
        fc.property(
          fc.integer({ min: 600, max: 2500 }),
          fc.uniqueArray(fc.constantFrom(...inches.blades.map(b => b.mm)), { minLength: 1, maxLength: 3 }),
          fc.uniqueArray(fc.constantFrom(...inches.blades.map(b => b.mm)), { minLength: 1, maxLength: 3 }),
          (tenth, some, others) => {
            const gap = snapMm(tenth / 10_000)
            const verdicts = [some, others].map(
              blades =>
                judge(trials(...blades.map((t): [number, Feel] => [t, feelOf(gap, t)])), bare(0.15), { set: inches })
                  .verdict,
            )
            const told = new Set(verdicts.filter(v => v !== 'unproved'))
            expect(told.size, `${gap}: ${some} ${others}`).toBeLessThan(2)
          },
        ),
        { seed: 15, numRuns: 2000 },
      )
    })
  })
  it('a reading that lies wholly inside the limits is in, also by a pinch alone', () =>
    expect(judge(trials([0.152, 'pinched']), limits(0.13, 0.19))).toMatchObject({ verdict: 'in', proof: 'interval' }))
  it('a drag at the loose limit is in, and that is remarked', () => {
    expect(judge(trials([0.12, 'drag']), limits(0.08, 0.12)).cautions.join()).toMatch(/loose limit/)
    expect(judge(trials([0.1, 'drag']), limits(0.08, 0.12)).cautions.join()).not.toMatch(/loose limit/)
  })

  it('a shop may demand the pair', () =>
    expect(judge(trials([0.1, 'drag']), limits(0.08, 0.12), { pairDemanded: true }).verdict).toBe('unproved'))
  it('says what would settle it, the dangerous side first', () => {
    expect(judge(trials([0.06, 'free']), limits(0.08, 0.12)).settleWithMm).toBe(0.08)
    expect(judge(trials([0.09, 'free']), limits(0.08, 0.12)).settleWithMm).toBe(0.12)
  })
  it('never says in, tight or loose of an honest hand but what is so, to a drag’s width', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 3000 }),
        fc.array(fc.constantFrom(...METRIC_BLADES), { maxLength: 5 }),
        fc.constantFrom(limits(0.08, 0.12), limits(0.13, 0.17), limits(0.25, 0.33)),
        (tenth, blades, clearance) => {
          const gap = snapMm(tenth / 10_000)
          const { verdict } = judge(trials(...blades.map((t): [number, Feel] => [t, feelOf(gap, t)])), clearance)
          const { minMm, maxMm } = limitsOf(clearance)!
          if (verdict === 'tight') expect(gap).toBeLessThan(minMm)
          if (verdict === 'loose') expect(gap).toBeGreaterThanOrEqual(maxMm)
          if (verdict === 'in') expect(gap >= minMm && gap < maxMm + USUAL_HAND.dragMm).toBe(true)
        },
      ),
      { numRuns: 500 },
    )
  })
})

describe('what stands beside a verdict', () => {
  it.each<[string, Clearance, [number, Feel][], string | null]>([
    [
      'a pair on the limits: the blades may be off',
      limits(0.08, 0.12),
      [
        [0.08, 'free'],
        [0.12, 'no-go'],
      ],
      'Could be tight by blade error: 0.08 may be 0.005 mm off.',
    ],
    [
      'a pair well inside',
      limits(0.08, 0.14),
      [
        [0.1, 'free'],
        [0.12, 'no-go'],
      ],
      null,
    ],
    [
      'loose by the thickness of a blade’s error',
      limits(0.08, 0.12),
      [[0.12, 'free']],
      'Could be in by blade error: 0.12 may be 0.005 mm off.',
    ],
    ['tight by far', limits(0.08, 0.12), [[0.05, 'no-go']], null],
    [
      'trials that disagree within error',
      limits(0.08, 0.16),
      [
        [0.105, 'free'],
        [0.1, 'no-go'],
      ],
      'The trials disagree, but by no more than the blades’ error.',
    ],
  ])('%s', (_, clearance, said, words) => expect(judge(trials(...said), clearance).cautions[0] ?? null).toBe(words))
  it('an exhaust at its tight limit is in, with a remark; an intake has none', () => {
    const at = (role: 'intake' | 'exhaust') => judge(trials([0.08, 'drag']), limits(0.08, 0.12), { role })
    expect(at('exhaust')).toMatchObject({ verdict: 'in' })
    expect(at('exhaust').cautions.at(-1)).toMatch(/tend to tighten/)
    expect(at('intake').cautions.some(c => /tends/.test(c))).toBe(false)
  })
  it('a blade known to be bent is said so', () =>
    expect(judge([{ ...trials([0.1, 'drag'])[0]!, doubt: 'bent' }], limits(0.08, 0.12)).cautions).toContain(
      '0.10 is bent: try another.',
    ))
})

describe('stacks', () => {
  // 0.08 + 0.04 = 0.12 and 0.25 + 0.05 = 0.30: common practice
  it.each([
    [[0.04, 0.08], 0.12, [0.08, 0.04]],
    [[0.05, 0.25], 0.3, [0.25, 0.05]],
  ])('of %j make %d', (sizes, totalMm, engravedMm) => {
    expect(stacks(plain(...(sizes as number[]))).find(s => s.totalMm === totalMm)).toMatchObject({
      engravedMm,
      errorMm: snapMm(Math.hypot(0.005, 0.005) + 0.003),
    })
  })
  it('one way to each thickness: the single blade before the stack, two before three', () => {
    const all = stacks(plain(0.04, 0.05, 0.08, 0.12), 3)
    expect(new Set(all.map(s => s.totalMm)).size).toBe(all.length)
    expect(all.find(s => s.totalMm === 0.12)!.engravedMm).toEqual([0.12])
    expect(all.find(s => s.totalMm === 0.17)!.engravedMm).toEqual([0.12, 0.05])
    expect(all.at(-1)!.engravedMm).toEqual([0.12, 0.08, 0.05])
  })
  it('bent, worn and stepped blades are not stacked, missing ones not there', () => {
    const all = stacks(
      setOf(
        { mm: 0.04 },
        { mm: 0.05, condition: 'bent' },
        { mm: 0.08, condition: 'missing' },
        { mm: 0.1, stepMm: 0.13 },
        { mm: 0.2 },
      ),
      3,
    )
    expect(all.map(s => s.engravedMm.join('+'))).toEqual(['0.04', '0.05', '0.1', '0.13', '0.2', '0.2+0.04'])
    expect(all.find(s => s.totalMm === 0.05)).toMatchObject({ doubt: 'bent', errorMm: 0.02 })
  })
  it('are counted by brute force', () =>
    fc.assert(
      fc.property(fc.uniqueArray(fc.integer({ min: 10, max: 400 }), { minLength: 2, maxLength: 9 }), sizes => {
        const mm = sizes.map(s => s / 1000)
        const sums = new Set<number>()
        for (let mask = 1; mask < 1 << mm.length; mask++) {
          const parts = mm.filter((_, i) => (mask >> i) & 1)
          if (parts.length <= 3) sums.add(snapMm(parts.reduce((a, b) => a + b, 0)))
        }
        expect(stacks(plain(...mm), 3).map(s => s.totalMm)).toEqual([...sums].sort((a, b) => a - b))
      }),
    ))
})

/**
 * The least expected trials to a verdict by searching every strategy on the raw truth grid: nothing shared with the
 * policy.
 */
function optimum(blades: number[], clearance: Clearance, gaps: number[], weights: number[]): number {
  const done = (made: Trial[]): boolean => {
    const { verdict, reading } = judge(made, clearance)
    const width = reading.hiMm === null ? Infinity : reading.hiMm - reading.loMm
    const narrower = blades.some(
      t =>
        t > reading.loMm + 1e-9 &&
        (reading.hiMm === null || t < reading.hiMm - 1e-9) &&
        !made.some(m => m.bladesMm[0] === t),
    )
    return (
      verdict === 'in' ||
      (verdict !== 'unproved' && (width <= 0.03 + 1e-9 || !narrower)) ||
      (verdict === 'unproved' && !blades.some(t => !made.some(m => m.bladesMm[0] === t)))
    )
  }
  const memory = new Map<string, number>()
  const best = (made: Trial[], alive: number[]): number => {
    if (done(made)) return 0
    const key = made
      .map(m => `${m.bladesMm[0]}${m.feel}`)
      .sort()
      .join()
    const known = memory.get(key)
    if (known !== undefined) return known
    const total = alive.reduce((s, i) => s + weights[i]!, 0)
    let least = Infinity
    for (const t of blades) {
      if (made.some(m => m.bladesMm[0] === t)) continue
      let cost = 1
      for (const feel of FEELS) {
        const left = alive.filter(i => feelOf(gaps[i]!, t) === feel)
        if (left.length)
          cost +=
            (left.reduce((s, i) => s + weights[i]!, 0) / total) * best([...made, { id: '', bladesMm: [t], feel }], left)
      }
      least = Math.min(least, cost)
    }
    memory.set(key, least)
    return least
  }
  return best(
    [],
    gaps.map((_, i) => i),
  )
}

const ONE_MODEL = (clearance: Clearance) => {
  const gaps = Array.from({ length: 88 }, (_, i) => snapMm((i + 0.5) * 0.0025))
  const weights = gaps.map(g => Math.exp(-0.5 * ((g - targetOf(clearance)) / 0.05) ** 2) + 0.02)
  return {
    gaps,
    weights,
    mean: (used: (gap: number) => number) =>
      gaps.reduce((s, g, i) => s + weights[i]! * used(g), 0) / weights.reduce((a, b) => a + b, 0),
  }
}
/** Tries blades as a policy says until it has nothing to ask. */
function tried(choices: Stack[], clearance: Clearance): (gap: number) => Trial[] {
  const policy = bladePolicy(choices, clearance)
  return gap => {
    const made: Trial[] = []
    for (let advice = policy(made); advice && made.length < 9; advice = policy(made))
      made.push({ id: String(made.length), bladesMm: advice.stack.bladesMm, feel: feelOf(gap, advice.stack.totalMm) })
    return made
  }
}

describe('the next blade', () => {
  it.each<[string, number[], Clearance]>([
    ['both limits there', [0.05, 0.08, 0.1, 0.12, 0.15], limits(0.08, 0.12)],
    ['none at the limits', [0.04, 0.07, 0.1, 0.13, 0.18], limits(0.08, 0.12)],
    ['a bare figure', [0.05, 0.08, 0.1, 0.13, 0.15], bare(0.1)],
    ['thou sizes', [0.0762, 0.1016, 0.127, 0.1524, 0.1778], limits(0.1, 0.15)],
  ])('is within 1.15 of the best strategy: %s', (_, blades, clearance) => {
    const { gaps, weights, mean } = ONE_MODEL(clearance)
    const use = tried(singles(blades), clearance)
    expect(mean(gap => use(gap).length)).toBeLessThanOrEqual(optimum(blades, clearance, gaps, weights) * 1.15)
  })
  it.each<[string, number[], Clearance]>([
    ['a limit that only a stack meets', [0.04, 0.08, 0.1], limits(0.08, 0.12)],
    ['a bare figure that only a stack meets', [0.05, 0.07, 0.15], bare(0.12)],
  ])('with stacks too: %s', (_, blades, clearance) => {
    const { gaps, weights, mean } = ONE_MODEL(clearance)
    const choices = trialStacks(plain(...blades), clearance)
    const use = tried(choices, clearance)
    expect(mean(gap => use(gap).length)).toBeLessThanOrEqual(
      optimum(
        choices.map(c => c.totalMm),
        clearance,
        gaps,
        weights,
      ) * 1.15,
    )
  })
  it('proves an in-spec valve in two trials at most, when the set has blades at both limits', () => {
    for (const clearance of [limits(0.08, 0.12), limits(0.1, 0.14), limits(0.15, 0.2)]) {
      const use = tried(trialStacks(plain(...METRIC_BLADES), clearance), clearance)
      const { minMm, maxMm } = limitsOf(clearance)!
      for (let gap = minMm; gap < maxMm - 1e-9; gap = snapMm(gap + 0.001)) {
        expect(use(gap).length, `gap ${gap}`).toBeLessThanOrEqual(2)
        expect(judge(use(gap), clearance).verdict).toBe('in')
      }
    }
  })
  it('stacks two where no blade meets a limit, and asks for no bent one', () => {
    const set = setOf({ mm: 0.04 }, { mm: 0.08 }, { mm: 0.09, condition: 'bent' }, { mm: 0.15 })
    expect(nextBlade(set, trials([0.08, 'free'], [0.15, 'no-go']), limits(0.08, 0.12))?.stack).toMatchObject({
      engravedMm: [0.08, 0.04],
      totalMm: 0.12,
    })
    expect(trialStacks(set, limits(0.08, 0.12)).some(s => s.doubt)).toBe(false)
  })
  it('a bare figure itself is asked for where a blade just over it was tried first', () => {
    expect(nextBlade(plain(0.1, 0.14, 0.15, 0.2), trials([0.15, 'drag']), bare(0.14))?.stack.totalMm).toBe(0.14)
    expect(
      nextBlade(plain(0.1, 0.14, 0.15, 0.2), trials([0.15, 'drag'], [0.2, 'no-go']), bare(0.14))?.stack.totalMm,
    ).toBe(0.14)
  })
  it('stacks three where two do not meet a limit', () =>
    expect(nextBlade(plain(0.03, 0.04, 0.06), trials([0.1, 'free']), limits(0.1, 0.13))?.stack.engravedMm).toEqual([
      0.06, 0.04, 0.03,
    ]))
  it('asks for a contradicting blade again', () =>
    expect(
      nextBlade(plain(...METRIC_BLADES), trials([0.15, 'free'], [0.1, 'no-go']), limits(0.08, 0.12))?.stack.bladesMm,
    ).toEqual([0.1]))
  it('has nothing to ask of a valve that is in', () =>
    expect(nextBlade(plain(...METRIC_BLADES), trials([0.1, 'drag']), limits(0.08, 0.12))).toBeNull())
  it('takes what a blade off the list of candidates said into account', () => {
    const many = Array.from({ length: 40 }, (_, i) => snapMm(0.03 + i * 0.01))
    expect(nextBlade(plain(...many), trials([0.42, 'free']), limits(0.05, 0.07))?.stack.totalMm).not.toBe(0.05)
  })
})

describe('setting and sets', () => {
  it('sets with the blade whose drag ends in the middle', () => {
    expect(settingBlade(singles(METRIC_BLADES), limits(0.08, 0.12))?.totalMm).toBe(0.09)
    expect(settingBlade(singles([0.05, 0.15]), limits(0.08, 0.12))).toBeNull()
    expect(settingBlade(singles(METRIC_BLADES), bare(0.14))?.totalMm).toBe(0.14)
  })
  it('aims off: with a lock that closes by 0.02 a wider blade, even outside the limits', () => {
    expect(settingBlade(singles(METRIC_BLADES), limits(0.08, 0.12), { aimMm: 0.13, shiftMm: -0.02 })?.totalMm).toBe(
      0.12,
    )
    expect(settingBlade(singles([0.1, 0.12, 0.13]), limits(0.08, 0.11), { aimMm: 0.14, shiftMm: -0.03 })?.totalMm).toBe(
      0.13,
    )
  })
  it.each<[string, Clearance, 'middle' | 'figure' | 'loose-exhaust', 'intake' | 'exhaust', number]>([
    ['the middle', limits(0.08, 0.14), 'middle', 'exhaust', 0.11],
    ['the printed figure', { ...limits(0.08, 0.14), figureMm: 0.1 } as Clearance, 'figure', 'exhaust', 0.1],
    ['an exhaust at its loose end, half a drag inside', limits(0.08, 0.14), 'loose-exhaust', 'exhaust', 0.1325],
    ['the intake stays in the middle', limits(0.08, 0.14), 'loose-exhaust', 'intake', 0.11],
    ['never tighter than the middle', limits(0.1, 0.11), 'loose-exhaust', 'exhaust', 0.105],
    ['a bare figure is itself', bare(0.1), 'loose-exhaust', 'exhaust', 0.1],
  ])('the target: %s', (_, clearance, school, role, mm) => expect(targetOf(clearance, school, role)).toBe(mm))
  it.each([
    [[0.1, 0.1], /twice/],
    [[0.1], /two blades/],
    [[0.1, 3], /Check the unit/],
    [[0, 0.1], /under 0.01/],
  ])('refuses the set %j', (bladesMm, words) => {
    expect(refusal(bladeSetSchema.safeParse({ name: 'A', unit: 'mm', bladesMm }).error?.issues[0]?.message)).toMatch(
      words,
    )
  })
  it.each([
    [{ mm: 0.1, measuredMm: 1.0 }, /Was 0.10 mm meant/],
    [{ mm: 0.1, measuredMm: 0.3 }, /Measure it again/],
    [{ mm: 0.1, stepMm: 0.08 }, /thinner at its tip/],
    [{ mm: 0.1, condition: 'lost' }, /good, bent, worn or missing/],
  ])('refuses the blade %j', (blade, words) => {
    expect(
      refusal(
        bladeSetSchema.safeParse({ name: 'A', unit: 'mm', blades: [{ mm: 0.5 }, blade] }).error?.issues[0]?.message,
      ),
    ).toMatch(words)
  })
  it('keeps a set thinnest first', () =>
    expect(bladeSetSchema.parse({ name: 'A', unit: 'mm', bladesMm: [0.2, 0.1] }).blades.map(b => b.mm)).toEqual([
      0.1, 0.2,
    ]))
})
