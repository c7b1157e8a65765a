import { describe, expect, it } from 'vitest'
import { nextTick } from 'vue'
import { parseClearance, parseMarks, parseStops } from './model-text'
import { FIRING_CHOICES, useModelForm } from './useModelForm'

describe('a clearance as it is typed', () => {
  it.each([
    ['0.08–0.12', 'mm', { form: 'limits', minMm: 0.08, maxMm: 0.12, unit: 'mm' }], ['0,08 - 0,12 mm', 'thou', { form: 'limits', minMm: 0.08, maxMm: 0.12, unit: 'mm' }],
    ['3-5 thou', 'mm', { form: 'limits', minMm: 0.0762, maxMm: 0.127, unit: 'thou' }], ['0.16 ± 0.03', 'mm', { form: 'tolerance', figureMm: 0.16, toleranceMm: 0.03 }],
    ['.004 in', 'mm', { form: 'bare', figureMm: 0.1016, unit: 'in' }], ['6', 'thou', { form: 'bare', figureMm: 0.1524, unit: 'thou' }], ['0.1 +/- 0.02', 'mm', { form: 'tolerance', figureMm: 0.1, toleranceMm: 0.02 }],
  ] as const)('%s, a bare figure being %s', (text, unit, wanted) => expect(parseClearance(text, unit)).toMatchObject({ ...wanted, text: text.trim() }))
  it.each(['', 'about ten', '0.1–', '0.1 ± x'])('refuses “%s”', text => expect(() => parseClearance(text, 'mm')).toThrow())
})

describe('marks as they are typed', () => {
  it('reads letters and degrees', () => expect(parseMarks('T 0, F 346; A 330°')).toEqual([{ letter: 'T', angleDeg: 0, kind: 'top' }, { letter: 'F', angleDeg: 346, kind: 'fire' }, { letter: 'A', angleDeg: 330, kind: 'advance' }]))
  it('none is none', () => expect(parseMarks(' ')).toEqual([]))
  it('says how to type one', () => expect(() => parseMarks('T')).toThrow(/letter and degrees/))
})

describe('a maker’s stops as they are typed', () => {
  const twin = { cylinders: [{ id: 'l', name: 'Left', firingAngleDeg: 0 }, { id: 'r', name: 'Right', firingAngleDeg: 270 }], marks: [{ letter: 'P', angleDeg: 14, kind: 'top' as const }] }
  const valves = [{ id: 'li', name: 'Left intake' }, { id: 're', name: 'Right exhaust' }]
  it.each([
    ['14 P: left intake', { crankDeg: 14, place: { kind: 'mark', markIndex: 0 }, valveIds: ['li'] }],
    ['270° top Right : Left intake, right exhaust', { crankDeg: 270, place: { kind: 'piston-top', cylinderId: 'r' }, valveIds: ['li', 're'] }],
    ['31 rod 6 mm Left: left intake', { crankDeg: 31, place: { kind: 'rod-drop', dropMm: 6, cylinderId: 'l' }, valveIds: ['li'] }],
    ['0 sign 1: left intake', { crankDeg: 0, place: { kind: 'cam-mark', camMarkIndex: 0 }, valveIds: ['li'] }],
  ])('%s', (text, wanted) => expect(parseStops(text, twin, valves)).toEqual([wanted]))
  it.each([['P: left intake', /degrees, place, colon/], ['14 Z: left intake', /no place of this engine/], ['14 top Rear: left intake', /no cylinder here/], ['14 P: middle intake', /no valve here/]])('refuses “%s” and says how', (text, words) => expect(() => parseStops(text, twin, valves)).toThrow(words))
})

describe('the form', () => {
  const filled = () => {
    const form = useModelForm()
    Object.assign(form.spec, { intake: '0.08–0.12', exhaust: '0.10–0.14', stroke: '57,8', seenFrom: 'the left', means: 'the nut', source: 'Manual', sourceDate: '2024-01-02' })
    return form
  }
  it('makes engine data, and marks as assumed what was left empty', () => {
    const engine = filled().engine()
    expect(engine).toMatchObject({ strokeMm: 57.8, rodMm: null, cam: null, decompressor: { kind: 'unknown' }, adjuster: { pitchAssumed: true }, torques: { locknutNm: null } })
  })
  it.each([['stroke', '0', 'stroke'], ['intake', '1.0–1.2 in', 'intake'], ['sourceDate', 'last year', 'sourceDate'], ['pitch', '7', 'pitch'], ['marks', 'T 400', 'marks'], ['marks', 'T 0', 'markWindow'], ['cylinders', 'Left 0, Right 720', 'cylinders'], ['cylinders', 'Left', 'cylinders'], ['stops', '14 T: intake', 'stops'], ['stops', '0 top:', 'stops'], ['stops', '0 top: bleed valve', 'stops'], ['stops', '40 top: intake', 'stops'], ['camMarks', 'the dots face 720', 'camMarks'], ['locknut', '900', 'locknut']] as const)('%s “%s” marks the field', (field, value, wrong) => {
    const form = filled()
    form.spec[field] = value
    expect(form.engine()).toBeNull()
    expect(form.wrong[wrong]).toBeTruthy()
  })
  it('a twin by its firing interval: names, angles, valves of each, shims where they are', async () => {
    const form = filled()
    form.spec.firing = FIRING_CHOICES.find(c => c.label.startsWith('180°'))!.value
    await nextTick()
    Object.assign(form.spec, { marks: 'T L 0, F 347, T R 180', markWindow: 'the rotor window', intakeBy: 'shim', shimDiameter: '9,5', others: 'exhaust 0.13–0.17; Bulletin 4', stops: '0 T L: left intake, left exhaust\n180 T R: right intake, right exhaust', decompressor: 'arc', heldOn: 'right' })
    const engine = form.engine()
    expect(form.wrong).toEqual({})
    expect(engine?.cylinders.map(c => [c.name, c.firingAngleDeg])).toEqual([['Left', 0], ['Right', 180]])
    expect(engine?.valves.map(v => [v.name, v.adjuster])).toEqual([['Left intake', 'shim'], ['Left exhaust', 'screw'], ['Right intake', 'shim'], ['Right exhaust', 'screw']])
    expect(engine?.marks.map(m => [m.letter, m.kind])).toEqual([['T L', 'top'], ['F', 'fire'], ['T R', 'top']])
    expect(engine?.makersStops.map(s => s.valveIds.length)).toEqual([2, 2])
    expect(engine?.decompressor).toMatchObject({ kind: 'arc', cylinderId: engine!.cylinders[1]!.id })
    expect(engine).toMatchObject({ shim: { diameterMm: 9.5, stepMm: 0.05 }, otherClearances: [{ role: 'exhaust', clearance: { minMm: 0.13, maxMm: 0.17 }, source: 'Bulletin 4' }] })
  })
  it('closing before opening is refused at the cam, a decompressor on no cylinder at its field', () => {
    const form = filled()
    Object.assign(form.spec, { camKnown: true, io: '-60', ic: '-60', eo: '40', ec: '10' })
    expect(form.engine()).toBeNull()
    expect(form.wrong.cam).toMatch(/signs/)
    Object.assign(form.spec, { camKnown: false, decompressor: 'arc', heldOn: 'Middle' })
    expect(form.engine()).toBeNull()
    expect(form.wrong.heldOn).toMatch(/no cylinder/)
  })
  it('four valves get names and places of their own', () => {
    const form = filled()
    form.spec.valves = 4
    expect(form.engine()?.valves.map(v => v.name)).toEqual(['Intake 1', 'Intake 2', 'Exhaust 1', 'Exhaust 2'])
  })
})
