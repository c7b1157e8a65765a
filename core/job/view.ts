import { type Clearance, decompressorPrior, PLANNED_FOR_FROM } from '../engine'
import { type BladePolicy, bladePolicy, judge, type Judgement } from '../feeler'
import { type Advice, adviseBySearch, type LocateMemory, locate, locateMemory, type Noted, type Position, type PositionModel, positionModel } from '../position'
import { firstSchool, type School } from '../stops'
import type { JobEvent } from './event'
import type { JobPin } from './pin'
import { reduceJob } from './reduce'
import { type JobState, latestReading, type Phase, presentReading, type Reading, readingIn, type ValveState } from './state'

/** What is worked out once for a job and used at every answer. */
export interface JobTools {
  pin: JobPin
  /** The engine prepared for inference with the stops of a school; one memory serves all, for what is believed does not hang on the stops. */
  modelFor: (school: School, decompressorThere?: boolean) => PositionModel
  memory: LocateMemory
  /** Weighs the moves where no rule settles the next one; null while that is still being worked out elsewhere. */
  weigh: Weigh
  /** The policy for a valve, expecting what its last reading was, else what the last visit left. */
  policyFor: (valveId: string, expected: { loMm: number, hiMm: number | null } | null) => BladePolicy
}

export type Weigh = (model: PositionModel, position: Position, noted: Noted[]) => Advice | null

export const clearanceOf = (pin: JobPin, valveId: string): Clearance => {
  const role = pin.spec.engine.valves.find(v => v.id === valveId)?.role ?? 'intake'
  return pin.spec.engine.clearance[role]
}

/** @param weigh default: at once, which may take a tenth of a second; a screen passes one that asks a worker */
export function jobTools(pin: JobPin, weigh: Weigh = adviseBySearch): JobTools {
  const models = new Map<string, PositionModel>()
  const policies = new Map<string, BladePolicy>()
  return {
    pin, memory: locateMemory(), weigh,
    modelFor(school, decompressorThere) {
      const key = `${school} ${decompressorThere}`
      let model = models.get(key)
      if (!model) models.set(key, model = positionModel(pin.spec.engine, school, decompressorThere))
      return model
    },
    policyFor(valveId, expected) {
      const key = `${valveId}|${expected?.loMm}|${expected?.hiMm}`
      let policy = policies.get(key)
      if (!policy) {
        const middle = expected && expected.hiMm !== null ? (expected.loMm + expected.hiMm) / 2 : null
        policy = bladePolicy(pin.bladeSet.bladesMm, clearanceOf(pin, valveId), { hand: pin.hand, ...middle === null ? {} : { prior: { meanMm: middle, sigmaMm: 0.02 } } })
        policies.set(key, policy)
      }
      return policy
    },
  }
}

/** From this chance up, a decompressor that was not planned for is planned for. */
const FELT_FROM = 0.3

/** A job as the Bench looks at it: the fold, where the crank is, and the time by which rests are counted. */
export interface JobView { tools: JobTools, pin: JobPin, state: JobState, school: School, model: PositionModel, position: Position, nowMs: number }

/** @param nowMs the shop's time in ms since 1970, passed in: the core has no clock */
export function viewJob(tools: JobTools, log: JobEvent[], nowMs: number): JobView {
  const state = reduceJob(tools.pin, log)
  const { engine } = tools.pin.spec
  const school = state.school ?? firstSchool(engine, tools.pin.school ?? null)
  const look = (model: PositionModel) => ({ tools, pin: tools.pin, state, school, model, nowMs, position: locate(model, state.noted, { memory: tools.memory }) })
  const view = look(tools.modelFor(school))
  // one that was too unlikely to plan for, and now is felt: the stops must lie where it has let go
  const found = engine.decompressor.kind === 'unknown' && decompressorPrior(engine) < PLANNED_FOR_FROM && view.position.decompressor >= FELT_FROM
  return found ? look(tools.modelFor(school, true)) : view
}

export const judgeReading = (pin: JobPin, reading: Reading | undefined, valveId: string): Judgement =>
  judge(reading?.trials ?? [], clearanceOf(pin, valveId), { hand: pin.hand })

/** The verdict in one phase of a valve's work; not measured counts as unproved. */
export const verdictIn = (pin: JobPin, valve: ValveState, phase: Phase): Judgement => judgeReading(pin, readingIn(valve, phase), valve.valveId)

/** The verdict of whatever was measured last. */
export const latestVerdict = (pin: JobPin, valve: ValveState): Judgement => judgeReading(pin, latestReading(valve), valve.valveId)

/** Hours at rest, as stated and counted on since; null when nobody said. */
export function hoursAtRest({ state, nowMs }: Pick<JobView, 'state' | 'nowMs'>): number | null {
  return state.rested === null ? null : state.rested.hours + Math.max(0, (nowMs - Date.parse(state.rested.at)) / 3_600_000)
}

/** Rest that counts as cold where no thermometer says otherwise. From memory. */
export const COLD_AFTER_HOURS = 4

/** Cold enough to measure: the head under the maker's limit, or without a thermometer long enough at rest. */
export function isCold(view: Pick<JobView, 'state' | 'nowMs' | 'pin'>): boolean {
  const { temperature } = view.state
  if (view.pin.spec.engine.setWhen === 'hot') return true
  if (temperature && temperature.celsius <= view.pin.spec.engine.coldLimitC) return true
  const rested = hoursAtRest(view)
  const restSaidLater = view.state.rested !== null && (temperature === null || Date.parse(view.state.rested.at) >= Date.parse(temperature.at))
  return rested !== null && restSaidLater && rested >= COLD_AFTER_HOURS
}

/** The blade policy for a valve: it expects what was read last before this reading, else what the last visit left. */
export function expectedPolicy({ pin, tools }: JobView, valve: ValveState): BladePolicy {
  const present = presentReading(valve)
  const before = valve.readings.filter(r => r !== present && r.trials.length > 0).map(r => judgeReading(pin, r, valve.valveId).reading).findLast(r => r.hiMm !== null)
  return tools.policyFor(valve.valveId, before ?? pin.lastAsLeft?.readings[valve.valveId] ?? null)
}
