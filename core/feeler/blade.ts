import { formatLength, snapMm, thouFromMm } from '../units'
import { wrong } from '../wrong'
import { z } from '../zod'

/** A blade that is bent or worn is not asked for and proves less; a missing one is not there. */
export const BLADE_CONDITIONS = ['good', 'bent', 'worn', 'missing'] as const
export type BladeCondition = (typeof BLADE_CONDITIONS)[number]

/** How far a blade may be off its engraving; off a micrometer reading; and how far when bent or worn. From memory. */
export const BLADE_ERROR_MM = 0.005
export const MEASURED_ERROR_MM = 0.002
export const DOUBTFUL_ERROR_MM = 0.02
/** What each joint of a stack adds. From memory. */
export const JOINT_ERROR_MM = 0.003

const thicknessMm = z
  .number({ error: wrong('wrong.give-the-blades-size-as') })
  .min(0.01, { error: wrong('wrong.a-blade-under-0-01') })
  .max(2, { error: wrong('wrong.a-blade-over-2-mm') })
  .transform(snapMm)
/** More than this between engraving and micrometer is a slip of the pen or another blade. From memory. */
const MOST_OFF_MM = 0.05

/**
 * One blade: its engraving, its size by micrometer where that was taken, and the thicker part behind the tip of a
 * stepped one. mm.
 */
export const bladeSchema = z
  .object({
    mm: thicknessMm,
    measuredMm: thicknessMm.nullable().default(null),
    condition: z.enum(BLADE_CONDITIONS, { error: wrong('wrong.a-blade-is-good-bent') }).default('good'),
    stepMm: thicknessMm.nullable().default(null),
  })
  .superRefine(({ mm, measuredMm, stepMm }, context) => {
    if (measuredMm !== null && Math.abs(measuredMm - mm) > MOST_OFF_MM) {
      const tenfold = [measuredMm / 10, measuredMm * 10].find(v => Math.abs(v - mm) <= MOST_OFF_MM)
      context.addIssue({
        code: 'custom',
        path: ['measuredMm'],
        message: wrong('wrong.blade-measured', {
          engravedMm: formatLength(mm, 'mm'),
          measuredMm: formatLength(measuredMm, 'mm'),
          meantMm: tenfold === undefined ? null : formatLength(snapMm(tenfold), 'mm'),
        }),
      })
    }
    if (stepMm !== null && stepMm <= mm)
      context.addIssue({
        code: 'custom',
        path: ['stepMm'],
        message: wrong('wrong.blade-step', { stepMm: formatLength(stepMm, 'mm'), tipMm: formatLength(mm, 'mm') }),
      })
  })
export type Blade = z.infer<typeof bladeSchema>
/** A blade of which nothing but its engraving is known. mm */
export const plainBlade = (mm: number): Blade => ({ mm, measuredMm: null, condition: 'good', stepMm: null })

/**
 * A blade set of the shop's shelf, as a job pins it: thinnest first. Plain sizes in mm may be given for whole blades.
 */
export const bladeSetSchema = z
  .object({
    name: z
      .string({ error: wrong('wrong.give-the-set-a-name') })
      .trim()
      .min(1, { error: wrong('wrong.give-the-set-a-name') })
      .max(60, { error: wrong('wrong.keep-the-sets-name-under') }),
    unit: z.enum(['mm', 'thou'], { error: wrong('wrong.say-what-the-set-is') }),
    blades: z.array(bladeSchema).optional(),
    bladesMm: z.array(thicknessMm).optional(),
  })
  .transform(({ bladesMm, blades, ...set }) => ({
    ...set,
    blades: [...(blades ?? bladesMm?.map(plainBlade) ?? [])].sort((a, b) => a.mm - b.mm),
  }))
  .superRefine(({ blades }, context) => {
    if (blades.length < 2)
      context.addIssue({ code: 'custom', path: ['blades'], message: wrong('wrong.a-set-needs-two-blades') })
    if (blades.length > 64)
      context.addIssue({ code: 'custom', path: ['blades'], message: wrong('wrong.a-set-of-more-than') })
    const doubled = blades.find(
      (b, i) => blades.findIndex(other => other.mm === b.mm && other.stepMm === b.stepMm) !== i,
    )
    if (doubled)
      context.addIssue({ code: 'custom', path: ['blades'], message: wrong('wrong.blade-twice', { mm: doubled.mm }) })
  })
