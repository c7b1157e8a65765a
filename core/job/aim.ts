import { aimBeforeLock, type LockShift, shiftedTrials } from '../adjuster'
import { judge, type Judgement, settingBlade, type Stack, thickness, type Trial, went } from '../feeler'
import { type Said, say } from '../said'
import { snapMm } from '../units'
import { type NutShift, nutShift } from './lock-learning'
import { presentReading, type ValveState } from './state'
import { clearanceOf, type JobView, judgeReading, setInHand, targetFor } from './view'

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
  by: Said
  /**
   * The blade to feel before the lock, and the one to feel after it; null where the set has none that would prove it.
   */
  before: Stack | null
  after: Stack | null
  /** Some blade of the set all the same. */
  anyway: Stack
}

/** What locking the nut does: "locking closes it by 0.010 ± 0.006 mm". */
export const shiftWords = ({ shiftMm, spreadMm }: Pick<LockShift, 'shiftMm' | 'spreadMm'>): Said =>
  Math.abs(shiftMm) < 0.0005 ? say('lock.leaves', { spreadMm }) : say('lock.moves', { shiftMm, spreadMm })

/**
 * What to set a valve to before its nut is locked, so that it ends in the middle of its spec, with the blades that show
 * it.
 * @returns the gap before the lock in mm, the lock’s shift where it is known, and whose it is
 */
export function aimOf(view: JobView, valve: ValveState): Aim {
  const { pin, tools } = view
  const clearance = clearanceOf(pin, valve.valveId)
  const choices = tools.choicesFor(setInHand(view), clearance)
  const untried = notYetWrong(view, valve)
  const nut = nutShift(view, valve.valveId)
  const shift =
    nut.records || view.state.aimOffMm !== null || nut.allMm !== 0 || nut.ownRounds > 0
      ? { shiftMm: nut.allMm, spreadMm: nut.records?.spreadMm ?? ONE_ROUND_SPREAD_MM }
      : null
  const targetMm = targetFor(view, valve.valveId)
  const aimMm = aimBeforeLock(targetMm, shift)
  const beforeBy = { aimMm, shiftMm: shift?.shiftMm ?? 0, hand: pin.hand }
  const after = settingBlade(choices, clearance, { aimMm: targetMm, hand: pin.hand })
  const before =
    settingBlade(choices.filter(untried), clearance, beforeBy) ??
    (after && untried(after) ? after : settingBlade(choices, clearance, beforeBy))
  const anyway = before ?? after ?? choices.findLast(c => c.totalMm <= aimMm) ?? choices[0]!
  // with a blade chosen, the middle of its drag is what the screw is turned to, for a bare figure too: its drag is in,
  // its edge is a toss
  const beforeMm = before === null ? aimMm : snapMm(before.totalMm + pin.hand.dragMm / 2)
  return { targetMm, beforeMm, shift, torqueShiftMm: nut.torqueMm, by: whoseWords(nut, view), before, after, anyway }
}

/**
 * A blade that dragged before this nut was locked, and was loose once it was: neither it nor a thicker one is felt for
 * in a later round; nor a thinner one than one that was tight. Where two rounds disagree, the nut scatters more than
 * blades differ, and both say nothing.
 */
function notYetWrong({ pin }: JobView, valve: ValveState): (blade: Stack) => boolean {
  let [thickestTightMm, thinnestLooseMm] = [0, Infinity]
  for (const torqued of valve.readings.filter(r => r.phase === 'torqued')) {
    const before = valve.readings.find(r => r.phase === 'before lock' && r.round === torqued.round)
    const felt = before?.trials.filter(went).at(-1)
    if (!felt) continue
    const { verdict } = judgeReading(pin, torqued, valve.valveId)
    if (verdict === 'loose') thinnestLooseMm = Math.min(thinnestLooseMm, thickness(felt))
    if (verdict === 'tight') thickestTightMm = Math.max(thickestTightMm, thickness(felt))
  }
  if (thickestTightMm >= thinnestLooseMm) return () => true
  return ({ totalMm }) => totalMm > thickestTightMm && totalMm < thinnestLooseMm
}

/** "Ada, this model, 11 locks": whose locks a shift rests on. */
function whoseWords({ records, ownRounds }: NutShift, { state, pin }: Pick<JobView, 'state' | 'pin'>): Said {
  if (ownRounds > 0) return say('lock.of-this-nut', { rounds: ownRounds })
  if (state.aimOffMm !== null) return say('lock.of-this-job')
  if (!records) return say('lock.of-the-other-nuts')
  // the narrowest of them that has two, as the scatter is taken
  if (records.own > 1) return say('lock.of-person', { person: state.personName, locks: records.own })
  return records.model > 1
    ? say('lock.of-model', { model: pin.modelName, locks: records.model })
    : say('lock.of-shop', { locks: records.shop })
}

/**
 * The verdict on trials before the lock, as the lock will leave them: each blade counts as thick as it will be worth
 * then. A drag of 0.13 before a lock that closes by 0.01 is a drag of 0.12 after it.
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
