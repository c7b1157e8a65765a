import { valveById, type Role } from '../engine'
import {
  intervalWords,
  latestTrials,
  leavesOf,
  type Proof,
  countedAsIn,
  type Verdict,
  went,
  thickness,
  type Trial,
} from '../feeler'
import { formatLength, formatMeter, formatTorque, fahrenheit, thouFromMm } from '../units'
import { DEFER } from './cautions'
import { dueWords } from './due'
import { gates } from './requirements'
import { latestReading, type Phase, type Reading, readingIn, type ScrewTry, type ValveState } from './state'
import { clearanceOf, hoursAtRest, judgeReading, type JobView, settledPin, targetFor, setInHand } from './view'
import { shiftWords } from './aim'
import { expectedShift } from './lock-learning'
import { eventWords } from './event-words'
import { clearanceWords } from './figures'
import { setNamed } from './pin'
import { HABIT_NAMES, placeWords, TARGET_NAMES } from './words'

/** A reading as the sheet shows it. */
export interface SheetReading {
  loMm: number
  hiMm: number | null
  words: string
  verdict: Verdict
  proof: Proof | null
  reason: string
  trials: { blades: string; feel: Trial['feel'] }[]
}
export interface SheetRound {
  round: number
  screwDeg: number
  turnedDeg: number | null
  beforeLock: string
  nipped: string
  torqued: string
  verdict: Verdict
}
export interface SheetValve {
  valveId: string
  name: string
  role: Role
  headX: number
  headY: number
  spec: { words: string; thou: string; minMm: number; maxMm: number; targetMm: number }
  asFound: SheetReading | null
  asLeft: SheetReading | null
  proof: { place: string; went: string; refused: string } | null
  rounds: SheetRound[]
  /** Guesses by eye or ear, which prove nothing. */
  estimates?: string[]
  /** What stood beside the last verdict. */
  cautions?: string[]
  /** The shim that came out, by engraving and micrometer, and what went in from where. */
  shim?: { old: string; fitted: string } | null
}

/** Everything a job sheet says, as it was when it was signed. Print, JSON and history read this and nothing newer. */
export interface Sheet {
  format: 'wembric job sheet'
  version: 1
  number: number
  machine: { name: string; model: string; tag: string; owner: string; meter: string; sinceLast: string }
  complaint: string
  opened: { at: string; by: string }
  closed: { at: string; by: string } | null
  people: string[]
  cold: string
  spec: { revision: number; status: 'approved' | 'draft'; source: string; sourceDate: string; bladeSet: string }
  unit: 'mm' | 'thou'
  valves: SheetValve[]
  departures: { missing: string; reason: string; by: string; at: string }[]
  /** Answers that were taken back, and blades that felt otherwise when they were tried again: none of them proves anything. */
  corrections?: string[]
  findings: { text: string; by: string; at: string }[]
  notes: { text: string; by: string; at: string }[]
  replaced: string[]
  cameOff: { item: string; back: boolean }[]
  wentIn: { item: string; out: boolean }[]
  torques: { what: string; wanted: string; done: boolean; by?: string }[]
  /** How it was set: target, blade while locking, what was aimed off for the lock. */
  setting?: string[]
  /** Figures that a lead settled where two were printed, with the reason. */
  figures?: string[]
  plug: string
  gasket: string
  run: string
  nextDue: string
  /** Blades that were tried and are not of the pinned set: said on the sheet, for nobody knows how thick they are. */
  strangeBlades: string[]
  judgementVersion: number
  caution: string
}

const nameOf = (t: Trial): string => t.name ?? formatLength(thickness(t), 'mm')
/** The trials that count: a blade that was tried again says what it said last. */
const trialsOf = (reading: Reading) => latestTrials(reading.trials).map(t => ({ blades: nameOf(t), feel: t.feel }))

function sheetReading({ pin }: JobView, reading: Reading | undefined): SheetReading | null {
  if (!reading?.trials.length) return null
  const { verdict, proof, reading: interval, reason } = judgeReading(pin, reading, reading.valveId)
  return {
    loMm: interval.loMm,
    hiMm: interval.hiMm,
    words: intervalWords(interval, pin.unit),
    verdict,
    proof,
    reason,
    trials: trialsOf(reading),
  }
}

