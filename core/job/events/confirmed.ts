import { z } from '../../zod'
import { CONFIRMABLE } from '../steps'
import { defineEvent } from './define'

/** The machine, its spec, its valves, that it cannot start, or the cautions of a step. */
export const confirmed = defineEvent({
  type: 'confirmed',
  payload: z.object({ item: z.enum(CONFIRMABLE) }),
  fold: (state, { item }) => {
    state.confirmed.add(item)
  },
})
