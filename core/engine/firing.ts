import { wrap } from './angle'
import type { Engine } from './parts'

/** Firing angles that twins are built with, by the interval people name. Common practice. */
export const FIRING_INTERVALS = [
  { name: 'Single', anglesDeg: [0] },
  { name: '360° twin', anglesDeg: [0, 360] },
  { name: '180° twin', anglesDeg: [0, 180] },
  { name: '270° twin or 90° V', anglesDeg: [0, 270] },
  { name: 'Flat four', anglesDeg: [0, 180, 360, 540] },
] as const

/**
 * What people call an engine by how its cylinders follow one another: “360° twin”, “270° twin or 90° V”, “four, firing
 * 180° apart”.
 * The order in which the cylinders are listed does not matter.
 */
export function firingIntervalName({ cylinders }: Pick<Engine, 'cylinders'>): string {
  const angles = cylinders.map(c => c.firingAngleDeg).sort((a, b) => a - b)
  const gaps = angles.map((angle, i) => (i + 1 < angles.length ? angles[i + 1]! - angle : wrap(angles[0]! - angle)))
  const shortest = Math.min(...gaps)
  if (angles.length === 1) return 'single'
  if (angles.length === 2) return shortest === 270 ? '270° twin or 90° V' : `${shortest}° twin`
  const count = ['three', 'four'][angles.length - 3]!
  return gaps.every(gap => gap === shortest)
    ? `${count}, firing ${shortest}° apart`
    : `${count}, firing ${gaps.map(g => `${g}°`).join(', ')} apart`
}
