import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { engineOf } from '../../tests/support/builders'
import { tellEnglish } from '../../words'
import { refusal } from '../../words/refusal'
import {
  angleForDrop,
  type Arc,
  baseCircle,
  clearanceSchema,
  closedArcs,
  CYCLE_DEG,
  engineSchema,
  firingIntervalName,
  inArc,
  marksAt,
  pistonDrop,
  signedWay,
  spareInArc,
  subtractArc,
  upcastEngine,
  valveEvents,
  valveLift,
  wrap,
} from './index'

const angle = fc.double({ min: -5000, max: 5000, noNaN: true })

describe('angles on the circle', () => {
  it.each([
    [0, 0],
    [-0, 0],
    [720, 0],
    [-720, 0],
    [-1e-18, 0],
    [719.9999, 719.9999],
    [1080, 360],
    [-10, 710],
  ])('wraps %d to %d', (given, wanted) => {
    expect(Object.is(wrap(given), -0)).toBe(false)
    expect(wrap(given)).toBe(wanted)
  })
  it('stays in [0, 720)', () => fc.assert(fc.property(angle, deg => wrap(deg) >= 0 && wrap(deg) < CYCLE_DEG)))
  it('the way there and back cancel', () =>
    fc.assert(
      fc.property(angle, angle, (a, b) => {
        const way = signedWay(a, b)
        expect(way > -360 && way <= 360).toBe(true)
        expect(Math.abs(signedWay(wrap(a + way), b))).toBeLessThan(1e-6)
      }),
    ))
  it('NaN is not made into an angle', () => expect(wrap(Number.NaN)).toBeNaN())
})

describe('arcs', () => {
  const arc = fc.record({ startDeg: fc.integer({ min: 0, max: 719 }), sweepDeg: fc.integer({ min: 0, max: 720 }) })
  it('subtraction keeps just what is in the one and not in the other', () =>
    fc.assert(
      fc.property(arc, arc, fc.integer({ min: 0, max: 719 }), (from, cut, deg) => {
        const point = deg + 0.5
        const kept = subtractArc(from, cut).some(piece => inArc(piece, point))
        expect(kept).toBe(inArc(from, point) && !inArc(cut, point))
      }),
    ))
  it.each<[string, Arc, Arc, Arc[]]>([
    [
      'nothing from the whole',
      { startDeg: 0, sweepDeg: 720 },
      { startDeg: 5, sweepDeg: 0 },
      [{ startDeg: 0, sweepDeg: 720 }],
    ],
    ['the whole', { startDeg: 10, sweepDeg: 50 }, { startDeg: 0, sweepDeg: 720 }, []],
    [
      'the middle',
      { startDeg: 700, sweepDeg: 60 },
      { startDeg: 710, sweepDeg: 20 },
      [
        { startDeg: 700, sweepDeg: 10 },
        { startDeg: 10, sweepDeg: 30 },
      ],
    ],
  ])('takes %s out', (_, from, cut, wanted) => {
    expect(subtractArc(from, cut).sort((a, b) => b.startDeg - a.startDeg)).toEqual(
      wanted.sort((a, b) => b.startDeg - a.startDeg),
    )
  })
  it('tells what is to spare on each side', () => {
    expect(spareInArc({ startDeg: 615, sweepDeg: 425 }, 0)).toEqual({ beforeDeg: 105, afterDeg: 320 })
    expect(spareInArc({ startDeg: 0, sweepDeg: 10 }, 10).beforeDeg).toBe(-1)
  })
})

/** The piston by the law of cosines and a vector loop, written apart from the code it tests. */
function dropByLoop(strokeMm: number, rodMm: number, deg: number): number {
  const a = strokeMm / 2
  const x = a * Math.sin((deg * Math.PI) / 180)
  const y = a * Math.cos((deg * Math.PI) / 180)
  return a + rodMm - (y + Math.sqrt(rodMm ** 2 - x ** 2))
}

