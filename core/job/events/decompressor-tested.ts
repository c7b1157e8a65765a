import { ASSUMED_DECOMPRESSOR } from '../../engine'
import { z } from '../../zod'
import { onValve } from '../state'
import { heldAtTop } from '../valve-work'
import { defineEvent } from './define'
import { bladesMm, valveId } from './fields'

/** The same valve felt by blade at the top and past it: held at the top by a decompressor, or not. */
export const decompressorTested = defineEvent({
  type: 'decompressor-tested',
  payload: z.object({ valveId, there: z.boolean(), bladesMm }),
  dependsOnPlace: true,
  projected: true,
  fold: (state, { there }, _, pin) => {
    state.decompressor = there ? 'there' : 'none'
    state.decompressorTested = true
    if (!there) return
    // the same may hold the exhaust of every cylinder
    for (const { id, role } of pin.spec.engine.valves)
      if (role === ASSUMED_DECOMPRESSOR.role) onValve(state, id, heldAtTop)
  },
})
