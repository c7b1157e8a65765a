import {
  cylinderById,
  decompressorArc,
  type Engine,
  forwardTo,
  type Place,
  placePeriod,
  samePlace,
  type Valve,
  valveById,
} from '../../engine'
import { type Advice, adviseByTable, cylindersAt, movesCrank, type Observation } from '../../position'
import { say, type Text } from '../../said'
import type { Stop } from '../../stops'
import type { Happening } from '../events'
import { eventIdOf } from '../event-words'
import { lastPlaceIn } from '../crank-work'
import { nearestStop, type Requirement, wantedStops } from '../requirements'
import { presentReading } from '../state'
import { differsHere } from '../two-places'
import type { JobView } from '../view'
import { placeWords, untilWords, whose } from '../words'
import { anotherMethod, findAgain, goOnWithReason, lostTrack, turnedBackAndLocked, withReason } from './keys'
import { type Worded, key } from './thing'

const crank = (...observations: Observation[]): Happening => ({ type: 'crank', payload: { observations } })

/** A valve's name without its cylinder's: “Intake”, “Exhaust 2”. */
function shortName(engine: Engine, valve: Valve): string {
  const cylinder = cylinderById(engine, valve.cylinderId).name
  const rest = valve.name.startsWith(cylinder) ? valve.name.slice(cylinder.length).trim() : valve.name
  return rest || valve.name
}

/** The place the crank was last brought to, for asking whether it is still there. */
export const lastPlace = ({ state }: JobView): Place | null => lastPlaceIn(state.noted)

/** The cylinder that a place is about, for the picture; null leaves it to the picture. */
const cylinderFor = (view: JobView, place: Place | null): string | null =>
  place ? (cylindersAt(view.model, place)[0] ?? null) : null

/** From so much to spare on, a finger's width on the flywheel does not matter. From memory. */
const FINGERS_WIDTH_DEG = 30

/** What is to spare short of a stop and past it, whole degrees; null while cam or decompressor are not on record. */
export function marginOf(engine: Engine, stop: Stop): { beforeDeg: number; afterDeg: number; easy: boolean } | null {
  if (engine.cam === null || engine.decompressor.kind === 'unknown' || stop.valves.length === 0) return null
  const beforeDeg = Math.floor(Math.min(...stop.valves.map(v => v.beforeDeg)))
  const afterDeg = Math.floor(Math.min(...stop.valves.map(v => v.afterDeg)))
  return { beforeDeg, afterDeg, easy: Math.min(beforeDeg, afterDeg) >= FINGERS_WIDTH_DEG }
}

/** How exact the crank must be at a stop, or nothing while cam or decompressor are not on record. */
export function marginWords(engine: Engine, stop: Stop): Text {
  const margin = marginOf(engine, stop)
  if (!margin) return ''
  const { beforeDeg: before, afterDeg: after, easy } = margin
  return easy
    ? say('margin.easy', { deg: Math.min(before, after), place: placeWords(engine, stop.place) })
    : say('margin.with-care', { before, after })
}

/** Why a stop lies past top, and how far the rod should drop. */
export function pastTopWords(engine: Engine, stop: Stop): Text {
  if (stop.place.kind !== 'rod-drop') return ''
  const { cylinderId, dropMm } = stop.place
  const held = engine.valves
    .filter(v => v.cylinderId === cylinderId)
    .map(v => decompressorArc(engine, v))
    .find(arc => arc !== null)
  const firing = cylinderById(engine, cylinderId).firingAngleDeg
  const at = Math.round(forwardTo(firing, stop.crankDeg))
  const why = held
    ? say('past-top.held', {
        sure: engine.decompressor.kind !== 'unknown',
        until: Math.round(forwardTo(firing, held.startDeg + held.sweepDeg)),
        at,
      })
    : say('past-top.not-closed', { at })
  return [why, say('past-top.piston', { dropMm, assumed: engine.rodMm === null })]
}

/** Whether the last answer was of going past a place and coming round to it once more. */
function wentRound({ state }: JobView): boolean {
  const [a, b] = [state.noted.at(-2), state.noted.at(-1)]
  return (
    a !== undefined &&
    b?.observation.kind === 'turns' &&
    a.observation.kind === 'move' &&
    eventIdOf(a.id) === eventIdOf(b.id)
  )
}
/** How often on this job a place was passed and come round to again. */
const timesRound = ({ state }: JobView): number =>
  state.noted.filter((n, i) => {
    const before = state.noted[i - 1]
    return (
      n.observation.kind === 'turns' && before?.observation.kind === 'move' && eventIdOf(before.id) === eventIdOf(n.id)
    )
  }).length

