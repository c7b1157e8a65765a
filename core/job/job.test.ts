import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { afterLast, engineOf, LogBook, pinOf } from '../../tests/support/builders'
import { nextThing, progress, sheet } from '../../tests/support/told'
import { MORNING, wholeJob } from '../../tests/support/whole-job'
import { refusal } from '../../words/refusal'
import type { Place } from '../engine'
import {
  bayColumn,
  EVENTS,
  firstOpen,
  gates,
  type Happening,
  isCold,
  jobTools,
  readingRows,
  reduceJob,
  viewJob,
  workingOrder,
} from './index'

const T: Place = { kind: 'mark', markIndex: 0 }
const toT: Happening = { type: 'crank', payload: { observations: [{ kind: 'move', to: T }] } }
const slack: Happening = {
  type: 'crank',
  payload: {
    observations: [
      { kind: 'rocker', valveId: 'intake', slack: true },
      { kind: 'rocker', valveId: 'exhaust', slack: true },
    ],
  },
}
const trial = (
  valveId: string,
  t: number,
  feel: 'free' | 'drag' | 'pinched' | 'no-go',
  after: { kind: 'screw'; deg: number } | { kind: 'nipped' } | { kind: 'torqued'; torqueNm: number } | null = null,
): Happening => ({ type: 'trial', payload: { valveId, bladesMm: [t], feel, after } })
const READY: Happening[] = [
  { type: 'confirmed', payload: { item: 'machine' } },
  { type: 'confirmed', payload: { item: 'spec' } },
  { type: 'temperature', payload: { celsius: 20 } },
  { type: 'confirmed', payload: { item: 'safe' } },
  { type: 'came-off', payload: { item: 'Seat' } },
  { type: 'came-off', payload: { item: 'Spark plug' } },
  { type: 'came-off', payload: { item: 'Rocker cover' } },
  { type: 'plug-read', payload: { look: 'Gray to brown' } },
  { type: 'plug-gap', payload: { was: 'right' } },
  { type: 'confirmed', payload: { item: 'valves' } },
]
const book = (...happenings: Happening[]): LogBook => {
  const log = new LogBook()
  for (const h of happenings) log.add(h)
  return log
}
const pin = pinOf()
const tools = jobTools(pin)
const view = (log: LogBook, nowMs = afterLast(log, MORNING)) => viewJob(tools, log.events, nowMs)
const verdictOf = (log: LogBook, id: string) => readingRows(view(log)).filter(r => r.valveId === id)

