import { unit } from 'mathjs'
import { describe, expect, it } from 'vitest'
import * as singles from '../../server/demo/models/singles'
import * as twins from '../../server/demo/models/twins'
import { tellEnglish } from '../../words'
import type { Clearance } from '../engine'
import { doubtsOf, emptySpec, readSpec, type SpecText, threadTorques } from './index'

const engine = (changes: Partial<SpecText>) => {
  const { engine: read, wrong } = readSpec({
    ...emptySpec(),
    intake: '0.08–0.12',
    exhaust: '0.10–0.14',
    stroke: '57.8',
    seenFrom: 'the left',
    means: 'the nut',
    source: 'Manual',
    sourceDate: '2024-01-02',
    ...changes,
  })
  expect(wrong).toEqual({})
  return read!
}
const doubts = (changes: Partial<SpecText>) => doubtsOf(engine(changes))

describe('a spec without a slip raises no doubt', () => {
  it.each([
    [{}],
    [{ intakeAlso: '.003–.005', exhaustAlso: '.004–.006' }],
    [{ intake: '0.10', exhaust: '0.15', intakeAlso: '0.004', exhaustAlso: '0.006' }],
    [{ unit: 'thou', intake: '4', exhaust: '6', intakeAlso: '0.10', exhaustAlso: '0.15' }],
    [{ pitch: 'M5×0.5', locknut: '8' }],
    [{ pitch: 'M6×0.75', locknut: '11', cover: '10', plug: '12' }],
    [{ io: '5', ic: '35', eo: '35', ec: '5', checkLift: '1' }],
    [{ intake: '0.10 ± 0.02', exhaust: '0.13 ± 0.02' }],
  ] as Partial<SpecText>[][])('%o', changes => expect(doubts(changes!)).toEqual([]))
  it.each([...Object.values(singles), ...Object.values(twins)].map(m => [m.model, m.engine] as const))(
    'the demo’s %s',
    (_, e) => expect(doubtsOf(e)).toEqual([]),
  )
})

describe('each slip is named with both readings', () => {
  it.each([
    [
      'units that differ',
      { exhaust: '0.10–0.14', exhaustAlso: '.005–.007' },
      'exhaustAlso',
      ['0.10–0.14 mm', '.005–.007 in'],
      /two readings/,
    ],
    [
      'a place slipped in inches',
      { intake: '0.10', exhaust: '0.12', intakeAlso: '.04' },
      'intakeAlso',
      ['0.10 mm', '.04 in'],
      /ten times/,
    ],
    [
      'inch figure entered as mm',
      { intake: '0.004', exhaust: '0.12' },
      'intake',
      ['0.004 mm', '0.040 mm, or 0.004 in, 0.102 mm'],
      /closer than a valve is set/,
    ],
    [
      '0.8 for 0.08',
      { intake: '0.8', exhaust: '0.9' },
      'intake',
      ['0.8 mm', '0.080 mm, or 0.8 thou, 0.020 mm'],
      /wider/,
    ],
    [
      'exhaust tenfold',
      { intake: '0.05', exhaust: '0.5' },
      'exhaust',
      ['intake 0.05 mm', 'exhaust 0.5 mm'],
      /ten times/,
    ],
    [
      'exhaust the tighter',
      { intake: '0.12–0.16', exhaust: '0.08–0.12' },
      'exhaust',
      ['intake 0.12–0.16 mm', 'exhaust 0.08–0.12 mm'],
      /tighter/,
    ],
    [
      'a field wider than the figure',
      { intake: '0.10 ± 0.08', exhaust: '0.15' },
      'intake',
      ['± 0.08 mm', '± 0.008 mm'],
      /wider than the figure/,
    ],
    ['lbf·in read as N·m', { pitch: 'M5×0.5', locknut: '71' }, 'locknut', ['71 N·m', '7.1 N·m'], /71 lbf·in, 8 N·m/],
    [
      'a place slipped in the torque',
      { pitch: 'M6×0.75', locknut: '1' },
      'locknut',
      ['1 N·m', '10 N·m'],
      /less than a M6/,
    ],
    ['plug torque tenfold', { plug: '120' }, 'plug', ['120 N·m', '12 N·m'], /12 N·m/],
    [
      'both figures tenfold',
      { intake: '0.5', exhaust: '0.6' },
      'intake',
      ['0.5 and 0.6 mm', '0.05 and 0.06 mm'],
      /wide for a small engine/,
    ],
    ['firing 36 for 360', { cylinders: 'Left 0, Right 36' }, 'cylinders', ['36°', '360°'], /Was 360° meant/],
    [
      'opening and closing exchanged',
      { io: '45', ic: '10', eo: '45', ec: '10', checkLift: '1' },
      'io',
      ['opens 45°, closes 10°', 'opens 10°, closes 45°'],
      /the opposite is usual/,
    ],
    [
      'hydraulic lifters',
      { intakeBy: 'none', exhaustBy: 'none' },
      'intakeBy',
      ['nothing can be set: measured only', 'a screw or a shim'],
      /not set by blade/,
    ],
    [
      'a maker’s list that leaves a valve out',
      { marks: 'T 0', markWindow: 'w', stops: '0 T: intake', io: '5', ic: '35', eo: '35', ec: '5', checkLift: '1' },
      'stops',
      ['a stop needs another valve', 'the maker lists none'],
      /no place for the exhaust/,
    ],
    [
      'a maker’s list without cam timing',
      { marks: 'T 0', markWindow: 'w', stops: '0 T: intake, exhaust' },
      'stops',
      ['each line was read twice', 'cam timing can be given too'],
      /nothing checks this list/,
    ],
  ] as [string, Partial<SpecText>, string, [string, string], RegExp][])('%s', (_, changes, field, readings, says) => {
    const [first] = doubts(changes)
    expect(first!.field).toBe(field)
    expect(first!.readings.map(tellEnglish)).toEqual(readings)
    expect(tellEnglish(first!.says)).toMatch(says)
  })
  it('a maker’s stop at which the cam figures hold a valve open', () => {
    const [first] = doubts({
      io: '5',
      ic: '35',
      eo: '35',
      ec: '5',
      checkLift: '1',
      marks: 'T 0, S 90',
      markWindow: 'w',
      stops: '450 S: intake',
    })
    expect(first).toMatchObject({
      field: 'stops',
      says: { say: 'doubt.open', valve: 'Intake', deg: '450', makers: true },
    })
  })
  it('a doubt that was answered is not raised again, but one about other figures is', () => {
    const [a] = doubts({ plug: '120' })
    expect(doubts({ plug: '120', tools: 'another' })[0]!.id).toBe(a!.id)
    expect(doubts({ plug: '121' })[0]!.id).not.toBe(a!.id)
  })
})

