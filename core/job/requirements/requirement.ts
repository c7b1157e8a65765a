import type { Complaint } from '../../complaint'
import { type Role, valveById } from '../../engine'
import type { Said } from '../../said'
import type { Passed, ValveState } from '../state'
import type { Step } from '../steps'
import { COVER, PLUG } from '../strip-down'
import type { JobView } from '../view'

/**
 * What a step asks for, as data. `place` counts the crank’s movements: a reason given there counts for that place
 * alone.
 */
export type What =
  | { kind: 'machine' | 'spec' | 'spec-approved' | 'cold' | 'safe' | 'valves' }
  | { kind: 'plug-read' | 'plug-gap'; item: string }
  | { kind: 'figure'; role: Role }
  | { kind: 'off' | 'out' | 'back'; item: string }
  | { kind: 'place'; stop: number | null; place: number }
  | { kind: 'vain' | 'differs' | 'no-stop' | 'off-stop'; valveId: string; place: number }
  | { kind: 'as-found' | 'apart' | 'set' | 'proved' | 'look-again' | 'narrower'; valveId: string }
  | { kind: 'far'; valveId: string; times: number }
  | { kind: 'turned' | 'second-place' }
  | { kind: 'decompressor-test'; place: number }
  | { kind: 'torque' | 'gasket'; item: string }
  | { kind: 'nuts' | 'live' | 'unplaced' | 'ran' | 'next-due' }
  | { kind: 'complaint' | 'else'; complaint: Complaint }
  | { kind: 'earlier'; index: number }

/** Its name in a `gate-passed` event: the kind, and what tells it from others of its kind. */
export function gateOf(what: What): string {
  // of one cover and one plug, as they were named before parts had names
  if (what.kind === 'torque' && what.item === COVER) return 'torque-cover'
  if (what.kind === 'torque' && what.item === PLUG) return 'torque-plug'
  if (what.kind === 'gasket' && what.item === COVER) return 'gasket'
  if (what.kind === 'plug-read' && what.item === PLUG) return 'plug-read'
  const { kind, ...rest } = what
  const parts = {
    valveId: '',
    role: '',
    item: '',
    complaint: '',
    index: null,
    stop: null,
    times: null,
    place: null,
    ...rest,
  }
  return [
    kind,
    parts.valveId || parts.role || parts.item || parts.complaint,
    parts.index,
    parts.stop,
    parts.times,
    parts.place,
  ]
    .filter(part => part !== null && part !== '')
    .join(':')
}

/** Something a step asks for. A mechanic may go through without it, with a reason that the sheet shows. */
export interface Requirement {
  what: What
  /** Its gate’s name. */
  id: string
  step: Step
  missing: Said
  met: boolean
  passed: Passed | null
  /** No reason lets a mechanic through without it. */
  firm?: true
}

export type Asked = Pick<Requirement, 'what' | 'missing' | 'met' | 'firm'>
/** Something that must be so, whether it is, and what is missing while it is not. */
export const ask = (what: What, missing: Said, met: boolean): Asked => ({ what, missing, met })

/** An asked thing with the step that it belongs to. */
export type AskedAt = Asked & { step: Step }
/** The same things, as those of a step. */
export const at = (step: Step, asked: Asked[]): AskedAt[] => asked.map(a => ({ ...a, step }))

/** The reason with which a gate was passed, the latest; null where none was given. */
export const passedFor = ({ state }: JobView, gate: string): Passed | null =>
  state.passed.findLast(p => p.gate === gate) ?? null

/** A valve’s name. */
export const nameOf = (view: JobView, valve: ValveState): string => valveById(view.pin.spec.engine, valve.valveId).name