/** Why the crank is to be turned to a place that was not asked for before. */
function startWhy(view: JobView, to: Place, stop: Stop | undefined): Text {
  const { engine } = view.pin.spec
  if (to.kind === 'mark') return say('find.why.line', { place: placeWords(engine, to), window: engine.markWindow })
  if (to.kind === 'rod-drop' && stop) return pastTopWords(engine, stop)
  return placePeriod(to) === 720 ? say('find.why.once-a-cycle') : say('find.why.piston-top')
}

/** How far a stop is ahead, and how exactly it wants to be met. */
function aheadWhy(view: JobView, stop: Stop | undefined, turnDeg: number | null): Text {
  const { engine } = view.pin.spec
  if (stop?.place.kind === 'rod-drop') return pastTopWords(engine, stop)
  return [
    turnDeg === null ? '' : say('find.why.ahead', { deg: Math.round(turnDeg) }),
    stop ? marginWords(engine, stop) : '',
  ]
}

function moveWhy(view: JobView, { to, why, turnDeg }: Extract<Advice, { kind: 'move' }>): Text {
  const stop = view.model.plan.stops.find(s => samePlace(s.place, to))
  // an overshoot is made good by going around: so many turns more, which are counted
  const round = wentRound(view) ? say('find.overshot.sentence', { times: timesRound(view) }) : ''
  switch (why) {
    case 'start':
      return startWhy(view, to, stop)
    case 'neither has play':
      return [round, say('find.why.neither-has-play')]
    case 'one has play':
      return [round, to.kind === 'rod-drop' ? say('find.why.held-maybe') : say('find.why.one-has-play')]
    case 'stop is elsewhere':
      return [round, aheadWhy(view, stop, turnDeg)]
    case 'try the other top':
      return [round, say('find.why.try-the-other-top')]
    case 'tells most':
      return [round, say('find.why.tells-most')]
    case 'turned back':
      return say('find.why.turned-back')
    case 'by school':
      return say('find.why.once-a-cycle')
  }
}

/** What is said to have been reached. */
function arrivedWords(engine: Engine, to: Place): Text {
  switch (to.kind) {
    case 'piston-top':
      return say('key.rod-highest')
    case 'rod-drop':
      return say('key.down', { dropMm: to.dropMm })
    case 'mark':
      return say('key.is-there', { place: placeWords(engine, to) })
    default:
      return say('key.it-is-there')
  }
}

function moveDraft(view: JobView, advice: Extract<Advice, { kind: 'move' }>): Worded {
  const { engine } = view.pin.spec
  const { to, turns, times, turnDeg } = advice
  const arrived: Observation = turns
    ? { kind: 'turns', turns, to }
    : { kind: 'move', to, ...(times > 1 ? { times } : {}) }
  const again = placePeriod(to) / 360
  const round: Observation[] = turns
    ? [{ kind: 'turns', turns: turns + again, to }]
    : [
        { kind: 'move', to, ...(times > 1 ? { times } : {}) },
        { kind: 'turns', turns: again, to },
      ]
  const toIt = untilWords(engine, to)
  const until = times > 1 ? say('until.second-time', { until: toIt }) : toIt
  const { direction, seenFrom, means } = engine.turning
  const ahead =
    turnDeg !== null && engine.cylinders.length > 1
      ? say('find.turn-another', { deg: turnDeg, until })
      : say('find.turn-until', { until })
  return {
    label: say('find.turn.label', { runs: say(`runs.${direction}`), seenFrom, means }),
    instruction: !turns
      ? ahead
      : samePlace(lastPlace(view), to)
        ? say('find.one-more-turn', { until })
        : say('find.one-turn-and-on', { until }),
    why: moveWhy(view, advice),
    keys: [
      key(arrivedWords(engine, to), say('key.stopped-there'), crank(arrived)),
      key(say('key.overshot'), say('key.overshot.to-it-again'), crank(...round)),
      lostTrack,
    ],
    stage: { kind: 'wheel', target: to, feelValveIds: [], cylinderId: cylinderFor(view, to) },
  }
}

/** What the rockers of a cylinder tell here. */
function feelWhy(view: JobView, why: Extract<Advice, { kind: 'feel' }>['why'], cylinder: string | null): Text {
  if (why === 'decompressor or clearance')
    return view.state.noted.some(n => n.observation.kind === 'rocker')
      ? say('feel.why.released-still')
      : say('feel.why.released', { cylinder })
  return cylinder === null ? say('feel.why.stroke') : say('feel.why.stroke-of', { cylinder })
}

