import { pointsTo } from '../complaint'
import { ASSUMED_DECOMPRESSOR, firingAngle, type Place, samePlace, signedWay, type Valve, valveById } from '../engine'
import { type Interval, type Stack, trialErrorMm } from '../feeler'
import { movesCrank } from '../position'
import { snapMm } from '../units'
import { isTop, lastPlaceIn } from './crank-work'
import { presentReading, type Reading, readingIn, type ValveState } from './state'
import { clearanceOf, type JobView, judgeReading, setInHand } from './view'

/** A hand feels the same blade a little differently at another place. mm, from memory */
const HAND_MM = 0.004

/** The readings of a valve’s present gap, its nut locked throughout, oldest first: the last is of this place. */
function readingsOfThisGap(valve: ValveState, places: number): Reading[] {
  const present = presentReading(valve)
  if (valve.nut !== 'locked' || !present?.trials.length || present.place !== places) return []
  const torqued = valve.phase === 'proved' && valve.readings.find(r => r.phase === 'torqued' && r.round === valve.round)
  const found = valve.round === 0 && valve.phase === 'proved' && valve.readings.find(r => r.phase === 'as found')
  return [torqued, found, ...valve.elsewhere, present].filter((r): r is Reading => !!r && r.trials.length > 0)
}

const errorOf = (reading: Reading): number => Math.max(...reading.trials.map(trialErrorMm))

/** Two readings of one locked gap that cannot both be right: at one of the places the valve was not closed. */
export interface TwoPlaces {
  valveId: string
  there: Interval
  here: Interval
  /** A valve that is held or not quite closed reads tighter, never looser: then it is this place that is false. */
  tighterHere: boolean
  /** Whether a decompressor that is not on record would explain it. */
  decompressor: boolean
  /** How many other places it was read at. */
  places: number
}

/**
 * Whether a valve reads differently here than at an earlier place, by more than its blades may be off, though nothing
 * has moved its gap.
 */
export function differsHere(view: JobView, valve: ValveState): TwoPlaces | null {
  const readings = readingsOfThisGap(valve, view.state.places)
  const present = readings.pop()
  if (!present) return null
  const of = (r: Reading) => judgeReading(view.pin, r, valve.valveId).reading
  const here = of(present)
  const others = readings.filter(r => r.place !== present.place)
  const apart = (a: Reading, b: Reading) => {
    const [from, to] = [of(a), of(b)]
    return from.hiMm !== null && snapMm(from.hiMm + errorOf(a) + errorOf(b) + HAND_MM) <= to.loMm
  }
  const other = others.findLast(r => apart(present, r) || apart(r, present))
  if (!other) return null
  const tighterHere = apart(present, other)
  const decompressor = tighterHere && mayBeHeld(view, valve.valveId)
  // found anew and read again, it says the same: then it has moved, unless something holds it at each such place
  const saysItAgain = others.some(r => !apart(present, r) && !apart(r, present) && of(r).hiMm !== null)
  if (saysItAgain && !decompressor) return null
  return { valveId: valve.valveId, there: of(other), here, tighterHere, decompressor, places: others.length }
}

/**
 * The blade that tells whether a valve that is tight here, and was in at another place, reads differently by more than
 * blades may be off: asked for before its nut is loosened. Null where that is known, or the set has none.
 */
export function tellsApart(view: JobView, valve: ValveState): Stack | null {
  const readings = readingsOfThisGap(valve, view.state.places)
  const present = readings.pop()
  if (!present || judgeReading(view.pin, present, valve.valveId).verdict !== 'tight') return null
  if (differsHere(view, valve)) return null
  const other = readings.findLast(
    r => r.place !== present.place && judgeReading(view.pin, r, valve.valveId).verdict === 'in',
  )
  if (!other) return null
  const here = judgeReading(view.pin, present, valve.valveId).reading
  const apartBelow =
    judgeReading(view.pin, other, valve.valveId).reading.loMm - errorOf(other) - errorOf(present) - HAND_MM
  return (
    view.tools
      .choicesFor(setInHand(view), clearanceOf(view.pin, valve.valveId))
      .filter(c => c.totalMm > here.loMm && snapMm(c.totalMm) <= snapMm(apartBelow))
      .sort((a, b) => a.bladesMm.length - b.bladesMm.length || b.totalMm - a.totalMm)[0] ?? null
  )
}

/** How near its arc's ends a decompressor that nobody recorded may still hold. Degrees, from memory */
const ARC_MAY_BE_OFF_DEG = 15

