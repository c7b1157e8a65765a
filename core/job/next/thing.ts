import type { ScrewTurn } from '../../adjuster'
import type { Place } from '../../engine'
import type { Happening, Step } from '../event'
import type { Requirement } from '../requirements'

/** What an answer key asks for before it can be recorded. */
export type Asks = 'school' | 'back' | 'temperature' | 'hours' | 'item-off' | 'item-in' | 'finding' | 'reason' | 'due' | 'note'

/** An answer: what is felt or done, and what it records. A key that asks opens one field; a key with neither is the gate. */
export interface AnswerKey { title: string, help: string, happening: Happening | null, asks: Asks | null }

/** What the middle of the Bench shows beside the instruction. */
export type Stage
  = | { kind: 'start' } | { kind: 'cold' } | { kind: 'list' } | { kind: 'head' }
    | { kind: 'wheel', target: Place | null, feelValveIds: string[], cylinderId: string | null }
    | { kind: 'blades', valveId: string, nextMm: number[] | null }
    | { kind: 'screw', valveId: string, blade: number | null, turn: ScrewTurn | null, turnDeg: number | null, stage: 'loosen' | 'before lock' | 'nip' | 'torque' }
    | { kind: 'close' } | { kind: 'sign' }

/** The one next thing: an instruction of two lines at most, why, and the answers. */
export interface NextThing {
  step: Step
  label: string
  instruction: string
  why: string
  keys: AnswerKey[]
  stage: Stage
  /** The blade of the feel keys and what was done just before it; the mechanic may choose another blade. */
  trial: { valveId: string, bladeMm: number, after: Extract<Happening, { type: 'trial' }>['payload']['after'] } | null
  requirement: Requirement | null
}

export type Draft = Omit<NextThing, 'step' | 'requirement' | 'trial'> & { trial?: NextThing['trial'] }

export const key = (title: string, help: string, happening: Happening | null, asks: Asks | null = null): AnswerKey => ({ title, help, happening, asks })
