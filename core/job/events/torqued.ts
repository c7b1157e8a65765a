import { z } from '../../zod'
import { COVER, PLUG } from '../strip-down'
import { defineEvent } from './define'
import { words } from './fields'

/** A part was tightened: the cover, the plug, or one that is named. */
export const torqued = defineEvent({
  type: 'torqued',
  payload: z.object({
    what: z.enum(['cover', 'plug', 'part']),
    item: words(60).optional(),
    torqueNm: z.number().positive().max(300).nullable(),
  }),
  fold: (state, { what, item, torqueNm }) => {
    state.torqued[item ?? (what === 'plug' ? PLUG : COVER)] = { torqueNm }
  },
})
