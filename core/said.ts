import type { English } from '../words/en'
import type { Wrongs } from '../words/en/wrong'

/** What each sentence of the catalogue is about: the one thing its function is given, or nothing. */
export type AboutsIn<Words> = {
  [K in keyof Words]: Words[K] extends (about: infer A, ...rest: never[]) => string ? [about: A] : []
}
type Abouts = AboutsIn<English>
/** What is wrong with what was typed: these sentences know no types of the core (core/wrong.ts). */
export type { Wrongs }
/** A name in the catalogue, and what goes with it. */
export type What<K extends keyof English> = [what: K, ...about: Abouts[K]]

/**
 * A thing to be said, as a fact: its name in the catalogue, and what it is about. The folder `words` has the sentence
 * in each language. Made by `say` alone, which knows what each is about.
 */
export interface Said {
  readonly say: string
}

/**
 * What a person is to read. A string is somebody’s own: a name, a note, a figure already written. Several stand one
 * after the other.
 */
export type Text = string | Said | readonly Text[]

/** Words what is to be read, in one language. */
export type Tell = (text: Text) => string

/**
 * A fact to be worded elsewhere.
 * @param what its name in the catalogue
 * @param about what the sentence is about, where it is about something
 */
export const say = <K extends keyof English>(...[what, about]: What<K>): Said => ({
  say: what,
  ...(about as object | undefined),
})
