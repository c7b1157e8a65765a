import { percentile } from '../percentile'

/** Milliseconds of each of many runs, in rising order, after some to warm up. */
export async function times(
  runs: number,
  work: (i: number) => Promise<unknown> | unknown,
  warm = Math.min(20, runs),
): Promise<number[]> {
  for (let i = 0; i < warm; i++) await work(-1 - i)
  const all: number[] = []
  for (let i = 0; i < runs; i++) {
    const start = performance.now()
    await work(i)
    all.push(performance.now() - start)
  }
  return rising(all)
}

export const rising = (ms: number[]): number[] => ms.toSorted((a, b) => a - b)

/** So much at most, of the median where nothing else is said. */
export interface Goal {
  atMost: number
  p?: 50 | 95 | 99
}
const NAME = 56
const judged = (is: number, { atMost }: Goal): string => (is <= atMost ? 'reached' : 'NOT REACHED')

/** Prints times beside their goal, and whether it was reached. @param ms in rising order */
export function row(what: string, ms: number[], goal: Goal | null = null): void {
  const shown = ([50, 95, 99] as const).map(p => `p${p} ${percentile(ms, p).toFixed(2).padStart(7)}`).join('  ')
  const p = goal?.p ?? 50
  const verdict = goal ? `   goal p${p} ≤ ${goal.atMost}: ${judged(percentile(ms, p), goal)}` : ''
  console.warn(`${what.padEnd(NAME)} ${shown} ms${verdict}`)
}

/** Prints a figure that is no list of times beside its goal. */
export function figure(what: string, is: number, goal: Goal, unit = ''): void {
  const text = Number.isInteger(is) ? String(is) : is.toFixed(2)
  console.warn(`${what.padEnd(NAME)} ${text} ${unit}`.trimEnd() + `   goal ≤ ${goal.atMost}: ${judged(is, goal)}`)
}

/** Prints how many times as long one thing takes as another, at the same share of each. */
export function ratio(what: string, ms: number[], other: number[], goal: Goal): void {
  const p = goal.p ?? 50
  figure(`${what}, p${p}`, percentile(ms, p) / percentile(other, p), goal)
}
