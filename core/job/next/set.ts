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
    why: 'There is nothing to turn here: the fix is at the seat, the tip or the lifter.',
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
    why: 'Turning here doesn’t move the gap. The stud must be fixed first: write it down for the owner.',
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
    instruction: `Stop: the ${words.turned} is ${(Math.abs(valve.screwDeg) / 360).toFixed(1)} turns from where you found it`,
    why: `Valves are never that far off. Is it the right ${words.turned}, and is the valve closed? Chance that it is safely closed here: ${closed} %.`,
    keys: [
      key('Find it again', 'forget what was assumed', {
        type: 'crank',
        payload: { observations: [{ kind: 'lost' }] },
      }),
      key('Turned back and locked', 'as it was found', {
        type: 'screw-checked',
        payload: { valveId, found: 'turned back' },
      }),
      key('Continue', 'say why', null, 'reason'),
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
    instruction: `The ${name.toLowerCase()} stays as you found it`,
    why: 'It wouldn’t come free here, so the valve isn’t closed here. Find the position again, or leave it and say why.',
    keys: [
      key('Find it again', 'forget what was assumed', {
        type: 'crank',
        payload: { observations: [{ kind: 'lost' }] },
      }),
      key('Leave it', 'say why', null, 'reason'),
    ],
    stage: { kind: 'blades', valveId: valve.valveId, next: null },
    wayOut: true,
  }
}

/** What the blades in hand will be able to say once it is set: said before the nut is loosened. */
function withoutBladeWords(view: JobView, aim: Aim): string {
  if (aim.after) return ''
  const others = view.pin.otherSets.map(s => s.name)
  return ` No blade or stack in ${setInHand(view).name} can prove this spec. Set it by the screw’s angle, as an estimate, or use ${others.length ? others.join(' or ') : 'a finer set'}.`
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
  const free = key('It’s loose', `${words.turned} hasn’t moved`, {
    type: 'nut-loosened',
    payload: { valveId, slotDeg: null },
  })
  if (valve.round >= MOST_ROUNDS)
    return {
      label: `${name}, set ${valve.round} times`,
      instruction: `The ${name.toLowerCase()} won’t stay where you set it`,
      why: `${againWords(view, latestReading(valve), valveId)}Check the thread, the nut and the seat before another round. Leave it and say why, or go one more round.`,
      keys: [
        key('Leave it as it is', 'say why', null, 'reason'),
        key('Once more', 'the nut is loose again', free.happening),
        key('Write it down', 'for the owner', null, 'finding'),
      ],
      stage,
      wayOut: true,
    }
  return {
    label: `${name}, ${verdict === 'unproved' ? 'to be set' : verdict}`,
    instruction: `Loosen the ${name.toLowerCase()} ${words.nut}`,
    why: `${againWords(view, latestReading(valve), valveId)}First note where the ${engine.adjuster.head === 'slot' ? 'slot' : 'key'} points: mark one end.${withoutBladeWords(view, aim)}`,
    keys: [
      free,
      key('Loose; noted', 'slot position, like 2:30', null, 'slot'),
      key('It won’t budge', 'write it down', null, 'finding'),
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
      why: `${here.reason} The next round allows for the nut’s shift.`,
      keys: [key('It’s loose', 'one more round', { type: 'nut-loosened', payload: { valveId, slotDeg: null } })],
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
    why: `Half a flat or more, and the blade feels the same. It may be another valve’s ${words.turned}, or the stud turns with its nut.`,
    keys: [
      key('It turns, and it’s the right one', 'go on', say('right')),
      key('It was another one', 'I turned that back', say('other')),
      key('The stud turns with it', 'nothing can be set', say('spins')),
    ],
    stage: screwStage(valve, aim, 'before lock', turn),
  }
}

const READY_WORDS = {
  'angle': 'By the screw’s angle it’s in spec: lock it, then prove it with blades.',
  'as near as it gets': 'It won’t get closer with this set and screw: lock it, then see what the blades say.',
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
      why: `${ready === 'blade' ? (aim.shift ? `${lastFelt(present)} With the nut’s shift it ends up in spec.` : judgeAfterLock(view, valve, 0).reason) : READY_WORDS[ready]} It turns with the nut: hold it still.`,
      keys: feelKeys(valveId, stack, set, after),
      stage: screwStage(valve, aim, 'nip'),
      trial: { valveId, stack, set: set.name, after },
    }
  }
  if (setting.feelFirst)
    return {
      label: `${name}, before lock`,
      instruction: `Try ${blade} in the ${name.toLowerCase()} again`,
      why: 'The crank was moved since: feel it once more before you turn the screw.',
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
