import type { Engine } from '../../core/engine'
import { engineOf } from './builders'

const head = (cylinderId: string, name: string, x: number, each = 1): Engine['valves'] =>
  (['intake', 'exhaust'] as const).flatMap(role =>
    Array.from({ length: each }, (_, i) => ({
      id: `${cylinderId}-${role}${each > 1 ? i + 1 : ''}`,
      cylinderId,
      role,
      name: `${name} ${role}${each > 1 ? ` ${i + 1}` : ''}`,
      headX: x + (each > 1 ? i * 0.2 - 0.1 : 0),
      headY: role === 'intake' ? 0.75 : 0.25,
      adjuster: 'screw' as const,
    })),
  )

/**
 * A twin with a cylinder on the left that fires first and one on the right that fires so many degrees later, each with
 * its T mark.
 */
export const twinOf = (rightFiresDeg: number, changes: Partial<Engine> = {}): Engine =>
  engineOf({
    cylinders: [
      { id: 'l', name: 'Left', firingAngleDeg: 0 },
      { id: 'r', name: 'Right', firingAngleDeg: rightFiresDeg },
    ],
    valves: [...head('l', 'Left', 0.3), ...head('r', 'Right', 0.7)],
    marks:
      rightFiresDeg % 360 === 0
        ? [
            { letter: 'T', angleDeg: 0, kind: 'top' },
            { letter: 'F', angleDeg: 346, kind: 'fire' },
          ]
        : [
            { letter: 'T L', angleDeg: 0, kind: 'top' },
            { letter: 'T R', angleDeg: rightFiresDeg % 360, kind: 'top' },
            { letter: 'F', angleDeg: 346, kind: 'fire' },
          ],
    ...changes,
  })

/** One cylinder with two intakes and two exhausts. */
export const fourValveSingle = (changes: Partial<Engine> = {}): Engine =>
  engineOf({ valves: head('only', '', 0.5, 2).map(v => ({ ...v, name: v.name.trim() })), ...changes })

/** Four cylinders firing 180° apart in the order given by number: the usual 1-3-4-2 unless told otherwise. */
export const fourOf = (order: number[] = [1, 3, 4, 2], changes: Partial<Engine> = {}): Engine =>
  engineOf({
    cylinders: [1, 2, 3, 4].map(n => ({ id: `c${n}`, name: `Cylinder ${n}`, firingAngleDeg: order.indexOf(n) * 180 })),
    valves: [1, 2, 3, 4].flatMap(n => head(`c${n}`, `Cylinder ${n}`, n / 5)),
    marks: [{ letter: 'T', angleDeg: 0, kind: 'top' }],
    ...changes,
  })
