import { wrong } from '../core/wrong'
import { z } from '../core/zod'

export const paperSchema = z.object({
  paper: z.enum(['A4', 'Letter'], { error: wrong('wrong.the-paper-is-a4-or') }).default('A4'),
})
export const summarySchema = paperSchema.extend({
  year: z.coerce
    .number({ error: wrong('wrong.give-the-year') })
    .int({ error: wrong('wrong.give-the-year') })
    .min(1990, { error: wrong('wrong.give-a-year-of-this') })
    .max(2100, { error: wrong('wrong.give-a-year-of-this') }),
})
