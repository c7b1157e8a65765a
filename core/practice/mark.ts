import type { Said, Text } from '../said'
import { snapMm } from '../units'

export const MARKED_STAGES = ['find', 'measure', 'set', 'prove'] as const
export type MarkedStage = (typeof MARKED_STAGES)[number]
export type Grade = 'right' | 'wrong' | 'needless' | 'dangerous'

/**
 * One thing that was done, judged: what was believed, what was so. `act` is its number, from 0; null for what stands at
 * the end.
 */
export interface Mark {
  act: number | null
  stage: MarkedStage
  grade: Grade
  words: Said
  truth: Text
}
/** What may go wrong in a run, by the name of its mark. */
export const SLIPS = [
  'mark.place',
  'mark.backward',
  'mark.turns',
  'mark.rocker',
  'mark.unfelt',
  'mark.trial',
  'mark.unslid',
  'mark.ground',
  'mark.warm',
  'mark.screw',
  'mark.called',
  'mark.left-loose',
  'mark.never-measured',
  'mark.left',
  'mark.not-proved',
  'mark.found',
] as const
export type Slip = (typeof SLIPS)[number]
/** What went wrong in a run, each kind once. */
export const slipsOf = (marks: readonly Mark[]): Slip[] =>
  SLIPS.filter(slip => marks.some(m => m.grade !== 'right' && m.words.say === slip))

/** A stage’s points of 25, how many answers it took, and how many the Bench’s own way takes. */
export interface StageMark {
  stage: MarkedStage
  points: number
  moves: number
  least: number
}
/** How one valve was left, by the truth, and what it would do to the engine. */
export interface ValveLeft {
  valveId: string
  name: string
  gapMm: number
  inSpec: boolean
  believed: Said
  /** Whether anything was told of it at all. */
  measured: boolean
  effect: Said
}

export interface Marked {
  score: number
  marks: Mark[]
  stages: StageMark[]
  valves: ValveLeft[]
  hints: number
}

/** A mark before it is known which act and stage it belongs to. */
export type Judged = Omit<Mark, 'act' | 'stage'>
/** A thing done, judged: what was done, and what was so. */
export const judged = (grade: Grade, words: Said, truth: Text): Judged => ({ grade, words, truth })

/** A gap as marks say it, to a hundredth. mm */
export const mmText = (value: number): string => `${snapMm(value).toFixed(2)} mm`
