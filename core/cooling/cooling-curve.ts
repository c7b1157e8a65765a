import { HOUR_MS } from '../units'
/** A thermometer on the head errs by so much. °C, from memory. */
const SENSOR_SIGMA_C = 2
/** A small engine cools by about this much an hour of what it is over the air, and within these bounds. From memory. */
const USUAL_PER_HOUR = 0.9
const PER_HOUR = { least: 0.2, most: 3 }
/** How loosely that is known: a factor of about 1.7 each way. From memory. */
const LOG_SIGMA = 0.5
/** Rates that are tried between the bounds, evenly by ratio: each 1.06 times the last, finer than any reading tells. */
const STEPS = 49

/** A temperature of the head, °C, and when it was read, ms since 1970. */
export interface HeadReading {
  atMs: number
  celsius: number
}

/** Air that nobody read is taken to be so far off; a read one by this. °C, from memory. */
export const AIR_SIGMA_C = { assumed: 4, read: 0.7 }
/**
 * Where the air may be, in its own uncertainties, and how likely: Gauss–Hermite of five points. Abramowitz and Stegun,
 * table 25.10.
 */
const AIR_POINTS: readonly [number, number][] = [
  [-2.85697, 0.011257],
  [-1.355626, 0.222076],
  [0, 0.533333],
  [1.355626, 0.222076],
  [2.85697, 0.011257],
]
/**
 * A head sits on a block that holds its warmth: so much of what it is over the air goes at a quarter of the rate. From
 * memory.
 */
const SLOW_SHARES: readonly [number, number][] = [
  [0, 0.3],
  [0.15, 0.3],
  [0.3, 0.4],
]
/** The quarter of the rate, by which the block’s part cools. */
const SLOWER = 4

/**
 * What is left, of 1, of what a head was over the air: the head's own part falls at its rate, the block's part at a
 * quarter of it.
 */
export const leftOver = ({ perHour, slowShare }: Pick<Way, 'perHour' | 'slowShare'>, hours: number): number =>
  (1 - slowShare) * Math.exp(-perHour * hours) + slowShare * Math.exp((-perHour / SLOWER) * hours)

/**
 * One way the head may be cooling, and how likely it is: from `startC` at the first reading, by `perHour`, give or take
 * `startSigmaC`.
 */
interface Way {
  perHour: number
  slowShare: number
  airC: number
  startC: number
  startSigmaC: number
  weight: number
}
/**
 * A head that cools towards the air: T(t) = air + (start − air)·e^(−k·t). The likeliest way, and all ways with their
 * weights.
 */
export interface CoolingCurve {
  airC: number
  fromMs: number
  startC: number
  perHour: number
  slowShare: number
  ways: Way[]
}

/** For one rate, share and air the start follows by least squares; what is left over tells how well they fit. */
function wayAt(readings: readonly HeadReading[], perHour: number, slowShare: number, airC: number, prior: number): Way {
  const fromMs = readings[0]!.atMs
  const falls = readings.map(r => leftOver({ perHour, slowShare }, (r.atMs - fromMs) / HOUR_MS))
  const sum = falls.reduce((s, f) => s + f * f, 0)
  const over = readings.reduce((s, r, i) => s + falls[i]! * (r.celsius - airC), 0) / sum
  const misfit = readings.reduce((s, r, i) => s + ((r.celsius - airC - over * falls[i]!) / SENSOR_SIGMA_C) ** 2, 0)
  const fromUsual = Math.log(perHour / USUAL_PER_HOUR) / LOG_SIGMA
  return {
    perHour,
    slowShare,
    airC,
    startC: airC + over,
    startSigmaC: SENSOR_SIGMA_C / Math.sqrt(sum),
    weight: (prior * Math.exp(-0.5 * (misfit + fromUsual ** 2))) / Math.sqrt(sum),
  }
}

/**
 * How a head cools, from its temperatures.
 * @param readings one at least, in any order
 * @param airC the air about it, °C
 * @param airSigmaC how far that may be off
 * @throws RangeError without a reading Source: Newton's law of cooling, for head and block; rate, share and air as a
 *   grid (Bayes), their usual values from memory.
 */
export function coolingCurve(readings: readonly HeadReading[], airC: number, airSigmaC = 0): CoolingCurve {
  if (readings.length === 0) throw new RangeError('A cooling curve needs a temperature of the head.')
  const inOrder = [...readings].sort((a, b) => a.atMs - b.atMs)
  const rates = Array.from(
    { length: STEPS },
    (_, i) => PER_HOUR.least * (PER_HOUR.most / PER_HOUR.least) ** (i / (STEPS - 1)),
  )
  const airs = airSigmaC > 0 ? AIR_POINTS : ([[0, 1]] as const)
  const all = airs.flatMap(([off, airWeight]) =>
    SLOW_SHARES.flatMap(([share, shareWeight]) =>
      rates.map(rate => wayAt(inOrder, rate, share, airC + off * airSigmaC, airWeight * shareWeight)),
    ),
  )
  const total = all.reduce((s, w) => s + w.weight, 0)
  const ways = all.map(w => ({ ...w, weight: w.weight / total }))
  const best = ways.filter(w => w.airC === airC).reduce((a, b) => (b.weight > a.weight ? b : a))
  return {
    airC,
    fromMs: inOrder[0]!.atMs,
    startC: best.startC,
    perHour: best.perHour,
    slowShare: best.slowShare,
    ways: ways.filter(w => w.weight > 1e-6),
  }
}

/** The likeliest temperature at a time, °C. */
export const temperatureAt = ({ airC, fromMs, startC, ...way }: CoolingCurve, atMs: number): number =>
  airC + (startC - airC) * leftOver(way, (atMs - fromMs) / HOUR_MS)
