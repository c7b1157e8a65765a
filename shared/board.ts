import type { Complaint } from '../core/complaint'
import type { Verdict } from '../core/feeler'
import type { BayColumn } from '../core/job'
import { optionalText, text } from '../core/text-field'
import { wrong } from '../core/wrong'
import { z } from '../core/zod'
import type { BackupAge } from './backups'

export const boardPlaceSchema = z.object({
  personId: z.number().int().positive().nullable(),
  beforeJobId: z.number().int().nullable(),
})
export type PlaceRequest = z.infer<typeof boardPlaceSchema>
const TASK_NEEDS = ['cold', 'warm', 'either'] as const
export const taskSchema = z.object({
  name: text(80, 'task'),
  needs: z.enum(TASK_NEEDS, { error: wrong('wrong.say-whether-it-wants-the') }),
})
export type TaskRequest = z.infer<typeof taskSchema>
export const taskDoneSchema = z.object({ done: z.boolean(), because: optionalText(160) })

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
