import type { ScrewTurn } from '../../adjuster'
import { valveById } from '../../engine'
import { engravedWords } from '../../feeler'
import { adjusterWords } from '../adjuster-words'
import { type Aim, aimOf, judgeAfterLock } from '../aim'
import type { GapChange } from '../gap-change'
import { MOST_ROUNDS, type Setting, settingOf } from '../setting'
import { latestReading, presentReading, type Reading, type ValveState } from '../state'
import { expectedPolicy, judgeReading, type JobView, latestVerdict, setInHand } from '../view'
import { flatsWords, turnWords } from '../words'
import { bladeHabitWords, lockTorque } from '../lock-torque'
import { feelKeys, markCheckThing, trialThing, wantsMarkCheck } from './measure'
import { shimThing } from './shims'
import { type Worded, key } from './thing'

const againWords = (view: JobView, reading: Reading | undefined, valveId: string): string =>
  reading?.trials.length ? `${judgeReading(view.pin, reading, valveId).reason} ` : ''

/** A valve with neither screw nor shim: there is nothing to set. */
function nothingToSet(view: JobView, valve: ValveState): Worded {
  const { name } = valveById(view.pin.spec.engine, valve.valveId)
  return {
    label: `${name}, ${latestVerdict(view.pin, valve).verdict}`,
    stage: { kind: 'blades', valveId: valve.valveId, next: null },
    instruction: `The ${name.toLowerCase()} has no adjuster`,
    why: 'Nothing here can be turned: it is a matter for seat, tip or lifter.',
    keys: [key('Leave it for now', 'say why', null, 'reason'), key('Write it down', 'for the owner', null, 'finding')],
  }
}

/** How sure the turn is: "give or take 5°", or that only one side is known. */
export function turnDoubt(turn: ScrewTurn): string {
  if (turn.kind !== 'turn') return 'a guess: only one side is known'
  return `give or take ${Math.max(1, Math.round((turn.mostDeg - turn.leastDeg) / 2))}°`
}

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
      ? trialThing(view, valve, 'torqued')
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
    label: `${name}: cannot be set`,
    instruction: `The ${name.toLowerCase()} stud turns with its nut`,
    why: 'Nothing that is turned here moves the gap. The stud wants to be put right first: write it down for the owner.',
    keys: [key('Leave it for now', 'say why', null, 'reason'), key('Write it down', 'for the owner', null, 'finding')],
    stage: { kind: 'blades', valveId: valve.valveId, next: null },
    wayOut: true,
  }
}

/** Further from where it was found than a screw is ever set: each further turn and a half wants a reason. */
export function farThing(view: JobView, valve: ValveState): Worded {
  const { valveId } = valve
  const { name } = valveById(view.pin.spec.engine, valveId)
  const words = adjusterWords(view.pin.spec.engine.adjuster)
  const closed = Math.round((view.position.closed[valveId] ?? 0) * 100)
  return {
    label: `${name}: far from as found`,
    instruction: `Stop: the ${words.turned} is ${(Math.abs(valve.screwDeg) / 360).toFixed(1)} turns from where it was found`,
    why: `No valve is set that far from where it was. Is it the right ${words.turned}, and is the valve closed? Chance that it is closed here with room to spare: ${closed} %.`,
    keys: [
      key('Find the place anew', 'nothing of it is believed', {
        type: 'crank',
        payload: { observations: [{ kind: 'lost' }] },
      }),
      key('Turned back and locked', 'as it was found', {
        type: 'screw-checked',
        payload: { valveId, found: 'turned back' },
      }),
      key('Go on', 'say why', null, 'reason'),
    ],
    stage: { kind: 'wheel', target: null, feelValveIds: [valveId], cylinderId: null },
    wayOut: true,
  }
}