describe('the fold', () => {
  it('does not depend on the order in which the log arrives', async () => {
    const { log } = await wholeJob(engineOf(), { gapMm: { intake: 0.1, exhaust: 0.05 } })
    const rows = readingRows({ pin, state: reduceJob(pin, log.events) })
    fc.assert(
      fc.property(fc.shuffledSubarray(log.events, { minLength: log.events.length }), events => {
        expect(readingRows({ pin, state: reduceJob(pin, events) })).toEqual(rows)
      }),
      { numRuns: 20 },
    )
  })
  it('an answer taken back is as if it had never been, at any depth', async () => {
    const { log } = await wholeJob(engineOf(), { gapMm: { intake: 0.07, exhaust: 0.12 } })
    const last = log.events.length
    fc.assert(
      fc.property(fc.integer({ min: 0, max: last - 2 }), at => {
        const gone = log.events[at]!
        const without = log.events.filter(e => e !== gone)
        const retraction = {
          ...gone,
          id: '01900000-ffff-7000-8000-000000000000',
          seq: last + 1,
          deviceSeq: last + 1,
          seenSeq: last,
          type: 'retracted',
          payload: { eventId: gone.id, how: 'recorded wrongly' },
        } as typeof gone
        const [a, b] = [reduceJob(pin, [...log.events, retraction]), reduceJob(pin, without)]
        expect(readingRows({ pin, state: a })).toEqual(readingRows({ pin, state: b }))
        expect(a.noted).toEqual(b.noted)
      }),
      { numRuns: 30 },
    )
  })
  it('a turned crank starts a half-made reading again, but keeps one that stands', () => {
    expect(verdictOf(book(...READY, toT, slack, trial('intake', 0.08, 'free'), toT), 'intake')).toEqual([])
    expect(verdictOf(book(...READY, toT, slack, trial('intake', 0.1, 'drag'), toT), 'intake')).toHaveLength(1)
  })
  it('trials made after the crank moved stand alone, and do not mix with older ones', () => {
    const log = book(
      ...READY,
      toT,
      slack,
      trial('intake', 0.1, 'drag'),
      { type: 'mark-checked', payload: { valveId: 'exhaust', still: false } },
      toT,
      slack,
      trial('intake', 0.12, 'free'),
    )
    expect(verdictOf(log, 'intake')).toMatchObject([{ loMm: 0.12, hiMm: null, verdict: 'loose' }])
  })
  it('screw, nip and torque each begin a reading of their own, round by round', () => {
    const log = book(
      ...READY,
      toT,
      slack,
      trial('exhaust', 0.1, 'no-go'),
      { type: 'nut-loosened', payload: { valveId: 'exhaust' } },
      trial('exhaust', 0.12, 'drag', { kind: 'screw', deg: -10 }),
      trial('exhaust', 0.12, 'drag', { kind: 'nipped' }),
      trial('exhaust', 0.1, 'no-go', { kind: 'torqued', torqueNm: 8 }),
      { type: 'nut-loosened', payload: { valveId: 'exhaust' } },
      trial('exhaust', 0.13, 'drag', { kind: 'screw', deg: -8 }),
    )
    expect(verdictOf(log, 'exhaust').map(r => [r.phase, r.round, r.verdict])).toEqual([
      ['as found', 0, 'tight'],
      ['before lock', 1, 'in'],
      ['nipped', 1, 'in'],
      ['torqued', 1, 'tight'],
      ['before lock', 2, 'in'],
    ])
    expect(view(log).state.valves[1]?.screwDeg).toBe(-18)
  })
  it('unknown valves are ignored: an observation is never refused', () =>
    expect(() => view(book(trial('nine', 0.1, 'drag')))).not.toThrow())
})

describe('undo corrects the record, never the engine', () => {
  it('what rested on a place that was taken back is to be looked at again, until it is', () => {
    const log = book(...READY, toT, slack, trial('intake', 0.1, 'drag'))
    log.add({ type: 'retracted', payload: { eventId: log.events.at(-2)!.id, how: 'recorded wrongly' } })
    expect(view(log).state.valves.map(v => v.lookAgain)).toEqual([true, false])
    expect(gates(view(log)).find(g => g.id === 'look-again:intake')?.met).toBe(false)
    log.add(slack)
    log.add(trial('intake', 0.1, 'drag'))
    expect(view(log).state.valves[0]?.lookAgain).toBe(false)
  })
  it('a turn that was turned back leaves the place lost; one recorded wrongly leaves it as before', () => {
    const turn = book(...READY, toT, slack, { type: 'prove-turned', payload: { turns: 2, to: T } })
    const back = (how: 'turned back' | 'recorded wrongly') => {
      const log = book(...turn.events)
      log.add({ type: 'retracted', payload: { eventId: log.events.at(-1)!.id, how } })
      return view(log).position.standing.kind
    }
    expect(back('recorded wrongly')).toBe('settled')
    expect(back('turned back')).not.toBe('settled')
  })
  it('a screw that was turned back stands where it stood', () => {
    const log = book(
      ...READY,
      toT,
      slack,
      trial('exhaust', 0.1, 'no-go'),
      { type: 'nut-loosened', payload: { valveId: 'exhaust' } },
      trial('exhaust', 0.12, 'drag', { kind: 'screw', deg: -10 }),
    )
    log.add({ type: 'retracted', payload: { eventId: log.events.at(-1)!.id, how: 'turned back' } })
    expect(view(log).state.valves[1]).toMatchObject({ screwDeg: 0, nut: 'loose' })
  })
})

