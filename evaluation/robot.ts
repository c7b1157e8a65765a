import { cylinderById, inArc, valveById } from '../core/engine'
import { USUAL_HAND } from '../core/feeler'
import {
  type Happening,
  type JobEvent,
  type JobPin,
  type JobTools,
  jobTools,
  type JobView,
  judgeReading,
  latestReading,
  type NextThing,
  presentReading,
  stopHere,
  viewJob,
} from '../core/job'
import {
  arcsOf,
  crankChance,
  likelihoodOf,
  type LocateMemory,
  locateMemory,
  movesCrank,
  type Noted,
  predictive,
  predictiveAnywhere,
} from '../core/position'
import {
  camDeg,
  camLiftMm,
  drawEngine,
  type Drawn,
  heldMm,
  inSpecTruly,
  liftedMm,
  proofErrorMm,
  steps,
  type VirtualEngine,
  VirtualHand,
  type Worked,
} from '../core/practice'
import { STOP_MARGIN_DEG } from '../core/stops'
import { tellEnglish } from '../words'
import { ProgressWatch } from './progress'
import { emptyBins, type RobotOptions, type RobotRun } from './robot-run'
import { storyLine } from './story'
import { drawWide, type WideDrawn } from './wide-world'

/** The level at which the arcs are asked for. */
export const ARCS_ASKED_AT = 0.9
/** A stop counts as false when a valve is lifted there by more than this: less changes no verdict. mm. */
const FALSE_FROM_MM = 0.005
const NOON = Date.UTC(2026, 0, 5, 12)

const isWide = (drawn: Drawn): drawn is WideDrawn => 'features' in drawn

const toolsOf = new Map<JobPin, JobTools>()
/** Policies and tables serve every job of one kind and set; only the belief's memory is a job's own. */
function toolsFor(pin: JobPin): JobTools {
  if (!toolsOf.has(pin)) toolsOf.set(pin, jobTools(pin))
  const memories = new Map<string, LocateMemory>()
  const memoryFor: JobTools['memoryFor'] = found => {
    const kept = memories.get(String(found)) ?? locateMemory()
    memories.set(String(found), kept)
    return kept
  }
  return { ...toolsOf.get(pin)!, memoryFor }
}

/** Whether a valve is shut with the stop's margin to every edge, which is what the judgement means by closed. */
function closedWithMargin(v: VirtualEngine, valveId: string): boolean {
  const valve = valveById(v.engine, valveId)
  const local = camDeg(v) - cylinderById(v.engine, valve.cylinderId).firingAngleDeg
  return [-STOP_MARGIN_DEG, 0, STOP_MARGIN_DEG].every(
    off =>
      camLiftMm(v.nature.cams[valve.role], local + off) + heldMm({ ...v, crankDeg: v.crankDeg + off }, valve) <
      FALSE_FROM_MM,
  )
}

const isLifted = (v: VirtualEngine, valveId: string): boolean => liftedMm(v, valveId) > FALSE_FROM_MM

/** Whether the answers just given are so improbable after all that went before that the clash rule must name them. */
function meetsClashRule(view: JobView, given: Noted[]): boolean {
  if (view.state.noted.length === 0 || view.position.lashDeg > 0) return false
  return given.some(
    ({ observation: o }) =>
      !movesCrank(o) &&
      likelihoodOf(view.model, o) !== null &&
      predictive(view.model, view.position.belief, o) < 0.05 * predictiveAnywhere(view.model, [o]),
  )
}

/** A run under way: the log, what is seen in it, and what is counted. */
class Run {
  readonly log: JobEvent[] = []
  readonly run: RobotRun
  private readonly tools: JobTools
  private readonly wrongIds = new Set<string>()
  private readonly stopsAt = new Set<number>()
  private readonly readings = new Set<string>()
  private readonly watch = new ProgressWatch()
  private settledOnce = false
  private falseNow = false
  private letIn = false
  constructor(
    private readonly drawn: Drawn,
    private readonly hand: VirtualHand,
    private readonly trace: boolean,
  ) {
    this.tools = isWide(drawn) ? jobTools(drawn.pin) : toolsFor(drawn.pin)
    this.run = {
      seed: drawn.seed,
      kind: drawn.kind.id,
      answers: 0,
      stuck: null,
      reasons: [],
      valves: drawn.kind.engine.valves.length,
      outOfSpec: [],
      falseIn: [],
      falseSettled: [],
      touchedFalsely: [],
      heldTaken: [],
      wrong: 0,
      wrongMet: 0,
      wrongNamed: 0,
      clashes: 0,
      clashesNamed: 0,
      readings: 0,
      trials: 0,
      moves: 0,
      stops: 0,
      stopsPlanned: 0,
      features: [],
      signedOut: [],
      repeats: [],
      longReadings: [],
      violent: [],
      vain: [],
      closed: emptyBins(),
      arcs: { asked: 0, held: 0 },
      story: [],
    }
  }

