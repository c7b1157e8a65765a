import { valveById } from '../../engine'
import { countedAsIn, intervalWords, latestTrials, thickness, type Trial, trialWords, went } from '../../feeler'
import { type Said, say, type Tell } from '../../said'
import { formatLength, thouFromMm } from '../../units'
import { latestReading, type Reading, readingIn, type ValveState } from '../state'
import { clearanceOf, type JobView, judgeReading, setInHand, targetFor } from '../view'
import { placeWords } from '../words'
import type { SheetReading, SheetValve } from './content'
import { roundsOf } from './rounds'
import { shimWords } from './shim'
import { trialsOf } from './trials'

function sheetReading({ pin }: JobView, reading: Reading | undefined, tell: Tell): SheetReading | null {
  if (!reading?.trials.length) return null
  const { verdict, proof, reading: interval, reason } = judgeReading(pin, reading, reading.valveId)
  return {
    loMm: interval.loMm,
    hiMm: interval.hiMm,
    words: tell(intervalWords(interval, pin.unit)),
    verdict,
    proof,
    reason: tell(reason),
    trials: trialsOf(reading),
  }
}

function specOf(view: JobView, valveId: string, tell: Tell): SheetValve['spec'] {
  const targetMm = targetFor(view, valveId)
  const clearance = clearanceOf(view.pin, valveId)
  const { minMm, maxMm } = countedAsIn(clearance, setInHand(view))
  // a bare figure is printed as it is, and the band that counts as it is drawn and said beside it
  const span = (f: (mm: number) => string) =>
    clearance.form === 'bare'
      ? tell(say('sheet.up-to', { figure: f(clearance.figureMm), most: f(maxMm) }))
      : `${f(minMm)}–${f(maxMm)}`
  return { minMm, maxMm, targetMm, words: span(v => formatLength(v, 'mm')), thou: span(v => thouFromMm(v).toFixed(1)) }
}

/** The proof in the words of its blades: which went, which did not. */
function proofOf(view: JobView, valve: ValveState, tell: Tell): SheetValve['proof'] {
  const reading = readingIn(valve, 'proved')
  if (!reading) return null
  // a blade that was tried again proves what it did last
  const trials = latestTrials(reading.trials)
  const words = (trial: Trial | undefined, none: Said) => tell(trial ? trialWords(trial) : none)
  const byThickness = (a: Trial, b: Trial) => thickness(a) - thickness(b)
  return {
    place: tell(reading.at ? placeWords(view.pin.spec.engine, reading.at) : say('sheet.place-unknown')),
    went: words(trials.filter(went).sort(byThickness).at(-1), say('sheet.none')),
    refused: words(trials.filter(t => !went(t)).sort(byThickness)[0], say('sheet.not-needed')),
  }
}

/** One valve of the sheet: spec, as found, as left, how it was proved, and the rounds between. */
export function sheetValve(view: JobView, valve: ValveState, tell: Tell): SheetValve {
  const { pin } = view
  const { engine } = pin.spec
  const { name, role, headX, headY } = valveById(engine, valve.valveId)
  return {
    valveId: valve.valveId,
    name,
    role,
    headX,
    headY,
    spec: specOf(view, valve.valveId, tell),
    asFound: sheetReading(view, readingIn(valve, 'as found'), tell),
    asLeft: valve.phase === 'proved' ? sheetReading(view, readingIn(valve, 'proved'), tell) : null,
    proof: proofOf(view, valve, tell),
    rounds: roundsOf(view, valve, tell),
    estimates: valve.estimates.map(e => tell(say('sheet.estimate', { words: e.text, by: e.by }))),
    shim: shimWords(view, valve, tell),
    cautions: latestReading(valve) ? judgeReading(pin, latestReading(valve), valve.valveId).cautions.map(tell) : [],
  }
}
