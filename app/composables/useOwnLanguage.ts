import type { Language } from '~~/shared/languages'
import { LANGUAGE, speak } from '../language'
import { useSessionStore } from '../stores/session'
import { api } from '../utils/api'

/** The language that a person chose goes with them from device to device. */
export function useOwnLanguage() {
  const session = useSessionStore()
  /** Keeps it with whoever is signed in; on this device alone where nobody is, or nobody answers. */
  async function keep(language: Language): Promise<void> {
    if (session.person) await api('PUT /api/language', { body: { language } }).catch(() => {})
  }
  /** Whoever signs in is spoken to in their own language. @returns whether the page is loaded again for that */
  function speakTheirs(path: string): boolean {
    const theirs = session.person?.language
    if (!theirs || theirs === LANGUAGE) return false
    speak(theirs, path)
    return true
  }
  return { keep, speakTheirs }
}
