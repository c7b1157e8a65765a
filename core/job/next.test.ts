import { describe, expect, it } from 'vitest'
import { engineOf, LogBook, pinOf, setOf } from '../../tests/support/builders'
import { confirmed, found, limits, ready, said, T, trial } from '../../tests/support/job-book'
import { clashWords, eventWords, tell } from '../../tests/support/told'
import type { Clearance, Engine } from '../engine'
import { type Feel, FEELS } from '../feeler'
import { say } from '../said'
import { type Happening, latestVerdict, roundTurn, stillWords, stripList, suggestedDue, untilWords } from './index'

describe('Ready asks in the order of the work', () => {
  it('machine, spec, cold, safe, access, plug, valves', () => {
    const book = said()
    const asked: string[] = []
    for (const h of [
      confirmed('machine'),
      confirmed('spec'),
      { type: 'rested', payload: { hours: 5 } },
      confirmed('safe'),
      { type: 'came-off', payload: { item: 'Seat' } },
      { type: 'came-off', payload: { item: 'Spark plug' } },
      { type: 'came-off', payload: { item: 'Rocker cover' } },
      { type: 'plug-read', payload: { look: 'Black or wet' } },
      { type: 'plug-gap', payload: { was: 'set', foundMm: 0.9, leftMm: 0.7 } },
      confirmed('valves'),
    ] as Happening[]) {
      asked.push(book.next().requirement!.id)
      book.say(h)
    }
    expect(asked).toEqual([
      'machine',
      'spec',
      'cold',
      'safe',
      'off:Seat',
      'off:Spark plug',
      'off:Rocker cover',
      'plug-read',
      'plug-gap:Spark plug',
      'valves',
    ])
    expect(book.next().step).toBe('find')
  })
  it('plug and cover always come off, listed or not, once', () =>
    expect(stripList(['Tank', 'Spark plug'])).toEqual(['Tank', 'Spark plug', 'Rocker cover']))
  it('a plug that stays in need not be read', () => {
    const book = said().say(
      confirmed('machine'),
      confirmed('spec'),
      { type: 'rested', payload: { hours: 5 } },
      confirmed('safe'),
      { type: 'came-off', payload: { item: 'Seat' } },
      { type: 'came-off', payload: { item: 'Rocker cover' } },
    )
    book.say({ type: 'gate-passed', payload: { gate: 'off:Spark plug', missing: '', reason: 'seized' } })
    expect(book.next().requirement?.id).toBe('valves')
  })
  it('an engine over the limit says by how much, and why it matters', () => {
    const book = said().say(confirmed('machine'), confirmed('spec'), { type: 'temperature', payload: { celsius: 52 } })
    expect(book.next().why).toBe('52 °C is over the 35 °C limit. Clearances set warm come out wrong.')
  })
  it('a spec that is set hot asks how warm the head is, as one that is set cold does how cold', () => {
    const book = said(engineOf({ setWhen: 'hot' })).say(confirmed('machine'), confirmed('spec'))
    expect(book.next().instruction).toBe('How warm is the head?')
    book.say({ type: 'temperature', payload: { celsius: 30 } })
    expect(book.next().why).toMatch(/30 °C is not warm/)
    book.say({ type: 'temperature', payload: { celsius: 82 } })
    expect(book.next().requirement?.id).toBe('safe')
  })
  it('a warm reading is not outdone by a rest that was said a minute later', () => {
    const book = said().say(
      confirmed('machine'),
      confirmed('spec'),
      { type: 'temperature', payload: { celsius: 52 } },
      { type: 'rested', payload: { hours: 4 } },
    )
    expect(book.next().requirement?.id).toBe('cold')
  })
})

