import { valveById } from '../../engine'
import {
  type BladeSet,
  engravedWords,
  type Feel,
  limitsOf,
  type Stack,
  targetOf,
  thickness,
  trialWords,
  type Verdict,
} from '../../feeler'
import { type Said, say, type Text } from '../../said'
import { aimOf } from '../aim'
import type { GapChange } from '../gap-change'
import { MOST_ROUNDS, standsByAngle } from '../setting'
import { latestReading, presentReading, type Reading, readingIn, type ValveState } from '../state'
import { stopHere } from '../stop-work'
import { foundInElsewhere, tellsApart } from '../two-places'
import { trialOf } from '../valve-work'
import { clearanceOf, expectedPolicy, type JobView, judgeReading, setInHand } from '../view'
import { placeWords, stillWords } from '../words'
import { lastPlace, marginWords } from './find'
import { goOnWithReason, leaveIt } from './keys'
import { type AnswerKey, key, type Worded } from './thing'

/** The four feel keys for a blade; what was done to the gap just before is recorded with the answer. */
export const feelKeys = (
  valveId: string,
  { engravedMm }: Stack,
  set: BladeSet,
  after: GapChange | null,
  help: Partial<Record<Feel, Text>> = {},
): AnswerKey[] =>
  (['free', 'drag', 'pinched', 'no-go'] as const).map(feel =>
    key(say(`feel.${feel}`), help[feel] ?? say(`feel.${feel}.help`), {
      type: 'trial',
      payload: { valveId, bladesMm: engravedMm, set: set.name, feel, after },
    }),
  )

/** What each feel of a blade would prove, beside what was felt before it. */
function wouldProve({ pin, state }: JobView, valve: ValveState, stack: Stack, set: BladeSet): Text {
  const { valveId } = valve
  const reading = presentReading(valve)
  // after the crank moved, new trials stand alone
  const before = reading?.place === state.places ? reading.trials : []
  const told = (feel: Feel): Verdict => {
    const made = trialOf(pin, 'next', { valveId, bladesMm: stack.engravedMm, set: set.name, feel, after: null })
    return judgeReading(pin, { trials: [...before, made], phase: valve.phase }, valveId).verdict
  }
  const clearance = clearanceOf(pin, valveId)
  return [
    limitsOf(clearance) ? '' : say('blade.wanted', { mm: targetOf(clearance), unit: pin.unit }),
    say('blade.tells', { refused: told('no-go'), drags: told('drag'), free: told('free') }),
  ]
}

/** What a reading proves by now; nothing before its first blade. */
export const readingWords = (view: JobView, reading: Reading | undefined, valveId: string): Text =>
  reading?.trials.length ? judgeReading(view.pin, reading, valveId).reason : ''
/** It was in as found, nothing was set since, and now it is not: one of the two feels may be the hand's. */
export function wasInWords(view: JobView, valve: ValveState, opens: 'nut' | 'cam'): Text {
  const [asFound, now] = [readingIn(valve, 'as found'), latestReading(valve)]
  if (valve.round > 0 || !asFound || !now || asFound === now) return ''
  const { verdict } = judgeReading(view.pin, asFound, valve.valveId)
  return verdict === 'in' ? [say('set.was-in'), say('set.was-in.feel-again', { opens })] : ''
}
const alreadySaid = (view: JobView, valve: ValveState): Text => readingWords(view, presentReading(valve), valve.valveId)

/**
 * Nobody answered for so long: whoever comes back looks first. Longer than a pause, for keys must not change under a
 * hand that takes its time. From memory.
 */
const AWAY_MS = 600_000
/**
 * Whether the mark is looked at before a valve is measured or its nut loosened: after a pause, another hand, or a nut
 * that was torqued.
 */
export const wantsMarkCheck = ({ state, nowMs }: JobView): boolean =>
  state.mayHaveMoved || (state.lastAt !== null && nowMs - Date.parse(state.lastAt) >= AWAY_MS)

/** To look whether the crank still stands where it was brought, before a valve is touched. */
export function markCheckThing(view: JobView, valveId: string): Worded {
  const { engine } = view.pin.spec
  const place = lastPlace(view)
  const here = stopHere(view)
  const margin = here && marginWords(engine, here)
  const still = place ? say('key.still-on', { place: placeWords(engine, place) }) : say('key.not-moved')
  const checked = (still: boolean) => ({ type: 'mark-checked' as const, payload: { valveId, still } })
  return {
    label: say('valve.before-measuring', { valve: valveById(engine, valveId).name }),
    instruction: place ? stillWords(engine, place) : say('still.somewhere'),
    why: [say('crept'), margin || say('crept.reading-worthless')],
    keys: [
      key(still, say('key.not-moved.help'), checked(true)),
      key(say('key.it-moved'), say('key.find-it-again'), checked(false)),
    ],
    stage: { kind: 'blades', valveId, next: null },
  }
}

/** Trials that cannot both be right, named so that either can be taken back. */
const doubtedOf = (view: JobView, valve: ValveState): Worded['doubted'] =>
  judgeReading(view.pin, presentReading(valve), valve.valveId).reading.contradiction?.map(t => ({
    eventId: t.id,
    words: trialWords(t),
  })) ?? []

