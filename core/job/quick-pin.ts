import type { Complaint } from '../complaint'
import { type Quick, quickEngine } from '../quick'
import { type BegunHere, devicePin } from './device-pin'
import type { JobPin } from './pin'

/** What a quick job is opened with, on the device that begins it and at the server alike. */
export interface QuickOpening extends Pick<
  BegunHere,
  'jobId' | 'bladeSet' | 'shelf' | 'ways' | 'openedAt' | 'openedBy'
> {
  quick: Quick
  /** What it comes for, as chosen. */
  complaints?: Complaint[]
  /** What the job, its engine and its source are called: words that are kept as they were. */
  called: { machine: string; model: string; source: string }
}

/**
 * The pin of a job that begins without a machine on record. Machine, revision and number are the server's to give: 0
 * until then.
 * @throws Error where what was told makes no engine (`quickEngine`)
 */
export const quickPin = ({ quick, called, complaints = [], ...begun }: QuickOpening): JobPin => ({
  ...devicePin({
    ...begun,
    machine: { id: 0, name: called.machine, tag: '', owner: '', meterUnit: 'h', meter: null, lastMeter: null },
    modelName: called.model,
    modelId: null,
    spec: {
      revisionId: 0,
      revision: 1,
      status: 'draft',
      engine: quickEngine(quick, { words: called.source, date: begun.openedAt.slice(0, 10) }),
    },
    complaint: '',
    complaints,
    lastAsLeft: null,
  }),
  quick,
})
