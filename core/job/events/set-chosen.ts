import { z } from '../../zod'
import { onValve } from '../state'
import { defineEvent } from './define'
import { valveId } from './fields'

/** A valve that is in is set all the same. */
export const setChosen = defineEvent({
  type: 'set-chosen',
  payload: z.object({ valveId }),
  fold: (state, { valveId: id }) =>
    onValve(state, id, valve => {
      valve.setChosen = true
    }),
})
