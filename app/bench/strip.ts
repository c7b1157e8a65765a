import { countedAsIn, type Interval, intervalWords, thickness, type Trial, type Verdict } from '~~/core/feeler'
import {
  clearanceOf,
  type JobView,
  latestReading,
  latestVerdict,
  needsSetting,
  type NextThing,
  phaseWords,
  setInHand,
  targetFor,
  valveNames,
  type ValveState,
} from '~~/core/job'
import { formatLength, thouFromMm } from '~~/core/units'
import { named, t, tell } from '../words'

/** A valve as the strip under the picture shows it: its rule, its last reading, the blades tried. */
export interface StripValve {
  valveId: string
  name: string
  minMm: number
  maxMm: number
  targetMm: number
  verdict: Verdict | 'not measured'
  reading: Interval | null
  lookAgain: boolean
  asLeft: Interval | null
  trials: { mm: number; feel: Trial['feel'] }[]
  caution: string
  words: string
  /** The same in the other unit. */
  other: string
}

const thou = (mm: number): string => thouFromMm(mm).toFixed(1)

/** A reading in thou: “3.9–4.5 thou”, “under 1.6 thou”, “11.8 thou or more”. */
function thouWords({ loMm, hiMm }: Interval): string {
  if (hiMm === null) return t('strip.thou-or-more', { loMm: thou(loMm) })
  return loMm > 0 ? `${thou(loMm)}–${thou(hiMm)} thou` : t('strip.under-thou', { hiMm: thou(hiMm) })
}

function stripValve(view: JobView, valve: ValveState): StripValve {
  const { pin } = view
  const reading = latestReading(valve)
  const judged = latestVerdict(pin, valve)
  const { minMm, maxMm } = countedAsIn(clearanceOf(pin, valve.valveId), setInHand(view))
  const span = (f: (mm: number) => string) => (minMm === maxMm ? f(minMm) : `${f(minMm)}–${f(maxMm)}`)
  const interval = reading ? judged.reading : null
  return {
    minMm,
    maxMm,
    valveId: valve.valveId,
    name: named(valveNames(pin.spec.engine)[valve.valveId] ?? valve.valveId),
    targetMm: targetFor(view, valve.valveId),
    verdict: reading ? judged.verdict : 'not measured',
    reading: interval,
    lookAgain: valve.lookAgain,
    asLeft: pin.lastAsLeft?.readings[valve.valveId] ?? null,
    trials: (reading?.trials ?? []).map(t => ({ mm: thickness(t), feel: t.feel })),
    caution: reading ? tell(judged.cautions[0] ?? '') : '',
    words:
      interval && reading
        ? `${tell(intervalWords(interval))}${valve.phase === 'as found' ? '' : `, ${tell(phaseWords(reading.phase))}`}`
        : t('strip.spec-mm', { span: span(mm => formatLength(mm, 'mm')) }),
    other: interval ? thouWords(interval) : `${span(thou)} thou`,
  }
}
export const stripValves = (view: JobView): StripValve[] => view.state.valves.map(valve => stripValve(view, valve))

/** The least length of the rules, and what is left free over the thickest. mm */
const LEAST_TOP_MM = 0.2
const ROOM_MM = 0.03
/** One scale for all valves of the job, in steps of 0.05 mm, longer where a spec or a reading needs it. */
export const scaleTopMm = (strip: readonly StripValve[]): number =>
  Math.max(
    LEAST_TOP_MM,
    ...strip.map(v => Math.ceil((Math.max(v.maxMm, v.reading?.hiMm ?? v.reading?.loMm ?? 0) + ROOM_MM) * 20) / 20),
  )

/** Valves that are in, and may be set all the same while others are set or proved. */
export const settableValves = (view: JobView, next: NextThing): { valveId: string; name: string }[] =>
  next.step !== 'set' && next.step !== 'prove'
    ? []
    : view.state.valves
        .filter(v => v.nut === 'locked' && !v.setChosen && !needsSetting(view, v))
        .map(v => ({ valveId: v.valveId, name: valveNames(view.pin.spec.engine)[v.valveId] ?? '' }))
