import { likelierBy } from '../complaint'
import { type Clearance, type DecompressorFound, type Role, withDecompressor } from '../engine'
import {
  type BladePolicy,
  bladePolicy,
  type BladeSet,
  type Interval,
  judge,
  type Judgement,
  leavesOf,
  limitsOf,
  type Stack,
  targetOf,
  trialStacks,
} from '../feeler'
import {
  type Advice,
  adviseBySearch,
  locate,
  type LocateMemory,
  locateMemory,
  type Noted,
  type Position,
  type PositionModel,
  positionModel,
} from '../position'
import { firstSchool, type School } from '../stops'
import { HOUR_MS } from '../units'
import type { JobEvent } from './event'
import type { JobState } from './job-state'
import { type JobPin, setNamed } from './pin'
import { reduceJob } from './reduce'
import { latestReading, type Phase, presentReading, type Reading, readingIn, type ValveState } from './state'

/** What a blade policy is made for. `expected` is what was read last, or what the last visit left. */
export interface PolicyKey {
  set: BladeSet
  clearance: Clearance
  role: Role
  pairDemanded: boolean
  expected: Interval | null
  /** A valve with shims is measured more narrowly where it is out. */
  byShim: boolean
}

/** What is worked out once for a job and used at every answer. */
export interface JobTools {
  pin: JobPin
  /**
   * The engine prepared for inference with the stops of a school; one memory serves all, for what is believed does not
   * hang on the stops.
   */
  modelFor: (school: School, decompressor: DecompressorFound | null, oneAtATime: boolean | null) => PositionModel
  /**
   * What is believed of the crank, kept between answers; another one where something was found out about a
   * decompressor.
   */
  memoryFor: (decompressor: DecompressorFound | null) => LocateMemory
  /** Weighs the moves where no rule settles the next one; null while that is still being worked out elsewhere. */
  weigh: Weigh
  /** The blades and stacks of a set that may be asked for on a spec. */
  choicesFor: (set: BladeSet, clearance: Clearance) => Stack[]
  policyFor: (key: PolicyKey) => BladePolicy
  /** How much is asked of whoever works on it before it begins. */
  hands: Hands
}

/** Guided: one thing at a time. Practiced: what needs no look is said together, on one card. */
export const HANDS = ['guided', 'practiced'] as const
export type Hands = (typeof HANDS)[number]

export type Weigh = (model: PositionModel, position: Position, noted: Noted[]) => Advice | null

const roleOf = (pin: JobPin, valveId: string): Role =>
  pin.spec.engine.valves.find(v => v.id === valveId)?.role ?? 'intake'
/** The clearance that the pinned spec gives a valve. */
export const clearanceOf = (pin: JobPin, valveId: string): Clearance => pin.spec.engine.clearance[roleOf(pin, valveId)]

/** Keeps what was made for a key. */
function kept<K, V>(nameOf: (key: K) => string, make: (key: K) => V): (key: K) => V {
  const made = new Map<string, V>()
  return key => {
    const name = nameOf(key)
    let value = made.get(name)
    if (value === undefined) made.set(name, (value = make(key)))
    return value
  }
}

/** So much scatter is expected about a reading that was taken before. mm, from memory. */
const EXPECTED_SIGMA_MM = 0.02

/** @param weigh default: at once, which may take a tenth of a second; a screen passes one that asks a worker */
export function jobTools(
  pin: JobPin,
  weigh: Weigh = adviseBySearch,
  hands: Hands = pin.quick ? 'practiced' : 'guided',
): JobTools {
  const likely = likelierBy(pin.complaints)
  const models = kept<[School, DecompressorFound | null, boolean | null], PositionModel>(
    key => key.join(),
    ([school, decompressor, oneAtATime]) =>
      positionModel(withDecompressor(pin.spec.engine, decompressor), school, oneAtATime, likely.tight),
  )
  const choices = kept<[BladeSet, Clearance], Stack[]>(
    ([set, clearance]) => `${set.name}|${JSON.stringify(clearance)}`,
    ([set, clearance]) => trialStacks(set, clearance),
  )
  const policies = kept<PolicyKey, BladePolicy>(
    ({ set, clearance, role, pairDemanded, expected, byShim }) =>
      JSON.stringify([set.name, clearance, role, pairDemanded, expected?.loMm, expected?.hiMm, byShim]),
    ({ set, clearance, role, pairDemanded, expected, byShim }) => {
      const prior =
        expected && expected.hiMm !== null
          ? { prior: { meanMm: (expected.loMm + expected.hiMm) / 2, sigmaMm: EXPECTED_SIGMA_MM } }
          : {}
      return bladePolicy(choices([set, clearance]), clearance, {
        set,
        hand: pin.hand,
        role,
        pairDemanded,
        byShim,
        unit: pin.unit,
        ...prior,
      })
    },
  )
  return {
    pin,
    hands,
    memoryFor: kept<DecompressorFound | null, LocateMemory>(String, () => locateMemory()),
    weigh,
    modelFor: (school, decompressor, oneAtATime) => models([school, decompressor, oneAtATime]),
    choicesFor: (set, clearance) => choices([set, clearance]),
    policyFor: policies,
  }
}

