import type { Lock } from '../adjuster'
import type { Complaint, Suspect } from '../complaint'
import { type DecompressorFound, type Engine, upcastEngine } from '../engine'
import { type BladeSet, type HandBands, type TargetSchool, upcastBladeSet } from '../feeler'
import type { MachinePast } from '../history'
import type { Quick } from '../quick'
import type { School } from '../stops'
import type { Adapter, Wrench } from '../torque'
import type { LengthUnit, MeterUnit } from '../units'
import type { FindingEnd, PlugNew } from './outcomes'

/**
 * How the verdicts of this version of the core are meant; a job keeps the number it was opened with. 2: a bare figure
 * by one band, in by interval. 3: every locknut is gone over before the cover goes on. 4: a plug’s gap is asked for.
 */
export const JUDGEMENT_VERSION = 4

/**
 * Where the blade is while the nut is locked: out for the final torque, in throughout, or out throughout. A pinched
 * blade is ruined.
 */
export const BLADE_HABITS = ['out at torque', 'in', 'out'] as const
export type BladeHabit = (typeof BLADE_HABITS)[number]

/** Something found at an earlier visit and still to be done. */
export interface EarlierFinding {
  jobNumber: number
  date: string
  text: string
  part: string | null
  end: FindingEnd
  about: Complaint | null
  suspect: Suspect | null
}

/** What a job is judged against, fixed when it is opened: later changes to spec book or shelf do not touch it. */
export interface JobPin {
  jobId: number
  number: number
  judgementVersion: number
  machine: {
    id: number
    name: string
    tag: string
    owner: string
    meterUnit: MeterUnit
    meter: number | null
    lastMeter: number | null
  }
  modelName: string
  /** The engine model, for what was learned of its locks; null in jobs of before that was kept. */
  modelId: number | null
  spec: { revisionId: number; revision: number; status: 'approved' | 'draft'; engine: Engine }
  bladeSet: BladeSet
  /** The shop's other sets, to be taken in hand when the first has not what is wanted. */
  otherSets: BladeSet[]
  wrenches: Wrench[]
  adapters: Adapter[]
  /** Shims of this engine's diameter on the shelf when the job was opened, one entry a piece. mm. */
  shimStockMm: number[]
  /** What locks did on record in this shop when the job was opened. */
  locks: Lock[]
  /**
   * The shop's ways: where in the limits a valve is set, where the blade is while locking, whether a proof must be a
   * pair.
   */
  target: TargetSchool
  bladeHabit: BladeHabit
  pairToProve: boolean
  hand: HandBands
  /** The shop's favourite unit is written first. */
  unit: Extract<LengthUnit, 'mm' | 'thou'>
  /** The shop's clock, by its IANA name: a day that is promised is a day there. UTC in jobs of before that was kept. */
  timeZone?: string
  /** The shop's favourite way of finding stops when the job was opened; null where it has none. */
  school: School | null
  /** What an earlier job found out about a decompressor that is not on record; null where nobody looked. */
  decompressor: DecompressorFound | null
  /** What its earlier visits say of where its valves go; null in jobs of before that was kept. */
  past: MachinePast | null
  /** What it was told where it began without a machine on record; null where it has one. */
  quick: Quick | null
  complaint: string
  /** What it comes for, as chosen; none in jobs of before that was kept. */
  complaints: Complaint[]
  /** What earlier visits found and nobody has done since. */
  toDo: EarlierFinding[]
  /** When its plugs were last new, by their names, as far as earlier visits tell. */
  plugsNew: Record<string, PlugNew>
  openedAt: string
  openedBy: string
  /** The proved readings of the machine's last closed job, by valve id, for the same engine model. */
  lastAsLeft: { date: string; readings: Record<string, { loMm: number; hiMm: number | null }> } | null
}

/** What later versions added, as it stood before. */
const NEW_SINCE_0_2 = (): Pick<
  JobPin,
  | 'complaints'
  | 'toDo'
  | 'plugsNew'
  | 'quick'
  | 'decompressor'
  | 'past'
  | 'modelId'
  | 'otherSets'
  | 'wrenches'
  | 'adapters'
  | 'shimStockMm'
  | 'locks'
  | 'target'
  | 'bladeHabit'
  | 'pairToProve'
> => ({
  complaints: [],
  toDo: [],
  plugsNew: {},
  quick: null,
  decompressor: null,
  past: null,
  modelId: null,
  otherSets: [],
  wrenches: [],
  adapters: [],
  shimStockMm: [],
  locks: [],
  target: 'middle',
  bladeHabit: 'out at torque',
  pairToProve: false,
})

/** A pin as an earlier version stored it, with what has been added since filled in. Nothing is judged again. */
export function upcastPin(stored: unknown): JobPin {
  const pin = stored as JobPin
  return {
    ...NEW_SINCE_0_2(),
    ...pin,
    spec: { ...pin.spec, engine: upcastEngine(pin.spec.engine) },
    school: pin.school ?? null,
    bladeSet: upcastBladeSet(pin.bladeSet),
    otherSets: (pin.otherSets ?? []).map(upcastBladeSet),
  }
}

/** A set of the pinned shelf by its name; the one the job was opened with where none is named, or none has the name. */
export const setNamed = (pin: Pick<JobPin, 'bladeSet' | 'otherSets'>, name: string | null): BladeSet =>
  pin.otherSets.find(s => s.name === name) ?? pin.bladeSet
