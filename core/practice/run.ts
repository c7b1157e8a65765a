import { stackNamed } from '../feeler'
import {
  type GapChange,
  type Happening,
  type JobEvent,
  type JobTools,
  jobTools,
  type JobView,
  type NextThing,
  nextThing,
  viewJob,
} from '../job'
import { HOUR_MS } from '../units'
import { type Act, happeningOf } from './act'
import { turnCrank } from './crank'
import type { Drawn } from './draw'
import { VirtualHand } from './hand'
import { drawPractice, type PracticeStart } from './level'
import { fitShim, turnScrew, workNut } from './virtual-engine'

/** A practice run under way: the hidden engine, the log of what was said, and what was done. It is changed by `act`. */
export interface PracticeRun {
  start: PracticeStart
  drawn: Drawn
  tools: JobTools
  log: JobEvent[]
  acts: Act[]
  /** Hours that have gone by. */
  hours: number
  /** What was done to each valve's gap since a blade was last tried there. */
  sinceTrial: Record<string, GapChange | null>
  /** The blades last slid into each valve since its gap or the crank moved. */
  slid: Record<string, number[]>
  /** Rockers wiggled since the crank moved. */
  wiggled: Set<string>
  /** Degrees turned since the crank was last spoken of, and since a nut was last locked. */
  turnedDeg: number
  sinceLockDeg: number
}

const NINE = Date.UTC(2026, 0, 5, 9)
/** The hour of a run, which begins at nine. ms since 1970 */
export const nowOf = ({ hours }: Pick<PracticeRun, 'hours'>): number => NINE + hours * HOUR_MS
/** The job of a run as the Bench would see it now. */
export const viewOf = ({ tools, log, ...run }: Pick<PracticeRun, 'tools' | 'log' | 'hours'>): JobView =>
  viewJob(tools, log, nowOf(run))

function record(run: PracticeRun, happening: Happening): void {
  const n = run.log.length + 1
  run.log.push({
    ...happening,
    id: `p${n}`,
    seq: n,
    version: 1,
    personId: 0,
    personName: '',
    deviceId: 'practice',
    deviceSeq: n,
    seenSeq: n - 1,
    at: new Date(nowOf(run)).toISOString(),
  } as JobEvent)
}

/** Gets the machine ready, which is not what is practised: but for a warm head, which the person has to find out. */
function getReady(run: PracticeRun): void {
  const hand = new VirtualHand(run.drawn.virtual)
  const cold = run.drawn.virtual.headC <= run.start.kind.engine.coldLimitC
  for (;;) {
    const next = nextThing(viewOf(run))
    if (next.step !== 'ready' || (next.stage.kind === 'cold' && !cold)) return
    record(run, hand.answer(next))
  }
}

/** Begins a run. @param tools may be passed so that moves are weighed elsewhere */
export function beginPractice(
  start: PracticeStart,
  toolsFor: (drawn: Drawn) => JobTools = drawn => jobTools(drawn.pin),
): PracticeRun {
  const drawn = drawPractice(start)
  const run: PracticeRun = {
    start,
    drawn,
    tools: toolsFor(drawn),
    log: [],
    acts: [],
    hours: 0,
    sinceTrial: {},
    slid: {},
    wiggled: new Set(),
    turnedDeg: 0,
    sinceLockDeg: 0,
  }
  getReady(run)
  return run
}

/** Newton’s cooling of the head, per hour. From memory. */
const COOLS_PER_HOUR = 0.9

function moved(run: PracticeRun, deg: number): void {
  turnCrank(run.drawn.virtual, deg)
  run.turnedDeg += deg
  run.sinceLockDeg += deg
  run.slid = {}
  run.wiggled.clear()
}