/** Whether a valve is set by changing its shim. */
export const isShimmed = (pin: JobPin, valveId: string): boolean =>
  pin.spec.engine.valves.find(v => v.id === valveId)?.adjuster === 'shim'

/** Makes the policies that the first blades of a job will ask for, while nobody waits. */
export function preparePolicies(tools: JobTools): void {
  const { pin } = tools
  for (const { id, role } of pin.spec.engine.valves)
    tools.policyFor({
      set: pin.bladeSet,
      clearance: clearanceOf(pin, id),
      role,
      pairDemanded: false,
      expected: pin.lastAsLeft?.readings[id] ?? expectedByComplaint(pin, id),
      byShim: isShimmed(pin, id),
    })([])
}

/**
 * The pin with the revision that was taken and the figures that a lead settled put in: all that is judged goes by them.
 */
export function settledPin(
  begun: JobPin,
  { figures, spec, decompressor, pairToProve }: Pick<JobState, 'figures' | 'spec' | 'decompressor' | 'pairToProve'>,
): JobPin {
  const taken = spec
    ? { revisionId: spec.revisionId, revision: spec.revision, status: 'approved' as const, engine: spec.engine }
    : begun.spec
  const settled = withDecompressor(taken.engine, decompressor)
  const unchanged = taken === begun.spec && settled === taken.engine && pairToProve === null
  const pin: JobPin = unchanged
    ? begun
    : { ...begun, spec: { ...taken, engine: settled }, pairToProve: pairToProve ?? begun.pairToProve }
  if (Object.keys(figures).length === 0) return pin
  const { engine } = pin.spec
  return {
    ...pin,
    spec: {
      ...pin.spec,
      engine: {
        ...engine,
        clearance: {
          intake: figures.intake?.clearance ?? engine.clearance.intake,
          exhaust: figures.exhaust?.clearance ?? engine.clearance.exhaust,
        },
      },
    },
  }
}

/** The blade set in hand. */
export const setInHand = ({ pin, state }: Pick<JobView, 'pin' | 'state'>): BladeSet => setNamed(pin, state.setName)
/** Where in its limits a valve of this job is set to, mm. */
export const targetFor = ({ pin, state }: Pick<JobView, 'pin' | 'state'>, valveId: string): number =>
  targetOf(clearanceOf(pin, valveId), state.target ?? pin.target, roleOf(pin, valveId))

/** A job as the Bench looks at it: the fold, where the crank is, and the time by which rests are counted. */
export interface JobView {
  tools: JobTools
  pin: JobPin
  state: JobState
  school: School
  model: PositionModel
  position: Position
  nowMs: number
}

/** @param nowMs the shop's time in ms since 1970, passed in: the core has no clock */
export function viewJob(tools: JobTools, log: JobEvent[], nowMs: number): JobView {
  const state = reduceJob(tools.pin, log)
  const pin = settledPin(tools.pin, state)
  const { engine } = pin.spec
  const school = state.school ?? firstSchool(engine, pin.school ?? null)
  const model = tools.modelFor(school, state.decompressor, state.oneAtATime)
  return {
    tools,
    pin,
    state,
    school,
    model,
    nowMs,
    position: locate(model, state.noted, { memory: tools.memoryFor(state.decompressor) }),
  }
}

/** What one reading proves. A shop that demands the pair demands it of the proof. */
export const judgeReading = (
  pin: JobPin,
  reading: Pick<Reading, 'trials' | 'phase'> | undefined,
  valveId: string,
): Judgement =>
  judge(reading?.trials ?? [], clearanceOf(pin, valveId), {
    set: setNamed(pin, reading?.trials.at(-1)?.set ?? null),
    hand: pin.hand,
    role: roleOf(pin, valveId),
    unit: pin.unit,
    pairDemanded: pin.pairToProve && reading?.phase === 'proved',
  })

