import type { MarkShape } from '../../core/engine'
import type { Tell, Text } from '../../core/said'
import { LOCALE } from '../../core/units'

let days: Intl.DateTimeFormat | null = null
/** A day of the calendar, from midnight UTC. */
export const day = (atMs: number): string => {
  // made when it is needed: the first of a page takes a slow phone a while
  days ??= new Intl.DateTimeFormat(LOCALE, { day: 'numeric', month: 'short', year: 'numeric', timeZone: 'UTC' })
  return days.format(atMs)
}

/** Several in a sentence: “a”, “a and b”, “a, b and c”. */
export const listed = (names: readonly string[], last = 'and'): string =>
  names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} ${last} ${names.at(-1)}`

/** The same of what is still to be told. */
export const listedTexts = (texts: readonly Text[], tell: Tell, last = 'and'): string => listed(texts.map(tell), last)

/** A sentence’s first letter large. */
export const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1)

/** “1 round”, “2 rounds”. */
export const count = (n: number, what: string): string => `${n} ${what}${n === 1 ? '' : 's'}`

/** A part’s name inside a sentence: “left exhaust”. */
export const within = (name: string): string => name.toLowerCase()

/** A valve by itself in a sentence: “the left exhaust”, but “intake 2”, as one says it. */
export const theValve = (name: string): string => (/\d$/.test(name) ? within(name) : `the ${within(name)}`)

/** “left ” before a part of one of several cylinders; nothing on a single. */
export const whose = (cylinder: string | null): string => (cylinder === null ? '' : `${within(cylinder)} `)

/** What a mark may be, and what each of them is called. */
export const MARKS: Record<MarkShape, string> = {
  'line': 'line',
  'painted line': 'painted line',
  'dot': 'dot',
  'hole': 'hole',
  'dash pair': 'pair of dashes',
  'letters': 'letter itself',
  'edge': 'edge of the casting',
}
/** A mark as it is looked for: “the line beside T”, “the painted line, “white line””. A longer name says what it is. */
export function markLook(letter: string, shape: MarkShape): string {
  if (shape === 'letters') return `the ${letter} lettering`
  return letter.length > 3 ? `the ${MARKS[shape]} called “${letter}”` : `the ${MARKS[shape]} beside ${letter}`
}

/** What a screen puts into a sentence. */
export type Shown<Names extends string> = Record<Names, string | number>
