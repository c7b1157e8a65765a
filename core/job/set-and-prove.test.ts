import { describe, expect, it } from 'vitest'
import { storyLine } from '../../evaluation/story'
import { SPAN } from '../../server/demo/models/twins'
import { afterLast, engineOf, LogBook, pinOf, setOf } from '../../tests/support/builders'
import { confirmed, found, limits, ready, said, T, trial } from '../../tests/support/job-book'
import { figureRefused, nextThing, sheet, tell } from '../../tests/support/told'
import { MORNING, virtualFor } from '../../tests/support/whole-job'
import type { Clearance, Engine } from '../engine'
import { VirtualHand, workThrough } from '../practice'
import type { Adapter, Wrench } from '../torque'
import {
  aimOf,
  disagreeing,
  expectedShift,
  type Happening,
  type JobPin,
  jobTools,
  latestVerdict,
  readingRows,
  shiftWords,
  shimWork,
  unsettledRoles,
  viewJob,
} from './index'

const WRENCH: Wrench = {
  name: 'Small click',
  unit: 'N·m',
  leastNm: 4,
  mostNm: 22,
  lengthMm: 200,
  calibrationDue: '2026-01-01',
}
const CROW: Adapter = { name: 'Crow’s-foot', lengthMm: 50, angleDeg: 0 }
const nipped = { kind: 'nipped' as const }
const torqued = { kind: 'torqued' as const, torqueNm: 8 }
const screw = (deg: number) => ({ kind: 'screw' as const, deg })
/** A tight exhaust measured, its nut free, the intake in. */
const atTheScrew = (changes: Partial<JobPin> = {}, engine: Engine = engineOf()) =>
  found(said(engine, changes)).say(
    trial('intake', 0.1, 'drag'),
    { type: 'mark-checked', payload: { valveId: 'exhaust', still: true } },
    trial('exhaust', 0.06, 'drag'),
    { type: 'nut-loosened', payload: { valveId: 'exhaust' } },
  )
const bare = (figureMm: number): Clearance => ({ form: 'bare', figureMm, text: `${figureMm} mm`, unit: 'mm' })
const LOCKS = Array.from({ length: 20 }, () => ({ shiftMm: -0.02, personId: 1, modelId: 1 }))

