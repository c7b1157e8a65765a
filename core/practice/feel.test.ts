import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { engineOf } from '../../tests/support/builders'
import { feelOf, kickDeg, marksSeen, pullN, roomMm, turnToPlace, valveSeen, virtualEngine } from './index'

const T = { kind: 'mark', markIndex: 0 } as const
describe('what hand and eye are told', () => {
  const at = (gap: number, deg = 0) => virtualEngine(engineOf(), { crankDeg: deg, gapMm: { intake: gap } })
  // bands common practice; figures from memory
  it.each([
    [0.08, 'no-go', 15],
    [0.0905, 'pinched', 11],
    [0.1, 'drag', 3],
    [0.1149, 'drag', 0.6],
    [0.116, 'free', 0.2],
  ] as const)('a gap of %d under a 0.10 blade is %s', (gap, feel, newtons) => {
    const felt = feelOf(at(gap), { kind: 'blade', valveId: 'intake', engravedMm: [0.1], thickMm: 0.1 })
    expect(felt.feel).toBe(feel)
    expect(Math.abs(felt.forceN - newtons)).toBeLessThan(0.7)
  })
  it('the pull never falls as the room gets less', () =>
    fc.assert(
      fc.property(
        fc.double({ min: -0.03, max: 0.05, noNaN: true }),
        fc.double({ min: 0, max: 0.02, noNaN: true }),
        (room, less) => pullN(room - less) >= pullN(room),
      ),
    ))
  it('a blade off its engraving is felt as thick as it is', () => {
    const v = virtualEngine(engineOf(), { crankDeg: 0, gapMm: { intake: 0.1 }, nature: { bladeOffMm: { 0.1: 0.004 } } })
    expect(feelOf(v, { kind: 'blade', valveId: 'intake', engravedMm: [0.1], thickMm: 0.1 }).feel).toBe('pinched')
  })
  it('a warm exhaust reads tighter than it is', () =>
    expect(
      roomMm(virtualEngine(engineOf(), { crankDeg: 0, headC: 58, gapMm: { exhaust: 0.12 } }), 'exhaust'),
    ).toBeLessThan(0.09))
  it('the window shows what is near its pointer, the next to come first', () => {
    expect(marksSeen(at(0.1, 350)).map(m => [m.letter, m.atPointer])).toEqual([
      ['T', false],
      ['F', false],
    ])
    expect(marksSeen(at(0.1, 1)).find(m => m.letter === 'T')).toMatchObject({ atPointer: true, offDeg: -1 })
    expect(marksSeen(at(0.1, 180))).toEqual([])
  })
  it('a crank let go a little past compression runs on, and nowhere else', () => {
    expect([8, 712, 0, 3, 20, 368].map(deg => kickDeg(at(0.1, deg)))).toEqual([6, 0, 0, 0, 0, 0])
  })
  it('an eye sees which way a valve goes', () =>
    expect([0, 120, 252, 380].map(deg => valveSeen(at(0.1, deg), 'exhaust'))).toEqual([
      'shut',
      'going down',
      'down',
      'coming back',
    ]))
  it('“on until T” is the next one at least a finger’s width ahead', () => {
    const v = at(0.1, 356)
    turnToPlace(v, T)
    expect(v.crankDeg).toBeCloseTo(0, 6)
  })
})
