import { decompressorArc, type Engine, firingAngle, signedWay } from '../../core/engine'
import { type VirtualEngine, virtualEngine } from '../../core/practice'

const GAP_IN_SPEC_MM = { intake: 0.1, exhaust: 0.12 }

/** Most screws of the demo follow their nut a little; those of a pivot nut are drawn open. mm at the lock. */
const CREEP_MM: Record<Engine['adjuster']['kind'], number> = {
  'valve-end': -0.011,
  'pushrod-end': -0.009,
  'pivot-nut': 0.007,
}

/**
 * An engine that is as its data say, with these gaps by valve id and the crank somewhere. A decompressor that may be
 * there is there.
 */
export function demoEngine(engine: Engine, gapMm: Record<string, number>, crankDeg = 430): VirtualEngine {
  const exhaust = engine.valves.find(v => v.role === 'exhaust')!
  const arc = engine.decompressor.kind === 'unknown' ? decompressorArc(engine, exhaust) : null
  const from = arc && signedWay(firingAngle(engine, exhaust.cylinderId), arc.startDeg)
  return virtualEngine(engine, {
    crankDeg,
    gapMm: { ...Object.fromEntries(engine.valves.map(v => [v.id, GAP_IN_SPEC_MM[v.role]])), ...gapMm },
    ...(from === null ? {} : { held: [from, from + arc!.sweepDeg] as const }),
    nature: { creepMm: CREEP_MM[engine.adjuster.kind] },
  })
}