describe('the lock is learned and aimed off', () => {
  it('without records the aim is the target; with them it is set wider by what the lock closes', () => {
    const plain = atTheScrew()
    expect(plain.next().instruction).toMatch(/feel 0.12$/)
    const learned = atTheScrew({ locks: LOCKS })
    const valve = learned.view().state.valves.find(v => v.valveId === 'exhaust')!
    const aim = aimOf(learned.view(), valve)
    expect(aim.shift?.shiftMm).toBeCloseTo(-0.02, 3)
    expect(aim.before!.totalMm).toBeGreaterThan(0.125)
    expect(tell(aim.by)).toBe('Ada, this model, 20 locks')
    expect(tell(shiftWords(aim.shift!))).toBe('locking closes it by 0.020 ± 0.001 mm')
  })
  it('a gap over the limits before the lock is nipped when the lock will close it into them; one that will fall out is not', () => {
    const book = atTheScrew({ locks: LOCKS }).say(trial('exhaust', 0.15, 'drag', screw(-45)))
    expect(book.next().instruction).toMatch(/^Hold the screw, nip the nut/)
    const low = atTheScrew({ locks: LOCKS }).say(trial('exhaust', 0.1, 'drag', screw(-30)))
    expect(low.next().instruction).toMatch(/^Turn the screw/)
  })
  it('this job’s own locks count as soon as two are known', () => {
    const round = (): Happening[] => [
      trial('exhaust', 0.12, 'drag', screw(-30)),
      trial('exhaust', 0.12, 'drag', nipped),
      trial('exhaust', 0.09, 'drag', torqued),
      { type: 'nut-loosened', payload: { valveId: 'exhaust' } },
    ]
    const book = atTheScrew().say(...round())
    expect(expectedShift(book.view())).toBeNull()
    expect(expectedShift(book.say(...round()).view())?.shiftMm).toBeLessThan(-0.02)
  })
  it('locks that close by much, round after round, are no screw opened in vain', () => {
    const book = atTheScrew()
    for (let round = 0; round < 5; round++)
      book.say(
        trial('exhaust', 0.12, 'drag', screw(-36)),
        trial('exhaust', 0.12, 'drag', nipped),
        trial('exhaust', 0.05, 'no-go', torqued),
        trial('exhaust', 0.03, 'drag'),
        { type: 'nut-loosened', payload: { valveId: 'exhaust' } },
      )
    expect(book.next().instruction).toMatch(/^Turn the screw/)
  })
  it('a round is repeated until the torqued reading is in, and each stays on record for the sheet', () => {
    const book = atTheScrew().say(
      trial('exhaust', 0.12, 'drag', screw(-30)),
      trial('exhaust', 0.12, 'drag', nipped),
      trial('exhaust', 0.09, 'drag', torqued),
      trial('exhaust', 0.1, 'no-go'),
    )
    // who pulls a nut tight leans on the crank
    expect(book.next().instruction).toBe('Is T still at the pointer?')
    book.say({ type: 'mark-checked', payload: { valveId: 'exhaust', still: true } })
    expect(book.next().instruction).toBe('Loosen the exhaust locknut')
    book.say(
      { type: 'nut-loosened', payload: { valveId: 'exhaust' } },
      trial('exhaust', 0.13, 'drag', screw(-15)),
      trial('exhaust', 0.13, 'drag', nipped),
      trial('exhaust', 0.12, 'drag', torqued),
    )
    expect(book.next().step).not.toBe('set')
    expect(sheet(book.view()).valves[1]!.rounds.map(r => [r.round, r.torqued, r.verdict])).toEqual([
      [1, '0.09 drag, 0.10 no-go', 'tight'],
      [2, '0.12 drag', 'in'],
    ])
  })
  it('a valve that moved in two turns goes back to Set with its history, and Prove starts again for it', () => {
    const book = atTheScrew().say(
      trial('exhaust', 0.12, 'drag', screw(-30)),
      trial('exhaust', 0.12, 'drag', nipped),
      trial('exhaust', 0.12, 'drag', torqued),
      { type: 'prove-turned', payload: { turns: 2, to: T } },
      trial('intake', 0.1, 'drag'),
      { type: 'mark-checked', payload: { valveId: 'exhaust', still: true } },
      trial('exhaust', 0.1, 'no-go'),
      trial('exhaust', 0.08, 'free'),
    )
    // one of two places may be false: the screw is left alone until it was found anew and reads the same
    expect(book.next()).toMatchObject({ step: 'find', instruction: expect.stringMatching(/^Leave the exhaust screw/) })
    book.say(
      { type: 'crank', payload: { observations: [{ kind: 'lost' }] } },
      {
        type: 'crank',
        payload: {
          observations: [
            { kind: 'move', to: T },
            { kind: 'rocker', valveId: 'intake', slack: true },
            { kind: 'rocker', valveId: 'exhaust', slack: true },
          ],
        },
      },
      trial('exhaust', 0.1, 'no-go'),
      trial('exhaust', 0.08, 'free'),
    )
    // an exhaust at its top may be held there by what nobody recorded: it is said why not
    const { requirement } = book.next()
    book.say({ type: 'gate-passed', payload: { gate: requirement!.id, missing: '', reason: 'By rod it is the same' } })
    expect(book.next()).toMatchObject({ step: 'set', instruction: 'Loosen the exhaust locknut' })
    expect(sheet(book.view()).valves[1]!.rounds).toHaveLength(1)
    book.say(
      { type: 'nut-loosened', payload: { valveId: 'exhaust' } },
      trial('exhaust', 0.12, 'drag', screw(-10)),
      trial('exhaust', 0.12, 'drag', nipped),
      trial('exhaust', 0.12, 'drag', torqued),
    )
    expect(book.next().instruction).toMatch(/^Turn it over two full turns/)
  })
})

describe('what a blade says of a screw that was turned', () => {
  const helpsOf = (book: ReturnType<typeof said>) =>
    Object.fromEntries(book.next().keys.map(({ title, help }) => [title, help]))
  it('is the same for a tight valve that is opened and a loose one that is closed: too loose, or too tight', () => {
    const loose = found(said(engineOf())).say(
      trial('intake', 0.1, 'drag'),
      { type: 'mark-checked', payload: { valveId: 'exhaust', still: true } },
      trial('exhaust', 0.2, 'free'),
      trial('exhaust', 0.25, 'drag'),
      { type: 'nut-loosened', payload: { valveId: 'exhaust' } },
    )
    for (const book of [atTheScrew(), loose])
      expect(helpsOf(book)).toMatchObject({ 'Free': 'too loose', 'No-go': 'too tight' })
  })
  it('a blade that slides freely asks for more of a turn, and for no other blade', () => {
    const engine = engineOf({ clearance: { intake: bare(0.1), exhaust: bare(0.15) } })
    const why = atTheScrew({}, engine)
      .say(trial('exhaust', 0.15, 'free', screw(-30)))
      .next().why
    expect(why).toMatch(/^0.15 slides freely; it should drag\. That is .* of a flat/)
  })
})

