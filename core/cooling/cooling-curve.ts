/** A thermometer on the head errs by so much. °C, from memory. */
const SENSOR_SIGMA_C = 2
/** A small engine cools by about this much an hour of what it is over the air, and within these bounds. From memory. */
const USUAL_PER_HOUR = 0.9
const PER_HOUR = { least: 0.2, most: 3 }
/** How loosely that is known: a factor of about 1.7 each way. From memory. */
const LOG_SIGMA = 0.5
const STEPS = 241
const HOUR_MS = 3_600_000

/** A temperature of the head, °C, and when it was read, ms since 1970. */
export interface HeadReading {
  atMs: number
  celsius: number
}

/** One way the head may be cooling, and how likely it is: from `startC` at the first reading, by `perHour`, give or take `startSigmaC`. */
interface Way {
  perHour: number
  startC: number
  startSigmaC: number
  weight: number
}
/** A head that cools towards the air: T(t) = air + (start − air)·e^(−k·t). The likeliest way, and all ways with their weights. */
export interface CoolingCurve {
  airC: number
  fromMs: number
  startC: number
  perHour: number
  ways: Way[]
}

/** For one rate the start follows by least squares; what is left over tells how well the rate fits. */
function wayAt(readings: readonly HeadReading[], airC: number, perHour: number): Way {
  const fromMs = readings[0]!.atMs
  const falls = readings.map(r => Math.exp((-perHour * (r.atMs - fromMs)) / HOUR_MS))
  const sum = falls.reduce((s, f) => s + f * f, 0)
  const over = readings.reduce((s, r, i) => s + falls[i]! * (r.celsius - airC), 0) / sum
  const misfit = readings.reduce((s, r, i) => s + ((r.celsius - airC - over * falls[i]!) / SENSOR_SIGMA_C) ** 2, 0)
  const fromUsual = Math.log(perHour / USUAL_PER_HOUR) / LOG_SIGMA
  return {
    perHour,
    startC: airC + over,
    startSigmaC: SENSOR_SIGMA_C / Math.sqrt(sum),
    weight: Math.exp(-0.5 * (misfit + fromUsual ** 2)) / Math.sqrt(sum),
  }
}

/**
 * How a head cools, from its temperatures.
 * @param readings one at least, in any order
 * @param airC the air about it
 * @throws RangeError without a reading
 * Source: Newton's law of cooling; the rate's spread as a grid of log-rates (Bayes), its usual value from memory.
 */
export function coolingCurve(readings: readonly HeadReading[], airC: number): CoolingCurve {
  if (readings.length === 0) throw new RangeError('A cooling curve needs a temperature of the head.')
  const inOrder = [...readings].sort((a, b) => a.atMs - b.atMs)
  const rates = Array.from(
    { length: STEPS },
    (_, i) => PER_HOUR.least * (PER_HOUR.most / PER_HOUR.least) ** (i / (STEPS - 1)),
  )
  const all = rates.map(rate => wayAt(inOrder, airC, rate))
  const total = all.reduce((s, w) => s + w.weight, 0)
  const ways = all.map(w => ({ ...w, weight: w.weight / total }))
  const best = ways.reduce((a, b) => (b.weight > a.weight ? b : a))
  return { airC, fromMs: inOrder[0]!.atMs, startC: best.startC, perHour: best.perHour, ways }
}

/** The likeliest temperature at a time, °C. */
export const temperatureAt = ({ airC, fromMs, startC, perHour }: CoolingCurve, atMs: number): number =>
  airC + (startC - airC) * Math.exp((-perHour * (atMs - fromMs)) / HOUR_MS)
