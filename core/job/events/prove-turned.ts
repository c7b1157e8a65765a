import { placeSchema } from '../../engine'
import { z } from '../../zod'
import { note } from '../crank-work'
import { beginProof } from '../valve-work'
import { defineEvent } from './define'

/** Turned over by hand, two full turns or more, and where it came to. */
export const proveTurned = defineEvent({
  type: 'prove-turned',
  payload: z.object({ turns: z.number().int().min(2).max(4), to: placeSchema.nullable() }),
  projected: true,
  moves: () => true,
  fold: (state, { turns, to }, { id }) => {
    note(state, id, to ? { kind: 'turns', turns, to } : { kind: 'lost' })
    beginProof(state)
  },
  turnBack: (state, _, backId) => note(state, backId, { kind: 'lost' }),
})
