import { z } from 'zod'
import { onValve } from '../state'
import { heldAtTop } from '../valve-work'
import { defineEvent } from './define'
import { valveId, bladesMm } from './fields'

/** The same valve felt by blade at the top and past it: held at the top by a decompressor, or not. */
export const decompressorTested = defineEvent({
  type: 'decompressor-tested',
  payload: z.object({ valveId, there: z.boolean(), bladesMm }),
  dependsOnPlace: true,
  projected: true,
  fold: (state, { valveId: id, there }) => {
    state.decompressor = there ? 'there' : 'none'
    state.decompressorTested = true
    if (there) onValve(state, id, heldAtTop)
  },
})
