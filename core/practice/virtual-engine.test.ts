import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { engineOf } from '../../tests/support/builders'
import { twinOf } from '../../tests/support/engines'
import {
  camLiftMm,
  feelOf,
  isTrulyClosed,
  liftedMm,
  pastTopDeg,
  pistonBelowTopMm,
  roomMm,
  trueCam,
  turnCrank,
  turnScrew,
  virtualEngine,
  workNut,
} from './index'

const exhaustAt = (deg: number, setup = {}) => {
  const v = virtualEngine(engineOf(), { crankDeg: deg, ...setup })
  return { lifted: liftedMm(v, 'exhaust'), closed: isTrulyClosed(v, 'exhaust'), v }
}

describe('the virtual engine moves as engines do', () => {
  // stroke 57.8, rod 100: common practice, computed apart from this code; formula Heywood, ch. 2
  it.each([
    [57.8, 100, 6.35, 34.3],
    [57.8, 100, 0.05, 3.0],
    [73, 125, 6.35, 30.3],
  ])('stroke %d, rod %d: %d mm down is %d° past top', (strokeMm, rodMm, down, deg) => {
    expect(pastTopDeg({ strokeMm, rodMm }, down)).toBeCloseTo(deg, 1)
  })
  it('its piston obeys the law of cosines in the triangle of crank, rod and bore', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 30, max: 100, noNaN: true }),
        fc.double({ min: 0, max: 720, noNaN: true }),
        (strokeMm, deg) => {
          const [a, l] = [strokeMm / 2, strokeMm * 1.8]
          const gudgeon = a + l - pistonBelowTopMm({ strokeMm, rodMm: l }, deg)
          expect(a * a + gudgeon * gudgeon - 2 * a * gudgeon * Math.cos((deg * Math.PI) / 180)).toBeCloseTo(l * l, 6)
        },
      ),
    ))
  it('a cam has its check lift at its events, none off its ramps, and its most between (closed arcs of the default cam: judgement’s own figures)', () => {
    const cam = trueCam(engineOf(), 'exhaust')
    // EVO 45 before BDC and EVC 10 after TDC at 1 mm, with ramps of 30°: shut from 400 to 105 of the next cycle
    expect([135, 370].map(deg => camLiftMm(cam, deg))).toEqual([expect.closeTo(1, 6), expect.closeTo(1, 6)])
    expect([104.9, 400.1, 0, 719].map(deg => camLiftMm(cam, deg))).toEqual([0, 0, 0, 0])
    expect(camLiftMm(cam, 252.5)).toBeCloseTo(57.8 * 0.11, 6)
    expect([106, 120, 399].every(deg => camLiftMm(cam, deg) > 0 && camLiftMm(cam, deg) < 1)).toBe(true)
  })
  it('an exhaust is shut at compression TDC and lifted at the overlap, whatever the cylinder fires at', () => {
    expect([exhaustAt(0).closed, exhaustAt(360).closed]).toEqual([true, false])
    const twin = virtualEngine(twinOf(180), { crankDeg: 180 })
    expect(['l-exhaust', 'r-exhaust'].map(id => isTrulyClosed(twin, id))).toEqual([false, true])
  })
  it('a decompressor lets go slowly: at T it can leave play and still falsify a reading, past top it is gone', () => {
    const held = { role: 'exhaust' as const, cylinderId: null, fromDeg: -120, toDeg: 10, liftMm: 0.2 }
    const at = (deg: number) => virtualEngine(engineOf(), { crankDeg: deg, held, gapMm: { exhaust: 0.12 } })
    expect(feelOf(at(0), { kind: 'rocker', valveId: 'exhaust' }).slack).toBe(true)
    expect(roomMm(at(0), 'exhaust')).toBeCloseTo(0.07, 6)
    expect(feelOf(at(0), { kind: 'blade', valveId: 'exhaust', engravedMm: [0.1], thickMm: 0.1 }).feel).toBe('no-go')
    expect(roomMm(at(34), 'exhaust')).toBeCloseTo(0.12, 6)
  })
  it('a chain turned back leaves the cam behind until it is turned on again', () => {
    const { v } = exhaustAt(100, { nature: { chainSlackDeg: 10 } })
    turnCrank(v, -6)
    expect([v.crankDeg, v.camAheadDeg]).toEqual([94, 6])
    turnCrank(v, -30)
    expect(v.camAheadDeg).toBe(10)
    turnCrank(v, 40)
    expect(v.camAheadDeg).toBe(0)
  })
  it('a screw turns only when its nut is loose, closes clockwise, and its lock creeps', () => {
    const { v } = exhaustAt(0, { nature: { creepMm: -0.02 } })
    expect(turnScrew(v, 'exhaust', 90)).toBe(false)
    workNut(v, 'exhaust', 'loose')
    turnScrew(v, 'exhaust', 48)
    expect(v.gapMm.exhaust).toBeCloseTo(0.02, 6)
    workNut(v, 'exhaust', 'nipped')
    workNut(v, 'exhaust', 'locked')
    expect(v.gapMm.exhaust).toBeCloseTo(0, 6)
  })
})
