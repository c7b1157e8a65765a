import { z } from '../../zod'
import { onValve } from '../state'
import { fitShim } from '../valve-work'
import { defineEvent } from './define'
import { shimMm, valveId } from './fields'

/** Another shim is in. */
export const shimFitted = defineEvent({
  type: 'shim-fitted',
  payload: z.object({
    valveId,
    mm: shimMm,
    from: z.enum(['stock', 'bought', 'valve']),
    fromValveId: valveId.nullable(),
  }),
  projected: true,
  fold: (state, payload) => onValve(state, payload.valveId, valve => fitShim(state, valve, payload)),
})