describe('Find in this engine’s words', () => {
  it('names mark, window, direction and means', () => {
    const next = ready(said()).next()
    expect(next.instruction).toBe('Turn until T lines up')
    expect(next.label).toBe('Turn counterclockwise seen from the left, by the crank nut')
    expect(next.why).toContain('the rotor window')
  })
  it('without a mark the rod is soft, and says so', () =>
    expect(ready(said(engineOf({ marks: [] }))).next().why).toContain('never steel'))
  it.each([
    ['T is there', ['move']],
    ['Overshot it', ['move', 'turns']],
    ['I lost track', ['lost']],
  ])('“%s” records %j: overshot means round again, never back', (title, kinds) => {
    const key = ready(said())
      .next()
      .keys.find(k => k.title === title)!
    expect(key.happening?.type === 'crank' && key.happening.payload.observations.map(o => o.kind)).toEqual(kinds)
  })
  it('going past a place is counted, and said to be a turn further', () => {
    const past: Happening = {
      type: 'crank',
      payload: {
        observations: [
          { kind: 'move', to: T },
          { kind: 'turns', turns: 1, to: T },
        ],
      },
    }
    const felt: Happening = {
      type: 'crank',
      payload: {
        observations: [
          { kind: 'rocker', valveId: 'intake', slack: true },
          { kind: 'rocker', valveId: 'exhaust', slack: false },
        ],
      },
    }
    const book = ready(said()).say(past)
    expect(book.next().label).toBe('Overshot: one extra turn counted')
    expect(book.say(felt).next().instruction).toMatch(/^One more full turn/)
    expect(book.say({ type: 'crank', payload: { observations: [{ kind: 'lost' }] } }, past).next().label).toBe(
      'Overshot 2 times: extra turns counted',
    )
  })
  it('four valves are felt two at a time, those of one kind together', () => {
    const valves = ['intake', 'exhaust'].flatMap(role =>
      [1, 2].map(n => ({
        id: `${role}${n}`,
        cylinderId: 'only',
        role: role as 'intake',
        name: `${role} ${n}`,
        headX: 0.5,
        headY: 0.5,
      })),
    )
    const book = ready(said(engineOf({ valves }))).say({
      type: 'crank',
      payload: { observations: [{ kind: 'move', to: T }] },
    })
    expect(book.next().instruction).toBe('Wiggle both intake rockers')
    expect(
      book
        .next()
        .keys.map(k => k.title)
        .slice(0, 4),
    ).toEqual(['Both slack', 'Only intake 1 slack', 'Only intake 2 slack', 'Neither moves'])
  })
  it('an answer that clashes is named with what it clashes with', () => {
    const book = found(said()).say(
      trial('intake', 0.1, 'drag'),
      { type: 'mark-checked', payload: { valveId: 'exhaust', still: true } },
      trial('exhaust', 0.12, 'drag'),
    )
    book.say({
      type: 'crank',
      payload: {
        observations: [
          { kind: 'turns', turns: 1, to: T },
          { kind: 'rocker', valveId: 'intake', slack: true },
        ],
      },
    })
    expect(book.view().position.clash).not.toBeNull()
    expect(clashWords(book.view())).toMatchObject({
      newest: 'Intake slack',
      against: [{ words: expect.stringMatching(/turn|slack|drag/i) }],
    })
  })
})