describe('piston', () => {
  // check values: common practice, computed for two engines; formula: Heywood, ch. 2
  it.each([
    [57.8, 100, 6.35, 34.3],
    [57.8, 100, 0.05, 3.0],
    [73, 125, 6.35, 30.3],
  ])('stroke %d, rod %d: %d mm down is %d° past top', (strokeMm, rodMm, drop, deg) => {
    expect(angleForDrop({ strokeMm, rodMm }, drop)).toBeCloseTo(deg, 1)
  })
  it('agrees with a vector loop', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 20, max: 150, noNaN: true }),
        fc.double({ min: 0.9, max: 3, noNaN: true }),
        fc.double({ min: -720, max: 720, noNaN: true }),
        (stroke, ratio, deg) => {
          expect(pistonDrop({ strokeMm: stroke, rodMm: stroke * ratio }, deg)).toBeCloseTo(
            dropByLoop(stroke, stroke * ratio, deg),
            9,
          )
        },
      ),
    ))
  it('its velocity integrates to its place (Heywood, ch. 2, eq. for piston speed)', () => {
    const [a, l] = [28.9, 100]
    const speed = (deg: number) => {
      const t = (deg * Math.PI) / 180
      return a * Math.sin(t) * (1 + Math.cos(t) / Math.sqrt((l / a) ** 2 - Math.sin(t) ** 2))
    }
    let travelled = 0
    for (let deg = 0; deg < 90; deg += 0.01)
      travelled += (((speed(deg) + speed(deg + 0.01)) / 2) * 0.01 * Math.PI) / 180
    expect(pistonDrop({ strokeMm: 57.8, rodMm: 100 }, 90)).toBeCloseTo(travelled, 5)
  })
  it('the inverse finds the drop again to 1e-9', () =>
    fc.assert(
      fc.property(fc.double({ min: 0.001, max: 57.7, noNaN: true }), drop => {
        expect(
          Math.abs(
            pistonDrop({ strokeMm: 57.8, rodMm: 100 }, angleForDrop({ strokeMm: 57.8, rodMm: 100 }, drop)) - drop,
          ),
        ).toBeLessThan(1e-9)
      }),
    ))
  it('refuses a drop that never comes', () =>
    expect(() => angleForDrop({ strokeMm: 50, rodMm: 90 }, 51)).toThrow(/stroke is 50/))
  it('takes 1.75 × stroke where no rod is on record', () =>
    expect(pistonDrop({ strokeMm: 60, rodMm: null }, 40)).toBe(pistonDrop({ strokeMm: 60, rodMm: 105 }, 40)))
})

describe('valves', () => {
  const engine = engineOf()
  const [intake, exhaust] = engine.valves as [(typeof engine.valves)[0], (typeof engine.valves)[0]]
  it('the family default gives −105…320 intake and −320…105 exhaust', () => {
    expect(baseCircle(engine, intake)).toEqual({ startDeg: 615, sweepDeg: 425 })
    expect(baseCircle(engine, exhaust)).toEqual({ startDeg: 400, sweepDeg: 425 })
  })
  it('a decompressor is taken out of the exhaust’s closed arc', () => {
    const arcs = closedArcs(engineOf({ decompressor: { kind: 'arc', role: 'exhaust', fromDeg: -120, toDeg: 10 } }))
    expect(arcs.intake).toHaveLength(1)
    expect(arcs.exhaust?.some(arc => inArc(arc, 0))).toBe(false)
    expect(arcs.exhaust?.some(arc => inArc(arc, 34))).toBe(true)
  })
  it('an unknown decompressor is possible, so it is taken out too', () => {
    expect(closedArcs(engineOf({ decompressor: { kind: 'unknown' } }))).toEqual(
      closedArcs(engineOf({ decompressor: { kind: 'arc', role: 'exhaust', fromDeg: -120, toDeg: 10 } })),
    )
  })
  it('shut at compression TDC, both a little open at the exhaust TDC', () => {
    for (const role of ['intake', 'exhaust'] as const) {
      expect(valveLift(engine, role, 0)).toBe(0)
      expect(valveLift(engine, role, 360)).toBeGreaterThan(0.5)
    }
  })
  it('lift passes through the check lift at the events, is smooth there, and rises to one peak', () => {
    for (const role of ['intake', 'exhaust'] as const) {
      const { opensDeg, closesDeg } = valveEvents(engine, role)
      expect(valveLift(engine, role, opensDeg)).toBeCloseTo(1, 9)
      expect(valveLift(engine, role, closesDeg)).toBeCloseTo(1, 9)
      const slope = (deg: number) => (valveLift(engine, role, deg + 0.01) - valveLift(engine, role, deg - 0.01)) / 0.02
      expect(slope(opensDeg - 0.02)).toBeCloseTo(slope(opensDeg + 0.02), 2)
      const lifts = Array.from({ length: 200 }, (_, i) =>
        valveLift(engine, role, opensDeg + ((closesDeg - opensDeg) * i) / 400),
      )
      expect(lifts.every((lift, i) => i === 0 || lift >= lifts[i - 1]! - 1e-9)).toBe(true)
    }
  })
  it('lift is zero just where the base circle is', () =>
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 7199 }), tenth => {
        const deg = tenth / 10 + 0.05
        expect(valveLift(engine, 'intake', deg) === 0).toBe(inArc(baseCircle(engine, intake), deg))
      }),
    ))
})

