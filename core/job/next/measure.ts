import { valveById } from '../../engine'
import {
  BARE_FIGURE_NEAR_MM,
  type BladeSet,
  engravedWords,
  type Feel,
  intervalWords,
  limitsOf,
  type Stack,
  targetOf,
  thickness,
  type Verdict,
} from '../../feeler'
import { formatLength, snapMm } from '../../units'
import type { GapChange } from '../gap-change'
import { presentReading, type ValveState } from '../state'
import { aimOf } from '../aim'
import { MOST_ROUNDS, standsByAngle } from '../setting'
import { clearanceOf, expectedPolicy, judgeReading, type JobView, setInHand } from '../view'
import { placeWords, stillWords } from '../words'
import { stopHere } from '../stop-work'
import { tellsApart } from '../two-places'
import { lastPlace, marginWords } from './find'
import { type AnswerKey, type Worded, key } from './thing'

const FEEL_HELP: Record<Feel, string> = {
  'free': 'slides with room to spare',
  'drag': 'light, even tug',
  'pinched': 'goes in, but grips',
  'no-go': 'won’t go in',
}
const FEEL_TITLE: Record<Feel, string> = { 'free': 'Free', 'drag': 'Drag', 'pinched': 'Pinched', 'no-go': 'No-go' }

/** The four feel keys for a blade; what was done to the gap just before is recorded with the answer. */
export const feelKeys = (
  valveId: string,
  { engravedMm }: Stack,
  set: BladeSet,
  after: GapChange | null,
  help: Partial<Record<Feel, string>> = {},
): AnswerKey[] =>
  (['free', 'drag', 'pinched', 'no-go'] as const).map(feel =>
    key(FEEL_TITLE[feel], help[feel] ?? FEEL_HELP[feel], {
      type: 'trial',
      payload: { valveId, bladesMm: engravedMm, set: set.name, feel, after },
    }),
  )

/** What the blade would prove, said once. */
function wouldProve(view: JobView, valveId: string, bladeMm: number, verdict: Verdict): string {
  if (verdict === 'tight' || verdict === 'loose') return `It’s ${verdict}; this shows by how much.`
  const clearance = clearanceOf(view.pin, valveId)
  const limits = limitsOf(clearance)
  const figure = `${formatLength(targetOf(clearance), view.pin.unit)} ${view.pin.unit}`
  if (!limits)
    return Math.abs(snapMm(bladeMm - targetOf(clearance))) <= BARE_FIGURE_NEAR_MM
      ? `Wanted: ${figure}. If it drags, it’s in. Won’t go: tight. Free: the next blade up will tell.`
      : bladeMm > targetOf(clearance)
        ? `If it goes, it’s loose. If not, it counts as ${figure}.`
        : 'If it won’t go, it’s tight. If it goes, one more blade.'
  if (bladeMm < limits.minMm) return 'If it won’t go, it’s tight. If it goes, one more blade.'
  if (bladeMm === limits.minMm) return 'If it won’t go, it’s tight. If it drags, it’s in.'
  if (bladeMm === limits.maxMm) return 'If it won’t go, it isn’t loose. If it slides freely, it’s loose.'
  if (bladeMm > limits.maxMm) return 'If it goes, it’s loose. If not, one more blade.'
  return 'If it drags, it’s in. Free or won’t go: one more blade.'
}

const alreadySaid = (view: JobView, valve: ValveState): string => {
  const reading = presentReading(valve)
  return reading?.trials.length ? `${judgeReading(view.pin, reading, valve.valveId).reason} ` : ''
}

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

export function markCheckThing(view: JobView, valveId: string): Worded {
  const { engine } = view.pin.spec
  const place = lastPlace(view)
  const here = stopHere(view)
  return {
    label: `${valveById(engine, valveId).name}, before measuring`,
    instruction: place ? stillWords(engine, place) : 'Is the crank still where it was?',
    why: `The crank may have crept. ${here && marginWords(engine, here) ? marginWords(engine, here) : 'With the valve open, a reading is worthless.'}`,
    keys: [
      key(place ? `Still on ${placeWords(engine, place)}` : 'It hasn’t moved', 'as you left it', {
        type: 'mark-checked',
        payload: { valveId, still: true },
      }),
      key('It moved', 'find it again', { type: 'mark-checked', payload: { valveId, still: false } }),
    ],
    stage: { kind: 'blades', valveId, next: null },
  }
}

/** Trials that cannot both be right, named so that either can be taken back. */
const doubtedOf = (view: JobView, valve: ValveState): Worded['doubted'] =>
  judgeReading(view.pin, presentReading(valve), valve.valveId).reading.contradiction?.map(t => ({
    eventId: t.id,
    words: `${t.name ?? ''} ${t.feel}`,
  })) ?? []

/** As found, the other valves of the stop are measured before a screw is touched; later the nut is loosened at once. */
const setIt = ({ valveId, phase }: ValveState): AnswerKey =>
  phase === 'as found'
    ? key('Set it', 'once all here are measured', { type: 'set-chosen', payload: { valveId } })
    : key('Set it again', 'loosen the nut', { type: 'nut-loosened', payload: { valveId } })

