import { type Arc, closedArcs, cylinderById, type Engine, type Mark, signedWay, type Valve, wrap } from '~~/core/engine'
import type { BeliefArc } from '~~/core/position'
import type { Stop } from '~~/core/stops'
import { at, type Point, polarPath, xy } from './geometry'

/** Where everything of the cycle wheel stands: the middle, and radii outward from it. Drawing units. */
export const C = { x: 256, y: 256 }
export const RIM = 226
export const RIM_IN = 212
export const TRACK = 180

/** One band for the valves of a kind on a cylinder: two intakes side by side are shut together. */
export const bandValves = (engine: Engine): Valve[] =>
  engine.valves.filter((v, i, all) => all.findIndex(o => o.cylinderId === v.cylinderId && o.role === v.role) === i)

/** More bands than this cannot be told apart. */
const MOST_BANDS = 4
/** The bands of a wheel on the way to a stop: where an engine has many, those of the stop’s own valves. */
export function bandsFor(engine: Engine, target: Stop | null): Valve[] {
  const all = bandValves(engine)
  if (all.length <= MOST_BANDS || !target) return all
  const asked = engine.valves.filter(v => target.valves.some(s => s.valveId === v.id))
  return all.filter(b => asked.some(v => v.cylinderId === b.cylinderId && v.role === b.role))
}

/** How thick so many bands are, and how far apart. */
const bandSizes = (count: number): { band: number; gap: number } => ({
  band: count > 4 ? 9 : 15,
  gap: count > 2 ? 2 : 3,
})

/** The ring of one of so many bands. */
export function bandRing(i: number, count: number): { inner: number; outer: number; band: number } {
  const { band, gap } = bandSizes(count)
  const outer = TRACK - 4 - i * (band + gap)
  return { inner: outer - band, outer, band }
}
/** What is left in the middle for the cylinder. */
export function discRadius(count: number): number {
  const { band, gap } = bandSizes(count)
  return TRACK - 4 - count * (band + gap) - 2
}

/** Degree figures give way to the letters of top marks. */
export const degreesShown = (marks: readonly Mark[]): number[] =>
  [90, 180, 270, 360, 450, 540, 630, 0].filter(
    d => !marks.some(m => m.kind === 'top' && Math.abs(signedWay(m.angleDeg, d, 360)) < 24),
  )

/** A letter stands outside its tick: beside it on the flanks of the wheel, above or below it at top and bottom. */
export function letterAt(deg: number, letter: string): Point & { anchor: 'middle' | 'start' | 'end' } {
  const side = Math.sin(((deg / 2) * Math.PI) / 180)
  const p = at(C, RIM + 21 - Math.abs(side) * 6, deg)
  return {
    x: p.x,
    y: p.y + 6,
    anchor: letter.length < 2 || Math.abs(side) < 0.5 ? 'middle' : side > 0 ? 'start' : 'end',
  }
}

/** The middle of the longest closed piece; where bands are many, their labels stand a little apart. */
export function labelAt(arcs: readonly Arc[], band: number, several: boolean): number {
  const longest = [...arcs].sort((a, b) => b.sweepDeg - a.sweepDeg)[0]
  return longest ? wrap(longest.startDeg + longest.sweepDeg / 2 + (several ? (band % 2 ? 46 : -46) : 0)) : 0
}

/** The middles of a cylinder's strokes, power first. ° */
export const strokeMiddles = (engine: Engine, cylinderId: string): number[] =>
  [0, 1, 2, 3].map(i => wrap(90 + i * 180 + cylinderById(engine, cylinderId).firingAngleDeg))

const LOBE = 26
/** Where a lobe's figure stands: beside it, on the side where no stroke's name is. */
const besides = (deg: number, strokes: readonly number[]): number =>
  [40, -40, 58, -58].map(off => deg + off).find(d => strokes.every(s => Math.abs(signedWay(s, d)) > 34)) ?? deg + 40

/** A place where the crank may stand, as a lobe on the track: the likelier, the higher. */
export interface Lobe extends BeliefArc {
  likeliest: boolean
  path: string
  words: Point
}
/** The four likeliest places; none while the crank may stand anywhere. */
export const lobesOf = (arcs: readonly BeliefArc[], strokes: readonly number[]): Lobe[] =>
  arcs
    .filter(a => a.sweepDeg < 700)
    .slice(0, 4)
    .map((arc, i) => {
      const height = LOBE * Math.max(0.12, arc.probability)
      const half = Math.max(arc.sweepDeg / 2, 26)
      const middle = arc.startDeg + arc.sweepDeg / 2
      const edge = polarPath(
        C,
        middle - half,
        middle + half,
        2,
        deg => TRACK + height * Math.exp(-4.5 * ((deg - middle) / half) ** 2),
      )
      const foot: string[] = []
      for (let deg = middle + half; deg >= middle - half; deg -= 2) foot.push(xy(at(C, TRACK, deg)))
      return {
        ...arc,
        likeliest: i === 0,
        path: `${edge} L ${foot.join(' L ')} Z`,
        words: at(C, TRACK + 17, besides(middle, strokes)),
      }
    })

/** What a stop has to spare, as a measured arc, at most this far each way. ° */
const FARTHEST_MARGIN_DEG = 170
/** The least that each stop has to spare, as a measured arc with its two ends. */
export const marginArcs = (stops: readonly Stop[]) =>
  stops.map(stop => {
    const before = Math.min(...stop.valves.map(v => v.beforeDeg), FARTHEST_MARGIN_DEG)
    const after = Math.min(...stop.valves.map(v => v.afterDeg), FARTHEST_MARGIN_DEG)
    return {
      deg: stop.crankDeg,
      d: polarPath(C, stop.crankDeg - before, stop.crankDeg + after, 4, () => TRACK + 8),
      ends: [-before, after].map(off => ({
        deg: off,
        line: `M ${xy(at(C, TRACK + 2, stop.crankDeg + off))} L ${xy(at(C, TRACK + 14, stop.crankDeg + off))}`,
        words: at(C, TRACK + 17, stop.crankDeg + off / 2),
      })),
      dot: at(C, TRACK + 8, stop.crankDeg),
    }
  })

/** Ends of closed arcs that rest on assumed cam timing: none where it is on record. */
export function assumedEnds(engine: Engine): string[] {
  if (engine.cam !== null) return []
  const valves = bandValves(engine)
  const closed = closedArcs(engine)
  return valves.flatMap((valve, i) => {
    const { inner, outer } = bandRing(i, valves.length)
    return (closed[valve.id] ?? []).flatMap(a =>
      [a.startDeg, a.startDeg + a.sweepDeg].map(deg => `M ${xy(at(C, inner - 3, deg))} L ${xy(at(C, outer + 3, deg))}`),
    )
  })
}
