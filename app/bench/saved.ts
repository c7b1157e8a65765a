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
  if (refused) return { word: `${refused} not taken`, tone: 'stop' }
  if (unrecorded) return { word: 'Not saved', tone: 'stop' }
  if (expired) return { word: `Sign in to send ${toSend}`, tone: 'stop' }
  if (toSend)
    return offline
      ? { word: `Saved on this device, ${toSend} to send`, tone: 'wait' }
      : { word: 'Saving', tone: 'wait' }
  if (others) return { word: `${others.personName}’s ${others.count} not sent`, tone: 'wait' }
  return offline ? { word: 'Offline, nothing lost', tone: 'wait' } : { word: 'Saved', tone: 'ok' }
}
