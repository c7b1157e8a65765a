import { z } from 'zod'
import { FEELS, TARGET_SCHOOLS } from '../feeler'
import { clearanceSchema, engineSchema, placeSchema, ROLES } from '../engine'
import { observationSchema } from '../position'
import { SCHOOLS } from '../stops'
import { snapMm } from '../units'
import { BLADE_HABITS } from './pin'

const text = (most: number) =>
  z
    .string()
    .trim()
    .min(1, { error: 'Write a word or two.' })
    .max(most, { error: `Keep it under ${most} characters.` })
const valveId = z.string().min(1).max(30)
/** Blades by their engravings, in mm. */
const bladesMm = z.array(z.number().positive().max(2).transform(snapMm)).min(1).max(3)
const setName = z.string().min(1).max(60)
const sizeMm = z
  .number({ error: 'Give a figure such as 0.15 or 6 thou.' })
  .min(0, { error: 'Give a figure of zero or more.' })
  .max(2, { error: 'An estimate of more than 2 mm cannot be right: look at the unit.' })
  .transform(snapMm)
const shimMm = z
  .number({ error: 'Give the shim’s size in mm.' })
  .min(0.8, { error: 'A shim is 0.8 to 4 mm thick: look at the unit.' })
  .max(4, { error: 'A shim is 0.8 to 4 mm thick: look at the unit.' })
  .transform(snapMm)
export const STEPS = ['ready', 'find', 'measure', 'set', 'prove', 'close'] as const
export type Step = (typeof STEPS)[number]
const step = z.enum(STEPS)

/** The wrench that locked a nut, what it was set to, and what was wrong with it. */
const torquedBySchema = z.object({
  wrench: z.string().max(60),
  adapter: z.string().max(60).nullable(),
  settingNm: z.number().positive().max(2000),
  doubts: z.array(z.string().max(200)).max(4),
})

/** What can have happened to the gap just before a blade was tried. */
export const gapChangeSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('screw'), deg: z.number().min(-3600).max(3600) }),
  z.object({ kind: z.literal('nipped') }),
  z.object({
    kind: z.literal('torqued'),
    torqueNm: z.number().positive().max(300).nullable(),
    by: torquedBySchema.optional(),
  }),
])
export type GapChange = z.infer<typeof gapChangeSchema>

