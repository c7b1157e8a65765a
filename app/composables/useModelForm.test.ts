import { describe, expect, it } from 'vitest'
import { parseClearance, parseMarks, useModelForm } from './useModelForm'

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
  it.each([['stroke', '0', 'stroke'], ['intake', '1.0–1.2 in', 'intake'], ['sourceDate', 'last year', 'sourceDate'], ['pitch', '7', 'pitch'], ['marks', 'T 400', 'marks'], ['locknut', '900', 'locknut']] as const)('%s “%s” marks the field', (field, value, wrong) => {
    const form = filled()
    form.spec[field] = value
    expect(form.engine()).toBeNull()
    expect(form.wrong[wrong]).toBeTruthy()
  })
  it('four valves get names and places of their own', () => {
    const form = filled()
    form.spec.valves = 4
    expect(form.engine()?.valves.map(v => v.name)).toEqual(['Intake 1', 'Intake 2', 'Exhaust 1', 'Exhaust 2'])
  })
})
