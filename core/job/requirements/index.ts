import type { JobView } from '../view'
import { closing } from './closing'
import { measuring } from './measuring'
import { proving } from './proving'
import { ready } from './ready'
import { at, gateOf, passedFor, type Requirement, type What } from './requirement'

export { gateOf, passedFor, type Requirement, type What } from './requirement'
export { nutsToCheck } from './closing'
export { asFoundDone, isProved, needsSetting } from './valve'
export { nearestStop, wantedStops } from './wanted'

/**
 * All that the six steps ask for, in the order of the work: stop by stop, then round all stops again to prove them. A
 * requirement that is passed names who went through and why.
 */
export function gates(view: JobView): Requirement[] {
  return [...at('ready', ready(view)), ...measuring(view), ...proving(view), ...at('close', closing(view))].map(
    asked => {
      const id = gateOf(asked.what)
      return { ...asked, id, passed: asked.met || asked.firm ? null : passedFor(view, id) }
    },
  )
}

/** The first thing still asked for, or null when the job can be signed. */
export const firstOpen = (requirements: Requirement[]): Requirement | null =>
  requirements.find(r => !r.met && r.passed === null) ?? null

/** What a valve can be tapped for out of its turn. */
const OF_A_VALVE: ReadonlySet<What['kind']> = new Set(['as-found', 'set', 'proved', 'look-again'])
/** What is still asked for of one valve, or null. */
export const openOf = (requirements: Requirement[], valveId: string): Requirement | null =>
  firstOpen(
    requirements.filter(({ what }) => OF_A_VALVE.has(what.kind) && 'valveId' in what && what.valveId === valveId),
  )