/** The payload of each kind of event, version 1. A later version is upcast when it is read, never rewritten. */
export const payloadSchemas = {
  'confirmed': z.object({
    item: z.enum(['machine', 'spec', 'valves', 'safe', ...STEPS.map(s => `cautions-${s}` as const)]),
  }),
  'temperature': z.object({
    celsius: z
      .number({ error: 'Give the temperature as a number.' })
      .min(-40, { error: 'Under −40 °C is no engine at a bench.' })
      .max(250, { error: 'Over 250 °C is not a head at a bench. Look at the unit.' }),
    airC: z
      .number({ error: 'Give the air as a number.' })
      .min(-40, { error: 'Air under −40 °C is no bench.' })
      .max(60, { error: 'Air over 60 °C is no bench. Look at the unit.' })
      .optional(),
  }),
  'rested': z.object({
    hours: z
      .number({ error: 'Give the hours as a number.' })
      .min(0, { error: 'Hours cannot be below zero.' })
      .max(10_000, { error: 'That is over a year of hours. Look at the figure.' }),
  }),
  'came-off': z.object({ item: text(60) }),
  'put-in': z.object({ item: text(60) }),
  'plug-read': z.object({ look: text(60) }),
  'finding': z.object({ text: text(500), step }),
  'school-chosen': z.object({ school: z.enum(SCHOOLS) }),
  'crank': z.object({ observations: z.array(observationSchema).min(1).max(8) }),
  'mark-checked': z.object({ valveId, still: z.boolean() }),
  'trial': z.object({
    valveId,
    bladesMm,
    set: setName.optional(),
    feel: z.enum(FEELS),
    after: gapChangeSchema.nullable(),
  }),
  'estimate': z.object({ valveId, mm: sizeMm, text: text(60) }),
  'blades-taken': z.object({ set: setName }),
  'target-chosen': z.object({ target: z.enum(TARGET_SCHOOLS) }),
  /** Whether this job’s proof must be a pair, whatever the shop’s way is. */
  'proof-chosen': z.object({ pair: z.boolean() }),
  /** What locking does to the gap by the mechanic’s own word, mm, negative closes; null: by what is on record. */
  'aim-off-chosen': z.object({
    shiftMm: z
      .number({ error: 'Give a figure such as 0.02 or 1 thou.' })
      .min(-0.15, { error: 'A lock that moves the gap by more than 0.15 mm is one to mend first: look at the unit.' })
      .max(0.15, { error: 'A lock that moves the gap by more than 0.15 mm is one to mend first: look at the unit.' })
      .transform(snapMm)
      .nullable(),
  }),
  /** Each cylinder at its own top, one after the other, or the fewest stops. */
  'plan-chosen': z.object({ oneAtATime: z.boolean() }),
  'blade-habit-chosen': z.object({ habit: z.enum(BLADE_HABITS) }),
  'wrench-taken': z.object({ wrench: z.string().max(60).nullable(), adapter: z.string().max(60).nullable() }),
  'figure-settled': z.object({ role: z.enum(ROLES), clearance: clearanceSchema, reason: text(300) }),
  /** A revision that came into force while the job was open takes the place of the one it began with. */
  'spec-taken': z.object({
    revisionId: z.number().int().positive(),
    revision: z.number().int().positive(),
    engine: engineSchema,
  }),
  'shim-read': z
    .object({ valveId, engravedMm: shimMm.nullable(), measuredMm: shimMm.nullable() })
    .refine(s => s.engravedMm !== null || s.measuredMm !== null, { error: 'Give the engraved or the measured size.' }),
  'shim-fitted': z.object({
    valveId,
    mm: shimMm,
    from: z.enum(['stock', 'bought', 'valve']),
    fromValveId: valveId.nullable(),
  }),
  'cam-back': z.object({}),
  'set-chosen': z.object({ valveId }),
  'nut-loosened': z.object({ valveId, slotDeg: z.number().min(0).lt(360).nullable().optional() }),
  /** The same valve felt by blade at the top and past it: held at the top by a decompressor, or not. */
  'decompressor-tested': z.object({ valveId, there: z.boolean(), bladesMm }),
  /** Why a screw that was turned changed nothing; or that it was turned back to where it was found, and locked. */
  'screw-checked': z.object({ valveId, found: z.enum(['right', 'other', 'spins', 'turned back']) }),
  'prove-turned': z.object({ turns: z.number().int().min(2).max(4), to: placeSchema.nullable() }),
  'gate-passed': z.object({ gate: z.string().min(1).max(90), missing: z.string().max(200), reason: text(300) }),
  'came-out': z.object({ item: text(60) }),
  'went-back': z.object({ item: text(60) }),
  'gasket': z.object({ choice: z.enum(['new', 'used again', 'compound']), note: z.string().trim().max(200) }),
  'torqued': z.object({ what: z.enum(['cover', 'plug']), torqueNm: z.number().positive().max(300).nullable() }),
  'replaced': z.object({ text: text(200) }),
  'ran': z.object({ result: z.enum(['clean', 'ticks', 'weeps', 'will not start']), note: z.string().trim().max(300) }),
  'note': z.object({ text: text(1000) }),
  'next-due': z.object({ use: z.number().positive().max(1e7).nullable(), date: z.iso.date().nullable() }),
  /** Another person's job is taken in hand: on their device the keys rest from then on. */
  'taken-over': z.object({}),
  'held': z.object({ reason: text(300) }),
  'resumed': z.object({}),
  'abandoned': z.object({ reason: text(300) }),
  /** `after`: answers that the signing device held and had not sent; the job is closed once they have arrived. */
  'closed': z.object({ after: z.array(z.uuid()).max(1000).optional() }),
  'reopened': z.object({ reason: text(300) }),
  'placed': z.object({ eventId: z.uuid(), when: z.enum(['before', 'after']) }),
  'retracted': z.object({ eventId: z.uuid(), how: z.enum(['recorded wrongly', 'turned back']) }),
} as const

export type EventType = keyof typeof payloadSchemas
export const EVENT_TYPES = Object.keys(payloadSchemas) as [EventType, ...EventType[]]
export type Payload<T extends EventType> = z.infer<(typeof payloadSchemas)[T]>

/** A happening without its envelope: what an answer key says. */
export type Happening = { [T in EventType]: { type: T; payload: Payload<T> } }[EventType]

/**
 * An event of a job's log. `seq` is the server's, null while the event waits in a browser; `seenSeq` is the last the device
 * had seen. `seenDeviceSeq` is the last number that the browser had given when the page opened the job: all of its own
 * store up to there was on the screen. Events of earlier versions have none.
 */
export interface Envelope {
  id: string
  seq: number | null
  version: 1
  personId: number
  personName: string
  deviceId: string
  deviceSeq: number
  seenSeq: number
  seenDeviceSeq?: number
  /** When it happened, ISO 8601 with offset, by the device's clock. */
  at: string
}
export type JobEvent = Envelope & Happening

/** Parses type and payload together. @throws ZodError naming the field */
export function parseHappening(type: EventType, payload: unknown): Happening {
  return { type, payload: payloadSchemas[type].parse(payload) } as Happening
}
