import { type Drift, drift } from './drift'
import { type FamilyDrift, type KnownDrift, movesFaster, withFamily } from './family'
import { type Forecast, forecast } from './forecast'
import { type DueFacts, type NextDue, nextDue } from './next-due'
import { usePerDay, type Visit } from './visit'

/** All that a machine's outlook rests on. Uses are totals on one count; limits are null where a spec gives none. */
export interface OutlookFacts {
  interval: DueFacts['interval']
  limits: Record<string, { minMm: number; maxMm: number } | null>
  /** Visits since its engine was put in, in order. */
  visits: readonly Visit[]
  /** Every time its meter was read, in order; visits among them. */
  uses: readonly { atMs: number; use: number }[]
  /** When it came to the shop. ms since 1970. */
  sinceMs: number
  /** How the other machines of its model drift, by valve; null where too few are known. */
  family: Record<string, FamilyDrift | null>
}
/**
 * What earlier visits of the machine say of where its valves go, pinned when the job is opened. Uses are totals on one
 * count.
 */
export interface MachinePast {
  visits: Visit[]
  /** The first and the last time its meter was read before this job. */
  uses: { atMs: number; use: number }[]
  sinceMs: number
  family: Record<string, FamilyDrift | null>
}

/** Where one valve goes. */
export interface ValveOutlook {
  drift: Drift
  family: number
  faster: boolean
  /** Its drift: level, with all of its doubt, where it is not known to move. */
  slope: KnownDrift | null
  /** It is not known to move either way: it calls nobody back, and is drawn level. */
  steady: boolean
  forecast: Forecast | null
  leftAtUse: number | null
}
export interface Outlook {
  valves: Record<string, ValveOutlook>
  usePerDay: number | null
  due: NextDue | null
}

/** Twice a check's distance is as far as a forecast is shown; without one, this far. */
const HORIZON_INTERVALS = 2
const HORIZON_USE = 10_000
/** A check where the spec names none. In the meter’s unit, from memory */
const CHECK_USE = 5000
/** A valve is known to move at all from so many uncertainties up: a wide reading alone calls nobody back. */
const MOVES_AT = 2

function valveOutlook(facts: OutlookFacts, valveId: string): ValveOutlook {
  const own = drift(facts.visits, valveId)
  const kin = facts.family[valveId] ?? null
  const fitted = withFamily(own, kin, facts.interval.use ?? CHECK_USE)
  const steady = fitted !== null && Math.abs(fitted.perUse) < MOVES_AT * fitted.sigma
  const slope = fitted && steady ? { perUse: 0, sigma: Math.hypot(fitted.sigma, fitted.perUse) } : fitted
  const last = facts.visits.findLast(v => v.valves[valveId]?.asLeft && v.use !== null)
  const left = last?.valves[valveId]?.asLeft ?? null
  const limits = facts.limits[valveId] ?? null
  const horizon = facts.interval.use === null ? HORIZON_USE : facts.interval.use * HORIZON_INTERVALS
  return {
    drift: own,
    family: kin?.machines ?? 0,
    faster: movesFaster(own, kin),
    slope,
    steady,
    forecast: slope && left && limits ? forecast(left, slope, limits, horizon) : null,
    leftAtUse: last?.use ?? null,
  }
}

/**
 * Where a machine's valves go, how much it is used, and when it must come back for which reason. Dates do not depend on
 * today.
 */
export function outlook(facts: OutlookFacts): Outlook {
  const valves = Object.fromEntries(Object.keys(facts.limits).map(id => [id, valveOutlook(facts, id)]))
  const last = facts.visits.at(-1) ?? null
  const perDay = usePerDay(facts.uses)
  const due = nextDue({
    interval: facts.interval,
    last: last && { atMs: last.atMs, use: last.use },
    since: { atMs: facts.sinceMs, use: facts.uses[0]?.use ?? null },
    read: facts.uses.at(-1) ?? null,
    usePerDay: perDay,
    forecasts: Object.entries(valves)
      .filter(([, v]) => !v.steady)
      .map(([valveId, v]) => ({ valveId, soonest: v.forecast?.soonest ?? null })),
  })
  return { valves, usePerDay: perDay, due }
}
