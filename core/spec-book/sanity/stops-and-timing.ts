import { closedArcs, type Engine, firingAngle, type Role, spareInArc, valveById, withDecompressor } from '../../engine'
import { say } from '../../said'
import { planStops } from '../../stops'
import { type Doubt, plain } from './doubt'

/** Valves that the cam data holds open where the source measures them: one of the two is a slip. */
export function openAtStops(engine: Engine): Doubt[] {
  if (engine.cam === null) return []
  const flagged = engine.makersStops.length
    ? planStops(withDecompressor(engine, null), 'maker').stops.flatMap(stop =>
        stop.flagged.map(id => ({ id, deg: stop.crankDeg, makers: true })),
      )
    : engine.valves.flatMap(valve => {
        const top = firingAngle(engine, valve.cylinderId)
        return (closedArcs(engine, false)[valve.id] ?? []).some(arc => spareInArc(arc, top).beforeDeg >= 0)
          ? []
          : [{ id: valve.id, deg: top, makers: false }]
      })
  return flagged.map(({ id, deg, makers }) => {
    const valve = valveById(engine, id)
    return {
      id: `open:${id}:${deg}:${JSON.stringify(engine.cam)}`,
      field: engine.makersStops.length ? 'stops' : valve.role === 'intake' ? 'ic' : 'ec',
      says: say('doubt.open', { valve: valve.name, deg: plain(deg), makers }),
      readings: [say('doubt.open.measures', { valve: valve.name, deg: plain(deg), makers }), say('doubt.open.holds')],
    } satisfies Doubt
  })
}

/** A maker's list that leaves a valve out, or that nothing can be held against. */
export function makersList({ makersStops, valves, cam }: Engine): Doubt[] {
  if (makersStops.length === 0) return []
  const named = new Set(makersStops.flatMap(s => s.valveIds))
  const left = valves.filter(v => !named.has(v.id)).map(v => v.name)
  const id = makersStops.map(s => `${s.crankDeg}=${s.valveIds.join('+')}`).join()
  return [
    ...(left.length
      ? [
          {
            id: `left-out:${id}`,
            field: 'stops' as const,
            says: say('doubt.left-out', { valves: left }),
            readings: [say('doubt.left-out.stop'), say('doubt.left-out.none')] as Doubt['readings'],
          },
        ]
      : []),
    ...(cam === null
      ? [
          {
            id: `unchecked:${id}`,
            field: 'stops' as const,
            says: say('doubt.unchecked'),
            readings: [say('doubt.unchecked.read'), say('doubt.unchecked.cam')] as Doubt['readings'],
          },
        ]
      : []),
  ]
}

/** Two cylinders never fire nearer to each other than this, on the engines that are meant here. Degrees, from memory */
const NEAREST_FIRING_DEG = 90
/** A firing angle with a place lost: 36 for 360. */
export function firing({ cylinders }: Engine): Doubt[] {
  return cylinders.flatMap((cylinder, i) => {
    const before = cylinders[i - 1]
    if (!before) return []
    const apart = Math.abs(cylinder.firingAngleDeg - before.firingAngleDeg)
    const near = Math.min(apart, 720 - apart)
    const meant = before.firingAngleDeg + apart * 10
    return near >= NEAREST_FIRING_DEG
      ? []
      : [
          {
            id: `firing:${cylinder.name}:${cylinder.firingAngleDeg}`,
            field: 'cylinders' as const,
            says: say('doubt.firing', {
              cylinder: cylinder.name,
              before: before.name,
              deg: plain(near),
              meantDeg: meant < 720 ? plain(meant) : null,
            }),
            readings: [
              `${plain(cylinder.firingAngleDeg)}°`,
              meant < 720 ? `${plain(meant)}°` : say('doubt.another-angle'),
            ],
          },
        ]
  })
}

/**
 * Intakes close later after their dead center than they open before it, exhausts the other way round: common practice.
 */
export function exchangedTiming({ cam }: Engine): Doubt[] {
  if (!cam) return []
  const { intakeOpensBeforeTdcDeg: io, intakeClosesAfterBdcDeg: ic } = cam
  const { exhaustOpensBeforeBdcDeg: eo, exhaustClosesAfterTdcDeg: ec } = cam
  const doubt = (field: 'io' | 'eo', role: Role, opens: number, closes: number): Doubt => ({
    id: `exchanged:${field}:${opens}:${closes}`,
    field,
    says: say('doubt.exchanged', { role, opens: plain(opens), closes: plain(closes) }),
    readings: [
      say('doubt.timing', { opens: plain(opens), closes: plain(closes) }),
      say('doubt.timing', { opens: plain(closes), closes: plain(opens) }),
    ],
  })
  return [...(io > ic ? [doubt('io', 'intake', io, ic)] : []), ...(ec > eo ? [doubt('eo', 'exhaust', eo, ec)] : [])]
}
