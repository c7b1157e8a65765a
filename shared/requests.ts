import { z } from '../core/zod'
import { bladeSetSchema, TARGET_SCHOOLS } from '../core/feeler'
import { COMPLAINTS } from '../core/complaint'
import { BLADE_HABITS } from '../core/job/pin'
import { adapterSchema, wrenchSchema } from '../core/torque'
import { engravedShim } from '../core/shim'
import { SCHOOLS } from '../core/stops'
import { wrong } from '../core/wrong'
import { optionalText, text } from '../core/text-field'
import { deviceJobIdSchema, openedAtSchema } from './device-job'
import { languageSchema } from './languages'
import { newPassword, roleSchema } from './people'

/** The shop that somebody signs in to, where more than one is on the server: its short name, or its name. */
const shopAtTheDoor = z.string().trim().max(80).optional()
export const signInSchema = z.object({
  signIn: text(60, 'sign-in name'),
  shop: shopAtTheDoor,
  password: z
    .string()
    .min(1, { error: wrong('wrong.give-the-password') })
    .max(200),
})

/** A lead's one-time code, typed with or without its dash, and the password that is chosen with it. */
export const codeSchema = z.object({
  ...signInSchema.pick({ signIn: true, shop: true }).shape,
  code: z
    .string()
    .trim()
    .toUpperCase()
    .transform(code => code.replaceAll(/[\s-]/g, ''))
    .pipe(z.string().regex(/^[A-Z0-9]{8}$/, { error: wrong('wrong.a-code-has-eight') })),
  next: newPassword,
})

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

export const bladeSetRequestSchema = bladeSetSchema
export const wrenchRequestSchema = wrenchSchema
export const adapterRequestSchema = adapterSchema
export const ownLanguageSchema = z.object({ language: languageSchema })
export const favouriteSetSchema = z.object({ bladeSetId: z.number().int().positive().nullable() })

const SHIM = wrong('wrong.a-shim-is-0-8')
/** Shims come in steps of 0.025 at the finest; one between is a measured size, or a slip. */
const SHIM_STEP_MM = 0.025
export const shimRequestSchema = z.object({
  diameterMm: z
    .number({ error: wrong('wrong.give-the-diameter-in-mm') })
    .min(5, { error: wrong('wrong.a-shim-is-5-to') })
    .max(40, { error: wrong('wrong.a-shim-is-5-to') })
    .transform(v => Math.round(v * 100) / 100),
  sizeMm: z
    .number({ error: wrong('wrong.give-the-thickness-in-mm') })
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
    .number({ error: wrong('wrong.say-how-many') })
    .int({ error: wrong('wrong.count-them-in-whole-pieces') })
    .min(0, { error: wrong('wrong.fewer-than-none-cannot-be') })
    .max(999, { error: wrong('wrong.more-than-999-of-one') }),
})
export type ShimRequest = z.infer<typeof shimRequestSchema>

const email = z.union([z.literal(''), z.email({ error: wrong('wrong.give-the-e-mail-address') })]).default('')
export const customerSchema = z.object({
  name: text(80, 'owner'),
  contact: optionalText(120),
  email,
  language: languageSchema.nullable().default(null),
})
export const owner = z.union([z.object({ id: z.number().int().positive() }), customerSchema], {
  error: wrong('wrong.give-the-owner'),
})
const modelId = z
  .number({ error: wrong('wrong.choose-the-engine-model') })
  .int()
  .positive()
export const machineEditSchema = z.object({
  name: text(80, 'machine'),
  tag: text(20, 'tag').regex(/^[\w .-]+$/, {
    error: wrong('wrong.a-tag-has-letters-digits'),
  }),
  serial: optionalText(60),
  plate: optionalText(20),
  meterUnit: z.enum(['h', 'km', 'mi'], { error: wrong('wrong.choose-hours-km-or-miles') }),
})
export const machineSchema = machineEditSchema.extend({ modelId, customer: owner })
export const ownerChangeSchema = z.object({ customer: owner })
export const mergeSchema = z.object({
  intoId: z
    .number({ error: wrong('wrong.choose-the-one-that-stays') })
    .int()
    .positive(),
})

