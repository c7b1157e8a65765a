import { describe, expect, it } from 'vitest'
import { refusalOf } from '../../words/refusal'
import { parseClearance, parseMarks, parseStops } from './index'

describe('a clearance as it is typed', () => {
  it.each([
    ['0.08–0.12', 'mm', { form: 'limits', minMm: 0.08, maxMm: 0.12, unit: 'mm' }],
    ['0,08 - 0,12 mm', 'thou', { form: 'limits', minMm: 0.08, maxMm: 0.12, unit: 'mm' }],
    ['3-5 thou', 'mm', { form: 'limits', minMm: 0.0762, maxMm: 0.127, unit: 'thou' }],
    ['0.16 ± 0.03', 'mm', { form: 'tolerance', figureMm: 0.16, toleranceMm: 0.03 }],
    ['.004 in', 'mm', { form: 'bare', figureMm: 0.1016, unit: 'in' }],
    ['6', 'thou', { form: 'bare', figureMm: 0.1524, unit: 'thou' }],
    ['0.1 +/- 0.02', 'mm', { form: 'tolerance', figureMm: 0.1, toleranceMm: 0.02 }],
  ] as const)('%s, a bare figure being %s', (text, unit, wanted) =>
    expect(parseClearance(text, unit)).toMatchObject({ ...wanted, text: text.trim() }),
  )
  it.each(['', 'about ten', '0.1–', '0.1 ± x'])('refuses “%s”', text =>
    expect(() => parseClearance(text, 'mm')).toThrow(),
  )
})

describe('marks as they are typed', () => {
  it('reads letters and degrees', () =>
    expect(parseMarks('T 0, F 346; A 330°')).toEqual([
      { letter: 'T', angleDeg: 0, kind: 'top' },
      { letter: 'F', angleDeg: 346, kind: 'fire' },
      { letter: 'A', angleDeg: 330, kind: 'advance' },
    ]))
  it('none is none', () => expect(parseMarks(' ')).toEqual([]))
  it('says how to type one', () => expect(refusalOf(() => parseMarks('T'))).toMatch(/letter and degrees/))
})

describe('a maker’s stops as they are typed', () => {
  const twin = {
    cylinders: [
      { id: 'l', name: 'Left', firingAngleDeg: 0 },
      { id: 'r', name: 'Right', firingAngleDeg: 270 },
    ],
    marks: [{ letter: 'P', angleDeg: 14, kind: 'top' as const }],
  }
  const valves = [
    { id: 'li', name: 'Left intake' },
    { id: 're', name: 'Right exhaust' },
  ]
  it.each([
    ['14 P: left intake', { crankDeg: 14, place: { kind: 'mark', markIndex: 0 }, valveIds: ['li'] }],
    [
      '270° top Right : Left intake, right exhaust',
      { crankDeg: 270, place: { kind: 'piston-top', cylinderId: 'r' }, valveIds: ['li', 're'] },
    ],
    [
      '31 rod 6 mm Left: left intake',
      { crankDeg: 31, place: { kind: 'rod-drop', dropMm: 6, cylinderId: 'l' }, valveIds: ['li'] },
    ],
    ['0 sign 1: left intake', { crankDeg: 0, place: { kind: 'cam-mark', camMarkIndex: 0 }, valveIds: ['li'] }],
  ])('%s', (text, wanted) => expect(parseStops(text, twin, valves)).toEqual([wanted]))
  it.each([
    ['0 P: left intake\n+270 P: right exhaust\n250 on P: right exhaust', [0, 270, 520]],
    ['450 P: left intake\n+ 400 P: right exhaust', [450, 130]],
  ])('%s: turns from one to the next are added up', (text, angles) =>
    expect(parseStops(text, twin, valves).map(s => s.crankDeg)).toEqual(angles),
  )
  it.each([
    ['+270 P: left intake', /Give the first line its own degrees/],
    ['P: left intake', /degrees, place, colon/],
    ['14 Z: left intake', /not a place on this engine/],
    ['14 top Rear: left intake', /not a cylinder here/],
    ['14 P: middle intake', /not a valve here/],
  ])('refuses “%s” and says how', (text, words) =>
    expect(refusalOf(() => parseStops(text, twin, valves))).toMatch(words),
  )
})
