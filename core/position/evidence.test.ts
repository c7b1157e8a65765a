import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { engineOf } from '../../tests/support/builders'
import { twinOf } from '../../tests/support/engines'
import { type Engine, pistonDrop, type Place } from '../engine'
import {
  cellOf,
  crankChance,
  likelihoodOf,
  locate,
  type Noted,
  type Observation,
  observe,
  openBelief,
  type PositionModel,
  positionModel,
  predictive,
  questions,
} from '.'

const noted = (...observations: Observation[]): Noted[] =>
  observations.map((observation, i) => ({ id: `o${i}`, observation }))
const T: Place = { kind: 'mark', markIndex: 0 }
const onT: Observation = { kind: 'move', to: T }
const rocker = (valveId: string, slack: boolean): Observation => ({ kind: 'rocker', valveId, slack })
/** How well an observation fits the crank at an angle, without a decompressor or with it at work. */
const models = new Map<Engine, PositionModel>()
function fits(engine: Engine, o: Observation, deg: number, decompressor: 0 | 1 = 0): number {
  if (!models.has(engine)) models.set(engine, positionModel(engine))
  return likelihoodOf(models.get(engine)!, o)!.usual[decompressor][cellOf(deg)]!
}
const held = { kind: 'arc', role: 'exhaust', fromDeg: -120, toDeg: 10, cylinderId: null } as const

describe('what each thing seen or felt says of the crank', () => {
  const single = engineOf()
  it.each<[string, Observation, number, number, number]>([
    // rates by common practice or from memory, as judged for a cam of 10/45/45/10 at 1 mm
    ['slack on the base circle', rocker('intake', true), 0, 0.97, 0],
    ['slack on a ramp', rocker('intake', true), 330, 0.5, 0],
    ['slack with the valve open', rocker('intake', true), 470, 0.01, 0],
    ['no play with the valve open', rocker('intake', false), 470, 0.99, 0],
    ['play under a decompressor', rocker('exhaust', true), -50, 0.01, 1],
    ['play where a decompressor is letting go', rocker('exhaust', true), 0, 0.5, 1],
    ['push-rods level, both closed', { kind: 'push-rods', cylinderId: 'only', level: true }, 0, 0.95, 0],
    [
      'push-rods level in overlap, both raised alike',
      { kind: 'push-rods', cylinderId: 'only', level: true },
      360,
      0.25,
      0,
    ],
    ['push-rods level with one raised', { kind: 'push-rods', cylinderId: 'only', level: true }, 470, 0.05, 0],
    ['crank rocked, valves still, both closed', { kind: 'rocked', cylinderId: 'only', still: true }, 0, 0.95, 0],
    ['crank rocked, valves still, in overlap', { kind: 'rocked', cylinderId: 'only', still: true }, 360, 0.05, 0],
    ['pressure coming up to compression', { kind: 'thumb', cylinderId: 'only', pressure: true }, 0, 0.9, 0],
    ['pressure with a decompressor', { kind: 'thumb', cylinderId: 'only', pressure: true }, 0, 0.5, 1],
    ['pressure coming up to exhaust', { kind: 'thumb', cylinderId: 'only', pressure: true }, 360, 0.05, 0],
  ])('%s', (_, observation, deg, chance, decompressor) => {
    const engine = decompressor ? engineOf({ decompressor: held }) : single
    expect(fits(engine, observation, deg, decompressor as 0 | 1)).toBeCloseTo(chance, 2)
  })
  it('the two answers of a question are the whole of it', () =>
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 719 }), deg => {
        for (const of of [
          (yes: boolean): Observation => ({ kind: 'rocked', cylinderId: 'only', still: yes }),
          (yes: boolean): Observation => rocker('exhaust', yes),
        ])
          expect(fits(single, of(true), deg) + fits(single, of(false), deg)).toBeCloseTo(1, 9)
      }),
    ))
  it('a line may be the wrong one: F is taken for T now and then, and the other side hardly ever', () => {
    const seen: Observation = { kind: 'seen', place: T }
    expect(fits(single, seen, 346) / fits(single, seen, 0)).toBeGreaterThan(0.02)
    expect(fits(single, seen, 346) / fits(single, seen, 0)).toBeLessThan(0.05)
    expect(fits(single, seen, 180) / fits(single, seen, 0)).toBeLessThan(0.005)
    expect(fits(single, seen, 360)).toBeCloseTo(fits(single, seen, 0), 12)
  })
  it('the rod is exact where the piston hurries and vague where it dwells', () => {
    const top: Observation = { kind: 'seen', place: { kind: 'piston-top', cylinderId: 'only' } }
    // 0.1 mm off top is about 4° each way on this crank (Heywood's slider-crank, by its own formula)
    expect(pistonDrop(single, 4.2)).toBeCloseTo(0.1, 2)
    expect(fits(single, top, 4) / fits(single, top, 0)).toBeGreaterThan(0.5)
    const down: Observation = { kind: 'seen', place: { kind: 'rod-drop', cylinderId: 'only', dropMm: 6 } }
    expect(fits(single, down, 33.3)).toBeGreaterThan(10 * fits(single, down, -33.3))
  })
  it('a cam sign tells the stroke by itself', () => {
    const engine = engineOf({ camMarks: [{ words: 'the two dots face each other', angleDeg: 0 }] })
    const o: Observation = { kind: 'seen', place: { kind: 'cam-mark', camMarkIndex: 0 } }
    expect(fits(engine, o, 0)).toBeGreaterThan(50 * fits(engine, o, 360))
    expect(locate(positionModel(engine), noted(o)).standing).toMatchObject({ kind: 'settled' })
  })
  it.each([
    ['starts to open', 345],
    ['fully open', 467.5],
    ['just closed', 600],
    ['open', 480],
  ] as const)('an intake that %s is seen about %d°, and not a turn from there', (sight, deg) => {
    const o: Observation = { kind: 'seen', place: { kind: 'valve', valveId: 'intake', sight } }
    expect(fits(single, o, deg)).toBeGreaterThan(10 * fits(single, o, deg + 360))
  })
})

