import { z } from '../../zod'
import { defineEvent } from './define'
import { words } from './fields'

/** What came off went back. */
export const wentBack = defineEvent({
  type: 'went-back',
  payload: z.object({ item: words(60) }),
  fold: (state, { item }) => {
    state.wentBack.add(item)
  },
})
