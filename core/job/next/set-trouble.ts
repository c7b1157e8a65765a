import { valveById } from '../../engine'
import { engravedWords, type Stack } from '../../feeler'
import { say } from '../../said'
import { setBy } from '../adjuster-words'
import type { Setting } from '../setting'
import type { ValveState } from '../state'
import { type JobView, latestVerdict, setInHand } from '../view'
import { findAgain, goOnWithReason, leaveForNow, leaveIt, turnedBackAndLocked, writeDown } from './keys'
import { feelKeys } from './measure'
import { screwStage } from './set-stage'
import { key, type Worded } from './thing'

/** A valve with neither screw nor shim: there is nothing to set. */
export function nothingToSet(view: JobView, valve: ValveState): Worded {
  const { name } = valveById(view.pin.spec.engine, valve.valveId)
  return {
    label: say('valve.is', { valve: name, verdict: latestVerdict(view.pin, valve).verdict }),
    stage: { kind: 'blades', valveId: valve.valveId, next: null },
    instruction: say('set.no-adjuster', { valve: name }),
    why: say('set.no-adjuster.why'),
    keys: [leaveForNow, writeDown],
  }
}

/** A stud that turns with its nut: nothing can be set before that is put right. */
export function spinsThing(view: JobView, valve: ValveState): Worded {
  const { name } = valveById(view.pin.spec.engine, valve.valveId)
  return {
    label: say('set.cannot.label', { valve: name }),
    instruction: say('set.spins', { valve: name }),
    why: say('set.spins.why'),
    keys: [leaveForNow, writeDown],
    stage: { kind: 'blades', valveId: valve.valveId, next: null },
    wayOut: true,
  }
}

/** Further from where it was found than a screw is ever set: each further turn and a half wants a reason. */
export function farThing(view: JobView, valve: ValveState): Worded {
  const { valveId } = valve
  const { name } = valveById(view.pin.spec.engine, valveId)
  const by = setBy(view.pin.spec.engine.adjuster)
  const closed = Math.round((view.position.closed[valveId] ?? 0) * 100)
  return {
    label: say('set.far.label', { valve: name }),
    instruction: say('set.far', { by, turns: Math.abs(valve.screwDeg) / 360 }),
    why: say('set.far.why', { by, closed }),
    keys: [findAgain, turnedBackAndLocked(valveId), goOnWithReason],
    stage: { kind: 'wheel', target: null, feelValveIds: [valveId], cylinderId: null },
    wayOut: true,
  }
}

/** Its screw was opened in vain at this place and turned back: it is not set here. */
export function leftThing(view: JobView, valve: ValveState): Worded {
  const { name } = valveById(view.pin.spec.engine, valve.valveId)
  return {
    label: say('set.left.label', { valve: name }),
    instruction: say('set.left', { valve: name }),
    why: say('set.left.why'),
    keys: [findAgain, leaveIt],
    stage: { kind: 'blades', valveId: valve.valveId, next: null },
    wayOut: true,
  }
}

/** Nothing changed although the screw was turned: no bigger turn before it is known why. */
export function noChangeThing(view: JobView, valve: ValveState, { aim, turn }: Setting): Worded {
  const { valveId } = valve
  const { name } = valveById(view.pin.spec.engine, valveId)
  const by = setBy(view.pin.spec.engine.adjuster)
  const found = (found: 'right' | 'other' | 'spins') => ({
    type: 'screw-checked' as const,
    payload: { valveId, found },
  })
  return {
    label: say('set.no-change.label', { valve: name }),
    instruction: say('set.no-change', { valve: name, by }),
    why: say('set.no-change.why', { by }),
    keys: [
      key(say('key.right-screw'), say('key.right-screw.help'), found('right')),
      key(say('key.other-screw'), say('key.other-screw.help'), found('other')),
      key(say('key.stud-turns'), say('key.stud-turns.help'), found('spins')),
    ],
    stage: screwStage(valve, aim, 'before lock', turn),
  }
}

/** A thinner blade, refused before the screw was opened, tells whether the screw does anything. */
export function telltaleThing(view: JobView, valve: ValveState, { aim, turn }: Setting, stack: Stack): Worded {
  const { valveId } = valve
  const { name } = valveById(view.pin.spec.engine, valveId)
  const set = setInHand(view)
  const blade = engravedWords(stack.engravedMm, set.unit)
  return {
    label: say('set.before-lock.label', { valve: name }),
    instruction: say('set.telltale', { valve: name, blade }),
    why: say('set.telltale.why', { by: setBy(view.pin.spec.engine.adjuster), blade }),
    keys: feelKeys(valveId, stack, set, null),
    stage: screwStage(valve, aim, 'before lock', turn),
    trial: { valveId, stack, set: set.name, after: null },
  }
}
