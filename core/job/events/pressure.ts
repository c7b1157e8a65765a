import { pressureSchema } from '../../complaint'
import { defineEvent } from './define'

/** A cylinder's compression or leak-down, before the valves were touched or after. */
export const pressure = defineEvent({
  type: 'pressure',
  payload: pressureSchema,
  fold: (state, read, { at }) => {
    state.pressures.push({ ...read, at })
  },
})
