import { clearanceWith, type ShimValve, stepsAbout, wouldBeIn } from './shim'

/** Where a valve's shim comes from: it stays, it comes out of another valve, off the shelf, or must be bought. */
export interface ShimPlace {
  valveId: string
  mm: number
  clearanceMm: number
  from: 'stays' | 'valve' | 'stock' | 'bought'
  fromValveId: string | null
}

export interface ShimPlan {
  places: ShimPlace[]
  /** Valves for which no shim would be in. */
  without: string[]
  /** Sizes to be bought, mm. */
  buyMm: number[]
  /** Shims left over: out of the engine and used nowhere. */
  leftMm: number[]
}

/**
 * Costs in the order in which they count: no shim at all, a purchase, one more off the shelf, one more taken out, then
 * deviation from target in µm.
 */
const NO_SHIM = 1e9
const PURCHASE = 1e6
const OFF_SHELF = 0.2
const MOVED = 0.1

interface Source {
  mm: number
  from: ShimPlace['from']
  fromValveId: string | null
  only: string | null
}

/**
 * Which shim goes where over the whole engine: least purchases, then least deviation from the targets. Fitted shims may
 * be swapped among the valves whose shims were read; a shim is used once.
 * @param valves those whose fitted shim and clearance are known
 * @param stockMm the shelf's shims of this diameter, one entry a piece
 * @param stepMm the steps in which new ones come
 * @param work what of the plan is done already: shims that came out of valves and lie ready, and valves whose shim is
 *   used
 */
export function reuseShims(
  valves: readonly ShimValve[],
  stockMm: readonly number[],
  stepMm: number,
  work: { freed?: readonly { mm: number; fromValveId: string }[]; gone?: ReadonlySet<string> } = {},
): ShimPlan {
  const sources: Source[] = [
    ...[
      ...valves.map(v => ({ mm: v.fittedMm, fromValveId: v.valveId })).filter(v => !work.gone?.has(v.fromValveId)),
      ...(work.freed ?? []),
    ].map(s => ({ ...s, from: 'valve' as const, only: null })),
    ...stockMm.map(mm => ({ mm, from: 'stock' as const, fromValveId: null, only: null })),
    ...valves.flatMap(v =>
      stepsAbout(v, stepMm).map(mm => ({ mm, from: 'bought' as const, fromValveId: null, only: v.valveId })),
    ),
    ...valves.map(v => ({ mm: v.fittedMm, from: 'stays' as const, fromValveId: null, only: `none:${v.valveId}` })),
  ]
  const costs = valves.map(v => sources.map(s => costOf(v, s, stepMm)))
  const chosen = assign(costs)
  const places: ShimPlace[] = []
  const without: string[] = []
  valves.forEach((v, i) => {
    const source = sources[chosen[i]!]!
    if (costs[i]![chosen[i]!]! >= NO_SHIM) without.push(v.valveId)
    else
      places.push({
        valveId: v.valveId,
        mm: source.mm,
        clearanceMm: clearanceWith(v.fittedMm, v.measuredMm, source.mm),
        from: source.fromValveId === v.valveId ? 'stays' : source.from,
        fromValveId: source.fromValveId === v.valveId ? null : source.fromValveId,
      })
  })
  const used = new Set(places.map(p => p.fromValveId ?? (p.from === 'stays' ? p.valveId : '')))
  return {
    places,
    without,
    buyMm: places
      .filter(p => p.from === 'bought')
      .map(p => p.mm)
      .sort((a, b) => a - b),
    leftMm: [
      ...valves.filter(v => !work.gone?.has(v.valveId)).map(v => ({ mm: v.fittedMm, fromValveId: v.valveId })),
      ...(work.freed ?? []),
    ]
      .filter(s => !used.has(s.fromValveId) && !without.includes(s.fromValveId))
      .map(s => s.mm)
      .sort((a, b) => a - b),
  }
}

/** What it costs to put a shim of a source into a valve; `Infinity` where it may not go. */
function costOf(valve: ShimValve, source: Source, stepMm: number): number {
  if (source.only === `none:${valve.valveId}`) return NO_SHIM
  if (source.only !== null && source.only !== valve.valveId) return Infinity
  const clearanceMm = clearanceWith(valve.fittedMm, valve.measuredMm, source.mm)
  if (!wouldBeIn(valve.clearance, clearanceMm, stepMm)) return Infinity
  const way =
    source.from === 'bought'
      ? PURCHASE
      : source.from === 'stock'
        ? OFF_SHELF
        : source.fromValveId === valve.valveId
          ? 0
          : MOVED
  return way + Math.abs(clearanceMm - valve.targetMm) * 1000
}

/**
 * Least total cost of giving each row a column of its own: shortest augmenting paths with potentials (Hungarian
 * method).
 * @param costs rows × columns, at least as many columns as rows, `Infinity` where forbidden; each row has a finite cost
 * @returns the column of each row. Source: Kuhn 1955, in the form of Jonker and Volgenant 1987
 */
export function assign(costs: readonly (readonly number[])[]): number[] {
  const n = costs.length
  const m = costs[0]?.length ?? 0
  const FORBIDDEN = 1e12
  const cost = (i: number, j: number) => Math.min(costs[i]![j]!, FORBIDDEN)
  const [u, v, rowOf] = [new Float64Array(n + 1), new Float64Array(m + 1), new Int32Array(m + 1).fill(-1)]
  for (let row = 0; row < n; row++) {
    const least = new Float64Array(m).fill(Infinity)
    const before = new Int32Array(m).fill(-1)
    const done = new Uint8Array(m)
    let [i, column] = [row, -1]
    for (;;) {
      let [step, next] = [Infinity, -1]
      for (let j = 0; j < m; j++) {
        if (done[j]) continue
        const reduced = cost(i, j) - u[i]! - v[j]!
        if (reduced < least[j]!) [least[j], before[j]] = [reduced, column]
        if (least[j]! < step) [step, next] = [least[j]!, j]
      }
      u[row]! += step
      for (let j = 0; j < m; j++) {
        if (done[j]) {
          u[rowOf[j]!]! += step
          v[j]! -= step
        } else least[j]! -= step
      }
      done[next] = 1
      column = next
      if (rowOf[next]! < 0) break
      i = rowOf[next]!
    }
    for (let j = column; j >= 0;) {
      const from = before[j]!
      rowOf[j] = from < 0 ? row : rowOf[from]!
      j = from
    }
  }
  const columns = new Array<number>(n)
  rowOf.slice(0, m).forEach((i, j) => {
    if (i >= 0) columns[i] = j
  })
  return columns
}
