import type { Engine } from '~~/core/engine'
import { type Compared, compareSpecs, type SpecLine, specLines } from '~~/core/spec-book/compare'
import { tell } from '../../words'

/** A line of a spec in the words of whoever reads it. */
const told = (line: SpecLine) => ({
  ...line,
  name: tell(line.name),
  sub: tell(line.sub),
  value: tell(line.value),
  more: tell(line.more),
})
export type ToldLine = ReturnType<typeof told>

export const toldLines = (engine: Engine): ToldLine[] => specLines(engine).map(told)

export const toldChange = (line: Compared) => ({
  ...line,
  name: tell(line.name),
  sub: tell(line.sub),
  note: tell(line.note),
  before: told(line.before),
  after: told(line.after),
})
export const toldComparison = (before: Engine, after: Engine) => compareSpecs(before, after).map(toldChange)
