import { LOCALE } from '../../language'
/** Days and hours of a sheet, by its shop’s clock. */
export const sheetClock = (timeZone: string) => ({
  day: (iso: string): string =>
    new Date(iso).toLocaleDateString(LOCALE, {
      weekday: 'long',
      day: 'numeric',
      month: 'long',
      year: 'numeric',
      timeZone,
    }),
  hour: (iso: string): string =>
    new Date(iso).toLocaleTimeString(LOCALE, { hour: 'numeric', minute: '2-digit', timeZone }),
})
