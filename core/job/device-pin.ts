import { type BladeSet, USUAL_HAND } from '../feeler'
import { type JobPin, JUDGEMENT_VERSION } from './pin'

/** A machine as a job pins it: with its meter as it was read, null where nobody read it, and as it stood before. */
export const pinnedMachine = (
  machine: Omit<JobPin['machine'], 'meter'>,
  { meter, meterReplaced }: { meter: number | null; meterReplaced?: boolean },
): JobPin['machine'] => ({
  id: machine.id,
  name: machine.name,
  tag: machine.tag,
  owner: machine.owner,
  meterUnit: machine.meterUnit,
  meter,
  lastMeter: meterReplaced ? null : machine.lastMeter,
})

/** What a device knows of a job that begins on it. */
export interface BegunHere extends Pick<
  JobPin,
  'jobId' | 'machine' | 'modelName' | 'modelId' | 'spec' | 'complaint' | 'complaints' | 'lastAsLeft'
> {
  bladeSet: BladeSet
  /** What else lies on the shelf. */
  shelf: Pick<JobPin, 'otherSets' | 'wrenches' | 'adapters'>
  ways: Pick<JobPin, 'target' | 'bladeHabit' | 'pairToProve' | 'unit' | 'timeZone' | 'school'>
  openedAt: string
  openedBy: string
}

/**
 * The pin of a job that begins without a server: it is judged by what the device knows. The number, and what the shop
 * knows of locks, shims and drifts, are the server's to give: 0 and nothing until then.
 */
export const devicePin = ({ bladeSet, shelf, ways, ...begun }: BegunHere): JobPin => ({
  ...begun,
  number: 0,
  judgementVersion: JUDGEMENT_VERSION,
  bladeSet,
  ...shelf,
  shimStockMm: [],
  locks: [],
  ...ways,
  hand: USUAL_HAND,
  decompressor: null,
  past: null,
  toDo: [],
  plugsNew: {},
  quick: null,
})
