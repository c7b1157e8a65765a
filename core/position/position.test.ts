import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { engineOf } from '../../tests/support/builders'
import { twinOf } from '../../tests/support/engines'
import { tellEnglish } from '../../words'
import { type Place, valveLift, wrap } from '../engine'
import { topPlace } from '../stops'
import {
  adviseNext,
  CELLS,
  crankChance,
  locate,
  locateMemory,
  NO_CLEARANCE_PRIOR,
  type Noted,
  type Observation,
  positionModel,
} from './index'

const T: Place = { kind: 'mark', markIndex: 0 }
const rocker = (valveId: string, slack: boolean): Observation => ({ kind: 'rocker', valveId, slack })
const noted = (...observations: Observation[]): Noted[] =>
  observations.map((observation, i) => ({ id: `o${i}`, observation }))
const plain = positionModel(engineOf())
const look = (model: typeof plain, ...observations: Observation[]) => {
  const list = noted(...observations)
  const position = locate(model, list)
  return { position, advice: adviseNext(model, position, list), peak: position.peakDeg }
}
const toT: Observation = { kind: 'move', to: T }
const oneTurn: Observation = { kind: 'turns', turns: 1, to: T }

describe('belief', () => {
  it('sums to one, whatever is answered in whatever order', () => {
    const any = fc.oneof(
      fc.constant(toT),
      fc.constant(oneTurn),
      fc.constant<Observation>({ kind: 'lost' }),
      fc.record({ kind: fc.constant('turn' as const), deg: fc.integer({ min: 0, max: 720 }) }),
      fc.record({
        kind: fc.constant('rocker' as const),
        valveId: fc.constantFrom('intake', 'exhaust'),
        slack: fc.boolean(),
      }),
      fc.record({
        kind: fc.constant('blade' as const),
        valveId: fc.constantFrom('intake', 'exhaust'),
        went: fc.boolean(),
      }),
      fc.constant<Observation>({ kind: 'seen', place: T }),
    )
    fc.assert(
      fc.property(fc.array(any, { maxLength: 12 }), observations => {
        expect(locate(plain, noted(...observations)).belief.mass.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9)
      }),
      { numRuns: 40 },
    )
  })
  it('the order of answers at one place does not matter', () => {
    const a = look(plain, toT, rocker('intake', true), rocker('exhaust', false)).position.belief.mass
    const b = look(plain, toT, rocker('exhaust', false), rocker('intake', true)).position.belief.mass
    expect(Math.max(...a.map((v, i) => Math.abs(v - b[i]!)))).toBeLessThan(1e-12)
  })
  it('the same answer again, without a turn between, changes nothing', () => {
    const once = look(plain, toT, rocker('intake', true)).position.belief.mass
    const thrice = look(plain, toT, rocker('intake', false), rocker('intake', true), rocker('intake', true)).position
      .belief.mass
    expect([...thrice]).toEqual([...once])
  })
  it('snapshots give what folding from the start gives', () => {
    const memory = locateMemory()
    const list = noted(
      toT,
      rocker('intake', true),
      rocker('exhaust', false),
      oneTurn,
      rocker('intake', false),
      rocker('exhaust', false),
      oneTurn,
    )
    for (let n = 0; n <= list.length; n++) locate(plain, list.slice(0, n), { memory })
    const undone = [...list.slice(0, 2), ...list.slice(3)]
    expect([...locate(plain, undone, { memory }).belief.mass]).toEqual([...locate(plain, undone).belief.mass])
  })
  it('agrees with enumeration by hand of feel after T', () => {
    // two places, four sets of valves without clearance, the model's own feel chances, written out
    const zero = NO_CLEARANCE_PRIOR
    const open = (role: 'intake' | 'exhaust', deg: number) => valveLift(plain.engine, role, deg)
    const slack = (role: 'intake' | 'exhaust', deg: number, none: boolean) =>
      none ? 0.02 : open(role, deg) === 0 ? 0.97 : open(role, deg) < 1 ? 0.5 : 0.01
    // near T only: the shares of F and “anywhere” are left out, so the check is to two places
    const weight = (deg: number) =>
      [
        [0, 0],
        [0, 1],
        [1, 0],
        [1, 1],
      ].reduce(
        (sum, [i, e]) =>
          sum +
          (i ? zero.intake : 1 - zero.intake) *
            (e ? zero.exhaust : 1 - zero.exhaust) *
            slack('intake', deg, !!i) *
            (1 - slack('exhaust', deg, !!e)),
        0,
      )
    const [here, there] = [weight(0), weight(360)]
    const chance = crankChance(look(plain, toT, rocker('intake', true), rocker('exhaust', false)).position.belief)
    const half = (from: number) => {
      let s = 0
      for (let i = 0; i < CELLS; i++) if (Math.abs(((i * 0.5 - from + 1080) % 720) - 360) < 8) s += chance[i]!
      return s
    }
    expect(half(0) / (half(0) + half(360))).toBeCloseTo(here / (here + there), 1)
  })
})