/** Where the screw’s angle puts it, as an estimate. */
function angleWords(view: JobView, valve: ValveState): string {
  const stands = standsByAngle(view, valve)
  return stands ? ` The screw’s angle puts it at ${intervalWords(stands, view.pin.unit)}: an estimate.` : ''
}

/** No blade of the set tells on which side of a limit the gap is. A screw can be set to where one does. */
function notProvable(view: JobView, valve: ValveState): Omit<Worded, 'label'> {
  const { valveId } = valve
  const bySet = valveById(view.pin.spec.engine, valveId).adjuster === 'screw'
  // some blade would prove it, were it set to that blade; after some rounds it stands as near as it can be brought
  const helps = bySet && valve.round < MOST_ROUNDS - 1 && aimOf(view, valve).after !== null
  const ways = [
    ...(helps ? ['set it where one does'] : []),
    ...(view.pin.otherSets.length ? ['use another set'] : []),
    'try one again',
    'continue and say why',
  ]
  const goOn = key('Continue', 'say why', null, 'reason')
  return {
    instruction: 'This blade set can’t prove it',
    stage: { kind: 'blades', valveId, next: null },
    why: `${alreadySaid(view, valve)}No blade or stack in ${setInHand(view).name} settles it: ${ways.slice(0, -1).join(', ')}, or ${ways.at(-1)}.${angleWords(view, valve)}`,
    keys: helps ? [setIt(valve), goOn] : [goOn, ...(bySet ? [setIt(valve)] : [])],
    ...(helps ? {} : { wayOut: true as const }),
  }
}

/** A valve that is out and was left so with a reason: its proof says so again. */
function leftOut(view: JobView, valve: ValveState): Omit<Worded, 'label'> {
  const bySet = valveById(view.pin.spec.engine, valve.valveId).adjuster === 'screw'
  return {
    instruction: 'It’s still out of spec',
    stage: { kind: 'blades', valveId: valve.valveId, next: null },
    why: `${alreadySaid(view, valve)}You left it that way. Leave it and say why, or set it again.`,
    keys: [key('Leave it', 'say why', null, 'reason'), ...(bySet ? [setIt(valve)] : [])],
    wayOut: true,
  }
}

/** Blades that were tried again and still do not agree: another set, or a reason. */
function inDispute(view: JobView, valve: ValveState): Omit<Worded, 'label'> {
  return {
    instruction: 'These blades don’t agree',
    stage: { kind: 'blades', valveId: valve.valveId, next: null },
    why: `${alreadySaid(view, valve)}You tried them again and got the same. Wipe and measure them${view.pin.otherSets.length ? ', use another set' : ''}, undo one answer, or continue and say why.`,
    keys: [key('Continue', 'say why', null, 'reason')],
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
    label: `${name}, one more blade`,
    instruction: `Try ${engravedWords(stack.engravedMm, set.unit)} in the ${name.toLowerCase()}`,
    why: `${alreadySaid(view, valve)}At another crank position it was in. If this blade won’t go in either, the crank is in the wrong position: leave the screw alone.`,
    keys: feelKeys(valveId, stack, set, null),
    stage: { kind: 'blades', valveId, next: stack },
    trial: { valveId, stack, set: set.name, after: null },
    doubted: doubtedOf(view, valve),
  }
}

/** A blade is asked for so often in one reading; then its answer stands. */
const MOST_ASKED = 2

/** The next blade for a valve that is being measured, as found or as proof. */
export function trialThing(view: JobView, valve: ValveState, label: string): Worded {
  const { valveId } = valve
  if (wantsMarkCheck(view)) return markCheckThing(view, valveId)
  const name = valveById(view.pin.spec.engine, valveId).name
  const reading = presentReading(valve)
  const set = setInHand(view)
  const stack = expectedPolicy(view, valve)(reading?.trials ?? [])?.stack
  const judged = judgeReading(view.pin, reading, valveId)
  if (!stack) {
    const out = judged.verdict === 'tight' || judged.verdict === 'loose'
    return { label: `${name}, ${label}`, ...(out ? leftOut(view, valve) : notProvable(view, valve)) }
  }
  const askedBefore = (reading?.trials ?? []).filter(t => thickness(t) === stack.totalMm).length
  if (askedBefore >= MOST_ASKED)
    return { label: `${name}, ${label}`, ...inDispute(view, valve), doubted: doubtedOf(view, valve) }
  const stacked =
    stack.bladesMm.length > 1 && !reading?.trials.length
      ? `No blade of that size: stack ${['', '', 'two', 'three'][stack.bladesMm.length]}. `
      : ''
  return {
    label: `${name}, ${label}`,
    instruction: `Try ${engravedWords(stack.engravedMm, set.unit)} in the ${name.toLowerCase()}`,
    why: `${alreadySaid(view, valve)}${stacked}${wouldProve(view, valveId, stack.totalMm, judged.verdict)}`,
    keys: feelKeys(valveId, stack, set, null),
    stage: { kind: 'blades', valveId, next: stack },
    trial: { valveId, stack, set: set.name, after: null },
    doubted: doubtedOf(view, valve),
  }
}
