/** Letters and digits alone, without case, accents, spaces or hyphens: “SL24-P” and “sl 24 p” are one. */
export const squeeze = (text: string): string =>
  text
    .normalize('NFKD')
    .toLowerCase()
    .replaceAll(/[^a-z0-9]+/g, '')

/** Where a text begins is marked, so that one or two letters find what begins with them. */
export const START = '^^'
export const GRAM = 3
/** The trigrams of a squeezed text, its beginning marked. */
export function gramsOf(squeezed: string): string[] {
  const marked = START + squeezed
  return squeezed === '' ? [] : Array.from({ length: marked.length - GRAM + 1 }, (_, i) => marked.slice(i, i + GRAM))
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
 * How well one typed word fits what is called by one of those, 0 to 1: whole word, its beginning, anywhere in it; else
 * with slips, or by the trigrams they share.
 */
export function fit(word: string, targets: string[]): number {
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
