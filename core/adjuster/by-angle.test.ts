import { describe, expect, it } from 'vitest'
import { degreesFor, gapByAngle } from './index'

const screw = {
  kind: 'valve-end',
  pitchMm: 0.75,
  pitchAssumed: false,
  threadMm: 6,
  rockerRatio: 1,
  head: 'slot',
} as const
const drag = (mm: number) => ({ loMm: mm, hiMm: mm + 0.015 })

describe('a screw as a micrometer', () => {
  // ISO 261: M6 fine has a pitch of 0.75 mm, so one turn is 0.75 mm and 24° are 0.05 mm
  it('carries a reading over a known turn by the pitch', () => {
    expect(degreesFor(screw, 0.05)).toBeCloseTo(24, 9)
    const { loMm, hiMm } = gapByAngle(screw, [{ screwDeg: 0, reading: drag(0.1) }], -24)
    expect(loMm).toBeLessThan(0.15)
    expect(hiMm).toBeGreaterThan(0.165)
    // no wider than what a turn is read by: 4° and a twentieth of it, here 0.011 mm each way
    expect(hiMm! - loMm).toBeLessThan(0.015 + 2 * 0.0115)
  })
  it('several readings narrow each other', () => {
    const one = gapByAngle(screw, [{ screwDeg: 0, reading: { loMm: 0.1, hiMm: 0.15 } }], 0)
    const two = gapByAngle(
      screw,
      [
        { screwDeg: 0, reading: { loMm: 0.1, hiMm: 0.15 } },
        { screwDeg: 20, reading: { loMm: 0.1, hiMm: null } },
      ],
      0,
    )
    expect(two.loMm).toBeGreaterThan(one.loMm)
  })
  it('the latest counts where they do not agree, as after a screw that was not the one', () =>
    expect(
      gapByAngle(
        screw,
        [
          { screwDeg: 0, reading: drag(0.3) },
          { screwDeg: 100, reading: drag(0.3) },
        ],
        100,
      ),
    ).toEqual(drag(0.3)))
  it('an open reading stays open on its side', () => {
    expect(gapByAngle(screw, [{ screwDeg: 0, reading: { loMm: 0.2, hiMm: null } }], 24).hiMm).toBeNull()
    expect(gapByAngle(screw, [{ screwDeg: 0, reading: { loMm: 0, hiMm: 0.05 } }], -24).loMm).toBe(0)
  })
})
