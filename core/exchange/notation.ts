import sameData from 'fast-deep-equal'
import { type Clearance, type Engine, ROLES } from '../engine'

const figuresOf = ({ text: _, unit: __, ...figures }: Clearance): unknown => figures
const sameFigures = (a: Clearance | null, b: Clearance | null): boolean =>
  a !== null && b !== null && sameData(figuresOf(a), figuresOf(b))

/**
 * An engine that was read from a file, its clearances written as the book has them where they are the same figures: a
 * spreadsheet takes the nought off 0.10, and the page has it still.
 * @param book the engine in force
 */
export function inNotationOf(book: Engine, read: Engine): Engine {
  const kept = <C extends Clearance | null>(was: C, is: C): C => (sameFigures(was, is) ? was : is)
  const pair = <C extends Clearance | null>(
    was: Record<'intake' | 'exhaust', C>,
    is: Record<'intake' | 'exhaust', C>,
  ) => Object.fromEntries(ROLES.map(role => [role, kept(was[role], is[role])])) as Record<'intake' | 'exhaust', C>
  return {
    ...read,
    clearance: pair(book.clearance, read.clearance),
    alsoPrinted: pair(book.alsoPrinted, read.alsoPrinted),
    otherClearances: read.otherClearances.map(other => {
      const was = book.otherClearances.find(
        o => o.role === other.role && o.source === other.source && sameFigures(o.clearance, other.clearance),
      )
      return was ?? other
    }),
  }
}
