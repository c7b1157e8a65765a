import { signedWay } from './angle'
import { type Engine, engineParts, ROLES } from './parts'
import { placeAngle } from './place'
import type { Place } from './place-kinds'

/** A maker’s stop may be printed this far from the place it is recognised by. */
const MAKERS_PLACE_DEG = 5
/**
 * One revision of an engine model's data: what a job is judged against. Parts that cannot be are refused with the field
 * and the reason.
 */
export const engineSchema = engineParts.superRefine((engine, context) => {
  const cylinders = new Set(engine.cylinders.map(c => c.id))
  const unique = (what: string, ids: string[]) => {
    if (new Set(ids).size < ids.length)
      context.addIssue({ code: 'custom', path: [what], message: `Two ${what} have the same id.` })
  }
  unique(
    'cylinders',
    engine.cylinders.map(c => c.id),
  )
  unique(
    'valves',
    engine.valves.map(v => v.id),
  )
  engine.valves.forEach((valve, i) => {
    if (!cylinders.has(valve.cylinderId))
      context.addIssue({
        code: 'custom',
        path: ['valves', i, 'cylinderId'],
        message: `There is no cylinder “${valve.cylinderId}”.`,
      })
  })
  engine.cylinders.forEach(cylinder => {
    const missing = ROLES.filter(role => !engine.valves.some(v => v.cylinderId === cylinder.id && v.role === role))
    if (missing.length)
      context.addIssue({
        code: 'custom',
        path: ['valves'],
        message: `${cylinder.name} has no ${missing.join(' and no ')} valve: each cylinder needs both.`,
      })
  })
  if (engine.marks.length > 0 && !engine.markWindow)
    context.addIssue({
      code: 'custom',
      path: ['markWindow'],
      message: 'The marks have no pointer: say what they are held against.',
    })
  if (
    engine.decompressor.kind === 'arc' &&
    engine.decompressor.cylinderId !== null &&
    !cylinders.has(engine.decompressor.cylinderId)
  )
    context.addIssue({
      code: 'custom',
      path: ['decompressor', 'cylinderId'],
      message: `There is no cylinder “${engine.decompressor.cylinderId}”.`,
    })
  engine.makersStops.forEach((stop, i) => {
    const unknown = stop.valveIds.filter(id => !engine.valves.some(v => v.id === id))
    if (unknown.length)
      context.addIssue({
        code: 'custom',
        path: ['makersStops', i, 'valveIds'],
        message: `There is no valve “${unknown.join('”, “')}”.`,
      })
    const away = awayFrom(engine as Engine, stop.place, stop.crankDeg)
    if (typeof away === 'string') context.addIssue({ code: 'custom', path: ['makersStops', i, 'place'], message: away })
    else if (away > MAKERS_PLACE_DEG)
      context.addIssue({
        code: 'custom',
        path: ['makersStops', i, 'crankDeg'],
        message: `The stop is printed at ${stop.crankDeg}°, but its place shows ${Math.round(away)}° from there.`,
      })
  })
  if (engine.measuredAt.kind === 'makers stops' && engine.makersStops.length === 0)
    context.addIssue({
      code: 'custom',
      path: ['measuredAt'],
      message:
        'The source measures at the maker’s stops, and none are listed here: enter them, or choose another answer.',
    })
  if (engine.shim === null && engine.valves.some(v => v.adjuster === 'shim'))
    context.addIssue({
      code: 'custom',
      path: ['shim'],
      message: 'Shimmed valves need the shims’ diameter and steps, such as 9.48 mm in steps of 0.05.',
    })
  if (engine.rodMm !== null && engine.rodMm <= engine.strokeMm / 2)
    context.addIssue({
      code: 'custom',
      path: ['rodMm'],
      message: `A rod of ${engine.rodMm} mm is shorter than the crank throw; it must be well over half the stroke.`,
    })
})

/** How far a place is from an angle of the crank, or why this engine has no such place. */
function awayFrom(engine: Engine, place: Place, crankDeg: number): number | string {
  try {
    return Math.abs(signedWay(placeAngle(engine, place), crankDeg, 360))
  } catch (error) {
    return (error as Error).message
  }
}

/**
 * Engine data as it was stored by an earlier version, with what has been added since filled in.
 * Nothing is judged again: what was accepted then stays as it is.
 */
export function upcastEngine(stored: unknown): Engine {
  const engine = stored as Engine
  return {
    ...engine,
    valves: engine.valves.map(valve => ({ ...valve, adjuster: valve.adjuster ?? 'screw' })),
    decompressor:
      engine.decompressor.kind === 'arc'
        ? { ...engine.decompressor, cylinderId: engine.decompressor.cylinderId ?? null }
        : engine.decompressor,
    measuredAt: engine.measuredAt ?? { kind: 'not said' },
    camMarks: engine.camMarks ?? [],
    makersStops: engine.makersStops ?? [],
    otherClearances: engine.otherClearances ?? [],
    shim: engine.shim ?? null,
    boreMm: engine.boreMm ?? null,
    alsoPrinted: engine.alsoPrinted ?? { intake: null, exhaust: null },
    adjuster: { ...engine.adjuster, threadMm: engine.adjuster.threadMm ?? null },
  }
}
