import { limitsOf } from '../feeler'
import { monthsOn, type NextDue, outlook, type Visit, whyWords } from '../history'
import { type Said, say } from '../said'
import { daysIn } from '../units'
import type { JobState } from './job-state'
import { clearanceOf, type JobView, verdictIn } from './view'

/** When a machine comes back: by its meter, by a date, or both, whichever comes first. */
export interface Due {
  use: number | null
  date: string | null
}

/** The day of a moment by the shop's clock: what is signed at five in Denver is due on that day, not on Greenwich's. */
const isoDay = ({ timeZone = 'UTC' }: JobView['pin'], atMs: number): string => daysIn(timeZone)(atMs)

/** The next check by the spec’s own interval from today’s meter, whichever comes first. */
export function suggestedDue({ pin, nowMs }: JobView): Due {
  const { use, months } = pin.spec.engine.interval
  return {
    use: use !== null && pin.machine.meter !== null ? pin.machine.meter + use : null,
    date: months !== null ? isoDay(pin, monthsOn(nowMs, months)) : null,
  }
}

/** When a machine comes back, to be told to its owner. */
export const dueWords = ({ pin }: Pick<JobView, 'pin'>, { use, date }: Due): Said =>
  say('due.at', { use, date, unit: pin.machine.meterUnit })

/** What this job found and left, as a visit of today. */
const todaysVisit = ({ pin, nowMs }: JobView, { valves }: JobState, use: number): Visit => ({
  atMs: nowMs,
  use,
  valves: Object.fromEntries(
    valves.map(valve => {
      const found = verdictIn(pin, valve, 'as found')
      const proved = verdictIn(pin, valve, 'proved')
      return [
        valve.valveId,
        {
          asFound: found.verdict === 'unproved' ? null : found.reading,
          asLeft: proved.verdict === 'in' ? proved.reading : null,
        },
      ]
    }),
  ),
})

/**
 * Nobody is called back sooner than after this share of the spec’s own interval: a valve left near its limit is told of
 * otherwise.
 */
const LEAST_SHARE = 0.1

/**
 * The next check where a valve is likely to leave its limits before the spec’s interval is over, by what this job found
 * and left and by earlier visits; null where the interval comes first, or too little is known.
 */
export function dueByForecast(view: JobView): (Due & { why: Said }) | null {
  const { pin, state, nowMs } = view
  const { past, machine } = pin
  const { engine } = pin.spec
  if (!past || machine.meter === null) return null
  const last = past.uses.at(-1)
  const useNow = last ? last.use + machine.meter - (machine.lastMeter ?? 0) : 0
  const { due } = outlook({
    interval: engine.interval,
    limits: Object.fromEntries(engine.valves.map(v => [v.id, limitsOf(clearanceOf(pin, v.id))])),
    visits: [...past.visits, todaysVisit(view, state, useNow)],
    uses: [...past.uses, { atMs: nowMs, use: useNow }],
    sinceMs: past.sinceMs,
    family: past.family,
  })
  return due?.first.cause === 'forecast' ? sooner(view, due, useNow) : null
}

function sooner({ pin, nowMs }: JobView, due: NextDue, useNow: number): Due & { why: Said } {
  const { interval, valves } = pin.spec.engine
  const { use, atMs } = due.first
  const least = (interval.use ?? 0) * LEAST_SHARE
  const ahead = Math.max(least, (use ?? useNow) - useNow)
  const perMs = use !== null && atMs !== null && atMs > nowMs ? (use - useNow) / (atMs - nowMs) : null
  return {
    use: Math.round(pin.machine.meter! + ahead),
    date: perMs !== null && perMs > 0 ? isoDay(pin, nowMs + ahead / perMs) : null,
    why: whyWords(due, id => valves.find(v => v.id === id)?.name ?? id, nowMs),
  }
}
