import { valveById } from '../../../engine'
import { type Advice, movesCrank } from '../../../position'
import { say } from '../../../said'
import { nearestStop } from '../../requirements'
import { presentReading } from '../../state'
import { differsHere } from '../../two-places'
import type { JobView } from '../../view'
import { placeWords } from '../../words'
import { anotherMethod, findAgain, goOnWithReason, turnedBackAndLocked, withReason } from '../keys'
import { key, type Worded } from '../thing'
import { crank, cylinderFor, lastPlace } from './place'

/** A screw opened in vain: the valve is held open here, whatever was answered before. */
export function vainDraft(view: JobView, valveId: string): Worded {
  const { name, cylinderId } = valveById(view.pin.spec.engine, valveId)
  const vain = view.state.noted.filter(
    ({ id, observation: o }) => id.endsWith(':vain') && o.kind === 'rocker' && o.valveId === valveId,
  )
  const again = vain.length > 1
  const back = turnedBackAndLocked(valveId)
  const byShim = valveById(view.pin.spec.engine, valveId).adjuster === 'shim'
  return {
    label: say('vain.label', { valve: name }),
    instruction: say('vain', { valve: name }),
    why: byShim ? say('vain.shim') : say('vain.screw'),
    keys: again ? [back, findAgain, anotherMethod] : [findAgain, anotherMethod, back],
    stage: { kind: 'wheel', target: null, feelValveIds: [valveId], cylinderId },
  }
}

/** A locked valve that reads differently at two places: never a matter for its screw. */
export function differsDraft(view: JobView, valveId: string): Worded {
  const valve = view.state.valves.find(v => v.valveId === valveId)!
  const { name, cylinderId } = valveById(view.pin.spec.engine, valveId)
  const { there, here, decompressor, places } = differsHere(view, valve)!
  const held = key(say('key.held-open'), say('key.held-open.help'), {
    type: 'decompressor-tested',
    payload: {
      valveId,
      there: true,
      bladesMm: presentReading(valve)!.trials.at(-1)!.engravedMm ?? [here.loMm || 0.05],
    },
  })
  return {
    label: say('differs.label', { valve: name }),
    instruction: say('differs', { valve: name }),
    why: say('differs.why', { there, here, unit: view.pin.unit }),
    keys: [
      ...(decompressor ? [held] : []),
      ...(places > 1 ? [goOnWithReason, findAgain] : [findAgain, anotherMethod, goOnWithReason]),
    ],
    stage: { kind: 'wheel', target: null, feelValveIds: [valveId], cylinderId },
    ...(places > 1 && !decompressor ? { wayOut: true as const } : {}),
  }
}

/** A valve that no stop of the chosen school serves. */
export function noStopDraft(view: JobView, valveId: string): Worded {
  const { name, cylinderId } = valveById(view.pin.spec.engine, valveId)
  return {
    label: say('no-stop.label', { valve: name }),
    instruction: say('no-stop', { valve: name }),
    why: say('no-stop.why'),
    keys: [anotherMethod, withReason(say('key.measure-anyway'))],
    stage: { kind: 'wheel', target: null, feelValveIds: [valveId], cylinderId },
  }
}

/**
 * So often an intake is watched, and so often the crank is moved, before it is said that this settles nothing. From
 * memory.
 */
const MOST_WATCHED = 2
const MOST_MOVES = 12

/**
 * Whether the place was sought so long, since a blade was last tried or the place given up, that more of the same
 * settles nothing.
 */
export function soughtInVain({ noted }: JobView['state'], advice: Advice): boolean {
  const since = noted.findLastIndex(
    ({ observation: o }) => o.kind === 'blade' || o.kind === 'screw-set' || o.kind === 'lost',
  )
  const moves = noted.slice(since + 1).filter(n => movesCrank(n.observation))
  const watched = moves.filter(n => n.observation.kind === 'watched').length
  return moves.length >= MOST_MOVES || (advice.kind === 'watch' && watched >= MOST_WATCHED)
}

/** What is felt does not agree with what was watched, and keeps doing so. */
export function inVainDraft(view: JobView): Worded {
  const { engine } = view.pin.spec
  const stop = nearestStop(view)
  const place = stop?.place ?? lastPlace(view)
  const cylinderId = stop ? cylinderFor(view, stop.place) : null
  return {
    label: say('conflict.label'),
    instruction: say('conflict'),
    why: say('conflict.why', { place: place ? placeWords(engine, place) : null }),
    keys: [
      withReason(say('key.continue-here')),
      key(say('key.start-over'), say('key.find-again.help'), crank({ kind: 'lost' })),
      anotherMethod,
    ],
    stage: { kind: 'wheel', target: null, feelValveIds: [], cylinderId },
    wayOut: true,
  }
}
