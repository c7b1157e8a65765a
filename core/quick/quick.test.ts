import { describe, expect, it } from 'vitest'
import { quickOf } from '../../tests/support/quick'
import { limitsOf, targetOf } from '../feeler'
import { planStops } from '../stops'
import { QUICK_ENGINES, quickEngine, readSaidClearances } from './index'

/** Intake and exhaust of each reading, mm, the likeliest first. */
const read = (text: string) =>
  readSaidClearances(text).map(({ as, clearance }) => [as, targetOf(clearance.intake), targetOf(clearance.exhaust)])

describe('clearances as they are said', () => {
  // 1 thou = 0.0254 mm exactly (NIST SP 811, appendix B)
  it.each([
    ['0.10 0.15', [['mm', 0.1, 0.15]]],
    ['0,10 0,15', [['mm', 0.1, 0.15]]],
    ['.10/.15', [['mm', 0.1, 0.15]]],
    ['.004 .006', [['in', 0.1016, 0.1524]]],
    ['0.004" 0.006"', [['in', 0.1016, 0.1524]]],
    ['.004 in and .006 in', [['in', 0.1016, 0.1524]]],
    ['4 and 6 thou', [['thou', 0.1016, 0.1524]]],
    ['4 y 6 milésimas', [['thou', 0.1016, 0.1524]]],
    ['10 y 15 centésimas', [['hundredths', 0.1, 0.15]]],
    ['0.1', [['mm', 0.1, 0.1]]],
    ['in .10 ex .15', [['mm', 0.1, 0.15]]],
    ['ex 0.15, in 0.10 mm', [['mm', 0.1, 0.15]]],
    ['exhaust: 6 thou intake: 4 thou', [['thou', 0.1016, 0.1524]]],
    ['adm 0,08-0,12 esc 0,13-0,17', [['mm', 0.1, 0.15]]],
    ['0.08–0.12 0.13–0.17', [['mm', 0.1, 0.15]]],
    ['0.08 to 0.12', [['mm', 0.1, 0.1]]],
  ])('%s', (text, wanted) => {
    expect(read(text)).toEqual(wanted)
  })
  it('whole figures without a unit are read both ways, the usual one first, and a person chooses', () => {
    expect(read('4 and 6').map(r => r[0])).toEqual(['thou', 'hundredths'])
    expect(read('10 15').map(r => r[0])).toEqual(['hundredths', 'thou'])
    expect(read('.02 .02').map(r => r[0])).toEqual(['in', 'mm'])
    expect(read('1.0 1.5')).toEqual([
      ['tenths', 0.1, 0.15],
      ['thou', 0.0254, 0.0381],
    ])
  })
  it('what no such valve is set to is not read, whatever the unit', () => {
    for (const text of [
      '0.10 1.5',
      'ten',
      '1.0 ten',
      '0.10 0.15 gap 3',
      '',
      '0.1 0.2 0.3',
      'in .1 in .2',
      '0.15-0.10 0.2',
      '400 600 thou',
    ])
      expect(read(text), text).toEqual([])
  })
  it('an exhaust that is tighter than its intake is told: the two may be in the other order', () => {
    expect(readSaidClearances('0.15 0.10')[0]!.exhaustTighter).toBe(true)
    expect(readSaidClearances('0.10 0.15')[0]!.exhaustTighter).toBe(false)
  })
})

const SOURCE = { words: 'Told at the bench', date: '2026-11-29' }

describe('the engine of a quick job', () => {
  it.each(QUICK_ENGINES.flatMap(engine => ([2, 4] as const).map(valves => [engine, valves] as const)))(
    '%s with %d valves a cylinder has stops for every valve',
    (engine, valves) => {
      for (const mark of [true, false])
        for (const adjuster of ['valve-end', 'pushrod-end', 'pivot-nut'] as const) {
          const made = quickEngine(quickOf({ engine, valves, mark, adjuster }), SOURCE)
          expect(made.valves).toHaveLength(valves * (engine === 'single' ? 1 : 2))
          expect(planStops(made).unserved).toEqual([])
          expect(made.marks.length > 0).toBe(mark)
        }
    },
  )
  it('keeps the figures exactly, in the unit in which they were said', () => {
    const said = readSaidClearances('.004 .006')[0]!
    const { clearance } = quickEngine(quickOf({ clearance: said.clearance }), SOURCE)
    expect(clearance).toEqual(said.clearance)
    const limits = readSaidClearances('0.08-0.12 0.13-0.17')[0]!
    expect(limitsOf(quickEngine(quickOf({ clearance: limits.clearance }), SOURCE).clearance.exhaust)).toEqual({
      minMm: 0.13,
      maxMm: 0.17,
    })
  })
  it('claims nothing of timing, decompressor or thread', () => {
    const made = quickEngine(quickOf(), SOURCE)
    expect([made.cam, made.decompressor.kind, made.adjuster.pitchAssumed]).toEqual([null, 'unknown', true])
  })
})
