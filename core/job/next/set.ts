import type { ScrewTurn } from '../../adjuster'
import { valveById } from '../../engine'
import { engravedWords, type Stack } from '../../feeler'
import { say, type Text } from '../../said'
import { setBy } from '../adjuster-words'
import { type Aim, aimOf, judgeAfterLock } from '../aim'
import type { GapChange } from '../gap-change'
import { bladeHabitWords, lockTorque } from '../lock-torque'
import { MOST_ROUNDS, type Setting, settingOf } from '../setting'
import { latestReading, presentReading, type Reading, type ValveState } from '../state'
import { expectedPolicy, type JobView, judgeReading, latestVerdict, setInHand } from '../view'
import { findAgain, goOnWithReason, leaveForNow, leaveIt, turnedBackAndLocked, withReason, writeDown } from './keys'
import { feelKeys, markCheckThing, trialThing, wantsMarkCheck } from './measure'
import { shimThing } from './shims'
import { key, type Worded } from './thing'

const againWords = (view: JobView, reading: Reading | undefined, valveId: string): Text =>
  reading?.trials.length ? judgeReading(view.pin, reading, valveId).reason : ''

/** Why the screw is turned: a blade that slid freely asks for more of a turn, not for a thicker blade. */
const turnWords = (view: JobView, reading: Reading | undefined, valveId: string): Text => {
  const last = reading?.trials.at(-1)
  return reading && last?.feel === 'free' && judgeReading(view.pin, reading, valveId).verdict === 'unproved'
    ? say('set.turn.should-drag', { blade: last.name ?? '' })
    : againWords(view, reading, valveId)
}

/** A valve with neither screw nor shim: there is nothing to set. */
function nothingToSet(view: JobView, valve: ValveState): Worded {
  const { name } = valveById(view.pin.spec.engine, valve.valveId)
  return {
    label: say('valve.is', { valve: name, verdict: latestVerdict(view.pin, valve).verdict }),
    stage: { kind: 'blades', valveId: valve.valveId, next: null },
    instruction: say('set.no-adjuster', { valve: name }),
    why: say('set.no-adjuster.why'),
    keys: [leaveForNow, writeDown],
  }
}

/** How sure the turn is: "give or take 5°", or that only one side is known. */
export const turnDoubt = (turn: ScrewTurn): Text =>
  turn.kind === 'turn'
    ? say('turn.give-or-take', { deg: Math.max(1, Math.round((turn.mostDeg - turn.leastDeg) / 2)) })
    : say('turn.guess')

/**
 * The Set step for one valve: loosen, turn and feel, nip and feel, torque and feel, as many rounds as it takes; or by
 * its shim.
 */
export function setThing(view: JobView, valve: ValveState): Worded {
  const { adjuster } = valveById(view.pin.spec.engine, valve.valveId)
  if (adjuster === 'shim') return shimThing(view, valve)
  if (adjuster === 'none') return nothingToSet(view, valve)
  if (valve.spins) return spinsThing(view, valve)
  if (valve.leftAtPlace === view.state.places && valve.nut === 'locked') return leftThing(view, valve)
  if (valve.nut === 'locked')
    return valve.phase === 'torqued' && torqueUnread(view, valve)
      ? trialThing(view, valve, say('phase.torqued'))
      : loosenThing(view, valve)
  return valve.nut === 'nipped' ? nippedThing(view, valve) : looseThing(view, valve)
}

/**
 * What the torque left is read until it is proved; where it is out, as narrowly as tells what the lock did: else the
 * next round would aim as the last.
 */
function torqueUnread(view: JobView, valve: ValveState): boolean {
  const reading = presentReading(valve)
  const { verdict } = judgeReading(view.pin, reading, valve.valveId)
  return verdict === 'unproved' || (verdict !== 'in' && expectedPolicy(view, valve)(reading?.trials ?? []) !== null)
}

const screwStage = (
  valve: ValveState,
  aim: Aim,
  stage: 'loosen' | 'before lock' | 'nip' | 'torque',
  turn: ScrewTurn | null = null,
  askedDeg: number | null = null,
): Worded['stage'] => ({ kind: 'screw', valveId: valve.valveId, aim, turn, askedDeg, stage })

