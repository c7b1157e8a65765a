import { text } from '../core/text-field'
import { wrong } from '../core/wrong'
import { z } from '../core/zod'
import { languageSchema } from './languages'

/** A password as it is chosen: by a lead for somebody new, or by a person for themselves. */
export const newPassword = z
  .string()
  .min(8, { error: wrong('wrong.use-a-password-of-eight') })
  .max(200)
const known = z
  .string()
  .min(1, { error: wrong('wrong.give-the-password') })
  .max(200)

export const roleSchema = z.object({
  role: z.enum(['lead', 'mechanic'], { error: wrong('wrong.choose-lead-or-mechanic') }),
})
/** What somebody settles for themselves: their name, and the unit that stands first; null as the shop has it. */
export const ownSchema = z.object({
  name: text(60, 'name'),
  unit: z.enum(['mm', 'thou']).nullable(),
})
export const ownPasswordSchema = z
  .object({ password: known, next: newPassword })
  .refine(({ password, next }) => password !== next, {
    path: ['next'],
    error: wrong('wrong.that-is-the-old-password'),
  })
/** A code as it is told once. */
export interface OneTimeCode {
  code: string
  until: string
}

export const signInName = text(60, 'sign-in name').regex(/^[\w.@-]+$/, {
  error: wrong('wrong.a-sign-in-name-has'),
})
export const personSchema = z
  .object({
    name: text(60, 'name'),
    signIn: signInName,
    password: newPassword,
  })
  .extend(roleSchema.shape)
export type PersonRequest = z.infer<typeof personSchema>
export const ownLanguageSchema = z.object({ language: languageSchema })
export const favouriteSetSchema = z.object({ bladeSetId: z.number().int().positive().nullable() })

export type PersonRole = 'lead' | 'mechanic'

export interface PersonRow {
  id: number
  name: string
  signIn: string
  role: PersonRole
  /** When they left; null for whoever works here. */
  endedAt: string | null
}
