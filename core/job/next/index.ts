import { valveById } from '../../engine'
import { say } from '../../said'
import { firstOpen, gateOf, gates, openOf, type Requirement, type What } from '../requirements'
import { valveOf, type ValveState } from '../state'
import type { Step } from '../steps'
import { serves, stopHere } from '../stop-work'
import type { JobView } from '../view'
import { placeWords } from '../words'
import { closeThing } from './close'
import { findThing } from './find'
import { withReason } from './keys'
import { apartThing, trialThing } from './measure'
import { proveThing } from './prove'
import { readyThing } from './ready'
import { readyCard } from './ready-card'
import { secondPlaceThing } from './second-place'
import { setThing } from './set'
import { farThing } from './set-trouble'
import { key, type NextThing, type Worded } from './thing'

export * from './thing'
export { lineWords, readiedBy } from './ready-card'
export { turnDoubt } from './set-screw'
export { shimFromWords } from './shims'
export { lastPlace, marginOf, marginWords, pastTopWords } from './find'

const SIGN: Worded = {
  label: say('sign.label'),
  instruction: say('sign'),
  why: say('sign.why'),
  keys: [
    key(say('key.sign'), say('key.sign.help'), { type: 'closed', payload: {} }),
    key(say('key.add-note'), say('key.add-note.help'), null, 'note'),
  ],
  stage: { kind: 'sign' },
}

/** The valve that is asked about. */
const valveFor = (view: JobView, { what }: Requirement): ValveState =>
  valveOf(view.state, 'valveId' in what ? what.valveId : '')!

function draftFor(view: JobView, requirement: Requirement): Worded {
  switch (requirement.step) {
    case 'ready':
      return readyThing(view, requirement)
    case 'find':
      return findThing(view, requirement)
    case 'measure':
      if (requirement.what.kind === 'second-place') return secondPlaceThing(view)
      if (requirement.what.kind === 'apart') return apartThing(view, valveFor(view, requirement))
      return trialThing(view, valveFor(view, requirement), say('phase.as-found'))
    case 'set':
      if (requirement.what.kind === 'far') return farThing(view, valveFor(view, requirement))
      return setThing(view, view.state.valves.find(v => v.nut !== 'locked') ?? valveFor(view, requirement))
    case 'prove':
      return proveThing(view, requirement)
    case 'close':
      return closeThing(view, requirement)
  }
}

const offStop = (view: JobView, valveId: string): What => ({ kind: 'off-stop', valveId, place: view.state.places })

/** The gate for measuring a valve at a stop that does not serve it. A reason counts for this place only. */
function offStopGate(view: JobView, valveId: string): Requirement | null {
  const here = stopHere(view)
  if (!here || serves(here, valveId) || view.model.plan.unserved.includes(valveId)) return null
  const what = offStop(view, valveId)
  const id = gateOf(what)
  if (view.state.passed.some(p => p.gate === id)) return null
  return {
    what,
    id,
    step: 'measure',
    missing: say('missing.off-stop', { valve: valveById(view.pin.spec.engine, valveId).name }),
    met: false,
    passed: null,
  }
}

function offStopDraft(view: JobView, valveId: string): Worded {
  const { engine } = view.pin.spec
  const { name } = valveById(engine, valveId)
  const stops = view.model.plan.stops
  const own = stops.findIndex(s => serves(s, valveId))
  const flagged = stopHere(view)?.flagged.includes(valveId)
  const closed = Math.round((view.position.closed[valveId] ?? 0) * 100)
  return {
    label: say('off-stop.label', { valve: name }),
    instruction: say('off-stop', { valve: name }),
    why: [
      flagged ? say('off-stop.flagged') : say('off-stop.chance', { closed }),
      own >= 0 ? say('off-stop.turn-comes', { stop: own + 1, place: placeWords(engine, stops[own]!.place) }) : '',
    ],
    keys: [
      key(
        say('key.leave-it'),
        own >= 0 ? say('key.until-stop', { stop: own + 1 }) : say('key.go-on-here'),
        null,
        'back',
      ),
      withReason(say('key.measure-here')),
    ],
    stage: { kind: 'wheel', target: null, feelValveIds: [valveId], cylinderId: valveById(engine, valveId).cylinderId },
  }
}

/** The steps in which a tapped valve is worked on out of its turn. */
const AT_VALVES: ReadonlySet<Step> = new Set(['measure', 'set', 'prove'])

/**
 * The one next thing to do on a job.
 * @param wanted the valve that the mechanic tapped; it is taken where something is still asked of it, at a stop that
 *   serves it or with a reason
 */
export function nextThing(view: JobView, wanted: string | null = null): NextThing {
  const all = gates(view)
  const first = firstOpen(all)
  const card = first?.step === 'ready' ? readyCard(view) : null
  if (card) return { trial: null, doubted: [], ...card, step: 'ready', requirement: null }
  if (!first) return { ...SIGN, step: 'close', trial: null, doubted: [], requirement: null }
  const tapped =
    wanted !== null &&
    AT_VALVES.has(first.step) &&
    first.what.kind !== 'turned' &&
    view.state.valves.every(v => v.nut === 'locked')
      ? openOf(all, wanted)
      : null
  if (tapped && (tapped.step !== 'prove' || view.state.proving)) {
    const gate = offStopGate(view, wanted!)
    if (gate) return { trial: null, doubted: [], ...offStopDraft(view, wanted!), step: gate.step, requirement: gate }
    // every valve of a stop is measured as found before a screw is touched; one that was let in with a reason is taken
    // now
    const letIn = view.state.passed.some(p => p.gate === gateOf(offStop(view, wanted!)))
    if (letIn || tapped.step === first.step)
      return { trial: null, doubted: [], ...draftFor(view, tapped), step: tapped.step, requirement: tapped }
  }
  return { trial: null, doubted: [], ...draftFor(view, first), step: first.step, requirement: first }
}
