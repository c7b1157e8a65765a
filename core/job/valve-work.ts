import { degreesFor } from '../adjuster'
import { type Feel, leavesOf, stackNamed, thickness, type Trial, trialName, went } from '../feeler'
import { movesCrank } from '../position'
import { snapMm } from '../units'
import { isTop, lastPlaceIn, readingStands } from './crank-work'
import type { Envelope } from './envelope'
import type { GapChange } from './gap-change'
import { type JobPin, setNamed } from './pin'
import { presentReading, type ValveState, type WorkState } from './state'

/** A trial as it was said: blades by their engravings. */
interface TrialSaid {
  valveId: string
  bladesMm: number[]
  set?: string | undefined
  feel: Feel
  after: GapChange | null
}
type FittedShim = ValveState['shim']['fitted'][number]

/**
 * A trial as the blades of its set make it: how thick they truly are, what is engraved on them, how far they may be
 * off.
 */
export function trialOf(pin: JobPin, id: string, { bladesMm, set, feel }: TrialSaid): Trial {
  const blades = setNamed(pin, set ?? null)
  const stack = stackNamed(blades, bladesMm)
  return {
    id,
    bladesMm: stack.bladesMm,
    engravedMm: bladesMm,
    set: blades.name,
    feel,
    name: trialName(bladesMm, blades.unit, pin.unit),
    errorMm: stack.errorMm,
    doubt: stack.doubt,
  }
}

/**
 * Takes a trial up: what was done to the gap before it, the reading that it belongs to, and what the blade says of the
 * crank.
 */
export function takeTrial(
  pin: JobPin,
  state: WorkState,
  valve: ValveState,
  { id, personId }: Envelope,
  payload: TrialSaid,
): void {
  const { valveId, after } = payload
  if (after) changeGap(state, valve, id, after)
  let reading = presentReading(valve)
  if (reading && reading.place !== state.places) {
    // measured again after the crank moved: the new trials stand alone, and the old ones are held against them
    valve.elsewhere.push(reading)
    valve.readings = valve.readings.filter(r => r !== reading)
    reading = undefined
  }
  if (!reading)
    valve.readings.push(
      (reading = {
        valveId,
        phase: valve.phase,
        round: valve.round,
        place: state.places,
        at: lastPlaceIn(state.noted),
        trials: [],
        personId: null,
      }),
    )
  const made = trialOf(pin, id, payload)
  reading.trials.push(made)
  reading.personId = personId
  if (valve.phase === 'before lock') tryAt(valve, state.places).push(made)
  valve.lookAgain = false
  bladeSpeaks(pin, state, valve, made, leavesOf(setNamed(pin, payload.set ?? null))[0]?.mm ?? 0)
}

/** The trials made at the screw's present angle in this round. */
function tryAt(valve: ValveState, place: number): Trial[] {
  let here = valve.tries.at(-1)
  if (here?.round !== valve.round || here.place !== place || here.screwDeg !== valve.screwDeg)
    valve.tries.push((here = { round: valve.round, place, screwDeg: valve.screwDeg, trials: [] }))
  return here.trials
}

/**
 * A blade that goes feels as slack does. The thinnest one refused is no play, unless the screw was moved here: then it
 * tells of the screw. But a screw opened, or a shim thinner, by more than any valve lacks, and a blade still refused:
 * then the valve is not closed.
 */
function bladeSpeaks(pin: JobPin, state: WorkState, valve: ValveState, made: Trial, thinnest: number): void {
  const screwMovedHere = state.noted
    .slice(state.noted.findLastIndex(n => movesCrank(n.observation)) + 1)
    .some(n => n.observation.kind === 'screw-set' && n.observation.valveId === valve.valveId)
  const openedInVain = inVainMm(pin, valve, thickness(made)) >= MOST_LACKING_MM
  // first whether it is this valve's screw at all, and whether it turns: only then the place is in doubt
  valve.inVainId = openedInVain && !went(made) ? made.id : null
  if (valve.inVainId && valve.nut === 'loose' && !valve.screwChecked) return
  if (went(made)) valve.lastWent = { mm: thickness(made), openedMm: openedMm(pin, valve) }
  if (valve.inVainId) return noteInVain(state, valve)
  if (went(made) || (thickness(made) <= thinnest && !screwMovedHere))
    state.noted.push({
      id: made.id,
      observation: {
        kind: 'blade',
        valveId: valve.valveId,
        went: went(made),
        again: refusedBefore(state, valve.valveId),
      },
    })
}
/** Opened by more than any valve lacks, and the blade still refused: its rocker has no play here. */
function noteInVain(state: WorkState, { inVainId, valveId }: ValveState): void {
  if (!inVainId) return
  const again = refusedBefore(state, valveId)
  state.noted.push(
    { id: `${inVainId}:vain`, observation: { kind: 'rocker', valveId, slack: false } },
    { id: inVainId, observation: { kind: 'blade', valveId, went: false, again } },
  )
}
/** By how much a valve was opened since it was found, by screw and by shim. */
const openedMm = (pin: JobPin, valve: ValveState): number =>
  -valve.screwDeg / degreesFor(pin.spec.engine.adjuster, 1) + thinnerBy(valve)
/** By how much more a valve was opened since a blade last went than a blade needs that is refused still. */
const inVainMm = (pin: JobPin, valve: ValveState, bladeMm: number): number =>
  snapMm(openedMm(pin, valve) - valve.lastWent.openedMm - (bladeMm - valve.lastWent.mm))
