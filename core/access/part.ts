import { wrong } from '../wrong'
import { z } from '../zod'

/** What comes off an engine, or is pulled off it, before its valves can be reached. */
export const PART_KINDS = [
  'cover',
  'screw cap',
  'timing plug',
  'crank cap',
  'spark plug',
  'plug lead',
  'hose',
  'connector',
  'tank',
  'panel',
  'belt cover',
  'other',
] as const
export type PartKind = (typeof PART_KINDS)[number]

/** In which order its fasteners are tightened. */
export const PATTERNS = ['crossing', 'from the middle', 'alternating', 'one at a time'] as const
export type Pattern = (typeof PATTERNS)[number]
export const SEAL_KINDS = ['gasket', 'O-ring', 'half-moon', 'compound'] as const
export type SealKind = (typeof SEAL_KINDS)[number]
export const PART_SIDES = ['left', 'right'] as const

const words = (most: number) =>
  z
    .string()
    .trim()
    .max(most, { error: wrong('wrong.too-long', { most }) })

/** Like fasteners of one part; of an odd one, which it is: “the upper rear one is longer”. */
export const fastenersSchema = z.object({
  count: z
    .number({ error: wrong('wrong.give-how-many-fasteners') })
    .int()
    .min(1, { error: wrong('wrong.give-how-many-fasteners') })
    .max(40, { error: wrong('wrong.give-how-many-fasteners') }),
  /** Major diameter and length under the head, mm, where they are on record. */
  threadMm: z.number().min(2).max(24).nullable().default(null),
  lengthMm: z.number().min(3).max(300).nullable().default(null),
  odd: words(80).default(''),
})
export type Fasteners = z.infer<typeof fastenersSchema>

/** Compound is left to skin no longer than this. From memory: makers say 3 to 15 minutes. */
export const MOST_SKIN_MINUTES = 120
export const sealSchema = z.object({
  kind: z.enum(SEAL_KINDS),
  /** The face or groove that it belongs on. */
  on: words(60).default(''),
  /** How long compound is left to skin, minutes. */
  skinMinutes: z.number().min(1).max(MOST_SKIN_MINUTES).nullable().default(null),
  /** Both faces are cleaned; the ring is oiled. */
  clean: z.boolean().default(false),
  oiled: z.boolean().default(false),
})
export type Seal = z.infer<typeof sealSchema>

/** A part that comes off, with all that is wanted of whoever puts it back. Known by its name among the engine's own. */
export const partSchema = z.object({
  name: words(60).min(1, { error: wrong('wrong.give-it-a-name') }),
  kind: z.enum(PART_KINDS),
  where: words(60).default(''),
  side: z.enum(PART_SIDES).nullable().default(null),
  /** The cylinder that it belongs to: a lead goes on its own plug. */
  cylinderId: z.string().max(30).nullable().default(null),
  fasteners: z.array(fastenersSchema).max(6).default([]),
  tool: words(60).default(''),
  torqueNm: z
    .number()
    .min(0.5, { error: wrong('wrong.a-torque-under-0-5') })
    .max(300, { error: wrong('wrong.a-torque-over-300-n') })
    .nullable()
    .default(null),
  pattern: z.enum(PATTERNS).nullable().default(null),
  seal: sealSchema.nullable().default(null),
  /** What goes wrong here: “thin”, “cracks when too tight”, “rubber washers stay in the cover”. */
  trap: words(100).default(''),
})
export type Part = z.infer<typeof partSchema>

/** More parts than this come off no machine for its valves. From memory. */
const MOST_PARTS = 40
export const partsSchema = z.array(partSchema).max(MOST_PARTS, { error: wrong('wrong.too-many', { most: MOST_PARTS }) })

/** A part of which nothing but its name is known. */
export const plainPart = (name: string, kind: PartKind = 'other'): Part => ({
  name,
  kind,
  where: '',
  side: null,
  cylinderId: null,
  fasteners: [],
  tool: '',
  torqueNm: null,
  pattern: null,
  seal: null,
  trap: '',
})

/** How many fasteners hold a part, odd ones among them. */
export const fastenerCount = ({ fasteners }: Pick<Part, 'fasteners'>): number =>
  fasteners.reduce((sum, { count }) => sum + count, 0)
