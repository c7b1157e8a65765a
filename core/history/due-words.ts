import { type Said, say, type Text } from '../said'
import type { MeterUnit } from '../units'
import { DAY_MS } from '../units'
import type { DueReason, NextDue } from './next-due'

/**
 * When a reason falls due: "15,900 km, about Feb 7, 2027". A use is in the meter’s own figures; a replaced meter has
 * none, so that what is used in all is said.
 */
export function whenWords({ atMs, use: total }: DueReason, firstMeter: number | null, unit: MeterUnit): Text {
  if (total === null) return atMs === null ? '' : say('when.day', { atMs })
  const replaced = firstMeter === null
  const use = total + (firstMeter ?? 0)
  return atMs === null
    ? say('when.use', { use, unit, replaced })
    : say('when.use-and-day', { use, unit, replaced, atMs })
}

/** What a reason is. */
export function causeWords(
  { cause, valveId }: DueReason,
  name: (valveId: string) => string,
  interval: { use: number | null; months: number | null },
  unit: MeterUnit,
): Said {
  switch (cause) {
    case 'first check':
      return say('cause.first-check')
    case 'use':
      return say('cause.use', { use: interval.use ?? 0, unit })
    case 'months':
      return interval.months === 12 ? say('cause.year') : say('cause.months', { months: interval.months ?? 0 })
    case 'forecast':
      return say('cause.forecast', { valve: name(valveId ?? '') })
  }
}

/** Why it is due then, in a sentence. */
export function whyWords(due: NextDue | null, name: (valveId: string) => string, nowMs: number): Said {
  if (!due) return say('due.why.nothing')
  const { cause, valveId, atMs } = due.first
  switch (cause) {
    case 'forecast':
      return say('due.why.forecast', { valve: name(valveId ?? ''), now: atMs !== null && atMs <= nowMs })
    case 'first check':
      return say('due.why.first-check')
    case 'use':
      return atMs === null ? say('due.why.use-unknown') : say('due.why.use')
    case 'months':
      return say('due.why.months')
  }
}

/** How far off a day is from today: "6 days over", "today", "in 12 days". Both as midnights, ms. */
export const daysWords = (atMs: number, todayMs: number): Said =>
  say('days', { days: Math.floor(atMs / DAY_MS) - Math.floor(todayMs / DAY_MS) })