/**
 * How much further a valve may be opened for a blade that is refused, before its place is in doubt; never less than a
 * hair.
 */
export const mayOpenMm = (pin: JobPin, valve: ValveState, bladeMm: number): number =>
  Math.max(0.01, MOST_LACKING_MM - inVainMm(pin, valve, bladeMm))
/** How much thinner the shim is than the one that was found. */
const thinnerBy = ({ shim }: ValveState): number => {
  const [old, now] = [shim.measuredMm ?? shim.engravedMm, shim.fitted.at(-1)?.mm]
  return old !== null && now !== undefined ? old - now : 0
}

/** Whether the thinnest blade was refused by this valve at an earlier place, its screw not moved since. */
function refusedBefore(state: WorkState, valveId: string): boolean {
  const here = state.noted.findLastIndex(n => movesCrank(n.observation))
  const screw = state.noted.findLastIndex(n => n.observation.kind === 'screw-set' && n.observation.valveId === valveId)
  return state.noted.some(
    ({ observation: o }, i) => i > screw && i < here && o.kind === 'blade' && o.valveId === valveId && !o.went,
  )
}
/** No valve is set this far below no clearance. From memory. */
const MOST_LACKING_MM = 0.15

/**
 * A proof at the top of a valve that a decompressor holds there proves nothing; where none was made yet, what was found
 * there is not so either.
 */
export function heldAtTop(valve: ValveState): void {
  const latest = valve.readings.findLast(r => r.round === valve.round && r.trials.length > 0)
  if (!latest?.at || !isTop(latest.at) || (latest.phase !== 'proved' && latest.phase !== 'as found')) return
  valve.elsewhere.push(latest)
  valve.readings = valve.readings.filter(r => r !== latest)
}

/** The nut is undone: the gap is what the screw makes it, from where the slot was noted. Changes the valve in place. */
export function loosen(valve: ValveState, slotDeg: number | null = null): void {
  // the slot's place is cumulative from the first time that it was noted
  if (slotDeg !== null) valve.slotFromDeg = slotDeg - valve.screwDeg
  valve.nut = 'loose'
  valve.phase = 'before lock'
  valve.elsewhere = []
  valve.round++
  valve.screwChecked = false
  valve.inVainId = null
}

/** A screw that was turned and changed nothing: it was the right one after all, another one, or its stud turns. */
export function takeScrewCheck(
  state: WorkState,
  valve: ValveState,
  found: 'right' | 'other' | 'spins' | 'turned back',
): void {
  if (found === 'right') {
    valve.screwChecked = true
    noteInVain(state, valve)
  }
  valve.inVainId = null
  if (found === 'spins') Object.assign(valve, { spins: true, nut: 'locked' })
  if (found === 'turned back')
    Object.assign(valve, { nut: 'locked', phase: 'torqued', screwDeg: 0, setChosen: false, leftAtPlace: state.places })
  if (found !== 'other') return
  // what was turned was not this screw: it stands where it stood, and what the other one did is looked at again
  valve.screwDeg = valve.moves.filter(m => m.round < valve.round).at(-1)?.screwDeg ?? 0
  valve.moves = valve.moves.filter(m => m.round < valve.round)
  valve.tries = valve.tries.filter(t => t.round < valve.round)
  for (const other of state.valves) if (other !== valve && other.readings.length) other.lookAgain = true
}

/**
 * The gap was changed by screw, nip, torque or shim: what was read before is no longer present. Changes the valve in
 * place.
 */
export function changeGap(state: WorkState, valve: ValveState, id: string, change: GapChange): void {
  state.lastChange = change.kind
  valve.elsewhere = []
  if (change.kind === 'screw') {
    if (valve.nut !== 'loose') loosen(valve)
    valve.screwDeg += change.deg
    valve.moves.push({ round: valve.round, deg: change.deg, screwDeg: valve.screwDeg })
    state.noted.push({ id: `${id}:screw`, observation: { kind: 'screw-set', valveId: valve.valveId } })
    state.proving = false
  } else if (change.kind === 'nipped') {
    valve.nut = 'nipped'
    valve.phase = 'nipped'
  } else {
    valve.nut = 'locked'
    valve.phase = 'torqued'
    valve.torqueNm = change.torqueNm
    valve.torquedBy = change.by ?? null
    state.mayHaveMoved = true
  }
  valve.readings = valve.readings.filter(r => !(r.phase === valve.phase && r.round === valve.round))
}

/** Another shim is in: its valve is measured anew once the cam is back, as after a lock. */
export function fitShim(state: WorkState, valve: ValveState, fitted: FittedShim): void {
  valve.shim.fitted.push({ mm: fitted.mm, from: fitted.from, fromValveId: fitted.fromValveId })
  valve.round++
  valve.phase = 'torqued'
  state.camOut = true
  state.proving = false
}

/**
 * Two full turns by hand: every valve is measured again, but for those that stand proved since. Rounds of proving count
 * on.
 */
export function beginProof(state: WorkState): void {
  state.proving = true
  for (const valve of state.valves) {
    if (
      valve.phase === 'proved' &&
      valve.readings.some(r => r.phase === 'proved' && r.round === valve.round && readingStands(r.trials))
    )
      continue
    valve.phase = 'proved'
  }
}
