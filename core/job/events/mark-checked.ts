import { z } from '../../zod'
import { note } from '../crank-work'
import { defineEvent } from './define'
import { valveId } from './fields'

/** Whether the crank still stands where it was left. */
export const markChecked = defineEvent({
  type: 'mark-checked',
  payload: z.object({ valveId, still: z.boolean() }),
  dependsOnPlace: true,
  projected: true,
  fold: (state, { still }, { id }) => {
    if (still) state.mayHaveMoved = false
    else note(state, id, { kind: 'lost' })
  },
})
