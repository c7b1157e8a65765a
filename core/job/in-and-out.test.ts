import { describe, expect, it } from 'vitest'
import { engineOf } from '../../tests/support/builders'
import { confirmed, found, said, T, trial } from '../../tests/support/job-book'
import { tellEnglish } from '../../words'
import { type Part, plainPart } from '../access'
import { type EarlierFinding, gates, type Happening, type JobPin, toDoAfter } from './index'
import { sheet } from './sheet'

const PARTS: Part[] = [
  { ...plainPart('Seat', 'panel'), side: null },
  {
    ...plainPart('Left panel', 'panel'),
    side: 'left',
    fasteners: [{ count: 2, threadMm: 6, lengthMm: 16, odd: 'the rear one has a collar' }],
    trap: 'the tab breaks',
  },
  { ...plainPart('Fuel hose', 'hose') },
  { ...plainPart('Plug lead', 'plug lead'), cylinderId: 'only' },
  {
    ...plainPart('Main plug', 'spark plug'),
    torqueNm: 12,
    fasteners: [{ count: 1, threadMm: 10, lengthMm: null, odd: '' }],
  },
  {
    ...plainPart('Head cover', 'cover'),
    torqueNm: 10,
    pattern: 'crossing',
    fasteners: [{ count: 4, threadMm: 6, lengthMm: 25, odd: '' }],
    seal: { kind: 'gasket', on: 'head', skinMinutes: null, clean: true, oiled: false },
    trap: 'rubber washers stay in the cover',
  },
]
const engine = engineOf({ parts: PARTS, safe: ['fuel', 'key', 'battery', 'plug lead'], stripDown: [] })
const MOVED: Happening = {
  type: 'crank',
  payload: {
    observations: [
      { kind: 'move', to: T },
      { kind: 'rocker', valveId: 'intake', slack: true },
      { kind: 'rocker', valveId: 'exhaust', slack: true },
    ],
  },
}
/** Answers by the first key until a step comes; what was asked. */
function through(book: ReturnType<typeof said>, until: string): string[] {
  const asked: string[] = []
  for (let next = book.next(); next.step !== until && next.requirement; next = book.next()) {
    asked.push(next.requirement.id)
    book.say(next.keys[0]!.happening!)
  }
  return asked
}
const opened = (changes: Partial<JobPin> = {}) =>
  said(engine, { complaint: '', ...changes }).say(confirmed('machine'), confirmed('spec'), {
    type: 'rested',
    payload: { hours: 12 },
  })
/** Measured in spec and proved, so that it can be closed. */
const proved = (book: ReturnType<typeof said>) => {
  through(book, 'find')
  return book.say(
    MOVED,
    trial('intake', 0.1, 'drag'),
    trial('exhaust', 0.12, 'drag'),
    { type: 'prove-turned', payload: { turns: 2, to: T } },
    { type: 'mark-checked', payload: { valveId: 'intake', still: true } },
    trial('intake', 0.1, 'drag'),
    { type: 'mark-checked', payload: { valveId: 'exhaust', still: true } },
    trial('exhaust', 0.12, 'drag'),
  )
}

describe('getting in', () => {
  it('makes safe first, the battery before the lead; nothing is turned before', () => {
    const book = opened()
    expect(book.next().instruction).toBe('Make it safe, in this order')
    expect(book.next().why).toMatch(/key.*fuel.*battery off, negative lead first.*plug lead/i)
    expect(through(book, 'find')).toEqual([
      'safe',
      ...PARTS.map(p => `off:${p.name}`),
      'plug-read:Main plug',
      'plug-gap:Main plug',
      'valves',
    ])
  })
  it('says what holds a part and what goes wrong with it, and takes plain ones off together', () => {
    const book = opened().say(confirmed('safe'))
    expect(book.next().keys[1]).toMatchObject({ title: 'All 4 are off', help: 'this one to: Plug lead' })
    book.say({ type: 'came-off', payload: { item: 'Seat' } })
    expect(book.next().why).toMatch(/left side.*2 fasteners M6 × 16 \(the rear one has a collar\).*tab breaks/i)
    book.say({ type: 'came-off', payload: { item: 'Left panel', also: ['Fuel hose', 'Plug lead'] } })
    expect(book.next().instruction).toContain('Main plug')
    expect(book.view().state.cameOff).toEqual(['Seat', 'Left panel', 'Fuel hose', 'Plug lead'])
  })
})

