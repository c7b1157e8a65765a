import { COMPLAINTS } from '../../complaint'
import { z } from '../../zod'
import { COMPLAINT_RESULTS } from '../outcomes'
import { defineEvent } from './define'

/** What became of a complaint, once it ran. */
export const complaintAfter = defineEvent({
  type: 'complaint-after',
  payload: z.object({ complaint: z.enum(COMPLAINTS), result: z.enum(COMPLAINT_RESULTS) }),
  fold: (state, { complaint, result }) => {
    state.complaintsAfter[complaint] = result
  },
})
