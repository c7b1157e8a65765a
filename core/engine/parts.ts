import { partsSchema, safeThingsSchema } from '../access'
import { snapMm } from '../units'
import { wrong } from '../wrong'
import { z } from '../zod'
import { clearanceSchema, otherClearanceSchema, ROLES, supersededSchema } from './clearance'
import { headsSchema } from './heads'
import { placeSchema } from './place-schema'

const lengthMm = (least: number, most: number, what: 'bore' | 'stroke' | 'rod') =>
  z
    .number({ error: wrong('wrong.length-missing', { what }) })
    .min(least, { error: wrong('wrong.length-short', { what, limitMm: least }) })
    .max(most, { error: wrong('wrong.length-long', { what, limitMm: most }) })
    .transform(snapMm)
const words = (most: number) => z.string().trim().max(most)
const torqueNm = z
  .number()
  .min(0.5, { error: wrong('wrong.a-torque-under-0-5') })
  .max(300, { error: wrong('wrong.a-torque-over-300-n') })

const eventDeg = z
  .number({ error: wrong('wrong.a-valve-event-is-a') })
  .min(-60, { error: wrong('wrong.a-valve-event-of-less') })
  .max(120, { error: wrong('wrong.a-valve-event-of-more') })
/** The least a valve is open for, at any check lift. Under it, it would close before it has opened. */
const LEAST_OPEN_DEG = 90
/** Cam timing in degrees: opens before, closes after; at `checkLiftMm`, or as seat timing when that is null. */
export const camSchema = z
  .object({
    checkLiftMm: z.number().positive().max(3).nullable(),
    intakeOpensBeforeTdcDeg: eventDeg,
    intakeClosesAfterBdcDeg: eventDeg,
    exhaustOpensBeforeBdcDeg: eventDeg,
    exhaustClosesAfterTdcDeg: eventDeg,
  })
  .superRefine((cam, context) => {
    if (180 + cam.intakeOpensBeforeTdcDeg + cam.intakeClosesAfterBdcDeg < LEAST_OPEN_DEG)
      context.addIssue({
        code: 'custom',
        path: ['intakeClosesAfterBdcDeg'],
        message: wrong('wrong.the-intake-closes-before-it'),
      })
    if (180 + cam.exhaustOpensBeforeBdcDeg + cam.exhaustClosesAfterTdcDeg < LEAST_OPEN_DEG)
      context.addIssue({
        code: 'custom',
        path: ['exhaustClosesAfterTdcDeg'],
        message: wrong('wrong.the-exhaust-closes-before-it'),
      })
  })
export type Cam = z.infer<typeof camSchema>

const heldDeg = z
  .number()
  .min(-360, { error: wrong('wrong.a-decompressors-arc-lies-between') })
  .max(360, { error: wrong('wrong.a-decompressors-arc-lies-between') })
/**
 * An automatic decompressor: none, over a local arc `[from, to)` of its valve (on one cylinder, or on each when that is
 * null), or not known.
 */
export const decompressorSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('none') }),
  z
    .object({
      kind: z.literal('arc'),
      role: z.enum(ROLES),
      fromDeg: heldDeg,
      toDeg: heldDeg,
      cylinderId: z.string().max(30).nullable().default(null),
    })
    .refine(held => held.toDeg > held.fromDeg, {
      path: ['toDeg'],
      error: wrong('wrong.the-decompressor-lets-go-before'),
    }),
  z.object({ kind: z.literal('unknown') }),
])
export type Decompressor = z.infer<typeof decompressorSchema>

/**
 * Where the source says that a valve is measured: at the T line, past its top by so much of the piston, at the maker's
 * stops; or it does not say.
 */
export const measuredAtSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('not said') }),
  z.object({ kind: z.literal('top') }),
  z.object({
    kind: z.literal('past top'),
    dropMm: z
      .number({ error: wrong('wrong.give-how-far-past-its') })
      .min(1, { error: wrong('wrong.under-1-mm-past-the') })
      .max(40, { error: wrong('wrong.more-than-40-mm-past') }),
  }),
  z.object({ kind: z.literal('makers stops') }),
])
export type MeasuredAt = z.infer<typeof measuredAtSchema>

/** What a mark on flywheel or rotor is made as. */
export const MARK_SHAPES = ['line', 'painted line', 'dot', 'hole', 'dash pair', 'letters', 'edge'] as const
export type MarkShape = (typeof MARK_SHAPES)[number]