export type BladeSet = z.infer<typeof bladeSetSchema>

/** A set as an earlier version stored it: a plain list of sizes. */
export function upcastBladeSet(stored: unknown): BladeSet {
  const { name, unit, blades, bladesMm } = stored as Omit<BladeSet, 'blades'> & {
    blades?: Blade[]
    bladesMm?: number[]
  }
  return { name, unit, blades: blades ?? (bladesMm ?? []).map(plainBlade) }
}

/** A thickness of its own that a set has: a whole blade, or the tip or the heel of a stepped one. */
export interface Leaf {
  engravedMm: number
  mm: number
  errorMm: number
  part: 'whole' | 'tip' | 'heel'
  condition: Exclude<BladeCondition, 'missing'>
}

/**
 * The leaves of blades that were asked for before: a set is asked at every trial, and its blades never change in place.
 */
const leavesKnown = new WeakMap<readonly Blade[], readonly Leaf[]>()
/**
 * What a set has to slide in, thinnest first; what is missing is left out. A step is taken as engraved: its heel keeps
 * the tip's offset.
 */
export function leavesOf({ blades }: { blades: readonly Blade[] }): readonly Leaf[] {
  const known = leavesKnown.get(blades) ?? leavesFrom(blades)
  leavesKnown.set(blades, known)
  return known
}

function leavesFrom(blades: readonly Blade[]): Leaf[] {
  return blades
    .flatMap(({ mm, measuredMm, condition, stepMm }): Leaf[] => {
      if (condition === 'missing') return []
      const errorMm =
        condition === 'good' ? (measuredMm === null ? BLADE_ERROR_MM : MEASURED_ERROR_MM) : DOUBTFUL_ERROR_MM
      const whole = {
        engravedMm: mm,
        mm: measuredMm ?? mm,
        errorMm,
        condition,
        part: stepMm === null ? ('whole' as const) : ('tip' as const),
      }
      return stepMm === null
        ? [whole]
        : [whole, { ...whole, engravedMm: stepMm, mm: snapMm(stepMm + (measuredMm ?? mm) - mm), part: 'heel' }]
    })
    .sort((a, b) => a.mm - b.mm)
}

/** The size as it is engraved: "0.08" of a metric set, "3" or "1.5" of one in thou. */
export const engraving = (mm: number, unit: 'mm' | 'thou'): string =>
  unit === 'mm' ? formatLength(mm, 'mm') : String(Number(thouFromMm(mm).toFixed(1)))

/**
 * The same for a shop that works in the other unit: what is engraved, and in brackets what that is. "4 thou (0.102
 * mm)".
 */
export const trialName = (engravedMm: readonly number[], unit: 'mm' | 'thou', shopUnit: 'mm' | 'thou'): string =>
  unit === shopUnit
    ? engravedWords(engravedMm, unit)
    : `${engravedWords(engravedMm, unit)}${unit === 'mm' ? ' mm' : ''} (${unit === 'mm' ? `${engraving(total(engravedMm), 'thou')} thou` : `${formatLength(total(engravedMm), 'mm')} mm`})`
const total = (mm: readonly number[]): number => snapMm(mm.reduce((a, b) => a + b, 0))

/** Blades as a hand takes them: "0.08 + 0.04", "4 thou", "3 + 1.5 thou". */
export const engravedWords = (engravedMm: readonly number[], unit: 'mm' | 'thou'): string =>
  `${engravedMm.map(t => engraving(t, unit)).join(' + ')}${unit === 'thou' ? ' thou' : ''}`
