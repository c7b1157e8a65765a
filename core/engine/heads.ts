import { z } from '../zod'

const words = (most: number) => z.string().trim().max(most)

/** How heads stand to one another: cylinders one behind the other, side by side, in a V, or lying opposite. */
export const HEAD_LAYOUTS = ['in line', 'transverse', 'V', 'flat'] as const
export const INTAKE_SIDES = ['rear', 'front', 'left', 'right', 'above', 'between'] as const
/** The angles at which cylinders stand to each other in a V: less is a row, more lies flat. */
export const V_ANGLES_DEG = { least: 15, most: 179 }
/** Heads as they are seen at the machine: which cylinders are on which, and where the intakes are. */
export const headsSchema = z.object({
  layout: z.enum(HEAD_LAYOUTS),
  intakeSide: z.enum(INTAKE_SIDES),
  /** Between the banks of a V, degrees. */
  angleDeg: z.number().min(V_ANGLES_DEG.least).max(V_ANGLES_DEG.most).optional(),
  banks: z
    .array(z.object({ name: words(30).min(1), cylinderIds: z.array(z.string().max(30)).min(1).max(4) }))
    .min(1)
    .max(4),
})
export type Heads = z.infer<typeof headsSchema>