describe('the engine as a whole', () => {
  it('where every cylinder fires an angle later, the belief lies that angle later', () =>
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1439 }), fc.boolean(), fc.boolean(), (halfDeg, a, b) => {
        const by = halfDeg / 2
        const at = (deg: number) =>
          twinOf(270, {
            cylinders: [
              { id: 'l', name: 'Left', firingAngleDeg: deg % 720 },
              { id: 'r', name: 'Right', firingAngleDeg: (deg + 270) % 720 },
            ],
            marks: [{ letter: 'T', angleDeg: deg % 360, kind: 'top' }],
          })
        const said = noted(
          onT,
          rocker('l-intake', a),
          rocker('r-exhaust', b),
          { kind: 'turn', deg: 90 },
          { kind: 'rocked', cylinderId: 'r', still: a },
        )
        const still = crankChance(locate(positionModel(at(0)), said).belief)
        const turned = crankChance(locate(positionModel(at(by)), said).belief)
        for (const cell of [0, 137, 700, 1200]) expect(turned[cellOf(cell / 2 + by)]).toBeCloseTo(still[cell]!, 6)
      }),
      { numRuns: 12 },
    ))
  it('agrees with enumeration: every angle and set of valves weighed by hand, on a twin', () => {
    const engine = twinOf(180, { decompressor: { kind: 'none' } })
    const model = positionModel(engine)
    const said = [
      rocker('l-intake', true),
      rocker('l-exhaust', false),
      rocker('r-intake', false),
      rocker('r-exhaust', true),
    ]
    // priors and rates from memory; base circles of the default cam, written out here and not taken from the core
    const prior = (id: string) => (id.endsWith('intake') ? 0.04 : 0.08)
    const slack = (id: string, deg: number) => {
      const local = (((deg - (id.startsWith('r') ? 180 : 0)) % 720) + 720) % 720
      const [from, to] = id.endsWith('intake') ? [320, 615] : [105, 400]
      if (local < from || local >= to) return 0.97
      return local < from + 30 || local >= to - 30 ? 0.5 : 0.01
    }
    const ids = ['l-intake', 'l-exhaust', 'r-intake', 'r-exhaust']
    const answers = [true, false, false, true]
    const weights = Array.from({ length: 1440 }, (_, cell) => {
      let sum = 0
      for (let set = 0; set < 16; set++) {
        const none = ids.filter((_, i) => set & (1 << i))
        if (none.length > 2) continue
        sum += ids.reduce((p, id, i) => {
          const play = none.includes(id) ? 0.02 : slack(id, cell / 2)
          return p * (none.includes(id) ? prior(id) : 1 - prior(id)) * (answers[i] ? play : 1 - play)
        }, 1)
      }
      return sum
    })
    const total = weights.reduce((a, b) => a + b, 0)
    const chance = crankChance(locate(model, noted(...said)).belief)
    for (let cell = 0; cell < 1440; cell += 7) expect(chance[cell]).toBeCloseTo(weights[cell]! / total, 9)
  })
})

