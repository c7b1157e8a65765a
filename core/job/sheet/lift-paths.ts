import type { LiftStretch, SheetLift } from './content'

/** How much of the lift is drawn, mm: the part near the seat. */
const TOP_MM = 0.3
export interface LiftBox {
  width: number
  height: number
}

/** One curve as points of a box, the seat at its foot; what lifts higher leaves the box at its top. */
function points(lifts: readonly number[], { width, height }: LiftBox): [x: number, y: number][] {
  return lifts.map((mm, i) => [
    Math.round(((i * width) / (lifts.length - 1)) * 10) / 10,
    Math.round(height * (1 - Math.min(1, mm / TOP_MM)) * 10) / 10,
  ])
}
/** The two curves of a stretch, as paths for paper and screen alike. */
export function liftPaths(stretch: LiftStretch, box: LiftBox): { wanted: string; found: string } {
  const path = (lifts: readonly number[]) =>
    points(lifts, box)
      .map(([x, y], i) => `${i === 0 ? 'M' : 'L'} ${x} ${y}`)
      .join(' ')
  return { wanted: path(stretch.wanted), found: path(stretch.found) }
}
/** The degrees at both ends of a stretch. */
export const endsOf = (stretch: LiftStretch, { stepDeg }: Pick<SheetLift, 'stepDeg'>): [number, number] => [
  stretch.fromDeg,
  stretch.fromDeg + (stretch.wanted.length - 1) * stepDeg,
]
