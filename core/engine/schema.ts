import { z } from 'zod'
import { snapMm } from '../units'

const lengthMm = (least: number, most: number, what: string) => z.number({ error: `${what}: give a figure in mm.` })
  .min(least, { error: `${what} must be ${least} mm or more.` })
  .max(most, { error: `${what} of more than ${most} mm cannot be right.` })
  .transform(snapMm)
const words = (most: number) => z.string().trim().max(most)
const torqueNm = z.number().min(0.5, { error: 'A torque under 0.5 N·m cannot be right.' }).max(300, { error: 'A torque over 300 N·m cannot be right.' })

export const ROLES = ['intake', 'exhaust'] as const
export type Role = typeof ROLES[number]

/** Clearances lie in (0, 2 mm]: more than that is a slip of the unit. */
const clearanceMm = lengthMm(0, 2, 'A clearance')
/** A clearance as the source gives it. `text` and `unit` keep what was printed. */
export const clearanceSchema = z.discriminatedUnion('form', [
  z.object({ form: z.literal('limits'), minMm: clearanceMm, maxMm: clearanceMm, text: words(60), unit: z.enum(['mm', 'thou', 'in']) }),
  z.object({ form: z.literal('tolerance'), figureMm: clearanceMm, toleranceMm: clearanceMm, text: words(60), unit: z.enum(['mm', 'thou', 'in']) }),
  z.object({ form: z.literal('bare'), figureMm: clearanceMm, text: words(60), unit: z.enum(['mm', 'thou', 'in']) }),
]).superRefine((clearance, context) => {
  if (clearance.form === 'limits' && clearance.minMm >= clearance.maxMm)
    context.addIssue({ code: 'custom', message: `The limits are crossed: ${clearance.minMm} is not under ${clearance.maxMm}.` })
  if (clearance.form === 'tolerance' && clearance.toleranceMm >= clearance.figureMm)
    context.addIssue({ code: 'custom', message: `The tolerance ${clearance.toleranceMm} is not smaller than the figure ${clearance.figureMm}.` })
  if (clearance.form !== 'limits' && clearance.figureMm <= 0)
    context.addIssue({ code: 'custom', message: 'The figure must be more than zero.' })
})
export type Clearance = z.infer<typeof clearanceSchema>

const eventDeg = z.number().min(-60).max(120)
/** Cam timing in degrees: opens before, closes after; at `checkLiftMm`, or as seat timing when that is null. */
export const camSchema = z.object({
  checkLiftMm: z.number().positive().max(3).nullable(),
  intakeOpensBeforeTdcDeg: eventDeg, intakeClosesAfterBdcDeg: eventDeg,
  exhaustOpensBeforeBdcDeg: eventDeg, exhaustClosesAfterTdcDeg: eventDeg,
}).superRefine((cam, context) => {
  if (180 + cam.intakeOpensBeforeTdcDeg + cam.intakeClosesAfterBdcDeg < 90) context.addIssue({ code: 'custom', message: 'The intake closes before it has opened: look at the signs.' })
  if (180 + cam.exhaustOpensBeforeBdcDeg + cam.exhaustClosesAfterTdcDeg < 90) context.addIssue({ code: 'custom', message: 'The exhaust closes before it has opened: look at the signs.' })
})
export type Cam = z.infer<typeof camSchema>

/** An automatic decompressor: none, over a local arc `[from, to)` of its valve, or not known. */
export const decompressorSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('none') }),
  z.object({ kind: z.literal('arc'), role: z.enum(ROLES), fromDeg: z.number().min(-360).max(360), toDeg: z.number().min(-360).max(360) }),
  z.object({ kind: z.literal('unknown') }),
])
export type Decompressor = z.infer<typeof decompressorSchema>

/** A line on flywheel or rotor: the cycle angle, in [0, 360), at which it stands at the pointer. */
export const markSchema = z.object({
  letter: words(6),
  angleDeg: z.number().min(0, { error: 'A mark lies at 0 to under 360 degrees.' }).lt(360, { error: 'A mark lies at 0 to under 360 degrees.' }),
  kind: z.enum(['top', 'fire', 'advance']),
})
export type Mark = z.infer<typeof markSchema>

export const adjusterSchema = z.object({
  kind: z.enum(['valve-end', 'pushrod-end', 'pivot-nut']),
  pitchMm: z.number().min(0.3, { error: 'A screw pitch lies between 0.3 and 2 mm.' }).max(2, { error: 'A screw pitch lies between 0.3 and 2 mm.' }),
  pitchAssumed: z.boolean(),
  rockerRatio: z.number().min(0.5).max(3),
  head: z.enum(['slot', 'square', 'hex socket', 'Torx']),
})
export type Adjuster = z.infer<typeof adjusterSchema>

const name = words(30).min(1)
/** One revision of an engine model's data: what a job is judged against. */
export const engineSchema = z.object({
  strokeMm: lengthMm(10, 200, 'The stroke'),
  rodMm: lengthMm(20, 500, 'The rod length').nullable(),
  cylinders: z.array(z.object({ id: name, name, firingAngleDeg: z.number().min(0).lt(720) })).min(1).max(4),
  valves: z.array(z.object({ id: name, cylinderId: name, role: z.enum(ROLES), name, headX: z.number().min(0).max(1), headY: z.number().min(0).max(1) })).min(1).max(16),
  layout: z.enum(['overhead cam', 'push-rods']),
  cam: camSchema.nullable(),
  decompressor: decompressorSchema,
  marks: z.array(markSchema).max(12),
  markWindow: words(80),
  turning: z.object({ direction: z.enum(['clockwise', 'anticlockwise']), seenFrom: words(40).min(1), means: words(80).min(1) }),
  clearance: z.object({ intake: clearanceSchema, exhaust: clearanceSchema }),
  setWhen: z.enum(['cold', 'hot']),
  coldLimitC: z.number().min(10).max(60),
  adjuster: adjusterSchema,
  torques: z.object({ locknutNm: torqueNm.nullable(), coverNm: torqueNm.nullable(), plugNm: torqueNm.nullable() }),
  tools: words(120),
  plugGap: words(40),
  coverPattern: words(60),
  gasket: words(80),
  stripDown: z.array(words(60).min(1)).max(40),
  interval: z.object({ use: z.number().positive().nullable(), months: z.number().int().positive().nullable() }),
  source: words(160).min(3, { error: 'Name the source: manual, printing and page, or bulletin.' }),
  sourceDate: z.iso.date({ error: 'Give the source’s date as year-month-day.' }),
}).superRefine((engine, context) => {
  const cylinders = new Set(engine.cylinders.map(c => c.id))
  const unique = (what: string, ids: string[]) => {
    if (new Set(ids).size < ids.length) context.addIssue({ code: 'custom', path: [what], message: `Two ${what} have the same id.` })
  }
  unique('cylinders', engine.cylinders.map(c => c.id))
  unique('valves', engine.valves.map(v => v.id))
  engine.valves.forEach((valve, i) => {
    if (!cylinders.has(valve.cylinderId)) context.addIssue({ code: 'custom', path: ['valves', i, 'cylinderId'], message: `There is no cylinder “${valve.cylinderId}”.` })
  })
  if (engine.rodMm !== null && engine.rodMm <= engine.strokeMm / 2)
    context.addIssue({ code: 'custom', path: ['rodMm'], message: `A rod of ${engine.rodMm} mm is shorter than the crank throw; it must be well over half the stroke.` })
})
export type Engine = z.infer<typeof engineSchema>
export type Valve = Engine['valves'][number]
export type Cylinder = Engine['cylinders'][number]
