import { type Said, say } from '../said'
import { wrap } from './angle'
import type { Cylinder } from './parts'

/** Firing angles that these engines are built with, each an interval that people name. Common practice. */
export const FIRING_INTERVALS = [[0], [0, 360], [0, 180], [0, 270], [0, 180, 360, 540]] as const

/**
 * What people call an engine by how its cylinders follow one another: “360° twin”, “270° twin or 90° V”, “four, firing
 * 180° apart”.
 * The order in which the cylinders are listed does not matter.
 */
export function firingIntervalName({ cylinders }: { cylinders: Pick<Cylinder, 'firingAngleDeg'>[] }): Said {
  const angles = cylinders.map(c => c.firingAngleDeg).sort((a, b) => a - b)
  const gaps = angles.map((angle, i) => (i + 1 < angles.length ? angles[i + 1]! - angle : wrap(angles[0]! - angle)))
  const shortest = Math.min(...gaps)
  if (angles.length === 1) return say('firing.single')
  if (angles.length === 2) return say('firing.twin', { apartDeg: shortest })
  return say('firing.several', {
    count: angles.length,
    gapsDeg: gaps.every(gap => gap === shortest) ? [shortest] : gaps,
  })
}