describe('Set keeps the screw between what proved too loose and too tight', () => {
  it('a try from when the valve was held open does not send it to and fro for ever', () => {
    const atT = (): Happening => ({
      type: 'crank',
      payload: {
        observations: [
          { kind: 'lost' },
          { kind: 'move', to: T },
          { kind: 'rocker', valveId: 'intake', slack: true },
          { kind: 'rocker', valveId: 'exhaust', slack: true },
        ],
      },
    })
    const book = found(said()).say(
      trial('intake', 0.08, 'no-go'),
      trial('intake', 0.03, 'no-go'),
      { type: 'mark-checked', payload: { valveId: 'exhaust', still: true } },
      trial('exhaust', 0.12, 'drag'),
    )
    book.say(
      { type: 'nut-loosened', payload: { valveId: 'intake' } },
      trial('intake', 0.09, 'no-go', { kind: 'screw', deg: -150 }),
      atT(),
    )
    book.say(
      trial('intake', 0.09, 'free', { kind: 'screw', deg: 30 }),
      trial('intake', 0.09, 'no-go', { kind: 'screw', deg: 60 }),
    )
    const after = book.next('intake').trial?.after
    expect(after?.kind).toBe('screw')
    // free at −120°, refused at −60°: the answer lies between
    expect(after?.kind === 'screw' && after.deg).toBeGreaterThan(-60)
    expect(after?.kind === 'screw' && after.deg).toBeLessThan(0)
  })
  it('a screw opened in vain stops the work, however sure the place: the most dangerous error is to back it off for ever', () => {
    const book = found(said()).say(
      trial('intake', 0.08, 'no-go'),
      trial('intake', 0.03, 'no-go'),
      { type: 'mark-checked', payload: { valveId: 'exhaust', still: true } },
      trial('exhaust', 0.12, 'drag'),
    )
    book.say(
      { type: 'nut-loosened', payload: { valveId: 'intake' } },
      trial('intake', 0.09, 'no-go', { kind: 'screw', deg: -80 }),
      trial('intake', 0.09, 'no-go', { kind: 'screw', deg: -80 }),
    )
    expect(book.next().instruction).toBe('Is that the intake screw, and does it turn?')
    book.say({ type: 'screw-checked', payload: { valveId: 'intake', found: 'right' } })
    expect(book.next().instruction).toBe('Stop: the intake isn’t closed here')
    const anew = book.next().keys.find(k => k.title === 'Find it again')!
    expect(book.say(anew.happening!).next().instruction).toBe('Turn until T lines up')
  })
  it('and goes on where the blade goes after all', () => {
    const book = found(said()).say(
      trial('intake', 0.08, 'no-go'),
      trial('intake', 0.03, 'no-go'),
      { type: 'mark-checked', payload: { valveId: 'exhaust', still: true } },
      trial('exhaust', 0.12, 'drag'),
    )
    book.say(
      { type: 'nut-loosened', payload: { valveId: 'intake' } },
      trial('intake', 0.09, 'no-go', { kind: 'screw', deg: -80 }),
      trial('intake', 0.09, 'no-go', { kind: 'screw', deg: -80 }),
      trial('intake', 0.09, 'drag', { kind: 'screw', deg: -20 }),
    )
    expect(book.next().instruction).toMatch(/nip the nut/)
  })
})

describe('Measure says what a blade would prove', () => {
  it.each([
    [limits(0.08, 0.12), 0.08, /won’t go, it’s tight/],
    [limits(0.08, 0.12), 0.12, /slides freely, it’s loose/],
    [{ form: 'bare', figureMm: 0.1, text: '', unit: 'mm' } as Clearance, 0.1, /If it drags, it’s in/],
  ])('%j at %d', (clearance, t, words) => {
    const book = found(
      said(engineOf({ clearance: { intake: clearance, exhaust: clearance } }), { bladeSet: setOf('two', [t, 0.5]) }),
    )
    expect(book.next().why).toMatch(words)
  })
  it('counts what was felt before: after one that went, a blade that won’t go proves it too', () => {
    const felt = () =>
      found(said(engineOf(), { bladeSet: setOf('near', [0.08, 0.1, 0.2]) })).say(trial('intake', 0.08, 'free'))
    expect(felt().next()).toMatchObject({
      instruction: 'Try 0.10 in the intake',
      why: expect.stringContaining('If it slides freely, one more blade. If not, it’s in.'),
    })
    const after = (feel: Feel) => {
      const { pin, state } = felt()
        .say(trial('intake', 0.1, feel))
        .view()
      return latestVerdict(pin, state.valves[0]!).verdict
    }
    expect(FEELS.map(after), 'free, drag, pinched, no-go').toEqual(['unproved', 'in', 'in', 'in'])
  })
  it('once it is out, the next blade only tells how far', () => {
    expect(
      found(said())
        .say(trial('intake', 0.08, 'no-go'))
        .next().why,
    ).toContain('It’s tight; this shows by how much.')
  })
  it('a set that cannot prove it says so: the valve is set to where a blade tells, once all of its stop are measured, or left with a reason', () => {
    const book = found(said(engineOf(), { bladeSet: setOf('coarse', [0.05, 0.11, 0.2]) })).say(
      trial('intake', 0.05, 'free'),
      trial('intake', 0.11, 'no-go'),
    )
    expect(book.next()).toMatchObject({
      instruction: 'This blade set can’t prove it',
      keys: [{ title: 'Set it' }, { asks: 'reason' }],
    })
    book.say(book.next().keys[0]!.happening!)
    expect(book.next()).toMatchObject({ step: 'measure', instruction: 'Try 0.11 in the exhaust' })
    book.say(trial('exhaust', 0.11, 'drag'))
    expect(book.next().requirement?.id).toBe('set:intake')
  })
  it('expects what was left last time', () => {
    const left = (loMm: number, hiMm: number) =>
      found(said(engineOf(), { lastAsLeft: { date: '2025-11-01', readings: { intake: { loMm, hiMm } } } })).next()
        .trial!.stack.totalMm
    expect(left(0.04, 0.05)).toBeLessThanOrEqual(0.08)
    expect(left(0.18, 0.2)).toBeGreaterThanOrEqual(0.12)
  })
})

