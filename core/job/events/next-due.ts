import { z } from '../../zod'
import { defineEvent } from './define'

/** When the next check is due. */
export const nextDue = defineEvent({
  type: 'next-due',
  payload: z.object({ use: z.number().positive().max(1e7).nullable(), date: z.iso.date().nullable() }),
  fold: (state, due) => {
    state.nextDue = due
  },
})
