import { type BladeSet, USUAL_HAND } from '../feeler'
import { type Quick, quickEngine } from '../quick'
import { JUDGEMENT_VERSION, type JobPin } from './pin'

/** What a quick job is opened with, on the device that begins it and at the server alike. */
export interface QuickOpening {
  jobId: number
  quick: Quick
  bladeSet: BladeSet
  /** What else lies on the shelf, as far as the opener knows. */
  shelf: Pick<JobPin, 'otherSets' | 'wrenches' | 'adapters'>
  ways: Pick<JobPin, 'target' | 'bladeHabit' | 'pairToProve' | 'unit' | 'school'>
  /** What the job, its engine and its source are called: words that are kept as they were. */
  called: { machine: string; model: string; source: string }
  openedAt: string
  openedBy: string
}

/**
 * The pin of a job that begins without a machine on record. Machine, revision and number are the server's to give: 0
 * until then.
 * @throws Error where what was told makes no engine (`quickEngine`)
 */
export function quickPin({ jobId, quick, bladeSet, shelf, ways, called, openedAt, openedBy }: QuickOpening): JobPin {
  return {
    jobId,
    number: 0,
    judgementVersion: JUDGEMENT_VERSION,
    machine: { id: 0, name: called.machine, tag: '', owner: '', meterUnit: 'h', meter: null, lastMeter: null },
    modelName: called.model,
    modelId: null,
    spec: {
      revisionId: 0,
      revision: 1,
      status: 'draft',
      engine: quickEngine(quick, { words: called.source, date: openedAt.slice(0, 10) }),
    },
    bladeSet,
    ...shelf,
    shimStockMm: [],
    locks: [],
    ...ways,
    hand: USUAL_HAND,
    decompressor: null,
    past: null,
    quick,
    complaint: '',
    openedAt,
    openedBy,
    lastAsLeft: null,
  }
}
