import type { Engine, Role } from '../core/engine'
import type { Interval, Verdict } from '../core/feeler'
import type { Drift, Forecast, NextDue } from '../core/history'
import type { MachineRow } from './responses'

/** A reading as it stands on record. */
export type JudgedReading = Interval & { verdict: Verdict }
/** One visit of a valve: its limits then, what was found and what was left. `use` counts from the first meter reading. */
export interface ValvePoint { jobId: number, atMs: number, use: number | null, minMm: number, maxMm: number, asFound: JudgedReading | null, asLeft: JudgedReading | null, touched: boolean }
/** All that is known of one valve over the years. Forecast in use since it was last left. */
export interface ValveHistory { valveId: string, name: string, role: Role, points: ValvePoint[], drift: Drift, family: number, faster: boolean, slope: { perUse: number, sigma: number } | null, forecast: Forecast | null, leftAtUse: number | null }
export interface VisitSummary { jobId: number, number: number, closedAt: string, meter: number | null, revision: number, person: string, words: string }
export interface MachineResponse {
  machine: MachineRow
  engine: Engine
  valves: ValveHistory[]
  visits: VisitSummary[]
  /** The meter at use 0, so that a chart can show the meter's own figures; null where it was replaced or never read. */
  firstMeter: number | null
  useNow: number | null
  usePerDay: number | null
  due: NextDue | null
  now: string
}
