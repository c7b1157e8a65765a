import { bladeSchema, type BladeSet, bladeSetSchema } from '../core/feeler'
import { engravedShim } from '../core/shim'
import { type Adapter, adapterSchema, type Wrench, wrenchSchema } from '../core/torque'
import { wrong } from '../core/wrong'
import { z } from '../core/zod'
import { changeOf } from './change'

export const bladeSetRequestSchema = bladeSetSchema
/** A set with a change of some of its blades, and the blades that the change was made from, where they were seen. */
export const bladeSetChangeSchema = bladeSetSchema.and(z.object({ was: z.array(bladeSchema).optional() }))
export type BladeSetChange = z.infer<typeof bladeSetChangeSchema>
export const wrenchRequestSchema = wrenchSchema
export const wrenchChangeSchema = changeOf(wrenchSchema)
export type WrenchChange = z.infer<typeof wrenchChangeSchema>
export const adapterRequestSchema = adapterSchema
export const adapterChangeSchema = changeOf(adapterSchema)
export type AdapterChange = z.infer<typeof adapterChangeSchema>
const SHIM = wrong('wrong.a-shim-is-0-8')

/** Shims come in steps of 0.025 at the finest; one between is a measured size, or a slip. */
const SHIM_STEP_MM = 0.025
const shimCount = z
  .number({ error: wrong('wrong.say-how-many') })
  .int({ error: wrong('wrong.count-them-in-whole-pieces') })
  .min(0, { error: wrong('wrong.fewer-than-none-cannot-be') })
  .max(999, { error: wrong('wrong.more-than-999-of-one') })

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
  count: shimCount,
  /** What was counted on from, where that was seen. */
  was: shimCount.optional(),
})
export type ShimRequest = z.infer<typeof shimRequestSchema>

export type BladeSetRow = BladeSet & { id: number }

export type WrenchRow = Wrench & { id: number }

export type AdapterRow = Adapter & { id: number }

export interface ShimStockRow {
  diameterMm: number
  sizeMm: number
  count: number
}

export interface ShelfResponse {
  bladeSets: BladeSetRow[]
  wrenches: WrenchRow[]
  adapters: AdapterRow[]
  shims: ShimStockRow[]
}
