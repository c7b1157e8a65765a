import { z } from '../../zod'
import { defineEvent } from './define'
import { also, words } from './fields'

/** What came off went back; torqued with it, where one fastener holds it. */
export const wentBack = defineEvent({
  type: 'went-back',
  payload: z.object({ item: words(60), also, torqueNm: z.number().positive().max(300).optional() }),
  fold: (state, { item, also, torqueNm }) => {
    for (const part of [item, ...(also ?? [])]) state.wentBack.add(part)
    if (torqueNm !== undefined) state.torqued[item] = { torqueNm }
  },
})
