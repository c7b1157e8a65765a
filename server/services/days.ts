import { TZDate } from '@date-fns/tz'
import { startOfDay as startOfDayHere } from 'date-fns'
import type { DueReason } from '../../core/history'
import { daysIn } from '../../core/units'

/** The middle of a day by a shop's clock: what happened on a day, and nobody knows when. */
export function noonOf(day: string, timeZone: string): Date {
  const [year, month, date] = day.split('-').map(Number) as [number, number, number]
  return new Date(new TZDate(year, month - 1, date, 12, timeZone).getTime())
}

/**
 * A reason to come back on its day by a shop's clock, as the midnight UTC by which words name a day: what falls due at
 * five in the afternoon in Denver is not due a day later.
 */
export const onItsDay =
  (timeZone: string) =>
  (reason: DueReason): DueReason => ({
    ...reason,
    atMs: reason.atMs === null ? null : Date.parse(daysIn(timeZone)(new Date(reason.atMs))),
  })

/** The first moment of a shop's day, also of a day on which its clocks are changed. */
export const startOfDay = (now: Date, timeZone: string): Date =>
  new Date(startOfDayHere(new TZDate(now.getTime(), timeZone)).getTime())