/** Whether the assumed arc of a decompressor may hold this valve where the crank most likely stands. */
function mayBeHeld(view: JobView, valveId: string): boolean {
  const { engine } = view.pin.spec
  const valve = valveById(engine, valveId)
  if (engine.decompressor.kind === 'arc' || valve.role !== ASSUMED_DECOMPRESSOR.role) return false
  const past = signedWay(firingAngle(engine, valve.cylinderId), view.position.peakDeg, 720)
  return (
    past > ASSUMED_DECOMPRESSOR.fromDeg - ARC_MAY_BE_OFF_DEG && past < ASSUMED_DECOMPRESSOR.toDeg + ARC_MAY_BE_OFF_DEG
  )
}

/**
 * Whether an exhaust that nobody has touched was in as it was found, at another place, and stands where something that
 * is not on record may hold it: what a set cannot tell here is no ground for opening its screw.
 */
export function foundInElsewhere(view: JobView, valve: ValveState): boolean {
  const [asFound, present] = [readingIn(valve, 'as found'), presentReading(valve)]
  return (
    valve.round === 0 &&
    valve.nut === 'locked' &&
    !!asFound?.at &&
    !!present?.at &&
    !samePlace(asFound.at, present.at) &&
    mayBeHeld(view, valve.valveId) &&
    judgeReading(view.pin, asFound, valve.valveId).verdict === 'in'
  )
}

/** A blade that tells whether a decompressor holds an exhaust at its top: it goes past the top, and just so. */
export interface DecompressorTest {
  valve: Valve
  bladesMm: number[]
  set: string
}

/** A gap known no finer than this says too little of what a decompressor would take of it. mm */
const FINE_ENOUGH_MM = 0.035

/**
 * Whether it is worth finding out: nobody knows, the source does not say where it measures, and there is a line to come
 * back to.
 */
const mayTest = ({ pin, state }: JobView): boolean => {
  const { decompressor, measuredAt, marks } = pin.spec.engine
  return (
    decompressor.kind === 'unknown' &&
    measuredAt.kind === 'not said' &&
    !state.decompressorTested &&
    marks.some(m => m.kind === 'top')
  )
}

/**
 * The test of a decompressor that nobody recorded, while it is worth making: an exhaust has been read past its top, and
 * the thickest blade that goes there is tried at the top. It costs no turn: the engine is turned over to prove it
 * anyway.
 */
export function decompressorTest(view: JobView): DecompressorTest | null {
  const { pin, state } = view
  const { engine } = pin.spec
  if (!mayTest(view)) return null
  for (const valve of state.valves) {
    const own = valveById(engine, valve.valveId)
    if (own.role !== ASSUMED_DECOMPRESSOR.role || valve.nut !== 'locked') continue
    const reading = lastKnown(valve)
    const interval = reading && judgeReading(pin, reading, valve.valveId).reading
    if (!interval || interval.hiMm === null) continue
    const { loMm, hiMm } = interval
    // the thickest that goes past the top, single blades before stacks
    const blade = view.tools
      .choicesFor(setInHand(view), clearanceOf(pin, valve.valveId))
      .filter(c => c.totalMm <= loMm && snapMm(hiMm - c.totalMm) <= FINE_ENOUGH_MM)
      .sort((a, b) => a.bladesMm.length - b.bladesMm.length || b.totalMm - a.totalMm)[0]
    if (blade) return { valve: own, bladesMm: blade.engravedMm, set: setInHand(view).name }
  }
  return null
}

/**
 * One blade more, past the top, where the reading there is too wide to tell what a decompressor would take of it: the
 * one next to the middle of what is open. Null where it is narrow enough, or the set has none between.
 */
export function oneBladeMore(view: JobView): { valveId: string; stack: Stack } | null {
  const { pin, state } = view
  if (!mayTest(view) || decompressorTest(view)) return null
  for (const valve of state.valves) {
    const own = valveById(pin.spec.engine, valve.valveId)
    const reading = presentReading(valve)
    if (own.role !== ASSUMED_DECOMPRESSOR.role || valve.nut !== 'locked' || reading?.place !== state.places) continue
    const { loMm, hiMm } = judgeReading(pin, reading, valve.valveId).reading
    if (hiMm === null) continue
    const middle = (loMm + hiMm) / 2
    const between = view.tools
      .choicesFor(setInHand(view), clearanceOf(pin, valve.valveId))
      .filter(c => c.totalMm > loMm && c.totalMm < hiMm)
      .sort((a, b) => Math.abs(a.totalMm - middle) - Math.abs(b.totalMm - middle))[0]
    if (between) return { valveId: valve.valveId, stack: between }
  }
  return null
}

