import { z } from 'zod'
import { snapMm } from '../../units'
import { defineEvent } from './define'

/** What locking does to the gap by the mechanic’s own word, mm, negative closes; null: by what is on record. */
export const aimOffChosen = defineEvent({
  type: 'aim-off-chosen',
  payload: z.object({
    shiftMm: z
      .number({ error: 'Give a figure such as 0.02 or 1 thou.' })
      .min(-0.15, {
        error: 'No locknut should move the gap by more than 0.15 mm. Check the unit, or fix the lock first.',
      })
      .max(0.15, {
        error: 'No locknut should move the gap by more than 0.15 mm. Check the unit, or fix the lock first.',
      })
      .transform(snapMm)
      .nullable(),
  }),
  fold: (state, { shiftMm }) => {
    state.aimOffMm = shiftMm
  },
})
