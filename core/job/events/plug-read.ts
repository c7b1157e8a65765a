import { z } from '../../zod'
import { defineEvent } from './define'
import { words } from './fields'

/** What the plug looks like. */
export const plugRead = defineEvent({
  type: 'plug-read',
  payload: z.object({ look: words(60) }),
  fold: (state, { look }) => {
    state.plugRead = look
  },
})
