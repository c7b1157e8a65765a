import { describe, expect, it } from 'vitest'
import type { Happening } from '~~/core/job'
import { clashWords, nextThing } from '~~/core/job'
import { engineOf, setOf } from '~~/tests/support/builders'
import { found, limits, said, trial } from '~~/tests/support/job-book'
import { tell } from '../../tests/support/told'
import { asMade, bladeBeside, instructionFor, tapped } from './blades-in-hand'
import { clashAnswers } from './clash'
import { goesWithStage } from './panel'
import { savedWord, type Sending } from './saved'
import { scaleTopMm, settableValves, stripValves } from './strip'

const NOTHING = { blades: null, turnDeg: null, notSo: new Set<string>() }
const made = (after: (Happening & { type: 'trial' })['payload']['after'] = null): Happening => ({
  type: 'trial',
  payload: { valveId: 'intake', bladesMm: [0.1], feel: 'drag', after },
})

describe('blades in hand', () => {
  it('a tap takes one blade; while stacking it adds one or lays it down, three at most, never none', () => {
    expect(tapped([0.1], 0.2, false)).toEqual([0.2])
    expect(tapped([0.1], 0.2, true)).toEqual([0.2, 0.1])
    expect(tapped([0.2, 0.1], 0.1, true)).toEqual([0.2])
    expect(tapped([0.2], 0.2, true)).toEqual([0.2])
    expect(tapped([0.3, 0.2, 0.1], 0.05, true)).toEqual([0.3, 0.2, 0.1])
  })
  it('from a stack on to the single blade next to it; at the set’s end there is none', () => {
    const set = setOf('Set', [0.05, 0.1, 0.15])
    expect([bladeBeside(set, 0.12, 1), bladeBeside(set, 0.12, -1)]).toEqual([0.15, 0.1])
    expect([bladeBeside(set, 0.15, 1), bladeBeside(set, 0.05, -1)]).toEqual([null, null])
  })
  it('a trial is recorded as it was made, and only a trial', () => {
    const screw = { kind: 'screw', deg: -20 } as const
    expect(asMade(made(screw), { ...NOTHING, blades: [0.1, 0.02], turnDeg: -15 })).toMatchObject({
      payload: { bladesMm: [0.1, 0.02], after: { kind: 'screw', deg: -15 } },
    })
    expect(asMade(made(), { ...NOTHING, turnDeg: 30 })).toEqual(made())
    const note: Happening = { type: 'note', payload: { text: 'x' } }
    expect(asMade(note, { ...NOTHING, blades: [0.1], turnDeg: 5 })).toBe(note)
  })
  it('the instruction says what was chosen, not what was asked for', () => {
    const book = found(said()).say(trial('intake', 0.1, 'drag'), trial('exhaust', 0.06, 'drag'))
    book.say({ type: 'nut-loosened', payload: { valveId: 'exhaust', slotDeg: null } })
    const next = nextThing(book.view())
    const words = instructionFor(next, { blades: [0.1], turnDeg: -10 }, 'mm')
    expect(tell(next.instruction)).toContain('counterclockwise, feel 0.12')
    expect(tell(words)).toBe('Turn the screw 10° counterclockwise, feel 0.10')
  })
})

describe('the header’s word for what is saved', () => {
  const fine: Sending = { refused: 0, unrecorded: false, expired: false, offline: false, toSend: 0, others: null }
  it.each<[Partial<Sending>, string, string]>([
    [{}, 'Saved', 'ok'],
    [{ offline: true }, 'Offline, nothing lost', 'wait'],
    [{ toSend: 2 }, 'Saving', 'wait'],
    [{ toSend: 2, offline: true }, 'Saved on this device, 2 to send', 'wait'],
    [{ others: { personName: 'Tam', count: 3 } }, 'Tam’s 3 not sent', 'wait'],
    [{ toSend: 2, expired: true }, 'Sign in to send 2', 'stop'],
    [{ unrecorded: true, expired: true, toSend: 2 }, 'Not saved', 'stop'],
    [{ refused: 1, unrecorded: true }, '1 not taken', 'stop'],
  ])('%o: %s', (changes, word, tone) => expect(savedWord({ ...fine, ...changes })).toEqual({ word, tone }))
})

describe('the strip of valves', () => {
  it('shows spec until something is read, then the reading in both units with its phase', () => {
    const book = found(said())
    expect(stripValves(book.view()).map(v => [v.verdict, v.words])[0]).toEqual(['not measured', 'Spec 0.08–0.12 mm'])
    const [intake] = stripValves(book.say(trial('intake', 0.1, 'drag')).view())
    expect(intake).toMatchObject({
      verdict: 'in',
      words: '0.10–0.115 mm',
      other: '3.9–4.5 thou',
      trials: [{ mm: 0.1 }],
    })
  })
  it('an open reading says so', () => {
    const strip = stripValves(
      found(said())
        .say(trial('intake', 0.3, 'free'), trial('exhaust', 0.03, 'no-go'))
        .view(),
    )
    expect(strip.map(v => v.other)).toEqual(['11.8 thou or more', 'under 1.2 thou'])
  })
  it('has one scale for all rules, longer where a reading or a spec needs it', () => {
    expect(scaleTopMm(stripValves(found(said()).view()))).toBe(0.2)
    const wide = engineOf({ clearance: { intake: limits(0.1, 0.15), exhaust: limits(0.3, 0.4) } })
    expect(scaleTopMm(stripValves(found(said(wide)).view()))).toBe(0.45)
  })
  it('offers to set a valve that is in only while others are set or proved', () => {
    const book = found(said())
    expect(settableValves(book.view(), book.next())).toEqual([])
    book.say(trial('intake', 0.1, 'drag'), trial('exhaust', 0.06, 'drag'))
    expect(settableValves(book.view(), book.next()).map(v => v.valveId)).toEqual(['intake'])
  })
})

it('a panel for a figure or a shim goes with its picture; any other stays', () =>
  expect((['figure', 'shim-read', 'more', 'keys'] as const).map(kind => goesWithStage({ kind }))).toEqual([
    true,
    true,
    false,
    false,
  ]))

describe('answers that conflict', () => {
  const crank = (...observations: object[]): Happening =>
    ({ type: 'crank', payload: { observations } }) as unknown as Happening
  const rocker = (valveId: string, slack: boolean) => ({ kind: 'rocker', valveId, slack })

  it('may both be true: one key keeps them, and says what comes next', () => {
    // found, both slack and measured; one turn on the intake is slack again, felt twice
    const book = found(said()).say(
      trial('intake', 0.1, 'drag'),
      { type: 'mark-checked', payload: { valveId: 'exhaust', still: true } },
      trial('exhaust', 0.12, 'drag'),
      crank({ kind: 'turns', turns: 1, to: { kind: 'mark', markIndex: 0 } }, rocker('intake', true)),
    )
    const clash = clashWords(book.view())!
    expect(tell(clash.newest)).toBe('Intake slack')
    const answers = clashAnswers(clash, book.next(), new Set())
    expect(answers.map(a => a.title)).toEqual(['Look again', 'Keep both', 'Undo the latest', 'Undo the earlier'])
    expect(answers[1]!.help).toBe(`and go on: ${book.next().instruction}`)
    expect(answers[3]!.eventId).toBe(clash.against[0]!.id)
    const undone = new Set(clash.against.map(f => f.id))
    expect(clashAnswers(clash, book.next(), undone).map(a => a.title)).not.toContain('Undo the earlier')
  })
})
