import { z } from '../../zod'
import { COVER } from '../strip-down'
import { defineEvent } from './define'
import { words } from './fields'

/** Which gasket went on the cover, or on a part that is named. */
export const gasket = defineEvent({
  type: 'gasket',
  payload: z.object({
    choice: z.enum(['new', 'used again', 'compound']),
    note: z.string().trim().max(200),
    item: words(60).optional(),
  }),
  fold: (state, { item, choice, note }, { personName, at }) => {
    state.gaskets[item ?? COVER] = { choice, note, by: personName, at }
  },
})
