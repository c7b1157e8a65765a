import { degreesFor } from '../adjuster'
import { thickness, type Trial, went } from '../feeler'
import { movesCrank, type Noted, type Observation } from '../position'
import type { Place } from '../engine'
import type { JobEvent, Payload } from './event'
import { movesSomething, workingOrder } from './order'
import type { JobPin } from './pin'
import { type JobState, presentReading, type ValveState } from './state'

const emptyState = (pin: JobPin): JobState => ({
  status: 'open', statusReason: null, confirmed: new Set(), temperature: null, rested: null,
  cameOff: [], wentBack: new Set(), putIn: [], cameOut: new Set(), plugRead: null, findings: [], notes: [], replaced: [],
  gasket: null, torqued: {}, ran: null, nextDue: null, passed: [], noted: [], school: null, places: 0, markCheckedFor: null, freshPlace: false,
  valves: pin.spec.engine.valves.map(valve => ({
    valveId: valve.id, phase: 'as found', round: 0, nut: 'locked', screwDeg: 0, moves: [], tries: [], torqueNm: null, readings: [], setChosen: false, lookAgain: false,
  })),
  proving: false, unplaced: [], retracted: new Set(), people: new Set(), closedAt: null, closedBy: null, lastChange: null,
})

/**
 * A job's state, folded from its log.
 * The log is never changed: an answer taken back is one more event. What rested on it is marked to be looked at again.
 * @param pin what the job was opened with
 * @param log events in any order; unknown valves are ignored, for an observation is never refused
 * @returns a new state; equal logs give equal states
 */
export function reduceJob(pin: JobPin, log: JobEvent[]): JobState {
  const { steps, unplaced, retracted } = workingOrder(log)
  const state = emptyState(pin)
  for (const { event, undone } of steps) {
    if (undone) turnBack(state, event)
    else apply(pin, state, event)
  }
  state.unplaced = unplaced
  state.retracted = new Set(retracted.keys())
  markToLookAgain(state, log, retracted)
  return state
}

const said = (event: JobEvent, text: string) => ({ text, by: event.personName, at: event.at })
const valveOf = (state: JobState, id: string): ValveState | undefined => state.valves.find(v => v.valveId === id)
const addOnce = (list: string[], item: string): string[] => list.includes(item) ? list : [...list, item]

function apply(pin: JobPin, state: JobState, event: JobEvent): void {
  state.people.add(event.personName)
  switch (event.type) {
    case 'confirmed': state.confirmed.add(event.payload.item); break
    case 'temperature': state.temperature = { celsius: event.payload.celsius, at: event.at }; break
    case 'rested': state.rested = { hours: event.payload.hours, at: event.at }; break
    case 'came-off': state.cameOff = addOnce(state.cameOff, event.payload.item); break
    case 'went-back': state.wentBack.add(event.payload.item); break
    case 'put-in': state.putIn = addOnce(state.putIn, event.payload.item); break
    case 'came-out': state.cameOut.add(event.payload.item); break
    case 'plug-read': state.plugRead = event.payload.look; break
    case 'finding': state.findings.push({ ...said(event, event.payload.text), step: event.payload.step }); break
    case 'note': state.notes.push(said(event, event.payload.text)); break
    case 'replaced': state.replaced.push(said(event, event.payload.text)); break
    case 'gasket': state.gasket = event.payload; break
    case 'torqued': state.torqued[event.payload.what] = { torqueNm: event.payload.torqueNm }; break
    case 'ran': state.ran = event.payload; break
    case 'next-due': state.nextDue = event.payload; break
    case 'gate-passed': state.passed.push({ ...event.payload, by: event.personName, at: event.at }); break
    case 'school-chosen': state.school = event.payload.school; break
    case 'crank': event.payload.observations.forEach((o, i) => note(state, `${event.id}:${i}`, o)); break
    case 'mark-checked': markChecked(state, event.id, event.payload); break
    case 'trial': trial(pin, state, event.id, event.payload); break
    case 'set-chosen': { const valve = valveOf(state, event.payload.valveId); if (valve) valve.setChosen = true; break }
    case 'nut-loosened': { const valve = valveOf(state, event.payload.valveId); if (valve) loosen(valve); break }
    case 'prove-turned': proveTurned(pin, state, event.id, event.payload); break
    case 'held': case 'abandoned': state.status = event.type; state.statusReason = event.payload.reason; break
    case 'resumed': state.status = 'open'; state.statusReason = null; break
    case 'reopened': Object.assign(state, { status: 'open', statusReason: event.payload.reason, closedAt: null, closedBy: null }); break
    case 'closed': Object.assign(state, { status: 'closed', statusReason: null, closedAt: event.at, closedBy: event.personName }); break
    case 'placed': case 'retracted': break
  }
}

