import { valveById } from '../../engine'
import { say } from '../../said'
import { presentReading, type ValveState } from '../state'
import { expectedPolicy, type JobView, judgeReading } from '../view'
import { trialThing } from './measure'
import { loosenThing, nippedThing } from './set-nut'
import { looseThing } from './set-screw'
import { leftThing, nothingToSet, spinsThing } from './set-trouble'
import { shimThing } from './shims'
import type { Worded } from './thing'

/**
 * What the torque left is read until it is proved; where it is out, as narrowly as tells what the lock did: else the
 * next round would aim as the last.
 */
function torqueUnread(view: JobView, valve: ValveState): boolean {
  const reading = presentReading(valve)
  const { verdict } = judgeReading(view.pin, reading, valve.valveId)
  return verdict === 'unproved' || (verdict !== 'in' && expectedPolicy(view, valve)(reading?.trials ?? []) !== null)
}

/**
 * The Set step for one valve: loosen, turn and feel, nip and feel, torque and feel, as many rounds as it takes; or by
 * its shim.
 */
export function setThing(view: JobView, valve: ValveState): Worded {
  const { adjuster } = valveById(view.pin.spec.engine, valve.valveId)
  if (adjuster === 'shim') return shimThing(view, valve)
  if (adjuster === 'none') return nothingToSet(view, valve)
  if (valve.spins) return spinsThing(view, valve)
  if (valve.leftAtPlace === view.state.places && valve.nut === 'locked') return leftThing(view, valve)
  if (valve.nut === 'locked')
    return valve.phase === 'torqued' && torqueUnread(view, valve)
      ? trialThing(view, valve, say('phase.torqued'))
      : loosenThing(view, valve)
  return valve.nut === 'nipped' ? nippedThing(view, valve) : looseThing(view, valve)
}
