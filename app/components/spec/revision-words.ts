import { LOCALE } from '~~/core/units'
import type { RevisionRow } from '~~/shared/spec-book'

/** A day of the shop's own calendar. */
export const dayOf = (iso: string, timeZone: string | undefined): string =>
  new Intl.DateTimeFormat(LOCALE, { day: 'numeric', month: 'short', year: 'numeric', timeZone }).format(new Date(iso))

export const revisionTitle = (r: RevisionRow): string => `${r.approvedAt ? 'Revision' : 'Draft'} ${r.revision}`

/** What became of a revision, and when. @param inForce the revision of the model that new jobs use */
export function revisionWhen(r: RevisionRow, inForce: number, timeZone: string | undefined): string {
  if (r.approvedAt) return `${r.id === inForce ? 'in force since' : 'approved'} ${dayOf(r.approvedAt, timeZone)}`
  if (r.sentBackAt) return `sent back by ${r.sentBackBy}: ${r.sentBackReason}`
  return `by ${r.author}, ${dayOf(r.createdAt, timeZone)}`
}