describe('what is in hand', () => {
  it('the wrench says what to set it to, and what is wrong with it; the reading keeps it', () => {
    const book = atTheScrew({ wrenches: [WRENCH], adapters: [CROW] }).say(
      trial('exhaust', 0.12, 'drag', screw(-30)),
      trial('exhaust', 0.12, 'drag', nipped),
      { type: 'wrench-taken', payload: { wrench: 'Small click', adapter: 'Crow’s-foot' } },
    )
    // 8 · 200 / 250: common practice
    expect(book.next().why).toContain(
      'Set Small click to 6.4 N·m: Crow’s-foot is in line. Small click was due for calibration on 2026-01-01.',
    )
    book.say(book.next().keys[1]!.happening!)
    expect(sheet(book.view()).torques[0]).toMatchObject({
      done: true,
      by: 'set to 6.4 N·m on Small click with Crow’s-foot. Small click was due for calibration on 2026-01-01.',
    })
  })
  it('the blade stays where the shop or the job wants it', () => {
    const atLock = (changes: Partial<JobPin>, ...more: Happening[]) =>
      atTheScrew(changes)
        .say(trial('exhaust', 0.12, 'drag', screw(-30)), trial('exhaust', 0.12, 'drag', nipped), ...more)
        .next().why
    expect(atLock({})).toContain('Take the blade out while you pull')
    expect(atLock({ bladeHabit: 'in' })).toContain('Leave the blade in while you pull')
    expect(atLock({}, { type: 'blade-habit-chosen', payload: { habit: 'in' } })).toContain(
      'Leave the blade in while you pull',
    )
  })
  it('another set: its blades are asked for as they are engraved, and earlier trials keep theirs', () => {
    const book = found(said(engineOf(), { otherSets: [setOf('Thou', [0.0508, 0.0762, 0.1016, 0.127], 'thou')] })).say(
      trial('intake', 0.07, 'free'),
      { type: 'blades-taken', payload: { set: 'Thou' } },
    )
    const { keys, instruction } = book.next()
    expect(instruction).toMatch(/^Try [\d. +]+ thou in the intake$/)
    expect(keys[0]!.happening).toMatchObject({ payload: { set: 'Thou' } })
    book.say({
      type: 'trial',
      payload: { valveId: 'intake', bladesMm: [0.1016], set: 'Thou', feel: 'drag', after: null },
    })
    const found1 = sheet(book.view()).valves[0]!.asFound!
    expect(found1.trials.map(t => t.blades)).toEqual(['0.07', '4 thou (0.102 mm)'])
    expect(found1).toMatchObject({ verdict: 'in', proof: 'drag' })
    expect(sheet(book.view()).spec.bladeSet).toBe('Set A, Thou')
  })
  it('a blade measured thicker than its engraving counts as it measures', () => {
    const set = {
      ...setOf('Set A', [0.08, 0.12]),
      blades: [
        { mm: 0.08, measuredMm: 0.085, condition: 'good' as const, stepMm: null },
        { mm: 0.12, measuredMm: null, condition: 'good' as const, stepMm: null },
      ],
    }
    const book = found(said(engineOf(), { bladeSet: set })).say(trial('intake', 0.08, 'drag'))
    expect(readingRows(book.view())[0]).toMatchObject({ loMm: 0.085, hiMm: 0.1, personId: 1 })
  })
  it('the target of the job wins over the shop’s', () => {
    const target = (changes: Partial<JobPin>, ...more: Happening[]) =>
      sheet(
        found(said(engineOf(), changes))
          .say(...more)
          .view(),
      ).valves[1]!.spec.targetMm
    expect(target({})).toBe(0.12)
    expect(target({ target: 'loose-exhaust' })).toBe(0.1325)
    expect(target({ target: 'loose-exhaust' }, { type: 'target-chosen', payload: { target: 'middle' } })).toBe(0.12)
  })
  it('a shop that demands the pair gets one for the proof, and a drag as found stays enough', () => {
    const book = found(said(engineOf(), { pairToProve: true })).say(
      trial('intake', 0.1, 'drag'),
      { type: 'mark-checked', payload: { valveId: 'exhaust', still: true } },
      trial('exhaust', 0.12, 'drag'),
      { type: 'prove-turned', payload: { turns: 2, to: T } },
      trial('intake', 0.1, 'drag'),
    )
    expect(book.next()).toMatchObject({ step: 'prove', trial: { valveId: 'intake' } })
    expect(book.say(trial('intake', 0.12, 'no-go')).next().requirement?.id).toContain('exhaust')
  })
  it('a valve that was in as found and is not in the proof, untouched between, is not opened without a word', () => {
    const proved = (...asFound: Happening[]) =>
      found(said()).say(
        ...asFound,
        { type: 'mark-checked', payload: { valveId: 'exhaust', still: true } },
        trial('exhaust', 0.12, 'drag'),
        { type: 'prove-turned', payload: { turns: 2, to: T } },
        trial('intake', 0.13, 'free'),
        trial('exhaust', 0.12, 'drag'),
      )
    const now = proved(trial('intake', 0.1, 'free'), trial('intake', 0.12, 'no-go')).next()
    expect(now.instruction).toBe('Loosen the intake locknut')
    expect(tell(now.why)).toMatch(
      /It was within limits as found, and nothing has been set since\. Try the blades once more/,
    )
  })
  it('an estimate is kept as one and proves nothing', () => {
    const book = found(said()).say({ type: 'estimate', payload: { valveId: 'intake', mm: 0.381, text: '15 thou' } })
    expect(readingRows(book.view())).toEqual([])
    expect(sheet(book.view()).valves[0]!.estimates).toEqual(['15 thou, by Ada'])
  })
})

