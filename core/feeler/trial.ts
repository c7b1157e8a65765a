import { snapMm } from '../units'
import { BLADE_ERROR_MM } from './blade'
import { type Stack, stackErrorMm } from './stacks'

export const FEELS = ['free', 'drag', 'pinched', 'no-go'] as const
export type Feel = (typeof FEELS)[number]

/**
 * One blade, or several on each other, tried on one valve. `id` is the event that recorded it. Thicknesses are true
 * ones in mm; `name` is what is engraved on them, `errorMm` how far they may be off, `doubt` that one is known to be
 * bent or worn.
 */
export interface Trial {
  id: string
  bladesMm: number[]
  engravedMm?: number[]
  set?: string
  feel: Feel
  name?: string
  errorMm?: number
  doubt?: Stack['doubt']
}

/** The thickness of a trial's blades together, in mm on the 0.1 µm grid. */
export const thickness = (trial: Pick<Trial, 'bladesMm'>): number =>
  snapMm(trial.bladesMm.reduce((sum, t) => sum + t, 0))

/** Free and drag: the blade goes. Pinched and no-go: it is refused, for nothing that must be forced proves room. */
export const went = (trial: Pick<Trial, 'feel'>): boolean => trial.feel === 'free' || trial.feel === 'drag'

/**
 * How much more room than the blade a drag may leave, and how much less a pinch; both from memory, learnable per
 * mechanic.
 */
export interface HandBands {
  dragMm: number
  pinchMm: number
}
export const USUAL_HAND: HandBands = { dragMm: 0.015, pinchMm: 0.01 }

/** How far a trial's blades may be off, in mm: as their set says, else as engraved blades are. */
export const trialErrorMm = ({ bladesMm, errorMm }: Pick<Trial, 'bladesMm' | 'errorMm'>): number =>
  errorMm ?? stackErrorMm(bladesMm.map(() => BLADE_ERROR_MM))