describe('the way back', () => {
  it('is the exact reverse, then live, then run', () => {
    const book = proved(opened())
    expect(through(book, 'never')).toEqual([
      'nuts',
      'gasket:Head cover',
      'back:Head cover',
      'torque:Head cover',
      'back:Main plug',
      'back:Plug lead',
      'back:Fuel hose',
      'back:Left panel',
      'back:Seat',
      'live',
      'ran',
      'next-due',
    ])
  })
  it('each says what is wanted of it: seal, trap, torque in both units, lead on its own plug', () => {
    const book = proved(opened())
    const whys: Record<string, string> = {}
    for (let next = book.next(); next.requirement; next = book.next()) {
      whys[next.requirement.id] = next.why
      book.say(next.keys[0]!.happening!)
    }
    expect(whys['back:Head cover']).toMatch(
      /gasket on the head: clean both faces.*rubber washers.*before all 4 are in/i,
    )
    expect(whys['torque:Head cover']).toMatch(/10 N·m.*lbf·in.*crossing/)
    expect(whys['back:Plug lead']).toContain('its own plug')
    expect(whys['live']).toMatch(/battery on, negative lead last.*fuel on/i)
  })
  it('a count of locknuts that does not match is said, and asked for again', () => {
    const book = proved(opened()).say({ type: 'nuts-checked', payload: { count: 1 } })
    expect(book.next().requirement!.id).toBe('nuts')
    expect(book.next().why).toContain('You counted 1; this engine has 2')
    expect(book.say({ type: 'nuts-checked', payload: { count: 2 } }).next().requirement!.id).toBe('gasket:Head cover')
  })
  it('a part off twice, or back that was never off, changes nothing', () => {
    const book = opened().say(
      { type: 'came-off', payload: { item: 'Seat' } },
      { type: 'came-off', payload: { item: 'Seat' } },
      { type: 'went-back', payload: { item: 'Mirror' } },
    )
    expect(book.view().state.cameOff).toEqual(['Seat'])
    expect(book.next().requirement!.id).toBe('safe')
  })
  it('a part that comes off once more goes back anew, is tightened anew, and the engine is run anew', () => {
    const book = proved(opened())
    through(book, 'never')
    const asked = through(book.say({ type: 'came-off', payload: { item: 'Head cover' } }), 'never')
    expect(asked).toEqual(['nuts', 'gasket:Head cover', 'back:Head cover', 'torque:Head cover', 'live', 'ran'])
  })
  it('a nut that is loosened after the count is counted again', () => {
    const book = proved(opened()).say(
      { type: 'nuts-checked', payload: { count: 2 } },
      { type: 'nut-loosened', payload: { valveId: 'intake' } },
    )
    expect(book.view().state.nutsChecked).toBeNull()
  })
  it('what stays off with a reason is not said to be back by a key for the others', () => {
    const book = proved(opened())
    for (let next = book.next(); next.requirement!.id !== 'back:Plug lead'; next = book.next())
      book.say(next.keys[0]!.happening!)
    book.say({ type: 'gate-passed', payload: { gate: 'back:Fuel hose', missing: '', reason: 'on order' } })
    expect(book.next().keys[1]!.happening!.payload).toEqual({ item: 'Plug lead', also: ['Left panel', 'Seat'] })
  })
  it('a job of before parts had names asks as it always did, and no locknuts', () => {
    const book = found(said(engineOf(), { judgementVersion: 2 }))
    expect(book.view().state.cameOff).toEqual(['Seat', 'Spark plug', 'Rocker cover'])
    const ids = gates(book.view()).map(r => r.id)
    expect(ids).not.toContain('nuts')
    expect(ids.slice(-8)).toEqual([
      'gasket',
      'back:Rocker cover',
      'torque-cover',
      'back:Spark plug',
      'torque-plug',
      'back:Seat',
      'ran',
      'next-due',
    ])
  })
})

describe('from complaint to cure', () => {
  const complaints = ['hard to start hot', 'burns oil'] as const
  const run = (results: readonly ('gone' | 'better' | 'same')[]) => {
    const book = proved(opened({ complaints: [...complaints], complaint: 'since spring' }))
    let asked = 0
    for (let next = book.next(); next.requirement && next.requirement.what.kind !== 'next-due'; next = book.next())
      book.say(
        next.requirement.what.kind === 'complaint'
          ? next.keys[['gone', 'better', 'same'].indexOf(results[asked++]!)]!.happening!
          : next.keys[0]!.happening!,
      )
    return book
  }
  it('that is gone asks nothing more, and its owner is told', () => {
    const book = run(['gone', 'gone'])
    const { owner, complaints: lines, complaint } = sheet(book.view(), tellEnglish)
    expect(complaint).toBe('hard to start hot, burns oil, since spring')
    expect(lines).toEqual(['Hard to start hot: gone', 'Burns oil: gone'])
    expect(owner).toEqual([
      'We measured both valves and found every one within its limits.',
      '“hard to start hot” is gone, “burns oil” is gone.',
    ])
  })
  it('that stayed leads to what else it may be, as a finding for the owner', () => {
    const book = run(['same', 'better'])
    const { owner, findings } = sheet(book.view(), tellEnglish)
    expect(findings.map(f => f.text)).toEqual([
      'Still hard to start hot: look at ignition',
      'Still burns oil: look at rings and valve guides',
    ])
    expect(owner![1]).toContain('a technician should look further')
  })
})

