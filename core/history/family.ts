import type { Drift } from './drift'

/**
 * How valves of one kind in one engine model drift: their mean, and how far engines differ beyond what is measured. mm
 * per use.
 */
export interface FamilyDrift {
  perUse: number
  sigma: number
  betweenSigma: number
  machines: number
}

/** A drift that is known, as its line. */
export interface KnownDrift {
  perUse: number
  sigma: number
  /** Covariance with the reading that the valve was left at, mm² per use; none where it is not its own. */
  withLeft?: number
}
/** Fewer than this are no family. From memory. */
const LEAST_MACHINES = 2

/**
 * The family's drift from those of its machines.
 * @returns null while there are too few Source: DerSimonian and Laird (1986), random effects.
 */
export function familyDrift(known: readonly KnownDrift[]): FamilyDrift | null {
  if (known.length < LEAST_MACHINES) return null
  const weights = known.map(d => 1 / d.sigma ** 2)
  const sum = weights.reduce((a, b) => a + b, 0)
  const fixed = known.reduce((s, d, i) => s + weights[i]! * d.perUse, 0) / sum
  const q = known.reduce((s, d, i) => s + weights[i]! * (d.perUse - fixed) ** 2, 0)
  const between = Math.max(0, (q - (known.length - 1)) / (sum - weights.reduce((s, w) => s + w * w, 0) / sum))
  const random = known.map(d => 1 / (d.sigma ** 2 + between))
  const total = random.reduce((a, b) => a + b, 0)
  return {
    perUse: known.reduce((s, d, i) => s + random[i]! * d.perUse, 0) / total,
    sigma: Math.sqrt(1 / total),
    betweenSigma: Math.sqrt(between),
    machines: known.length,
  }
}

/**
 * How far valves of any engine drift, before anything is known of this one: mm from one check to the next, as a
 * standard deviation.
 * From memory. Without it the few that were measured furthest off are taken for the fastest: of valves seen twice, a
 * quarter to a third were out on the day that was called as likely as not.
 */
const ANY_DRIFT_MM = 0.025

/**
 * A valve’s drift with what its family says: the family alone where the valve has not been seen twice; without a
 * family, held towards what valves do. Null where neither is known.
 * @param checkUse use from one check to the next
 */
export function withFamily(own: Drift, family: FamilyDrift | null, checkUse: number): KnownDrift | null {
  if (own.kind !== 'drift')
    return family && { perUse: family.perUse, sigma: Math.hypot(family.sigma, family.betweenSigma) }
  const known = family
    ? { perUse: family.perUse, variance: family.sigma ** 2 + family.betweenSigma ** 2 }
    : { perUse: 0, variance: (ANY_DRIFT_MM / checkUse) ** 2 }
  const [a, b] = [1 / own.sigma ** 2, 1 / known.variance]
  return {
    perUse: (own.perUse * a + known.perUse * b) / (a + b),
    sigma: Math.sqrt(1 / (a + b)),
    withLeft: (own.withLeft * a) / (a + b),
  }
}

/** How many uncertainties apart a valve must be from its family to be named. */
const FASTER_AT = 2
/** Whether a valve moves faster than its family, the same way or the other. */
export const movesFaster = (own: Drift, family: FamilyDrift | null): boolean =>
  own.kind === 'drift' &&
  family !== null &&
  Math.abs(own.perUse) > Math.abs(family.perUse) &&
  Math.abs(own.perUse - family.perUse) > FASTER_AT * Math.hypot(own.sigma, family.sigma, family.betweenSigma)
