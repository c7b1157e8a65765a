import { normalUnder } from '../chance'
import type { Interval } from '../feeler'
import { middleOf, sigmaOf } from './drift'

/** A gap at so much use from when it was left: the middle, and the ends of the fan. mm. */
export interface FanPoint {
  use: number
  middleMm: number
  loMm: number
  hiMm: number
}
/**
 * When a valve leaves its limits, in use since it was left: the soonest (10 %), as likely as not, the latest (90 %);
 * null beyond the horizon.
 */
export interface Forecast {
  side: 'tight' | 'loose'
  soonest: number | null
  even: number | null
  latest: number | null
  fan: FanPoint[]
}

/** Half of an 80 % interval of the normal distribution, in standard deviations. */
const FAN_Z = 1.2815515655446004
/** Points along the fan: its curve shows no corners with them. */
const FAN_POINTS = 24

/**
 * Where a valve's clearance goes from how it was left, and when it leaves its limits.
 * @param left the last proved reading; it must be bounded
 * @param slope mm per unit of use with its standard uncertainty, and its covariance with the reading it starts from
 * @param horizon use beyond which nothing is said
 * @returns null for an open reading Source: a straight line with normal uncertainties of both ends; crossing by
 *   bisection.
 */
export function forecast(
  left: Interval,
  slope: { perUse: number; sigma: number; withLeft?: number },
  limits: { minMm: number; maxMm: number },
  horizon: number,
): Forecast | null {
  if (left.hiMm === null) return null
  const [startMm, startSigma] = [middleOf(left), sigmaOf(left)]
  const sigmaAt = (use: number) =>
    Math.sqrt(startSigma ** 2 + 2 * use * (slope.withLeft ?? 0) + (slope.sigma * use) ** 2)
  const middleAt = (use: number) => startMm + slope.perUse * use
  const outBy = (use: number) => {
    const sigma = Math.max(1e-9, sigmaAt(use))
    return normalUnder((limits.minMm - middleAt(use)) / sigma) + 1 - normalUnder((limits.maxMm - middleAt(use)) / sigma)
  }
  const first = (chance: number): number | null => {
    if (outBy(0) >= chance) return 0
    if (outBy(horizon) < chance) return null
    let [from, to] = [0, horizon]
    for (let i = 0; i < 50; i++) {
      const middle = (from + to) / 2
      if (outBy(middle) < chance) from = middle
      else to = middle
    }
    return to
  }
  const fan = Array.from({ length: FAN_POINTS + 1 }, (_, i): FanPoint => {
    const use = (horizon * i) / FAN_POINTS
    return {
      use,
      middleMm: middleAt(use),
      loMm: middleAt(use) - FAN_Z * sigmaAt(use),
      hiMm: middleAt(use) + FAN_Z * sigmaAt(use),
    }
  })
  return { side: slope.perUse < 0 ? 'tight' : 'loose', soonest: first(0.1), even: first(0.5), latest: first(0.9), fan }
}
