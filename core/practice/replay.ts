import { cylinderById, valveById } from '../engine'
import type { Interval } from '../feeler'
import { type Happening, type JobView, judgeReading, latestReading } from '../job'
import { type Act, happeningOf } from './act'
import type { PracticeStart } from './level'
import { act, beginPractice, type PracticeRun, viewOf } from './run'
import { strokeWords } from './sight'
import { liftedMm } from './virtual-engine'

/**
 * A valve as it was measured and as it was, mm; `believed` is null where no blade has told since its gap was last
 * changed.
 */
export interface ValveThen {
  valveId: string
  name: string
  believed: Interval | null
  trueMm: number
  openMm: number
}

/** How things stood once one thing was done: what the answers so far let one believe, and what was so. */
export interface Replayed {
  /** Its number among the acts, from 0; −1 before the first. */
  act: number
  words: string
  /** The job as the Bench saw it by the answers alone: where the crank may be, the stops, the readings. */
  view: JobView
  /** Where the crank truly stood, degrees of the cycle, and the stroke of the cylinder in question. */
  crankDeg: number
  truth: string
  cylinderId: string
  valves: ValveThen[]
}

const nameOf = ({ start: { kind } }: PracticeRun, valveId: string): string =>
  valveById(kind.engine, valveId).name.toLowerCase()

function saidWords(run: PracticeRun, happening: Happening): string {
  switch (happening.type) {
    case 'crank': {
      const felt = happening.payload.observations.flatMap(o =>
        o.kind === 'rocker' ? [`${nameOf(run, o.valveId)} ${o.slack ? 'slack' : 'no play'}`] : [],
      )
      return felt.length ? `Rockers: ${felt.join(', ')}` : 'The crank’s place was said'
    }
    case 'trial':
      return `${happening.payload.bladesMm.map(b => b.toFixed(2)).join(' + ')} in the ${nameOf(run, happening.payload.valveId)}: ${happening.payload.feel}`
    case 'nut-loosened':
      return `The ${nameOf(run, happening.payload.valveId)} locknut was loosened`
    case 'prove-turned':
      return 'Two full turns were said'
    case 'shim-read':
    case 'shim-fitted':
      return `A shim of the ${nameOf(run, happening.payload.valveId)} was ${happening.type === 'shim-read' ? 'read' : 'fitted'}`
    case 'temperature':
      return `${Math.round(happening.payload.celsius)} °C was said`
    default:
      return 'The Bench was answered'
  }
}

/** What was done, in words; null for what changes neither belief nor gap. */
function actWords(run: PracticeRun, doing: Act): string | null {
  switch (doing.kind) {
    case 'said':
      return saidWords(run, happeningOf(doing))
    case 'screw':
      return `The ${nameOf(run, doing.valveId)} screw was turned ${Math.abs(Math.round(doing.deg))}° ${doing.deg < 0 ? 'counterclockwise' : 'clockwise'}`
    case 'nut':
      return `The ${nameOf(run, doing.valveId)} locknut was ${doing.to === 'loose' ? 'loosened' : doing.to}`
    case 'verdict':
      return `The ${nameOf(run, doing.valveId)} was called ${doing.verdict}`
    default:
      return null
  }
}

/** The valve that an act is about. */
function valveOf(doing: Act): string | null {
  if (doing.kind !== 'said') return 'valveId' in doing ? doing.valveId : null
  const { type, payload } = happeningOf(doing)
  if (type === 'crank') return payload.observations.flatMap(o => ('valveId' in o ? [o.valveId] : []))[0] ?? null
  return 'valveId' in payload ? payload.valveId : null
}

function then(run: PracticeRun, actIndex: number, words: string, cylinderId: string): Replayed {
  const { virtual } = run.drawn
  const view = viewOf(run)
  const several = virtual.engine.cylinders.length > 1
  const valves = virtual.engine.valves.map(({ id, name }) => {
    const reading = latestReading(view.state.valves.find(v => v.valveId === id)!)
    const stale = (run.sinceTrial[id] ?? null) !== null
    return {
      valveId: id,
      name,
      believed: !stale && reading ? judgeReading(view.pin, reading, id).reading : null,
      trueMm: virtual.gapMm[id]!,
      openMm: liftedMm(virtual, id),
    }
  })
  return {
    act: actIndex,
    words,
    view,
    crankDeg: virtual.crankDeg,
    truth: `${strokeWords(virtual.engine, cylinderId, virtual.crankDeg)} stroke${several ? ` of ${cylinderById(virtual.engine, cylinderId).name.toLowerCase()}` : ''}`,
    cylinderId,
    valves,
  }
}

/**
 * Does a practice run over again and keeps, after each thing that was said or done to a gap, what could be believed by
 * then and what was so.
 * @returns in order, the first as it stood before anything was said
 */
export function replayRun(start: PracticeStart, acts: readonly Act[]): Replayed[] {
  const run = beginPractice({ ...start })
  let cylinderId = start.kind.engine.cylinders[0]!.id
  const replayed = [then(run, -1, 'Before anything was said', cylinderId)]
  acts.forEach((doing, i) => {
    const valveId = valveOf(doing)
    if (valveId) cylinderId = valveById(start.kind.engine, valveId).cylinderId
    const words = actWords(run, doing)
    act(run, doing)
    if (words !== null) replayed.push(then(run, i, words, cylinderId))
  })
  return replayed
}