function worked(run: PracticeRun, valveId: string, change: GapChange): void {
  const before = run.sinceTrial[valveId]
  run.sinceTrial[valveId] =
    change.kind === 'screw' && before?.kind === 'screw' ? { kind: 'screw', deg: before.deg + change.deg } : change
  run.slid = Object.fromEntries(Object.entries(run.slid).filter(([id]) => id !== valveId))
}

/** A trial as it was really made: with the blades that were slid in, and what was really done to the gap before. */
function trulyMade(run: PracticeRun, happening: Happening): Happening {
  if (happening.type !== 'trial') return happening
  const { valveId } = happening.payload
  const after = run.sinceTrial[valveId] ?? null
  run.sinceTrial[valveId] = null
  return {
    type: 'trial',
    payload: { ...happening.payload, bladesMm: run.slid[valveId] ?? happening.payload.bladesMm, after },
  }
}

function nutTo(run: PracticeRun, valveId: string, to: 'loose' | 'nipped' | 'locked'): void {
  const { virtual, random, kind } = run.drawn
  if (virtual.nuts[valveId] === to) return
  workNut(virtual, valveId, to, random())
  if (to === 'locked') run.sinceLockDeg = 0
  if (to !== 'loose')
    worked(
      run,
      valveId,
      to === 'nipped' ? { kind: 'nipped' } : { kind: 'torqued', torqueNm: kind.engine.torques.locknutNm },
    )
}

function saidIt(run: PracticeRun, happening: Happening): void {
  const { virtual } = run.drawn
  if (happening.type === 'nut-loosened') nutTo(run, happening.payload.valveId, 'loose')
  if (happening.type === 'screw-checked' && happening.payload.found === 'turned back') {
    const { valveId } = happening.payload
    if (turnScrew(virtual, valveId, -virtual.screwDeg[valveId]!)) nutTo(run, valveId, 'locked')
  }
  if (happening.type === 'shim-fitted') fitShim(virtual, happening.payload.valveId, happening.payload.mm)
  if (happening.type === 'crank' || happening.type === 'prove-turned') run.turnedDeg = 0
  record(run, trulyMade(run, happening))
}

/** Does one thing at the engine. What is felt, is asked of `feelOf`; nothing is marked here. */
export function act(run: PracticeRun, doing: Act): void {
  const { virtual } = run.drawn
  switch (doing.kind) {
    case 'turn':
      moved(run, doing.deg)
      break
    case 'wiggle':
      run.wiggled.add(doing.valveId)
      break
    case 'slide':
      run.slid[doing.valveId] = doing.bladesMm
      break
    case 'screw':
      if (turnScrew(virtual, doing.valveId, doing.deg)) worked(run, doing.valveId, { kind: 'screw', deg: doing.deg })
      break
    case 'nut':
      nutTo(run, doing.valveId, doing.to)
      break
    case 'wait':
      run.hours += doing.hours
      virtual.headC =
        virtual.nature.airC + (virtual.headC - virtual.nature.airC) * Math.exp(-COOLS_PER_HOUR * doing.hours)
      break
    case 'warmth':
      record(run, { type: 'temperature', payload: { celsius: Math.round(virtual.headC) } })
      break
    case 'said':
      saidIt(run, happeningOf(doing))
      break
    case 'lower':
    case 'verdict':
    case 'hint':
      break
  }
  const last = run.acts.at(-1)
  // a turn by drag is many small ones: they are kept as one
  if (doing.kind === 'turn' && last?.kind === 'turn' && Math.sign(last.deg) === Math.sign(doing.deg))
    run.acts[run.acts.length - 1] = { kind: 'turn', deg: last.deg + doing.deg }
  else run.acts.push(doing)
}

/** How thick the blades in hand are believed to be, mm. */
export const believedMm = (run: PracticeRun, bladesMm: readonly number[]): number =>
  stackNamed(run.drawn.pin.bladeSet, bladesMm).totalMm
/** What the Bench would say now. */
export const benchSays = (run: PracticeRun): NextThing => nextThing(viewOf(run))