/** Takes an observation up for `locate`. A moved crank starts every reading that is under way again. */
function note(state: JobState, id: string, observation: Observation): void {
  state.noted.push({ id, observation })
  if (movesCrank(observation)) {
    state.places++
    state.markCheckedFor = null
    for (const valve of state.valves) restart(valve)
  }
  if (observation.kind !== 'blade' && observation.kind !== 'screw-set') state.freshPlace = true
}

/** The trials made so far no longer speak of the present gap. A verdict that was reached stays on record; a half-made one is dropped. */
function restart(valve: ValveState): void {
  const reading = presentReading(valve)
  if (reading && !readingStands(reading.trials)) valve.readings = valve.readings.filter(r => r !== reading)
}
/** Whether trials bound the gap from both sides, so that they are a reading and not a beginning. */
const readingStands = (trials: Trial[]): boolean => trials.some(t => t.feel === 'drag' || t.feel === 'pinched') || (trials.some(went) && trials.some(t => !went(t)))

function markChecked(state: JobState, id: string, { valveId, still }: Payload<'mark-checked'>): void {
  if (still) state.markCheckedFor = valveId
  else note(state, id, { kind: 'lost' })
}

function trial(pin: JobPin, state: JobState, id: string, { valveId, bladesMm, feel, after }: Payload<'trial'>): void {
  const valve = valveOf(state, valveId)
  if (!valve) return
  if (after) changeGap(state, valve, id, after)
  let reading = presentReading(valve)
  if (reading && reading.place !== state.places) {
    // measured again after the crank moved: the new trials stand alone
    valve.readings = valve.readings.filter(r => r !== reading)
    reading = undefined
  }
  if (!reading) valve.readings.push(reading = { valveId, phase: valve.phase, round: valve.round, place: state.places, at: lastPlaceIn(state.noted), trials: [] })
  if (state.freshPlace) state.markCheckedFor = valveId
  const made: Trial = { id, bladesMm, feel }
  reading.trials.push(made)
  if (valve.phase === 'before lock') tryAt(valve).push(made)
  valve.lookAgain = false
  state.freshPlace = false
  bladeSpeaks(pin, state, valve, made)
}

/** What the crank was last said to stand at, or null. */
export function lastPlaceIn(noted: Noted[]): Place | null {
  const last = noted.findLast(({ observation: o }) => o.kind === 'move' || o.kind === 'turns' || o.kind === 'watched' || o.kind === 'seen')?.observation
  return last?.kind === 'seen' ? last.place : last && 'to' in last ? last.to : null
}

/** The trials made at the screw's present angle in this round. */
function tryAt(valve: ValveState): Trial[] {
  let here = valve.tries.at(-1)
  if (here?.round !== valve.round || here.screwDeg !== valve.screwDeg) valve.tries.push(here = { round: valve.round, screwDeg: valve.screwDeg, trials: [] })
  return here.trials
}

/**
 * A blade that goes feels as slack does. The thinnest one refused is no play, unless the screw was moved here: then it tells
 * of the screw. But a screw opened by more than any valve lacks, and a blade still refused: then the valve is not closed.
 */
function bladeSpeaks(pin: JobPin, state: JobState, valve: ValveState, made: Trial): void {
  const screwMovedHere = state.noted.slice(state.noted.findLastIndex(n => movesCrank(n.observation)) + 1)
    .some(n => n.observation.kind === 'screw-set' && n.observation.valveId === valve.valveId)
  const thinnest = pin.bladeSet.bladesMm[0] ?? 0
  const openedMm = -valve.screwDeg / degreesFor(pin.spec.engine.adjuster, 1)
  const openedInVain = openedMm > thickness(made) + MOST_LACKING_MM
  if (openedInVain && !went(made)) state.noted.push({ id: `${made.id}:vain`, observation: { kind: 'rocker', valveId: valve.valveId, slack: false } })
  if (went(made) || openedInVain || (thickness(made) <= thinnest && !screwMovedHere))
    state.noted.push({ id: made.id, observation: { kind: 'blade', valveId: valve.valveId, went: went(made), again: refusedBefore(state, valve.valveId) } })
}
/** Whether the thinnest blade was refused by this valve at an earlier place, its screw not moved since. */
function refusedBefore(state: JobState, valveId: string): boolean {
  const here = state.noted.findLastIndex(n => movesCrank(n.observation))
  const screw = state.noted.findLastIndex(n => n.observation.kind === 'screw-set' && n.observation.valveId === valveId)
  return state.noted.some(({ observation: o }, i) => i > screw && i < here && o.kind === 'blade' && o.valveId === valveId && !o.went)
}
/** No valve is set this far below no clearance. From memory. */
const MOST_LACKING_MM = 0.15