/** A mark on flywheel or rotor: the cycle angle, in [0, 360), at which it stands at the pointer. */
export const markSchema = z.object({
  /** What it is called: the letters beside it, or, where it has none, what it looks like: “white line”. */
  letter: words(24),
  angleDeg: z
    .number()
    .min(0, { error: wrong('wrong.a-mark-lies-at-0') })
    .lt(360, { error: wrong('wrong.a-mark-lies-at-0') }),
  kind: z.enum(['top', 'fire', 'advance']),
  shape: z.enum(MARK_SHAPES).optional(),
  /** The plug or window it is seen through, where that is another than the marks’ common one. */
  through: words(40).optional(),
})
export type Mark = z.infer<typeof markSchema>

/** How a sign on one sprocket or two looks when it is right. */
export const CAM_PICTURES = [
  ...(['lines level', 'dots face', 'dots up', 'lobes apart'] as const),
  ...(['dot at arrow', 'hole level'] as const),
] as const
export type CamPicture = (typeof CAM_PICTURES)[number]

/** A sign on cam or sprocket, and the cycle angle in [0, 720) at which it stands as the words say. */
export const camMarkSchema = z.object({
  words: words(80).min(3, { error: wrong('wrong.say-how-the-cam-sign') }),
  angleDeg: z
    .number()
    .min(0, { error: wrong('wrong.a-cam-sign-lies-at') })
    .lt(720, { error: wrong('wrong.a-cam-sign-lies-at') }),
  picture: z.enum(CAM_PICTURES).optional(),
  through: words(40).optional(),
})

/**
 * One stop of the maker’s own list, kept as it is printed: where the crank is, how that is recognised, and which valves
 * it serves.
 */
export const makersStopSchema = z.object({
  crankDeg: z
    .number()
    .min(0, { error: wrong('wrong.a-stop-lies-at-0') })
    .lt(720, { error: wrong('wrong.a-stop-lies-at-0') }),
  place: placeSchema,
  valveIds: z.array(words(30).min(1)).min(1, { error: wrong('wrong.this-stop-serves-no-valve') }),
})
export type MakersStop = z.infer<typeof makersStopSchema>

export const VALVE_ADJUSTERS = ['screw', 'shim', 'none'] as const
const SIZE = wrong('wrong.a-key-or-wrench-size')
export const adjusterSchema = z.object({
  kind: z.enum(['valve-end', 'pushrod-end', 'pivot-nut']),
  pitchMm: z
    .number()
    .min(0.3, { error: wrong('wrong.a-screw-pitch-lies-between') })
    .max(2, { error: wrong('wrong.a-screw-pitch-lies-between') }),
  pitchAssumed: z.boolean(),
  /** Major diameter of the thread where it is on record, mm. */
  threadMm: z.number().min(3).max(12).nullable().default(null),
  rockerRatio: z.number().min(0.5).max(3),
  head: z.enum(['slot', 'square', 'hex socket', 'Torx']),
  /** What holds a pivot nut on its stud. Where it is not told: a screw in its center. */
  lockedBy: z.enum(['center screw', 'second nut', 'own grip']).optional(),
  /** Sizes across flats, mm, where they are on record. */
  headMm: z.number().min(1.5, { error: SIZE }).max(12, { error: SIZE }).optional(),
  nutMm: z.number().min(5, { error: SIZE }).max(24, { error: SIZE }).optional(),
})
export type Adjuster = z.infer<typeof adjusterSchema>

/** Shims of an engine that has them: their diameter, and the steps in which sizes come. mm. */
export const shimKindSchema = z.object({
  diameterMm: z
    .number()
    .min(5, { error: wrong('wrong.a-shim-is-5-to') })
    .max(40, { error: wrong('wrong.a-shim-is-5-to') }),
  stepMm: z
    .number()
    .min(0.01, { error: wrong('wrong.shims-come-in-steps-of') })
    .max(0.1, { error: wrong('wrong.shims-come-in-steps-of') }),
})

const name = words(30).min(1)
const FIRING = wrong('wrong.a-firing-angle')
/** Fields whose figure a page may print in another unit, or as limits; what each measures. */
export const MEASURED_FIELDS = {
  coldLimit: 'temperature',
  bore: 'length',
  stroke: 'length',
  rod: 'length',
  shimDiameter: 'length',
  shimStep: 'length',
  checkLift: 'length',
  measuredDrop: 'length',
  locknut: 'torque',
  cover: 'torque',
  plug: 'torque',
} as const
export type MeasuredField = keyof typeof MEASURED_FIELDS

/** What an engine’s data can hold although nobody said it: a usual value stands in its place. */
export const ASSUMABLE = ['stroke', 'seenFrom', 'means'] as const