describe('two figures that disagree', () => {
  const other = (minMm: number, maxMm: number) =>
    engineOf({ otherClearances: [{ role: 'exhaust', clearance: limits(minMm, maxMm), source: 'Bulletin 4' }] })
  it('two roundings of one figure are no disagreement', () => {
    expect(disagreeing(other(0.1016, 0.1397), 'exhaust')).toEqual([])
    expect(unsettledRoles(other(0.13, 0.17), { figures: {} })).toEqual(['exhaust'])
  })
  it('stop the job until a lead says which stands; then all is judged by it, and the sheet says so', () => {
    const book = said(other(0.13, 0.17)).say(confirmed('machine'), confirmed('spec'))
    expect(book.next()).toMatchObject({
      instruction: 'Which figure is right for the exhaust?',
      keys: [{ asks: 'figure' }, { asks: 'reason' }],
    })
    book.say({
      type: 'figure-settled',
      payload: { role: 'exhaust', clearance: limits(0.13, 0.17), reason: 'The bulletin is newer' },
    })
    expect(book.next().requirement?.id).toBe('cold')
    ready(book)
    book.say(
      {
        type: 'crank',
        payload: {
          observations: [
            { kind: 'move', to: T },
            { kind: 'rocker', valveId: 'intake', slack: true },
            { kind: 'rocker', valveId: 'exhaust', slack: true },
          ],
        },
      },
      trial('exhaust', 0.12, 'no-go'),
    )
    expect(readingRows(book.view())[0]).toMatchObject({ verdict: 'tight' })
    expect(sheet(book.view()).figures).toEqual(['Exhaust 0.13–0.17 mm (5.1–6.7 thou): The bulletin is newer. Ada.'])
  })
  it('a figure between them may stand, one outside both not', () => {
    expect(figureRefused(other(0.13, 0.17), 'exhaust', limits(0.12, 0.15))).toBeNull()
    expect(figureRefused(other(0.13, 0.17), 'exhaust', limits(0.09, 0.15))).toMatch(
      /outside both printed figures, 0.10 to 0.17 mm/,
    )
  })
})

