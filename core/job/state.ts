import type { Complaint, Pressure, Suspect } from '../complaint'
import type { Clearance, DecompressorFound, Engine, Place, Role } from '../engine'
import type { TargetSchool, Trial } from '../feeler'
import type { Noted } from '../position'
import type { Said } from '../said'
import type { School } from '../stops'
import type { GapChange } from './gap-change'
import type { ComplaintResult, FindingEnd, PlugGap } from './outcomes'
import type { BladeHabit, EarlierFinding } from './pin'
import type { Confirmable } from './steps'

export const PHASES = ['as found', 'before lock', 'nipped', 'torqued', 'proved'] as const
export type Phase = (typeof PHASES)[number]

/** One reading of one valve: the trials made in a phase of a round since the gap could last have changed. */
export interface Reading {
  valveId: string
  phase: Phase
  round: number
  /** The crank place, counted by its movements, at which the trials were made. */
  place: number
  /** What the crank stood at, as far as that was said. */
  at: Place | null
  trials: Trial[]
  /** Who made its last trial. */
  personId: number | null
}

/** One turn of the screw on its way to a setting, for the rounds on the sheet. */
export interface ScrewMove {
  round: number
  deg: number
  screwDeg: number
}

/** A figure by eye, ear or wiggle: kept as such, and it proves nothing. */
export interface Estimate {
  mm: number
  text: string
  by: string
}

/** The shim of a valve: what was read off the old one, and what was fitted in its place, in order. */
export interface ShimState {
  engravedMm: number | null
  measuredMm: number | null
  fitted: { mm: number; from: 'stock' | 'bought' | 'valve'; fromValveId: string | null }[]
}

/** What the blades said at one screw angle before the lock. */
export interface ScrewTry {
  round: number
  /** The crank place at which they said it. */
  place: number
  screwDeg: number
  trials: Trial[]
}

export interface ValveState {
  valveId: string
  phase: Phase
  /** Rounds of loosening so far; 0 before the nut was first touched. */
  round: number
  nut: 'locked' | 'loose' | 'nipped'
  /** Screw angle since as found, clockwise positive, cumulative. */
  screwDeg: number
  moves: ScrewMove[]
  tries: ScrewTry[]
  /** Where the slot pointed before the nut was loosened, degrees clockwise from 12; null when nobody noted it. */
  slotFromDeg: number | null
  /** Last torque the nut was locked to, N·m, and with what. */
  torqueNm: number | null
  torquedBy: NonNullable<Extract<GapChange, { kind: 'torqued' }>['by']> | null
  /**
   * The last blade that went, mm, and how far screw and shim had opened the gap by then: it was closed there, whatever
   * locks did before.
   */
  lastWent: { mm: number; openedMm: number }
  estimates: Estimate[]
  shim: ShimState
  readings: Reading[]
  setChosen: boolean
  /** Readings of this very gap made at earlier places of the crank: nothing has changed it since. */
  elsewhere: Reading[]
  /** Turned and nothing changed: it was looked at, and it is the right screw. */
  screwChecked: boolean
  /** The trial that was refused although the screw was opened by more than any valve lacks, until that is known why. */
  inVainId: string | null
  /** It was turned back to where it was found and locked at this place: nothing is set there. */
  leftAtPlace: number | null
  /** The stud turns with its nut. */
  spins: boolean
  /** What it rested on was taken back since it was measured. */
  lookAgain: boolean
}

export interface Passed {
  gate: string
  missing: Said | string
  reason: string
  by: string
  at: string
}
export interface Remark {
  text: string
  by: string
  at: string
}

/** Something found: where, what is to become of it, and which complaint it may explain. */
export interface Found extends Remark {
  step: string
  part: string | null
  end: FindingEnd | null
  about: Complaint | null
  suspect: Suspect | null
  /** Found at an earlier visit, and still to be done. */
  since?: EarlierFinding
}

/** Which gasket went on. */
export interface Gasket {
  choice: 'new' | 'used again' | 'compound'
  note: string
  by: string
  at: string
}
/** How the engine ran afterwards. */
export interface Run {
  result: 'clean' | 'ticks' | 'weeps' | 'will not start'
  note: string
}

