import { TARGET_SCHOOLS } from '../../feeler'
import { z } from '../../zod'
import { defineEvent } from './define'

/** Where in the limits this job’s valves are set. */
export const targetChosen = defineEvent({
  type: 'target-chosen',
  payload: z.object({ target: z.enum(TARGET_SCHOOLS) }),
  fold: (state, { target }) => {
    state.target = target
  },
})
