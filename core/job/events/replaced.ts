import { z } from '../../zod'
import { defineEvent, said } from './define'
import { words } from './fields'

/** A part that was replaced. */
export const replaced = defineEvent({
  type: 'replaced',
  payload: z.object({ text: words(200) }),
  fold: (state, { text }, event) => {
    state.replaced.push(said(event, text))
  },
})