describe('two devices on one job', () => {
  it('a feel that had not seen the other’s turn is kept apart until somebody says before or after', () => {
    const log = book(...READY, toT)
    const seen = log.events.length
    log.add({ type: 'crank', payload: { observations: [{ kind: 'turns', turns: 1, to: T }] } }, { deviceId: 'phone' })
    const feel = log.add(slack, { deviceId: 'tablet', seenSeq: seen })
    expect(view(log).state.unplaced.map(e => e.id)).toEqual([feel.id])
    expect(view(log).state.noted).toHaveLength(2)
    const placed = (when: 'before' | 'after') => {
      const more = book(...log.events)
      more.events.splice(0, more.events.length, ...log.events)
      more.add({ type: 'placed', payload: { eventId: feel.id, when } })
      return view(more).state.noted.map(n => n.observation.kind)
    }
    expect(placed('before')).toEqual(['move', 'rocker', 'rocker', 'turns'])
    expect(placed('after')).toEqual(['move', 'turns', 'rocker', 'rocker'])
  })
  it('one’s own turns need no asking', () => expect(workingOrder(book(toT, slack).events).unplaced).toEqual([]))
})

describe('gates', () => {
  it.each<[string, Happening[], boolean]>([
    ['none given', [], false],
    ['under the limit', [{ type: 'temperature', payload: { celsius: 35 } }], true],
    ['over it', [{ type: 'temperature', payload: { celsius: 36 } }], false],
    ['four hours at rest', [{ type: 'rested', payload: { hours: 4 } }], true],
    ['two hours', [{ type: 'rested', payload: { hours: 2 } }], false],
    [
      'a rest said before a warm reading',
      [
        { type: 'rested', payload: { hours: 12 } },
        { type: 'temperature', payload: { celsius: 60 } },
      ],
      false,
    ],
  ])('cold: %s', (_, said, cold) => expect(isCold(view(book(...said), Date.UTC(2026, 10, 25, 8, 30)))).toBe(cold))
  it('rest goes on by the clock that is passed in', () => {
    const log = book({ type: 'rested', payload: { hours: 2 } })
    expect(isCold(view(log, Date.UTC(2026, 10, 25, 9, 30)))).toBe(false)
    expect(isCold(view(log, Date.UTC(2026, 10, 25, 10, 30)))).toBe(true)
  })
  it('a gate that was gone through names who and why, and the sheet says so', () => {
    const log = book(...READY.filter(h => h.type !== 'temperature'))
    expect(firstOpen(gates(view(log)))?.id).toBe('cold')
    log.add({
      type: 'gate-passed',
      payload: { gate: 'cold', missing: 'Not known to be cold.', reason: 'Brought in from the snow' },
    })
    expect(firstOpen(gates(view(log)))?.id).toBe('place:0')
    expect(sheet(view(log)).departures).toMatchObject([{ reason: 'Brought in from the snow', by: 'Ada' }])
  })
  it('a place that was gated counts for that place only', () => {
    const log = book(...READY, toT)
    log.add({ type: 'gate-passed', payload: { gate: 'place:1', missing: '', reason: 'Seen the cam' } })
    expect(nextThing(view(log)).step).toBe('measure')
    log.add({ type: 'mark-checked', payload: { valveId: 'intake', still: false } })
    expect(nextThing(view(log)).step).toBe('find')
  })
  it('a draft spec is a gate of its own', () => {
    const draft = jobTools(
      pinOf(engineOf(), { spec: { revisionId: 1, revision: 1, status: 'draft', engine: engineOf() } }),
    )
    expect(firstOpen(gates(viewJob(draft, book(...READY.slice(0, 2)).events, MORNING)))?.id).toBe('spec-approved')
  })
})

