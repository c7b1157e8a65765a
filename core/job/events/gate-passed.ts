import { z } from 'zod'
import { defineEvent } from './define'
import { reason } from './fields'

/** Gone on without what was asked for, with a reason. */
export const gatePassed = defineEvent({
  type: 'gate-passed',
  payload: z.object({ gate: z.string().min(1).max(90), missing: z.string().max(200), reason }),
  fold: (state, payload, { personName, at }) => {
    state.passed.push({ ...payload, by: personName, at })
  },
})
