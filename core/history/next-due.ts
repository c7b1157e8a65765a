import { DAY_MS } from '../units'
/**
 * Why a machine is due: its first check, so much use, so many months, or a valve that is forecast to leave its limits.
 */
export type DueCause = 'first check' | 'use' | 'months' | 'forecast'
/** One reason to come back, and when: ms since 1970, or null where its use per day is not known. */
export interface DueReason {
  cause: DueCause
  atMs: number | null
  use: number | null
  valveId: string | null
}
export interface NextDue {
  first: DueReason
  all: DueReason[]
}

/** What a machine's next check hangs on. Uses are totals on the same count as `useNow`. */
export interface DueFacts {
  interval: { use: number | null; months: number | null; firstUse?: number | null }
  /** The last check, or null where there was none in this shop. */
  last: { atMs: number; use: number | null } | null
  /** When the machine came, and its use then. */
  since: { atMs: number; use: number | null }
  /** The meter as it was read last. */
  read: { atMs: number; use: number } | null
  usePerDay: number | null
  /** Use since the last check at which a valve is as soon out as 10 %. */
  forecasts: readonly { valveId: string; soonest: number | null }[]
}

/** The same day so many months on; the last of a shorter month. UTC. */
export function monthsOn(atMs: number, months: number): number {
  const date = new Date(atMs)
  const day = date.getUTCDate()
  date.setUTCDate(1)
  date.setUTCMonth(date.getUTCMonth() + months)
  date.setUTCDate(Math.min(day, new Date(Date.UTC(date.getUTCFullYear(), date.getUTCMonth() + 1, 0)).getUTCDate()))
  return date.getTime()
}

/**
 * When a machine will have been used so much, at its own rate from where its meter was read last; before today where it
 * is over.
 */
function whenUsed({ read, usePerDay }: DueFacts, use: number): number | null {
  if (read === null) return null
  if (usePerDay === null) return use <= read.use ? read.atMs : null
  return read.atMs + ((use - read.use) / usePerDay) * DAY_MS
}

/**
 * When a machine must come back, and for which reason: the earliest of first check, use, months and forecast.
 * @returns null where nothing is known: no interval, no forecast
 */
export function nextDue(facts: DueFacts): NextDue | null {
  const { interval, last, since } = facts
  const from = last ?? since
  const byUse = (cause: DueCause, use: number | null | undefined, valveId: string | null = null): DueReason[] =>
    use === null || use === undefined || from.use === null
      ? []
      : [{ cause, use: from.use + use, atMs: whenUsed(facts, from.use + use), valveId }]
  const all: DueReason[] = [
    ...(last === null ? byUse('first check', interval.firstUse) : []),
    ...byUse('use', interval.use),
    ...(interval.months === null
      ? []
      : [{ cause: 'months' as const, use: null, atMs: monthsOn(from.atMs, interval.months), valveId: null }]),
    ...(last === null ? [] : facts.forecasts.flatMap(f => byUse('forecast', f.soonest, f.valveId))),
  ]
  const dated = all.filter(r => r.atMs !== null).sort((a, b) => a.atMs! - b.atMs!)
  const first = dated[0] ?? all[0]
  return first ? { first, all: [...dated, ...all.filter(r => r.atMs === null)] } : null
}