function specOf(view: JobView, valveId: string): SheetValve['spec'] {
  const targetMm = targetFor(view, valveId)
  const clearance = clearanceOf(view.pin, valveId)
  const { minMm, maxMm } = countedAsIn(clearance, setInHand(view))
  // a bare figure is printed as it is, and the band that counts as it is drawn and said beside it
  const span = (f: (mm: number) => string) =>
    clearance.form === 'bare' ? `${f(clearance.figureMm)}, up to ${f(maxMm)}` : `${f(minMm)}–${f(maxMm)}`
  return { minMm, maxMm, targetMm, words: span(v => formatLength(v, 'mm')), thou: span(v => thouFromMm(v).toFixed(1)) }
}

/** The proof in the words of its blades: which went, which did not. */
function proofOf(view: JobView, valve: ValveState): SheetValve['proof'] {
  const reading = readingIn(valve, 'proved')
  if (!reading) return null
  // a blade that was tried again proves what it did last
  const trials = latestTrials(reading.trials)
  const words = (trial: Trial | undefined, none: string) => (trial ? `${nameOf(trial)} ${trial.feel}` : none)
  const byThickness = (a: Trial, b: Trial) => thickness(a) - thickness(b)
  return {
    place: reading.at ? placeWords(view.pin.spec.engine, reading.at) : 'not known',
    went: words(trials.filter(went).sort(byThickness).at(-1), 'none'),
    refused: words(trials.filter(t => !went(t)).sort(byThickness)[0], 'not needed'),
  }
}

const tryWords = (tries: ScrewTry | undefined): string =>
  (tries ? latestTrials(tries.trials) : []).map(t => `${nameOf(t)} ${t.feel}`).join(', ')

/** Each angle of the screw that was tried; what followed a lock stands on the last of its round. */
export function roundsOf({ pin }: Pick<JobView, 'pin'>, valve: ValveState): SheetRound[] {
  const inRound = (phase: Phase, round: number) =>
    valve.readings.find(r => r.phase === phase && r.round === round && r.trials.length > 0)
  const words = (reading: Reading | undefined) =>
    reading
      ? trialsOf(reading)
          .map(t => `${t.blades} ${t.feel}`)
          .join(', ')
      : ''
  return valve.tries.map((attempt, i) => {
    const lastOfRound = valve.tries[i + 1]?.round !== attempt.round
    const nipped = lastOfRound ? inRound('nipped', attempt.round) : undefined
    const torqued = lastOfRound ? inRound('torqued', attempt.round) : undefined
    const last = torqued ?? nipped ?? { trials: attempt.trials, phase: 'before lock' as const }
    const move = valve.moves.findLast(m => m.round === attempt.round && m.screwDeg === attempt.screwDeg)
    return {
      round: attempt.round,
      screwDeg: attempt.screwDeg,
      turnedDeg: move?.deg ?? null,
      beforeLock: tryWords(attempt),
      nipped: words(nipped),
      torqued: words(torqued),
      verdict: judgeReading(pin, last, valve.valveId).verdict,
    }
  })
}

/** What was corrected: blades that felt otherwise when tried again, and answers taken back. */
function correctionsOf({ pin, state }: JobView): string[] {
  const { engine } = pin.spec
  const again = state.valves.flatMap(valve =>
    [...valve.readings, ...valve.elsewhere].flatMap(({ phase, trials }) => {
      const last = new Map(trials.map(t => [thickness(t), t]))
      return trials
        .filter(t => last.get(thickness(t))!.feel !== t.feel)
        .map(
          t =>
            `${valveById(engine, valve.valveId).name}, ${phase}: ${nameOf(t)} ${t.feel} at first, ${last.get(thickness(t))!.feel} when tried again.`,
        )
    }),
  )
  const back = state.takenBack.map(
    ({ event, by, how }) =>
      `${eventWords(pin, event)}: ${how === 'recorded wrongly' ? 'recorded wrongly, taken back' : 'turned back on the engine'}, ${by}.`,
  )
  return [...again, ...back]
}

function coldWords(view: JobView): string {
  const { temperature } = view.state
  const rested = hoursAtRest(view)
  return (
    [
      temperature && `${temperature.celsius} °C, ${Math.round(fahrenheit(temperature.celsius))} °F`,
      rested !== null && view.state.rested && `rested ${Number(view.state.rested.hours.toFixed(1))} h`,
    ]
      .filter(Boolean)
      .join(', ') || 'not recorded'
  )
}

/**
 * The job sheet's content. Pure: signing stores the result, and what was signed stays as it was.
 * Nothing ticked is nothing claimed: what nobody said stands as such.
 */
