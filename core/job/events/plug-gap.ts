import { wrong } from '../../wrong'
import { z } from '../../zod'
import { PLUG_ENDS } from '../outcomes'
import { PLUG } from '../strip-down'
import { defineEvent } from './define'
import { also, words } from './fields'

const gapMm = z
  .number({ error: wrong('wrong.give-the-plugs-gap') })
  .min(0.2, { error: wrong('wrong.a-plugs-gap-is') })
  .max(2, { error: wrong('wrong.a-plugs-gap-is') })

/** What a plug’s gap was and what it was left at, or that a new one went in; which one, where there are several. */
export const plugGap = defineEvent({
  type: 'plug-gap',
  payload: z.object({
    item: words(60).optional(),
    also,
    was: z.enum(PLUG_ENDS),
    foundMm: gapMm.optional(),
    leftMm: gapMm.optional(),
  }),
  fold: (state, { item, also, was, foundMm, leftMm }) => {
    for (const plug of [item ?? PLUG, ...(also ?? [])])
      state.plugGaps[plug] = { was, foundMm: foundMm ?? null, leftMm: leftMm ?? null }
  },
})
