import { say, type Tell, type What } from '~~/core/said'
import type { English } from '~~/words/en'
import { LANGUAGE } from './language'

/** What the core says, in the language of whoever reads it here; no other is fetched. */
export const tell: Tell =
  LANGUAGE === 'es'
    ? (await import('~~/words/es')).tellSpanish
    : LANGUAGE === 'qps'
      ? (await import('~~/words/pseudo')).tellPseudo
      : (await import('~~/words')).tellEnglish

/** The same in every language. */
type Unit = 'mm' | 'thou' | 'in' | 'km' | 'h' | 'mi' | 'N·m' | 'A4' | 'Letter' | ''
type Plain<T> = T extends Unit ? T : T extends string ? (string extends T ? T : never) : T
type About<K extends keyof English> = What<K> extends [unknown, infer A] ? A : never
type Checked<G, A> = { [P in keyof G]: P extends keyof A ? (string extends A[P] ? Plain<G[P]> : G[P]) : G[P] }
/**
 * What a screen says by itself, by its name in the catalogue. A choice is not put into a sentence by the name that the
 * code has for it ('exhaust'): the sentence asks for the choice itself, and each language has its words.
 */
export const t = <K extends keyof English, G extends About<K>>(
  what: K,
  ...about: What<K> extends [unknown, unknown] ? [G & Checked<G, About<K>>] : []
): string => tell(say(...([what, ...about] as unknown as What<K>)))

/** A valve’s or a cylinder’s name, as it is called in this language. */
export const named = (part: string): string => t('part.name', { part })