function feelDraft(view: JobView, { valveIds, why: reason }: Extract<Advice, { kind: 'feel' }>): Worded {
  const { engine } = view.pin.spec
  const play = (valveId: string, slack: boolean): Observation => ({ kind: 'rocker', valveId, slack })
  const [a, b] = valveIds.map(id => valveById(engine, id))
  const valve = a ?? valveById(engine, valveIds[0]!)
  const cylinder = whose(engine, valve.cylinderId)
  const stage: Worded['stage'] = {
    kind: 'wheel',
    target: null,
    feelValveIds: valveIds,
    cylinderId: a?.cylinderId ?? null,
  }
  const why = feelWhy(view, reason, cylinder)
  const label = wentRound(view)
    ? say('find.overshot', { times: timesRound(view) })
    : view.state.places > 1
      ? say('feel.again-here')
      : say('feel.one-should-settle')
  if (a && b) {
    const [first, second] = [shortName(engine, a), shortName(engine, b)]
    return {
      label,
      instruction: say('feel.both', { cylinder, role: a.role === b.role ? a.role : null }),
      why,
      stage,
      keys: [
        key(say('key.both-slack'), say('key.both-slack.help'), crank(play(a.id, true), play(b.id, true))),
        key(
          say('key.only-slack', { valve: first }),
          say('key.only-slack.help', { valve: second }),
          crank(play(a.id, true), play(b.id, false)),
        ),
        key(
          say('key.only-slack', { valve: second }),
          say('key.only-slack.help', { valve: first }),
          crank(play(a.id, false), play(b.id, true)),
        ),
        key(say('key.neither-moves'), say('key.neither-moves.help'), crank(play(a.id, false), play(b.id, false))),
      ],
    }
  }
  return {
    label,
    instruction: say('feel.one', { valve: valve.name }),
    why,
    stage,
    keys: [
      key(say('key.slack'), say('key.slack.help'), crank(play(valve.id, true))),
      key(say('key.no-play'), say('key.no-play.help'), crank(play(valve.id, false))),
      lostTrack,
    ],
  }
}

const WATCH_WHY = {
  'no play anywhere': say('watch.why.no-play-anywhere'),
  'still open': say('watch.why.still-open'),
  'by school': say('watch.why.by-school'),
}

function watchDraft(view: JobView, { cylinderId, to, why }: Extract<Advice, { kind: 'watch' }>): Worded {
  const { engine } = view.pin.spec
  const place = placeWords(engine, to)
  return {
    label: say('watch.label'),
    instruction: say('watch', { cylinder: whose(engine, cylinderId), place }),
    why: WATCH_WHY[why],
    keys: [
      key(
        to.kind === 'mark' ? say('key.watched-there', { place }) : say('key.watched-top'),
        say('key.watched.help'),
        crank({ kind: 'watched', cylinderId, to }),
      ),
      lostTrack,
    ],
    stage: { kind: 'wheel', target: to, feelValveIds: [], cylinderId },
  }
}

const WEIGHING: Worded = {
  waits: true,
  label: say('weighing.label'),
  instruction: say('weighing'),
  why: say('weighing.why'),
  keys: [lostTrack],
  stage: { kind: 'wheel', target: null, feelValveIds: [], cylinderId: null },
}

/** A screw opened in vain: the valve is held open here, whatever was answered before. */
function vainDraft(view: JobView, valveId: string): Worded {
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
function differsDraft(view: JobView, valveId: string): Worded {
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
function noStopDraft(view: JobView, valveId: string): Worded {
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
function soughtInVain({ noted }: JobView['state'], advice: Advice): boolean {
  const since = noted.findLastIndex(
    ({ observation: o }) => o.kind === 'blade' || o.kind === 'screw-set' || o.kind === 'lost',
  )
  const moves = noted.slice(since + 1).filter(n => movesCrank(n.observation))
  const watched = moves.filter(n => n.observation.kind === 'watched').length
  return moves.length >= MOST_MOVES || (advice.kind === 'watch' && watched >= MOST_WATCHED)
}

/** What is felt does not agree with what was watched, and keeps doing so. */
function inVainDraft(view: JobView): Worded {
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

/** The Find step: the next whole move or feel. */
export function findThing(view: JobView, { what }: Requirement): Worded {
  if (what.kind === 'no-stop') return noStopDraft(view, what.valveId)
  if (what.kind === 'vain') return vainDraft(view, what.valveId)
  if (what.kind === 'differs') return differsDraft(view, what.valveId)
  const { model, position, state } = view
  const advice =
    adviseByTable(model, position, state.noted, wantedStops(view)) ?? view.tools.weigh(model, position, state.noted)
  if (advice === null) return WEIGHING
  if (advice.kind !== 'settled' && advice.kind !== 'feel' && soughtInVain(state, advice)) return inVainDraft(view)
  switch (advice.kind) {
    case 'move':
      return moveDraft(view, advice)
    case 'feel':
      return feelDraft(view, advice)
    case 'watch':
      return watchDraft(view, advice)
    case 'settled':
      return {
        label: say('found.label'),
        instruction: say('found'),
        why: '',
        keys: [lostTrack],
        stage: { kind: 'wheel', target: null, feelValveIds: [], cylinderId: null },
      }
  }
}