/** A stud that turns with its nut: nothing can be set before that is put right. */
function spinsThing(view: JobView, valve: ValveState): Worded {
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
function leftThing(view: JobView, valve: ValveState): Worded {
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

/** What the blades in hand will be able to say once it is set: said before the nut is loosened. */
const withoutBladeWords = (view: JobView, aim: Aim): Text =>
  aim.after ? '' : say('set.without-blade', { set: setInHand(view).name, others: view.pin.otherSets.map(s => s.name) })

function loosenThing(view: JobView, valve: ValveState): Worded {
  const { engine } = view.pin.spec
  const { valveId } = valve
  const { name } = valveById(engine, valveId)
  const by = setBy(engine.adjuster)
  const aim = aimOf(view, valve)
  const stage = screwStage(valve, aim, 'loosen')
  if (wantsMarkCheck(view)) return { ...markCheckThing(view, valveId), stage }
  const { verdict } = latestVerdict(view.pin, valve)
  const free = key(
    by === 'self-locking nut' ? say('key.wrench-is-on') : say('key.loose'),
    say('key.loose.help', { by }),
    {
      type: 'nut-loosened',
      payload: { valveId, slotDeg: null },
    },
  )
  if (valve.round >= MOST_ROUNDS)
    return {
      label: say('set.rounds.label', { valve: name, rounds: valve.round }),
      instruction: say('set.rounds', { valve: name }),
      why: [againWords(view, latestReading(valve), valveId), say('set.rounds.why')],
      keys: [
        withReason(say('key.leave-as-it-is')),
        key(say('key.once-more'), say('key.once-more.help'), free.happening),
        writeDown,
      ],
      stage,
      wayOut: true,
    }
  return {
    label:
      verdict === 'unproved' ? say('set.to-be-set.label', { valve: name }) : say('valve.is', { valve: name, verdict }),
    instruction: say('set.loosen', { valve: name, by }),
    why: [
      againWords(view, latestReading(valve), valveId),
      say('set.loosen.note', { head: engine.adjuster.head }),
      withoutBladeWords(view, aim),
    ],
    keys: [
      free,
      key(say('key.loose-noted'), say('key.loose-noted.help'), null, 'slot'),
      key(say('key.wont-budge'), say('key.write-down'), null, 'finding'),
    ],
    stage,
  }
}

/** So many blades at the nip are enough to see which way it went. */
const MOST_AT_THE_NIP = 4

function nippedThing(view: JobView, valve: ValveState): Worded {
  const { valveId } = valve
  const { engine } = view.pin.spec
  const { name } = valveById(engine, valveId)
  const aim = aimOf(view, valve)
  const reading = presentReading(valve)
  const here = judgeReading(view.pin, reading, valveId)
  // it is good where it stands, or where the torque will leave it; what no blade tells is left to the screw's angle
  const torqued = judgeAfterLock(view, valve, aim.torqueShiftMm)
  const more = (reading?.trials.length ?? 0) < MOST_AT_THE_NIP && expectedPolicy(view, valve)(reading?.trials ?? [])
  const good = here.verdict === 'in' || torqued.verdict === 'in'
  const out = [here, torqued].every(j => j.verdict === 'tight' || j.verdict === 'loose')
  // what the nip did is read narrowly, so that the next round aims off by it
  if (!good && more) return trialThing(view, valve, say('phase.nipped'))
  if (out && valve.round < MOST_ROUNDS)
    return {
      label: say('set.nipped.label', { valve: name }),
      instruction: say('set.it-moved', { by: setBy(engine.adjuster) }),
      why: [here.reason, say('set.it-moved.why')],
      keys: [
        key(say('key.loose'), say('key.loose.one-more-round'), {
          type: 'nut-loosened',
          payload: { valveId, slotDeg: null },
        }),
      ],
      stage: screwStage(valve, aim, 'loosen'),
    }
  return torqueThing(view, valve, aim)
}

function torqueThing(view: JobView, valve: ValveState, aim: Aim): Worded {
  const { valveId } = valve
  const { engine } = view.pin.spec
  const { name } = valveById(engine, valveId)
  const set = setInHand(view)
  const stack = aim.after ?? aim.anyway
  const torque = lockTorque(view)
  const torqueNm = engine.torques.locknutNm
  const by = setBy(engine.adjuster)
  const blade = engravedWords(stack.engravedMm, set.unit)
  const after: GapChange = {
    kind: 'torqued',
    torqueNm,
    ...(torque.by ? { by: torque.by } : {}),
  }
  return {
    label: say('set.lock.label', { valve: name }),
    instruction:
      torqueNm === null || by === 'self-locking nut'
        ? say('set.lock', { by, blade })
        : say('set.torque', { by, blade, torqueNm }),
    why: by === 'self-locking nut' ? say('set.own-grip') : [torque.why, bladeHabitWords(view)],
    keys: feelKeys(valveId, stack, set, after),
    stage: screwStage(valve, aim, 'torque'),
    trial: { valveId, stack, set: set.name, after },
  }
}

/** Nothing changed although the screw was turned: no bigger turn before it is known why. */
function noChangeThing(view: JobView, valve: ValveState, { aim, turn }: Setting): Worded {
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
function telltaleThing(view: JobView, valve: ValveState, { aim, turn }: Setting, stack: Stack): Worded {
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

/** Why it may be nipped where no blade says that it is in. */
const nipWords = (ready: 'angle' | 'as near as it gets'): Text =>
  ready === 'angle' ? say('set.nip.by-angle') : say('set.nip.as-near')

/** Why it may be nipped: what was felt is in, or will be once the nut has done to it what it does. */
const feltWords = (view: JobView, valve: ValveState, aim: Aim): Text =>
  aim.shift ? [lastFelt(presentReading(valve)), say('set.nip.with-shift')] : judgeAfterLock(view, valve, 0).reason

function looseThing(view: JobView, valve: ValveState): Worded {
  const { valveId } = valve
  const { name } = valveById(view.pin.spec.engine, valveId)
  const by = setBy(view.pin.spec.engine.adjuster)
  const setting = settingOf(view, valve)
  const { aim, blade: stack, deg, ready, turn } = setting
  const set = setInHand(view)
  const blade = engravedWords(stack.engravedMm, set.unit)
  const present = presentReading(valve)
  const label = say('set.before-lock.label', { valve: name })
  if (ready) {
    const after = { kind: 'nipped' as const }
    return {
      label,
      instruction: say('set.nip', { by, blade }),
      why: [
        ready === 'blade' ? feltWords(view, valve, aim) : nipWords(ready),
        ...(by === 'self-locking nut' ? [] : [say('set.nip.hold-still')]),
      ],
      keys: feelKeys(valveId, stack, set, after),
      stage: screwStage(valve, aim, 'nip'),
      trial: { valveId, stack, set: set.name, after },
    }
  }
  if (setting.feelFirst)
    return {
      label,
      instruction: say('set.feel-again', { valve: name, blade }),
      why: say('set.feel-again.why'),
      keys: feelKeys(valveId, stack, set, null),
      stage: screwStage(valve, aim, 'before lock', turn),
      trial: { valveId, stack, set: set.name, after: null },
    }
  if (setting.telltale) return telltaleThing(view, valve, setting, setting.telltale)
  if (setting.noChange) return noChangeThing(view, valve, setting)
  const after = { kind: 'screw' as const, deg }
  return {
    label,
    instruction: say('set.turn', { by, deg, blade }),
    why: [
      turnWords(view, present ?? latestReading(valve), valveId),
      say('set.turn.how-far', { deg, doubt: turnDoubt(turn) }),
    ],
    keys: feelKeys(valveId, stack, set, after, {
      'free': say('feel.free.setting'),
      'drag': say('feel.drag.setting', { by }),
      'no-go': say('feel.no-go.setting'),
    }),
    stage: screwStage(valve, aim, 'before lock', turn, after.deg),
    trial: { valveId, stack, set: set.name, after },
  }
}

const lastFelt = (reading: Reading | undefined): Text => {
  const last = reading?.trials.at(-1)
  return last ? say('set.nip.felt', { blade: last.name ?? '', feel: last.feel }) : ''
}
