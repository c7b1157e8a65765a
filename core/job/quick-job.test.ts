import { describe, expect, it } from 'vitest'
import { demoEngine } from '../../server/demo/demo-engine'
import { LogBook, METRIC_BLADES, setOf } from '../../tests/support/builders'
import { quickOf } from '../../tests/support/quick'
import { nextThing, sheet } from '../../tests/support/told'
import { VirtualHand } from '../practice'
import type { Quick } from '../quick'
import { type JobPin, jobTools, readiedBy, viewJob } from './index'
import { quickPin } from './quick-pin'

const pinOf = (quick: Quick): JobPin =>
  quickPin({
    jobId: -1,
    quick,
    bladeSet: setOf('Set', METRIC_BLADES),
    shelf: { otherSets: [], wrenches: [], adapters: [] },
    ways: { target: 'middle', bladeHabit: 'out at torque', pairToProve: false, unit: 'mm', school: null },
    called: { machine: 'Single', model: 'Not on record', source: 'As Ada told it at the bench' },
    openedAt: '2026-11-29T08:00:00+00:00',
    openedBy: 'Ada',
  })

describe('a quick job', () => {
  it.each([
    // where the source measures at T, and on compression at once: the card, the turn, the feel
    ['single', 'top', 700, 3],
    // it stood elsewhere: a turn more, and its feel
    ['single', 'top', 300, 5],
    // a decompressor is not known of: past top, by the rod
    ['single', 'not said', 300, 6],
    ['twin-360', 'not said', 700, 3],
  ] as const)(
    '%s, source measures “%s”, crank at %d°: the first blade after %d answers',
    (engine, measuredAt, deg, most) => {
      const tools = jobTools(pinOf(quickOf({ engine, measuredAt })))
      const book = new LogBook()
      const next = () => nextThing(viewJob(tools, book.events, Date.parse('2026-11-29T08:10:00Z')))
      const without = { ...tools.pin.spec.engine, decompressor: { kind: 'none' as const } }
      const hand = new VirtualHand(demoEngine(without, {}, deg))
      let answers = 0
      for (; next().step !== 'measure' && answers < 20; answers++) book.add(hand.answer(next()))
      expect(answers).toBeLessThanOrEqual(most)
    },
  )
  it('has no page to confirm, and says whose figures they are', () => {
    const tools = jobTools(pinOf(quickOf()))
    const said = sheet(viewJob(tools, [], 0))
    expect(said.spec).toMatchObject({ status: 'draft', source: 'As Ada told it at the bench' })
  })
})

describe('the card of practiced hands', () => {
  const tools = jobTools(pinOf(quickOf()))
  const card = () => nextThing(viewJob(tools, [], 0)).stage
  it('claims what was left on it, and nothing else: the rest is asked one at a time', () => {
    const stage = card()
    if (stage.kind !== 'card') throw new Error(stage.kind)
    expect(stage.lines.map(l => (l.kind === 'off' ? l.item : l.kind))).toEqual([
      'cold',
      'safe',
      'Spark plug',
      'Rocker cover',
      'valves',
    ])
    const book = new LogBook()
    book.add(readiedBy(stage.lines.filter(l => l.kind !== 'cold' && l.kind !== 'safe')))
    const view = viewJob(tools, book.events, Date.parse(book.events[0]!.at))
    expect([...view.state.confirmed]).toEqual(['valves'])
    expect(view.state.rested).toBeNull()
    expect(view.state.cameOff).toEqual(['Spark plug', 'Rocker cover'])
    expect(nextThing(view).requirement?.id).toBe('cold')
    expect(sheet(view).cold).not.toMatch(/12/)
  })
  it('is one answer: taking it back takes back every line', () => {
    const book = new LogBook()
    const stage = card()
    const { id } = book.add(readiedBy(stage.kind === 'card' ? stage.lines : []))
    book.add({ type: 'retracted', payload: { eventId: id, how: 'recorded wrongly' } })
    const { state } = viewJob(tools, book.events, 0)
    expect([state.confirmed.size, state.rested, state.cameOff, state.readied]).toEqual([0, null, [], false])
  })
})
