import { describe, expect, it } from 'vitest'
import { engineOf, LogBook, pinOf } from '../../tests/support/builders'
import { twinOf } from '../../tests/support/engines'
import {
  eventWords,
  marginWords,
  notedWords,
  offeredWords,
  pastTopWords,
  reasons,
  schoolChoices,
  turnsToTell,
} from '../../tests/support/told'
import { tellEnglish } from '../../words'
import type { Engine } from '../engine'
import type { Observation } from '../position'
import { jobTools, positionWithout, viewJob } from './index'

const T = { kind: 'mark', markIndex: 0 } as const
const said = (engine: Engine, ...answers: Observation[][]) => {
  const log = new LogBook()
  for (const observations of answers) log.add({ type: 'crank', payload: { observations } })
  return { view: viewJob(jobTools(pinOf(engine)), log.events, 0), log }
}
const twin = twinOf(180, { layout: 'push-rods', camMarks: [{ words: 'the dots face each other', angleDeg: 0 }] })

describe('what this engine offers to look at, in its own words', () => {
  const { view } = said(twin, [{ kind: 'move', to: T }])
  it('names its cylinders, letters and sides', () => {
    const asks = offeredWords(view).map(q => q.ask)
    for (const ask of [
      'Left intake rocker',
      'The line at the pointer, in the rotor window',
      'Soft rod in the right plug hole',
      'Left push-rod ends',
      'Crank rocked a little: right valves',
      'Thumb on the left plug hole, coming up to here',
      'Right exhaust by eye',
      'The cam sign',
    ])
      expect(asks).toContain(ask)
    expect(
      offeredWords(view)
        .find(q => q.ask.startsWith('The line'))!
        .answers.map(a => a.title),
    ).toEqual(['T L', 'T R', 'F'])
  })
  it('that which tells most stands first, and what tells nothing more last', () => {
    const shares = offeredWords(view).map(q => q.share)
    expect(shares).toEqual([...shares].sort((a, b) => b - a))
    expect(shares[0]).toBeGreaterThan(0.5)
    expect(offeredWords(view).find(q => q.ask.startsWith('The line'))!.share).toBeLessThan(0.1)
  })
  it('what was answered here is shown with its answer, to be answered anew', () => {
    const after = said(twin, [
      { kind: 'move', to: T },
      { kind: 'rocker', valveId: 'l-intake', slack: false },
    ]).view
    expect(offeredWords(after).find(q => q.ask === 'Left intake rocker')).toMatchObject({
      answered: 'No play',
      share: 0,
    })
  })
  it('each answer records what it says', () => {
    for (const { answers } of offeredWords(view))
      for (const { happening } of answers) expect(happening.type).toBe('crank')
    expect(turnsToTell(view).map(t => t.title)).toEqual(
      expect.arrayContaining([
        'On until T R lines up',
        'On until the dots face each other',
        'Watched the right intake open and close, then turn to T R',
        'I lost count, or somebody turned it',
      ]),
    )
  })
})

describe('the reasons', () => {
  it('the latest first: what each did, and which does not fit', () => {
    const engine = twinOf(360)
    const both = (slack: boolean): Observation[] => [
      { kind: 'rocker', valveId: 'l-intake', slack },
      { kind: 'rocker', valveId: 'l-exhaust', slack },
    ]
    const { view, log } = said(
      engine,
      [{ kind: 'move', to: T }],
      both(true),
      [{ kind: 'turns', turns: 2, to: T }],
      both(false),
    )
    const all = reasons(view)
    expect(all.map(r => r.eventId)).toEqual([...log.events].reverse().map(e => e.id))
    expect(all[0]).toMatchObject({ words: 'Left intake no play and left exhaust no play', clashes: true })
    expect(all[2]!.after).toMatch(/^Left, compression TDC, (9\d|over 99) %$/)
    expect(all[3]!.before).toBe('anywhere')
    expect(tellEnglish(positionWithout(view, log.events[3]!.id).arcs[0]!.name)).toBe('Left, compression TDC')
  })
})

describe('how exact, and how far', () => {
  const cam = {
    checkLiftMm: 1,
    intakeOpensBeforeTdcDeg: 10,
    intakeClosesAfterBdcDeg: 45,
    exhaustOpensBeforeBdcDeg: 45,
    exhaustClosesAfterTdcDeg: 10,
  }
  const stopOf = (engine: Engine) => viewJob(jobTools(pinOf(engine)), [], 0).model.plan.stops[0]!
  it('a finger’s width does not matter where 105° are to spare; nothing is promised while the cam is assumed or a decompressor possible', () => {
    expect(marginWords(engineOf({ cam }), stopOf(engineOf({ cam })))).toBe(
      '105° to spare each way: being a finger’s width off T doesn’t matter.',
    )
    expect(marginWords(engineOf(), stopOf(engineOf()))).toBe('')
    expect(
      marginWords(
        engineOf({ cam, decompressor: { kind: 'unknown' } }),
        stopOf(engineOf({ cam, decompressor: { kind: 'unknown' } })),
      ),
    ).toBe('')
  })
  it('with a decompressor: why past top, and the drop in both units', () => {
    const engine = engineOf({ cam, decompressor: { kind: 'arc', role: 'exhaust', fromDeg: -120, toDeg: 10 } })
    // 6 mm down on stroke 57.8 and rod 100 is 33.3° past top (Heywood's slider-crank)
    expect(pastTopWords(engine, stopOf(engine))).toBe(
      'A decompressor holds the exhaust until 10° past top; at 33° past top it has released. Piston 6 mm (0.24 in) down.',
    )
    expect(pastTopWords({ ...engine, rodMm: null }, stopOf({ ...engine, rodMm: null }))).toContain(
      '(con-rod length assumed)',
    )
  })
})

describe('schools to choose from', () => {
  it('the shop’s favourite first, the job’s own marked, each with its trap', () => {
    const choices = schoolChoices(said(twinOf(360)).view, 'watching')
    expect(choices[0]).toMatchObject({ school: 'watching', favourite: true })
    expect(choices.find(c => c.chosen)?.school).toBe('marks')
    expect(choices.find(c => c.school === 'rod')?.caution).toMatch(/steel/)
    for (const c of choices) expect(c.caution).not.toBe('')
  })
})

describe('answers in words', () => {
  const engine = twinOf(180)
  it.each<[Observation, string]>([
    [
      { kind: 'seen', place: { kind: 'valve', valveId: 'l-intake', sight: 'fully open' } },
      'Left intake seen fully down',
    ],
    [{ kind: 'turn', deg: -20 }, 'Turned back 20°'],
    [{ kind: 'move', to: { kind: 'mark', markIndex: 1 }, times: 2 }, 'Turned to T R, 2 times around'],
    [{ kind: 'rocked', cylinderId: 'r', still: false }, 'Rocked, a valve moves'],
    [{ kind: 'watched', cylinderId: 'r', to: { kind: 'mark', markIndex: 1 } }, 'Right intake watched, then to T R'],
  ])('%j', (observation, words) => expect(notedWords(engine, observation)).toBe(words))
  it('a chosen way is in the log', () => {
    const log = new LogBook()
    expect(eventWords(pinOf(engine), log.add({ type: 'school-chosen', payload: { school: 'rod' } }))).toBe(
      'By rod and past top',
    )
  })
})
