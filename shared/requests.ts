import { z } from 'zod'
import { bladeSetSchema } from '../core/feeler'
import { engineSchema } from '../core/engine'
import { SCHOOLS } from '../core/stops'

const text = (most: number, what: string) => z.string({ error: `Give ${what}.` }).trim().min(1, { error: `Give ${what}.` }).max(most, { error: `Keep ${what} under ${most} characters.` })
const optional = (most: number) => z.string().trim().max(most, { error: `Keep it under ${most} characters.` }).default('')

const password = z.string().min(8, { error: 'Use a password of eight characters or more.' }).max(200)
export const signInSchema = z.object({ signIn: text(60, 'the sign-in name'), password: z.string().min(1, { error: 'Give the password.' }).max(200) })

export const personSchema = z.object({ name: text(60, 'a name'), signIn: text(60, 'a sign-in name').regex(/^[\w.@-]+$/, { error: 'A sign-in name has letters, digits, dot, dash, @ and no spaces.' }), password, role: z.enum(['lead', 'mechanic'], { error: 'Choose lead or mechanic.' }) })

const isZone = (zone: string): boolean => {
  try { return Boolean(new Intl.DateTimeFormat('en', { timeZone: zone })) }
  catch { return false }
}
export const setupSchema = z.object({
  shop: text(80, 'the shop’s name'),
  timeZone: text(60, 'a time zone').refine(isZone, { error: 'This time zone is not known. Choose one such as Europe/Lisbon.' }),
  unit: z.enum(['mm', 'thou']),
  lead: personSchema.omit({ role: true }),
})

export const shopSchema = z.object({ favouriteSchool: z.enum(SCHOOLS, { error: 'Choose one of the ways of finding stops, or none.' }).nullable() })

export const modelSchema = z.object({
  maker: text(60, 'the maker'), model: text(60, 'the model'), code: optional(40), kind: optional(40), engine: engineSchema,
})

export const bladeSetRequestSchema = bladeSetSchema

export const machineSchema = z.object({
  name: text(80, 'a name for the machine'), tag: text(20, 'a tag'), serial: optional(60), modelId: z.number({ error: 'Choose the engine model.' }).int().positive(),
  meterUnit: z.enum(['h', 'km', 'mi'], { error: 'Choose hours, km or miles.' }),
  customer: z.union([z.object({ id: z.number().int().positive() }), z.object({ name: text(80, 'the owner’s name'), contact: optional(120) })], { error: 'Give the owner.' }),
})

export const openJobSchema = z.object({
  machineId: z.number({ error: 'Choose the machine.' }).int().positive(), bladeSetId: z.number({ error: 'Choose the blade set.' }).int().positive(),
  meter: z.number({ error: 'Give the meter reading as a number, or leave it empty.' }).min(0, { error: 'A meter cannot be below zero.' }).max(9_999_999, { error: 'That meter reading is too large.' }).nullable(),
  meterReplaced: z.boolean().default(false),
  complaint: optional(200),
})

export type ShopRequest = z.infer<typeof shopSchema>
export type SetupRequest = z.infer<typeof setupSchema>
export type PersonRequest = z.infer<typeof personSchema>
export type ModelRequest = z.infer<typeof modelSchema>
export type MachineRequest = z.infer<typeof machineSchema>
export type OpenJobRequest = z.infer<typeof openJobSchema>
