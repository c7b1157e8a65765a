import type { Said, Tell } from '../core/said'
import type { English } from './en'

/** The same things said in another language, of the same facts. */
export type Words<Of> = {
  [K in keyof Of]: Of[K] extends (...given: infer Given) => string ? (...given: Given) => string : string
}
export type Catalogue = Words<English>

type Sentence = string | ((about: Said, tell: Tell) => string)

/**
 * A language’s teller. Several things are parted by a space; what is empty leaves none behind.
 * @param otherwise tells what this language has no sentence for; by default its name, as a newer version may say it
 */
export function teller(
  catalogue: Partial<Catalogue>,
  finish: (words: string) => string = words => words,
  otherwise: (said: Said) => string = ({ say }) => say,
): Tell {
  const tell: Tell = text => {
    if (typeof text === 'string') return text
    if (!('say' in text)) return text.map(tell).filter(Boolean).join(' ')
    const sentence = catalogue[text.say as keyof English] as Sentence | undefined
    if (sentence === undefined) return otherwise(text)
    return finish(typeof sentence === 'string' ? sentence : sentence(text, tell))
  }
  return tell
}
