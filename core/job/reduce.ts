import type { JobEvent } from './event'
import { kindOf } from './events'
import type { JobState } from './job-state'
import { browserOf, movesSomething, workingOrder } from './order'
import type { JobPin } from './pin'

const emptyState = (pin: JobPin): JobState => ({
  status: 'open',
  statusReason: null,
  confirmed: new Set(),
  readied: false,
  temperature: null,
  headReadings: [],
  airC: null,
  rested: null,
  cameOff: [],
  wentBack: new Set(),
  putIn: [],
  cameOut: new Set(),
  plugRead: null,
  plugLooks: {},
  plugGaps: {},
  findings: [],
  notes: [],
  replaced: [],
  gaskets: {},
  torqued: {},
  nutsChecked: null,
  pressures: [],
  complaintsAfter: {},
  earlier: {},
  ran: null,
  nextDue: null,
  passed: [],
  noted: [],
  school: null,
  setName: null,
  target: null,
  bladeHabit: null,
  pairToProve: null,
  aimOffMm: null,
  oneAtATime: null,
  wrench: null,
  figures: {},
  spec: null,
  decompressor: pin.decompressor,
  decompressorTested: false,
  camOut: false,
  personId: null,
  personName: '',
  hand: null,
  places: 0,
  mayHaveMoved: false,
  lastAt: null,
  valves: pin.spec.engine.valves.map(valve => ({
    valveId: valve.id,
    phase: 'as found',
    round: 0,
    nut: 'locked',
    screwDeg: 0,
    moves: [],
    tries: [],
    slotFromDeg: null,
    torqueNm: null,
    torquedBy: null,
    lastWent: { mm: 0, openedMm: 0 },
    estimates: [],
    shim: { engravedMm: null, measuredMm: null, fitted: [] },
    readings: [],
    setChosen: false,
    elsewhere: [],
    screwChecked: false,
    inVainId: null,
    leftAtPlace: null,
    spins: false,
    lookAgain: false,
  })),
  proving: false,
  unplaced: [],
  retracted: new Set(),
  takenBack: [],
  people: new Set(),
  closedAt: null,
  closedBy: null,
  lastChange: null,
})

/**
 * A job's state, folded from its log.
 * The log is never changed: an answer taken back is one more event. What rested on it is marked to be looked at again.
 * @param pin what the job was opened with
 * @param log events in any order; unknown valves are ignored, for an observation is never refused
 * @returns a new state; equal logs give equal states
 */
export function reduceJob(pin: JobPin, log: JobEvent[]): JobState {
  const { events, steps, unplaced, retracted } = workingOrder(log)
  const state = emptyState(pin)
  for (const { event, undone } of steps) {
    // the log keeps the movement, and the engine stands as before it, or is lost
    if (undone) kindOf(event.type).turnBack?.(state, event.payload, `${event.id}:back`)
    else apply(pin, state, event)
  }
  state.unplaced = unplaced
  state.retracted = new Set(retracted.keys())
  state.takenBack = events.flatMap(event => {
    const back = retracted.get(event.id)
    return back?.type === 'retracted' && event.type !== 'retracted'
      ? [{ event, by: back.personName, at: back.at, how: back.payload.how }]
      : []
  })
  state.hand = handOf(events.findLast(e => !unplaced.includes(e)))
  markToLookAgain(state, events, retracted)
  return state
}

/** A pause so long that somebody may have leaned on the crank. From memory. */
const PAUSE_MS = 120_000
const handChanged = (state: JobState, event: JobEvent): boolean =>
  state.personId !== null && state.personId !== event.personId
const pausedBefore = (state: JobState, event: JobEvent): boolean =>
  state.lastAt !== null && Date.parse(event.at) - Date.parse(state.lastAt) >= PAUSE_MS

/** The job is in the hand of whoever answered last. */
const handOf = (event: JobEvent | undefined): JobState['hand'] =>
  event
    ? {
        personId: event.personId,
        personName: event.personName,
        browser: browserOf(event.deviceId),
        at: event.at,
      }
    : null

function apply(pin: JobPin, state: JobState, event: JobEvent): void {
  if (handChanged(state, event) || pausedBefore(state, event)) state.mayHaveMoved = true
  state.lastAt = event.at
  state.people.add(event.personName)
  state.personId = event.personId
  state.personName = event.personName
  kindOf(event.type).fold?.(state, event.payload, event, pin)
}

/**
 * Whatever was measured or set after an answer, and rested on it, is to be looked at again once that answer is gone.
 */
function markToLookAgain(state: JobState, events: JobEvent[], retracted: ReadonlyMap<string, JobEvent>): void {
  const order = new Map(events.map((e, i) => [e.id, i]))
  const place = (e: JobEvent) => order.get(e.id) ?? Infinity
  const trials = events.filter((e): e is JobEvent & { type: 'trial' } => e.type === 'trial' && !retracted.has(e.id))
  for (const [id, retraction] of retracted) {
    const gone = events.find(e => e.id === id)
    if (!gone) continue
    const bearing = gone.type === 'crank' || gone.type === 'prove-turned' || gone.type === 'mark-checked'
    for (const valve of state.valves) {
      const own = trials.filter(t => t.payload.valveId === valve.valveId)
      const restedOn = own.some(
        t =>
          place(t) > place(gone) &&
          place(t) < place(retraction) &&
          (bearing || t.payload.after !== null || movesSomething(gone)),
      )
      const sameValve =
        bearing ||
        (gone.type === 'trial' && gone.payload.valveId === valve.valveId) ||
        (gone.type === 'nut-loosened' && gone.payload.valveId === valve.valveId)
      if (sameValve && restedOn && !own.some(t => place(t) > place(retraction))) valve.lookAgain = true
    }
  }
}
