import { z } from '../../zod'
import { defineEvent } from './define'

/** Which gasket went on the cover. */
export const gasket = defineEvent({
  type: 'gasket',
  payload: z.object({ choice: z.enum(['new', 'used again', 'compound']), note: z.string().trim().max(200) }),
  fold: (state, gasket) => {
    state.gasket = gasket
  },
})