describe('what its owner is told', () => {
  const told = (book: ReturnType<typeof said>) => sheet(book.view(), tellEnglish).owner![0]
  const ready = () => {
    const book = opened()
    through(book, 'find')
    return book.say(MOVED)
  }
  it('claims no valve that was not measured, and none that the blades left open', () => {
    expect(told(ready().say(trial('intake', 0.1, 'drag')))).toBe(
      'We measured 1 of 2 valves and found every one within its limits.',
    )
    expect(told(ready().say(trial('intake', 0.08, 'free'), trial('exhaust', 0.12, 'drag')))).toContain(
      '1 that the feeler blades could not settle',
    )
  })
  it('claims no setting that was not measured after', () => {
    const loosened = ready().say(trial('intake', 0.05, 'no-go'), {
      type: 'nut-loosened',
      payload: { valveId: 'intake' },
    })
    expect(told(loosened)).toBe(
      'We measured 1 of 2 valves and found the intake valve too tight; one was set, of which 0 measured right afterward.',
    )
  })
})

describe('what was found', () => {
  const boot: EarlierFinding = {
    jobNumber: 7,
    date: '2026-05-03',
    text: 'cracked',
    part: 'Fuel hose',
    end: 'to do',
    about: null,
    suspect: null,
  }
  it('and is to do comes back at the next visit, until somebody says that it is done', () => {
    const first = opened().say({
      type: 'finding',
      payload: { text: 'cracked', step: 'ready', part: 'Fuel hose', end: 'to do' },
    })
    const left = toDoAfter(first.view().pin, first.view().state)
    expect(left).toMatchObject([{ text: 'cracked', part: 'Fuel hose', end: 'to do', jobNumber: 1 }])
    const next = opened({ toDo: [boot] })
    const asked = through(next, 'find')
    expect(asked).toContain('earlier:0')
    expect(toDoAfter(next.view().pin, next.view().state)).toEqual([])
  })
  it('and replaced stands among what was replaced, and is not asked about again', () => {
    const book = opened().say({
      type: 'finding',
      payload: { text: 'hardened', step: 'ready', part: 'Fuel hose', end: 'replaced' },
    })
    expect(sheet(book.view(), tellEnglish)).toMatchObject({ replaced: ['Fuel hose: hardened'], findings: [] })
    expect(toDoAfter(book.view().pin, book.view().state)).toEqual([])
  })
  it('still to do keeps the visit that found it; not looked at is not forgotten', () => {
    const again = opened({ toDo: [boot] }).say({ type: 'earlier-finding', payload: { index: 0, now: 'still' } })
    expect(toDoAfter(again.view().pin, again.view().state)).toEqual([boot])
    expect(sheet(again.view(), tellEnglish).findings[0]!.text).toBe('Fuel hose: cracked (still to do)')
    const unseen = opened({ toDo: [boot] })
    expect(toDoAfter(unseen.view().pin, unseen.view().state)).toEqual([boot])
  })
})

describe('what departs from the spec’s own words', () => {
  const departures = (gasket: string, choice: 'new' | 'used again' | 'compound') =>
    sheet(
      said(engineOf({ gasket }))
        .say({ type: 'gasket', payload: { choice, note: 'none in the shop' } })
        .view(),
      tellEnglish,
    ).departures.map(d => `${d.missing} ${d.reason}`)
  it('a gasket used again where a new one is wanted is remarked, with the note', () =>
    expect(departures('new each time', 'used again')).toEqual([
      expect.stringMatching(/cover: the spec says “new each time”\. .*none in the shop/i),
    ]))
  it.each([
    ['new each time', 'new'],
    ['used again if soft', 'used again'],
    ['', 'compound'],
  ] as const)('“%s” and %s depart from nothing', (gasket, choice) => expect(departures(gasket, choice)).toEqual([]))
})
