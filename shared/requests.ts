import { z } from 'zod'
import { bladeSetSchema, TARGET_SCHOOLS } from '../core/feeler'
import { BLADE_HABITS } from '../core/job/pin'
import { adapterSchema, wrenchSchema } from '../core/torque'
import { engravedShim } from '../core/shim'
import { SCHOOLS } from '../core/stops'

const text = (most: number, what: string) =>
  z
    .string({ error: `Give ${what}.` })
    .trim()
    .min(1, { error: `Give ${what}.` })
    .max(most, { error: `Keep ${what} under ${most} characters.` })
const optional = (most: number) =>
  z
    .string()
    .trim()
    .max(most, { error: `Keep it under ${most} characters.` })
    .default('')

const password = z.string().min(8, { error: 'Use a password of eight characters or more.' }).max(200)
export const signInSchema = z.object({
  signIn: text(60, 'the sign-in name'),
  password: z.string().min(1, { error: 'Give the password.' }).max(200),
})

export const personSchema = z.object({
  name: text(60, 'a name'),
  signIn: text(60, 'a sign-in name').regex(/^[\w.@-]+$/, {
    error: 'A sign-in name has letters, digits, dot, dash, @ and no spaces.',
  }),
  password,
  role: z.enum(['lead', 'mechanic'], { error: 'Choose lead or mechanic.' }),
})

const isZone = (zone: string): boolean => {
  try {
    return Boolean(new Intl.DateTimeFormat('en', { timeZone: zone }))
  } catch {
    return false
  }
}
export const setupSchema = z.object({
  shop: text(80, 'the shop’s name'),
  timeZone: text(60, 'a time zone').refine(isZone, {
    error: 'This time zone is not known. Choose one such as Europe/Lisbon.',
  }),
  unit: z.enum(['mm', 'thou']),
  lead: personSchema.omit({ role: true }),
})

const minutes = (what: string) =>
  z
    .int({ error: `Say in whole minutes how long ${what} takes.` })
    .min(5, `Say at least 5 minutes for ${what}.`)
    .max(480, `Say at most 480 minutes, a working day, for ${what}.`)
export const shopSchema = z
  .object({
    favouriteSchool: z.enum(SCHOOLS, { error: 'Choose one of the ways of finding stops, or none.' }).nullable(),
    target: z.enum(TARGET_SCHOOLS, { error: 'Choose where in the limits valves are set.' }),
    bladeHabit: z.enum(BLADE_HABITS, { error: 'Choose where the blade is while the nut is locked.' }),
    pairToProve: z.boolean({ error: 'Say whether a proof must be a pair.' }),
    valveMinutes: minutes('the valves of a machine'),
    taskMinutes: minutes('another task'),
  })
  .partial()

export const bladeSetRequestSchema = bladeSetSchema
export const wrenchRequestSchema = wrenchSchema
export const adapterRequestSchema = adapterSchema
export const favouriteSetSchema = z.object({ bladeSetId: z.number().int().positive().nullable() })

const SHIM = 'A shim is 0.8 to 4 mm thick: look at the unit.'
/** Shims come in steps of 0.025 at the finest; one between is a measured size, or a slip. */
const SHIM_STEP_MM = 0.025
export const shimRequestSchema = z.object({
  diameterMm: z
    .number({ error: 'Give the diameter in mm.' })
    .min(5, { error: 'A shim is 5 to 40 mm across.' })
    .max(40, { error: 'A shim is 5 to 40 mm across.' })
    .transform(v => Math.round(v * 100) / 100),
  sizeMm: z
    .number({ error: 'Give the thickness in mm.' })
    .min(0.8, { error: SHIM })
    .max(4, { error: SHIM })
    .transform((mm, context) => {
      try {
        return engravedShim(mm, SHIM_STEP_MM)
      } catch (error) {
        context.addIssue({ code: 'custom', message: (error as Error).message })
        return z.NEVER
      }
    }),
  count: z
    .number({ error: 'Say how many.' })
    .int({ error: 'Count them in whole pieces.' })
    .min(0, { error: 'Fewer than none cannot be.' })
    .max(999, { error: 'More than 999 of one size cannot be right.' }),
})
export type ShimRequest = z.infer<typeof shimRequestSchema>

const email = z
  .union([z.literal(''), z.email({ error: 'Give the e-mail address as name@place, or leave it empty.' })])
  .default('')
