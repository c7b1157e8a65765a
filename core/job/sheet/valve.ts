import { valveById } from '../../engine'
import { countedAsIn, intervalWords, latestTrials, thickness, type Trial, went } from '../../feeler'
import { formatLength, thouFromMm } from '../../units'
import { latestReading, type Reading, readingIn, type ValveState } from '../state'
import { clearanceOf, judgeReading, type JobView, setInHand, targetFor } from '../view'
import { placeWords } from '../words'
import type { SheetReading, SheetValve } from './content'
import { roundsOf } from './rounds'
import { shimWords } from './shim'
import { nameOf, trialsOf } from './trials'

function sheetReading({ pin }: JobView, reading: Reading | undefined): SheetReading | null {
  if (!reading?.trials.length) return null
  const { verdict, proof, reading: interval, reason } = judgeReading(pin, reading, reading.valveId)
  return {
    loMm: interval.loMm,
    hiMm: interval.hiMm,
    words: intervalWords(interval, pin.unit),
    verdict,
    proof,
    reason,
    trials: trialsOf(reading),
  }
}

function specOf(view: JobView, valveId: string): SheetValve['spec'] {
  const targetMm = targetFor(view, valveId)
  const clearance = clearanceOf(view.pin, valveId)
  const { minMm, maxMm } = countedAsIn(clearance, setInHand(view))
  // a bare figure is printed as it is, and the band that counts as it is drawn and said beside it
  const span = (f: (mm: number) => string) =>
    clearance.form === 'bare' ? `${f(clearance.figureMm)}, up to ${f(maxMm)}` : `${f(minMm)}–${f(maxMm)}`
  return { minMm, maxMm, targetMm, words: span(v => formatLength(v, 'mm')), thou: span(v => thouFromMm(v).toFixed(1)) }
}

/** The proof in the words of its blades: which went, which did not. */
function proofOf(view: JobView, valve: ValveState): SheetValve['proof'] {
  const reading = readingIn(valve, 'proved')
  if (!reading) return null
  // a blade that was tried again proves what it did last
  const trials = latestTrials(reading.trials)
  const words = (trial: Trial | undefined, none: string) => (trial ? `${nameOf(trial)} ${trial.feel}` : none)
  const byThickness = (a: Trial, b: Trial) => thickness(a) - thickness(b)
  return {
    place: reading.at ? placeWords(view.pin.spec.engine, reading.at) : 'not known',
    went: words(trials.filter(went).sort(byThickness).at(-1), 'none'),
    refused: words(trials.filter(t => !went(t)).sort(byThickness)[0], 'not needed'),
  }
}

/** One valve of the sheet: spec, as found, as left, how it was proved, and the rounds between. */
export function sheetValve(view: JobView, valve: ValveState): SheetValve {
  const { pin } = view
  const { engine } = pin.spec
  const { name, role, headX, headY } = valveById(engine, valve.valveId)
  return {
    valveId: valve.valveId,
    name,
    role,
    headX,
    headY,
    spec: specOf(view, valve.valveId),
    asFound: sheetReading(view, readingIn(valve, 'as found')),
    asLeft: valve.phase === 'proved' ? sheetReading(view, readingIn(valve, 'proved')) : null,
    proof: proofOf(view, valve),
    rounds: roundsOf(view, valve),
    estimates: valve.estimates.map(e => `${e.text}, by ${e.by}`),
    shim: shimWords(view, valve),
    cautions: latestReading(valve) ? judgeReading(pin, latestReading(valve), valve.valveId).cautions : [],
  }
}
