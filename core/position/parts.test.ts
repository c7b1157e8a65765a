import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { engineOf } from '../../tests/support/builders'
import { tellEnglish } from '../../words'
import { wrap } from '../engine'
import {
  beliefAfter,
  CELLS,
  crankChance,
  likelyArcs,
  locateMemory,
  nameOfAngle,
  type Noted,
  type Observation,
  observe,
  openBelief,
  positionModel,
  predictive,
  replaces,
  segments,
} from './index'

const model = positionModel(engineOf())
const T = { kind: 'mark', markIndex: 0 } as const
const rocker = (valveId: string, slack: boolean): Observation => ({ kind: 'rocker', valveId, slack })
const noted = (...observations: Observation[]): Noted[] =>
  observations.map((observation, i) => ({ id: `o${i}`, observation }))
const any: fc.Arbitrary<Observation> = fc.oneof(
  fc.constant<Observation>({ kind: 'move', to: T }),
  fc.constant<Observation>({ kind: 'turns', turns: 1, to: T }),
  fc.integer({ min: 10, max: 700 }).map((deg): Observation => ({ kind: 'turn', deg })),
  fc.tuple(fc.constantFrom('intake', 'exhaust'), fc.boolean()).map(([valveId, slack]) => rocker(valveId, slack)),
)

describe('what replaces what', () => {
  it.each<[string, Observation, Observation, boolean]>([
    ['a feel the same feel', rocker('intake', true), rocker('intake', false), true],
    ['not the other valve’s', rocker('intake', true), rocker('exhaust', false), false],
    ['a blade that goes the rocker', { kind: 'blade', valveId: 'intake', went: true }, rocker('intake', false), true],
    [
      'a refused blade not the rocker: the gap may be thinner than the blade',
      { kind: 'blade', valveId: 'intake', went: false },
      rocker('intake', true),
      false,
    ],
    [
      'a blade the blade before',
      { kind: 'blade', valveId: 'intake', went: true },
      { kind: 'blade', valveId: 'intake', went: false },
      true,
    ],
  ])('%s', (_, later, earlier, wanted) => expect(replaces(later, earlier)).toBe(wanted))
  it('a rocker felt after a blade went says nothing new', () => {
    expect(
      segments(noted({ kind: 'blade', valveId: 'intake', went: true }, rocker('intake', true)))[0]!.answers,
    ).toHaveLength(1)
  })
  it('a turned crank keeps both: they were felt at two places', () => {
    expect(
      segments(noted(rocker('intake', true), { kind: 'turn', deg: 90 }, rocker('intake', true))).map(
        s => s.answers.length,
      ),
    ).toEqual([1, 1])
  })
})

