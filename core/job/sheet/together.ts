import type { Sheet, SheetValve } from './content'

/** More lines than this of one kind are put together, so that eight valves and a dozen parts stand on one page. */
const MANY = 4

/** Things of one kind, and what is said of all of them. */
export interface Together<T> {
  names: string[]
  one: T
}
/** Those of which the same is said, in the order in which the first of each came. */
export function together<T>(all: readonly T[], nameOf: (one: T) => string, same: (one: T) => string): Together<T>[] {
  const groups = new Map<string, Together<T>>()
  for (const one of all) {
    const group = groups.get(same(one))
    if (group) group.names.push(nameOf(one))
    else groups.set(same(one), { names: [nameOf(one)], one })
  }
  return [...groups.values()]
}
const apart = <T>(all: readonly T[], nameOf: (one: T) => string): Together<T>[] =>
  all.map(one => ({ names: [nameOf(one)], one }))

/** Torques of a sheet: where there are many, those that are alike in one line. */
export const torqueLines = ({ torques }: Pick<Sheet, 'torques'>): Together<Sheet['torques'][number]>[] =>
  torques.length <= MANY
    ? apart(torques, n => n.what)
    : together(
        torques,
        n => n.what,
        ({ what: _, ...rest }) => JSON.stringify(rest),
      )

/** Specs of a sheet’s valves: where there are many, those that are alike in one line. */
export const specLinesOf = (valves: readonly SheetValve[]): Together<SheetValve>[] =>
  valves.length <= MANY
    ? apart(valves, v => v.name)
    : together(
        valves,
        v => v.name,
        v => JSON.stringify(v.spec),
      )

/** What stood beside the verdicts, each sentence once, with the valves that it is of. */
export const cautionLines = (valves: readonly SheetValve[]): Together<{ name: string; words: string }>[] =>
  together(
    valves.flatMap(v => (v.cautions ?? []).map(words => ({ name: v.name, words }))),
    c => c.name,
    c => c.words,
  )

/** Parts that came off: where there are many, those that are back by their names alone. */
export function partLines({ cameOff }: Pick<Sheet, 'cameOff'>): { back: string[]; each: Sheet['cameOff'] } {
  return cameOff.length <= MANY + 1
    ? { back: [], each: cameOff }
    : { back: cameOff.filter(p => p.back).map(p => p.item), each: cameOff.filter(p => !p.back) }
}
