import type { JobEvent } from './event'
import type { Payload } from './events'
import type { WorkState } from './state'

/** A job as its log tells it: the work, and what is to be said of the log itself. */
export interface JobState extends WorkState {
  /** Answers of two devices that have no order yet. */
  unplaced: JobEvent[]
  /** The answers that were taken back, each with who did it. */
  takenBack: { event: JobEvent; by: string; at: string; how: Payload<'retracted'>['how'] }[]
}
