import { wrong } from '../../wrong'
import { z } from '../../zod'
import { onValve } from '../state'
import { defineEvent } from './define'
import { shimMm, valveId } from './fields'

/** The size of a shim, by engraving and micrometer. */
export const shimRead = defineEvent({
  type: 'shim-read',
  payload: z
    .object({ valveId, engravedMm: shimMm.nullable(), measuredMm: shimMm.nullable() })
    .refine(s => s.engravedMm !== null || s.measuredMm !== null, { error: wrong('wrong.give-the-engraved-or-the') }),
  fold: (state, { valveId: id, engravedMm, measuredMm }) =>
    onValve(state, id, valve => {
      Object.assign(valve.shim, { engravedMm, measuredMm })
    }),
})
