import type { Engine } from '../engine'
import { type Compared, compareSpecs, same } from '../spec-book'

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
export function specChange(before: Engine, after: Engine): { lines: Compared[]; refused: string | null } {
  const moved = GROUND.some(part => !same(before[part], after[part]))
  return {
    lines: compareSpecs(before, after).filter(l => l.change !== 'same'),
    refused: moved
      ? 'It changes marks, cam, valves or cylinders, on which rests what was seen here. Abandon this job and open a new one to work by it.'
      : null,
  }
}
