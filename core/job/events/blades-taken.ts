import { z } from '../../zod'
import { defineEvent } from './define'
import { setName } from './fields'

/** Another blade set is in hand. */
export const bladesTaken = defineEvent({
  type: 'blades-taken',
  payload: z.object({ set: setName }),
  fold: (state, { set }) => {
    state.setName = set
  },
})