describe('the next thing', () => {
  const measured = [...READY, toT, slack, trial('intake', 0.1, 'drag')]
  it('asks whether the mark is still there after a pause or another hand, and not before each valve', () => {
    const log = book(...measured)
    const last = Date.parse(log.events.at(-1)!.at)
    const after = (ms: number) => nextThing(viewJob(jobTools(pinOf()), log.events, last + ms))
    expect(after(1000)).toMatchObject({ step: 'measure', trial: { valveId: 'exhaust' } })
    // three minutes with a blade in the gap: the keys do not change under the hand
    expect(after(3 * 60_000)).toMatchObject({ step: 'measure', trial: { valveId: 'exhaust' } })
    expect(after(10 * 60_000).instruction).toBe('Is T still at the pointer?')
    log.add({ type: 'mark-checked', payload: { valveId: 'exhaust', still: true } })
    log.add(trial('exhaust', 0.1, 'free'))
    expect(after(62_000)).toMatchObject({ step: 'measure', trial: { valveId: 'exhaust' } })
    log.add(trial('exhaust', 0.15, 'free'), { personId: 2, personName: 'Bea' })
    expect(after(3 * 60_000 + 1000).instruction).toBe('Is T still at the pointer?')
  })
  it('“it moved” sends back to Find', () => {
    const log = book(...measured, { type: 'mark-checked', payload: { valveId: 'exhaust', still: false } })
    expect(nextThing(view(log)).step).toBe('find')
  })
  it('a tapped valve comes first while it is still asked for', () =>
    expect(nextThing(view(book(...READY, toT, slack)), 'exhaust').trial?.valveId).toBe('exhaust'))
  it('sets nothing before every valve was measured as found', () => {
    const log = book(...READY, toT, slack, trial('intake', 0.03, 'no-go'))
    expect(nextThing(view(log)).step).toBe('measure')
  })
  it('a valve that proves out goes back to Set, and only it is proved again', () => {
    const log = book(
      ...measured,
      trial('exhaust', 0.12, 'drag'),
      { type: 'prove-turned', payload: { turns: 2, to: T } },
      trial('intake', 0.1, 'drag'),
      trial('exhaust', 0.1, 'pinched'),
    )
    // the same gap, read tighter at another place: the place is doubted first
    expect(nextThing(view(log))).toMatchObject({ step: 'find', requirement: { id: 'differs:exhaust:2' } })
    log.add({
      type: 'gate-passed',
      payload: { gate: 'differs:exhaust:2', missing: '', reason: 'Found anew by rod, the same' },
    })
    expect(nextThing(view(log))).toMatchObject({ step: 'set', stage: { valveId: 'exhaust' } })
    for (const h of [
      { type: 'nut-loosened', payload: { valveId: 'exhaust' } },
      trial('exhaust', 0.12, 'drag', { kind: 'screw', deg: -6 }),
      trial('exhaust', 0.12, 'drag', { kind: 'nipped' }),
      trial('exhaust', 0.12, 'drag', { kind: 'torqued', torqueNm: 8 }),
    ] as Happening[])
      log.add(h)
    expect(nextThing(view(log)).requirement?.id).toBe('turned')
    log.add({ type: 'prove-turned', payload: { turns: 2, to: T } })
    expect(nextThing(view(log))).toMatchObject({ step: 'prove', trial: { valveId: 'exhaust' } })
    log.add(trial('exhaust', 0.12, 'drag'))
    expect(nextThing(view(log)).step).toBe('close')
  })
  it('a valve that is in is not offered for setting, but may be set', () => {
    const log = book(...measured, trial('exhaust', 0.12, 'drag'))
    expect(nextThing(view(log)).step).toBe('prove')
    log.add({ type: 'set-chosen', payload: { valveId: 'intake' } })
    expect(nextThing(view(log))).toMatchObject({ step: 'set', stage: { valveId: 'intake' } })
  })
  it('instructions fit their two lines', async () => {
    const { story } = await wholeJob(engineOf({ decompressor: { kind: 'unknown' } }), {
      gapMm: { intake: -0.01, exhaust: 0.05 },
    })
    for (const line of story) expect(line.split(' → ')[0]!.length, line).toBeLessThan(75)
  })
})

