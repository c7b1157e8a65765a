import fc from 'fast-check'
import { unit } from 'mathjs'
import { describe, expect, it } from 'vitest'
import { tellEnglish } from '../../words'
import { refusalOf } from '../../words/refusal'
import {
  daysIn,
  fahrenheit,
  FigureError,
  formatLength,
  formatMeter,
  formatTorque,
  mmFromThou,
  NEWTON_METRES,
  newtonMetres,
  numberOf,
  numberProblem,
  parseLength,
  readLength,
  readNumber,
  readTemperature,
  readTorque,
  snapMm,
  thouFromMm,
} from './index'

describe('lengths', () => {
  it('adds blades exactly, where floating point does not', () => {
    expect(0.05 + 0.07).not.toBe(0.12)
    expect(snapMm(0.05 + 0.07)).toBe(0.12)
    expect(snapMm(-0)).toBe(0)
  })

  // 1 in = 25.4 mm exactly: NIST SP 811, appendix B; rounded pairs from common practice
  it.each([
    [4, 0.1016],
    [6, 0.1524],
    [1, 0.0254],
    [11, 0.2794],
    [0, 0],
  ])('%d thou is %d mm', (thou, mm) => {
    expect(mmFromThou(thou)).toBe(mm)
  })

  it('agrees with mathjs to 1e-9', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.001, max: 20, noNaN: true }), mm => {
        expect(thouFromMm(mm)).toBeCloseTo(unit(mm, 'mm').toNumber('in') * 1000, 8)
      }),
    )
  })

  it.each([
    ['0.10', 0.1, 'mm'],
    ['4 thou', 0.1016, 'thou'],
    ['.004 in', 0.1016, 'in'],
    ['0,1 mm', 0.1, 'mm'],
    ['  6 TH ', 0.1524, 'thou'],
    ['4thou', 0.1016, 'thou'],
    ['.15', 0.15, 'mm'],
    ['0.003"', 0.0762, 'in'],
  ])('reads “%s”', (text, mm, unitWord) => {
    expect(parseLength(text)).toMatchObject({ mm, unit: unitWord, text: text.trim() })
  })

  it.each(['', 'four', '0.1.2', '-0.1', '0.1 cm', '10 furlongs', '1001', 'NaN', '0.1 mm mm', '1e3'])(
    'refuses “%s” in words',
    text => {
      expect(() => parseLength(text)).toThrow(FigureError)
    },
  )

  it('says which unit is not known', () =>
    expect(refusalOf(() => parseLength('0.1 cm'))).toMatch(/cm.*Use mm, thou or in/))
  it('shows a third place only where two would lie', () => {
    expect([0.1, 0.135, 0.1016].map(v => formatLength(v, 'mm'))).toEqual(['0.10', '0.135', '0.102'])
    expect(formatLength(0.1, 'thou')).toBe('3.9')
  })
})

describe('torque and temperature', () => {
  it.each(['lbf·ft', 'lbf·in'] as const)('%s agrees with NIST SP 811, appendix B', name =>
    expect(NEWTON_METRES[name]).toBeCloseTo(name === 'lbf·ft' ? 1.355818 : 0.1129848, 6),
  )
  it('agrees with mathjs to 1e-9', () =>
    expect(newtonMetres(12, 'lbf·ft')).toBeCloseTo(unit(12, 'lbf').toNumber('N') * unit(1, 'ft').toNumber('m'), 7))
  // common practice
  it.each([
    [10, '10 N·m (89 lbf·in)'],
    [25, '25 N·m (18 lbf·ft)'],
    [7.9, '7.9 N·m (70 lbf·in)'],
  ])('writes %d N·m', (nm, words) => expect(formatTorque(nm)).toBe(words))
  // common practice, to the whole figure that people say
  it.each([
    [25, 'N·m', 18, 'lbf·ft'],
    [10, 'N·m', 7, 'lbf·ft'],
    [8, 'N·m', 6, 'lbf·ft'],
    [12, 'lbf·ft', 16.3, 'N·m'],
    [120, 'lbf·in', 13.6, 'N·m'],
    [70, 'lbf·in', 7.9, 'N·m'],
    [180, 'lbf·in', 15, 'lbf·ft'],
  ] as const)('%d %s is about %d %s', (value, from, other, to) =>
    expect(Math.abs(newtonMetres(value, from) / newtonMetres(1, to) - other)).toBeLessThan(other % 1 ? 0.06 : 0.5),
  )
  it('35 °C is 95 °F', () => expect(fahrenheit(35)).toBe(95))
  it('writes a meter with its unit', () => expect(formatMeter(14260, 'km')).toBe('14,260 km'))
})