export function sheet(view: JobView): Sheet {
  const { pin, state } = view
  const { engine } = pin.spec
  const { meter, lastMeter, meterUnit } = pin.machine
  const torque = (what: string, nm: number | null, done: boolean, by?: string) => ({
    what,
    wanted: nm === null ? 'by the manual' : formatTorque(nm),
    done,
    ...(by ? { by } : {}),
  })
  const untold = gates(view)
    .filter(r => !r.met && r.passed)
    .map(r => r.passed!)
  return {
    format: 'wembric job sheet',
    version: 1,
    number: pin.number,
    machine: {
      name: pin.machine.name,
      model: pin.modelName,
      tag: pin.machine.tag,
      owner: pin.machine.owner,
      meter: meter === null ? 'not read' : formatMeter(meter, meterUnit),
      sinceLast:
        meter === null || lastMeter === null || meter < lastMeter
          ? 'first visit on record'
          : `${formatMeter(Math.round((meter - lastMeter) * 10) / 10, meterUnit)} since last`,
    },
    complaint: pin.complaint,
    opened: { at: pin.openedAt, by: pin.openedBy },
    closed: state.closedAt && state.closedBy ? { at: state.closedAt, by: state.closedBy } : null,
    people: [...state.people],
    cold: coldWords(view),
    spec: {
      revision: pin.spec.revision,
      status: pin.spec.status,
      source: engine.source,
      sourceDate: engine.sourceDate,
      bladeSet: setsUsed(view).join(', '),
    },
    unit: pin.unit,
    valves: state.valves.map(valve => {
      const { name, role, headX, headY } = valveById(engine, valve.valveId)
      return {
        valveId: valve.valveId,
        name,
        role,
        headX,
        headY,
        spec: specOf(view, valve.valveId),
        asFound: sheetReading(view, readingIn(valve, 'as found')),
        asLeft: valve.phase === 'proved' ? sheetReading(view, readingIn(valve, 'proved')) : null,
        proof: proofOf(view, valve),
        rounds: roundsOf(view, valve),
        estimates: valve.estimates.map(e => `${e.text}, by ${e.by}`),
        shim: shimWords(view, valve),
        cautions: latestReading(valve) ? judgeReading(pin, latestReading(valve), valve.valveId).cautions : [],
      }
    }),
    // every gate that was gone through is told, also where what was missing was made good later
    departures: [
      ...new Map(
        [...state.passed, ...untold].map(p => [
          `${p.gate}|${p.at}`,
          { missing: p.missing, reason: p.reason, by: p.by, at: p.at },
        ]),
      ).values(),
    ],
    corrections: correctionsOf(view),
    findings: state.findings.map(({ text, by, at }) => ({ text, by, at })),
    notes: state.notes,
    replaced: state.replaced.map(r => r.text),
    cameOff: state.cameOff.map(item => ({ item, back: state.wentBack.has(item) })),
    wentIn: state.putIn.map(item => ({ item, out: state.cameOut.has(item) })),
    torques: [
      // where no nut was loosened there is nothing to tick
      ...(state.valves.some(v => v.round > 0)
        ? [
            torque(
              'Locknut',
              engine.torques.locknutNm,
              state.valves.every(v => v.nut === 'locked'),
              wrenchWords(view),
            ),
          ]
        : []),
      torque('Cover', engine.torques.coverNm, state.torqued.cover !== undefined),
      torque('Plug', engine.torques.plugNm, state.torqued.plug !== undefined),
    ],
    plug: state.plugRead ?? 'not read',
    gasket: state.gasket
      ? { 'new': 'New gasket', 'used again': 'Gasket used again', 'compound': 'Compound' }[state.gasket.choice] +
        (state.gasket.note ? `: ${state.gasket.note}` : '')
      : 'not recorded',
    run: state.ran
      ? {
          'clean': 'Ran clean: no tick, no weep',
          'ticks': 'Ran, ticks',
          'weeps': 'Ran, weeps',
          'will not start': 'Would not start',
        }[state.ran.result] + (state.ran.note ? `. ${state.ran.note}` : '')
      : 'not run',
    nextDue: state.nextDue ? dueWords(view, state.nextDue) : 'not recorded',
    setting: settingWords(view),
    figures: [
      ...(state.spec
        ? [
            `Begun by revision ${view.tools.pin.spec.revision}; revision ${pin.spec.revision} came into force meanwhile and was taken by ${state.spec.by}.`,
          ]
        : []),
      ...Object.entries(state.figures).map(
        ([role, f]) =>
          `${role === 'intake' ? 'Intake' : 'Exhaust'} ${clearanceWords(f.clearance)}: ${f.reason}. ${f.by}.`,
      ),
    ],
    strangeBlades: strangeBlades(view),
    judgementVersion: pin.judgementVersion,
    caution: DEFER,
  }
}

