/** Letters and digits alone, without case, accents, spaces or hyphens: “SL24-P” and “sl 24 p” are one. */
export const squeeze = (text: string): string =>
  text
    .normalize('NFKD')
    .toLowerCase()
    .replaceAll(/[^a-z0-9]+/g, '')

/** Where a text begins is marked, so that one or two letters find what begins with them. */
const START = '^^'
const GRAM = 3
function gramsOf(squeezed: string): string[] {
  const marked = START + squeezed
  return squeezed === '' ? [] : Array.from({ length: marked.length - GRAM + 1 }, (_, i) => marked.slice(i, i + GRAM))
}

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

/** Longer words are compared by their beginning. */
const MOST_LETTERS = 40
/**
 * Letters that must be changed, put in, left out or exchanged with their neighbour to make one word of another. Source:
 * optimal string alignment distance.
 */
function slipsBetween(a: string, b: string): number {
  const [m, n] = [Math.min(a.length, MOST_LETTERS), Math.min(b.length, MOST_LETTERS)]
  let [before, last, row] = [
    new Uint8Array(n + 1),
    Uint8Array.from({ length: n + 1 }, (_, j) => j),
    new Uint8Array(n + 1),
  ]
  for (let i = 1; i <= m; i++) {
    row[0] = i
    for (let j = 1; j <= n; j++) {
      const same = a.charCodeAt(i - 1) === b.charCodeAt(j - 1)
      let least = Math.min(last[j]! + 1, row[j - 1]! + 1, last[j - 1]! + (same ? 0 : 1))
      if (i > 1 && j > 1 && a.charCodeAt(i - 1) === b.charCodeAt(j - 2) && a.charCodeAt(i - 2) === b.charCodeAt(j - 1))
        least = Math.min(least, before[j - 2]! + 1)
      row[j] = least
    }
    ;[before, last, row] = [last, row, before]
  }
  return last[n]!
}
/** One slip in three letters is as many as may be. */
const LEAST_ALIKE = 0.66
/** How alike a typed word and a target, or its beginning, are: 1 for the same letters. */
function alike(word: string, target: string): number {
  // a first letter and one of the next two are nearly always right: what has neither is not looked at further
  if (target[0] !== word[0] && target[1] !== word[0] && target[0] !== word[1]) return 0
  const tries = [...new Set([target, target.slice(0, word.length), target.slice(0, word.length + 1)])].filter(
    t => Math.abs(t.length - word.length) <= 2,
  )
  return Math.max(0, ...tries.map(t => 1 - slipsBetween(word, t) / Math.max(word.length, t.length)))
}

/**
 * How well one typed word fits a model, 0 to 1: whole word, its beginning, anywhere in it; else with slips, or by the
 * trigrams they share.
 */
function fit(word: string, targets: string[]): number {
  let best = 0
  for (const target of targets) {
    if (target === word) return 1
    if (target.startsWith(word)) best = 0.9
    else if (best < 0.75 && target.includes(word)) best = 0.75
  }
  if (best > 0 || word.length < GRAM) return best
  const own = gramsOf(word)
  for (const target of targets) {
    const near = alike(word, target)
    if (near >= LEAST_ALIKE) best = Math.max(best, 0.7 * near)
    const marked = START + target
    const shared = own.reduce((n, g) => n + (marked.includes(g) ? 1 : 0), 0)
    best = Math.max(best, (0.7 * shared) / Math.max(own.length, Math.min(target.length, own.length + 2)))
  }
  return best
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
export const LEAST_FIT = 0.34
