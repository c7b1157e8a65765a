import { COMPLAINTS } from '../../complaint'
import { z } from '../../zod'
import { defineEvent } from './define'

export const COMPLAINT_RESULTS = ['gone', 'better', 'same'] as const
export type ComplaintResult = (typeof COMPLAINT_RESULTS)[number]

/** What became of a complaint, once it ran. */
export const complaintAfter = defineEvent({
  type: 'complaint-after',
  payload: z.object({ complaint: z.enum(COMPLAINTS), result: z.enum(COMPLAINT_RESULTS) }),
  fold: (state, { complaint, result }) => {
    state.complaintsAfter[complaint] = result
  },
})