describe('Set', () => {
  const toSet = () =>
    found(said()).say(
      trial('intake', 0.1, 'drag'),
      { type: 'mark-checked', payload: { valveId: 'exhaust', still: true } },
      trial('exhaust', 0.08, 'pinched'),
    )
  it('loosens, turns by the model, and asks for the blade that ends in the middle', () => {
    const book = toSet()
    expect(book.next().instruction).toBe('Loosen the exhaust locknut')
    book.say({ type: 'nut-loosened', payload: { valveId: 'exhaust' } })
    const next = book.next()
    expect(next.trial).toMatchObject({ stack: { totalMm: 0.12 }, after: { kind: 'screw' } })
    // from 0.075 to 0.1275 with 0.75 mm a turn at the valve end: 25.2° counterclockwise
    expect(next.trial!.after).toEqual({ kind: 'screw', deg: -25 })
  })
  it('a push-rod screw and a pivot nut turn less for the same gap', () => {
    const deg = (kind: 'valve-end' | 'pushrod-end' | 'pivot-nut') => {
      const book = found(said(engineOf({ adjuster: { ...engineOf().adjuster, kind, rockerRatio: 1.5 } }))).say(
        trial('intake', 0.1, 'drag'),
        { type: 'mark-checked', payload: { valveId: 'exhaust', still: true } },
        trial('exhaust', 0.08, 'pinched'),
        { type: 'nut-loosened', payload: { valveId: 'exhaust' } },
      )
      const after = book.next().trial!.after
      return after?.kind === 'screw' ? -after.deg : Number.NaN
    }
    expect(deg('valve-end') / deg('pushrod-end')).toBeCloseTo(1.5, 0)
    expect(deg('valve-end') / deg('pivot-nut')).toBeCloseTo(2.5, 0)
  })
  it('between too loose and too tight it halves', () => {
    const book = toSet().say(
      { type: 'nut-loosened', payload: { valveId: 'exhaust' } },
      trial('exhaust', 0.12, 'free', { kind: 'screw', deg: -40 }),
      trial('exhaust', 0.12, 'no-go', { kind: 'screw', deg: 20 }),
    )
    // free at −40° is 0.12 or more there, and 20° on (0.042 mm) it is refused: by the screw’s pitch it stands at 0.07
    // to 0.12
    // here, so 16° back bring its middle to the middle of the drag
    expect(book.next().trial!.after).toEqual({ kind: 'screw', deg: -16 })
  })
  it('a lock that moved it starts a new round; one that held goes on to torque', () => {
    const nip = (feel: 'drag' | 'no-go', t: number) =>
      toSet()
        .say(
          { type: 'nut-loosened', payload: { valveId: 'exhaust' } },
          trial('exhaust', 0.12, 'drag', { kind: 'screw', deg: -25 }),
          trial('exhaust', t, feel, { kind: 'nipped' }),
        )
        .next()
    expect(nip('drag', 0.12).instruction).toBe('Torque the nut to 8 N·m, feel 0.12')
    // what the nip did is read narrowly, so that the next round aims off by it
    expect(nip('no-go', 0.1).instruction).toMatch(/^Try 0.0\d in the exhaust/)
    const read = toSet().say(
      { type: 'nut-loosened', payload: { valveId: 'exhaust' } },
      trial('exhaust', 0.12, 'drag', { kind: 'screw', deg: -25 }),
      trial('exhaust', 0.1, 'no-go', { kind: 'nipped' }),
      trial('exhaust', 0.08, 'drag'),
    )
    expect(read.next().instruction).toBe('It moved: loosen the nut again')
    read.say({ type: 'nut-loosened', payload: { valveId: 'exhaust' } })
    // 0.1275 went to 0.0875: the next round stands wider by two thirds of that, for one round is one round
    const { stage } = read.next()
    expect(stage.kind === 'screw' && stage.aim.shift!.shiftMm).toBeCloseTo(-0.04 * (1 / 1.5), 3)
    expect(stage.kind === 'screw' && tell(stage.aim.by)).toBe('this nut, 1 round')
  })
  it('without a torque on record it says so instead of inventing one', () => {
    const engine = engineOf({ torques: { locknutNm: null, coverNm: null, plugNm: null } })
    const book = found(said(engine)).say(
      trial('intake', 0.1, 'drag'),
      { type: 'mark-checked', payload: { valveId: 'exhaust', still: true } },
      trial('exhaust', 0.08, 'pinched'),
      { type: 'nut-loosened', payload: { valveId: 'exhaust' } },
      trial('exhaust', 0.12, 'drag', { kind: 'screw', deg: -25 }),
      trial('exhaust', 0.12, 'drag', { kind: 'nipped' }),
    )
    expect(book.next()).toMatchObject({
      instruction: 'Lock the nut, feel 0.12',
      trial: { after: { kind: 'torqued', torqueNm: null } },
    })
    expect(book.next().why).toContain('The spec gives no torque')
  })
})