describe('settling', () => {
  it('both slack at T is compression TDC, without a further turn', () => {
    const { position, advice, peak } = look(plain, toT, rocker('intake', true), rocker('exhaust', true))
    expect(position.standing.kind).toBe('settled')
    expect(Math.min(peak, 720 - peak)).toBeLessThan(2)
    expect(advice.kind).toBe('settled')
  })
  it('T alone settles nothing: it shows on both strokes', () => {
    const { position } = look(plain, toT)
    expect(position.standing.kind).toBe('open')
    expect(
      position.arcs
        .slice(0, 2)
        .map(a => tellEnglish(a.name))
        .sort(),
    ).toEqual(['compression TDC', 'exhaust TDC'])
    expect(position.closed.intake).toBeCloseTo(0.5, 1)
  })
  it('no play at both: known, and the stop is one turn on', () => {
    const { position, advice } = look(plain, toT, rocker('intake', false), rocker('exhaust', false))
    expect(position.standing).toMatchObject({ kind: 'elsewhere' })
    expect(advice).toMatchObject({ kind: 'move', turns: 1, to: T })
  })
  it('nothing answered since the crank moved by hand is not settled', () => {
    expect(
      look(plain, toT, rocker('intake', true), rocker('exhaust', true), { kind: 'turn', deg: 720 }).position.standing
        .kind,
    ).not.toBe('settled')
  })
  it('a lost place is lost, but not what is known of the valves', () => {
    const { position } = look(
      plain,
      toT,
      rocker('intake', true),
      rocker('exhaust', true),
      { kind: 'blade', valveId: 'exhaust', went: true },
      { kind: 'lost' },
    )
    expect(tellEnglish(position.arcs[0]!.name)).toBe('anywhere')
    expect(position.noClearance.exhaust).toBeLessThan(0.002)
  })
  it('names its arcs as people do, and covers what was asked', () => {
    const { position } = look(plain, toT, rocker('intake', true), rocker('exhaust', true))
    expect(tellEnglish(position.arcs[0]!.name)).toBe('compression TDC')
    const all = locate(plain, noted(toT), { level: 0.9 }).arcs.reduce((sum, a) => sum + a.probability, 0)
    expect(all).toBeGreaterThanOrEqual(0.9)
    expect(all).toBeLessThan(0.99)
  })
})

