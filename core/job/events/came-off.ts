import { z } from '../../zod'
import { defineEvent } from './define'
import { also, words } from './fields'

/** A part that came off, to go back in reverse order; others that came off right after it. */
export const cameOff = defineEvent({
  type: 'came-off',
  payload: z.object({ item: words(60), also }),
  fold: (state, { item, also }) => {
    for (const part of [item, ...(also ?? [])]) if (!state.cameOff.includes(part)) state.cameOff.push(part)
  },
})