describe('Close', () => {
  it('what went in comes out first, then the reverse of what came off, then run and next due', () => {
    const book = found(said()).say(
      { type: 'put-in', payload: { item: 'Rag, plug hole' } },
      trial('intake', 0.1, 'drag'),
      { type: 'mark-checked', payload: { valveId: 'exhaust', still: true } },
      trial('exhaust', 0.12, 'drag'),
      { type: 'prove-turned', payload: { turns: 2, to: T } },
      trial('intake', 0.1, 'drag'),
      { type: 'mark-checked', payload: { valveId: 'exhaust', still: true } },
      trial('exhaust', 0.12, 'drag'),
    )
    const asked: string[] = []
    for (let next = book.next(); next.requirement; next = book.next()) {
      asked.push(next.requirement.id)
      book.say(next.keys[0]!.happening!)
    }
    expect(asked).toEqual([
      'out:Rag, plug hole',
      'nuts',
      'gasket',
      'back:Rocker cover',
      'torque-cover',
      'back:Spark plug',
      'torque-plug',
      'back:Seat',
      'ran',
      'next-due',
    ])
    expect(book.next().instruction).toBe('Sign and close the job')
  })
  it('suggests the next check by use and by months, whichever the spec knows', () => {
    const due = (interval: Engine['interval'], meter: number | null) =>
      suggestedDue(said(engineOf({ interval }), { machine: { ...pinOf().machine, meter } }).view())
    expect(due({ use: 4000, months: 12 }, 1200)).toEqual({ use: 5200, date: '2027-11-25' })
    expect(due({ use: 4000, months: null }, null)).toEqual({ use: null, date: null })
  })
})

