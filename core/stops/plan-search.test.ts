import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { engineOf } from '../../tests/support/builders'
import { fourOf, twinOf } from '../../tests/support/engines'
import type { Cam, Engine } from '../engine'
import { placesOfSchool, planStops, type School, schoolsFor } from '.'

const wrap = (deg: number) => ((deg % 720) + 720) % 720

/** Where a valve is closed, by its local angle, from the cam card alone: written here apart from the core. */
function closed(cam: Cam, role: 'intake' | 'exhaust', deg: number, sparedBefore: number, sparedAfter: number): boolean {
  const ramp = 30 * Math.sqrt(cam.checkLiftMm!)
  const [opens, shuts] =
    role === 'intake'
      ? [360 - cam.intakeOpensBeforeTdcDeg, 540 + cam.intakeClosesAfterBdcDeg]
      : [180 - cam.exhaustOpensBeforeBdcDeg, 360 + cam.exhaustClosesAfterTdcDeg]
  const [from, length] = [shuts + ramp, 720 - (shuts - opens) - 2 * ramp]
  const into = wrap(deg - from)
  return into >= sparedBefore && length - into >= sparedAfter
}

/**
 * Every set of the school's stops, by brute force: the least number that serves all valves, or null where none does.
 */
function leastByHand(engine: Engine, cam: Cam, school: School): number | null {
  const middle = (role: 'intake' | 'exhaust') =>
    role === 'intake'
      ? (360 - cam.intakeOpensBeforeTdcDeg + 540 + cam.intakeClosesAfterBdcDeg) / 2
      : (180 - cam.exhaustOpensBeforeBdcDeg + 360 + cam.exhaustClosesAfterTdcDeg) / 2
  const fires = (id: string) => engine.cylinders.find(c => c.id === id)!.firingAngleDeg
  const at: [number, number, number][] =
    school === 'partner'
      ? engine.valves.map(v => [fires(v.cylinderId) + middle(v.role), 30, 30])
      : engine.cylinders.flatMap((c): [number, number, number][] => [
          [c.firingAngleDeg, 0, 0],
          [c.firingAngleDeg + 360, 0, 0],
        ])
  const masks = at.map(([deg, before, after]) =>
    engine.valves.reduce(
      (m, v, i) => m | (closed(cam, v.role, deg - fires(v.cylinderId), 10 + before, 10 + after) ? 1 << i : 0),
      0,
    ),
  )
  let least: number | null = null
  for (let set = 1; set < 2 ** masks.length; set++) {
    let served = 0
    let count = 0
    masks.forEach((mask, i) => {
      if (set & (1 << i)) {
        served |= mask
        count++
      }
    })
    if (served === 2 ** engine.valves.length - 1 && (least === null || count < least)) least = count
  }
  return least
}

const cams = fc.record({
  checkLiftMm: fc.constantFrom(0.25, 1, 1.27),
  intakeOpensBeforeTdcDeg: fc.integer({ min: -20, max: 40 }),
  intakeClosesAfterBdcDeg: fc.integer({ min: 10, max: 75 }),
  exhaustOpensBeforeBdcDeg: fc.integer({ min: 10, max: 75 }),
  exhaustClosesAfterTdcDeg: fc.integer({ min: -20, max: 40 }),
})

