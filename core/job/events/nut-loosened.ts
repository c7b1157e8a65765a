import { z } from '../../zod'
import { onValve } from '../state'
import { loosen } from '../valve-work'
import { defineEvent } from './define'
import { valveId } from './fields'

/** A locknut is free, and where its slot points. */
export const nutLoosened = defineEvent({
  type: 'nut-loosened',
  payload: z.object({ valveId, slotDeg: z.number().min(0).lt(360).nullable().optional() }),
  dependsOnPlace: true,
  projected: true,
  fold: (state, { valveId: id, slotDeg }) => {
    onValve(state, id, valve => loosen(valve, slotDeg ?? null))
    // whoever counted them counts them again
    state.nutsChecked = null
  },
  turnBack: (state, { valveId: id }) =>
    onValve(state, id, valve => {
      valve.nut = 'nipped'
    }),
})
