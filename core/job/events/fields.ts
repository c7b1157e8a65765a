import { z } from 'zod'
import { snapMm } from '../../units'
import { STEPS } from '../steps'

/** Fields that several kinds of events carry. */
export const words = (most: number) =>
  z
    .string()
    .trim()
    .min(1, { error: 'Write a word or two.' })
    .max(most, { error: `Keep it under ${most} characters.` })
export const valveId = z.string().min(1).max(30)
export const step = z.enum(STEPS)
/** Blades by their engravings, in mm. */
export const bladesMm = z.array(z.number().positive().max(2).transform(snapMm)).min(1).max(3)
export const setName = z.string().min(1).max(60)
export const shimMm = z
  .number({ error: 'Give the shim’s size in mm.' })
  .min(0.8, { error: 'A shim is 0.8 to 4 mm thick: look at the unit.' })
  .max(4, { error: 'A shim is 0.8 to 4 mm thick: look at the unit.' })
  .transform(snapMm)
export const reason = words(300)
