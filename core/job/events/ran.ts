import { z } from '../../zod'
import { defineEvent } from './define'

/** How it ran afterwards. */
export const ran = defineEvent({
  type: 'ran',
  payload: z.object({
    result: z.enum(['clean', 'ticks', 'weeps', 'will not start']),
    note: z.string().trim().max(300),
  }),
  fold: (state, ran) => {
    state.ran = ran
  },
})
