import { snapMm } from '../../units'
import { wrong } from '../../wrong'
import { z } from '../../zod'
import { STEPS } from '../steps'

/** Fields that several kinds of events carry. */
export const words = (most: number) =>
  z
    .string()
    .trim()
    .min(1, { error: wrong('wrong.write-a-word-or-two') })
    .max(most, { error: wrong('wrong.too-long', { most }) })
export const valveId = z.string().min(1).max(30)
export const step = z.enum(STEPS)
/** Blades by their engravings, in mm. */
export const bladesMm = z.array(z.number().positive().max(2).transform(snapMm)).min(1).max(3)
export const setName = z.string().min(1).max(60)
export const shimMm = z
  .number({ error: wrong('wrong.give-the-shims-size-in') })
  .min(0.8, { error: wrong('wrong.a-shim-is-0-8') })
  .max(4, { error: wrong('wrong.a-shim-is-0-8') })
  .transform(snapMm)
export const reason = words(300)
/** Parts that a tap takes along with the first. */
export const also = z.array(words(60)).max(40).optional()
