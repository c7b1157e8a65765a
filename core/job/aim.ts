import { aimBeforeLock, type Lock, lockOf, type LockShift, lockShift, shiftedTrials } from '../adjuster'
import { type Judgement, judge, settingBlade, type Stack, type Trial } from '../feeler'
import { snapMm } from '../units'
import type { JobPin } from './pin'
import { type JobState, presentReading, type ValveState } from './state'
import { clearanceOf, judgeReading, type JobView, setInHand, targetFor } from './view'

/** Where a valve is set to, and where it should stand before the nut is locked. */
export interface Aim {
  /** Where it should end, mm. */
  targetMm: number
  /** Where it should stand before the lock, mm. */
  beforeMm: number
  shift: LockShift | null
  /** Whose locks the shift rests on. */
  by: string
  /** The blade to feel before the lock, and the one to feel after it; null where the set has none that would prove it. */
  before: Stack | null
  after: Stack | null
  /** Some blade of the set all the same. */
  anyway: Stack
}

/** What the locks of this job did so far: torqued − before lock, by round, where both were read narrowly. */
function locksOf({ valves }: JobState, pin: JobPin): Lock[] {
  return valves.flatMap(valve =>
    valve.readings
      .filter(r => r.phase === 'torqued')
      .flatMap(torqued => {
        const before = valve.readings.find(r => r.phase === 'before lock' && r.round === torqued.round)
        const shiftMm =
          before &&
          lockOf(judgeReading(pin, before, valve.valveId).reading, judgeReading(pin, torqued, valve.valveId).reading)
        return shiftMm === undefined || shiftMm === null
          ? []
          : [{ shiftMm, personId: torqued.personId, modelId: pin.modelId }]
      }),
  )
}

/** What the lock is expected to do to this job's valves, from the shop's records and this job's own; null until two locks are known. */
export const expectedShift = ({ pin, state }: Pick<JobView, 'pin' | 'state'>): LockShift | null =>
  lockShift([...pin.locks, ...locksOf(state, pin)], { personId: state.personId, modelId: pin.modelId })

/** "locking closes it by 0.010 ± 0.006 mm". */
export function shiftWords({ shiftMm, spreadMm }: Pick<LockShift, 'shiftMm' | 'spreadMm'>): string {
  if (Math.abs(shiftMm) < 0.0005) return `locking leaves it, ± ${spreadMm.toFixed(3)} mm`
  return `locking ${shiftMm < 0 ? 'closes' : 'opens'} it by ${Math.abs(shiftMm).toFixed(3)} ± ${spreadMm.toFixed(3)} mm`
}

export function aimOf(view: JobView, valve: ValveState): Aim {
  const { pin, tools } = view
  const clearance = clearanceOf(pin, valve.valveId)
  const choices = tools.choicesFor(setInHand(view), clearance)
  const shift = expectedShift(view)
  const targetMm = targetFor(view, valve.valveId)
  const aimMm = aimBeforeLock(targetMm, shift)
  const before = settingBlade(choices, clearance, { aimMm, shiftMm: shift?.shiftMm ?? 0, hand: pin.hand })
  const after = settingBlade(choices, clearance, { aimMm: targetMm, hand: pin.hand })
  const anyway = before ?? after ?? choices.findLast(c => c.totalMm <= aimMm) ?? choices[0]!
  // with a blade chosen, the middle of its drag is what the screw is turned to, for a bare figure too: its drag is in, its edge is a toss
  const beforeMm = before === null ? aimMm : snapMm(before.totalMm + pin.hand.dragMm / 2)
  return { targetMm, beforeMm, shift, by: whoseWords(shift, view), before, after, anyway }
}

/** "Ada, this model, 11 locks": whose locks a shift rests on. */
function whoseWords(shift: LockShift | null, { state, pin }: Pick<JobView, 'state' | 'pin'>): string {
  if (!shift) return 'too few locks on record'
  const count = (n: number) => `${n} lock${n === 1 ? '' : 's'}`
  // the narrowest of them that has two, as the scatter is taken
  if (shift.own > 1) return `${state.personName}, this model, ${count(shift.own)}`
  return shift.model > 1 ? `${pin.modelName}, ${count(shift.model)}` : `this shop, ${count(shift.shop)}`
}

/**
 * The verdict on trials before the lock, as the lock will leave them: each blade counts as thick as it will be worth then. A drag
 * of 0.13 before a lock that closes by 0.01 is a drag of 0.12 after it.
 */
export function judgeAfterLock(view: JobView, valve: ValveState, shift: LockShift | null): Judgement {
  const trials: Trial[] = presentReading(valve)?.trials ?? []
  const role = view.pin.spec.engine.valves.find(v => v.id === valve.valveId)?.role
  return judge(shift ? shiftedTrials(trials, shift.shiftMm) : trials, clearanceOf(view.pin, valve.valveId), {
    set: setInHand(view),
    hand: view.pin.hand,
    unit: view.pin.unit,
    role,
  })
}
