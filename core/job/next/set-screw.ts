import type { ScrewTurn } from '../../adjuster'
import { valveById } from '../../engine'
import { engravedWords } from '../../feeler'
import { say, type Text } from '../../said'
import { setBy } from '../adjuster-words'
import { type Aim, judgeAfterLock } from '../aim'
import { settingOf } from '../setting'
import { latestReading, presentReading, type Reading, type ValveState } from '../state'
import { type JobView, judgeReading, setInHand } from '../view'
import { feelKeys, readingWords } from './measure'
import { screwStage } from './set-stage'
import { noChangeThing, telltaleThing } from './set-trouble'
import type { Worded } from './thing'

/** Why the screw is turned: a blade that slid freely asks for more of a turn, not for a thicker blade. */
const turnWords = (view: JobView, reading: Reading | undefined, valveId: string): Text => {
  const last = reading?.trials.at(-1)
  return reading && last?.feel === 'free' && judgeReading(view.pin, reading, valveId).verdict === 'unproved'
    ? say('set.turn.should-drag', { blade: last.name ?? '' })
    : readingWords(view, reading, valveId)
}

/** How sure the turn is: "give or take 5°", or that only one side is known. */
export const turnDoubt = (turn: ScrewTurn): Text =>
  turn.kind === 'turn'
    ? say('turn.give-or-take', { deg: Math.max(1, Math.round((turn.mostDeg - turn.leastDeg) / 2)) })
    : say('turn.guess')

const lastFelt = (reading: Reading | undefined): Text => {
  const last = reading?.trials.at(-1)
  return last ? say('set.nip.felt', { blade: last.name ?? '', feel: last.feel }) : ''
}

/** Why it may be nipped where no blade says that it is in. */
const nipWords = (ready: 'angle' | 'as near as it gets'): Text =>
  ready === 'angle' ? say('set.nip.by-angle') : say('set.nip.as-near')

/** Why it may be nipped: what was felt is in, or will be once the nut has done to it what it does. */
const feltWords = (view: JobView, valve: ValveState, aim: Aim): Text =>
  aim.shift ? [lastFelt(presentReading(valve)), say('set.nip.with-shift')] : judgeAfterLock(view, valve, 0).reason

/** The screw turns and a blade is felt, until the gap is where the lock leaves it in: then it is nipped. */
export function looseThing(view: JobView, valve: ValveState): Worded {
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
