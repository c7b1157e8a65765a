import { describe, expect, it } from 'vitest'
import { engineOf } from '../../tests/support/builders'
import { twinOf } from '../../tests/support/engines'
import { pistonDrop } from '../engine'
import { firstSchool, planStops, topPlace } from './index'

describe('stops of a single', () => {
  it('one stop at T serves both valves, with what each has to spare', () => {
    const { stops, pastTop, unserved } = planStops(engineOf())
    expect(pastTop).toBe(false)
    expect(unserved).toEqual([])
    expect(stops).toHaveLength(1)
    expect(stops[0]).toMatchObject({
      crankDeg: 0,
      place: { kind: 'mark', markIndex: 0 },
      turnToNextDeg: 720,
      valves: [
        { valveId: 'intake', beforeDeg: 105 },
        { valveId: 'exhaust', afterDeg: 105 },
      ],
    })
  })
  it('without a T mark the piston’s own top is the place; F is never one', () => {
    expect(topPlace(engineOf({ marks: [] }), 'only')).toEqual({ kind: 'piston-top', cylinderId: 'only' })
    expect(topPlace(engineOf({ marks: [{ letter: 'F', angleDeg: 0, kind: 'fire' }] }), 'only').kind).toBe('piston-top')
  })
  it.each([
    ['arc', { kind: 'arc', role: 'exhaust', fromDeg: -120, toDeg: 10 }],
    ['unknown', { kind: 'unknown' }],
  ] as const)('a decompressor (%s) sends the stop past top', (_, decompressor) => {
    const { stops, pastTop, unserved } = planStops(engineOf({ decompressor }))
    expect({ pastTop, unserved, count: stops.length }).toEqual({ pastTop: true, unserved: [], count: 1 })
    expect(pistonDrop({ strokeMm: 57.8, rodMm: 100 }, stops[0]!.crankDeg)).toBeCloseTo(6, 6)
  })
  it('a decompressor that lets go late asks for a deeper drop', () => {
    expect(
      planStops(engineOf({ decompressor: { kind: 'arc', role: 'exhaust', fromDeg: -120, toDeg: 40 } })).stops[0]?.place,
    ).toMatchObject({ kind: 'rod-drop', dropMm: 15 })
  })
  it('says which valve no stop serves', () => {
    expect(
      planStops(engineOf({ decompressor: { kind: 'arc', role: 'exhaust', fromDeg: -300, toDeg: 300 } })).unserved,
    ).toEqual(['exhaust'])
  })
})

describe('a V-twin whose cam timing is assumed', () => {
  it.each([405, 415, 450])('firing at %d° is done one cylinder at a time, each at its own top', laterDeg => {
    const plan = planStops(twinOf(laterDeg, { cam: null }), 'marks')
    expect(plan.byCylinder).toBe(true)
    for (const stop of plan.stops) expect(new Set(stop.valves.map(v => v.valveId[0])).size).toBe(1)
    expect(plan.unserved).toEqual([])
  })
  it('with its timing on record has the fewest stops', () =>
    expect(
      planStops(
        twinOf(450, {
          cam: {
            checkLiftMm: 1,
            intakeOpensBeforeTdcDeg: 10,
            intakeClosesAfterBdcDeg: 40,
            exhaustOpensBeforeBdcDeg: 40,
            exhaustClosesAfterTdcDeg: 10,
          },
        }),
        'marks',
      ).byCylinder,
    ).toBe(false))
})
it('cam signs come before the rod where there are no marks', () =>
  expect(firstSchool(engineOf({ marks: [], camMarks: [{ words: 'the dots face', angleDeg: 0 }] }), null)).toBe(
    'cam-signs',
  ))
