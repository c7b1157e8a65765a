/** The day of a moment by a shop's clock, as year-month-day. */
export function daysIn(timeZone: string): (at: Date) => string {
  // in Canada a date is written as ISO 8601 has it
  const format = new Intl.DateTimeFormat('en-CA', { timeZone })
  return at => format.format(at)
}
