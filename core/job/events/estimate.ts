import { snapMm } from '../../units'
import { wrong } from '../../wrong'
import { z } from '../../zod'
import { onValve } from '../state'
import { defineEvent } from './define'
import { valveId, words } from './fields'

/** A gap guessed by eye or ear: kept, and no proof. */
export const estimate = defineEvent({
  type: 'estimate',
  payload: z.object({
    valveId,
    mm: z
      .number({ error: wrong('wrong.give-a-figure-such-as-0') })
      .min(0, { error: wrong('wrong.give-a-figure-of-zero') })
      .max(2, { error: wrong('wrong.an-estimate-of-more-than') })
      .transform(snapMm),
    text: words(60),
  }),
  fold: (state, { valveId: id, mm, text }, { personName }) =>
    onValve(state, id, valve => {
      valve.estimates.push({ mm, text, by: personName })
    }),
})
