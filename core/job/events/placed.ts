import { z } from '../../zod'
import { defineEvent } from './define'

/** An answer of another device counts before the movement, or after it. */
export const placed = defineEvent({
  type: 'placed',
  payload: z.object({ eventId: z.uuid(), when: z.enum(['before', 'after']) }),
  projected: true,
})