  private seen: { upTo: number; view: JobView } | null = null
  look = (): JobView => {
    if (this.seen?.upTo !== this.log.length)
      this.seen = { upTo: this.log.length, view: viewJob(this.tools, this.log, NOON) }
    return this.seen.view
  }

  private record(happening: Happening): JobEvent {
    const n = this.log.length + 1
    const event = {
      ...happening,
      id: `e${n}`,
      seq: n,
      version: 1,
      personId: 1,
      personName: 'Robot',
      deviceId: 'robot',
      deviceSeq: n,
      seenSeq: n - 1,
      at: new Date(NOON + n * 1000).toISOString(),
    } as JobEvent
    this.log.push(event)
    return event
  }

  /** What can be held against the truth before anything is done. */
  private before = (view: JobView, next: NextThing): void => {
    const { virtual } = this.hand
    if (next.step === 'find' && view.state.noted.length > 0) this.calibrate(view)
    const here = stopHere(view)
    if (here && ['measure', 'set', 'prove'].includes(next.step) && next.requirement?.what.kind !== 'turned') {
      this.settledOnce = true
      this.stopsAt.add(view.model.plan.stops.indexOf(here))
      const lifted = here.valves.filter(v => isLifted(virtual, v.valveId)).map(v => v.valveId)
      if (lifted.length && !this.falseNow)
        this.run.falseSettled.push(`${lifted.join(', ')} at ${virtual.crankDeg.toFixed(0)}°`)
      this.falseNow = lifted.length > 0
    }
  }

  /** What an answer did that should not have been done. */
  private done({ next, happening }: Worked): void {
    const { virtual } = this.hand
    if (happening.type === 'gate-passed') this.run.reasons.push(tellEnglish(next.instruction))
    if (happening.type === 'crank' && happening.payload.observations.some(movesCrank)) {
      this.falseNow = false
      if (!this.settledOnce) this.run.moves++
    }
    const screw = happening.type === 'nut-loosened' ? happening.payload.valveId : null
    if (happening.type === 'gate-passed' && next.step === 'find') this.letIn = true
    if (happening.type === 'crank' && happening.payload.observations.some(movesCrank)) this.letIn = false
    // where a reason took the place for granted, the mechanic answers for it
    if (screw && !this.letIn && isLifted(virtual, screw)) {
      this.run.touchedFalsely.push(screw)
      if (heldMm(virtual, valveById(virtual.engine, screw)) > FALSE_FROM_MM) this.run.heldTaken.push(screw)
    }
  }

  private calibrate(view: JobView): void {
    for (const [valveId, p] of Object.entries(view.position.closed)) {
      const bin = this.run.closed[Math.min(9, Math.floor(p * 10))]!
      bin.said += p
      bin.so += Number(closedWithMargin(this.hand.virtual, valveId))
      bin.count++
    }
    this.run.arcs.asked++
    this.run.arcs.held += Number(
      arcsOf(view.pin.spec.engine, crankChance(view.position.belief), ARCS_ASKED_AT).some(arc =>
        inArc(arc, this.hand.virtual.crankDeg),
      ),
    )
  }

  /** What a trial proved, held against the truth. */
  private afterTrial(valveId: string, view: JobView): void {
    const valve = view.state.valves.find(v => v.valveId === valveId)!
    const reading = presentReading(valve)
    this.run.trials++
    const { verdict } = judgeReading(view.pin, reading, valveId)
    if (verdict !== 'unproved') this.readings.add(`${valveId}|${reading?.phase}|${reading?.round}|${reading?.place}`)
    if (verdict === 'in' && !inSpecTruly(view, valveId, this.hand.virtual.gapMm[valveId]!, proofErrorMm(reading)))
      this.run.falseIn.push(`${valveId}, ${reading?.phase}: ${this.hand.virtual.gapMm[valveId]!.toFixed(3)} mm`)
  }

