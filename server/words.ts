import { AsyncLocalStorage } from 'node:async_hooks'
import { say, type Tell, type What } from '../core/said'
import type { Language } from '../shared/languages'
import { tellEnglish } from '../words'
import type { English } from '../words/en'
import { tellSpanish } from '../words/es'
import { tellPseudo } from '../words/pseudo'

/** `qp` is how a page asks that tries its own room out (words/pseudo.ts). */
const TELLERS = { en: tellEnglish, es: tellSpanish, qp: tellPseudo }
type Spoken = keyof typeof TELLERS
/** The language of the request that is being answered. */
const asked = new AsyncLocalStorage<Spoken>()

/** Answers a request in the language that it asks for, by its `accept-language`; English where we have no better. */
export function inLanguage<T>(header: string | undefined, work: () => T): T {
  const wanted = (header ?? '').toLowerCase().slice(0, 2)
  return asked.run(wanted in TELLERS ? (wanted as Spoken) : 'en', work)
}
/** Writes to somebody in their own language; in that of the request where it is not known. */
export const inTheirs = <T>(language: Language | null | undefined, work: () => T): T =>
  language ? asked.run(language, work) : work()
/** The language that is spoken now. */
export const spoken = (): Language => (asked.getStore() === 'es' ? 'es' : 'en')

/** What the core says, where the server writes it down: cards, letters, calendars, signed sheets. */
export const tell: Tell = text => TELLERS[asked.getStore() ?? 'en'](text)
/** How dates and numbers are written in that language. */
export const locale = (): string => (spoken() === 'es' ? 'es-US' : 'en-US')

/** What a paper says by itself, by its name in the catalogue. */
export const t = <K extends keyof English>(...what: What<K>): string => tell(say(...what))
