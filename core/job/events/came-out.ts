import { z } from '../../zod'
import { defineEvent } from './define'
import { words } from './fields'

/** What went in came out. */
export const cameOut = defineEvent({
  type: 'came-out',
  payload: z.object({ item: words(60) }),
  fold: (state, { item }) => {
    state.cameOut.add(item)
  },
})
