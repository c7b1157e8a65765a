import { LANGUAGE } from '../language'

/** When something was, short: Nov 29, 3:12 PM. */
export const dayAndTime = (at: string): string =>
  new Date(at).toLocaleString(LANGUAGE, { day: 'numeric', month: 'short', hour: 'numeric', minute: '2-digit' })
