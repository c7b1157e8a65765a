import type { BackupAge } from './backups'
import type { Complaint } from '../core/complaint'
import type { BladeSet, TargetSchool, Verdict } from '../core/feeler'
import type { BayColumn, BladeHabit, Hands, JobEvent, JobPin, Sheet } from '../core/job'
import type { School } from '../core/stops'
import type { Adapter, Wrench } from '../core/torque'
import type { MeterUnit } from '../core/units'
import type { Language } from './languages'

export type PersonRole = 'lead' | 'mechanic'
export interface SessionResponse {
  person: {
    id: number
    name: string
    role: PersonRole
    favouriteSetId: number | null
    language: Language | null
    hands: Hands
    /** The unit that stands first for this person; null as the shop has it. */
    unit: 'mm' | 'thou' | null
    /** Came in by a PIN on a trusted device: as anybody of the crew. */
    byPin: boolean
    /** Runs the server: makes and closes shops, and sees to the backups of all. */
    runsServer: boolean
  }
  shop: {
    id: number
    name: string
    timeZone: string
    unit: 'mm' | 'thou'
    /** That owners are written in of whom nobody has said; null for that of whoever writes. */
    language: Language | null
    favouriteSchool: School | null
    target: TargetSchool
    bladeHabit: BladeHabit
    pairToProve: boolean
    valveMinutes: number
    taskMinutes: number
    isDemo: boolean
  }
  now: string
}

/** What else a visit is for. A warm one is held while valves wait for a cold engine. */
export interface TaskRow {
  id: number
  jobId: number
  name: string
  needs: 'cold' | 'warm' | 'either'
  doneBy: string | null
  doneAt: string | null
  because: string
}
/** How a card’s engine cools: temperatures over time to draw, and when it will be cold. ms since 1970. */
export interface BayCooling {
  airC: number
  airAssumed: boolean
  limitC: number
  readings: { atMs: number; celsius: number }[]
  curve: { atMs: number; celsius: number }[]
  ready: { kind: 'at'; atMs: number; soonestMs: number } | { kind: 'air too warm' }
}

interface BayValve {
  name: string
  verdict: Verdict | 'not measured'
  loMm: number
  hiMm: number | null
  minMm: number
  maxMm: number
}
export interface BayCard {
  jobId: number
  number: number
  column: BayColumn
  status: 'open' | 'held' | 'abandoned' | 'closed'
  statusReason: string | null
  machine: string
  model: string
  kind: string
  owner: string
  people: string[]
  complaint: string
  complaints: Complaint[]
  temperature: { celsius: number; limitC: number } | null
  rested: string | null
  cooling: BayCooling | null
  assigned: { id: number; name: string } | null
  place: number
  /** Its turn among the work of its person, from 1, and why then; null where it is done. */
  turn: { n: number; startMs: number; why: string } | null
  tasks: (TaskRow & { held: string | null })[]
  valves: BayValve[]
  next: string
  closedAt: string | null
}
export interface BayResponse {
  today: string
  /** How little room is left on the server’s disk, for a lead; null where there is enough. */
  room: { freeMb: number; urgent: boolean } | null
  /** What is odd about the newest backup, for a lead; null where all is well. */
  backup: BackupAge | null
  cards: BayCard[]
  crew: { id: number; name: string }[]
  /** Quick jobs that nobody has kept, newest first. */
  unkept: UnkeptJob[]
  now: string
}
/** A quick job of the last weeks whose machine is not on record. */
export interface UnkeptJob {
  jobId: number
  number: number
  machine: string
  status: 'open' | 'held' | 'abandoned' | 'closed'
  openedAt: string
}

export interface MachineRow {
  id: number
  name: string
  tag: string
  serial: string
  plate: string
  customerId: number
  owner: string
  modelId: number
  model: string
  kind: string
  meterUnit: MeterUnit
  lastMeter: number | null
  openJobId: number | null
  revision: number | null
  status: 'approved' | 'draft' | null
  since: string
}
export type BladeSetRow = BladeSet & { id: number }
export type WrenchRow = Wrench & { id: number }
export type AdapterRow = Adapter & { id: number }
export interface ShimStockRow {
  diameterMm: number
  sizeMm: number
  count: number
}
export interface ShelfResponse {
  bladeSets: BladeSetRow[]
  wrenches: WrenchRow[]
  adapters: AdapterRow[]
  shims: ShimStockRow[]
}
export interface PersonRow {
  id: number
  name: string
  signIn: string
  role: PersonRole
  /** When they left; null for whoever works here. */
  endedAt: string | null
}
export interface CustomerRow {
  id: number
  name: string
  contact: string
  email: string
  language: Language | null
  machines: number
}

export interface JobResponse {
  pin: JobPin
  events: JobEvent[]
  lastSeq: number
  now: string
}
/** Another task of the visit, and how it stands: “done by Tam”, “to do”. */
export interface SheetTask {
  name: string
  words: string
}
/** A job's sheet with what stands beside it and is not signed. */
export interface SheetResponse {
  shop: string
  sheet: Sheet
  signed: { at: string; by: string } | null
  earlier: { seq: number; at: string }[]
  tasks: SheetTask[]
}

/** A key by which other software of the shop reads the book. */
export interface ApiTokenRow {
  id: number
  name: string
  madeBy: string
  madeAt: string
  usedAt: string | null
  revokedAt: string | null
}
