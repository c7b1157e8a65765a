import { z } from '../../zod'
import { defineEvent } from './define'
import { reason } from './fields'

/** The job waits. */
export const held = defineEvent({
  type: 'held',
  payload: z.object({ reason }),
  projected: true,
  fold: (state, { reason: why }) => {
    Object.assign(state, { status: 'held', statusReason: why })
  },
})
