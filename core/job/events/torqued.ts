import { z } from '../../zod'
import { defineEvent } from './define'

/** Cover or plug was tightened. */
export const torqued = defineEvent({
  type: 'torqued',
  payload: z.object({ what: z.enum(['cover', 'plug']), torqueNm: z.number().positive().max(300).nullable() }),
  fold: (state, { what, torqueNm }) => {
    state.torqued[what] = { torqueNm }
  },
})