/** The verdict in one phase of a valve's work; not measured counts as unproved. */
export const verdictIn = (pin: JobPin, valve: ValveState, phase: Phase): Judgement =>
  judgeReading(pin, readingIn(valve, phase), valve.valveId)

/** The verdict of whatever was measured last. */
export const latestVerdict = (pin: JobPin, valve: ValveState): Judgement =>
  judgeReading(pin, latestReading(valve), valve.valveId)

/** Hours at rest, as stated and counted on since; null when nobody said. */
export function hoursAtRest({ state, nowMs }: Pick<JobView, 'state' | 'nowMs'>): number | null {
  return state.rested === null
    ? null
    : state.rested.hours + Math.max(0, (nowMs - Date.parse(state.rested.at)) / HOUR_MS)
}

/** Rest that counts as cold where no thermometer says otherwise. From memory. */
export const COLD_AFTER_HOURS = 4

/** A head that is set hot is read at this or more. °C, from memory */
export const WARM_FROM_C = 60

/**
 * Cold enough to measure: the head under the maker's limit by the thermometer, which decides where it was used, or
 * without one long enough at rest. A rest that is older than the last reading says nothing against it. Set hot, the
 * head is read as well.
 */
export function isCold(view: Pick<JobView, 'state' | 'nowMs' | 'pin'>): boolean {
  const { temperature } = view.state
  const { setWhen, coldLimitC } = view.pin.spec.engine
  if (setWhen === 'hot') return temperature !== null && temperature.celsius >= WARM_FROM_C
  if (temperature && temperature.celsius <= coldLimitC) return true
  const sinceRead = temperature ? (view.nowMs - Date.parse(temperature.at)) / HOUR_MS : Infinity
  return (hoursAtRest(view) ?? 0) >= COLD_AFTER_HOURS && sinceRead >= COLD_AFTER_HOURS
}

/** From this chance up, a valve is expected to have no clearance, and the thinnest blade is worth trying first. */
const NO_CLEARANCE_FROM = 0.5

/** A valve whose rocker had no play where it is closed has most likely no clearance. */
function expectedByFeel({ position, ...view }: JobView, valveId: string): Interval | null {
  return (position.noClearance[valveId] ?? 0) < NO_CLEARANCE_FROM
    ? null
    : { loMm: 0, hiMm: leavesOf(setInHand(view))[0]?.mm ?? 0 }
}

/** So far outside its limits a valve is looked for that a complaint speaks of. mm, from memory */
const OUT_BY_MM = 0.02
/** A complaint of tight or loose valves, where nothing better is known: the first blade is tried at that limit. */
function expectedByComplaint(pin: JobPin, valveId: string): Interval | null {
  const { tight, loose } = likelierBy(pin.complaints)
  if (tight === 1 && loose === 1) return null
  const { minMm, maxMm } = limitsOf(clearanceOf(pin, valveId)) ?? { minMm: 0, maxMm: 0 }
  if (maxMm === 0) return null
  return tight > 1
    ? { loMm: Math.max(0, minMm - 2 * OUT_BY_MM), hiMm: minMm }
    : { loMm: maxMm, hiMm: maxMm + 2 * OUT_BY_MM }
}

/**
 * The blade policy for a valve: it expects what was read last before this reading, else what its rocker said, else what
 * the last visit left, else what the complaint speaks of.
 */
export function expectedPolicy(view: JobView, valve: ValveState): BladePolicy {
  const { pin, tools } = view
  const present = presentReading(valve)
  const before = valve.readings
    .filter(r => r !== present && r.trials.length > 0)
    .map(r => judgeReading(pin, r, valve.valveId).reading)
    .findLast(r => r.hiMm !== null)
  return tools.policyFor({
    set: setInHand(view),
    clearance: clearanceOf(pin, valve.valveId),
    role: roleOf(pin, valve.valveId),
    pairDemanded: pin.pairToProve && valve.phase === 'proved',
    expected:
      before ??
      expectedByFeel(view, valve.valveId) ??
      pin.lastAsLeft?.readings[valve.valveId] ??
      expectedByComplaint(pin, valve.valveId),
    byShim: isShimmed(pin, valve.valveId),
  })
}