/** What an owner says of an engine whose compression is not let go. From memory */
const KICKS = new RegExp(
  [
    /\bkick(?!er|[ -]?(start|stand|lever))/,
    /hard(er)?\s+(to\s+)?(start|pull|turn|crank)/,
    /(starts?|pulls?|turns?|cranks?)\s+(over\s+)?(too\s+)?hard/,
    /(will not|won.t|does not|doesn.t)\s+start/,
  ]
    .map(r => r.source)
    .join('|'),
  'i',
)
/** So far past its top any exhaust is let go. mm, as common practice has it: a quarter inch */
export const PAST_TOP_MM = 6
/** A blade this much over what the top let in tells that the valve was held there. mm */
const OVER_MM = 0.01
/** One that is more over may stay out although the valve was held: its gap need not be so wide. From memory. */
const OVER_AT_MOST_MM = 0.1

/** Why an exhaust is read at a second place, though the record has no decompressor. */
export interface SecondPlace extends DecompressorTest {
  because: 'complaint' | 'no clearance'
}

/** What its owner says of the engine. */
const kicks = ({ pin }: JobView): boolean =>
  KICKS.test(pin.complaint) || pin.complaints.some(c => pointsTo(c).includes('decompressor'))

/**
 * Whether a reading at a top is held in doubt: as a proof where the engine kicks; before a nut is loosened where it
 * kicks and reads tight, or where no blade at all goes in: few valves lose all of their clearance, and one that is held
 * would be set far too loose.
 */
function inDoubt(view: JobView, valve: ValveState, reading: Reading): SecondPlace['because'] | null {
  if (reading.phase === 'proved') return kicks(view) ? 'complaint' : null
  if (reading.phase !== 'as found' || valve.round > 0 || valve.nut !== 'locked') return null
  const judged = judgeReading(view.pin, reading, valve.valveId)
  if (judged.verdict !== 'tight') return null
  const thinnestMm = Math.min(
    ...view.tools.choicesFor(setInHand(view), clearanceOf(view.pin, valve.valveId)).map(c => c.totalMm),
  )
  if (judged.reading.hiMm !== null && snapMm(judged.reading.hiMm) <= snapMm(thinnestMm)) return 'no clearance'
  return kicks(view) ? 'complaint' : null
}

/**
 * Whether the crank is where a reading at a top was made, or came from there to past that top: a piston passes a top on
 * each stroke, and a blade past the other one tells nothing.
 */
function isBeside({ state }: JobView, reading: Reading, valve: Valve): boolean {
  if (reading.place === state.places) return true
  const past: Place = { kind: 'rod-drop', cylinderId: valve.cylinderId, dropMm: PAST_TOP_MM }
  const place = lastPlaceIn(state.noted)
  const movedLast = state.noted.findLast(n => movesCrank(n.observation))
  return (
    reading.place + 1 === state.places &&
    place !== null &&
    samePlace(place, past) &&
    movedLast?.observation.kind === 'move'
  )
}

/**
 * The second place that a complaint or a reading asks for, where the record has no decompressor: an exhaust was read at
 * its top, and the crank has not gone on since. The thinnest blade that cannot go past it unless the valve was held at
 * the top.
 */
export function secondPlace(view: JobView): SecondPlace | null {
  const { pin, state } = view
  const { engine } = pin.spec
  if (engine.decompressor.kind !== 'none' || state.decompressorTested) return null
  // a source that names its own place means its figure for that place, whatever holds the valve there
  if (engine.measuredAt.kind !== 'not said') return null
  for (const valve of state.valves) {
    const own = valveById(engine, valve.valveId)
    const reading = valve.readings.findLast(r => r.round === valve.round && r.trials.length > 0)
    if (own.role !== ASSUMED_DECOMPRESSOR.role || !reading?.at) continue
    if (!isBeside(view, reading, own)) continue
    // a place that is no top (a partner’s valve down, an intake just shut) may lie where one holds as well
    if (!isTop(reading.at) && reading.place === view.state.places && !mayBeHeld(view, own.id)) continue
    const because = inDoubt(view, valve, reading)
    const { hiMm } = judgeReading(pin, reading, valve.valveId).reading
    if (because === null || hiMm === null) continue
    const blade = view.tools
      .choicesFor(setInHand(view), clearanceOf(pin, valve.valveId))
      .filter(c => c.totalMm >= snapMm(hiMm + OVER_MM) && c.totalMm <= snapMm(hiMm + OVER_AT_MOST_MM))
      .sort((a, b) => a.totalMm - b.totalMm)[0]
    if (blade) return { valve: own, bladesMm: blade.engravedMm, set: setInHand(view).name, because }
  }
  return null
}

/** The last whole reading of the gap as it is now. */
const lastKnown = (valve: ValveState): Reading | undefined =>
  valve.readings
    .filter(r => r.round === valve.round && r.trials.length > 0)
    .filter(r => r.phase === 'torqued' || r.phase === 'as found' || r.phase === 'proved')
    .at(-1)
