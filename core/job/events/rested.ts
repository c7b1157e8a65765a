import { wrong } from '../../wrong'
import { z } from '../../zod'
import { defineEvent } from './define'

/** Hours since the engine last ran. */
export const rested = defineEvent({
  type: 'rested',
  payload: z.object({
    hours: z
      .number({ error: wrong('wrong.give-the-hours-as-a') })
      .min(0, { error: wrong('wrong.hours-cannot-be-below-zero') })
      .max(10_000, { error: wrong('wrong.that-is-over-a-year') }),
  }),
  fold: (state, { hours }, { at }) => {
    state.rested = { hours, at }
  },
})
