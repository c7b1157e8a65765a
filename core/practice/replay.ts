import { cylinderById, valveById } from '../engine'
import type { Interval } from '../feeler'
import { type Happening, type JobView, judgeReading, latestReading } from '../job'
import { type Said, say } from '../said'
import { type Act, happeningOf } from './act'
import type { PracticeStart } from './level'
import { act, beginPractice, type PracticeRun, viewOf } from './run'
import { strokeOf } from './sight'
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
  words: Said
  /** The job as the Bench saw it by the answers alone: where the crank may be, the stops, the readings. */
  view: JobView
  /** Where the crank truly stood, degrees of the cycle, and the stroke of the cylinder in question. */
  crankDeg: number
  truth: Said
  cylinderId: string
  valves: ValveThen[]
}

const nameOf = ({ start: { kind } }: PracticeRun, valveId: string): string => valveById(kind.engine, valveId).name

function saidWords(run: PracticeRun, happening: Happening): Said {
  switch (happening.type) {
    case 'crank': {
      const felt = happening.payload.observations.flatMap(o =>
        o.kind === 'rocker' ? [{ valve: nameOf(run, o.valveId), slack: o.slack }] : [],
      )
      return felt.length ? say('replay.rockers', { felt }) : say('replay.place')
    }
    case 'trial':
      return say('replay.trial', {
        blade: happening.payload.bladesMm.map(b => b.toFixed(2)).join(' + '),
        valve: nameOf(run, happening.payload.valveId),
        feel: happening.payload.feel,
      })
    case 'nut-loosened':
      return say('replay.nut', { valve: nameOf(run, happening.payload.valveId), to: 'loose' })
    case 'prove-turned':
      return say('replay.two-turns')
    case 'shim-read':
    case 'shim-fitted':
      return say('replay.shim', {
        valve: nameOf(run, happening.payload.valveId),
        fitted: happening.type === 'shim-fitted',
      })
    case 'temperature':
      return say('replay.temperature', { headC: Math.round(happening.payload.celsius) })
    default:
      return say('replay.answered')
  }
}

/** What was done, in words; null for what changes neither belief nor gap. */
function actWords(run: PracticeRun, doing: Act): Said | null {
  switch (doing.kind) {
    case 'said':
      return saidWords(run, happeningOf(doing))
    case 'screw':
      return say('replay.screw', { valve: nameOf(run, doing.valveId), deg: Math.round(doing.deg) })
    case 'nut':
      return say('replay.nut', { valve: nameOf(run, doing.valveId), to: doing.to })
    case 'verdict':
      return say('replay.called', { valve: nameOf(run, doing.valveId), verdict: doing.verdict })
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

function then(run: PracticeRun, actIndex: number, words: Said, cylinderId: string): Replayed {
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
    truth: say('replay.stroke', {
      stroke: strokeOf(virtual.engine, cylinderId, virtual.crankDeg),
      cylinder: several ? cylinderById(virtual.engine, cylinderId).name : null,
    }),
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
  const replayed = [then(run, -1, say('replay.before'), cylinderId)]
  acts.forEach((doing, i) => {
    const valveId = valveOf(doing)
    if (valveId) cylinderId = valveById(start.kind.engine, valveId).cylinderId
    const words = actWords(run, doing)
    act(run, doing)
    if (words !== null) replayed.push(then(run, i, words, cylinderId))
  })
  return replayed
}