describe('turned back', () => {
  const model = positionModel(engineOf())
  const known = [onT, rocker('intake', true), rocker('exhaust', true)]
  it('what hangs on the cam says nothing until 30° forward have been turned', () => {
    const back = locate(model, noted(...known, { kind: 'turn', deg: -40 }))
    const felt = locate(model, noted(...known, { kind: 'turn', deg: -40 }, rocker('intake', false)))
    expect(felt.belief.mass).toEqual(back.belief.mass)
    expect(felt).toMatchObject({ lashDeg: 30, standing: { kind: 'open' }, clash: null })
    const forward = noted(...known, { kind: 'turn', deg: -40 }, { kind: 'turn', deg: 40 })
    expect(locate(model, forward).lashDeg).toBe(0)
  })
  it('nothing is settled until then, however sure the place', () => {
    expect(locate(model, noted(...known, { kind: 'turn', deg: -5 }, { kind: 'seen', place: T })).standing.kind).toBe(
      'open',
    )
  })
})

describe('what would tell most now', () => {
  const engine = twinOf(360, { layout: 'push-rods' })
  const model = positionModel(engine)
  const offered = (...o: Observation[]) => {
    const list = noted(...o)
    return questions(model, locate(model, list).belief, list)
  }
  it('at T the rockers tell, and T itself tells nothing more', () => {
    const list = offered(onT)
    expect(list[0]?.bits).toBeGreaterThan(0.5)
    const pointer = list.find(q => q.kind === 'at the pointer')
    expect(pointer?.bits ?? 0).toBeLessThan(list[0]!.bits / 2)
  })
  it('what was answered here is not asked again, but is after a turn', () => {
    const asks = (...o: Observation[]) =>
      offered(...o).some(q => q.kind === 'rocker' && q.valveId === 'l-intake' && q.answered === null)
    expect(asks(onT)).toBe(true)
    expect(asks(onT, rocker('l-intake', true))).toBe(false)
    expect(asks(onT, rocker('l-intake', true), onT)).toBe(true)
  })
  it('push-rods are offered where there are some', () => {
    expect(offered(onT).some(q => q.kind === 'push-rods')).toBe(true)
    const cam = positionModel(twinOf(360))
    expect(questions(cam, openBelief(cam), []).some(q => q.kind === 'push-rods')).toBe(false)
  })
  it('the bits of a rocker are what its two answers bring on average', () => {
    // Cover and Thomas, Elements of Information Theory, ch. 2: I = E[D(posterior ‖ prior)], over which valves are
    // closed and which have no clearance
    const before = locate(model, noted(onT)).belief
    const classes = (mass: Float64Array) => {
      const sums = new Map<string, number>()
      model.hypotheses.forEach((h, i) => {
        for (let cell = 0; cell < 1440; cell++) {
          const key = `${i} ${model.closed.map(table => table[h.decompressor][cell]).join('')}`
          sums.set(key, (sums.get(key) ?? 0) + mass[i * 1440 + cell]!)
        }
      })
      return sums
    }
    const prior = classes(before.mass)
    const expected = [true, false]
      .map(slack => rocker('l-exhaust', slack))
      .reduce((sum, a) => {
        let bits = 0
        for (const [key, p] of classes(observe(model, before, a).mass))
          if (p > 1e-12) bits += p * Math.log2(p / prior.get(key)!)
        return sum + predictive(model, before, a) * bits
      }, 0)
    const asked = offered(onT).find(q => q.kind === 'rocker' && q.valveId === 'l-exhaust')!
    expect(asked.bits).toBeCloseTo(expected, 2)
  })
})
