/** Points and paths of the wheel. Screen angle = cycle angle / 2, 0 at the top, clockwise: once round for 720°. */
export interface Point {
  x: number
  y: number
}

export const at = (center: Point, radius: number, cycleDeg: number): Point => {
  const a = ((cycleDeg / 2 - 90) * Math.PI) / 180
  return { x: center.x + radius * Math.cos(a), y: center.y + radius * Math.sin(a) }
}

const n = (v: number): string => v.toFixed(2)
export const xy = (p: Point): string => `${n(p.x)} ${n(p.y)}`

/** A piece of a ring between two radii, from one cycle angle on by a sweep of up to 720°. */
export function ringPath(center: Point, inner: number, outer: number, startDeg: number, sweepDeg: number): string {
  const sweep = Math.min(sweepDeg, 719.99)
  const end = startDeg + sweep
  const large = sweep > 360 ? 1 : 0
  return [
    `M ${xy(at(center, outer, startDeg))}`,
    `A ${outer} ${outer} 0 ${large} 1 ${xy(at(center, outer, end))}`,
    `L ${xy(at(center, inner, end))}`,
    `A ${inner} ${inner} 0 ${large} 0 ${xy(at(center, inner, startDeg))}`,
    'Z',
  ].join(' ')
}

/** An open arc for text to run along; reversed in the lower half, so that no label stands on its head. */
export function textArc(center: Point, radius: number, middleDeg: number, spanDeg: number): string {
  const lower = Math.cos(((middleDeg / 2) * Math.PI) / 180) < 0
  const r = lower ? radius + 5 : radius - 4
  const [from, to] = lower
    ? [middleDeg + spanDeg / 2, middleDeg - spanDeg / 2]
    : [middleDeg - spanDeg / 2, middleDeg + spanDeg / 2]
  return `M ${xy(at(center, r, from))} A ${r} ${r} 0 0 ${lower ? 0 : 1} ${xy(at(center, r, to))}`
}

/** A curve around the center whose radius follows a function of the cycle angle. */
export function polarPath(
  center: Point,
  fromDeg: number,
  toDeg: number,
  stepDeg: number,
  radius: (deg: number) => number,
): string {
  const points: string[] = []
  for (let deg = fromDeg; deg <= toDeg + 1e-9; deg += stepDeg) points.push(xy(at(center, radius(deg), deg)))
  return `M ${points.join(' L ')}`
}