describe('the fewest stops', () => {
  it('are as few as exhaustive search finds, for any cam, firing angle and school', () =>
    fc.assert(
      fc.property(
        cams,
        fc.integer({ min: 1, max: 719 }),
        fc.constantFrom('marks', 'rod', 'partner'),
        (cam, fires, school) => {
          const engine = twinOf(school === 'partner' ? 360 : fires, {
            cam,
            marks: school === 'marks' && fires % 360 === 0 ? [] : twinOf(fires).marks,
          })
          const least = leastByHand(engine, cam, school as School)
          const plan = planStops(engine, school as School)
          if (least === null) expect(plan.pastTop).toBe(true)
          else expect({ count: plan.stops.length, pastTop: plan.pastTop }).toEqual({ count: least, pastTop: false })
        },
      ),
      { numRuns: 60 },
    ))
  it('serve each valve where it is closed with at least 10° to spare, by the cam card', () =>
    fc.assert(
      fc.property(cams, fc.integer({ min: 0, max: 719 }), (cam, fires) => {
        const engine = twinOf(fires, { cam })
        for (const school of schoolsFor(engine))
          for (const stop of planStops(engine, school).stops)
            for (const served of stop.valves) {
              const valve = engine.valves.find(v => v.id === served.valveId)!
              expect(
                closed(cam, valve.role, stop.crankDeg - (valve.cylinderId === 'r' ? fires : 0), 9.99, 9.99),
                `${school} ${served.valveId}`,
              ).toBe(true)
            }
      }),
      { numRuns: 40 },
    ))
  it.each([
    // common practice: one stop a cylinder at its own compression top
    ['360° twin', twinOf(360), [0, 360]],
    ['180° twin', twinOf(180), [0, 180]],
    ['90° V', twinOf(270), [0, 270]],
  ])('%s: each cylinder at its own top', (_, engine, angles) => {
    expect(planStops(engine, 'marks').stops.map(s => s.crankDeg)).toEqual(angles)
  })
  it('four cylinders, 1-3-4-2: two stops at T serve all eight, the usual halves', () => {
    // common practice for the firing order 1-3-4-2: at 1 on compression both of 1, the intake of 2, the exhaust of 3; a
    // turn on, the rest
    const { stops } = planStops(fourOf(), 'marks')
    expect(stops.map(s => [s.crankDeg, s.valves.map(v => v.valveId).sort()])).toEqual([
      [0, ['c1-exhaust', 'c1-intake', 'c2-intake', 'c3-exhaust']],
      [360, ['c2-exhaust', 'c3-intake', 'c4-exhaust', 'c4-intake']],
    ])
  })
  it('the other firing order, 1-2-4-3, changes which: they come from the order alone', () => {
    expect(
      planStops(fourOf([1, 2, 4, 3]), 'marks')
        .stops[0]!.valves.map(v => v.valveId)
        .sort(),
    ).toEqual(['c1-exhaust', 'c1-intake', 'c2-exhaust', 'c3-intake'])
  })
  it('the turns from stop to stop go round the cycle once', () =>
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 719 }), fires => {
        const { stops } = planStops(twinOf(fires), 'rod')
        expect(stops.reduce((sum, s) => sum + s.turnToNextDeg, 0)).toBeCloseTo(720, 6)
      }),
    ))
})

describe('schools', () => {
  it('fire and advance marks are never a place to stop', () => {
    const engine = engineOf({
      marks: [
        { letter: 'F', angleDeg: 0, kind: 'fire' },
        { letter: 'II', angleDeg: 325, kind: 'advance' },
        { letter: 'T', angleDeg: 0, kind: 'top' },
      ],
    })
    expect(placesOfSchool(engine, 'marks')).toEqual([{ kind: 'mark', markIndex: 2 }])
  })
  it('offers only what the engine has', () => {
    expect(schoolsFor(engineOf())).toEqual(['marks', 'rod', 'watching', 'exhaust-opens'])
    expect(schoolsFor(twinOf(360, { camMarks: [{ words: 'the dots face', angleDeg: 0 }] }))).toEqual([
      'marks',
      'cam-signs',
      'rod',
      'watching',
      'exhaust-opens',
      'partner',
    ])
    expect(schoolsFor(twinOf(180))).not.toContain('partner')
  })
  it('exhaust opens, intake closed: the intake at the one, the exhaust at the other', () => {
    const { stops } = planStops(engineOf(), 'exhaust-opens')
    expect(stops.map(s => [s.place, s.valves.map(v => v.valveId)])).toEqual([
      [{ kind: 'valve', valveId: 'exhaust', sight: 'starts to open' }, ['intake']],
      [{ kind: 'valve', valveId: 'intake', sight: 'just closed' }, ['exhaust']],
    ])
  })
  it('with a decompressor, marks, intake just closed and partner down can all fail the exhaust: past top is added, and said', () => {
    const held = { kind: 'arc', role: 'exhaust', fromDeg: -120, toDeg: 10, cylinderId: null } as const
    for (const school of ['marks', 'exhaust-opens'] as const)
      expect(planStops(engineOf({ decompressor: { ...held, fromDeg: -130 } }), school), school).toMatchObject({
        pastTop: true,
        unserved: [],
      })
  })
  it('a valve that is seen doing something is met anywhere over an arc: all of it must be clear', () => {
    const { stops } = planStops(fourOf(), 'partner')
    for (const stop of stops)
      for (const v of stop.valves) expect(Math.min(v.beforeDeg, v.afterDeg)).toBeGreaterThanOrEqual(40)
  })
  it('the maker’s list needs 5° only, and keeps its order of places', () => {
    const engine = engineOf({
      makersStops: [
        {
          crankDeg: 98,
          place: { kind: 'rod-drop', cylinderId: 'only', dropMm: 35.6 },
          valveIds: ['intake', 'exhaust'],
        },
      ],
    })
    expect(planStops(engine).stops[0]).toMatchObject({
      marginDeg: 5,
      flagged: [],
      valves: [{ valveId: 'intake' }, { valveId: 'exhaust', afterDeg: 7 }],
    })
  })
})