describe('progress, board and sheet', () => {
  it('puts a job into the column of what it waits for', () => {
    const log = book()
    const column = () => bayColumn(view(log, Date.UTC(2026, 10, 25, 8, 30)))
    expect(column()).toBe('ready')
    for (const h of READY.slice(0, 2)) log.add(h)
    log.add({ type: 'temperature', payload: { celsius: 58 } })
    expect(column()).toBe('cooling')
    for (const h of READY.slice(2)) log.add(h)
    expect(column()).toBe('bench')
    for (const h of [toT, slack, trial('intake', 0.1, 'drag'), trial('exhaust', 0.12, 'drag')]) log.add(h)
    expect(column()).toBe('prove')
    log.add({ type: 'abandoned', payload: { reason: 'taken home' } })
    expect(column()).toBe('done')
  })
  it('says where each step stands', () =>
    expect(progress(view(book(...READY))).map(s => s.state)).toEqual([
      'done',
      'active',
      'to come',
      'to come',
      'to come',
      'to come',
    ]))
  it('claims nothing that was not ticked', () => {
    const blank = sheet(view(book()))
    expect(blank.valves.every(v => v.asFound === null && v.asLeft === null && v.proof === null)).toBe(true)
    expect([blank.cold, blank.plug, blank.gasket, blank.run, blank.nextDue]).toEqual([
      'not recorded',
      'not read',
      'not recorded',
      'not run',
      'not recorded',
    ])
    expect(blank.torques.some(t => t.done)).toBe(false)
  })
  it('names blades that are not of the pinned set', () => {
    expect(
      sheet(view(book(...READY, toT, slack, trial('intake', 0.11, 'drag'), trial('exhaust', 0.12, 'drag'))))
        .strangeBlades,
    ).toEqual(['0.11'])
  })
  it('tells how each proof was made, the rounds, and what was used', async () => {
    const { view: done } = await wholeJob(engineOf(), { gapMm: { intake: 0.1, exhaust: 0.05 } })
    const made = sheet(done)
    expect(made.valves[0]).toMatchObject({
      asLeft: { words: '0.10–0.115 mm', proof: 'drag' },
      proof: { place: 'T', went: '0.10 drag', refused: 'not needed' },
    })
    expect(made.valves[1]?.rounds.length).toBeGreaterThan(0)
    expect(made).toMatchObject({
      closed: { by: 'Ada' },
      machine: { meter: '1,200 km', sinceLast: '1,000 km since last' },
      nextDue: '5,200 km or Nov 25, 2027',
    })
    expect(made.cameOff.every(i => i.back)).toBe(true)
  })
})

describe('payloads', () => {
  it.each([
    ['temperature', { celsius: 400 }, /Check the unit/],
    ['rested', { hours: -1 }, /below zero/],
    ['finding', { text: '  ', step: 'find' }, /word or two/],
    ['next-due', { use: null, date: '30 May' }, /./],
    ['trial', { valveId: 'intake', bladesMm: [], feel: 'drag', after: null }, /./],
    ['retracted', { eventId: 'none', how: 'recorded wrongly' }, /./],
  ] as const)('refuses a %s that cannot be', (type, payload, words) =>
    expect(refusal(EVENTS[type].payload.safeParse(payload).error?.issues[0]?.message)).toMatch(words),
  )
})

describe('a screw opened in vain', () => {
  it('sends back to Find: a valve that is held open must not be backed off for ever', () => {
    const log = book(...READY, toT)
    log.add({ type: 'gate-passed', payload: { gate: 'place:1', missing: '', reason: 'sure of it' } })
    for (const h of [
      trial('intake', 0.1, 'drag'),
      trial('exhaust', 0.03, 'no-go'),
      { type: 'nut-loosened', payload: { valveId: 'exhaust' } },
    ] as Happening[])
      log.add(h)
    const lacking = () => view(log).position.closed.exhaust!
    log.add(trial('exhaust', 0.12, 'no-go', { kind: 'screw', deg: -60 }))
    const before = lacking()
    log.add(trial('exhaust', 0.12, 'no-go', { kind: 'screw', deg: -120 }))
    log.add({ type: 'screw-checked', payload: { valveId: 'exhaust', found: 'right' } })
    expect(before).toBeGreaterThan(0.85)
    expect(lacking()).toBeLessThan(0.6)
    expect(view(log).position.standing.kind).not.toBe('settled')
  })
})
