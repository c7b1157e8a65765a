import type { RevisionRow } from '~~/shared/spec-book'
import { LOCALE } from '../../language'
import { t } from '../../words'

/** A day of the shop's own calendar. */
export const dayOf = (iso: string, timeZone: string | undefined): string =>
  new Intl.DateTimeFormat(LOCALE, { day: 'numeric', month: 'short', year: 'numeric', timeZone }).format(new Date(iso))

export const revisionTitle = (r: RevisionRow): string =>
  `${r.approvedAt ? t('common.revision') : t('common.draft')} ${r.revision}`

export type RevisionState = 'in force' | 'superseded' | 'sent back' | 'draft'
export const REVISION_STATES: Record<RevisionState, string> = {
  'in force': t('revision-words.is-in-force'),
  'superseded': t('revision-words.is-superseded'),
  'sent back': t('revision-words.is-sent-back'),
  'draft': t('common.is-draft'),
}
/** What a revision is to new jobs of its model. @param inForce the id of the one that they use */
export function revisionState(r: RevisionRow, inForce: number): RevisionState {
  if (r.approvedAt) return r.id === inForce ? 'in force' : 'superseded'
  return r.sentBackAt ? 'sent back' : 'draft'
}

/** What became of a revision, and when. @param inForce the revision of the model that new jobs use */
export function revisionWhen(r: RevisionRow, inForce: number, timeZone: string | undefined): string {
  if (r.approvedAt)
    return `${r.id === inForce ? t('revision-words.in-force-since') : t('revision-words.is-approved')} ${dayOf(r.approvedAt, timeZone)}`
  if (r.sentBackAt)
    return t('revision-words.sent-back-by', { sentBackBy: r.sentBackBy ?? '', sentBackReason: r.sentBackReason ?? '' })
  return t('revision-words.by', { author: r.author, day: dayOf(r.createdAt, timeZone) })
}