/** What the crank is turned by. */
export const TURNED_BY = ['crank nut', 'flywheel', 'fan', 'pull starter', 'wheel in gear', 'kick'] as const
export type TurnedBy = (typeof TURNED_BY)[number]

/** One revision of an engine model's data: what a job is judged against. */
export const engineParts = z.object({
  assumed: z.array(z.enum(ASSUMABLE)).optional(),
  /** A figure as the page prints it, where that is not the plain number that is reckoned with: “12 lbf·ft”. */
  printed: z
    .partialRecord(z.enum(Object.keys(MEASURED_FIELDS) as [MeasuredField, ...MeasuredField[]]), words(40))
    .optional(),
  boreMm: lengthMm(10, 200, 'bore').nullable().default(null),
  strokeMm: lengthMm(10, 200, 'stroke'),
  rodMm: lengthMm(20, 500, 'rod').nullable(),
  cylinders: z
    .array(
      z.object({ id: name, name, firingAngleDeg: z.number().min(0, { error: FIRING }).lt(720, { error: FIRING }) }),
    )
    .min(1)
    .max(4),
  valves: z
    .array(
      z.object({
        id: name,
        cylinderId: name,
        role: z.enum(ROLES),
        name,
        headX: z.number().min(0).max(1),
        headY: z.number().min(0).max(1),
        adjuster: z.enum(VALVE_ADJUSTERS).default('screw'),
        /** The maker’s own short sign for it, and how the blade gets there: “from behind, single blade bent”. */
        sign: words(6).optional(),
        access: words(80).optional(),
        /** How far it was dragged from where the drawing would put it, in the drawing’s units. */
        offset: z.object({ x: z.number().min(-400).max(400), y: z.number().min(-400).max(400) }).optional(),
      }),
    )
    .min(1)
    .max(16),
  layout: z.enum(['overhead cam', 'push-rods']),
  cam: camSchema.nullable(),
  decompressor: decompressorSchema,
  measuredAt: measuredAtSchema.default({ kind: 'not said' }),
  marks: z.array(markSchema).max(12),
  /** Where the pointer, notch or window is that the marks are held against. */
  markWindow: words(80),
  camMarks: z.array(camMarkSchema).max(6).default([]),
  makersStops: z.array(makersStopSchema).max(8).default([]),
  turning: z.object({
    direction: z.enum(['clockwise', 'anticlockwise']),
    seenFrom: words(40).min(1),
    means: words(80).min(1),
    by: z.enum(TURNED_BY).optional(),
  }),
  clearance: z.object({ intake: clearanceSchema, exhaust: clearanceSchema }),
  otherClearances: z.array(otherClearanceSchema).max(6).default([]),
  /** The same figures in the page’s other unit, as printed: held against the first, never used. */
  alsoPrinted: z
    .object({ intake: clearanceSchema.nullable(), exhaust: clearanceSchema.nullable() })
    .default({ intake: null, exhaust: null }),
  shim: shimKindSchema.nullable().default(null),
  setWhen: z.enum(['cold', 'hot']),
  coldLimitC: z.number().min(10).max(60),
  adjuster: adjusterSchema,
  torques: z.object({ locknutNm: torqueNm.nullable(), coverNm: torqueNm.nullable(), plugNm: torqueNm.nullable() }),
  tools: words(120),
  plugGap: words(40),
  /** How long a plug serves, on the meter and in months. */
  plugLife: z
    .object({ use: z.number().positive().nullable(), months: z.number().int().positive().nullable() })
    .optional(),
  coverPattern: words(60),
  gasket: words(80),
  stripDown: z.array(words(60).min(1)).max(40),
  /** What comes off, one by one, in order. Where it is not told, the plain list stands, with a cover and a plug. */
  parts: partsSchema.optional(),
  /** What is made safe before anything is turned. Where it is not told, it is asked for in one. */
  safe: safeThingsSchema.optional(),
  heads: headsSchema.optional(),
  superseded: z.array(supersededSchema).max(6).optional(),
  interval: z.object({
    use: z.number().positive().nullable(),
    months: z.number().int().positive().nullable(),
    firstUse: z.number().positive().optional(),
  }),
  source: words(160).min(3, { error: wrong('wrong.name-the-source-manual-printing') }),
  sourceDate: z.iso.date({ error: wrong('wrong.give-the-sources-date-as') }),
})
export type Engine = z.infer<typeof engineParts>
export type Valve = Engine['valves'][number]
export type Cylinder = Engine['cylinders'][number]
