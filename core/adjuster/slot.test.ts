import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { refusalOf } from '../../words/refusal'
import { bracketSlot, clockWords, nextSlot, parseClock, type SlotTried, turnBySlot } from './index'

const at = (screwDeg: number, loMm: number, hiMm: number | null): SlotTried => ({ screwDeg, reading: { loMm, hiMm } })

describe('the slot’s bracket', () => {
  it.each<[string, SlotTried[], number | null, number | null]>([
    ['loose as found: the answer is clockwise of it', [at(0, 0.14, null)], 0, null],
    ['tight at the next try: it lies between', [at(0, 0.14, null), at(60, 0, 0.09)], 0, 60],
    [
      'the closest on either side count',
      [at(0, 0.2, null), at(20, 0.15, null), at(90, 0, 0.05), at(60, 0, 0.09)],
      20,
      60,
    ],
    ['a try that contradicts a later one is dropped', [at(0, 0, 0.05), at(-40, 0, 0.09), at(10, 0.13, 0.14)], 10, null],
    ['a reading about the aim bounds nothing', [at(0, 0.11, 0.125)], null, null],
  ])('%s', (_, tried, looseDeg, tightDeg) => expect(bracketSlot(tried, 0.12)).toEqual({ looseDeg, tightDeg }))

  it('the model’s place is kept inside; where it left the arc, or is a guess, halfway', () => {
    const bracket = { looseDeg: 0, tightDeg: 60 }
    expect(nextSlot(bracket, 20, true)).toBe(20)
    expect(nextSlot(bracket, 80, true)).toBe(30)
    expect(nextSlot(bracket, 20, false)).toBe(30)
    expect(nextSlot({ looseDeg: 0, tightDeg: null }, 80, false)).toBe(80)
  })
  it('closes in on the answer whatever the pitch really is', () =>
    fc.assert(
      fc.property(fc.integer({ min: 3, max: 300 }), fc.double({ min: 0.5, max: 2, noNaN: true }), (tenths, pitch) => {
        const gapAt = (deg: number) => 0.4 - (deg * pitch) / 360
        const tried: SlotTried[] = []
        const wanted = tenths / 1000
        let deg = 0
        for (let i = 0; i < 40 && Math.abs(gapAt(deg) - wanted) > 0.002; i++) {
          const gap = gapAt(deg)
          tried.push(gap > wanted ? at(deg, Math.max(gap, wanted), null) : at(deg, 0, Math.min(gap, wanted)))
          deg = nextSlot(bracketSlot(tried, wanted), deg + (gap > wanted ? 90 : -30), false)
        }
        expect(Math.abs(gapAt(deg) - wanted)).toBeLessThanOrEqual(0.002)
      }),
    ))
})

describe('the slot as a clock', () => {
  it.each([
    ['12', 0],
    ['3', 90],
    ['2:30', 75],
    ['10.15', 307.5],
    ['0', 0],
    [' 6 ', 180],
  ])('“%s” is %d°', (text, deg) => expect(parseClock(text)).toBe(deg))
  it.each(['13', 'noon', '2:75', '', '-1', '2:3:4'])('refuses “%s” and says what to type', text =>
    expect(refusalOf(() => parseClock(text))).toMatch(/2 or 2:30/),
  )
  it('reads back what it says', () =>
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 143 }), n => {
        expect(parseClock(clockWords(n * 2.5))).toBe(n * 2.5)
      }),
    ))
  it.each([
    ['a slot that now points to 2 was turned 60°', 0, 60, 50, 'slot', 60],
    ['the same look, half a turn on', 0, 60, 250, 'slot', 240],
    ['back past 12', 30, 350, -35, 'slot', -40],
    ['a hex looks the same each sixth', 0, 10, 75, 'hex socket', 70],
  ] as const)('%s', (_, from, to, asked, head, deg) => expect(turnBySlot(from, to, asked, head)).toBe(deg))
})
