import { clearanceSchema, ROLES } from '../../engine'
import { z } from '../../zod'
import { defineEvent } from './define'
import { reason } from './fields'

/** Which of two printed figures stands, by a lead. */
export const figureSettled = defineEvent({
  type: 'figure-settled',
  payload: z.object({ role: z.enum(ROLES), clearance: clearanceSchema, reason }),
  projected: true,
  fold: (state, { role, clearance, reason: why }, { personName, at }) => {
    state.figures[role] = { clearance, reason: why, by: personName, at }
  },
})