describe('the order of moves', () => {
  it('unknown: turn to T, or to the piston’s top where there is no mark', () => {
    expect(look(plain).advice).toMatchObject({ kind: 'move', to: T, why: 'start' })
    expect(look(positionModel(engineOf({ marks: [] }))).advice).toMatchObject({
      to: topPlace(engineOf({ marks: [] }), 'only'),
    })
  })
  it('T, unfelt: feel both', () =>
    expect(look(plain, toT).advice).toEqual({ kind: 'feel', valveIds: ['intake', 'exhaust'], why: 'which stroke' }))
  it('one felt: feel the other', () =>
    expect(look(plain, toT, rocker('intake', true)).advice).toMatchObject({ valveIds: ['exhaust'] }))
  it('one of each, no decompressor: one turn on', () =>
    expect(look(plain, toT, rocker('intake', true), rocker('exhaust', false)).advice).toMatchObject({
      kind: 'move',
      turns: 1,
      why: 'one has play',
    }))
  it.each([{ kind: 'unknown' }, { kind: 'arc', role: 'exhaust', fromDeg: -120, toDeg: 10 }] as const)(
    'one of each, decompressor $kind: 6 mm past top first, feel again, and only then another top',
    decompressor => {
      const model = positionModel(engineOf({ decompressor }))
      const atT = [toT, rocker('intake', true), rocker('exhaust', false)]
      const past: Observation = { kind: 'move', to: { kind: 'rod-drop', cylinderId: 'only', dropMm: 6 } }
      expect(look(model, ...atT).advice).toMatchObject({ kind: 'move', to: { kind: 'rod-drop', dropMm: 6 } })
      expect(look(model, ...atT, past).advice).toMatchObject({ kind: 'feel', why: 'decompressor or clearance' })
      const let_go = look(model, ...atT, past, rocker('intake', true), rocker('exhaust', true))
      expect(let_go.position.standing.kind).toBe('settled')
      expect(let_go.position.noClearance.exhaust).toBeLessThan(0.01)
    },
  )
  it('a decompressor at T is not taken for a valve without clearance', () => {
    const model = positionModel(engineOf({ decompressor: { kind: 'arc', role: 'exhaust', fromDeg: -120, toDeg: 10 } }))
    expect(
      look(model, toT, rocker('intake', true), rocker('exhaust', false)).position.noClearance.exhaust,
    ).toBeLessThan(0.5)
  })
  it('both slack at T does not exclude an unknown decompressor: the exhaust is read past top', () => {
    const { position, advice } = look(
      positionModel(engineOf({ decompressor: { kind: 'unknown' } })),
      toT,
      rocker('intake', true),
      rocker('exhaust', true),
    )
    expect(position.standing.kind).not.toBe('settled')
    expect(advice).toMatchObject({ kind: 'move', to: { kind: 'rod-drop' } })
  })
  it('no play at both tops: watch the intake, which settles it with two valves without clearance', () => {
    const none = [rocker('intake', false), rocker('exhaust', false)]
    const twice = [toT, ...none, oneTurn, ...none]
    expect(look(plain, ...twice).advice).toMatchObject({ kind: 'watch', to: T, why: 'no play anywhere' })
    const watched = look(plain, ...twice, { kind: 'watched', cylinderId: 'only', to: T })
    expect(watched.position.standing.kind).toBe('settled')
    expect(Math.min(watched.peak, 720 - watched.peak)).toBeLessThan(2)
    expect(watched.position.noClearance.intake).toBeGreaterThan(0.5)
  })
  it('the thinnest blades refused at a stop that rests on a turn send the mechanic back to find, before any screw', () => {
    const refused = (valveId: string): Observation => ({ kind: 'blade', valveId, went: false })
    const { position } = look(
      plain,
      toT,
      rocker('intake', false),
      rocker('exhaust', false),
      oneTurn,
      refused('intake'),
      refused('exhaust'),
    )
    expect(position.standing.kind).not.toBe('settled')
  })
})

describe('moves keep the stroke', () => {
  it.each([
    [0, 1, 360],
    [0, 2, 0],
    [360, 1, 0],
  ])('from %d°, %d turns end at %d°', (from, turns, end) => {
    const start =
      from === 0
        ? [toT, rocker('intake', true), rocker('exhaust', true)]
        : [toT, rocker('intake', false), rocker('exhaust', false)]
    const { peak } = look(plain, ...start, { kind: 'turns', turns, to: T })
    expect(Math.min(wrap(peak - end), wrap(end - peak))).toBeLessThan(2)
  })
  it('the watched intake tells the stroke from anywhere', () => {
    const { position } = look(plain, { kind: 'watched', cylinderId: 'only', to: T })
    expect(position.closed.intake).toBeGreaterThan(0.99)
    expect(position.closed.exhaust).toBeGreaterThan(0.99)
  })
  it('a known turn shifts and blurs: a turn of 90° from T is about 90°, less sharply', () => {
    const { peak, position } = look(plain, toT, rocker('intake', true), rocker('exhaust', true), {
      kind: 'turn',
      deg: 90,
    })
    expect(Math.abs(peak - 90)).toBeLessThan(1)
    expect(position.arcs[0]!.sweepDeg).toBeGreaterThan(
      look(plain, toT, rocker('intake', true), rocker('exhaust', true)).position.arcs[0]!.sweepDeg,
    )
  })
})

describe('clashes', () => {
  const known = [
    toT,
    rocker('intake', true),
    rocker('exhaust', true),
    { kind: 'blade', valveId: 'intake', went: true } as const,
    { kind: 'blade', valveId: 'exhaust', went: true } as const,
  ]
  it('a wrong answer is named with the turn or feel that it does not fit', () => {
    const { position } = look(plain, ...known, oneTurn, rocker('intake', true))
    expect(position.clash?.newest.map(n => n.observation)).toEqual([rocker('intake', true)])
    expect(position.clash?.against.length).toBeGreaterThan(0)
  })
  it('a first mark never clashes, however improbable in itself', () =>
    expect(look(plain, toT).position.clash).toBeNull())
  it('answers that fit do not clash', () =>
    expect(look(plain, ...known, oneTurn, rocker('intake', false), rocker('exhaust', false)).position.clash).toBeNull())
})