describe('the belief', () => {
  it('starts even over the cycle', () => {
    const chance = crankChance(openBelief(model))
    expect(Math.max(...chance) - Math.min(...chance)).toBeLessThan(1e-12)
  })
  it('is updated by Bayes’ rule: posterior = prior × likelihood / predictive, cell by cell', () => {
    const before = observe(model, openBelief(model), { kind: 'move', to: T })
    const answer = rocker('exhaust', true)
    const after = observe(model, before, answer)
    const evidence = predictive(model, before, answer)
    const other = observe(model, before, rocker('exhaust', false))
    // slack and no play are the two ways it can come out: weighted by their chances they give the prior back
    for (let i = 0; i < before.mass.length; i += 37)
      expect(evidence * after.mass[i]! + (1 - evidence) * other.mass[i]!).toBeCloseTo(before.mass[i]!, 12)
  })
  it('turning the crank does not tell of the valves', () =>
    fc.assert(
      fc.property(fc.array(any, { maxLength: 6 }), fc.integer({ min: 1, max: 720 }), (said, deg) => {
        const belief = beliefAfter(model, noted(...said))
        const turned = observe(model, belief, { kind: 'turn', deg })
        model.hypotheses.forEach((_, h) => {
          const share = (mass: Float64Array) => mass.slice(h * CELLS, (h + 1) * CELLS).reduce((a, b) => a + b, 0)
          expect(share(turned.mass)).toBeCloseTo(share(belief.mass), 9)
        })
      }),
      { numRuns: 25 },
    ))
  it('a blur of a whole cycle loses nothing of the whole', () => {
    const belief = beliefAfter(
      model,
      noted({ kind: 'move', to: T }, { kind: 'turn', deg: 360 }, { kind: 'turn', deg: 360 }),
    )
    const chance = crankChance(belief)
    expect(chance.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9)
  })
  it('snapshots never change an answer, whatever is taken back and said again', () => {
    const memory = locateMemory()
    fc.assert(
      fc.property(fc.array(any, { minLength: 1, maxLength: 8 }), fc.integer({ min: 0, max: 7 }), (said, gone) => {
        const list = said.map((observation, i) => ({ id: JSON.stringify([i, observation]), observation }))
        const less = list.filter((_, i) => i !== gone)
        beliefAfter(model, list, memory)
        expect([...beliefAfter(model, less, memory).mass]).toEqual([...beliefAfter(model, less).mass])
      }),
      { numRuns: 30 },
    )
  })
  it('what Undo goes back to is at hand however much was foreseen meanwhile', () => {
    const memory = locateMemory()
    const given = noted({ kind: 'move', to: T }, rocker('intake', true), rocker('exhaust', true), {
      kind: 'turn',
      deg: 360,
    })
    const onTheWay = given.map((_, i) => beliefAfter(model, given.slice(0, i + 1), memory))
    for (let deg = 1; deg <= 300; deg++)
      beliefAfter(model, [...given, { id: 'foreseen', observation: { kind: 'turn', deg } }], memory)
    for (const [i, belief] of onTheWay.entries()) expect(beliefAfter(model, given.slice(0, i + 1), memory)).toBe(belief)
  })
  it('a screw that was set gives its valve clearance in every set', () => {
    const belief = observe(model, openBelief(model), { kind: 'screw-set', valveId: 'exhaust' })
    model.hypotheses.forEach((hypothesis, h) => {
      const share = belief.mass.slice(h * CELLS, (h + 1) * CELLS).reduce((a, b) => a + b, 0)
      if (hypothesis.noClearance.includes(1)) expect(share).toBe(0)
    })
    expect(belief.mass.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9)
  })
})

describe('the likely arcs', () => {
  it('are the fewest cells that hold the share asked for, and hold it', () =>
    fc.assert(
      fc.property(fc.array(any, { minLength: 1, maxLength: 6 }), fc.constantFrom(0.5, 0.9, 0.95), (said, level) => {
        const belief = beliefAfter(model, noted({ kind: 'move', to: T }, ...said))
        const chance = crankChance(belief)
        const arcs = likelyArcs(model.engine, belief, level)
        const held = arcs.reduce((sum, a) => sum + a.probability, 0)
        expect(held).toBeGreaterThanOrEqual(level - 1e-9)
        const cells = arcs.reduce((sum, a) => sum + a.sweepDeg * 2, 0)
        // brute force: how many of the likeliest cells are needed
        let sum = 0
        const needed = [...chance].sort((a, b) => b - a).findIndex(c => (sum += c) >= level - 1e-12) + 1
        expect(cells).toBe(needed)
      }),
      { numRuns: 30 },
    ))
  it('turn with the crank: 90° on, they lie 90° on', () => {
    const from = beliefAfter(model, noted({ kind: 'move', to: T }, rocker('intake', true), rocker('exhaust', true)))
    const [a] = likelyArcs(model.engine, from)
    const [b] = likelyArcs(model.engine, observe(model, from, { kind: 'turn', deg: 90 }))
    expect(Math.abs(wrap(b!.peakDeg - a!.peakDeg) - 90)).toBeLessThanOrEqual(0.5)
  })
  it.each([
    [0, 'compression TDC'],
    [718, 'compression TDC'],
    [361, 'exhaust TDC'],
    [34.3, '34° past compression TDC'],
    [346, '14° before exhaust TDC'],
  ])('%d° is called %s', (deg, name) => expect(tellEnglish(nameOfAngle(engineOf(), deg))).toBe(name))
})
