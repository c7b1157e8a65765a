import { snapMm } from '../../units'
import { wrong } from '../../wrong'
import { z } from '../../zod'
import { defineEvent } from './define'

/** What locking does to the gap by the mechanic’s own word, mm, negative closes; null: by what is on record. */
export const aimOffChosen = defineEvent({
  type: 'aim-off-chosen',
  payload: z.object({
    shiftMm: z
      .number({ error: wrong('wrong.give-a-figure-such-as') })
      .min(-0.15, {
        error: wrong('wrong.no-locknut-should-move-the'),
      })
      .max(0.15, {
        error: wrong('wrong.no-locknut-should-move-the'),
      })
      .transform(snapMm)
      .nullable(),
  }),
  fold: (state, { shiftMm }) => {
    state.aimOffMm = shiftMm
  },
})
