import { z } from '../../zod'
import { defineEvent } from './define'
import { words } from './fields'

/** A rag or a tool that went in, and must come out. */
export const putIn = defineEvent({
  type: 'put-in',
  payload: z.object({ item: words(60) }),
  fold: (state, { item }) => {
    if (!state.putIn.includes(item)) state.putIn.push(item)
  },
})