export const customerSchema = z.object({ name: text(80, 'the owner’s name'), contact: optional(120), email })
const owner = z.union([z.object({ id: z.number().int().positive() }), customerSchema], { error: 'Give the owner.' })
const modelId = z.number({ error: 'Choose the engine model.' }).int().positive()
export const machineEditSchema = z.object({
  name: text(80, 'a name for the machine'),
  tag: text(20, 'a tag').regex(/^[\w .-]+$/, {
    error: 'A tag has letters, digits, dot, dash and spaces: it is printed as a code.',
  }),
  serial: optional(60),
  plate: optional(20),
  meterUnit: z.enum(['h', 'km', 'mi'], { error: 'Choose hours, km or miles.' }),
})
export const machineSchema = machineEditSchema.extend({ modelId, customer: owner })
export const ownerChangeSchema = z.object({ customer: owner })
export const mergeSchema = z.object({ intoId: z.number({ error: 'Choose the one that stays.' }).int().positive() })

const on = z.iso.date({ error: 'Give the day as year-month-day, such as 2026-05-01.' })
const meter = z
  .number({ error: 'Give the meter reading as a number.' })
  .min(0, { error: 'A meter cannot be below zero.' })
  .max(9_999_999, { error: 'That meter reading is too large.' })
export const meterSchema = z.object({ on, meter, replaced: z.boolean().default(false) })
export const engineChangeSchema = z.object({ on, modelId, words: optional(160) })
const mm = z
  .number({ error: 'Give it in mm.' })
  .min(0, { error: 'A clearance cannot be below zero.' })
  .max(5, { error: 'Over 5 mm is no clearance: look at the unit.' })
const interval = z.object({ loMm: mm, hiMm: mm.nullable() }).nullable()
export const pastVisitSchema = z.object({
  on,
  meter: meter.nullable(),
  replaced: z.boolean().default(false),
  words: optional(200),
  valves: z.record(z.string().max(30), z.object({ foundMm: interval, leftMm: interval, touched: z.boolean() })),
})

export const photoSchema = z.object({ job: z.coerce.number().int().positive().optional(), caption: optional(120) })
export const reminderSchema = z.object({
  customerId: z.number().int().positive(),
  machineIds: z.array(z.number().int().positive()).min(1, { error: 'Choose a machine at least.' }).max(100),
  how: z.enum(['copied', 'printed', 'sent']),
  text: text(5000, 'what the owner is told'),
  subject: text(150, 'a subject'),
})

export const weeksSchema = z.object({
  weeks: z.coerce.number().int().min(1).max(60).catch(6),
  most: z.coerce.number().int().min(1).max(300).catch(300),
})
export const paperSchema = z.object({
  paper: z.enum(['A4', 'Letter'], { error: 'The paper is A4 or Letter.' }).default('A4'),
})
export const summarySchema = paperSchema.extend({
  year: z.coerce
    .number({ error: 'Give the year.' })
    .int({ error: 'Give the year.' })
    .min(1990, { error: 'Give a year of this shop.' })
    .max(2100, { error: 'Give a year of this shop.' }),
})

export const boardPlaceSchema = z.object({
  personId: z.number().int().positive().nullable(),
  beforeJobId: z.number().int().positive().nullable(),
})
const TASK_NEEDS = ['cold', 'warm', 'either'] as const
export const taskSchema = z.object({
  name: text(80, 'what is to be done'),
  needs: z.enum(TASK_NEEDS, { error: 'Say whether it wants the engine cold, warm, or either.' }),
})
export const taskDoneSchema = z.object({ done: z.boolean(), because: optional(160) })

export const openJobSchema = z.object({
  machineId: z.number({ error: 'Choose the machine.' }).int().positive(),
  bladeSetId: z.number({ error: 'Choose the blade set.' }).int().positive(),
  meter: meter.nullable(),
  meterReplaced: z.boolean().default(false),
  tasks: z.array(taskSchema).max(20, { error: 'Twenty other things are enough for one visit.' }).default([]),
  complaint: optional(200),
})

export type ShopRequest = z.infer<typeof shopSchema>
export type SetupRequest = z.infer<typeof setupSchema>
export type PersonRequest = z.infer<typeof personSchema>
export type MachineRequest = z.infer<typeof machineSchema>
export type MachineEditRequest = z.infer<typeof machineEditSchema>
export type CustomerRequest = z.infer<typeof customerSchema>
export type OwnerChangeRequest = z.infer<typeof ownerChangeSchema>
export type MeterRequest = z.infer<typeof meterSchema>
export type EngineChangeRequest = z.infer<typeof engineChangeSchema>
export type PastVisitRequest = z.infer<typeof pastVisitSchema>
export type ReminderRequest = z.infer<typeof reminderSchema>
export type PlaceRequest = z.infer<typeof boardPlaceSchema>
export type TaskRequest = z.infer<typeof taskSchema>
export type OpenJobRequest = z.infer<typeof openJobSchema>

/** Events of a job after a number: what the browser has seen is left out. */
export const afterSchema = z.object({ after: z.coerce.number().int().min(0).catch(0).default(0) })
/** What a machine is looked for by. */
export const findSchema = z.object({
  q: z
    .string()
    .default('')
    .transform(q => q.slice(0, 80)),
})
