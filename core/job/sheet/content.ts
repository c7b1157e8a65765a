import type { HeadMap, Role } from '../../engine'
import type { Proof, Trial, Verdict } from '../../feeler'

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

/** A stretch of a lift curve near the seat: lift over the seat, mm, every so many degrees. */
export interface LiftStretch {
  fromDeg: number
  wanted: number[]
  found: number[]
}
/** What the gap as found did to the valve that was farthest out of its limits. */
export interface SheetLift {
  name: string
  words: string
  foundMm: number
  wantedMm: number
  /** Whether the cam is on record; its usual timing stands in for it otherwise. */
  camKnown: boolean
  stepDeg: number
  opens: LiftStretch
  closes: LiftStretch
}

/** Everything a job sheet says, as it was when it was signed. Print, JSON and history read this and nothing newer. */
export interface Sheet {
  format: 'wembric job sheet'
  version: 1
  /** The language that it was signed in; those of earlier versions do not say. */
  language?: 'en' | 'es'
  number: number
  machine: { name: string; model: string; tag: string; owner: string; meter: string; sinceLast: string }
  complaint: string
  /** What it came for and what became of it, a line each; and what its owner is told. */
  complaints?: string[]
  owner?: string[]
  /** The lift curve of the worst valve, where one was out of its limits. */
  lift?: SheetLift | null
  /** Compression and leak-down, as the gauge said. */
  pressures?: string[]
  opened: { at: string; by: string }
  closed: { at: string; by: string } | null
  people: string[]
  cold: string
  spec: { revision: number; status: 'approved' | 'draft'; source: string; sourceDate: string; bladeSet: string }
  unit: 'mm' | 'thou'
  /** The heads where they are; sheets of earlier versions have the valves’ own places alone. */
  map?: HeadMap
  valves: SheetValve[]
  departures: { missing: string; reason: string; by: string; at: string }[]
  /**
   * Answers that were taken back, and blades that felt otherwise when they were tried again: none of them proves
   * anything.
   */
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
