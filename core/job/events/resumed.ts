import { z } from '../../zod'
import { defineEvent } from './define'

/** The job that waited goes on. */
export const resumed = defineEvent({
  type: 'resumed',
  payload: z.object({}),
  projected: true,
  fold: state => {
    Object.assign(state, { status: 'open', statusReason: null })
  },
})
