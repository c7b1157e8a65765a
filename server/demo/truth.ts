import { degreesFor } from '../../core/adjuster'
import { baseCircle, decompressorArc, type Engine, firingAngle, valveEvents } from '../../core/engine'
import type { Truth } from './virtual-hand'

const GAP_IN_SPEC_MM = { intake: 0.10, exhaust: 0.12 }

/** Most screws of the demo follow their nut a little; those of a pivot nut are drawn open. mm at the lock. */
const CREEP_MM: Record<Engine['adjuster']['kind'], number> = { 'valve-end': -0.011, 'pushrod-end': -0.009, 'pivot-nut': 0.007 }

/** An engine that is as its data say, with these gaps by valve id and the crank somewhere. */
export function truthOf(engine: Engine, gapMm: Record<string, number>, crankDeg = 430): Truth {
  const first = (role: 'intake' | 'exhaust') => engine.valves.find(v => v.role === role)!
  const closed = (role: 'intake' | 'exhaust'): [number, number] => {
    const { startDeg, sweepDeg } = baseCircle(engine, first(role))
    const from = startDeg - firingAngle(engine, first(role).cylinderId)
    return [from, from + sweepDeg]
  }
  const held = decompressorArc(engine, first('exhaust'))
  return {
    crankDeg, strokeMm: engine.strokeMm, rodMm: engine.rodMm ?? engine.strokeMm * 1.75,
    fires: Object.fromEntries(engine.cylinders.map(c => [c.id, c.firingAngleDeg])),
    valves: Object.fromEntries(engine.valves.map(v => [v.id, { cylinderId: v.cylinderId, role: v.role }])),
    marksDeg: engine.marks.map(m => m.angleDeg), camMarksDeg: engine.camMarks.map(m => m.angleDeg),
    closed: { intake: closed('intake'), exhaust: closed('exhaust') },
    opens: { intake: valveEvents(engine, 'intake').opensDeg, exhaust: valveEvents(engine, 'exhaust').opensDeg },
    held: held && [held.startDeg - firingAngle(engine, first('exhaust').cylinderId), held.startDeg + held.sweepDeg - firingAngle(engine, first('exhaust').cylinderId)],
    heldOn: engine.decompressor.kind === 'arc' ? engine.decompressor.cylinderId : null,
    gapMm: { ...Object.fromEntries(engine.valves.map(v => [v.id, GAP_IN_SPEC_MM[v.role]])), ...gapMm },
    degPerMm: degreesFor(engine.adjuster, 1), creepMm: CREEP_MM[engine.adjuster.kind],
    shimMm: Object.fromEntries(engine.valves.filter(v => v.adjuster === 'shim').map((v, i) => [v.id, 2.4 - i * 0.05])),
  }
}
