import { t } from '../words'
/** What is known of the answers that were given: how the header’s word is chosen. */
export interface Sending {
  /** Answers that the shop did not take. */
  refused: number
  /** An answer could not even be written down here. */
  unrecorded: boolean
  /** The session has ended. */
  expired: boolean
  offline: boolean
  toSend: number
  /** Another browser’s answers that are not sent. */
  others: { personName: string; count: number } | null
}
export interface SavedWord {
  word: string
  tone: 'ok' | 'wait' | 'stop'
}

/** The worst first: what a person has to do something about, then what waits, then that all is saved. */
export function savedWord({ refused, unrecorded, expired, offline, toSend, others }: Sending): SavedWord {
  if (refused) return { word: t('saved.not-taken', { refused }), tone: 'stop' }
  if (unrecorded) return { word: t('saved.not-saved'), tone: 'stop' }
  if (expired) return { word: t('saved.sign-in-to-send', { toSend }), tone: 'stop' }
  if (toSend)
    return offline
      ? { word: t('saved.saved-on-this-device-to', { toSend }), tone: 'wait' }
      : { word: t('saved.saving'), tone: 'wait' }
  if (others) return { word: t('saved.s-not-sent', { person: others.personName, count: others.count }), tone: 'wait' }
  return offline ? { word: t('saved.offline-nothing-lost'), tone: 'wait' } : { word: t('saved.saved'), tone: 'ok' }
}
