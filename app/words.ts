import { say, type Tell, type What } from '~~/core/said'
import type { English } from '~~/words/en'
import { finish } from '~~/words/es/finish'
import { type Catalogue, teller } from '~~/words/teller'
import { LANGUAGE } from './language'

/** Words that are fetched with the pages that say them; the rest is there from the start. */
export type WordGroup = 'pages' | 'panels' | 'spec-book' | 'practice'
type Fetched = Promise<{ [name: string]: Partial<Catalogue> }>
const GROUPS: Record<'en' | 'es', Record<WordGroup, () => Fetched>> = {
  en: {
    'pages': () => import('~~/words/en/groups/pages'),
    'panels': () => import('~~/words/en/groups/panels'),
    'spec-book': () => import('~~/words/en/groups/spec-book'),
    'practice': () => import('~~/words/en/groups/practice'),
  },
  es: {
    'pages': () => import('~~/words/es/groups/pages'),
    'panels': () => import('~~/words/es/groups/panels'),
    'spec-book': () => import('~~/words/es/groups/spec-book'),
    'practice': () => import('~~/words/es/groups/practice'),
  },
}
/** What this page can say by now. */
const catalogue: Partial<Catalogue> = {}

async function speaking(): Promise<Tell> {
  if (LANGUAGE === 'qps') return (await import('~~/words/pseudo')).tellPseudo
  const first = LANGUAGE === 'es' ? import('~~/words/es/groups/everywhere') : import('~~/words/en/groups/everywhere')
  Object.assign(catalogue, (await first).everywhere)
  return teller(catalogue, LANGUAGE === 'es' ? finish : undefined)
}
/** What the core says, in the language of whoever reads it here; no other is fetched. */
export const tell = await speaking()

const there = new Set<WordGroup>()
/** Fetches what a page says beyond what every page does, once. */
export async function fetchWords(groups: readonly WordGroup[]): Promise<void> {
  if (LANGUAGE === 'qps') return
  for (const group of groups) {
    if (there.has(group)) continue
    Object.assign(catalogue, ...Object.values(await GROUPS[LANGUAGE][group]()))
    there.add(group)
  }
}

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
