import type { ScrewTurn } from '../../adjuster'
import type { Place, Role } from '../../engine'
import type { Stack } from '../../feeler'
import type { Text } from '../../said'
import type { Aim } from '../aim'
import type { Happening, ReadyLine } from '../events'
import type { Requirement } from '../requirements'
import type { Step } from '../steps'

/** What an answer key asks for before it can be recorded. */
export type Asks =
  | 'school'
  | 'back'
  | 'temperature'
  | 'hours'
  | 'item-off'
  | 'item-in'
  | 'finding'
  | 'reason'
  | 'due'
  | 'count'
  | 'plug-gap'
  | 'note'
  | 'slot'
  | 'figure'
  | 'shim-read'
  | 'shim-size'

/** Drawings of how a thing looks, from which an answer is chosen. */
export type Drawing = 'plug gray-to-brown' | 'plug black-or-wet' | 'plug white-blistered'

/**
 * An answer: what is felt or done, and what it records. A key that asks opens one field; a key with neither is the
 * gate.
 */
export interface AnswerKey {
  title: Text
  help: Text
  happening: Happening | null
  asks: Asks | null
  /** What it looks like, where that is drawn beside it. */
  drawing?: Drawing
}

/** A line of the card on which a practiced hand says what is so before the work. */
export type CardLine = { kind: ReadyLine } | { kind: 'off'; item: string }

/** What the middle of the Bench shows beside the instruction. */
export type Stage =
  | { kind: 'card'; lines: CardLine[] }
  | { kind: 'start' }
  | { kind: 'cold' }
  | { kind: 'list' }
  | { kind: 'head' }
  | { kind: 'wheel'; target: Place | null; feelValveIds: string[]; cylinderId: string | null }
  | { kind: 'blades'; valveId: string; next: Stack | null }
  | {
      kind: 'screw'
      valveId: string
      aim: Aim
      turn: ScrewTurn | null
      askedDeg: number | null
      stage: 'loosen' | 'before lock' | 'nip' | 'torque'
    }
  | { kind: 'shims'; valveId: string }
  | { kind: 'figures'; role: Role }
  | { kind: 'close' }
  | { kind: 'sign' }

/** The one next thing: an instruction of two lines at most, why, and the answers. */
export interface NextThing {
  step: Step
  label: Text
  instruction: Text
  why: Text
  keys: AnswerKey[]
  stage: Stage
  /** The blade of the feel keys and what was done just before it; the mechanic may choose another blade. */
  trial: {
    valveId: string
    stack: Stack
    set: string
    after: Extract<Happening, { type: 'trial' }>['payload']['after']
  } | null
  /** Trials that cannot all be right, each of which may be taken back. */
  doubted: { eventId: string; words: Text }[]
  requirement: Requirement | null
  /** It has come to a dead end: whoever goes on does so with a reason, or another way that is offered. */
  wayOut?: true
  /** The moves are still being weighed elsewhere: there is nothing to do for a moment. */
  waits?: true
}

export type Worded = Omit<NextThing, 'step' | 'requirement' | 'trial' | 'doubted'> &
  Partial<Pick<NextThing, 'trial' | 'doubted'>>

/** An answer key: what it says, what it means, and what is recorded when it is pressed. */
export const key = (title: Text, help: Text, happening: Happening | null, asks: Asks | null = null): AnswerKey => ({
  title,
  help,
  happening,
  asks,
})
