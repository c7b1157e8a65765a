import { z } from 'zod'
import { defineEvent } from './define'

/** Hours since the engine last ran. */
export const rested = defineEvent({
  type: 'rested',
  payload: z.object({
    hours: z
      .number({ error: 'Give the hours as a number.' })
      .min(0, { error: 'Hours cannot be below zero.' })
      .max(10_000, { error: 'That is over a year of hours. Look at the figure.' }),
  }),
  fold: (state, { hours }, { at }) => {
    state.rested = { hours, at }
  },
})
