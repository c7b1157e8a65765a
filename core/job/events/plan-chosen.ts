import { z } from '../../zod'
import { defineEvent } from './define'

/** Each cylinder at its own top, one after the other, or the fewest stops. */
export const planChosen = defineEvent({
  type: 'plan-chosen',
  payload: z.object({ oneAtATime: z.boolean() }),
  fold: (state, { oneAtATime }) => {
    state.oneAtATime = oneAtATime
  },
})
