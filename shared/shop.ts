import { TARGET_SCHOOLS } from '../core/feeler'
import { BLADE_HABITS } from '../core/job/pin'
import { SCHOOLS } from '../core/stops'
import { text } from '../core/text-field'
import { wrong } from '../core/wrong'
import { z } from '../core/zod'
import { changeOf } from './change'
import { languageSchema } from './languages'
import { personSchema } from './people'

const isZone = (zone: string): boolean => {
  try {
    return Boolean(new Intl.DateTimeFormat('en', { timeZone: zone }))
  } catch {
    return false
  }
}
const shopName = text(80, 'shop')
const timeZone = text(60, 'time zone').refine(isZone, { error: wrong('wrong.this-time-zone-is-not') })
const unit = z.enum(['mm', 'thou'])
export const setupSchema = z.object({
  shop: shopName,
  timeZone,
  unit,
  lead: personSchema.omit({ role: true }),
})
export type SetupRequest = z.infer<typeof setupSchema>
const minutes = (what: 'valves' | 'task') =>
  z
    .int({ error: wrong('wrong.minutes-whole', { what }) })
    .min(5, wrong('wrong.minutes-least', { what }))
    .max(480, wrong('wrong.minutes-most', { what }))
export const shopSchema = z
  .object({
    name: shopName,
    timeZone,
    unit,
    language: languageSchema.nullable(),
    favouriteSchool: z.enum(SCHOOLS, { error: wrong('wrong.choose-one-of-the-ways') }).nullable(),
    target: z.enum(TARGET_SCHOOLS, { error: wrong('wrong.choose-where-in-the-limits') }),
    bladeHabit: z.enum(BLADE_HABITS, { error: wrong('wrong.choose-where-the-blade-is') }),
    pairToProve: z.boolean({ error: wrong('wrong.say-whether-a-proof-must') }),
    valveMinutes: minutes('valves'),
    taskMinutes: minutes('task'),
  })
  .partial()
export type ShopRequest = z.infer<typeof shopSchema>
export const shopChangeSchema = changeOf(shopSchema)
export type ShopChange = z.infer<typeof shopChangeSchema>
