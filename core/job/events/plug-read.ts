import { z } from '../../zod'
import { defineEvent } from './define'
import { words } from './fields'

/** What the plug looks like; which one, where there are several. */
export const plugRead = defineEvent({
  type: 'plug-read',
  payload: z.object({ look: words(60), item: words(60).optional() }),
  fold: (state, { look, item }) => {
    state.plugRead ??= look
    if (item === undefined) state.plugRead = look
    else state.plugLooks[item] = look
  },
})
