import type { Engine, Role } from '../core/engine'
import type { Interval, Verdict } from '../core/feeler'
import type { DueReason, NextDue, ValveOutlook, VisitVerdict } from '../core/history'
import { optionalText, text } from '../core/text-field'
import type { MeterUnit } from '../core/units'
import { wrong } from '../core/wrong'
import { z } from '../core/zod'
import { changeOf } from './change'
import { owner } from './customers'

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

const modelId = z
  .number({ error: wrong('wrong.choose-the-engine-model') })
  .int()
  .positive()
export const machineEditSchema = z.object({
  name: text(80, 'machine'),
  tag: text(20, 'tag').regex(/^[\w .-]+$/, {
    error: wrong('wrong.a-tag-has-letters-digits'),
  }),
  serial: optionalText(60),
  plate: optionalText(20),
  meterUnit: z.enum(['h', 'km', 'mi'], { error: wrong('wrong.choose-hours-km-or-miles') }),
})
export type MachineEditRequest = z.infer<typeof machineEditSchema>
export const machineChangeSchema = changeOf(machineEditSchema)
export type MachineChange = z.infer<typeof machineChangeSchema>
export const machineSchema = machineEditSchema.extend({ modelId, customer: owner })
export type MachineRequest = z.infer<typeof machineSchema>
export const ownerChangeSchema = z.object({ customer: owner })
export type OwnerChangeRequest = z.infer<typeof ownerChangeSchema>
const on = z.iso.date({ error: wrong('wrong.give-the-day-as-year') })
export const meter = z
  .number({ error: wrong('wrong.give-the-meter-reading-as') })
  .min(0, { error: wrong('wrong.a-meter-cannot-be-below') })
  .max(9_999_999, { error: wrong('wrong.that-meter-reading-is-too') })
export const meterSchema = z.object({ on, meter, replaced: z.boolean().default(false) })
export type MeterRequest = z.infer<typeof meterSchema>
export const engineChangeSchema = z.object({ on, modelId, words: optionalText(160) })
export type EngineChangeRequest = z.infer<typeof engineChangeSchema>
const mm = z
  .number({ error: wrong('wrong.give-it-in-mm') })
  .min(0, { error: wrong('wrong.a-clearance-cannot-be-below') })
  .max(5, { error: wrong('wrong.over-5-mm-is-no') })
const interval = z.object({ loMm: mm, hiMm: mm.nullable() }).nullable()
export const pastVisitSchema = z.object({
  on,
  meter: meter.nullable(),
  replaced: z.boolean().default(false),
  words: optionalText(200),
  valves: z.record(z.string().max(30), z.object({ foundMm: interval, leftMm: interval, touched: z.boolean() })),
})
export type PastVisitRequest = z.infer<typeof pastVisitSchema>
export const photoSchema = z.object({
  job: z.coerce.number().int().optional(),
  caption: optionalText(120),
})
export const weeksSchema = z.object({
  weeks: z.coerce.number().int().min(1).max(60).catch(6),
  most: z.coerce.number().int().min(1).max(300).catch(300),
})

/** Which machines are listed, by what stands with them. */
export const MACHINES_SHOWN = ['all', 'here', 'over', 'soon', 'new'] as const
export const MACHINES_SORTED = ['name', 'owner', 'visit', 'due'] as const

/** A page of the list of machines. What is odd in an address is read as the usual: a list is shown, never an error. */
export const machineListSchema = z.object({
  q: z
    .string()
    .default('')
    .transform(q => q.slice(0, 80)),
  owner: z.coerce.number().int().min(0).catch(0).default(0),
  kind: z
    .string()
    .default('')
    .transform(kind => kind.slice(0, 40)),
  show: z.enum(MACHINES_SHOWN).catch('all').default('all'),
  sort: z.enum(MACHINES_SORTED).catch('name').default('name'),
  down: z.enum(['yes', 'no']).catch('no').default('no'),
  from: z.coerce.number().int().min(0).max(1_000_000).catch(0).default(0),
  most: z.coerce.number().int().min(1).max(100).catch(25).default(25),
})
export type MachineListRequest = z.output<typeof machineListSchema>

/** What a machine is looked for by. */
export const findSchema = z.object({
  q: z
    .string()
    .default('')
    .transform(q => q.slice(0, 80)),
})

/** A tag that no machine of the shop has. */
export interface NextTagResponse {
  tag: string
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
