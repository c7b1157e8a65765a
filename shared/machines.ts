import type { Engine, Role } from '../core/engine'
import type { Interval, Verdict } from '../core/feeler'
import type { DueReason, NextDue, ValveOutlook, VisitVerdict } from '../core/history'
import type { MeterUnit } from '../core/units'
import type { MachineRow } from './responses'

/** A reading as it stands on record. */
export type JudgedReading = Interval & { verdict: Verdict }
/**
 * One visit of a valve: its limits then, what was found and what was left. `use` counts from the first meter reading.
 */
export interface ValvePoint {
  visit: string
  atMs: number
  use: number | null
  minMm: number
  maxMm: number
  asFound: JudgedReading | null
  asLeft: JudgedReading | null
  touched: boolean
}
/** All that is known of one valve since the engine was put in. Forecast in use since it was last left. */
export interface ValveHistory extends ValveOutlook {
  valveId: string
  name: string
  role: Role
  points: ValvePoint[]
}
/** A visit in the log: a job with its sheet, or one that was entered late. */
export interface VisitSummary {
  key: string
  jobId: number | null
  number: number | null
  at: string
  meter: number | null
  revision: number | null
  person: string
  words: string
  ofEngineBefore: boolean
}
interface RecordRow {
  id: number
  kind: 'owner' | 'engine' | 'meter' | 'merged'
  at: string
  words: string
  person: string
}
export interface MachineResponse {
  machine: MachineRow
  engine: Engine
  valves: ValveHistory[]
  visits: VisitSummary[]
  records: RecordRow[]
  /** The meter at use 0, so that a chart can show the meter's own figures; null where it was replaced or never read. */
  firstMeter: number | null
  /** Use by now, at the machine’s own rate from its last reading. */
  useNow: number | null
  usePerDay: number | null
  due: NextDue | null
  now: string
}

/** A machine in the shop's list: what stands with it, when it is due, and how its last visit left it. */
export interface MachineListRow extends MachineRow {
  due: { day: string; days: string; over: boolean; cause: string } | null
  /** `verdict` is null for a visit from paper. */
  lastVisit: { day: string; jobId: number | null; verdict: VisitVerdict | null } | null
}
/** So many machines there are of what is looked for, by what stands with them. */
export interface MachineCounts {
  all: number
  here: number
  over: number
  soon: number
  new: number
}
export interface MachineListResponse {
  rows: MachineListRow[]
  /** How many there are on all pages of what is shown. */
  total: number
  counts: MachineCounts
  /** Kinds of engine that the shop's machines have. */
  kinds: string[]
}

export interface PhotoRow {
  id: number
  jobId: number | null
  caption: string
  width: number
  height: number
  person: string
  madeAt: string
}

/** A machine that is due, in words. `week` is the Monday of its week. */
export interface DueItem {
  machineId: number
  name: string
  tag: string
  customerId: number
  owner: string
  email: string
  meterUnit: MeterUnit
  dueAt: string
  day: string
  days: string
  over: boolean
  week: string
  cause: string
  when: string
  why: string
  reason: DueReason
  openJobId: number | null
  toldAt: string | null
}
export interface DueResponse {
  items: DueItem[]
  today: string
  until: string
  more: boolean
  working: boolean
}
export interface ReminderResponse {
  customerId: number
  owner: string
  email: string
  subject: string
  text: string
  machineIds: number[]
}
export interface CalendarAddressRow {
  id: number
  madeBy: string
  madeAt: string
}

/** A year of an owner's machines. */
export interface CustomerSummary {
  shop: string
  year: number
  customer: { id: number; name: string; contact: string }
  machines: {
    id: number
    name: string
    tag: string
    model: string
    visits: { day: string; number: number | null; meter: string; words: string }[]
    records: { day: string; words: string }[]
    due: string
    why: string
  }[]
  today: string
}