  private answered(view: JobView, worked: Worked): void {
    const { happening, wrong } = worked
    this.run.answers++
    const event = this.record(happening)
    if (this.trace)
      this.run.story.push(`${storyLine(worked)}   [crank truly ${this.hand.virtual.crankDeg.toFixed(0)}°]`)
    if (wrong) this.run.wrong++
    if (happening.type === 'trial') this.afterTrial(happening.payload.valveId, this.look())
    if (wrong && happening.type === 'crank') this.wrongAnswer(view, event, happening.payload.observations)
    if (this.wrongIds.size > 0 && happening.type === 'crank') this.clashAfter(view)
  }

  private wrongAnswer(before: JobView, event: JobEvent, observations: Noted['observation'][]): void {
    this.wrongIds.add(event.id)
    const met = observations.some(o => meetsClashRule(before, [{ id: event.id, observation: o }]))
    if (!met) return
    this.run.wrongMet++
    const { clash } = this.look().position
    if (clash && [...clash.newest, ...clash.against].some(n => n.id.startsWith(event.id))) this.run.wrongNamed++
  }

  private clashAfter(before: JobView): void {
    const { clash } = this.look().position
    if (!clash || before.position.clash) return
    this.run.clashes++
    this.run.clashesNamed += Number(
      [...clash.newest, ...clash.against].some(n => this.wrongIds.has(n.id.split(':')[0]!)),
    )
  }

  go(): RobotRun {
    try {
      for (const { worked, view } of steps(this.hand, this.look, undefined, 400, this.before)) {
        this.done(worked)
        this.watch.saw(worked, view)
        this.answered(view, worked)
        if (worked.happening.type === 'closed') break
      }
    } catch (error) {
      this.run.stuck = (error as Error).message
    }
    return this.ended(this.look())
  }

  private ended(view: JobView): RobotRun {
    const { gapMm } = this.hand.virtual
    this.run.outOfSpec = view.state.valves
      .filter(valve => !inSpecTruly(view, valve.valveId, gapMm[valve.valveId]!, proofErrorMm(latestReading(valve))))
      .map(valve => `${valve.valveId}: ${gapMm[valve.valveId]!.toFixed(3)} mm`)
    const { repeats, longReadings, violent, vain } = this.watch
    Object.assign(this.run, {
      repeats,
      longReadings,
      violent,
      vain,
      features: isWide(this.drawn) ? this.drawn.features : [],
    })
    this.run.signedOut = view.state.valves
      .filter(valve => {
        const reading = latestReading(valve)
        const { verdict } = judgeReading(view.pin, reading, valve.valveId)
        const bandMm = isWide(this.drawn) ? Math.max(0, this.drawn.hand.dragMm - USUAL_HAND.dragMm) : 0
        return (
          view.state.status === 'closed' &&
          verdict === 'in' &&
          !inSpecTruly(view, valve.valveId, gapMm[valve.valveId]!, proofErrorMm(reading) + bandMm)
        )
      })
      .map(valve => `${valve.valveId}: ${gapMm[valve.valveId]!.toFixed(3)} mm`)
    this.run.stops = this.stopsAt.size
    this.run.readings = this.readings.size
    this.run.stopsPlanned = view.model.plan.stops.length
    return this.run
  }
}

/** How exactly the robot stops and feels. From memory. */
const REACH_DEG = 2
const FEEL_MM = 0.001

/**
 * Lets the robot work one drawn engine from cold to signed, doing only what the core says, and holds each step against
 * the hidden truth.
 * The same seed and options give the same run.
 */
export function runRobot(seed: number, { wrongShare, kindId, wide = false, trace = false }: RobotOptions): RobotRun {
  const drawn = wide ? drawWide(seed) : drawEngine(seed, kindId)
  const odd = isWide(drawn) ? drawn.hand : null
  const hand = new VirtualHand(drawn.virtual, {
    random: drawn.random,
    wrongShare,
    reachDeg: odd?.reachDeg ?? REACH_DEG,
    feelMm: FEEL_MM,
    ...(odd ? { bands: { dragMm: odd.dragMm, pinchMm: odd.pinchMm } } : {}),
    ...(odd ? { clicksFromMm: odd.clicksFromMm, turnsBackShare: odd.turnsBackShare } : {}),
  })
  return new Run(drawn, hand, trace).go()
}
