import type { Interval, Verdict } from '../feeler'
import { DAY_MS } from '../units'

/** What a visit found and left of one valve. `asLeft` is null where nothing was proved. */
export interface ValveVisit {
  asFound: Interval | null
  asLeft: Interval | null
}
/**
 * One visit of a machine: when (ms since 1970), its use by then in the meter's unit since the machine was new to the
 * shop (null where no meter was read), and its valves. `engineChanged` says that another engine had been put in since
 * the visit before.
 */
export interface Visit {
  atMs: number
  use: number | null
  valves: Record<string, ValveVisit>
  engineChanged?: boolean
}

/** How a visit left its valves, by count: in spec, out of it, or not known. */
export interface VisitVerdict {
  in: number
  out: number
  unknown: number
}
/**
 * How a visit left its valves. What was not proved at its end counts by what was found: a job that was signed with a
 * reason leaves a valve so.
 */
export function visitVerdict(
  valves: readonly { asFound: { verdict: Verdict } | null; asLeft: { verdict: Verdict } | null }[],
): VisitVerdict {
  const count: VisitVerdict = { in: 0, out: 0, unknown: 0 }
  for (const { asFound, asLeft } of valves) {
    const verdict = (asLeft ?? asFound)?.verdict
    if (verdict === 'in') count.in++
    else if (verdict === 'tight' || verdict === 'loose') count.out++
    else count.unknown++
  }
  return count
}

/** A meter as it was read; `replaced` says that it began anew since the reading before. */
export interface MeterReading {
  atMs: number
  meter: number
  replaced?: boolean
}

/** A meter that ran backward without having been replaced. */
export class MeterBackwardError extends Error {
  constructor(
    readonly before: number,
    readonly after: number,
  ) {
    super(`The meter went back from ${before} to ${after}. Was it replaced, or is one of the two a slip?`)
    this.name = 'MeterBackwardError'
  }
}

/**
 * Use since the first reading, by date: a replaced meter counts on from where the old one was last read.
 * @throws MeterBackwardError for a meter that ran backward
 */
export function useSinceFirst(readings: readonly MeterReading[]): { atMs: number; use: number }[] {
  let before = 0
  let last: MeterReading | null = null
  return [...readings]
    .sort((a, b) => a.atMs - b.atMs)
    .map(reading => {
      if (last !== null && !reading.replaced && reading.meter < last.meter)
        throw new MeterBackwardError(last.meter, reading.meter)
      if (last !== null) before += reading.replaced ? reading.meter : reading.meter - last.meter
      last = reading
      return { atMs: reading.atMs, use: before }
    })
}

/** Less time than this between first and last tells nothing of a machine's use. From memory. */
const LEAST_DAYS = 21

/** How much a machine is used in a day, from its meter; null while there is not enough to say. */
export function usePerDay(uses: readonly { atMs: number; use: number }[]): number | null {
  const [first, last] = [uses[0], uses.at(-1)]
  if (!first || !last) return null
  const days = (last.atMs - first.atMs) / DAY_MS
  return days < LEAST_DAYS || last.use <= first.use ? null : (last.use - first.use) / days
}

/**
 * The reading that one more cannot stand beside: an earlier one that is higher, or a later one that is lower. Null
 * where it fits.
 */
export function meterClash(
  readings: readonly MeterReading[],
  added: MeterReading,
): { side: 'earlier' | 'later'; reading: MeterReading } | null {
  const inOrder = [...readings].sort((a, b) => a.atMs - b.atMs)
  const earlier = inOrder.findLast(r => r.atMs <= added.atMs)
  const later = inOrder.find(r => r.atMs > added.atMs)
  if (earlier && !added.replaced && added.meter < earlier.meter) return { side: 'earlier', reading: earlier }
  if (later && !later.replaced && later.meter < added.meter) return { side: 'later', reading: later }
  return null
}
