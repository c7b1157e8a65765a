import { gapByAngle, type Lock, lockOf, type LockShift, lockShift } from '../adjuster'
import type { Interval } from '../feeler'
import { snapMm } from '../units'
import type { JobPin } from './pin'
import type { Reading, ValveState, WorkState } from './state'
import { type JobView, judgeReading } from './view'

/**
 * What one round of a nut did to its gap: at the nip, at the torque, and in all. mm, negative closes; null where it was
 * not read.
 */
interface Round {
  valveId: string
  nipMm: number | null
  torqueMm: number | null
  allMm: number | null
}

/** In one job a reading this wide still tells which way a nut moves a screw, and by about how much. mm */
const WIDEST_HERE_MM = 0.05
/** So many rounds of the same nut weigh as much as all that is known of others. From memory. */
const OWN_WEIGHT = 0.5

function between(before: Interval | null, after: Interval | null): number | null {
  const middle = (i: Interval | null) =>
    i === null || i.hiMm === null || snapMm(i.hiMm - i.loMm) > WIDEST_HERE_MM ? null : (i.loMm + i.hiMm) / 2
  const [from, to] = [middle(before), middle(after)]
  return from === null || to === null ? null : snapMm(to - from)
}

const intervalOf = (pin: JobPin, reading: Reading | undefined): Interval | null =>
  reading?.trials.length ? judgeReading(pin, reading, reading.valveId).reading : null

/** Where the gap stood by its blades and by the screw's angle when a round's nut was tightened. */
function beforeLock(pin: JobPin, valve: ValveState, round: number): Interval | null {
  const inRound = valve.tries.filter(t => t.round === round)
  const tries = inRound.filter(t => t.place === inRound.at(-1)!.place)
  return tries.length === 0
    ? null
    : gapByAngle(
        pin.spec.engine.adjuster,
        tries.map(({ screwDeg, trials }) => ({
          screwDeg,
          reading: judgeReading(pin, { trials, phase: 'before lock' }, valve.valveId).reading,
        })),
        tries.at(-1)!.screwDeg,
      )
}

/** What the nuts of this job did, round by round. */
function roundsOf({ valves }: WorkState, pin: JobPin): Round[] {
  return valves.flatMap(valve =>
    Array.from({ length: valve.round }, (_, i): Round => {
      const read = (phase: Reading['phase']) =>
        intervalOf(
          pin,
          valve.readings.find(r => r.phase === phase && r.round === i + 1),
        )
      const [before, nipped, torqued] = [beforeLock(pin, valve, i + 1), read('nipped'), read('torqued')]
      return {
        valveId: valve.valveId,
        nipMm: between(before, nipped),
        torqueMm: between(nipped, torqued),
        allMm: between(before, torqued),
      }
    }),
  )
}

/** Whole locks of this job, as they are kept: both readings narrow. */
function locksOf({ valves }: WorkState, pin: JobPin): Lock[] {
  return valves.flatMap(valve =>
    valve.readings
      .filter(r => r.phase === 'torqued')
      .flatMap(torqued => {
        const before = valve.readings.find(r => r.phase === 'before lock' && r.round === torqued.round)
        const [from, to] = [intervalOf(pin, before), intervalOf(pin, torqued)]
        const shiftMm = from && to && lockOf(from, to)
        return shiftMm === null ? [] : [{ shiftMm, personId: torqued.personId, modelId: pin.modelId }]
      }),
  )
}

/** What locking is expected to do by the shop's records and this job's own; null until two whole locks are known. */
export const expectedShift = ({ pin, state }: Pick<JobView, 'pin' | 'state'>): LockShift | null =>
  lockShift([...pin.locks, ...locksOf(state, pin)], { personId: state.personId, modelId: pin.modelId })

const median = (values: number[]): number | null => {
  const sorted = [...values].sort((a, b) => a - b)
  return sorted.length === 0 ? null : (sorted[(sorted.length - 1) >> 1]! + sorted[sorted.length >> 1]!) / 2
}
const known = (values: (number | null)[]): number[] => values.filter((v): v is number => v !== null)

/** What a nut is expected to do: from before the nip to after the torque, and from the nip to the torque. */
export interface NutShift {
  /** As the records have it, for its scatter and whose locks it rests on. */
  records: LockShift | null
  allMm: number
  torqueMm: number
  /** Rounds of this very nut in this job that it rests on. */
  ownRounds: number
}

/**
 * What one nut is expected to do. A nut that moved its screw will do it again, so its own rounds in this job count at
 * once; the other nuts of the job and the shop's records count where it has none.
 */
export function nutShift(view: Pick<JobView, 'pin' | 'state'>, valveId: string): NutShift {
  // a mechanic who knows these nuts is believed before the records are, and a nut’s own rounds before both
  const { aimOffMm } = view.state
  const records = aimOffMm === null ? expectedShift(view) : null
  const rounds = roundsOf(view.state, view.pin)
  const own = rounds.filter(r => r.valveId === valveId)
  const blend = (of: (r: Round) => number | null, otherwise: number): number => {
    const mine = known(own.map(of))
    const weight = mine.length / (mine.length + OWN_WEIGHT)
    return mine.length ? weight * median(mine)! + (1 - weight) * otherwise : otherwise
  }
  const others = rounds.filter(r => r.valveId !== valveId)
  const nips = known(others.map(r => r.nipMm))
  // one nut of the job that moved at the nip says something of the next
  const nipElse = nips.length && aimOffMm === null ? (median(nips)! * nips.length) / (nips.length + 1) : 0
  const allElse = aimOffMm ?? records?.shiftMm ?? null
  const nipMm = blend(r => r.nipMm, nipElse)
  const torqueMm = blend(r => r.torqueMm, allElse === null ? 0 : allElse - nipElse)
  const wholes = known(own.map(r => r.allMm))
  return {
    records,
    torqueMm: snapMm(torqueMm),
    allMm: snapMm(wholes.length ? blend(r => r.allMm, allElse ?? nipMm + torqueMm) : nipMm + torqueMm),
    ownRounds: own.filter(r => r.nipMm !== null || r.allMm !== null).length,
  }
}
