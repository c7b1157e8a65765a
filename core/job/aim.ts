import { aimBeforeLock, type LockShift, shiftedTrials } from '../adjuster'
import { type Judgement, judge, settingBlade, type Stack, type Trial } from '../feeler'
import { snapMm } from '../units'
import { type NutShift, nutShift } from './lock-learning'
import { presentReading, type ValveState } from './state'
import { clearanceOf, type JobView, setInHand, targetFor } from './view'

/** What one round of a nut says of the next, as a standard deviation. mm, from memory */
const ONE_ROUND_SPREAD_MM = 0.008

/** Where a valve is set to, and where it should stand before the nut is locked. */
export interface Aim {
  /** Where it should end, mm. */
  targetMm: number
  /** Where it should stand before the lock, mm. */
  beforeMm: number
  shift: Pick<LockShift, 'shiftMm' | 'spreadMm'> | null
  /** What is left of it once the nut is nipped, mm. */
  torqueShiftMm: number
  /** Whose locks the shift rests on. */
  by: string
  /**
   * The blade to feel before the lock, and the one to feel after it; null where the set has none that would prove it.
   */
  before: Stack | null
  after: Stack | null
  /** Some blade of the set all the same. */
  anyway: Stack
}

/** "locking closes it by 0.010 ± 0.006 mm". */
export function shiftWords({ shiftMm, spreadMm }: Pick<LockShift, 'shiftMm' | 'spreadMm'>): string {
  if (Math.abs(shiftMm) < 0.0005) return `locking leaves it, ± ${spreadMm.toFixed(3)} mm`
  return `locking ${shiftMm < 0 ? 'closes' : 'opens'} it by ${Math.abs(shiftMm).toFixed(3)} ± ${spreadMm.toFixed(3)} mm`
}

export function aimOf(view: JobView, valve: ValveState): Aim {
  const { pin, tools } = view
  const clearance = clearanceOf(pin, valve.valveId)
  const choices = tools.choicesFor(setInHand(view), clearance)
  const nut = nutShift(view, valve.valveId)
  const shift =
    nut.records || view.state.aimOffMm !== null || nut.allMm !== 0 || nut.ownRounds > 0
      ? { shiftMm: nut.allMm, spreadMm: nut.records?.spreadMm ?? ONE_ROUND_SPREAD_MM }
      : null
  const targetMm = targetFor(view, valve.valveId)
  const aimMm = aimBeforeLock(targetMm, shift)
  const before = settingBlade(choices, clearance, { aimMm, shiftMm: shift?.shiftMm ?? 0, hand: pin.hand })
  const after = settingBlade(choices, clearance, { aimMm: targetMm, hand: pin.hand })
  const anyway = before ?? after ?? choices.findLast(c => c.totalMm <= aimMm) ?? choices[0]!
  // with a blade chosen, the middle of its drag is what the screw is turned to, for a bare figure too: its drag is in,
  // its edge is a toss
  const beforeMm = before === null ? aimMm : snapMm(before.totalMm + pin.hand.dragMm / 2)
  return { targetMm, beforeMm, shift, torqueShiftMm: nut.torqueMm, by: whoseWords(nut, view), before, after, anyway }
}

/** "Ada, this model, 11 locks": whose locks a shift rests on. */
function whoseWords({ records, ownRounds }: NutShift, { state, pin }: Pick<JobView, 'state' | 'pin'>): string {
  const count = (n: number, what: string) => `${n} ${what}${n === 1 ? '' : 's'}`
  if (ownRounds > 0) return `this nut, ${count(ownRounds, 'round')}`
  if (state.aimOffMm !== null) return 'said for this job'
  if (!records) return 'the other nuts of this job'
  // the narrowest of them that has two, as the scatter is taken
  if (records.own > 1) return `${state.personName}, this model, ${count(records.own, 'lock')}`
  return records.model > 1
    ? `${pin.modelName}, ${count(records.model, 'lock')}`
    : `this shop, ${count(records.shop, 'lock')}`
}

/**
 * The verdict on trials before the lock, as the lock will leave them: each blade counts as thick as it will be worth
 * then. A drag
 * of 0.13 before a lock that closes by 0.01 is a drag of 0.12 after it.
 */
export function judgeAfterLock(view: JobView, valve: ValveState, shiftMm: number): Judgement {
  const trials: Trial[] = presentReading(valve)?.trials ?? []
  const role = view.pin.spec.engine.valves.find(v => v.id === valve.valveId)?.role
  return judge(shiftMm === 0 ? trials : shiftedTrials(trials, shiftMm), clearanceOf(view.pin, valve.valveId), {
    set: setInHand(view),
    hand: view.pin.hand,
    unit: view.pin.unit,
    role,
  })
}
