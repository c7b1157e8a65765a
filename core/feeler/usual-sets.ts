import { mmFromThou, snapMm } from '../units'
import { type BladeSet, plainBlade } from './blade'

const every = (from: number, to: number, step: number): number[] =>
  Array.from({ length: Math.round((to - from) / step) + 1 }, (_, i) => snapMm(from + i * step))
const thou = (...sizes: number[]): number[] => sizes.map(mmFromThou)

/** How feeler sets are usually sold, by unit and sizes. From memory; whoever has another corrects the sizes. */
const PATTERNS: { unit: BladeSet['unit']; sizesMm: number[] }[] = [
  { unit: 'mm', sizesMm: [...every(0.05, 0.3, 0.05), ...every(0.4, 1, 0.1)] },
  { unit: 'mm', sizesMm: every(0.05, 1, 0.05) },
  { unit: 'mm', sizesMm: [0.03, ...every(0.04, 0.1, 0.01), ...every(0.15, 0.5, 0.05)] },
  { unit: 'thou', sizesMm: thou(1.5, 2, 2.5, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15, 16, 17, 18, 19, 20, 22, 25) },
  { unit: 'thou', sizesMm: thou(2, 3, 4, 5, 6, 7, 8, 10, 12, 15, 20, 25) },
]

/** A set as it is usually sold, without a name. */
export interface UsualSet {
  unit: BladeSet['unit']
  blades: BladeSet['blades']
}
/** The usual sets, metric ones first: told apart by how many blades they have, the first and the last. */
export const USUAL_SETS: readonly UsualSet[] = PATTERNS.map(({ unit, sizesMm }) => ({
  unit,
  blades: sizesMm.map(plainBlade),
}))