describe('marks', () => {
  it('show at both tops, F before T in running rotation', () => {
    const engine = engineOf()
    expect(marksAt(engine, 0, 20).map(s => s.mark.letter)).toEqual(['F', 'T'])
    expect(marksAt(engine, 360, 20).map(s => s.mark.letter)).toEqual(['F', 'T'])
    expect(marksAt(engine, 340, 20).map(s => [s.mark.letter, s.aheadDeg])).toEqual([
      ['F', 6],
      ['T', 20],
    ])
  })
})

describe('what people call an engine', () => {
  const of = (...angles: number[]) => ({
    cylinders: angles.map((firingAngleDeg, i) => ({ id: `${i}`, name: `${i}`, firingAngleDeg })),
  })
  it.each([
    [[0], 'single'],
    [[0, 360], '360° twin'],
    [[180, 0], '180° twin'],
    [[0, 270], '270° twin or 90° V'],
    [[0, 450], '270° twin or 90° V'],
    [[0, 315], '315° twin'],
    [[0, 180, 360, 540], 'four, firing 180° apart'],
    [[0, 240, 480], 'three, firing 240° apart'],
    [[0, 90, 360, 450], 'four, firing 90°, 270°, 90°, 270° apart'],
  ] as const)('%j: %s', (angles, name) => expect(tellEnglish(firingIntervalName(of(...angles)))).toBe(name))
})

describe('data stored by an earlier version', () => {
  it('gets what has been added since, and nothing is judged again', () => {
    const { camMarks: _, makersStops: __, ...old } = engineOf()
    expect(upcastEngine({ ...old, markWindow: '', valves: old.valves.map(({ adjuster: _, ...v }) => v) })).toEqual({
      ...engineOf(),
      markWindow: '',
    })
  })
})

describe('engine data that cannot be', () => {
  const refused = (changes: object) => {
    const result = engineSchema.safeParse({ ...engineOf(), ...changes })
    return result.success ? 'taken' : result.error.issues.map(i => refusal(i.message)).join(' ')
  }
  it.each([
    ['zero stroke', { strokeMm: 0 }, /stroke/i],
    ['a rod shorter than the throw', { rodMm: 25 }, /rod of 25/],
    ['a mark outside the turn', { marks: [{ letter: 'T', angleDeg: 360, kind: 'top' }] }, /0 to under 360/],
    ['a valve on no cylinder', { valves: [{ ...engineOf().valves[0], cylinderId: 'two' }] }, /no cylinder “two”/],
    ['no source', { source: '' }, /[Nn]ame the manual/],
    ['a cam sign outside the cycle', { camMarks: [{ words: 'the dots face', angleDeg: 720 }] }, /0 to under 720/],
    [
      'five cylinders',
      { cylinders: Array.from({ length: 5 }, (_, i) => ({ id: `c${i}`, name: `${i}`, firingAngleDeg: i })) },
      /./,
    ],
    ['a mark with no pointer', { markWindow: '' }, /no pointer/],
    [
      'a stop that serves no valve',
      { makersStops: [{ crankDeg: 0, place: { kind: 'mark', markIndex: 0 }, valveIds: [] }] },
      /serves no valve/,
    ],
    [
      'a stop for a valve that is not there',
      { makersStops: [{ crankDeg: 0, place: { kind: 'mark', markIndex: 0 }, valveIds: ['third'] }] },
      /no valve “third”/,
    ],
    [
      'a decompressor that ends before it begins',
      { decompressor: { kind: 'arc', role: 'exhaust', fromDeg: 20, toDeg: -20 } },
      /./,
    ],
    ['a date that is none', { sourceDate: '2024-13-40' }, /year-month-day/],
    [
      'closing before opening',
      {
        cam: {
          checkLiftMm: 1,
          intakeOpensBeforeTdcDeg: -60,
          intakeClosesAfterBdcDeg: -60,
          exhaustOpensBeforeBdcDeg: 40,
          exhaustClosesAfterTdcDeg: 10,
        },
      },
      /[Cc]heck the signs/,
    ],
  ])('refuses %s and says why', (_, changes, words) => expect(refused(changes)).toMatch(words))
  it.each([
    [{ form: 'limits', minMm: 0.12, maxMm: 0.08, text: '', unit: 'mm' }, /crossed/],
    [{ form: 'tolerance', figureMm: 0.1, toleranceMm: 0.1, text: '', unit: 'mm' }, /not smaller/],
    [{ form: 'bare', figureMm: 2.5, text: '', unit: 'mm' }, /Was 0.250 mm, or 2.5 thou/],
  ])('refuses a clearance %#', (clearance, words) =>
    expect(refusal(clearanceSchema.safeParse(clearance).error?.issues[0]?.message)).toMatch(words),
  )
})
