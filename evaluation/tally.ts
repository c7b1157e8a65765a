import { type Bin, emptyBins, type RobotRun } from './robot-run'
import { SOURCE_DENIES } from './wide-world'

/** Runs added up: by engine kind, or of all. */
export interface Tally {
  runs: number
  valves: number
  outOfSpec: number
  falseIn: number
  falseSettled: number
  touchedFalsely: number
  /** Runs in which a screw was touched at a false stop. */
  touchedRuns: number
  /** Runs in which a screw was touched at a false stop and some valve did not end in spec. */
  survivedProve: number
  heldTaken: number
  stuck: number
  withReason: number
  wrong: number
  wrongMet: number
  wrongNamed: number
  clashes: number
  clashesNamed: number
  readings: number
  trials: number
  moves: number
  tooManyStops: number
  /** Valves signed in that are out; and runs in which something did not get on. */
  signedOut: number
  repeats: number
  longReadings: number
  violent: number
  vain: number
  closed: Bin[]
  arcs: { asked: number; held: number }
}

export const emptyTally = (): Tally => ({
  runs: 0,
  valves: 0,
  outOfSpec: 0,
  falseIn: 0,
  falseSettled: 0,
  touchedFalsely: 0,
  touchedRuns: 0,
  survivedProve: 0,
  heldTaken: 0,
  stuck: 0,
  withReason: 0,
  wrong: 0,
  wrongMet: 0,
  wrongNamed: 0,
  clashes: 0,
  clashesNamed: 0,
  readings: 0,
  trials: 0,
  moves: 0,
  tooManyStops: 0,
  signedOut: 0,
  repeats: 0,
  longReadings: 0,
  violent: 0,
  vain: 0,
  closed: emptyBins(),
  arcs: { asked: 0, held: 0 },
})

/** What one run adds. */
const countsOf = (run: RobotRun) => ({
  runs: 1,
  valves: run.valves,
  outOfSpec: run.outOfSpec.length,
  falseIn: run.falseIn.length,
  falseSettled: Number(run.falseSettled.length > 0),
  touchedFalsely: run.touchedFalsely.length,
  touchedRuns: Number(run.touchedFalsely.length > 0),
  survivedProve: Number(run.touchedFalsely.length > 0 && run.outOfSpec.length > 0),
  heldTaken: run.heldTaken.length,
  stuck: Number(run.stuck !== null),
  withReason: Number(run.reasons.length > 0),
  wrong: run.wrong,
  wrongMet: run.wrongMet,
  wrongNamed: run.wrongNamed,
  clashes: run.clashes,
  clashesNamed: run.clashesNamed,
  readings: run.readings,
  trials: run.trials,
  moves: run.moves,
  tooManyStops: Number(run.stops > run.stopsPlanned),
  signedOut: run.signedOut.length,
  repeats: Number(run.repeats.length > 0),
  longReadings: Number(run.longReadings.length > 0),
  violent: Number(run.violent.length > 0),
  vain: Number(run.vain.length > 0),
})

/** Adds a run to a tally, in place. */
export function addRun(tally: Tally, run: RobotRun): void {
  for (const [name, count] of Object.entries(countsOf(run)))
    (tally as unknown as Record<string, number>)[name]! += count
  run.closed.forEach((bin, i) => addBin(tally.closed[i]!, bin))
  tally.arcs.asked += run.arcs.asked
  tally.arcs.held += run.arcs.held
}

function addBin(to: Bin, from: Bin): void {
  to.said += from.said
  to.so += from.so
  to.count += from.count
}

/** Whether a run shows something that the judgement has to answer for. */
export const isFailure = (run: RobotRun): boolean =>
  run.stuck !== null ||
  [run.outOfSpec, run.falseIn, run.heldTaken].some(list => list.length > 0) ||
  run.wrongMet > run.wrongNamed ||
  run.stops > run.stopsPlanned

/** In the wider world a case may end with a reason; it must end, get on, and sign nothing in that is out. */
export const isWideFailure = (run: RobotRun): boolean =>
  run.stuck !== null ||
  [run.signedOut, run.repeats, run.longReadings, run.violent, run.vain].some(list => list.length > 0)

/** A screw was touched at a false stop that no record or list had called a top: these are told one by one. */
export const isTouchedUnasked = (run: RobotRun): boolean =>
  run.touchedFalsely.length > 0 && !run.features.includes(SOURCE_DENIES)

/** What went wrong in a run, in words, a line each. */
export function failureWords(run: RobotRun): string[] {
  const of = (what: string, list: string[]) => list.map(entry => `${what}: ${entry}`)
  return [
    ...(run.stuck ? [`stuck: ${run.stuck}`] : []),
    ...of('not in spec', run.outOfSpec),
    ...of('false “in”', run.falseIn),
    ...of('false “settled”', run.falseSettled),
    ...of('screw touched at a false stop', run.touchedFalsely),
    ...of('decompressor taken for no clearance', run.heldTaken),
    ...of('signed in, and out', run.signedOut),
    ...of('asked a third time', run.repeats),
    ...of('more than a dozen trials', run.longReadings),
    ...of('a far turn on a guess', run.violent),
    ...of('opened in vain', run.vain),
    ...of('only with a reason', run.reasons),
    ...(run.wrongMet > run.wrongNamed
      ? [`${run.wrongMet - run.wrongNamed} wrong answers met the clash rule and were not named`]
      : []),
    ...(run.stops > run.stopsPlanned ? [`${run.stops} stops, ${run.stopsPlanned} planned`] : []),
  ]
}