function loosen(valve: ValveState): void {
  valve.nut = 'loose'
  valve.phase = 'before lock'
  valve.round++
}

function changeGap(state: JobState, valve: ValveState, id: string, change: NonNullable<Payload<'trial'>['after']>): void {
  state.lastChange = change.kind
  if (change.kind === 'screw') {
    if (valve.nut !== 'loose') loosen(valve)
    valve.screwDeg += change.deg
    valve.moves.push({ round: valve.round, deg: change.deg, screwDeg: valve.screwDeg })
    state.noted.push({ id: `${id}:screw`, observation: { kind: 'screw-set', valveId: valve.valveId } })
    state.proving = false
  }
  else if (change.kind === 'nipped') {
    valve.nut = 'nipped'
    valve.phase = 'nipped'
  }
  else {
    valve.nut = 'locked'
    valve.phase = 'torqued'
    valve.torqueNm = change.torqueNm
  }
  valve.readings = valve.readings.filter(r => !(r.phase === valve.phase && r.round === valve.round))
}

/** Two full turns by hand: every valve is measured again, but for those that stand proved since. Rounds of proving count on. */
function proveTurned(pin: JobPin, state: JobState, id: string, { turns, to }: Payload<'prove-turned'>): void {
  note(state, id, to ? { kind: 'turns', turns, to } : { kind: 'lost' })
  state.proving = true
  for (const valve of state.valves) {
    if (valve.phase === 'proved' && valve.readings.some(r => r.phase === 'proved' && r.round === valve.round && readingStands(r.trials))) continue
    valve.phase = 'proved'
  }
}

/** Something was turned back on the engine: the log keeps the movement, and the engine stands as before it, or is lost. */
function turnBack(state: JobState, event: JobEvent): void {
  const back = `${event.id}:back`
  if (event.type === 'crank' || event.type === 'prove-turned') note(state, back, { kind: 'lost' })
  if (event.type === 'nut-loosened') { const valve = valveOf(state, event.payload.valveId); if (valve) valve.nut = 'nipped' }
  if (event.type !== 'trial' || !event.payload.after) return
  const valve = valveOf(state, event.payload.valveId)
  if (!valve) return
  if (event.payload.after.kind === 'screw') changeGap(state, valve, back, { kind: 'screw', deg: -event.payload.after.deg })
  else Object.assign(valve, { nut: 'loose', phase: 'before lock' })
}

/** Whatever was measured or set after an answer, and rested on it, is to be looked at again once that answer is gone. */
function markToLookAgain(state: JobState, log: JobEvent[], retracted: ReadonlyMap<string, JobEvent>): void {
  const order = new Map([...log].sort((a, b) => (a.seq ?? Infinity) - (b.seq ?? Infinity) || a.deviceSeq - b.deviceSeq).map((e, i) => [e.id, i]))
  const place = (e: JobEvent) => order.get(e.id) ?? Infinity
  const trials = log.filter((e): e is JobEvent & { type: 'trial' } => e.type === 'trial' && !retracted.has(e.id))
  for (const [id, retraction] of retracted) {
    const gone = log.find(e => e.id === id)
    if (!gone) continue
    const bearing = gone.type === 'crank' || gone.type === 'prove-turned' || gone.type === 'mark-checked'
    for (const valve of state.valves) {
      const own = trials.filter(t => t.payload.valveId === valve.valveId)
      const restedOn = own.some(t => place(t) > place(gone) && place(t) < place(retraction) && (bearing || t.payload.after !== null || movesSomething(gone)))
      const sameValve = bearing || (gone.type === 'trial' && gone.payload.valveId === valve.valveId) || (gone.type === 'nut-loosened' && gone.payload.valveId === valve.valveId)
      if (sameValve && restedOn && !own.some(t => place(t) > place(retraction))) valve.lookAgain = true
    }
  }
}
