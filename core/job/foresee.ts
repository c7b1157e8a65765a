import type { JobEvent } from './event'
import type { Happening } from './events'
import { nextThing } from './next'
import { type JobTools, viewJob } from './view'

/** Later than all that was given so far, wherever it was given. */
const LAST = Number.MAX_SAFE_INTEGER

/**
 * Works out what an answer would lead to before it is given: what costs most of it, the belief and what clashes with
 * it, is then in the memory of the job's tools. Nothing is recorded, and no move is weighed.
 * @param nowMs the shop's time in ms since 1970
 */
export function foresee(tools: JobTools, log: JobEvent[], happening: Happening, nowMs: number): void {
  const event = {
    ...happening,
    id: 'foreseen',
    seq: null,
    version: 1,
    personId: 0,
    personName: '',
    deviceId: log.at(-1)?.deviceId ?? 'foreseen',
    deviceSeq: LAST,
    seenSeq: LAST,
    seenDeviceSeq: LAST,
    at: new Date(nowMs).toISOString(),
  } as JobEvent
  // the place found last is that of the screen, and goes by ids: all that are foreseen have the same
  const memoryFor: JobTools['memoryFor'] = found => ({ ...tools.memoryFor(found), last: new Map() })
  nextThing(viewJob({ ...tools, memoryFor, weigh: () => null }, [...log, event], nowMs))
}
