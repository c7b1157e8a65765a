import sameData from 'fast-deep-equal'
import type { Engine } from '../engine'
import { type Said, say } from '../said'
import { type Compared, compareSpecs } from './compare'

/** Parts that say where the crank is and which valves there are: what was seen and measured rests on them. */
const GROUND = [
  'cylinders',
  'valves',
  'layout',
  'strokeMm',
  'rodMm',
  'cam',
  'decompressor',
  'measuredAt',
  'marks',
  'markWindow',
  'camMarks',
  'makersStops',
  'turning',
  'shim',
] as const satisfies (keyof Engine)[]

/**
 * What changes for a job when another revision takes the place of its own, and whether a job that is begun can take it.
 */
export function specChange(before: Engine, after: Engine): { lines: Compared[]; refused: Said | null } {
  const moved = GROUND.some(part => !sameData(before[part], after[part]))
  return {
    lines: compareSpecs(before, after).filter(l => l.change !== 'same'),
    refused: moved ? say('spec-change.refused') : null,
  }
}
