import { z } from '../../zod'
import { defineEvent } from './define'
import { words } from './fields'

/** Hours that “parked overnight” stands for. */
const OVERNIGHT_HOURS = 12
/** What can be said to be so together with others. */
const READY_LINES = ['machine', 'spec', 'cold', 'safe', 'valves'] as const
export type ReadyLine = (typeof READY_LINES)[number]

/**
 * What a practiced hand says before the work in one answer: each line that stood on the card and was left on it. What
 * was taken off it is asked one at a time.
 */
export const readied = defineEvent({
  type: 'readied',
  payload: z.object({ lines: z.array(z.enum(READY_LINES)).max(5), off: z.array(words(60)).max(40) }),
  fold: (state, { lines, off }, { at }) => {
    state.readied = true
    for (const line of lines)
      if (line === 'cold') state.rested = { hours: OVERNIGHT_HOURS, at }
      else state.confirmed.add(line)
    for (const item of off) if (!state.cameOff.includes(item)) state.cameOff.push(item)
  },
})
