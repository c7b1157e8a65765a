import { z } from '../../zod'
import { onValve } from '../state'
import { takeScrewCheck } from '../valve-work'
import { defineEvent } from './define'
import { valveId } from './fields'

/** Why a screw that was turned changed nothing; or that it was turned back to where you found it, and locked. */
export const screwChecked = defineEvent({
  type: 'screw-checked',
  payload: z.object({ valveId, found: z.enum(['right', 'other', 'spins', 'turned back']) }),
  dependsOnPlace: true,
  projected: true,
  fold: (state, { valveId: id, found }) => onValve(state, id, valve => takeScrewCheck(state, valve, found)),
})
