import { z } from '../../zod'
import { defineEvent } from './define'

/** Whether this job’s proof must be a pair, whatever the shop’s way is. */
export const proofChosen = defineEvent({
  type: 'proof-chosen',
  payload: z.object({ pair: z.boolean() }),
  projected: true,
  fold: (state, { pair }) => {
    state.pairToProve = pair
  },
})
