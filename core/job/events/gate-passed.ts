import type { Said } from '../../said'
import { z } from '../../zod'
import { defineEvent } from './define'
import { reason } from './fields'

/** A fact to be worded where it is read, or as earlier versions kept it the sentence. */
const saidSchema = z.union([z.string().max(200), z.looseObject({ say: z.string().max(80) }) as z.ZodType<Said>])

/** Gone on without what was asked for, with a reason. */
export const gatePassed = defineEvent({
  type: 'gate-passed',
  payload: z.object({ gate: z.string().min(1).max(90), missing: saidSchema, reason }),
  fold: (state, payload, { personName, at }) => {
    state.passed.push({ ...payload, by: personName, at })
  },
})
