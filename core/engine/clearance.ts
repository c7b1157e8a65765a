import { snapMm } from '../units'
import { wrong } from '../wrong'
import { z } from '../zod'

const words = (most: number) => z.string().trim().max(most)

export const ROLES = ['intake', 'exhaust'] as const
export type Role = (typeof ROLES)[number]

/** No valve of these engines is set closer or wider than this, cold. From memory. */
const LEAST_CLEARANCE_MM = 0.02
const MOST_CLEARANCE_MM = 0.6
/** Whether a valve of these engines may be set so, cold. */
export const isUsualClearance = (mm: number): boolean => mm >= LEAST_CLEARANCE_MM && mm <= MOST_CLEARANCE_MM

/** A figure that no valve is set to, wider or closer, and what may have been meant: “6 thou, 0.152 mm”. */
export interface UnitSlip {
  mm: number
  wide: boolean
  meant: string[]
}
/**
 * What a figure outside that may have been meant as: ten-fold slips do get printed, and inch figures get read as mm.
 * Both readings are named.
 */
export function unitSlip(mm: number): UnitSlip | null {
  if (mm <= 0 || isUsualClearance(mm)) return null
  const meant = [
    [mm > MOST_CLEARANCE_MM ? mm / 10 : mm * 10, ''],
    [mm * 0.0254, `${Number(mm.toFixed(4))} thou, `],
    [mm * 25.4, `${Number(mm.toFixed(4))} in, `],
  ].flatMap(([v, as]) => (isUsualClearance(v as number) ? [`${as}${snapMm(v as number).toFixed(3)} mm`] : []))
  return { mm: Number(mm.toFixed(4)), wide: mm > MOST_CLEARANCE_MM, meant }
}

const slipWords = (mm: number): string | undefined => {
  const slip = unitSlip(mm)
  return slip ? wrong('wrong.unit-slip', slip) : undefined
}

/** Clearances lie in (0, 2 mm]: more than that is a slip of the unit, and what may have been meant is named. */
const clearanceMm = z
  .number({ error: wrong('wrong.a-clearance-give-a-figure') })
  .min(0, { error: wrong('wrong.a-clearance-must-be-0') })
  .max(2, { error: issue => slipWords(issue.input as number) })
  .transform(snapMm)
/** A clearance as the source gives it. `text` and `unit` keep what was printed. */
export const clearanceSchema = z
  .discriminatedUnion('form', [
    z.object({
      form: z.literal('limits'),
      minMm: clearanceMm,
      maxMm: clearanceMm,
      figureMm: clearanceMm.optional(),
      text: words(60),
      unit: z.enum(['mm', 'thou', 'in']),
    }),
    z.object({
      form: z.literal('tolerance'),
      figureMm: clearanceMm,
      toleranceMm: clearanceMm,
      text: words(60),
      unit: z.enum(['mm', 'thou', 'in']),
    }),
    z.object({ form: z.literal('bare'), figureMm: clearanceMm, text: words(60), unit: z.enum(['mm', 'thou', 'in']) }),
  ])
  .superRefine((clearance, context) => {
    if (clearance.form === 'limits' && clearance.minMm >= clearance.maxMm)
      context.addIssue({
        code: 'custom',
        message: wrong('wrong.limits-crossed', { minMm: clearance.minMm, maxMm: clearance.maxMm }),
      })
    if (
      clearance.form === 'limits' &&
      clearance.figureMm !== undefined &&
      (clearance.figureMm < clearance.minMm || clearance.figureMm > clearance.maxMm)
    )
      context.addIssue({
        code: 'custom',
        message: wrong('wrong.figure-outside', {
          figureMm: clearance.figureMm,
          minMm: clearance.minMm,
          maxMm: clearance.maxMm,
        }),
      })
    if (clearance.form === 'tolerance' && clearance.toleranceMm >= clearance.figureMm)
      context.addIssue({
        code: 'custom',
        message: wrong('wrong.tolerance-too-wide', {
          toleranceMm: clearance.toleranceMm,
          figureMm: clearance.figureMm,
          meantMm: snapMm(clearance.toleranceMm / 10),
        }),
      })
    if (clearance.form !== 'limits' && clearance.figureMm <= 0)
      context.addIssue({ code: 'custom', message: wrong('wrong.the-figure-must-be-more') })
  })
export type Clearance = z.infer<typeof clearanceSchema>

/**
 * A second figure for the same valves, from another source: a bulletin, another printing. It is never averaged with the
 * first.
 */
export const otherClearanceSchema = z.object({
  role: z.enum(ROLES),
  clearance: clearanceSchema,
  source: words(160).min(3, { error: wrong('wrong.name-the-source-of-the') }),
})
export type OtherClearance = z.infer<typeof otherClearanceSchema>

/** A figure of an earlier printing that is not to be used, and what corrected it. */
export const supersededSchema = z.object({
  role: z.enum(ROLES),
  text: words(60).min(1),
  source: words(160).min(3, { error: wrong('wrong.name-the-source-of-the') }),
  correctedBy: words(160).min(3, { error: wrong('wrong.name-the-source-of-the') }),
  correctedOn: z.iso.date({ error: wrong('wrong.give-the-date-as-year') }),
})
export type Superseded = z.infer<typeof supersededSchema>
