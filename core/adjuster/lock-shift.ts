import { type Interval, thickness, type Trial } from '../feeler'
import { snapMm } from '../units'

/**
 * What one lock did to a gap: torqued − before lock, in mm; negative closes. Whose hand and which engine model it was.
 */
export interface Lock {
  shiftMm: number
  personId: number | null
  modelId: number | null
}

/** A reading wider than this says too little about a lock. */
const WIDEST_MM = 0.03
/** So many locks weigh as much as what is believed without them. */
const SHRINKAGE = 4
/** None is believed until so many are known. */
const LEAST_LOCKS = 2
/** A median absolute deviation of normal scatter, to its standard deviation. */
const MAD_TO_SIGMA = 1.4826

/**
 * What a lock did, from its last readings before and after.
 * @returns mm by the intervals' middles, or null where either is open or wider than 0.03 mm
 */
export function lockOf(beforeLock: Interval, torqued: Interval): number | null {
  const middle = ({ loMm, hiMm }: Interval) =>
    hiMm === null || snapMm(hiMm - loMm) > WIDEST_MM ? null : (loMm + hiMm) / 2
  const [from, to] = [middle(beforeLock), middle(torqued)]
  return from === null || to === null ? null : snapMm(to - from)
}

const median = (values: readonly number[]): number => {
  const sorted = [...values].sort((a, b) => a - b)
  return ((sorted[Math.floor((sorted.length - 1) / 2)] ?? 0) + (sorted[Math.floor(sorted.length / 2)] ?? 0)) / 2
}

/** What two drags leave open of one shift: half their width over √3 each (JCGM 100:2008), together. mm. */
const READING_SIGMA_MM = 0.006

export interface LockShift {
  /** What the next lock is expected to add to the gap, mm; negative closes. */
  shiftMm: number
  /**
   * Scatter of single locks about it, as a standard deviation in mm: by the median absolute deviation of those it rests
   * on, and never finer than their readings allow.
   */
  spreadMm: number
  /** Locks of this person on this model, of anybody on this model, and of the shop. */
  own: number
  model: number
  shop: number
}

/**
 * What locking does to a gap, learned from the shop's own records. The median of this person's locks on this engine
 * model, shrunk by n/(n + 4) towards the model's by anybody, and that towards the shop's.
 * @param locks all that are known of the shop
 * @returns null until two locks are known: nothing is aimed off by a single one
 */
export function lockShift(
  locks: readonly Lock[],
  who: { personId: number | null; modelId: number | null },
): LockShift | null {
  if (locks.length < LEAST_LOCKS) return null
  const ofModel = locks.filter(l => l.modelId !== null && l.modelId === who.modelId)
  const own = ofModel.filter(l => l.personId !== null && l.personId === who.personId)
  const shifts = (list: readonly Lock[]) => list.map(l => l.shiftMm)
  const towards = (list: readonly Lock[], otherwise: number) => {
    const weight = list.length / (list.length + SHRINKAGE)
    return list.length ? weight * median(shifts(list)) + (1 - weight) * otherwise : otherwise
  }
  const narrowest = [own, ofModel, locks].find(list => list.length >= LEAST_LOCKS)!
  const about = median(shifts(narrowest))
  return {
    shiftMm: snapMm(towards(own, towards(ofModel, median(shifts(locks))))),
    spreadMm: snapMm(
      Math.max(
        MAD_TO_SIGMA * median(narrowest.map(l => Math.abs(l.shiftMm - about))),
        READING_SIGMA_MM / Math.sqrt(narrowest.length),
      ),
    ),
    own: own.length,
    model: ofModel.length,
    shop: locks.length,
  }
}

/**
 * Where the gap should stand before the nut is locked. It may lie outside the limits; with the shift added it may not.
 * @param targetMm where it should end, mm
 * @param shift what is learned of the lock, or null: then the aim is the target
 */
export const aimBeforeLock = (targetMm: number, shift: Pick<LockShift, 'shiftMm'> | null): number =>
  Math.max(0, snapMm(targetMm - (shift?.shiftMm ?? 0)))

/** Trials made before a lock, as they will count after it: each blade moved by the shift, never to nothing. */
export const shiftedTrials = (trials: readonly Trial[], shiftMm: number): Trial[] =>
  trials.map(t => ({ ...t, bladesMm: [Math.max(0.0001, snapMm(thickness(t) + shiftMm))] }))
