import {
  CLEARANCES,
  CLEARANCES_ES,
  COLD,
  COLD_ES,
  DATA,
  DATA_ES,
  ELSE,
  INTERVALS,
  INTERVALS_ES,
  POSITIONS,
  POSITIONS_ES,
  TORQUES,
  TORQUES_ES,
} from './blocks'
import { type Chance, chanceOf, drawFacts, type PageFacts, pick } from './facts'
import { HANDS, Writer } from './wording'

export type { PageFacts } from './facts'
export interface ManualPage {
  seed: number
  facts: PageFacts
  text: string
}

/**
 * Pages are drawn from layouts and hands in three parts of which one is kept apart: whoever writes a reader of pages
 * sees two of them, and is measured by the third.
 */
const isApart = (i: number): boolean => i % 3 === 2
const shelf = <T>(all: readonly T[], apart: boolean): readonly T[] => {
  const own = all.filter((_, i) => isApart(i) === apart)
  return own.length ? own : all
}

/** Lines broken in mid-sentence, as a scanned column has them. */
const wrapped = (text: string, width: number): string =>
  text
    .split('\n')
    .flatMap(line =>
      /\.{4}|\t|\|/.test(line) ? [line] : (line.match(new RegExp(`.{1,${width}}(?:\\s|$)`, 'g')) ?? [line]),
    )
    .map(line => line.trimEnd())
    .join('\n')

function shuffled<T>(chance: Chance, all: T[]): T[] {
  const rest = [...all]
  return Array.from({ length: rest.length }, () => rest.splice(Math.floor(chance() * rest.length), 1)[0]!)
}

/** One invented page of a manual, and what it states. */
function manualPage(seed: number, apart: boolean): ManualPage {
  const chance = chanceOf(seed)
  const facts = drawFacts(chance)
  const of = <T>(english: readonly T[], spanish: readonly T[]) =>
    pick(chance, shelf(facts.spanish ? spanish : english, apart))
  const writer = new Writer(facts, pick(chance, shelf(HANDS, apart)))
  const title = pick(chance, [`${facts.maker} ${facts.model}`, facts.spanish ? 'MANTENIMIENTO' : 'MAINTENANCE', ''])
  const blocks = shuffled(chance, [
    of(CLEARANCES, CLEARANCES_ES),
    of(TORQUES, TORQUES_ES),
    of(INTERVALS, INTERVALS_ES),
    of(POSITIONS, POSITIONS_ES),
    of(DATA, DATA_ES),
    of(COLD, COLD_ES),
    ...(facts.spanish ? [] : [pick(chance, ELSE), pick(chance, ELSE)]),
  ]).map(block => block(facts, writer, chance))
  const width = pick(chance, [200, 200, 68, 46])
  return { seed, facts, text: wrapped([title, ...blocks].filter(Boolean).join(pick(chance, ['\n', '\n\n'])), width) }
}

/** The pages that a reader is measured by: so many, all of the layouts that are kept apart or none. */
export const manualPages = (count: number, apart: boolean): ManualPage[] =>
  Array.from({ length: count }, (_, i) => manualPage(i * 7919 + (apart ? 500_009 : 11), apart))
