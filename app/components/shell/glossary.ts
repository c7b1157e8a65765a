import { t } from '../../words'

/** The terms of the glossary, in the order in which a learner meets them. */
export const TERMS = [
  'tdc',
  'compression',
  'overlap',
  'clearance',
  'drag',
  'rocker',
  'locknut',
  'nip',
  'decompressor',
  'past-top',
  'flat',
  'prove',
] as const
export type Term = (typeof TERMS)[number]

/** Each form of a term, the longest first: “compression TDC” is not “TDC”. */
const FORMS = TERMS.flatMap(term =>
  t(`glossary.${term}.forms`)
    .split('|')
    .map(form => ({ form: form.toLowerCase(), term })),
).sort((a, b) => b.form.length - a.form.length)
const ANY = new RegExp(`(?<![\\p{L}\\d])(${FORMS.map(f => f.form).join('|')})(?![\\p{L}\\d])`, 'giu')

export interface Piece {
  text: string
  term: Term | null
}
/** A text in pieces, each term marked where it first comes. */
export function glossed(text: string): Piece[] {
  const seen = new Set<Term>()
  const pieces: Piece[] = []
  let from = 0
  for (const match of text.matchAll(ANY)) {
    const term = FORMS.find(f => f.form === match[0].toLowerCase())?.term
    if (!term || seen.has(term)) continue
    seen.add(term)
    if (match.index > from) pieces.push({ text: text.slice(from, match.index), term: null })
    pieces.push({ text: match[0], term })
    from = match.index + match[0].length
  }
  if (from < text.length) pieces.push({ text: text.slice(from), term: null })
  return pieces
}
