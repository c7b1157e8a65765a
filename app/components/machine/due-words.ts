import type { DueReason, NextDue } from '~~/core/history'
import { formatMeter, type MeterUnit } from '~~/core/units'

const day = (atMs: number): string => new Date(atMs).toLocaleDateString('en-GB', { day: 'numeric', month: 'short', year: 'numeric', timeZone: 'UTC' })
/** A use in the meter's own figures; a replaced meter has none, so that what is left of it is said. */
const use = (total: number, firstMeter: number | null, unit: MeterUnit): string => firstMeter === null ? `${formatMeter(Math.round(total), unit)} in all` : formatMeter(Math.round(total + firstMeter), unit)

/** When a reason falls due: "15 900 km, about 7 Feb 2027". */
export function whenWords({ atMs, use: total }: DueReason, firstMeter: number | null, unit: MeterUnit): string {
  const parts = [...total === null ? [] : [use(total, firstMeter, unit)], ...atMs === null ? [] : [total === null ? day(atMs) : `about ${day(atMs)}`]]
  return parts.join(', ')
}

/** What a reason is. */
export function causeWords({ cause, valveId }: DueReason, name: (valveId: string) => string, interval: { use: number | null, months: number | null }, unit: MeterUnit): string {
  switch (cause) {
    case 'first check': return 'First check'
    case 'use': return `Each ${formatMeter(interval.use ?? 0, unit)}`
    case 'months': return interval.months === 12 ? 'Once a year' : `Each ${interval.months} months`
    case 'forecast': return `${name(valveId ?? '')}, forecast`
  }
}

/** Why it is due then, in a sentence. */
export function whyWords(due: NextDue | null, name: (valveId: string) => string): string {
  if (!due) return 'Neither an interval nor a forecast is known.'
  switch (due.first.cause) {
    case 'forecast': return `The ${name(due.first.valveId ?? '').toLowerCase()} may be out by then. The maker’s interval would be too late.`
    case 'first check': return 'The maker asks for an early first check.'
    case 'use': return due.first.atMs === null ? 'By the maker’s interval. How fast it is used is not known yet.' : 'By the maker’s interval, at the rate it is used.'
    case 'months': return 'By the maker’s interval: time comes before use.'
  }
}
