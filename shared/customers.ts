import { optionalText, text } from '../core/text-field'
import { wrong } from '../core/wrong'
import { z } from '../core/zod'
import { changeOf } from './change'
import { type Language, languageSchema } from './languages'

const email = z.union([z.literal(''), z.email({ error: wrong('wrong.give-the-e-mail-address') })]).default('')
export const customerSchema = z.object({
  name: text(80, 'owner'),
  contact: optionalText(120),
  email,
  language: languageSchema.nullable().default(null),
})
export type CustomerRequest = z.infer<typeof customerSchema>
export const customerChangeSchema = changeOf(customerSchema)
export type CustomerChange = z.infer<typeof customerChangeSchema>
export const owner = z.union([z.object({ id: z.number().int().positive() }), customerSchema], {
  error: wrong('wrong.give-the-owner'),
})
export const mergeSchema = z.object({
  intoId: z
    .number({ error: wrong('wrong.choose-the-one-that-stays') })
    .int()
    .positive(),
})
export const reminderSchema = z.object({
  customerId: z.number().int().positive(),
  machineIds: z
    .array(z.number().int().positive())
    .min(1, { error: wrong('wrong.choose-a-machine-at-least') })
    .max(100),
  how: z.enum(['copied', 'printed', 'sent']),
  text: text(5000, 'letter'),
  subject: text(150, 'subject'),
})
export type ReminderRequest = z.infer<typeof reminderSchema>

export interface CustomerRow {
  id: number
  name: string
  contact: string
  email: string
  language: Language | null
  machines: number
}
