import { readFileSync } from 'node:fs'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { refusalOf } from '../../words/refusal'
import { parseThermometerLine, thermometerLine } from './index'

describe('a thermometer’s line', () => {
  it('is the one that docs/formats shows', () => {
    const [shown] = /T1,.*/.exec(readFileSync('docs/formats/thermometer.md', 'utf8'))!
    expect(shown).toBe('T1,58.4,19.5,C*0E')
    expect(thermometerLine({ headC: 58.4, airC: 19.5 })).toBe(shown)
    expect(parseThermometerLine(`${shown}\r`)).toEqual({ headC: 58.4, airC: 19.5 })
  })
  it('comes back as it was written, also without a second sensor', () =>
    fc.assert(
      fc.property(fc.integer({ min: -300, max: 2400 }), fc.option(fc.integer({ min: -300, max: 500 })), (head, air) => {
        const reading = { headC: head / 10, airC: air === null ? null : air / 10 }
        expect(parseThermometerLine(thermometerLine(reading))).toEqual(reading)
      }),
    ))
  it('one damaged letter is seen', () =>
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 13 }), fc.constantFrom('0', '9', '.', 'X'), (i, letter) => {
        const line = thermometerLine({ headC: 41.5, airC: 20 })
        const damaged = line.slice(0, i) + letter + line.slice(i + 1)
        if (damaged !== line) expect(refusalOf(() => parseThermometerLine(damaged))).toMatch(/damaged|not a line/)
      }),
    ))
  it.each([
    ['', /not a line/],
    ['T1,58.4', /not a line/],
    ['GPS,1,2*00', /not a line/],
  ])('“%s” is none, in words', (line, words) => expect(refusalOf(() => parseThermometerLine(line))).toMatch(words))
  it('Fahrenheit is taken as such; a head that cannot be is not believed', () => {
    const line = (text: string) =>
      `${text}*${[...text]
        .reduce((s, c) => s ^ c.charCodeAt(0), 0)
        .toString(16)
        .toUpperCase()
        .padStart(2, '0')}`
    expect(parseThermometerLine(line('T1,212,68,F'))).toEqual({ headC: 100, airC: 20 })
    expect(refusalOf(() => parseThermometerLine(line('T1,900,,C')))).toMatch(/out of range/)
  })
})
