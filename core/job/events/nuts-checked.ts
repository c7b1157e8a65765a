import { wrong } from '../../wrong'
import { z } from '../../zod'
import { defineEvent } from './define'

/** How many locknuts were gone over before the cover goes on, touched or not. */
export const nutsChecked = defineEvent({
  type: 'nuts-checked',
  payload: z.object({
    count: z
      .number({ error: wrong('wrong.count-the-locknuts') })
      .int({ error: wrong('wrong.count-the-locknuts') })
      .min(0, { error: wrong('wrong.count-the-locknuts') })
      .max(16, { error: wrong('wrong.count-the-locknuts') }),
  }),
  fold: (state, { count }) => {
    state.nutsChecked = count
  },
})
