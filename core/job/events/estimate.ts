import { z } from 'zod'
import { snapMm } from '../../units'
import { onValve } from '../state'
import { defineEvent } from './define'
import { words, valveId } from './fields'

/** A gap guessed by eye or ear: kept, and no proof. */
export const estimate = defineEvent({
  type: 'estimate',
  payload: z.object({
    valveId,
    mm: z
      .number({ error: 'Give a figure such as 0.15 or 6 thou.' })
      .min(0, { error: 'Give a figure of zero or more.' })
      .max(2, { error: 'An estimate of more than 2 mm cannot be right: look at the unit.' })
      .transform(snapMm),
    text: words(60),
  }),
  fold: (state, { valveId: id, mm, text }, { personName }) =>
    onValve(state, id, valve => {
      valve.estimates.push({ mm, text, by: personName })
    }),
})
