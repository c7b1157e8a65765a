import type { ChartData, ChartDataset, ScatterDataPoint } from 'chart.js'
import { middleOf } from '~~/core/history'
import type { JudgedReading, ValveHistory, ValvePoint } from '~~/shared/machines'
import { t, tell } from '../../words'

/** The colors of the theme in force, as a canvas wants them. */
export interface ChartColors {
  ink: string
  ink2: string
  line: string
  petrol: string
  tint: string
  tight: string
  loose: string
  looseFill: string
  hatch: string
  ground: string
}
type Point = ScatterDataPoint
type Line = ChartDataset<'line', Point[]>

/** A reading drawn as a bar from its lower to its upper end; an open one runs to the top of the chart. */
export interface Bar {
  use: number
  reading: JudgedReading
  kind: 'as found' | 'as left'
}

/** Bars of a valve: as found left and as left right of a visit only where the valve was touched. */
export function barsOf(points: readonly ValvePoint[], shift: number): Bar[] {
  return points.flatMap(({ use, asFound, asLeft, touched }): Bar[] => {
    if (use === null) return []
    if (!touched) {
      const reading = asLeft ?? asFound
      return reading ? [{ use, reading, kind: 'as left' }] : []
    }
    return [
      ...(asFound ? [{ use: use - shift, reading: asFound, kind: 'as found' as const }] : []),
      ...(asLeft ? [{ use: use + shift, reading: asLeft, kind: 'as left' as const }] : []),
    ]
  })
}

const bare = { pointRadius: 0, pointHitRadius: 0, order: 3, tension: 0 } as const

/** The spec as a field that steps where a revision changed it. */
function field(
  points: readonly ValvePoint[],
  from: number,
  to: number,
  now: { minMm: number; maxMm: number },
  c: ChartColors,
): Line[] {
  const seen = points.filter(p => p.use !== null)
  const steps = (of: 'minMm' | 'maxMm'): Point[] => [
    ...(seen.length ? seen.map((p, i) => ({ x: i ? p.use! : from, y: p[of] })) : [{ x: from, y: now[of] }]),
    { x: seen.at(-1)?.use ?? from, y: now[of] },
    { x: to, y: now[of] },
  ]
  const base = { ...bare, stepped: 'before' as const, borderColor: c.petrol, borderWidth: 2, order: 6 }
  return [
    { ...base, label: 'least', data: steps('minMm'), fill: false },
    { ...base, label: 'most', data: steps('maxMm'), fill: { target: '-1', above: c.tint, below: c.tint } },
  ]
}

/** Fitted drift between two settings: from each as left to where the line puts it at the next visit. */
function drifts({ points, slope }: ValveHistory, c: ChartColors): Line[] {
  if (!slope) return []
  const seen = points.filter(p => p.use !== null)
  return seen.slice(0, -1).flatMap((p, i) => {
    const [start, next] = [p.asLeft ?? p.asFound, seen[i + 1]!]
    return start && start.hiMm !== null
      ? [
          {
            ...bare,
            label: 'drift',
            borderColor: c.ink,
            borderWidth: 1.2,
            order: 2,
            data: [
              { x: p.use!, y: middleOf(start) },
              { x: next.use!, y: middleOf(start) + slope.perUse * (next.use! - p.use!) },
            ],
          },
        ]
      : []
  })
}

/** The forecast: its middle, and the fan that holds eight of ten. */
function fan({ forecast, leftAtUse }: ValveHistory, to: number, c: ChartColors): Line[] {
  if (!forecast || leftAtUse === null) return []
  const at = forecast.fan.filter(f => leftAtUse + f.use <= to + 1)
  const line = (of: 'loMm' | 'hiMm' | 'middleMm') => at.map(f => ({ x: leftAtUse + f.use, y: f[of] }))
  return [
    {
      ...bare,
      label: 'fan, low',
      borderColor: c.petrol,
      borderWidth: 1.4,
      borderDash: [4, 3],
      data: line('loMm'),
      order: 4,
    },
    {
      ...bare,
      label: 'fan, high',
      borderColor: c.petrol,
      borderWidth: 1.4,
      borderDash: [4, 3],
      data: line('hiMm'),
      order: 4,
      fill: { target: '-1', above: `${c.petrol}33`, below: `${c.petrol}33` },
    },
    { ...bare, label: 'forecast', borderColor: c.petrol, borderWidth: 2.2, data: line('middleMm'), order: 3 },
  ]
}

/** What a valve's chart shows, up to some use and some gap. */
export function chartOf(
  valve: ValveHistory,
  now: { minMm: number; maxMm: number },
  span: { from: number; to: number },
  c: ChartColors,
): ChartData<'line', Point[]> {
  return {
    datasets: [...field(valve.points, span.from, span.to, now, c), ...drifts(valve, c), ...fan(valve, span.to, c)],
  }
}

/** The drift in a few words: “tightens 0.011 mm in 1000 km”. */
export function driftWords(
  { drift, slope, steady, family, faster }: Pick<ValveHistory, 'drift' | 'slope' | 'steady' | 'family' | 'faster'>,
  unit: string,
): string {
  const per = unit === 'h' ? 100 : 1000
  if (!slope) return drift.kind === 'not enough' ? tell(drift.why) : ''
  const mm = slope.perUse * per
  const own = steady ? t('drift.steady') : t('drift.moves', { mm, per, unit })
  const jumped = drift.points.some(p => p.jumped) ? t('drift.jumped') : ''
  return `${own}${drift.kind === 'not enough' ? t('chart-data.by-others-of-its-model', { family }) : ''}${faster ? t('drift.faster') : ''}${jumped}`
}

/** Round figures of the meter along a chart, five or so, in use since its first reading. */
export function meterTicks({ from, to }: { from: number; to: number }, meterAt: number): number[] {
  const rough = (to - from) / 5
  const size = 10 ** Math.floor(Math.log10(rough))
  const step = [1, 2, 5, 10].map(n => n * size).find(s => s >= rough)!
  const first = Math.ceil(Math.max(0, from + meterAt) / step) * step
  return Array.from(
    { length: Math.max(0, Math.floor((to + meterAt - first) / step) + 1) },
    (_, i) => first + i * step - meterAt,
  )
}
