import { z } from '../../zod'
import { defineEvent } from './define'

/** Another person’s job is taken in hand: on their device the keys rest from then on. */
export const takenOver = defineEvent({
  type: 'taken-over',
  payload: z.object({}),
})
