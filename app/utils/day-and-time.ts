import { LANGUAGE, LOCALE } from '../language'

/** When something was, short: Nov 29, 3:12 PM. */
export const dayAndTime = (at: string): string =>
  new Date(at).toLocaleString(LANGUAGE, { day: 'numeric', month: 'short', hour: 'numeric', minute: '2-digit' })

/** A day of year-month-day in full: May 1, 2027. */
export const dayLong = (day: string): string =>
  new Date(`${day}T00:00:00Z`).toLocaleDateString(LOCALE, { dateStyle: 'long', timeZone: 'UTC' })

/** The day so many months after today here, as year-month-day; the last of its month where that is shorter. */
export function monthsFrom(nowMs: number, months: number): string {
  const now = new Date(nowMs)
  const lastOfMonth = new Date(now.getFullYear(), now.getMonth() + months + 1, 0).getDate()
  const day = Date.UTC(now.getFullYear(), now.getMonth() + months, Math.min(now.getDate(), lastOfMonth))
  return new Date(day).toISOString().slice(0, 10)
}