/** Its screw was opened in vain at this place and turned back: it is not set here. */
function leftThing(view: JobView, valve: ValveState): Worded {
  const { name } = valveById(view.pin.spec.engine, valve.valveId)
  return {
    label: `${name}: as it was found`,
    instruction: `The ${name.toLowerCase()} is left as it was found`,
    why: 'It would not come free here, so this is not where it is closed. Find the place anew, or leave it with a reason.',
    keys: [
      key('Find the place anew', 'nothing of it is believed', {
        type: 'crank',
        payload: { observations: [{ kind: 'lost' }] },
      }),
      key('Leave it so', 'say why', null, 'reason'),
    ],
    stage: { kind: 'blades', valveId: valve.valveId, next: null },
    wayOut: true,
  }
}

/** What the blades in hand will be able to say once it is set: said before the nut is loosened. */
function withoutBladeWords(view: JobView, aim: Aim): string {
  if (aim.after) return ''
  const others = view.pin.otherSets.map(s => s.name)
  return ` No blade or stack of ${setInHand(view).name} proves this spec. It can be set by the screw’s angle, as an estimate${others.length ? `, or take ${others.join(' or ')}` : ', or with a finer set'}.`
}

function loosenThing(view: JobView, valve: ValveState): Worded {
  const { engine } = view.pin.spec
  const { valveId } = valve
  const { name } = valveById(engine, valveId)
  const words = adjusterWords(engine.adjuster)
  const aim = aimOf(view, valve)
  const stage = screwStage(valve, aim, 'loosen')
  if (wantsMarkCheck(view)) return { ...markCheckThing(view, valveId), stage }
  const { verdict } = latestVerdict(view.pin, valve)
  const free = key('It is free', `${words.turned} has not moved`, {
    type: 'nut-loosened',
    payload: { valveId, slotDeg: null },
  })
  if (valve.round >= MOST_ROUNDS)
    return {
      label: `${name}, set ${valve.round} times`,
      instruction: `The ${name.toLowerCase()} will not stay where it is set`,
      why: `${againWords(view, latestReading(valve), valveId)}Look at thread, nut and seat before another round. It may be left as it is with a reason, or gone round once more.`,
      keys: [
        key('Leave it as it is', 'say why', null, 'reason'),
        key('Once more', 'the nut is free again', free.happening),
        key('Write it down', 'for the owner', null, 'finding'),
      ],
      stage,
      wayOut: true,
    }
  return {
    label: `${name}, ${verdict === 'unproved' ? 'to be set' : verdict}`,
    instruction: `Loosen the ${name.toLowerCase()} ${words.nut}`,
    why: `${againWords(view, latestReading(valve), valveId)}Note first where the ${engine.adjuster.head === 'slot' ? 'slot points' : 'key stands'}: mark one end.${withoutBladeWords(view, aim)}`,
    keys: [
      free,
      key('Free, noted', 'type the clock hour', null, 'slot'),
      key('It will not move', 'write it down', null, 'finding'),
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
  const words = adjusterWords(engine.adjuster)
  const aim = aimOf(view, valve)
  const reading = presentReading(valve)
  const here = judgeReading(view.pin, reading, valveId)
  // it is good where it stands, or where the torque will leave it; what no blade tells is left to the screw's angle
  const torqued = judgeAfterLock(view, valve, aim.torqueShiftMm)
  const more = (reading?.trials.length ?? 0) < MOST_AT_THE_NIP && expectedPolicy(view, valve)(reading?.trials ?? [])
  const good = here.verdict === 'in' || torqued.verdict === 'in'
  const out = [here, torqued].every(j => j.verdict === 'tight' || j.verdict === 'loose')
  // what the nip did is read narrowly, so that the next round aims off by it
  if (!good && more) return trialThing(view, valve, 'nipped')
  if (out && valve.round < MOST_ROUNDS)
    return {
      label: `${name}, nipped`,
      instruction: `It moved: loosen the ${words.nip} again`,
      why: `${here.reason} The next round aims off by what the nut did.`,
      keys: [key('It is free', 'go round again', { type: 'nut-loosened', payload: { valveId, slotDeg: null } })],
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
  const after: GapChange = {
    kind: 'torqued',
    torqueNm: engine.torques.locknutNm,
    ...(torque.by ? { by: torque.by } : {}),
  }
  return {
    label: `${name}, lock`,
    instruction: `${engine.torques.locknutNm === null ? 'Lock' : 'Torque'} the ${adjusterWords(engine.adjuster).nip}${torque.instruction}, feel ${engravedWords(stack.engravedMm, set.unit)}`,
    why: `${torque.why} ${bladeHabitWords(view)}`,
    keys: feelKeys(valveId, stack, set, after),
    stage: screwStage(valve, aim, 'torque'),
    trial: { valveId, stack, set: set.name, after },
  }
}

/** Nothing changed although the screw was turned: no bigger turn before it is known why. */
function noChangeThing(view: JobView, valve: ValveState, { aim, turn }: Setting): Worded {
  const { valveId } = valve
  const { name } = valveById(view.pin.spec.engine, valveId)
  const words = adjusterWords(view.pin.spec.engine.adjuster)
  const say = (found: 'right' | 'other' | 'spins') => ({ type: 'screw-checked' as const, payload: { valveId, found } })
  return {
    label: `${name}: no change`,
    instruction: `Is that the ${name.toLowerCase()} ${words.turned}, and does it turn?`,
    why: `Half a flat and more, and the blade feels the same. Perhaps it is another valve’s ${words.turned}, or the stud turns with its nut.`,
    keys: [
      key('It turns, and it is the right one', 'go on', say('right')),
      key('It was another one', 'that is turned back', say('other')),
      key('The stud turns with it', 'nothing can be set', say('spins')),
    ],
    stage: screwStage(valve, aim, 'before lock', turn),
  }
}

const READY_WORDS = {
  'angle': 'By the screw’s angle it stands in the spec: lock it, then the blades prove it.',
  'as near as it gets': 'It comes no nearer with this set and screw: lock it, then see what the blades say.',
}

function looseThing(view: JobView, valve: ValveState): Worded {
  const { valveId } = valve
  const { name } = valveById(view.pin.spec.engine, valveId)
  const words = adjusterWords(view.pin.spec.engine.adjuster)
  const setting = settingOf(view, valve)
  const { aim, blade: stack, deg, ready, turn } = setting
  const set = setInHand(view)
  const blade = engravedWords(stack.engravedMm, set.unit)
  const present = presentReading(valve)
  if (ready) {
    const after = { kind: 'nipped' as const }
    return {
      label: `${name}, before lock`,
      instruction: `Hold ${words.hold}, nip the ${words.nip}, feel ${blade}`,
      why: `${ready === 'blade' ? (aim.shift ? `${lastFelt(present)} With what the lock does it ends in the spec.` : judgeAfterLock(view, valve, 0).reason) : READY_WORDS[ready]} It likes to follow the nut: hold it still.`,
      keys: feelKeys(valveId, stack, set, after),
      stage: screwStage(valve, aim, 'nip'),
      trial: { valveId, stack, set: set.name, after },
    }
  }
  if (setting.feelFirst)
    return {
      label: `${name}, before lock`,
      instruction: `Try ${blade} in the ${name.toLowerCase()} again`,
      why: 'The crank was moved since: felt once more before the screw is turned.',
      keys: feelKeys(valveId, stack, set, null),
      stage: screwStage(valve, aim, 'before lock', turn),
      trial: { valveId, stack, set: set.name, after: null },
    }
  if (setting.noChange) return noChangeThing(view, valve, setting)
  const after = { kind: 'screw' as const, deg }
  return {
    label: `${name}, before lock`,
    instruction: `Turn the ${words.turned} ${turnWords(deg)}, feel ${blade}`,
    why: `${againWords(view, present ?? latestReading(valve), valveId)}That is ${flatsWords(deg)}, ${turnDoubt(turn)}.`,
    keys: feelKeys(valveId, stack, set, after, {
      'free': 'still loose',
      'drag': `nip the ${words.nip} next`,
      'no-go': 'past it',
    }),
    stage: screwStage(valve, aim, 'before lock', turn, after.deg),
    trial: { valveId, stack, set: set.name, after },
  }
}

const lastFelt = (reading: Reading | undefined): string => {
  const last = reading?.trials.at(-1)
  return last ? `${last.name ?? ''}: ${last.feel}.` : ''
}
