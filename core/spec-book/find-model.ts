import { fit, GRAM, gramsOf, squeeze, START } from '../search'

export interface Findable {
  maker: string
  model: string
  code: string
  family: string
  kind: string
  displacementCc: number | null
  yearFrom: number | null
  yearTo: number | null
}
const wordsOf = (m: Findable): string[] =>
  [m.maker, m.model, m.code, m.family, m.kind, m.displacementCc === null ? '' : `${Math.round(m.displacementCc)}cc`]
    .flatMap(t => [t, ...t.split(/[\s/]+/)])
    .map(squeeze)
    .filter(Boolean)
const squeezedOf = (m: Findable): string[] => [
  ...new Set([...wordsOf(m), squeeze(m.maker + m.model), squeeze(m.model + m.code)]),
]

/** The trigrams by which a model is found: of each field, each word of it, and maker and model in one. */
export const modelGrams = (model: Findable): string[] => [...new Set(squeezedOf(model).flatMap(gramsOf))]

/** A year that was typed is a year, not a part of a name; all else is looked for by trigrams. */
export interface ModelQuery {
  words: string[]
  year: number | null
  grams: string[]
}
const YEAR = /^(19[5-9]\d|20[0-4]\d)$/
/** What was typed, as words, a year and the trigrams by which a model is found. */
export function readQuery(text: string): ModelQuery {
  const typed = text
    .trim()
    .split(/[\s,;/]+/)
    .filter(Boolean)
  const years = typed.filter(w => YEAR.test(w))
  const words = typed
    .filter(w => !YEAR.test(w))
    .map(squeeze)
    .filter(Boolean)
  // typed together and typed apart are both looked for; a short query is only a beginning; how a word begins survives
  // most slips
  const grams = [...new Set([...words.flatMap(gramsOf), ...(words.length > 1 ? gramsOf(words.join('')) : [])])]
  const short = words.every(w => w.length < GRAM)
  return {
    words,
    year: years.length ? Number(years[0]) : null,
    grams: short
      ? [...new Set(words.map(w => (START + w).slice(-GRAM)))]
      : grams.filter(g => !g.startsWith(START) || words.some(w => w.length < GRAM)),
  }
}

/**
 * From 0 to a little over 1: each word's fit, what was typed taken as one word too, and the year. Under `LEAST_FIT` it
 * is not what was sought.
 */
export function fitOf(query: ModelQuery, model: Findable): number {
  const targets = squeezedOf(model)
  const whole = query.words.join('')
  const apart = query.words.length ? query.words.reduce((sum, w) => sum + fit(w, targets), 0) / query.words.length : 1
  const together = query.words.length > 1 && apart < 0.9 ? fit(whole, targets) * 0.98 : 0
  const inYears =
    query.year === null
      ? 0
      : model.yearFrom === null && model.yearTo === null
        ? 0
        : query.year >= (model.yearFrom ?? 0) && query.year <= (model.yearTo ?? 9999)
          ? 0.1
          : -0.4
  // the year may be the number of a model: “Ridge 2020”
  const named = query.year !== null && targets.some(t => t.includes(String(query.year))) ? 0.15 : 0
  return Math.max(apart, together) + Math.max(inYears, named)
}
/** Under this a model only happens to share a few letters with what was typed. From trials with slips of the key. */
export const LEAST_FIT = 0.34

/** The models of a list that were meant, the likeliest first; all of them where nothing was typed. */
export function findAmongModels<M extends Findable>(text: string, models: readonly M[], most: number): M[] {
  const query = readQuery(text)
  if (query.words.length === 0 && query.year === null) return models.slice(0, most)
  return models
    .map(model => ({ model, fit: fitOf(query, model) }))
    .filter(({ fit: how }) => how >= LEAST_FIT)
    .sort((a, b) => b.fit - a.fit)
    .slice(0, most)
    .map(({ model }) => model)
}
