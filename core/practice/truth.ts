import { BLADE_ERROR_MM, countedAsIn, trialErrorMm, USUAL_HAND } from '../feeler'
import { clearanceOf, type JobView, type Reading, setInHand } from '../job'

/** What the error of its blades lets a proof be off, mm. */
export const proofErrorMm = (reading: Reading | undefined): number =>
  Math.max(BLADE_ERROR_MM, ...(reading?.trials ?? []).map(trialErrorMm))

/**
 * Whether a gap is in spec as a hand can know it: a drag at the loose end may leave its own width, and a blade its
 * error.
 */
export function inSpecTruly(view: JobView, valveId: string, gapMm: number, errorMm: number): boolean {
  const { minMm, maxMm } = countedAsIn(clearanceOf(view.pin, valveId), setInHand(view))
  return gapMm >= minMm - errorMm && gapMm < maxMm + USUAL_HAND.dragMm + errorMm
}
