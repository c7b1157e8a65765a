import { z } from '../../zod'
import { defineEvent } from './define'
import { also, words } from './fields'

/** What came off went back. */
export const wentBack = defineEvent({
  type: 'went-back',
  payload: z.object({ item: words(60), also }),
  fold: (state, { item, also }) => {
    for (const part of [item, ...(also ?? [])]) state.wentBack.add(part)
  },
})
