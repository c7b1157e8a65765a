import { z } from '../../zod'
import { defineEvent } from './define'
import { also, words } from './fields'

/** What the plug looks like; which one, where there are several, and which others look the same. */
export const plugRead = defineEvent({
  type: 'plug-read',
  payload: z.object({ look: words(60), item: words(60).optional(), also }),
  fold: (state, { look, item, also }) => {
    state.plugRead ??= look
    if (item === undefined) state.plugRead = look
    else for (const plug of [item, ...(also ?? [])]) state.plugLooks[plug] = look
  },
})
