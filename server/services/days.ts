import { TZDate } from '@date-fns/tz'
import { startOfDay as startOfDayHere } from 'date-fns'

/** The day of a moment by a shop's clock, as year-month-day. */
export function daysIn(timeZone: string): (at: Date) => string {
  // in Canada a date is written as ISO 8601 has it
  const format = new Intl.DateTimeFormat('en-CA', { timeZone })
  return at => format.format(at)
}

/** The first moment of a shop's day, also of a day on which its clocks are changed. */
export const startOfDay = (now: Date, timeZone: string): Date =>
  new Date(startOfDayHere(new TZDate(now.getTime(), timeZone)).getTime())
