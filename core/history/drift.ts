import type { Interval } from '../feeler'
import { type Said, say } from '../said'
import type { Visit } from './visit'

/** What a valve's gap did between two visits: over so much use it changed by so much, ± a standard uncertainty. mm. */
export interface DriftPoint {
  atMs: number
  use: number
  changeMm: number
  sigmaMm: number
  jumped: boolean
}
/** A change that is bounded on one side only, for one of its readings was open. */
export interface DriftBound {
  atMs: number
  use: number
  atLeastMm: number | null
  atMostMm: number | null
}

/** Clearance change per unit of use, mm, with its standard uncertainty; or why there is none. */
export type Drift =
  | {
      kind: 'drift'
      perUse: number
      sigma: number
      /**
       * Covariance of the drift with the reading that the valve was left at, where that is the last point's own
       * reading. mm² per use
       */
      withLeft: number
      points: DriftPoint[]
      bounds: DriftBound[]
    }
  | { kind: 'not enough'; why: Said; points: DriftPoint[]; bounds: DriftBound[] }

/** The standard uncertainty of an interval taken as even: half-width over √3. Source: GUM 4.3.7. */
export const sigmaOf = ({ loMm, hiMm }: Interval): number =>
  hiMm === null ? Infinity : (hiMm - loMm) / 2 / Math.sqrt(3)
/** The middle of a reading; of an open one, where it begins. mm */
export const middleOf = ({ loMm, hiMm }: Interval): number => (hiMm === null ? loMm : (loMm + hiMm) / 2)
/** Readings are never better than a hand's own scatter. mm, from memory. */
const LEAST_SIGMA_MM = 0.002
/** A point this many of its own uncertainties off the others has jumped: a seat, a tip, a slip. */
const JUMPED_AT = 4

const spread = (a: Interval, b: Interval): number => Math.hypot(sigmaOf(a), sigmaOf(b), LEAST_SIGMA_MM)

/** The changes of one valve from each visit's as left to the next one's as found; a changed engine begins anew. */
export function changesOf(
  visits: readonly Visit[],
  valveId: string,
): { points: Omit<DriftPoint, 'jumped'>[]; bounds: DriftBound[] } {
  const points: Omit<DriftPoint, 'jumped'>[] = []
  const bounds: DriftBound[] = []
  const inOrder = [...visits].sort((a, b) => a.atMs - b.atMs)
  let left: { interval: Interval; use: number } | null = null
  for (const { atMs, use, valves, engineChanged } of inOrder) {
    if (engineChanged) left = null
    const { asFound = null, asLeft = null } = valves[valveId] ?? {}
    const sinceLeft = left !== null && use !== null ? use - left.use : 0
    if (left && asFound && sinceLeft > 0) {
      if (left.interval.hiMm !== null && asFound.hiMm !== null)
        points.push({
          atMs,
          use: sinceLeft,
          changeMm: middleOf(asFound) - middleOf(left.interval),
          sigmaMm: spread(left.interval, asFound),
        })
      else
        bounds.push({
          atMs,
          use: sinceLeft,
          atLeastMm: left.interval.hiMm === null ? null : asFound.loMm - left.interval.hiMm,
          atMostMm: asFound.hiMm === null ? null : asFound.hiMm - left.interval.loMm,
        })
    }
    const now = asLeft ?? asFound
    if (now && use !== null) left = { interval: now, use }
  }
  return { points, bounds }
}

/**
 * The line through the origin, weighted by 1/σ²; the points scatter more than their uncertainties say where χ² is over
 * one each.
 */
function lineThroughOrigin(points: readonly Omit<DriftPoint, 'jumped'>[]): { perUse: number; sigma: number } {
  const weights = points.map(p => 1 / p.sigmaMm ** 2)
  const sxx = points.reduce((s, p, i) => s + weights[i]! * p.use ** 2, 0)
  const perUse = points.reduce((s, p, i) => s + weights[i]! * p.use * p.changeMm, 0) / sxx
  const chi2 = points.reduce((s, p, i) => s + weights[i]! * (p.changeMm - perUse * p.use) ** 2, 0)
  return { perUse, sigma: Math.sqrt(Math.max(1, points.length > 1 ? chi2 / (points.length - 1) : 1) / sxx) }
}

/** Where three or more agree but for one, that one jumped: it is left out of the line and named. */
function withoutJump(points: Omit<DriftPoint, 'jumped'>[]): Set<number> {
  if (points.length < 3) return new Set()
  const off = points.map((p, i) => {
    const { perUse, sigma } = lineThroughOrigin(points.filter((_, other) => other !== i))
    return Math.abs(p.changeMm - perUse * p.use) / Math.hypot(p.sigmaMm, sigma * p.use)
  })
  const worst = off.indexOf(Math.max(...off))
  return off[worst]! > JUMPED_AT ? new Set([worst]) : new Set()
}

/**
 * How a valve's clearance drifts with use, from interval readings. Readings that are open on one side stay out of the
 * fit and are kept as bounds.
 * @returns mm per unit of use (negative: tightening); “not enough” while no two visits tell Source: weighted least
 *   squares through the origin; scale by χ² as by Birge (1932).
 */
export function drift(visits: readonly Visit[], valveId: string): Drift {
  const { points: raw, bounds } = changesOf(visits, valveId)
  const jumped = withoutJump(raw)
  const points = raw.map((p, i) => ({ ...p, jumped: jumped.has(i) }))
  const fitted = points.filter(p => !p.jumped)
  if (fitted.length === 0) return { kind: 'not enough', why: notEnough(visits, bounds), points, bounds }
  const line = lineThroughOrigin(fitted)
  return { kind: 'drift', ...line, withLeft: covarianceWithLeft(visits, valveId, fitted), points, bounds }
}

/**
 * A valve that was measured and left alone is left at the reading that ends its last change: one reading, counted in
 * the drift and in where it starts from. Its error bears on both the same way.
 * Source: covariance of a weighted least-squares slope with one of its own observations.
 */
function covarianceWithLeft(visits: readonly Visit[], valveId: string, fitted: readonly DriftPoint[]): number {
  const last = [...visits]
    .sort((a, b) => a.atMs - b.atMs)
    .findLast(v => v.valves[valveId]?.asLeft ?? v.valves[valveId]?.asFound)
  const { asFound = null, asLeft = null } = last?.valves[valveId] ?? {}
  const point = fitted.find(p => p.atMs === last?.atMs)
  const same = asFound && (!asLeft || (asLeft.loMm === asFound.loMm && asLeft.hiMm === asFound.hiMm))
  if (!point || !same || asFound.hiMm === null) return 0
  const sxx = fitted.reduce((s, p) => s + p.use ** 2 / p.sigmaMm ** 2, 0)
  return ((point.use / point.sigmaMm ** 2) * sigmaOf(asFound) ** 2) / sxx
}

function notEnough(visits: readonly Visit[], bounds: readonly DriftBound[]): Said {
  if (visits.length < 2) return visits.length === 0 ? say('drift.no-visit') : say('drift.one-visit')
  if (bounds.length) return say('drift.one-sided')
  return visits.some(v => v.use === null) ? say('drift.no-meter') : say('drift.not-proved')
}
