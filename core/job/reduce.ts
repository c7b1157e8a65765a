import { upcastEngine } from '../engine'
import { note, readingStands } from './crank-work'
import type { JobEvent, Payload } from './event'
import { browserOf, movesSomething, workingOrder } from './order'
import type { JobPin } from './pin'
import type { JobState, ValveState } from './state'
import { changeGap, heldAtTop, loosen, screwChecked, shimFitted, trial } from './valve-work'

const emptyState = (pin: JobPin): JobState => ({
  status: 'open',
  statusReason: null,
  confirmed: new Set(),
  temperature: null,
  headReadings: [],
  airC: null,
  rested: null,
  cameOff: [],
  wentBack: new Set(),
  putIn: [],
  cameOut: new Set(),
  plugRead: null,
  findings: [],
  notes: [],
  replaced: [],
  gasket: null,
  torqued: {},
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
    if (undone) turnBack(state, event)
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

const said = (event: JobEvent, text: string) => ({ text, by: event.personName, at: event.at })
const valveOf = (state: JobState, id: string): ValveState | undefined => state.valves.find(v => v.valveId === id)
const onValve = (state: JobState, id: string, change: (valve: ValveState) => void): void => {
  const valve = valveOf(state, id)
  if (valve) change(valve)
}
const addOnce = (list: string[], item: string): string[] => (list.includes(item) ? list : [...list, item])

function apply(pin: JobPin, state: JobState, event: JobEvent): void {
  if (handChanged(state, event) || pausedBefore(state, event)) state.mayHaveMoved = true
  state.lastAt = event.at
  state.people.add(event.personName)
  state.personId = event.personId
  state.personName = event.personName
  switch (event.type) {
    case 'confirmed':
      state.confirmed.add(event.payload.item)
      break
    case 'temperature':
      state.temperature = { celsius: event.payload.celsius, at: event.at }
      state.headReadings.push(state.temperature)
      state.airC = event.payload.airC ?? state.airC
      break
    case 'rested':
      state.rested = { hours: event.payload.hours, at: event.at }
      break
    case 'came-off':
      state.cameOff = addOnce(state.cameOff, event.payload.item)
      break
    case 'went-back':
      state.wentBack.add(event.payload.item)
      break
    case 'put-in':
      state.putIn = addOnce(state.putIn, event.payload.item)
      break
    case 'came-out':
      state.cameOut.add(event.payload.item)
      break
    case 'plug-read':
      state.plugRead = event.payload.look
      break
    case 'finding':
      state.findings.push({ ...said(event, event.payload.text), step: event.payload.step })
      break
    case 'note':
      state.notes.push(said(event, event.payload.text))
      break
    case 'replaced':
      state.replaced.push(said(event, event.payload.text))
      break
    case 'gasket':
      state.gasket = event.payload
      break
    case 'torqued':
      state.torqued[event.payload.what] = { torqueNm: event.payload.torqueNm }
      break
    case 'ran':
      state.ran = event.payload
      break
    case 'next-due':
      state.nextDue = event.payload
      break
    case 'gate-passed':
      state.passed.push({ ...event.payload, by: event.personName, at: event.at })
      break
    case 'school-chosen':
      state.school = event.payload.school
      break
    case 'crank':
      event.payload.observations.forEach((o, i) => note(state, `${event.id}:${i}`, o))
      break
    case 'mark-checked':
      markChecked(state, event.id, event.payload)
      break
    case 'trial':
      onValve(state, event.payload.valveId, valve => trial(pin, state, valve, event, event.payload))
      break
    case 'estimate':
      onValve(state, event.payload.valveId, valve => {
        valve.estimates.push({ mm: event.payload.mm, text: event.payload.text, by: event.personName })
      })
      break
    case 'blades-taken':
      state.setName = event.payload.set
      break
    case 'target-chosen':
      state.target = event.payload.target
      break
    case 'blade-habit-chosen':
      state.bladeHabit = event.payload.habit
      break
    case 'proof-chosen':
      state.pairToProve = event.payload.pair
      break
    case 'aim-off-chosen':
      state.aimOffMm = event.payload.shiftMm
      break
    case 'plan-chosen':
      state.oneAtATime = event.payload.oneAtATime
      break
    case 'wrench-taken':
      state.wrench = event.payload
      break
    case 'figure-settled':
      state.figures[event.payload.role] = {
        clearance: event.payload.clearance,
        reason: event.payload.reason,
        by: event.personName,
        at: event.at,
      }
      break
    case 'spec-taken':
      Object.assign(state, {
        spec: { ...event.payload, engine: upcastEngine(event.payload.engine), by: event.personName, at: event.at },
        figures: {},
      })
      break
    case 'shim-read':
      onValve(state, event.payload.valveId, valve =>
        Object.assign(valve.shim, { engravedMm: event.payload.engravedMm, measuredMm: event.payload.measuredMm }),
      )
      break
    case 'shim-fitted':
      onValve(state, event.payload.valveId, valve => shimFitted(state, valve, event.payload))
      break
    case 'cam-back':
      camBack(state, event.id)
      break
    case 'set-chosen':
      onValve(state, event.payload.valveId, valve => {
        valve.setChosen = true
      })
      break
    case 'nut-loosened':
      onValve(state, event.payload.valveId, valve => loosen(valve, event.payload.slotDeg ?? null))
      break
    case 'decompressor-tested':
      state.decompressor = event.payload.there ? 'there' : 'none'
      state.decompressorTested = true
      if (event.payload.there) onValve(state, event.payload.valveId, heldAtTop)
      break
    case 'screw-checked':
      onValve(state, event.payload.valveId, valve => screwChecked(state, valve, event.payload.found))
      break
    case 'prove-turned':
      proveTurned(pin, state, event.id, event.payload)
      break
    case 'held':
    case 'abandoned':
      state.status = event.type
      state.statusReason = event.payload.reason
      break
    case 'resumed':
      state.status = 'open'
      state.statusReason = null
      break
    case 'reopened':
      Object.assign(state, { status: 'open', statusReason: event.payload.reason, closedAt: null, closedBy: null })
      break
    case 'closed':
      Object.assign(state, { status: 'closed', statusReason: null, closedAt: event.at, closedBy: event.personName })
      break
    case 'placed':
    case 'retracted':
    case 'taken-over':
      break
  }
}

function markChecked(state: JobState, id: string, { still }: Payload<'mark-checked'>): void {
  if (still) state.mayHaveMoved = false
  else note(state, id, { kind: 'lost' })
}

/** With the cam back in, nobody knows how the crank stands to it until it was looked at again. */
function camBack(state: JobState, id: string): void {
  state.camOut = false
  note(state, `${id}:cam`, { kind: 'lost' })
  for (const valve of state.valves)
    if (valve.shim.fitted.length)
      state.noted.push({ id: `${id}:${valve.valveId}`, observation: { kind: 'screw-set', valveId: valve.valveId } })
}

/** Two full turns by hand: every valve is measured again, but for those that stand proved since. Rounds of proving count on. */
function proveTurned(pin: JobPin, state: JobState, id: string, { turns, to }: Payload<'prove-turned'>): void {
  note(state, id, to ? { kind: 'turns', turns, to } : { kind: 'lost' })
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

/** Something was turned back on the engine: the log keeps the movement, and the engine stands as before it, or is lost. */
function turnBack(state: JobState, event: JobEvent): void {
  const back = `${event.id}:back`
  if (event.type === 'crank' || event.type === 'prove-turned') note(state, back, { kind: 'lost' })
  if (event.type === 'nut-loosened') {
    const valve = valveOf(state, event.payload.valveId)
    if (valve) valve.nut = 'nipped'
  }
  if (event.type !== 'trial' || !event.payload.after) return
  const valve = valveOf(state, event.payload.valveId)
  if (!valve) return
  if (event.payload.after.kind === 'screw')
    changeGap(state, valve, back, { kind: 'screw', deg: -event.payload.after.deg })
  else Object.assign(valve, { nut: 'loose', phase: 'before lock' })
}

/** Whatever was measured or set after an answer, and rested on it, is to be looked at again once that answer is gone. */
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
