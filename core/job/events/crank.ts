import { observationSchema } from '../../position'
import { z } from '../../zod'
import { note } from '../crank-work'
import { defineEvent } from './define'

/** What was seen, felt or turned of the crank. */
export const crank = defineEvent({
  type: 'crank',
  payload: z.object({ observations: z.array(observationSchema).min(1).max(8) }),
  dependsOnPlace: true,
  projected: true,
  moves: ({ observations }) => observations.some(o => o.kind !== 'rocker' && o.kind !== 'seen' && o.kind !== 'blade'),
  fold: (state, { observations }, { id }) => observations.forEach((o, i) => note(state, `${id}:${i}`, o)),
  turnBack: (state, _, backId) => note(state, backId, { kind: 'lost' }),
})
