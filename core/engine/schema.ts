import { oddTorque } from '../access'
import { measuredValue } from '../units'
import { wrong } from '../wrong'
import { signedWay } from './angle'
import { ROLES } from './clearance'
import { type Engine, engineParts, MEASURED_FIELDS, type MeasuredField } from './parts'
import { placeAngle } from './place'
import type { Place } from './place-schema'

/** A maker’s stop may be printed this far from the place it is recognised by. */
const MAKERS_PLACE_DEG = 5
/**
 * One revision of an engine model's data: what a job is judged against. Parts that cannot be are refused with the field
 * and the reason.
 */
export const engineSchema = engineParts.superRefine((engine, context) => {
  const cylinders = new Set(engine.cylinders.map(c => c.id))
  const unique = (what: 'cylinders' | 'valves' | 'parts', ids: string[]) => {
    if (new Set(ids).size < ids.length)
      context.addIssue({ code: 'custom', path: [what], message: wrong('wrong.same-id', { what }) })
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
        message: wrong('wrong.no-such-cylinder', { cylinder: valve.cylinderId }),
      })
  })
  engine.cylinders.forEach(cylinder => {
    const missing = ROLES.filter(role => !engine.valves.some(v => v.cylinderId === cylinder.id && v.role === role))
    if (missing.length)
      context.addIssue({
        code: 'custom',
        path: ['valves'],
        message: wrong('wrong.cylinder-without', { cylinder: cylinder.name, roles: missing }),
      })
  })
  if (engine.marks.some(mark => !mark.through) && !engine.markWindow)
    context.addIssue({
      code: 'custom',
      path: ['markWindow'],
      message: wrong('wrong.the-marks-have-no-pointer'),
    })
  if (
    engine.decompressor.kind === 'arc' &&
    engine.decompressor.cylinderId !== null &&
    !cylinders.has(engine.decompressor.cylinderId)
  )
    context.addIssue({
      code: 'custom',
      path: ['decompressor', 'cylinderId'],
      message: wrong('wrong.no-such-cylinder', { cylinder: engine.decompressor.cylinderId }),
    })
  engine.makersStops.forEach((stop, i) => {
    const unknown = stop.valveIds.filter(id => !engine.valves.some(v => v.id === id))
    if (unknown.length)
      context.addIssue({
        code: 'custom',
        path: ['makersStops', i, 'valveIds'],
        message: wrong('wrong.no-such-valve', { valves: unknown }),
      })
    const away = awayFrom(engine as Engine, stop.place, stop.crankDeg)
    if (away === null)
      context.addIssue({ code: 'custom', path: ['makersStops', i, 'place'], message: wrong('wrong.no-such-place') })
    else if (away > MAKERS_PLACE_DEG)
      context.addIssue({
        code: 'custom',
        path: ['makersStops', i, 'crankDeg'],
        message: wrong('wrong.stop-elsewhere', { crankDeg: stop.crankDeg, awayDeg: Math.round(away) }),
      })
  })
  if (engine.measuredAt.kind === 'makers stops' && engine.makersStops.length === 0)
    context.addIssue({
      code: 'custom',
      path: ['measuredAt'],
      message: wrong('wrong.the-source-measures-at-the'),
    })
  unique(
    'parts',
    (engine.parts ?? []).map(p => p.name.toLowerCase()),
  )
  ;(engine.parts ?? []).forEach((part, i) => {
    if (part.cylinderId !== null && !cylinders.has(part.cylinderId))
      context.addIssue({
        code: 'custom',
        path: ['parts', i, 'cylinderId'],
        message: wrong('wrong.no-such-cylinder', { cylinder: part.cylinderId }),
      })
    const odd = oddTorque(part)
    if (odd)
      context.addIssue({
        code: 'custom',
        path: ['parts', i, 'torqueNm'],
        message: wrong('wrong.torque-of-no-such-thread', { ...odd, part: part.name, torqueNm: part.torqueNm! }),
      })
  })
  if (engine.heads) {
    const banked = engine.heads.banks.flatMap(b => b.cylinderIds)
    if (banked.length !== engine.cylinders.length || engine.cylinders.some(c => !banked.includes(c.id)))
      context.addIssue({ code: 'custom', path: ['heads', 'banks'], message: wrong('wrong.each-cylinder-on-one-head') })
  }
  if (engine.shim === null && engine.valves.some(v => v.adjuster === 'shim'))
    context.addIssue({
      code: 'custom',
      path: ['shim'],
      message: wrong('wrong.shimmed-valves-need-the-shims'),
    })
  for (const [field, text] of Object.entries(engine.printed ?? {}) as [MeasuredField, string][])
    if (!isPrintedAs(engine as Engine, field, text))
      context.addIssue({ code: 'custom', path: ['printed', field], message: wrong('wrong.printed-differs', { text }) })
  if (engine.rodMm !== null && engine.rodMm <= engine.strokeMm / 2)
    context.addIssue({
      code: 'custom',
      path: ['rodMm'],
      message: wrong('wrong.rod-short', { rodMm: engine.rodMm }),
    })
})

/** The figure of a field that has words of its page, in N·m, °C or mm. */
const FIGURE_OF: Record<MeasuredField, (engine: Engine) => number | null | undefined> = {
  coldLimit: e => e.coldLimitC,
  bore: e => e.boreMm,
  stroke: e => e.strokeMm,
  rod: e => e.rodMm,
  shimDiameter: e => e.shim?.diameterMm,
  shimStep: e => e.shim?.stepMm,
  checkLift: e => e.cam?.checkLiftMm,
  measuredDrop: e => (e.measuredAt.kind === 'past top' ? e.measuredAt.dropMm : null),
  locknut: e => e.torques.locknutNm,
  cover: e => e.torques.coverNm,
  plug: e => e.torques.plugNm,
}
/** Whether the words of a page say the figure that is reckoned with. */
function isPrintedAs(engine: Engine, field: MeasuredField, text: string): boolean {
  try {
    return measuredValue(MEASURED_FIELDS[field], text) === FIGURE_OF[field](engine)
  } catch {
    return false
  }
}

/** How far a place is from an angle of the crank; null where this engine has no such place. */
function awayFrom(engine: Engine, place: Place, crankDeg: number): number | null {
  try {
    return Math.abs(signedWay(placeAngle(engine, place), crankDeg, 360))
  } catch {
    return null
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