describe('against others', () => {
  it('inch figures are held against mm as mathjs converts them', () => {
    for (const [mm, inch] of [
      [0.1, 0.004],
      [0.15, 0.006],
      [0.2, 0.008],
      [0.08, 0.003],
    ] as const) {
      const off = Math.abs(unit(inch, 'in').toNumber('mm') - mm)
      const within = off <= unit(0.0005, 'in').toNumber('mm') + 0.005
      const [text, also] = [mm.toFixed(2), inch.toFixed(3)]
      expect(doubts({ intake: text, exhaust: '0.3', intakeAlso: also }).some(d => d.field === 'intakeAlso')).toBe(
        !within,
      )
    }
  })
  it('an M6 of class 8.8 is usually torqued to about 10 N·m, an M8 to 25 (common practice): both can be meant, ten times as much cannot', () => {
    for (const [threadMm, pitchMm, usual] of [
      [6, 1, 10],
      [8, 1.25, 25],
      [5, 0.8, 6],
    ] as const) {
      const { leastNm, mostNm } = threadTorques({ threadMm, pitchMm })
      expect(usual).toBeGreaterThan(leastNm)
      expect(usual).toBeLessThan(mostNm)
      expect(usual * 10).toBeGreaterThan(mostNm)
      expect(usual / 10).toBeLessThan(leastNm)
    }
  })
  it('the stress area is ISO 898-1’s: 20.1 mm² for M6, 14.2 for M5, 36.6 for M8', () => {
    for (const [threadMm, pitchMm, areaMm2] of [
      [6, 1, 20.1],
      [5, 0.8, 14.2],
      [8, 1.25, 36.6],
    ] as const)
      expect(threadTorques({ threadMm, pitchMm }).mostNm).toBeCloseTo(
        ((0.2 * threadMm) / 1000) * 0.75 * 970 * areaMm2,
        0,
      )
  })
})

it('a figure is never changed: doubts leave the engine as it was', () => {
  const given = engine({ plug: '120', intake: '0.8', exhaust: '0.9' })
  const before = structuredClone(given)
  doubtsOf(given)
  expect(given).toEqual(before)
  expect((given.clearance.intake as Extract<Clearance, { form: 'bare' }>).figureMm).toBe(0.8)
})