describe('numbers as people of several countries type them', () => {
  it.each([
    ['12', 12],
    ['12,5', 12.5],
    ['12.5', 12.5],
    ['.5', 0.5],
    ['14 060', 14060],
    ['14,060.5', 14060.5],
    ['14.060,5', 14060.5],
    ['1,234,567', 1234567],
    ['0,125', 0.125],
    ['1234,125', 1234.125],
  ])('“%s” is %d', (text, value) => expect(readNumber(text)).toEqual({ kind: 'number', value }))
  it.each([
    ['1,500', [1500, 1.5]],
    ['14.060', [14060, 14.06]],
  ])('“%s” may be either, and is asked about', (text, values) => {
    expect(readNumber(text)).toEqual({ kind: 'either', values })
    expect(tellEnglish(numberProblem(text)!)).toBe(
      `“${text}” can mean ${values[0]} or ${values[1]}. Type ${values[0]} or ${values[1]}.`,
    )
  })
  it('three digits after a point are read by what the figure can be: a shim, a torque, a gauge in kPa', () => {
    expect(numberOf('2.375', mm => mm <= 100)).toBe(2.375)
    expect(numberOf('2,825', nm => nm <= 1000)).toBe(2.825)
    expect(numberOf('1,034', kPa => kPa > 200)).toBe(1034)
    // where it can be both, or neither, it is asked about
    expect(numberOf('1.500')).toBeNaN()
    expect(numberOf('1.500', value => value > 5000)).toBeNaN()
  })
  it.each(['', 'ten', '1,2,3', '1.2,3,4', '12,', '--1', '1,50,000'])('“%s” is no number', text =>
    expect(readNumber(text).kind).toBe('none'),
  )
})

describe('a figure in the unit of its page', () => {
  it.each(['N·m', 'lbf·ft', 'lbf·in', 'kgf·m'])('a torque in %s is what mathjs makes of it', name => {
    const named = { 'N·m': 'N m', 'lbf·ft': 'lbf ft', 'lbf·in': 'lbf in', 'kgf·m': 'kgf m' }[name]!
    for (const figure of [1, 7.5, 12, 88])
      expect(readTorque(`${figure} ${name}`).value).toBeCloseTo(unit(figure, named).toNumber('N m'), 3)
  })
  it.each(['12 ft-lb', '12 ft. lbs.', '12 lb-ft', '12 LBF-FT', '12 foot-pounds', '12 lbf·ft'])(
    '%s is one torque',
    text => expect(readTorque(text).value).toBe(16.2698),
  )
  it.each(['8–10 N·m', '8-10 Nm', '8 to 10 N.m', '8 ~ 10 N•m'])('%s: the middle counts, the limits are known', text =>
    expect(readTorque(text)).toEqual({ value: 9, lo: 8, hi: 10 }),
  )
  it.each(['twelve', '12 mm', '', '8–9–10', '12 lbf·ft extra'])('refuses “%s” with what to type', text =>
    expect(refusalOf(() => readTorque(text))).toMatch(/not a torque/),
  )
  it('temperatures and lengths', () => {
    for (const f of [32, 68, 95, 212])
      expect(readTemperature(`${f} °F`).value).toBeCloseTo(unit(f, 'degF').toNumber('degC'), 3)
    expect(readTemperature('35').value).toBe(35)
    expect(readLength('1/4 in').value).toBe(6.35)
    expect(readLength('2 1/4 in').value).toBe(57.15)
    expect(readLength('57,8').value).toBe(57.8)
  })
})

describe('the day of a moment', () => {
  // IANA time zone database: Denver is 7 h behind in winter, Kiritimati 14 h ahead, Kathmandu 5 h 45
  it.each([
    ['2026-12-01T00:30:00Z', 'America/Denver', '2026-11-30'],
    ['2026-11-30T10:30:00Z', 'Pacific/Kiritimati', '2026-12-01'],
    ['2026-03-04T18:15:00Z', 'Asia/Kathmandu', '2026-03-05'],
    ['2026-03-04T18:14:59Z', 'Asia/Kathmandu', '2026-03-04'],
    ['2026-07-01T00:00:00Z', 'UTC', '2026-07-01'],
  ])('%s in %s is %s', (at, timeZone, day) => expect(daysIn(timeZone)(new Date(at))).toBe(day))
  it('does not hang on how a browser writes a date', () => {
    // as a WebKit was seen to write the dates of Canada
    const own = Object.getOwnPropertyDescriptor(Intl.DateTimeFormat.prototype, 'format')!
    Object.defineProperty(Intl.DateTimeFormat.prototype, 'format', { ...own, get: () => () => '11/30/2026' })
    try {
      expect(daysIn('UTC')(Date.parse('2026-11-30T12:00:00Z'))).toBe('2026-11-30')
    } finally {
      Object.defineProperty(Intl.DateTimeFormat.prototype, 'format', own)
    }
  })
})
