import { z } from '../../zod'
import { defineEvent, said } from './define'
import { words } from './fields'

/** A note for the sheet. */
export const note = defineEvent({
  type: 'note',
  payload: z.object({ text: words(1000) }),
  fold: (state, { text }, event) => {
    state.notes.push(said(event, text))
  },
})