describe('words', () => {
  it.each([
    [15, '¼ flat'],
    [60, '1 flat'],
    [90, '1½ flats'],
    [-30, '½ flat'],
    [45, '¾ flat'],
    [20, '⅓ flat'],
    [6, 'a touch: 6°, a tenth of a flat'],
    [2, 'a touch: 2°, a twentieth of a flat'],
    // never a fraction that is off by more than 2°
    [19, '⅓ flat'],
    [25, '0.4 of a flat'],
  ])('%d° is %s', (deg, words) => expect(tell(say('turn.flats', { deg }))).toBe(words))
  it.each([
    [15, '15° clockwise'],
    [-24.6, '25° counterclockwise'],
    [-47, '45° counterclockwise'],
    [0, '0° clockwise'],
  ])('%d is “%s”', (deg, words) => expect(tell(say('turn.screw', { deg }))).toBe(words))
  it('turns from 30° up are in steps of five, as a hand makes them', () =>
    expect([29.4, 31, 33].map(roundTurn)).toEqual([29, 30, 35]))
  it('places', () => {
    const engine = engineOf()
    const drop = { kind: 'rod-drop', cylinderId: 'only', dropMm: 6 } as const
    expect(
      [
        untilWords(engine, T),
        untilWords(engine, drop),
        stillWords(engine, T),
        stillWords(engine, { kind: 'piston-top', cylinderId: 'only' }),
      ].map(tell),
    ).toEqual([
      'T lines up',
      'the piston is 6 mm past top',
      'Is T still at the pointer?',
      'Is the piston still at its top?',
    ])
  })
  it('every kind of answer has words of its own for the list of answers', () => {
    const all: Happening[] = [
      confirmed('spec'),
      { type: 'temperature', payload: { celsius: 20 } },
      { type: 'rested', payload: { hours: 4 } },
      { type: 'came-off', payload: { item: 'Seat' } },
      { type: 'put-in', payload: { item: 'Rag' } },
      { type: 'plug-read', payload: { look: 'Black' } },
      { type: 'plug-gap', payload: { was: 'new', leftMm: 0.7 } },
      { type: 'finding', payload: { text: 'Crack', step: 'find' } },
      { type: 'crank', payload: { observations: [{ kind: 'lost' }] } },
      { type: 'mark-checked', payload: { valveId: 'intake', still: true } },
      trial('intake', 0.1, 'drag', { kind: 'screw', deg: -15 }),
      { type: 'set-chosen', payload: { valveId: 'intake' } },
      { type: 'nut-loosened', payload: { valveId: 'intake' } },
      { type: 'prove-turned', payload: { turns: 2, to: T } },
      { type: 'gate-passed', payload: { gate: 'cold', missing: '', reason: 'Snow' } },
      { type: 'came-out', payload: { item: 'Rag' } },
      { type: 'went-back', payload: { item: 'Seat' } },
      { type: 'gasket', payload: { choice: 'new', note: '' } },
      { type: 'torqued', payload: { what: 'cover', torqueNm: 10 } },
      { type: 'replaced', payload: { text: 'Gasket' } },
      { type: 'ran', payload: { result: 'clean', note: '' } },
      { type: 'note', payload: { text: 'Hm' } },
      { type: 'next-due', payload: { use: 1, date: null } },
      { type: 'held', payload: { reason: 'Parts' } },
      { type: 'resumed', payload: {} },
      { type: 'abandoned', payload: { reason: 'Gone' } },
      { type: 'closed', payload: {} },
      { type: 'reopened', payload: { reason: 'Typo' } },
    ]
    const log = new LogBook()
    const words = all.map(h => eventWords(pinOf(), log.add(h)))
    expect(new Set(words).size).toBe(all.length)
    expect(words).toContain('Intake, screw 15° counterclockwise: 0.10 drag')
  })
})
