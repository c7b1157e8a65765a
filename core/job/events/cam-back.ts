import { z } from '../../zod'
import { note } from '../crank-work'
import { defineEvent } from './define'

/** The cam is back in. */
export const camBack = defineEvent({
  type: 'cam-back',
  payload: z.object({}),
  projected: true,
  fold: (state, _, { id }) => {
    // nobody knows how the crank stands to it until it was looked at again
    state.camOut = false
    note(state, `${id}:cam`, { kind: 'lost' })
    for (const { valveId, shim } of state.valves)
      if (shim.fitted.length) state.noted.push({ id: `${id}:${valveId}`, observation: { kind: 'screw-set', valveId } })
  },
})
