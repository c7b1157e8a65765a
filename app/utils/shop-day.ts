import { daysIn } from '~~/core/units'
import { LOCALE } from '../language'

/** The day of a moment by the shop’s clock, as year-month-day: whoever looks from elsewhere sees the shop’s day. */
export const shopDay = (at: Date | number | string, timeZone: string): string => daysIn(timeZone)(new Date(at))

/** The same in words: Nov 30, 2026. */
export const shopDayWords = (at: Date | number | string, timeZone: string): string =>
  new Date(at).toLocaleDateString(LOCALE, { day: 'numeric', month: 'short', year: 'numeric', timeZone })
