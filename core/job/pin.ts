import { type Engine, upcastEngine } from '../engine'
import type { BladeSet, HandBands } from '../feeler'
import type { School } from '../stops'
import type { LengthUnit, MeterUnit } from '../units'

/** How the verdicts of this version of the core are meant; a job keeps the number it was opened with. */
export const JUDGEMENT_VERSION = 1

/** What a job is judged against, fixed when it is opened: later changes to spec book or shelf do not touch it. */
export interface JobPin {
  jobId: number
  number: number
  judgementVersion: number
  machine: { id: number, name: string, tag: string, owner: string, meterUnit: MeterUnit, meter: number | null, lastMeter: number | null }
  modelName: string
  spec: { revisionId: number, revision: number, status: 'approved' | 'draft', engine: Engine }
  bladeSet: BladeSet
  hand: HandBands
  /** The shop's favourite unit is written first. */
  unit: Extract<LengthUnit, 'mm' | 'thou'>
  /** The shop's favourite way of finding stops when the job was opened; null where it has none. */
  school: School | null
  complaint: string
  openedAt: string
  openedBy: string
  /** The proved readings of the machine's last closed job, by valve id, for the same engine model. */
  lastAsLeft: { date: string, readings: Record<string, { loMm: number, hiMm: number | null }> } | null
}

/** A pin as an earlier version stored it, with what has been added since filled in. Nothing is judged again. */
export function upcastPin(stored: unknown): JobPin {
  const pin = stored as JobPin
  return { ...pin, spec: { ...pin.spec, engine: upcastEngine(pin.spec.engine) }, school: pin.school ?? null }
}
