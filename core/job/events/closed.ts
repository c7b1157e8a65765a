import { z } from '../../zod'
import { defineEvent } from './define'

/** Signed. `after`: answers that the signing device held and had not sent; the job is closed once they have arrived. */
export const closed = defineEvent({
  type: 'closed',
  payload: z.object({ after: z.array(z.uuid()).max(1000).optional() }),
  projected: true,
  fold: (state, _, { at, personName }) => {
    Object.assign(state, { status: 'closed', statusReason: null, closedAt: at, closedBy: personName })
  },
})
