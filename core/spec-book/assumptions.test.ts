import { describe, expect, it } from 'vitest'
import { engineOf } from '../../tests/support/builders'
import { tellEnglish } from '../../words'
import { ASSUMED_CAM } from '../engine'
import { assumptionsOf, emptySpec, readSpec, type SpecText } from './index'

const told = (changes: Partial<SpecText> = {}) =>
  readSpec({
    ...emptySpec(),
    intake: '0.1 mm',
    exhaust: '0.15 mm',
    source: 'Manual',
    sourceDate: '2024-01-02',
    ...changes,
  }).engine!
const fieldsOf = (changes: Partial<SpecText> = {}) => assumptionsOf(told(changes)).map(a => a.field)
const saysOf = (field: string, changes: Partial<SpecText> = {}) =>
  assumptionsOf(told(changes))
    .filter(a => a.field === field)
    .map(a => tellEnglish(a.says))
    .join()

describe('what a model does not tell', () => {
  it('is all named where only name, clearances and source are known', () =>
    expect(fieldsOf()).toEqual(['io', 'decompressor', 'stroke', 'seenFrom', 'pitch', 'locknut', 'use']))
  it('is nothing where all is told', () =>
    expect(
      assumptionsOf(engineOf({ decompressor: { kind: 'none' }, rodMm: 100, cam: ASSUMED_CAM })).map(a => a.field),
    ).toEqual([]))
  it('each goes once it is told', () => {
    expect(fieldsOf({ pitch: 'M6×0.75' })).not.toContain('pitch')
    expect(fieldsOf({ seenFrom: 'the left' })).not.toContain('seenFrom')
    expect(fieldsOf({ months: '12' })).not.toContain('use')
    expect(fieldsOf({ locknut: '12 lbf·ft' })).not.toContain('locknut')
  })
  it('the stroke matters only where a rod shows how far the piston is down', () => {
    expect(fieldsOf({ decompressor: 'none' })).not.toContain('stroke')
    expect(fieldsOf({ decompressor: 'unknown' })).toContain('stroke')
  })
  it('and costs the degrees by which a rod errs: half of what a slider-crank of 40 and of 80 mm differ by', () => {
    // x = r(1 − cos θ) + l − √(l² − r² sin² θ), the textbook’s slider-crank, turned around by halving
    const angleAt = (strokeMm: number, dropMm: number) => {
      const [r, l] = [strokeMm / 2, strokeMm * 1.75]
      const drop = (deg: number) => {
        const a = (deg * Math.PI) / 180
        return r * (1 - Math.cos(a)) + l - Math.sqrt(l * l - (r * Math.sin(a)) ** 2)
      }
      let [lo, hi] = [0, 180]
      for (let n = 0; n < 60; n++) {
        const middle = (lo + hi) / 2
        if (drop(middle) < dropMm) lo = middle
        else hi = middle
      }
      return lo
    }
    const deg = Number(/may be (\d+)° off/.exec(saysOf('stroke'))![1])
    expect(Math.abs(deg - (angleAt(40, 6) - angleAt(80, 6)) / 2)).toBeLessThan(1)
  })
  it('a rod that is not told costs less than a stroke that is not', () => {
    const of = (text: string) => Number(/may be (\d+)° off/.exec(text)![1])
    expect(of(saysOf('rod', { stroke: '54' }))).toBeLessThan(of(saysOf('stroke')))
  })
  it('another cam costs degrees at stops that are not at the top', () =>
    expect(saysOf('io', { decompressor: 'none', cylinders: 'Left 0, Right 270' })).toMatch(/usual cam is assumed/))
})