/** The work of a job as its log tells it: nothing here is stored, everything is a fold. */
export interface WorkState {
  status: 'open' | 'held' | 'abandoned' | 'closed'
  statusReason: string | null
  confirmed: Set<Confirmable>
  /** The card of a practiced hand was answered. */
  readied: boolean
  temperature: { celsius: number; at: string } | null
  /** Every reading of the head, as it came, and the air about it where somebody said. */
  headReadings: { celsius: number; at: string }[]
  airC: number | null
  rested: { hours: number; at: string } | null
  cameOff: string[]
  wentBack: Set<string>
  putIn: string[]
  cameOut: Set<string>
  plugRead: string | null
  /** How the plugs of more than one look, by their parts' names. */
  plugLooks: Record<string, string>
  /** By the parts’ names, or that of the one plug. */
  plugGaps: Record<string, PlugGap>
  findings: Found[]
  notes: Remark[]
  replaced: Remark[]
  /** By the parts' names. */
  gaskets: Record<string, Gasket>
  torqued: Record<string, { torqueNm: number | null }>
  /** How many locknuts were gone over; null before. */
  nutsChecked: number | null
  pressures: (Pressure & { at: string })[]
  /** What became of what earlier visits found, by its place in the pin’s list. */
  earlier: Record<number, 'done' | 'still'>
  complaintsAfter: Partial<Record<Complaint, ComplaintResult>>
  ran: Run | null
  nextDue: { use: number | null; date: string | null } | null
  passed: Passed[]
  /** Everything seen, felt and turned, for `locate`. */
  noted: Noted[]
  /** The way of finding stops that was chosen for this job; null while the shop's own stands. */
  school: School | null
  /** The set in hand, where it is not the one the job was opened with. */
  setName: string | null
  target: TargetSchool | null
  bladeHabit: BladeHabit | null
  /** Whether a proof must be a pair; null while the shop’s way stands. */
  pairToProve: boolean | null
  /** What locking does to the gap by the mechanic’s own word, mm, negative closes; null while the records say it. */
  aimOffMm: number | null
  /** Each cylinder at its own top, or the fewest stops; null while nobody chose. */
  oneAtATime: boolean | null
  /** The torque wrench in hand, and what stands in line with it. */
  wrench: { wrench: string | null; adapter: string | null } | null
  /** Which of two figures stands, by role, settled by a lead with a reason. */
  figures: Partial<Record<Role, { clearance: Clearance; reason: string; by: string; at: string }>>
  /** The revision that took the place of the pinned one, and who took it. */
  spec: { revisionId: number; revision: number; engine: Engine; by: string; at: string } | null
  /** What a test in this job, or an earlier one, found out about a decompressor that is not on record. */
  decompressor: DecompressorFound | null
  /** It was found out in this job. */
  decompressorTested: boolean
  /** The cam is out for its shims. */
  camOut: boolean
  /** Who gave the last answer. */
  personId: number | null
  personName: string
  /** Whose device gave the last answer, and when: the job is in that person's hand. */
  hand: { personId: number; personName: string; browser: string; at: string } | null
  /** How many times the crank has moved; a place that was gated counts for this place only. */
  places: number
  /**
   * Something happened since the crank was last looked at that may have moved it: a pause, another hand, a nut torqued.
   */
  mayHaveMoved: boolean
  /** When the last answer was given, ISO 8601; null before the first. */
  lastAt: string | null
  valves: ValveState[]
  /** Two full turns were made by hand since the last screw was locked. */
  proving: boolean
  retracted: ReadonlySet<string>
  people: Set<string>
  closedAt: string | null
  closedBy: string | null
  lastChange: GapChange['kind'] | null
}

/**
 * The reading that is being taken, or was last taken, in a phase; undefined when none. But for as found it is of the
 * present round: what was read before the nut was loosened again says nothing of the gap that is there now.
 */
export const readingIn = (valve: ValveState, phase: Phase): Reading | undefined =>
  valve.readings.findLast(
    r => r.phase === phase && r.trials.length > 0 && (phase === 'as found' || r.round === valve.round),
  )

/** The reading of the valve's present phase and round, which further trials add to. */
export const presentReading = (valve: ValveState): Reading | undefined =>
  valve.readings.find(r => r.phase === valve.phase && r.round === valve.round)

/**
 * The last reading with a trial in it, whatever its phase. One that was dropped half-made counts where it is the later:
 * of a later round, or of a later phase, there or further on.
 */
export function latestReading({ readings, elsewhere }: ValveState): Reading | undefined {
  const [last, dropped] = [readings, elsewhere].map(list => list.findLast(r => r.trials.length > 0))
  if (!dropped || !last) return last ?? dropped
  const later =
    dropped.round > last.round ||
    (dropped.round === last.round &&
      dropped.place >= last.place &&
      PHASES.indexOf(dropped.phase) > PHASES.indexOf(last.phase))
  return later ? dropped : last
}

/**
 * A valve’s work by its id.
 * @returns undefined for one that the engine has not
 */
export const valveOf = ({ valves }: Pick<WorkState, 'valves'>, id: string): ValveState | undefined =>
  valves.find(v => v.valveId === id)
/** Changes a valve in place; one that the engine has not is ignored, for an observation is never refused. */
export const onValve = (state: WorkState, id: string, change: (valve: ValveState) => void): void => {
  const valve = valveOf(state, id)
  if (valve) change(valve)
}
