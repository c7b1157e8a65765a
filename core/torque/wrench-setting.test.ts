import fc from 'fast-check'
import { unit } from 'mathjs'
import UnitMath from 'unitmath'
import { describe, expect, it } from 'vitest'
import { wrenchSetting } from '../../tests/support/told'
import { refusal } from '../../words/refusal'
import { newtonMetres } from '../units'
import { adapterSchema, scaleWords, torqueOn, type Wrench, wrenchSchema } from './index'

const wrench = (changes: Partial<Wrench> = {}): Wrench => ({
  name: 'Small click',
  unit: 'N·m',
  leastNm: 5,
  mostNm: 25,
  lengthMm: 180,
  calibrationDue: null,
  ...changes,
})
const crowfoot = (angleDeg: number, lengthMm = 40) => ({ name: 'Crow’s-foot', lengthMm, angleDeg })
const set = (nm: number, angleDeg: number | null, changes: Partial<Wrench> = {}) =>
  wrenchSetting(nm, wrench(changes), angleDeg === null ? null : crowfoot(angleDeg), '2026-11-25')

describe('what to set the wrench to', () => {
  // T·L / (L + E) straight on, T at 90°, T·L / (L − E) turned back: common practice
  it.each([
    [null, 10],
    [0, (10 * 180) / 220],
    [90, 10],
    [180, (10 * 180) / 140],
    [45, (10 * 180) / (180 + 40 * Math.SQRT1_2)],
  ])('at %s°', (angle, nm) => expect(set(10, angle).settingNm).toBeCloseTo(nm, 9))
  it('gives the torque back at the nut, by moments about it', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 100, noNaN: true }),
        fc.double({ min: 0, max: 180, noNaN: true }),
        fc.double({ min: 1, max: 90, noNaN: true }),
        (nm, angle, length) => {
          const { settingNm } = wrenchSetting(nm, wrench({ lengthMm: 200 }), crowfoot(angle, length), '2026-11-25')
          // the hand's force, square to the handle, times its distance from the nut along the handle
          const force = settingNm / 0.2
          expect(force * (0.2 + (length / 1000) * Math.cos((angle / 180) * Math.PI))).toBeCloseTo(nm, 9)
        },
      ),
    ))
  it('the units agree with mathjs and unitmath to 1e-9', () =>
    fc.assert(
      fc.property(fc.double({ min: 0.5, max: 300, noNaN: true }), value => {
        const mathjs = unit(value, 'lbf').toNumber('N')
        expect(newtonMetres(value, 'lbf·ft') / (mathjs * 0.3048) - 1).toBeCloseTo(0, 9)
        expect(newtonMetres(value, 'lbf·in') / (mathjs * 0.0254) - 1).toBeCloseTo(0, 9)
        const unitmath = UnitMath(value, 'lbf').mul(UnitMath(1, 'ft')).to('N m').getValue() as number
        expect(newtonMetres(value, 'lbf·ft') / unitmath - 1).toBeCloseTo(0, 9)
      }),
    ))
  it.each<[string, number, number | null, Partial<Wrench>, string | null, RegExp]>([
    ['in range and date', 8, null, {}, null, /^$/],
    ['under the scale', 4, null, {}, 'range', /4 N·m .* under the scale of Small click, 5–25 N·m. Take another/],
    ['over it', 30, null, {}, 'range', /over the scale/],
    ['brought under it by the crow’s-foot', 5.5, 0, {}, 'range', /4.5 N·m/],
    [
      'out of calibration',
      8,
      null,
      { calibrationDue: '2026-11-24' },
      'calibration',
      /due for calibration on 2026-11-24/,
    ],
    ['due today is still in', 8, null, { calibrationDue: '2026-11-25' }, null, /^$/],
    ['an adapter longer than the wrench, turned back', 8, 180, { lengthMm: 40 }, 'adapter', /Turn it to 90°/],
  ])('%s', (_, nm, angle, changes, kind, words) => {
    const [doubt] = set(nm, angle, changes).doubts
    expect(doubt?.kind ?? null).toBe(kind)
    expect(doubt?.words ?? '').toMatch(words)
  })
  it.each([0, -1, Number.NaN, Infinity])('refuses a torque of %d', nm =>
    expect(() => set(nm, null)).toThrow(RangeError),
  )
  it('writes a torque as the scale shows it', () => {
    expect([torqueOn(8, 'lbf·in'), torqueOn(25, 'lbf·ft'), torqueOn(7.94, 'N·m')]).toEqual([
      '71 lbf·in',
      '18.4 lbf·ft',
      '7.9 N·m',
    ])
    expect(scaleWords(wrench({ unit: 'lbf·in' }))).toBe('44–221 lbf·in')
  })
  it.each([
    [{ leastNm: 30 }, /over the lowest/],
    [{ lengthMm: 18 }, /50 mm long or more/],
    [{ calibrationDue: 'soon' }, /year-month-day/],
    [{ mostNm: 5000 }, /Check the unit/],
    [{ name: ' ' }, /Give it a name/],
  ])('refuses the wrench %j', (changes, words) =>
    expect(refusal(wrenchSchema.safeParse({ ...wrench(), ...changes }).error?.issues[0]?.message)).toMatch(words),
  )
  it('refuses an adapter of no length', () => expect(adapterSchema.safeParse(crowfoot(0, 0)).success).toBe(false))
})
