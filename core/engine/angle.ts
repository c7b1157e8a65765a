/** One four-stroke cycle is two turns of the crank. */
export const CYCLE_DEG = 720

/** An angle brought to [0, period). −0, the smallest negative numbers and exact multiples of the period give 0. */
export function wrap(deg: number, period: number = CYCLE_DEG): number {
  const rest = deg - period * Math.floor(deg / period)
  return rest >= period || rest <= 0 ? 0 : rest
}

/** The signed way round from one angle to another, in (−period/2, period/2]. */
export function signedWay(fromDeg: number, toDeg: number, period: number = CYCLE_DEG): number {
  const way = wrap(toDeg - fromDeg, period)
  return way > period / 2 ? way - period : way
}

/** How far the crank must go on, in the running direction, from one cycle angle to another: [0, 720). */
export const forwardTo = (fromDeg: number, toDeg: number): number => wrap(toDeg - fromDeg)

/**
 * A piece of the cycle: `[start, start + sweep)`. The start lies in [0, 720), the sweep in [0, 720], so that the empty
 * arc and the whole circle are values and not special cases.
 */
export interface Arc {
  startDeg: number
  sweepDeg: number
}

/** The arc from one angle forward to another. ° */
export const arcBetween = (fromDeg: number, toDeg: number): Arc => ({
  startDeg: wrap(fromDeg),
  sweepDeg: wrap(toDeg - fromDeg),
})

/** Whether an angle lies in an arc: its start does, its end does not. */
export const inArc = (arc: Arc, deg: number): boolean =>
  arc.sweepDeg >= CYCLE_DEG || wrap(deg - arc.startDeg) < arc.sweepDeg

/** The same arc, so much further on. ° */
export const shiftArc = (arc: Arc, byDeg: number): Arc => ({
  startDeg: wrap(arc.startDeg + byDeg),
  sweepDeg: arc.sweepDeg,
})

/**
 * Degrees to spare from an angle inside an arc to its two ends.
 * @returns `beforeDeg` is how far the crank could be short, `afterDeg` how far past; both −1 when the angle is outside
 */
export function spareInArc(arc: Arc, deg: number): { beforeDeg: number; afterDeg: number } {
  if (!inArc(arc, deg)) return { beforeDeg: -1, afterDeg: -1 }
  if (arc.sweepDeg >= CYCLE_DEG) return { beforeDeg: CYCLE_DEG / 2, afterDeg: CYCLE_DEG / 2 }
  const beforeDeg = wrap(deg - arc.startDeg)
  return { beforeDeg, afterDeg: arc.sweepDeg - beforeDeg }
}

/** What is left of one arc when another is taken out of it: none, one or two arcs, in running order. */
export function subtractArc(from: Arc, cut: Arc): Arc[] {
  if (cut.sweepDeg <= 0 || from.sweepDeg <= 0) return from.sweepDeg > 0 ? [from] : []
  if (cut.sweepDeg >= CYCLE_DEG) return []
  // seen from the end of the cut, the kept circle is one straight piece [0, kept)
  const kept = CYCLE_DEG - cut.sweepDeg
  const cutEnd = cut.startDeg + cut.sweepDeg
  const start = wrap(from.startDeg - cutEnd)
  const pieces: [number, number][] = [[start, start + from.sweepDeg]]
  return pieces
    .flatMap(([a, b]): [number, number][] => [
      [a, Math.min(b, kept)],
      [CYCLE_DEG, Math.min(b, CYCLE_DEG + kept)],
    ])
    .filter(([a, b]) => b > a)
    .map(([a, b]) => ({ startDeg: wrap(a + cutEnd), sweepDeg: b - a }))
}
