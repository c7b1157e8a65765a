/**
 * The day of a moment by a clock, as year-month-day. Put together from its parts: how a locale writes a date is not the
 * same in every browser (en-CA was seen as ISO 8601 has it, and as month/day/year).
 * @param timeZone its IANA name
 */
export function daysIn(timeZone: string): (at: Date | number) => string {
  const format = new Intl.DateTimeFormat('en', { timeZone, year: 'numeric', month: '2-digit', day: '2-digit' })
  return at => {
    const parts = format.formatToParts(at)
    return ['year', 'month', 'day'].map(type => parts.find(part => part.type === type)!.value).join('-')
  }
}