describe('on several cylinders', () => {
  const noPlay = (side: string) => [rocker(`${side}-intake`, false), rocker(`${side}-exhaust`, false)]
  const slack = (side: string) => [rocker(`${side}-intake`, true), rocker(`${side}-exhaust`, true)]
  it('no play at both on a 360° twin settles the other cylinder: no needless turn', () => {
    const { position, advice } = look(positionModel(twinOf(360)), toT, ...noPlay('l'))
    expect(advice).toEqual({ kind: 'settled' })
    expect(position.standing).toMatchObject({ kind: 'settled', stop: { crankDeg: 360 } })
    expect(tellEnglish(position.arcs[0]!.name)).toBe('Right, compression TDC')
  })
  it('on a 180° twin it does not: the other cylinder is half a turn away, and how far it is is said', () => {
    const { advice } = look(positionModel(twinOf(180)), toT, ...slack('l'))
    expect(advice).toEqual({ kind: 'settled' })
    const model = positionModel(twinOf(180))
    const list = noted(toT, ...slack('l'))
    expect(adviseNext(model, locate(model, list), list, stop => stop.crankDeg === 180)).toMatchObject({
      kind: 'move',
      to: { kind: 'mark', markIndex: 1 },
      turnDeg: 180,
      why: 'stop is elsewhere',
    })
  })
  it('back from there it is one and a half turns on, T L the second time', () => {
    const model = positionModel(twinOf(180))
    const list = noted(toT, ...slack('l'), { kind: 'move', to: { kind: 'mark', markIndex: 1 } }, ...slack('r'))
    expect(adviseNext(model, locate(model, list), list, stop => stop.crankDeg === 0)).toMatchObject({
      kind: 'move',
      to: T,
      times: 2,
      turnDeg: 540,
    })
  })
  it('nothing known: on to the school’s first place, without a figure of degrees that nobody knows', () => {
    expect(look(positionModel(twinOf(270))).advice).toMatchObject({ kind: 'move', to: T, turnDeg: null, why: 'start' })
    expect(look(positionModel(twinOf(360), 'partner')).advice).toMatchObject({ kind: 'move', turnDeg: null })
  })
  it('the same turn made twice in vain gives way to watching, so that it does not go round for ever', () => {
    // answers that fit nothing: one of each at each T, round and round
    const odd = [
      rocker('l-intake', true),
      rocker('l-exhaust', false),
      rocker('r-intake', true),
      rocker('r-exhaust', false),
    ]
    const { advice } = look(positionModel(twinOf(360)), toT, ...odd, oneTurn, ...odd, oneTurn, ...odd)
    expect(advice.kind).toBe('watch')
  })
  it('a decompressor is excluded before a valve is said to have no clearance', () => {
    const model = positionModel(twinOf(270, { decompressor: { kind: 'unknown' } }), 'marks')
    const { position } = look(model, toT, rocker('l-intake', true), rocker('l-exhaust', false))
    expect(position.standing.kind).not.toBe('settled')
  })
  it('a single in which only one valve moves at T is weighed as its table says, by each school that starts at a top', () => {
    for (const school of ['marks', 'rod'] as const)
      expect(
        look(positionModel(engineOf(), school), toT, rocker('intake', true), rocker('exhaust', false)).advice,
      ).toMatchObject({ kind: 'move', turns: 1 })
  })
})

describe('schools at work', () => {
  it('watching: the intake is watched first, whatever else could be felt', () =>
    expect(look(positionModel(engineOf(), 'watching')).advice).toMatchObject({ kind: 'watch', why: 'by school' }))
  it('cam signs: the sign settles it by itself', () => {
    const model = positionModel(engineOf({ camMarks: [{ words: 'the dots face', angleDeg: 0 }] }), 'cam-signs')
    const sign: Place = { kind: 'cam-mark', camMarkIndex: 0 }
    expect(look(model).advice).toMatchObject({ kind: 'move', to: sign })
    expect(look(model, { kind: 'move', to: sign }).advice).toEqual({ kind: 'settled' })
  })
  it('exhaust opens: the intake may be measured there and nowhere said of the exhaust', () => {
    const model = positionModel(engineOf(), 'exhaust-opens')
    const { position } = look(model, {
      kind: 'move',
      to: { kind: 'valve', valveId: 'exhaust', sight: 'starts to open' },
    })
    expect(position.standing).toMatchObject({ kind: 'settled', stop: { valves: [{ valveId: 'intake' }] } })
    expect(position.closed.exhaust).toBeLessThan(0.1)
  })
})
