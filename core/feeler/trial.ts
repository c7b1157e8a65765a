import { z } from 'zod'
import { snapMm } from '../units'

export const FEELS = ['free', 'drag', 'pinched', 'no-go'] as const
export type Feel = typeof FEELS[number]

/** One blade, or several on each other, tried on one valve. `id` is the event that recorded it. */
export interface Trial { id: string, bladesMm: number[], feel: Feel }

/** The thickness of a trial's blades together, in mm on the 0.1 µm grid. */
export const thickness = (trial: Pick<Trial, 'bladesMm'>): number => snapMm(trial.bladesMm.reduce((sum, t) => sum + t, 0))

/** Free and drag: the blade goes. Pinched and no-go: it is refused, for nothing that must be forced proves room. */
export const went = (trial: Pick<Trial, 'feel'>): boolean => trial.feel === 'free' || trial.feel === 'drag'

/** How much more room than the blade a drag may leave, and how much less a pinch; both from memory, learnable per mechanic. */
export interface HandBands { dragMm: number, pinchMm: number }
export const USUAL_HAND: HandBands = { dragMm: 0.015, pinchMm: 0.010 }

/** How far a blade may be off its engraving, and what each joint of a stack adds. From memory. */
export const BLADE_ERROR_MM = 0.005
export const JOINT_ERROR_MM = 0.003

/** Error of a blade or stack: blades in quadrature, plus the joints. */
export const bladesErrorMm = (bladesMm: number[]): number =>
  snapMm(Math.sqrt(bladesMm.length) * BLADE_ERROR_MM + (bladesMm.length - 1) * JOINT_ERROR_MM)

/** A blade set of the shop's shelf, as a job pins it: thicknesses in mm, thinnest first. */
export const bladeSetSchema = z.object({
  name: z.string().trim().min(1, { error: 'Give the set a name.' }).max(60),
  unit: z.enum(['mm', 'thou']),
  bladesMm: z.array(z.number().min(0.01, { error: 'A blade under 0.01 mm is not made.' }).max(2, { error: 'A blade over 2 mm is not a feeler blade: look at the unit.' }).transform(snapMm))
    .min(2, { error: 'A set needs two blades at least.' }).max(64, { error: 'A set of more than 64 blades is not made.' }),
}).superRefine((set, context) => {
  const doubled = set.bladesMm.find((t, i) => set.bladesMm.indexOf(t) !== i)
  if (doubled !== undefined) context.addIssue({ code: 'custom', path: ['bladesMm'], message: `The blade ${doubled} mm is there twice.` })
}).transform(set => ({ ...set, bladesMm: [...set.bladesMm].sort((a, b) => a - b) }))
export type BladeSet = z.infer<typeof bladeSetSchema>