describe('shimmed valves', () => {
  it('two are swapped, one is bought, and the job ends with all in spec', async () => {
    const { engine } = SPAN
    const virtual = virtualFor(engine, {
      crankDeg: 200,
      gapMm: { 'left-intake': 0.06, 'right-intake': 0.24, 'left-exhaust': 0.215, 'right-exhaust': 0.215 },
      shimMm: { 'left-intake': 2.45, 'right-intake': 2.35 },
    })
    const tools = jobTools(pinOf(engine))
    const log = new LogBook()
    const look = () => viewJob(tools, log.events, afterLast(log, MORNING))
    const hand = new VirtualHand(virtual)
    await workThrough(
      hand,
      look,
      h => {
        log.add(h)
      },
      next => tell(next.instruction).startsWith('Fit '),
    )
    expect(shimWork(look()).lines.map(l => [l.valveId, l.place?.mm, l.place?.from, l.place?.fromValveId])).toEqual([
      ['left-intake', 2.35, 'valve', 'right-intake'],
      ['right-intake', 2.45, 'valve', 'left-intake'],
    ])
    expect(shimWork(look()).buyMm).toEqual([])
    const story = (
      await workThrough(hand, look, h => {
        log.add(h)
      })
    ).map(storyLine)
    // with the cam back the stop is found anew before a blade is tried
    const back = story.findIndex(line => line.includes('Put the cam back'))
    expect(story[back + 1]).toMatch(/^find: /)
    expect(look().state.status).toBe('closed')
    expect(virtual.gapMm['left-intake']).toBeCloseTo(0.16, 6)
    expect(sheet(look()).valves.find(v => v.valveId === 'left-intake')!.shim).toEqual({
      old: '2.45 engraved, 2.45 measured',
      fitted: '2.35 out of the rear intake',
    })
  })
  it('are all measured before the cam comes out, and the shelf is used before a purchase', () => {
    const { engine } = SPAN
    const tools = jobTools(pinOf(engine, { shimStockMm: [2.35, 2.4] }))
    const log = new LogBook()
    const hand = new VirtualHand(
      virtualFor(engine, {
        crankDeg: 200,
        gapMm: { 'left-intake': 0.06, 'right-intake': 0.14, 'left-exhaust': 0.215, 'right-exhaust': 0.215 },
        shimMm: { 'left-intake': 2.45 },
      }),
    )
    const look = () => viewJob(tools, log.events, afterLast(log, MORNING))
    const asked: string[] = []
    for (let next = nextThing(look()); !next.instruction.startsWith('Fit '); next = nextThing(look())) {
      asked.push(next.instruction)
      log.add(hand.answer(next))
    }
    expect(asked.filter(a => a.startsWith('Read '))).toEqual(['Read the front intake’s shim'])
    for (const name of ['front exhaust', 'rear intake', 'rear exhaust'])
      expect(
        asked.some(a => a.endsWith(name)),
        name,
      ).toBe(true)
    expect(shimWork(look()).lines).toMatchObject([{ valveId: 'left-intake', place: { mm: 2.4, from: 'stock' } }])
  })
})

describe('a valve that was proved, and set once more', () => {
  const turned: Happening = { type: 'prove-turned', payload: { turns: 2, to: T } }
  const pass = (gate: string): Happening => ({
    type: 'gate-passed',
    payload: { gate, missing: '', reason: 'No blade' },
  })
  it('is not proved by what was proved before: neither on the sheet nor in the machine’s past', () => {
    const book = found(said()).say(
      trial('intake', 0.1, 'drag'),
      trial('exhaust', 0.12, 'drag'),
      turned,
      trial('exhaust', 0.12, 'drag'),
      { type: 'set-chosen', payload: { valveId: 'exhaust' } },
      { type: 'nut-loosened', payload: { valveId: 'exhaust', slotDeg: null } },
      // in before the lock and when nipped: the torque opens it
      trial('exhaust', 0.12, 'drag', { kind: 'screw', deg: -5 }),
      trial('exhaust', 0.12, 'drag', { kind: 'nipped' }),
      trial('exhaust', 0.12, 'free', { kind: 'torqued', torqueNm: 8 }),
      pass('set:exhaust'),
      turned,
      // nothing thicker was at hand, and the crank goes on
      trial('exhaust', 0.15, 'free'),
      pass('proved:exhaust'),
      turned,
    )
    const view = book.view()
    const exhaust = sheet(view).valves[1]!
    expect([exhaust.asLeft, exhaust.proof]).toEqual([null, null])
    expect(latestVerdict(view.pin, view.state.valves[1]!).verdict).not.toBe('in')
    expect(readingRows(view).filter(r => r.valveId === 'exhaust' && r.phase === 'proved')).toEqual([])
  })
})
