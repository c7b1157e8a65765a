import { engineSchema, upcastEngine } from '../../engine'
import { z } from '../../zod'
import { defineEvent } from './define'

/** A revision that came into force while the job was open takes the place of the one it began with. */
export const specTaken = defineEvent({
  type: 'spec-taken',
  payload: z.object({
    revisionId: z.number().int().positive(),
    revision: z.number().int().positive(),
    engine: engineSchema,
  }),
  projected: true,
  fold: (state, payload, { personName, at }) => {
    state.spec = { ...payload, engine: upcastEngine(payload.engine), by: personName, at }
    state.figures = {}
  },
})
