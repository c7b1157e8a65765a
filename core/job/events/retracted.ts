import { z } from '../../zod'
import { defineEvent } from './define'

/** An answer is taken back: it was recorded wrongly, or what it did was turned back on the engine. */
export const retracted = defineEvent({
  type: 'retracted',
  payload: z.object({ eventId: z.uuid(), how: z.enum(['recorded wrongly', 'turned back']) }),
  projected: true,
})
