import { z } from '../../zod'
import { defineEvent } from './define'
import { reason } from './fields'

/** The job ends without a sheet. */
export const abandoned = defineEvent({
  type: 'abandoned',
  payload: z.object({ reason }),
  projected: true,
  fold: (state, { reason: why }) => {
    Object.assign(state, { status: 'abandoned', statusReason: why })
  },
})