const on = z.iso.date({ error: wrong('wrong.give-the-day-as-year') })
const meter = z
  .number({ error: wrong('wrong.give-the-meter-reading-as') })
  .min(0, { error: wrong('wrong.a-meter-cannot-be-below') })
  .max(9_999_999, { error: wrong('wrong.that-meter-reading-is-too') })
export const meterSchema = z.object({ on, meter, replaced: z.boolean().default(false) })
export const engineChangeSchema = z.object({ on, modelId, words: optionalText(160) })
const mm = z
  .number({ error: wrong('wrong.give-it-in-mm') })
  .min(0, { error: wrong('wrong.a-clearance-cannot-be-below') })
  .max(5, { error: wrong('wrong.over-5-mm-is-no') })
const interval = z.object({ loMm: mm, hiMm: mm.nullable() }).nullable()
export const pastVisitSchema = z.object({
  on,
  meter: meter.nullable(),
  replaced: z.boolean().default(false),
  words: optionalText(200),
  valves: z.record(z.string().max(30), z.object({ foundMm: interval, leftMm: interval, touched: z.boolean() })),
})

export const photoSchema = z.object({
  job: z.coerce.number().int().optional(),
  caption: optionalText(120),
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

export const weeksSchema = z.object({
  weeks: z.coerce.number().int().min(1).max(60).catch(6),
  most: z.coerce.number().int().min(1).max(300).catch(300),
})
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

export const boardPlaceSchema = z.object({
  personId: z.number().int().positive().nullable(),
  beforeJobId: z.number().int().nullable(),
})
const TASK_NEEDS = ['cold', 'warm', 'either'] as const
export const taskSchema = z.object({
  name: text(80, 'task'),
  needs: z.enum(TASK_NEEDS, { error: wrong('wrong.say-whether-it-wants-the') }),
})
export const taskDoneSchema = z.object({ done: z.boolean(), because: optionalText(160) })

export const openJobSchema = z.object({
  /** Given by the device where the job began without a server, with when that was. */
  id: deviceJobIdSchema.optional(),
  openedAt: openedAtSchema.optional(),
  machineId: z
    .number({ error: wrong('wrong.choose-the-machine') })
    .int()
    .positive(),
  bladeSetId: z
    .number({ error: wrong('wrong.choose-the-blade-set') })
    .int()
    .positive(),
  meter: meter.nullable(),
  meterReplaced: z.boolean().default(false),
  tasks: z
    .array(taskSchema)
    .max(20, { error: wrong('wrong.twenty-other-things-are-enough') })
    .default([]),
  complaints: z.array(z.enum(COMPLAINTS)).max(COMPLAINTS.length).default([]),
  complaint: optionalText(200),
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
/** Which machines are listed, by what stands with them. */
export const MACHINES_SHOWN = ['all', 'here', 'over', 'soon', 'new'] as const
export const MACHINES_SORTED = ['name', 'owner', 'visit', 'due'] as const
/** A page of the list of machines. What is odd in an address is read as the usual: a list is shown, never an error. */
export const machineListSchema = z.object({
  q: z
    .string()
    .default('')
    .transform(q => q.slice(0, 80)),
  owner: z.coerce.number().int().min(0).catch(0).default(0),
  kind: z
    .string()
    .default('')
    .transform(kind => kind.slice(0, 40)),
  show: z.enum(MACHINES_SHOWN).catch('all').default('all'),
  sort: z.enum(MACHINES_SORTED).catch('name').default('name'),
  down: z.enum(['yes', 'no']).catch('no').default('no'),
  from: z.coerce.number().int().min(0).max(1_000_000).catch(0).default(0),
  most: z.coerce.number().int().min(1).max(100).catch(25).default(25),
})
export type MachineListRequest = z.output<typeof machineListSchema>
/** What a machine is looked for by. */
export const findSchema = z.object({
  q: z
    .string()
    .default('')
    .transform(q => q.slice(0, 80)),
})

export const tokenSchema = z.object({ name: text(60, 'token') })
