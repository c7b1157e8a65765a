import { z } from '../../zod'
import { defineEvent } from './define'
import { words } from './fields'

/** A part that came off, to go back in reverse order. */
export const cameOff = defineEvent({
  type: 'came-off',
  payload: z.object({ item: words(60) }),
  fold: (state, { item }) => {
    if (!state.cameOff.includes(item)) state.cameOff.push(item)
  },
})
