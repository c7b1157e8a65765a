import { intervalWords, type Proof, type Verdict } from '../../feeler'
import { type Said, say } from '../../said'
import { latestReading, type Phase, type ValveState } from '../state'
import { type JobView, judgeReading, settledPin } from '../view'

/** One row of the `readings` projection. */
export interface ReadingRow {
  valveId: string
  phase: Phase
  round: number
  loMm: number
  hiMm: number | null
  verdict: Verdict
  proof: Proof | null
  personId: number | null
}

/** The readings of a job as rows: equal logs give equal rows, in a fixed order. */
export function readingRows({ state, ...given }: Pick<JobView, 'pin' | 'state'>): ReadingRow[] {
  const pin = settledPin(given.pin, state)
  return state.valves.flatMap(valve =>
    valve.readings
      // what was proved before the nut was loosened again is no longer so
      .filter(r => r.trials.length > 0 && (r.phase !== 'proved' || r.round === valve.round))
      .map(reading => {
        const {
          verdict,
          proof,
          reading: { loMm, hiMm },
        } = judgeReading(pin, reading, valve.valveId)
        return {
          valveId: valve.valveId,
          phase: reading.phase,
          round: reading.round,
          loMm,
          hiMm,
          verdict,
          proof,
          personId: reading.personId,
        }
      }),
  )
}

/** The last reading of a valve in words, for cards and steps. */
export const latestWords = (view: JobView, valve: ValveState): Said => {
  const reading = latestReading(valve)
  return reading
    ? intervalWords(judgeReading(view.pin, reading, valve.valveId).reading, view.pin.unit)
    : say('gap.not-measured')
}
