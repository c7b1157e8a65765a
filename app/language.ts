import { type Language, LANGUAGES } from '~~/shared/languages'

/** A page that tries its own room out: every text in brackets and longer (words/pseudo.ts). */
const PSEUDO = 'qps'
type Spoken = Language | typeof PSEUDO

const KEPT = 'wembric-language'
const isLanguage = (given: unknown): given is Language => typeof given === 'string' && given in LANGUAGES

/** What was chosen on this device, else the device’s own language, else English. */
function chosen(): Spoken {
  try {
    const kept = localStorage.getItem(KEPT)
    if (isLanguage(kept) || kept === PSEUDO) return kept
  } catch {
    // a device that keeps nothing speaks its own language
  }
  const own = globalThis.navigator?.language?.slice(0, 2)
  return isLanguage(own) ? own : 'en'
}

/** The language of this page: it stays until the page is loaded again. */
export const LANGUAGE: Spoken = chosen()
/** How this page writes dates and numbers. */
export const LOCALE = LANGUAGE === 'es' ? 'es-US' : 'en-US'

/** Speaks another language from now on, on this device. */
export function speak(language: Language, path?: string): void {
  localStorage.setItem(KEPT, language)
  if (path) location.assign(path)
  else location.reload()
}
