import type { Envelope } from './envelope'
import type { Happening } from './events'

/** An event of a job’s log. */
export type JobEvent = Envelope & Happening
