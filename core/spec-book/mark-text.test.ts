import { describe, expect, it } from 'vitest'
import { engineOf } from '../../tests/support/builders'
import { refusalOf } from '../../words/refusal'
import { CAM_PICTURES, type Engine, MARK_SHAPES } from '../engine'
import { camMarksText, marksText, parseCamMarks, parseMarks, readSpec, writeSpec } from './index'

describe('marks of any name and shape', () => {
  it('a name, an angle, what it is made as, and the plug it is seen through', () => {
    expect(parseMarks('T 0 (dot), F 346; white line 180,5 (painted line through the upper cap)')).toEqual([
      { letter: 'T', angleDeg: 0, kind: 'top', shape: 'dot' },
      { letter: 'F', angleDeg: 346, kind: 'fire' },
      { letter: 'white line', angleDeg: 180.5, kind: 'top', shape: 'painted line', through: 'the upper cap' },
    ])
    expect(parseMarks('T 0 (through the fan housing)')[0]).toMatchObject({ through: 'the fan housing' })
  })
  it.each(MARK_SHAPES)('a %s is written and read again', shape => {
    const marks = parseMarks(`T 12.5 (${shape} through the left plug)`)
    expect(parseMarks(marksText(marks))).toEqual(marks)
  })
  it.each(CAM_PICTURES)('a sign with its picture “%s” is written and read again', picture => {
    const signs = parseCamMarks(`signs on both sprockets 0 (${picture})\nthe hole shows 180`)
    expect(signs[0]).toMatchObject({ picture })
    expect(parseCamMarks(camMarksText(signs))).toEqual(signs)
  })
  it('what a mark is for is in the brackets where its name says something else', () => {
    const marks = parseMarks('F T 0 (top dot), a white line 180 (top), F 346')
    expect(marks.map(m => m.kind)).toEqual(['top', 'top', 'fire'])
    expect(marksText(marks)).toBe('F T 0 (top dot), a white line 180 (top), F 346')
    expect(parseMarks(marksText(marks))).toEqual(marks)
  })
  it('a shape that is not known is refused with those that are', () =>
    expect(refusalOf(() => parseMarks('T 0 (smudge)'))).toMatch(/“smudge” is not a shape.*dot, hole/))

  const marked = (marks: Partial<Engine>): Engine => ({ ...engineOf(), ...marks })
  it('go through the form and the spreadsheet’s plain column whole', () => {
    const engine = marked({
      marks: [{ ...engineOf().marks[0]!, shape: 'hole', through: 'the crank cap' }],
      camMarks: [{ words: 'lines level with the head', angleDeg: 0, picture: 'lines level' }],
      makersStops: [],
    })
    const { text, exact } = writeSpec(engine)
    expect([exact.marks, exact.camMarks]).toEqual([undefined, undefined])
    expect(readSpec(text, exact).engine?.marks).toEqual(engine.marks)
    expect(readSpec(text, exact).engine?.camMarks).toEqual(engine.camMarks)
  })
  it('marks that all have a plug of their own want no common window; one without does', () => {
    const { text, exact } = writeSpec(marked({ markWindow: '', makersStops: [] }))
    expect(readSpec({ ...text, marks: 'T 0 (through the cap)' }, exact).wrong.markWindow).toBeUndefined()
    expect(readSpec({ ...text, marks: 'T 0 (through the cap), F 346' }, exact).wrong.markWindow).toBeDefined()
  })
})
