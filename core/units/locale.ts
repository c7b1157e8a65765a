/** How dates, times and numbers are written: one place, for one dialect. */
export const LOCALE = 'en-US'