/** As found, the other valves of the stop are measured before a screw is touched; later the nut is loosened at once. */
const setIt = ({ valveId, phase }: ValveState): AnswerKey =>
  phase === 'as found'
    ? key(say('key.set-it'), say('key.set-it.help'), { type: 'set-chosen', payload: { valveId } })
    : key(say('key.set-again'), say('key.set-again.help'), { type: 'nut-loosened', payload: { valveId } })

/** Where the screw’s angle puts it, as an estimate. */
function angleWords(view: JobView, valve: ValveState): Text {
  const stands = standsByAngle(view, valve)
  return stands ? say('by-angle', { loMm: stands.loMm, hiMm: stands.hiMm, unit: view.pin.unit }) : ''
}

/** No blade of the set tells on which side of a limit the gap is. A screw can be set to where one does. */
function notProvable(view: JobView, valve: ValveState): Omit<Worded, 'label'> {
  const { valveId } = valve
  const bySet = valveById(view.pin.spec.engine, valveId).adjuster === 'screw'
  // some blade would prove it, were it set to that blade; after some rounds it stands as near as it can be brought
  const helps =
    bySet && valve.round < MOST_ROUNDS - 1 && aimOf(view, valve).after !== null && !foundInElsewhere(view, valve)
  const ways = [
    ...(helps ? (['set it'] as const) : []),
    ...(view.pin.otherSets.length ? (['another set'] as const) : []),
    'try again' as const,
    'go on' as const,
  ]
  return {
    instruction: say('cannot-prove'),
    stage: { kind: 'blades', valveId, next: null },
    why: [
      alreadySaid(view, valve),
      say('cannot-prove.why', { set: setInHand(view).name, ways }),
      angleWords(view, valve),
    ],
    keys: helps ? [setIt(valve), goOnWithReason] : [goOnWithReason, ...(bySet ? [setIt(valve)] : [])],
    ...(helps ? {} : { wayOut: true as const }),
  }
}

/** A valve that is out and was left so with a reason: its proof says so again. */
function leftOut(view: JobView, valve: ValveState): Omit<Worded, 'label'> {
  const bySet = valveById(view.pin.spec.engine, valve.valveId).adjuster === 'screw'
  return {
    instruction: say('still-out'),
    stage: { kind: 'blades', valveId: valve.valveId, next: null },
    why: [alreadySaid(view, valve), say('still-out.why')],
    keys: [leaveIt, ...(bySet ? [setIt(valve)] : [])],
    wayOut: true,
  }
}

/** Blades that were tried again and still do not agree: another set, or a reason. */
function inDispute(view: JobView, valve: ValveState): Omit<Worded, 'label'> {
  return {
    instruction: say('in-dispute'),
    stage: { kind: 'blades', valveId: valve.valveId, next: null },
    why: [alreadySaid(view, valve), say('in-dispute.why', { otherSets: view.pin.otherSets.length > 0 })],
    keys: [goOnWithReason],
    wayOut: true,
  }
}
/** One blade more for a valve that is tight here and was in elsewhere. */
export function apartThing(view: JobView, valve: ValveState): Worded {
  const { valveId } = valve
  const stack = tellsApart(view, valve)!
  const name = valveById(view.pin.spec.engine, valveId).name
  const set = setInHand(view)
  return {
    label: say('valve.one-more-blade', { valve: name }),
    instruction: say('blade.try', { blade: engravedWords(stack.engravedMm, set.unit), valve: name }),
    why: [alreadySaid(view, valve), say('apart.why')],
    keys: feelKeys(valveId, stack, set, null),
    stage: { kind: 'blades', valveId, next: stack },
    trial: { valveId, stack, set: set.name, after: null },
    doubted: doubtedOf(view, valve),
  }
}

/** A blade is asked for so often in one reading; then its answer stands. */
const MOST_ASKED = 2

/** The next blade for a valve that is being measured, as found or as proof. */
export function trialThing(view: JobView, valve: ValveState, phase: Said): Worded {
  const { valveId } = valve
  if (wantsMarkCheck(view)) return markCheckThing(view, valveId)
  const { name, access } = valveById(view.pin.spec.engine, valveId)
  const label = say('valve.phase', { valve: name, phase })
  const reading = presentReading(valve)
  const set = setInHand(view)
  const stack = expectedPolicy(view, valve)(reading?.trials ?? [])?.stack
  const { verdict } = judgeReading(view.pin, reading, valveId)
  const out = verdict === 'tight' || verdict === 'loose' ? verdict : null
  if (!stack) {
    return { label, ...(out ? leftOut(view, valve) : notProvable(view, valve)) }
  }
  const askedBefore = (reading?.trials ?? []).filter(t => thickness(t) === stack.totalMm).length
  if (askedBefore >= MOST_ASKED) return { label, ...inDispute(view, valve), doubted: doubtedOf(view, valve) }
  const stacked =
    stack.bladesMm.length > 1 && !reading?.trials.length ? say('blade.stack', { blades: stack.bladesMm.length }) : ''
  return {
    label,
    instruction: say('blade.try', { blade: engravedWords(stack.engravedMm, set.unit), valve: name }),
    why: [
      alreadySaid(view, valve),
      access && !reading?.trials.length ? say('blade.access', { access }) : '',
      stacked,
      out ? say('blade.by-how-much', { verdict: out }) : wouldProve(view, valve, stack, set),
    ],
    keys: feelKeys(valveId, stack, set, null),
    stage: { kind: 'blades', valveId, next: stack },
    trial: { valveId, stack, set: set.name, after: null },
    doubted: doubtedOf(view, valve),
  }
}
