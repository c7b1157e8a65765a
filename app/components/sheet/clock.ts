/** Days and hours of a sheet, by its shop’s clock. */
export const sheetClock = (timeZone: string) => ({
  day: (iso: string): string =>
    new Date(iso).toLocaleDateString('en-GB', {
      weekday: 'long',
      day: 'numeric',
      month: 'long',
      year: 'numeric',
      timeZone,
    }),
  hour: (iso: string): string =>
    new Date(iso).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit', timeZone }),
})