const readingsIn = ({ state }: Pick<JobView, 'state'>): Trial[] =>
  state.valves.flatMap(v => v.readings.flatMap(r => r.trials))

function strangeBlades({ pin, state }: JobView): string[] {
  const known = new Set([pin.bladeSet, ...pin.otherSets].flatMap(set => leavesOf(set).map(l => l.engravedMm)))
  return [
    ...new Set(
      readingsIn({ state })
        .flatMap(t => t.engravedMm ?? [])
        .filter(t => !known.has(t)),
    ),
  ]
    .sort((a, b) => a - b)
    .map(t => formatLength(t, 'mm'))
}

/** The sets that blades were taken from, the job's own first. */
function setsUsed({ pin, state }: JobView): string[] {
  const used = [pin.bladeSet, ...pin.otherSets].filter(set => readingsIn({ state }).some(t => t.set === set.name))
  return used.length ? used.map(s => s.name) : [setNamed(pin, state.setName).name]
}

/** How the valves were set; nothing where none was. */
function settingWords(view: JobView): string[] {
  const { pin, state } = view
  if (!state.valves.some(v => v.tries.length > 0)) return []
  const shift = expectedShift(view)
  return [
    `Target: ${TARGET_NAMES[state.target ?? pin.target].toLowerCase()}.`,
    `${HABIT_NAMES[state.bladeHabit ?? pin.bladeHabit]}.`,
    ...(shift ? [`On record, ${shiftWords(shift)}.`] : []),
  ]
}

/** With what the locknuts were torqued, and what was wrong with it. */
function wrenchWords({ state }: JobView): string | undefined {
  const all = state.valves.flatMap(v => v.torquedBy ?? [])
  return (
    [
      ...new Set(
        all.map(by =>
          [
            `set to ${Number(by.settingNm.toFixed(2))} N·m on ${by.wrench}${by.adapter ? ` with ${by.adapter}` : ''}`,
            ...by.doubts,
          ].join('. '),
        ),
      ),
    ].join('; ') || undefined
  )
}

function shimWords({ pin }: JobView, { valveId, shim }: ValveState): SheetValve['shim'] {
  const fitted = shim.fitted.at(-1)
  if (!fitted && shim.engravedMm === null && shim.measuredMm === null) return null
  const old = [
    shim.engravedMm === null ? '' : `${formatLength(shim.engravedMm, 'mm')} engraved`,
    shim.measuredMm === null ? '' : `${formatLength(shim.measuredMm, 'mm')} measured`,
  ]
    .filter(Boolean)
    .join(', ')
  const from = !fitted
    ? ''
    : fitted.from === 'valve'
      ? fitted.fromValveId === valveId
        ? ', its own'
        : ` out of the ${valveById(pin.spec.engine, fitted.fromValveId!).name.toLowerCase()}`
      : fitted.from === 'stock'
        ? ' from the shelf'
        : ' bought'
  return { old, fitted: fitted ? `${formatLength(fitted.mm, 'mm')}${from}` : 'not changed' }
}

/** One row of the `readings` projection. */
export interface ReadingRow {
  valveId: string
  phase: Phase
  round: number
  loMm: number
  hiMm: number | null
  verdict: Verdict
  proof: Proof | null
  personId: number | null
}

/** The readings of a job as rows: equal logs give equal rows, in a fixed order. */
export function readingRows({ state, ...given }: Pick<JobView, 'pin' | 'state'>): ReadingRow[] {
  const pin = settledPin(given.pin, state)
  return state.valves.flatMap(valve =>
    valve.readings
      .filter(r => r.trials.length > 0)
      .map(reading => {
        const {
          verdict,
          proof,
          reading: { loMm, hiMm },
        } = judgeReading(pin, reading, valve.valveId)
        return {
          valveId: valve.valveId,
          phase: reading.phase,
          round: reading.round,
          loMm,
          hiMm,
          verdict,
          proof,
          personId: reading.personId,
        }
      }),
  )
}

/** The last reading of a valve in words, for cards and steps. */
export const latestWords = (view: JobView, valve: ValveState): string => {
  const reading = latestReading(valve)
  return reading ? intervalWords(judgeReading(view.pin, reading, valve.valveId).reading, view.pin.unit) : 'not measured'
}
