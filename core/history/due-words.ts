import { LOCALE, formatMeter, type MeterUnit } from '../units'
import type { DueReason, NextDue } from './next-due'

const DAY_MS = 86_400_000
const DAYS = new Intl.DateTimeFormat(LOCALE, { day: 'numeric', month: 'short', year: 'numeric', timeZone: 'UTC' })
const day = (atMs: number): string => DAYS.format(atMs)
/** A use in the meter's own figures; a replaced meter has none, so that what is left of it is said. */
const useWords = (total: number, firstMeter: number | null, unit: MeterUnit): string =>
  firstMeter === null
    ? `${formatMeter(Math.round(total), unit)} in all`
    : formatMeter(Math.round(total + firstMeter), unit)

/** When a reason falls due: "15 900 km, about 7 Feb 2027". */
export function whenWords({ atMs, use: total }: DueReason, firstMeter: number | null, unit: MeterUnit): string {
  const parts = [
    ...(total === null ? [] : [useWords(total, firstMeter, unit)]),
    ...(atMs === null ? [] : [total === null ? day(atMs) : `about ${day(atMs)}`]),
  ]
  return parts.join(', ')
}

/** What a reason is. */
export function causeWords(
  { cause, valveId }: DueReason,
  name: (valveId: string) => string,
  interval: { use: number | null; months: number | null },
  unit: MeterUnit,
): string {
  switch (cause) {
    case 'first check':
      return 'First check'
    case 'use':
      return `Every ${formatMeter(interval.use ?? 0, unit)}`
    case 'months':
      return interval.months === 12 ? 'Once a year' : `Every ${interval.months} months`
    case 'forecast':
      return `${name(valveId ?? '')}, forecast`
  }
}

/** Why it is due then, in a sentence. */
export function whyWords(due: NextDue | null, name: (valveId: string) => string, nowMs: number): string {
  if (!due) return 'No interval and no forecast yet.'
  switch (due.first.cause) {
    case 'forecast':
      return `The ${name(due.first.valveId ?? '').toLowerCase()} may be out ${due.first.atMs !== null && due.first.atMs <= nowMs ? 'by now' : 'by then'}. The maker’s interval would be too late.`
    case 'first check':
      return 'The maker asks for an early first check.'
    case 'use':
      return due.first.atMs === null
        ? 'By the maker’s interval. How much it is used is not known yet.'
        : 'By the maker’s interval, at the rate it is used.'
    case 'months':
      return 'By the maker’s interval: the date comes before the hours or miles.'
  }
}

/** How far off a day is from today: "6 days over", "today", "in 12 days". Both as midnights, ms. */
export function daysWords(atMs: number, todayMs: number): string {
  const days = Math.floor(atMs / DAY_MS) - Math.floor(todayMs / DAY_MS)
  if (days === 0) return 'today'
  const n = Math.abs(days)
  return days < 0 ? `${n === 1 ? '1 day' : `${n} days`} over` : n === 1 ? 'tomorrow' : `in ${n} days`
}

/** One machine in a letter to its owner. */
export interface ReminderLine {
  machine: string
  tag: string
  when: string
  why: string
}
/** What an owner is told: which of their machines are due, when and why. */
export function reminderText({ owner, shop, lines }: { owner: string; shop: string; lines: readonly ReminderLine[] }): {
  subject: string
  text: string
} {
  const what = lines.length === 1 ? lines[0]!.machine : `${lines.length} machines`
  return {
    subject: `Valve check due: ${what}`,
    text: [
      `Dear ${owner},`,
      '',
      lines.length === 1
        ? 'one of your machines is due for its valve check:'
        : 'these of your machines are due for their valve check:',
      '',
      ...lines.flatMap(l => [`${l.machine} (${l.tag})`, `  ${l.when}`, `  ${l.why}`, '']),
      'Valves are measured on a cold engine: please let it stand overnight before you bring it.',
      '',
      shop,
    ].join('\n'),
  }
}
