import { z } from '../../zod'
import { defineEvent } from './define'

/** The torque wrench in hand, and what stands in line with it. */
export const wrenchTaken = defineEvent({
  type: 'wrench-taken',
  payload: z.object({ wrench: z.string().max(60).nullable(), adapter: z.string().max(60).nullable() }),
  fold: (state, wrench) => {
    state.wrench = wrench
  },
})
