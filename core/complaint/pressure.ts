import { wrong } from '../wrong'
import { z } from '../zod'

export const PRESSURE_UNITS = ['kPa', 'bar', 'psi'] as const
export type PressureUnit = (typeof PRESSURE_UNITS)[number]
/** Exact: 1 bar is 100 kPa; a pound-force on a square inch by the exact pound, g and inch. kPa */
const KPA_IN: Record<PressureUnit, number> = {
  kPa: 1,
  bar: 100,
  psi: (0.45359237 * 9.80665) / 0.0254 ** 2 / 1000,
}
export const toKPa = (value: number, unit: PressureUnit): number => value * KPA_IN[unit]
export const fromKPa = (kPa: number, unit: PressureUnit): number => kPa / KPA_IN[unit]

/** No gauge at a plug hole shows less or more, turned over by hand, kick or starter. kPa, from memory */
const LEAST_KPA = 200
const MOST_KPA = 2500

/** Whether a gauge at a plug hole can show that. */
export function isCompression(value: number, unit: PressureUnit): boolean {
  const kPa = toKPa(value, unit)
  return kPa >= LEAST_KPA && kPa <= MOST_KPA
}

/** The units in which a figure that cannot be in its own would be one of an engine. */
export const meantUnits = (value: number, unit: PressureUnit): PressureUnit[] =>
  PRESSURE_UNITS.filter(u => u !== unit && isCompression(value, u))

const CYLINDER = z.string().max(30).nullable().default(null)
/** What a gauge said: compression in its own unit, or the share that leaks down. */
export const pressureSchema = z
  .discriminatedUnion('kind', [
    z.object({
      kind: z.literal('compression'),
      when: z.enum(['before', 'after']),
      value: z.number({ error: wrong('wrong.not-a-number') }).positive({ error: wrong('wrong.not-a-number') }),
      unit: z.enum(PRESSURE_UNITS),
      throttle: z.enum(['open', 'shut']),
      engine: z.enum(['warm', 'cold']),
      cylinderId: CYLINDER,
    }),
    z.object({
      kind: z.literal('leak-down'),
      when: z.enum(['before', 'after']),
      value: z
        .number({ error: wrong('wrong.not-a-number') })
        .min(0, { error: wrong('wrong.leak-down-in-percent') })
        .max(100, { error: wrong('wrong.leak-down-in-percent') }),
      engine: z.enum(['warm', 'cold']),
      cylinderId: CYLINDER,
    }),
  ])
  .superRefine((read, context) => {
    if (read.kind !== 'compression') return
    if (isCompression(read.value, read.unit)) return
    context.addIssue({
      code: 'custom',
      path: ['value'],
      message: wrong('wrong.no-such-compression', {
        value: read.value,
        unit: read.unit,
        meant: meantUnits(read.value, read.unit),
      }),
    })
  })
export type Pressure = z.infer<typeof pressureSchema>
