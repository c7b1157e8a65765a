import { valveById } from '../../engine'
import { engravedWords } from '../../feeler'
import { say, type Text } from '../../said'
import { setBy } from '../adjuster-words'
import { type Aim, aimOf, judgeAfterLock } from '../aim'
import type { GapChange } from '../gap-change'
import { bladeHabitWords, lockTorque } from '../lock-torque'
import { MOST_ROUNDS } from '../setting'
import { latestReading, presentReading, type ValveState } from '../state'
import { expectedPolicy, type JobView, judgeReading, latestVerdict, setInHand } from '../view'
import { withReason, writeDown } from './keys'
import { feelKeys, markCheckThing, readingWords, trialThing, wantsMarkCheck, wasInWords } from './measure'
import { screwStage } from './set-stage'
import { key, type Worded } from './thing'

/** What the blades in hand will be able to say once it is set: said before the nut is loosened. */
const withoutBladeWords = (view: JobView, aim: Aim): Text =>
  aim.after ? '' : say('set.without-blade', { set: setInHand(view).name, others: view.pin.otherSets.map(s => s.name) })

/** The nut comes loose: the next round begins, unless there were rounds enough. */
export function loosenThing(view: JobView, valve: ValveState): Worded {
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
      why: [readingWords(view, latestReading(valve), valveId), say('set.rounds.why')],
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
      readingWords(view, latestReading(valve), valveId),
      wasInWords(view, valve, 'nut'),
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

/** What the nip did to the gap is read; then the torque, or, where it moved the gap out, another round. */
export function nippedThing(view: JobView, valve: ValveState): Worded {
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
