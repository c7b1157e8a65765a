import { z } from '../../zod'
import { defineEvent } from './define'
import { reason } from './fields'

/** A lead opened it again. */
export const reopened = defineEvent({
  type: 'reopened',
  payload: z.object({ reason }),
  projected: true,
  fold: (state, { reason: why }) => {
    Object.assign(state, { status: 'open', statusReason: why, closedAt: null, closedBy: null })
  },
})
